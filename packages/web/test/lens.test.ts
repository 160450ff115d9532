import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, nextTick, ref } from 'vue'
import { describe, expect, test } from 'vitest'
import type { Lens } from '@murrabel/core/lens'
import { useEntryList } from '../src/composables/useEntryList.ts'
import { bases, useLens, type UseLens } from '../src/composables/useLens.ts'
import { useLensPhrases } from '../src/composables/useLensPhrases.ts'
import { gathered } from '../src/composables/useLive.ts'
import { useTexts } from '../src/composables/useTexts.ts'
import { useUndo } from '../src/stores/undo.ts'
import { fakeServer, mounting, row, type Mounting } from './support.ts'

/** Runs a composable inside a component and gives what it returned. */
function within<T>(around: Mounting, use: () => T): T {
  let result: T | undefined
  mount(defineComponent({ setup: () => ((result = use()), () => null) }), around)
  return result!
}

describe('the lens of the address', () => {
  const use = async (path: string): Promise<[UseLens, Mounting]> => {
    const around = await mounting({ path })
    return [within(around, () => useLens('threads')), around]
  }
  test('stands on the section’s usual one', async () => {
    const [{ lens, problems }] = await use('/inbox')
    expect(lens.value).toEqual(bases.threads)
    expect(problems.value).toEqual([])
  })
  test('changes go into the address, and nothing else of it is touched', async () => {
    const [{ lens, change }, { router }] = await use('/inbox?connected=3')
    change({ sentiments: ['negative'], places: [2] })
    await flushPromises()
    expect(router.currentRoute.value.query).toEqual({ connected: '3', sentiment: 'negative', place: '2' })
    expect(lens.value.sentiments).toEqual(['negative'])
  })
  test('the usual one leaves the address empty', async () => {
    const [{ reset }, { router }] = await use('/inbox?sentiment=negative&words=late')
    reset()
    await flushPromises()
    expect(router.currentRoute.value.query).toEqual({})
  })
  test('what cannot be read is named', async () => {
    const [{ problems }] = await use('/inbox?sentiment=angry&state=open')
    expect(problems.value).toEqual([{ field: 'sentiment', value: 'angry' }])
  })
  test('the server gets the whole lens', async () => {
    const [{ query }] = await use('/inbox?sentiment=negative')
    expect(Object.fromEntries(query.value)).toEqual({
      unit: 'threads',
      state: 'open',
      origin: 'sent,watched',
      sentiment: 'negative',
      given: 'meOrNobody',
      time: 'last-14',
      order: 'pressing',
    })
  })
})

describe('the sentence', () => {
  const say = async (part: Partial<Lens>, locale: 'en' | 'fr' = 'en') => {
    const around = await mounting({ locale })
    const { sentence } = within(around, () => useLensPhrases(ref({ ...bases.threads, ...part })))
    return sentence.value.map((piece) => piece.text).join('')
  }
  test.each<[Partial<Lens>, string]>([
    [
      {},
      'Open entries to answer about anything on all channels from all places, assigned to me or nobody, any wish, any sentiment, any words, last 14 days, most pressing first',
    ],
    [
      { origins: [], places: [2], sentiments: ['negative', 'unread'], range: null },
      'Open entries of every kind about anything on all channels from Dunmarrow, assigned to me or nobody, any wish, negative and sentiment unknown, any words, at any time, most pressing first',
    ],
    [
      {
        state: 'any',
        givenTo: 3,
        words: 'late',
        range: { from: '2026-11-10', to: '2026-11-24' },
        order: 'newest',
      },
      'Open and done entries to answer about anything on all channels from all places, assigned to Ivo Oduya, any wish, any sentiment, with "late", from 10 Nov to 24 Nov, newest first',
    ],
    [
      { origins: ['heard'], kinds: ['mention'] },
      'Open mentions and articles about anything on all channels from all places, assigned to me or nobody, any wish, any sentiment, any words, only heard, last 14 days, most pressing first',
    ],
    [
      { range: { last: 1 } },
      'Open entries to answer about anything on all channels from all places, assigned to me or nobody, any wish, any sentiment, any words, last 1 day, most pressing first',
    ],
    [
      { range: { from: '2026-11-10', to: '2026-11-10' }, channels: ['maps'] },
      'Open entries to answer about anything on map listings from all places, assigned to me or nobody, any wish, any sentiment, any words, on 10 Nov, most pressing first',
    ],
  ])('%j', async (part, expected) => expect(await say(part)).toBe(expected))
  test('has the words and the order of the reader’s language', async () => {
    expect(await say({ kinds: ['review'] }, 'fr')).toBe(
      "Ouverts : avis à propos de n'importe quoi, sur tous les canaux, de tous les lieux, confiés à moi ou personne, toute demande, tout sentiment, tous les mots, depuis 14 jours, le plus pressant d'abord",
    )
  })
  test('every phrase offers what it could be instead', async () => {
    const { options } = within(await mounting(), () => useLensPhrases(ref(bases.threads)))
    expect(options('places').map((o) => o.label)).toEqual(['Port Ellery', 'Dunmarrow'])
    expect(options('watch').map((o) => o.label)).toEqual(['anything', 'Storm Petrel'])
    expect(options('givenTo').map((o) => o.label)).toEqual([
      'anybody',
      'me',
      'nobody',
      'me or nobody',
      'Tamsin Kerr',
      'Ivo Oduya',
    ])
    expect(options('order').map((o) => o.value)).toEqual(['pressing', 'newest', 'oldest'])
  })
})

describe('due times', () => {
  const now = Date.parse('2026-11-24T12:00:00Z')
  test.each([
    ['2026-11-24T11:42:00Z', '18 min past due', true],
    ['2026-11-24T09:00:00Z', '3 h past due', true],
    ['2026-11-20T12:00:00Z', '4 d past due', true],
    ['2026-11-24T14:30:00Z', 'due 14:30', false],
    ['2026-11-25T09:20:00Z', 'due tomorrow 09:20', false],
    ['2026-11-28T09:00:00Z', 'due 28 Nov', false],
    [null, 'no reply due', false],
  ])('%s is %s', async (at, text, past) =>
    expect(within(await mounting(), useTexts).due(at, now)).toEqual({ text, past }),
  )
})

describe('the list', () => {
  const pages: Record<string, unknown> = {
    'GET /api/entries/count': { count: 3, pastDue: 1 },
    'GET /api/entries?unit=threads&limit=60&after=p2': { rows: [row({ id: 3 })], next: null },
    'GET /api/entries?unit=threads&limit=60': { rows: [row({ id: 1 }), row({ id: 2 })], next: 'p2' },
  }
  test('is fetched page by page to its end', async () => {
    const { calls } = fakeServer(pages)
    const list = within(await mounting(), () => useEntryList(ref<[string, string][]>([['unit', 'threads']])))
    await list.load()
    expect(list.count.value).toEqual({ count: 3, pastDue: 1 })
    await list.more()
    expect(list.rows.value.map((r) => r.id)).toEqual([1, 2, 3])
    const before = calls.length
    await list.more()
    expect(calls).toHaveLength(before)
  })
  test('a late answer never overwrites a newer one', async () => {
    const waiting: ((rows: unknown[]) => void)[] = []
    globalThis.fetch = ((path: string) =>
      new Promise((resolve) => {
        const answer = (rows: unknown[]) =>
          resolve(
            new Response(
              JSON.stringify(
                path.includes('count') ? { count: rows.length, pastDue: 0 } : { rows, next: null },
              ),
            ),
          )
        if (path.includes('count')) answer([])
        else waiting.push(answer)
      })) as typeof fetch
    const query = ref<[string, string][]>([['words', 'old']])
    const list = within(await mounting(), () => useEntryList(query))
    void list.load()
    query.value = [['words', 'new']]
    await nextTick()
    waiting[1]!([row({ id: 22 })])
    await flushPromises()
    waiting[0]!([row({ id: 11 })])
    await flushPromises()
    expect(list.rows.value.map((r) => r.id)).toEqual([22])
  })
})

test('many notices in a short time are one', async () => {
  let calls = 0
  const act = gathered(() => calls++, 5)
  for (let i = 0; i < 10; i++) act()
  await new Promise((resolve) => setTimeout(resolve, 20))
  expect(calls).toBe(1)
})

test('the strip takes back what was done last, once', async () => {
  await mounting()
  const undo = useUndo()
  const done: string[] = []
  undo.tell({ text: 'Finished', undo: async () => void done.push('first') })
  undo.tell({ text: 'Set aside', undo: async () => void done.push('second') })
  await undo.undo()
  await undo.undo()
  expect(done).toEqual(['second'])
  expect(undo.notice).toBeNull()
})

test.each([
  ['owner', { answer: true, watch: true, setUp: true, import: true }],
  ['specialist', { answer: true, watch: true, setUp: false, import: true }],
  ['placeManager', { answer: true, watch: false, setUp: false, import: false }],
  ['reader', { answer: false, watch: false, setUp: false, import: false }],
] as const)('the interface offers a %s %j', async (role, rights) => {
  await mounting({ role })
  const { useBrand } = await import('../src/stores/brand.ts')
  const brand = useBrand()
  expect(
    Object.fromEntries(Object.keys(rights).map((right) => [right, brand.may(right as 'answer')])),
  ).toEqual(rights)
})
