import { flushPromises, mount } from '@vue/test-utils'
import fc from 'fast-check'
import { defineComponent, h, nextTick } from 'vue'
import { afterEach, describe, expect, test, vi } from 'vitest'
import type { TideAnswer } from '@murrabel/contract'
import FiguresView from '../src/sections/watches/FiguresView.vue'
import OutageNote from '../src/sections/watches/OutageNote.vue'
import { placePhrases } from '../src/sections/watches/phraseLayout.ts'
import { treeRows } from '../src/sections/watches/watchTree.ts'
import { chance } from '../src/sections/watches/watchFigures.ts'
import WatchList from '../src/sections/watches/WatchList.vue'
import WatchPage from '../src/sections/watches/WatchPage.vue'
import WatchSheet from '../src/sections/watches/WatchSheet.vue'
import AlertSheet from '../src/sections/alerts/AlertSheet.vue'
import { useBrand } from '../src/stores/brand.ts'
import { useUndo } from '../src/stores/undo.ts'
import { button, clear, keep, useStage } from './stage.ts'
import { brandAnswer, fakeServer, mounting, row } from './support.ts'
import { figuresOf, groupOf, phraseOf, summariesOf, tunedOf, watchOf } from './watchSupport.ts'

useStage({ sizes: true })
afterEach(() => vi.useRealTimers())

describe('the tree of watches', () => {
  const groups = [groupOf(1), groupOf(2, { parentId: 1 }), groupOf(3)]
  const watches = [watchOf({ id: 10 }), watchOf({ id: 11, groupId: 1 }), watchOf({ id: 12, groupId: 2 })]
  const shown = (closed: number[] = []) =>
    treeRows(groups, watches, new Set(closed)).map((r) =>
      r.kind === 'group' ? `g${r.group.id}` : r.watch.id,
    )
  test('has what lies in no group first, then each group with what lies in it', () =>
    expect(shown()).toEqual([10, 'g1', 'g2', 12, 11, 'g3']))
  test('a closed group hides what lies in it and counts it all the same', () => {
    expect(shown([1])).toEqual([10, 'g1', 'g3'])
    const [, first] = treeRows(groups, watches, new Set([1]))
    expect(first).toMatchObject({ watches: 2 })
  })
  test('no watch is ever lost, whatever its group', () =>
    fc.assert(
      fc.property(fc.array(fc.option(fc.integer({ min: 1, max: 9 })), { maxLength: 20 }), (of) => {
        const list = of.map((groupId, i) => watchOf({ id: 100 + i, groupId }))
        const found = treeRows(groups, list, new Set()).flatMap((r) =>
          r.kind === 'watch' ? [r.watch.id] : [],
        )
        expect(found.sort()).toEqual(list.map((w) => w.id).sort())
      }),
    ))
})

describe('the phrase map', () => {
  const measure = (text: string, size: number) => text.length * size * 0.5
  const field = { width: 900, height: 206, measure }
  test('puts sour to the left, sweet to the right, and the most distinctive largest', () => {
    const placed = placePhrases(
      [
        phraseOf('not sailing', { z: 20 }),
        phraseOf('dogs on deck', { z: 5, net: { net: 1, low: 0.6, high: 1, n: 20 } }),
      ],
      field,
    )
    expect(placed[0]!.x).toBeLessThan(450)
    expect(placed[1]!.x).toBeGreaterThan(450)
    expect(placed[0]!.size).toBeGreaterThan(placed[1]!.size)
  })
  test('never lays two over each other, nor out of the field', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            z: fc.double({ min: 2, max: 60, noNaN: true }),
            net: fc.double({ min: -1, max: 1, noNaN: true }),
            n: fc.integer({ min: 1, max: 90 }),
            length: fc.integer({ min: 1, max: 24 }),
          }),
          { maxLength: 40 },
        ),
        (list) => {
          const placed = placePhrases(
            list.map(({ z, net, n, length }, i) =>
              phraseOf(`${'x'.repeat(length)}${i}`, { z, net: { net, low: net, high: net, n } }),
            ),
            field,
          )
          for (const [i, a] of placed.entries()) {
            expect(a.x - a.width / 2).toBeGreaterThanOrEqual(0)
            expect(a.x + a.width / 2).toBeLessThanOrEqual(field.width)
            expect(a.y).toBeLessThanOrEqual(field.height)
            for (const b of placed.slice(i + 1)) {
              const beside = Math.abs(a.x - b.x) >= (a.width + b.width) / 2
              const above = Math.abs(a.y - b.y) >= 0.85 * Math.min(a.size, b.size)
              expect(beside || above).toBe(true)
            }
          }
        },
      ),
    ))
  test('without a net sentiment nothing is placed', () =>
    expect(placePhrases([phraseOf('x', { net: null })], field)).toEqual([]))
})

test.each([
  [0.001, '1 : 1000'],
  [7.7e-52, '1 : 1000000000'],
  [1 / 45_678, '1 : 45000'],
])('a chance of %s is told as %s', (p, text) => expect(chance(p, String)).toBe(text))

test('the list of watches says how each stands, and how far its history is read', async () => {
  const around = await mounting()
  useBrand().answer!.watches.push(watchOf({ id: 5, name: 'Maren', historyDone: 4000, historyTotal: 9000 }))
  const html = keep(
    mount(WatchList, { ...around, props: { summaries: summariesOf(), watch: 4, group: null } }),
  )
  const texts = html.findAll('.watch').map((w) => w.text().replace(/\s+/g, ' '))
  expect(texts[0]).toContain('4, above usual')
  expect(texts[0]).toContain('net −50')
  expect(texts[1]).toContain('searching past entries: 4,000 of 9,000')
  await html.findAll('.watch')[1]!.trigger('click')
  await button(html, 'New watch').trigger('click')
  expect(html.emitted('choose')).toEqual([[{ watch: 5, group: null }]])
  expect(html.emitted('create')).toHaveLength(1)
})

const tide: TideAnswer = {
  unit: 'day',
  usual: null,
  buckets: [{ at: '2026-11-24T00:00:00Z', positive: 1, neutral: 0, negative: 2, unread: 1 }],
}

describe('the figures', () => {
  const view = async () =>
    keep(mount(FiguresView, { ...(await mounting()), props: { figures: figuresOf(), chart: tide } }))
  test('are doors: channel, language, place, hour, aspect and mood', async () => {
    const html = await view()
    for (const bar of html.findAll('.bars button')) await bar.trigger('click')
    await html.findAll('.grid button')[14]!.trigger('click')
    const aspect = html.find('[data-test="aspect"]')
    await aspect.findAll('button')[0]!.trigger('click')
    await aspect.findAll('button')[1]!.trigger('click')
    expect(html.emitted('open')!.map(([part]) => part)).toEqual([
      { channels: ['maps'] },
      { languages: ['en'] },
      { places: [2] },
      { weekHour: 14 },
      { aspect: { id: 1, sentiment: null } },
      { aspect: { id: 1, sentiment: 'negative' } },
    ])
  })
  test('what was not collected is hatched, told, and left out of a direction', async () => {
    const outages = [
      {
        account: 'Orrin Gazette',
        network: 'feed',
        share: 0.4,
        from: '2026-11-24T06:00:00Z',
        to: '2026-11-24T18:00:00Z',
      },
      { account: 'Ferries', network: 'skimmer', share: 0.3, from: '2026-11-24T12:00:00Z', to: null },
    ]
    const { direction } = figuresOf()
    const figures = figuresOf({ outages, direction: { ...direction, missed: [true, false] } })
    const twoDays = {
      ...tide,
      buckets: [...tide.buckets, { ...tide.buckets[0]!, at: '2026-11-25T00:00:00Z' }],
    }
    const html = keep(mount(FiguresView, { ...(await mounting()), props: { figures, chart: twoDays } }))
    await nextTick()
    const bands = html.findAll('[data-test="outage-band"]').map((band) => ({
      x: Number(band.attributes('x')),
      width: Number(band.attributes('width')),
      title: band.text(),
    }))
    const step = Number(html.findAll('.hand')[0]!.attributes('width'))
    expect(step).toBeGreaterThan(0)
    expect(bands.map(({ title }) => title)).toEqual([
      'Orrin Gazette was not collected here',
      'Ferries was not collected here',
    ])
    expect(bands[0]!.width).toBeCloseTo(step / 2)
    expect(bands[1]!.x - bands[0]!.x).toBeCloseTo(step / 4)
    expect(bands[1]!.width).toBeCloseTo(1.5 * step)
    expect(html.text()).toContain('1 week left out, since it was not fully collected')
    const note = keep(mount(OutageNote, { ...(await mounting()), props: { outages } }))
    expect(note.text()).toContain('Orrin Gazette was not collected from')
    expect(note.text()).toContain('usually brings 40%')
    expect(note.text()).toContain('Ferries (Skimmer) has not been collected since')
    expect(note.find('a').attributes('href')).toBe('/set-up/profiles')
  })
  test('every chart has its table', async () => {
    const html = await view()
    const tables = html.findAll('button').filter((b) => b.text() === 'Table')
    expect(tables.length).toBe(html.findAll('figure').length)
    for (const each of tables) await each.trigger('click')
    expect(html.findAll('figure').every((f) => f.find('table').exists())).toBe(true)
  })
})

describe('the page', () => {
  const open = async (path = '/watch?watch=4', { rows = [row({ id: 1 }), row({ id: 2 })] } = {}) => {
    const server = fakeServer({
      'GET /api/entries/count': { count: 2, pastDue: 0 },
      'GET /api/entries': { rows, next: null },
      'GET /api/tide': tide,
      'GET /api/watches/summaries': summariesOf(),
      'GET /api/watches/figures': figuresOf(),
      'GET /api/watches/phrases': {
        phrases: [phraseOf('not sailing')],
        entries: 40,
        against: 400,
        background: 'before',
        backgroundDays: 168,
        cut: false,
      },
      'PUT /api/entries/sentiment': (body: unknown) => ({
        body: { changed: (body as { ids: number[] }).ids.map((id) => ({ id, before: 'negative' })) },
      }),
      'DELETE /api/watches/4': undefined,
      'POST /api/watches/4/restore': watchOf(),
      'GET /api/watches': [],
      'GET /api/groups': [],
    })
    const around = await mounting({ path })
    // The DOM here has no sizes, so a virtual list would show nothing: every row is shown.
    const VirtualList = defineComponent({
      inheritAttrs: false,
      props: { rows: { type: Array, required: true } },
      emits: ['end'],
      setup:
        (props, { slots }) =>
        () =>
          h(
            'div',
            props.rows.map((each) => slots.default?.({ row: each })),
          ),
    })
    const global = { ...around.global, stubs: { VirtualList } }
    const html = keep(mount(WatchPage, { global, attachTo: document.body }))
    await flushPromises()
    return { html, at: () => around.router.currentRoute.value.query, ...server }
  }
  test('shows the watch of the address, or everything', async () => {
    expect((await open()).html.find('h2').text()).toBe('Storm Petrel')
    clear()
    expect((await open('/watch')).html.find('h2').text()).toBe('All mentions')
  })
  test('its figures say what is usual and what is sure; a phrase opens its entries', async () => {
    const { html, at } = await open()
    expect(html.find('[data-test="mentions"]').text()).toBe('4')
    expect(html.text()).toContain('above the usual 0–3')
    expect(html.text()).toContain('clearly down, by 83 points')
    expect(html.find('[data-test="independent"]').text()).toBe('13 read, about 4 independent')
    await html.find('[data-test="phrase"]').trigger('click')
    await flushPromises()
    expect(at()).toMatchObject({ phrase: 'not sailing', view: 'mentions' })
  })
  test('a mention is judged by key, and given back as it was', async () => {
    const { calls } = await open('/watch?watch=4&view=mentions')
    for (const key of ['j', '+'])
      window.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }))
    await flushPromises()
    const judged = () => calls.filter((c) => c.method === 'PUT').map((c) => c.body)
    expect(judged()).toEqual([{ ids: [1], sentiment: 'positive' }])
    await useUndo().undo()
    await flushPromises()
    // Nobody had judged it before: the machine has it back.
    expect(judged()[1]).toEqual({ ids: [1], sentiment: null })
  })
  test('many are judged at once', async () => {
    const { html, calls } = await open('/watch?watch=4&view=mentions')
    for (const box of html.findAll('.choose')) await box.trigger('click')
    expect(html.find('[data-test="chosen"]').text()).toContain('2 selected')
    await button(html.find('[data-test="chosen"]'), 'neutral').trigger('click')
    await flushPromises()
    expect(calls.find((c) => c.method === 'PUT')!.body).toEqual({ ids: [1, 2], sentiment: 'neutral' })
  })
  test('copies stand behind one row and open as a story', async () => {
    const { html, at } = await open('/watch?watch=4&view=mentions', {
      rows: [row({ id: 1, storyId: 70, copies: 6 })],
    })
    expect(html.text()).toContain('3 copies of stories folded')
    await html.find('[data-test="copies"]').trigger('click')
    await flushPromises()
    expect(at().story).toBe('70')
  })
})

describe('the sheet of a watch', () => {
  const sheet = async (props: object = {}) => {
    const html = keep(
      mount(WatchSheet, {
        ...(await mounting()),
        props: { modelValue: true, ...props },
        attachTo: document.body,
      }),
    )
    await flushPromises()
    const body = () => document.querySelector('.watch-sheet')!
    const press = async (text: string) => {
      ;[...body().querySelectorAll('button')].find((b) => b.textContent?.trim() === text)!.click()
      await flushPromises()
    }
    const type = async (index: number, text: string) => {
      const input = body().querySelectorAll<HTMLInputElement>('.terms input')[index]!
      input.value = text
      input.dispatchEvent(new Event('input'))
      await nextTick()
    }
    return { html, body, press, type }
  }
  test('asks for something to look for before it asks the server', async () => {
    const { calls } = fakeServer({})
    const { body, press } = await sheet()
    await press('Try it')
    expect(body().querySelector('[role="alert"]')?.textContent).toContain('nothing to look for')
    expect(calls).toHaveLength(0)
  })
  test('a pair of one term is refused where it stands', async () => {
    fakeServer({})
    const watch = watchOf({
      query: {
        ...watchOf().query,
        near: [{ first: { text: 'Maren' }, second: { text: 'maren' }, within: 'sentence' }],
      },
    })
    const { body, press } = await sheet({ editing: watch })
    await press('Try it')
    expect(body().textContent).toContain('cannot be near itself')
  })
  test('takes what is still in the field, shows what it would catch, and says when that has aged', async () => {
    const { calls } = fakeServer({ 'POST /api/watches/tuner': tunedOf() })
    const { body, press, type } = await sheet()
    await type(0, 'storm petrel')
    await press('Try it')
    expect(calls[0]!.body).toMatchObject({ query: { anyOf: [{ text: 'storm petrel' }] } })
    expect(body().textContent).toContain('2 hits among 1,711 entries of the last 90 days')
    expect(body().textContent).toContain('Mark 10 more')
    expect(body().querySelector('mark')?.textContent).toBe('Storm Petrel')
    await type(2, 'bird')
    body().querySelectorAll<HTMLInputElement>('.terms input')[2]!.dispatchEvent(new Event('blur'))
    await nextTick()
    expect(body().textContent).toContain('The terms have changed since the last try.')
  })
  test('hits are marked with two keys, and a proposal is applied and taken back', async () => {
    const exclusion = { term: 'bay', offTopicRemoved: 1, onTopicLost: 0, removed: 1, sample: [] }
    const { calls } = fakeServer({
      'POST /api/watches/tuner': tunedOf({ exclusions: [exclusion] }),
      'PUT /api/watches/4/marks': undefined,
    })
    const { body, press } = await sheet({ editing: watchOf() })
    const sample = body().querySelector('[data-test="sample"]')!
    for (const key of ['y', 'n'])
      sample.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    await flushPromises()
    expect(calls.filter((c) => c.method === 'PUT').map((c) => c.body)).toEqual([
      { marks: [{ entryId: 1, onTopic: true }] },
      { marks: [{ entryId: 2, onTopic: false }] },
    ])
    expect(body().querySelector('.marks .off')).not.toBeNull()
    await press('Exclude')
    const last = () =>
      calls.filter((c) => c.path.endsWith('/tuner')).at(-1)!.body as { query: { noneOf: unknown[] } }
    expect(last().query.noneOf).toEqual([{ text: 'bay' }])
    await useUndo().undo()
    await flushPromises()
    expect(last().query.noneOf).toEqual([])
  })
  test('another sample is marked from its first hit without a mark, not from where the last one ended', async () => {
    const hit = (id: number, onTopic: boolean | null) => ({ ...row({ id }), hits: [], onTopic })
    let sample = [hit(1, null), hit(2, null)]
    const { calls } = fakeServer({
      'POST /api/watches/tuner': () => ({ body: tunedOf({ sample }) }),
      'PUT /api/watches/4/marks': undefined,
    })
    const { body, press } = await sheet({ editing: watchOf() })
    const type = async (keys: string) => {
      for (const key of keys)
        body()
          .querySelector('[data-test="sample"]')!
          .dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
      await flushPromises()
    }
    await type('yn')
    sample = [hit(3, true), hit(4, null), hit(5, null)]
    await press('Try it')
    await type('ny')
    const marked = calls
      .filter((c) => c.method === 'PUT')
      .map((c) => (c.body as { marks: { entryId: number }[] }).marks)
    expect(marked.map(([mark]) => mark!.entryId)).toEqual([1, 2, 4, 5])
  })
  test('saves under its first term when it has no name, and keeps its marks', async () => {
    const saved = brandAnswer().watches[0]!
    const { calls } = fakeServer({
      'POST /api/watches/tuner': tunedOf(),
      'PUT /api/watches/4/marks': undefined,
      'POST /api/watches': saved,
      'GET /api/watches': [saved],
      'GET /api/groups': [],
    })
    const { html, body, press, type } = await sheet()
    await type(0, 'storm petrel')
    await press('Try it')
    body()
      .querySelector('[data-test="sample"]')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'y', bubbles: true, cancelable: true }))
    await press('Save watch')
    expect(calls.find((c) => c.path === '/api/watches' && c.method === 'POST')!.body).toMatchObject({
      name: 'storm petrel',
    })
    expect(calls.find((c) => c.method === 'PUT')!.body).toEqual({ marks: [{ entryId: 1, onTopic: true }] })
    expect(html.emitted('saved')).toEqual([[saved]])
  })
})

describe('the sheet of an alert', () => {
  const open = async (trial: object) => {
    const server = fakeServer({
      'POST /api/alerts/trial': {
        days: 90,
        firings: [],
        begins: 0,
        falseAMonth: 0,
        aDay: 0,
        tooOften: false,
        ...trial,
      },
      'POST /api/alerts': {},
    })
    const html = keep(
      mount(AlertSheet, {
        ...(await mounting()),
        props: { modelValue: true, lens: 'watch=4' },
        attachTo: document.body,
      }),
    )
    await flushPromises()
    const buttonOf = (text: string) =>
      [...document.querySelectorAll('button')].find((b) => b.textContent?.trim() === text)!
    return { html, buttonOf, ...server }
  }
  test('cannot be saved before it was tried', async () => {
    const { html, buttonOf, calls } = await open({
      begins: 1,
      firings: [{ at: Date.now() - 19 * 86_400_000, text: 'A spike: 319 entries' }],
    })
    expect(buttonOf('Save alert').disabled).toBe(true)
    buttonOf('Test on past data').click()
    await flushPromises()
    expect(document.body.textContent).toContain('Would have alerted you 1 time in 90 days')
    buttonOf('Save alert').click()
    await flushPromises()
    expect(calls.at(-1)).toMatchObject({
      path: '/api/alerts',
      body: { lens: 'watch=4', condition: { kind: 'spike' }, name: 'Storm Petrel: A spike' },
    })
    expect(html.emitted('saved')).toHaveLength(1)
  })
  test('one that would tell all day long is not offered to be saved', async () => {
    const { buttonOf } = await open({ begins: 1240, aDay: 13.8, tooOften: true })
    buttonOf('Test on past data').click()
    await flushPromises()
    expect(document.body.textContent).toContain('1,240 times in 90 days')
    expect(document.body.textContent).toContain('too often')
    expect(buttonOf('Save alert').disabled).toBe(true)
  })
})
