import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { nextTick } from 'vue'
import { describe, expect, test } from 'vitest'
import {
  customerColumns,
  problemOf,
  type ImportState,
  type ProfileAnswer,
  type TideAnswer,
} from '@murrabel/contract'
import LensLine from '../src/parts/LensLine.vue'
import TideBars from '../src/parts/TideBars.vue'
import TideLine from '../src/parts/TideLine.vue'
import UndoStrip from '../src/parts/UndoStrip.vue'
import VolumeChart from '../src/parts/VolumeChart.vue'
import ImportPage from '../src/sections/imports/ImportPage.vue'
import ProfilesPage from '../src/sections/profiles/ProfilesPage.vue'
import SignInPage from '../src/sections/signIn/SignInPage.vue'
import TermList from '../src/parts/TermList.vue'
import { bases } from '../src/composables/useLens.ts'
import { useUndo } from '../src/stores/undo.ts'
import { button, keep, useStage } from './stage.ts'
import { brandAnswer, fakeServer, mounting } from './support.ts'

useStage()

const bucket = (at: string, positive: number, negative = 0) => ({
  at,
  positive,
  neutral: 0,
  negative,
  unread: 0,
})
const tide: TideAnswer = {
  unit: 'day',
  usual: { low: 1, high: 4, periods: 28 },
  buckets: [
    bucket('2026-11-22T00:00:00Z', 2),
    bucket('2026-11-23T00:00:00Z', 0),
    bucket('2026-11-24T00:00:00Z', 1, 3),
  ],
}

describe('the lens line', () => {
  test('says the sentence and the counts, and gives each phrase a door', async () => {
    const html = mount(LensLine, {
      ...(await mounting()),
      props: { lens: bases.threads, count: { count: 1247, pastDue: 6, notSent: 0 } },
    })
    expect(html.find('[data-test="count"]').text()).toBe('1,247 threads, 6 past due')
    expect(html.findAll('[data-field]').map((b) => b.attributes('data-field'))).toEqual([
      'state',
      'kinds',
      'watch',
      'channels',
      'places',
      'givenTo',
      'wishes',
      'sentiments',
      'words',
      'range',
      'order',
    ])
  })
})

describe('the tide line', () => {
  const strip = async () => {
    const html = mount(TideLine, {
      ...(await mounting()),
      props: { lens: { ...bases.threads, range: { last: 1 } }, tide, loading: false },
    })
    await nextTick()
    return html
  }
  test('names every bar and says what is usual', async () => {
    const html = await strip()
    expect(html.findAll('[data-test="bar"] title').map((title) => title.text())).toEqual([
      'Sun 22 Nov: 2 in the lens',
      'Mon 23 Nov: 0 in the lens',
      'Tue 24 Nov: 4 in the lens',
    ])
    expect(html.text()).toContain('usually 1–4 a day')
    expect(html.text()).toContain('24 Nov')
  })
  test('draws in full what is chosen, and pale what is not, as high as it counts', async () => {
    const html = mount(TideBars, {
      ...(await mounting()),
      props: { tide, behind: null, usual: null, shown: [2, 2], width: 90, height: 58 },
    })
    await nextTick()
    const heights = (name: string) => {
      const path = html.find(`path.${name}`)
      return path.exists()
        ? [...path.attributes('d')!.matchAll(/v-([\d.]+)/g)].map(([, px]) => Number(px))
        : []
    }
    // Four at most: 52 pixels. Of the first day two, of the chosen one three and one.
    const [full, pale] = [':not(.pale)', '.pale'].map((kind) =>
      ['positive', 'neutral', 'negative'].map((mood) => heights(mood + kind)),
    )
    expect([full!.flat().sort(), pale!.flat()]).toEqual([[13, 39], [26]])
  })
  const handles = async () => {
    const html = await strip()
    return { html, first: html.find('[role="slider"].first'), last: html.find('[role="slider"].last') }
  }
  test('a range has two ends that say where they are and how far they go', async () => {
    const { first, last } = await handles()
    const told = ['aria-label', 'aria-valuetext', 'aria-valuemin', 'aria-valuenow', 'aria-valuemax']
    expect(told.map((name) => first.attributes(name))).toEqual([
      'First day of the range',
      '24 Nov',
      '0',
      '2',
      '2',
    ])
    expect(told.map((name) => last.attributes(name))).toEqual([
      'Last day of the range',
      '24 Nov',
      '2',
      '2',
      '2',
    ])
  })
  test.each([
    ['first', 'ArrowLeft', false, { from: '2026-11-23', to: '2026-11-24' }],
    ['last', 'ArrowLeft', true, { from: '2026-11-23', to: '2026-11-23' }],
    ['first', 'Escape', false, null],
  ] as const)('the %s end: %s changes the time', async (end, key, shiftKey, expected) => {
    const { html, ...ends } = await handles()
    await ends[end].trigger('keydown', { key, shiftKey })
    expect(html.emitted('range')).toEqual([[expected]])
  })
  test('at the end it moves no further', async () => {
    const { html, last } = await handles()
    await last.trigger('keydown', { key: 'ArrowRight' })
    expect(html.emitted('range')).toBeUndefined()
  })
})

test('a chart has a table of the same figures, and each row opens what the bar opens', async () => {
  const html = mount(VolumeChart, { ...(await mounting()), props: { tide, caption: 'Mentions by day' } })
  expect(html.findAll('[data-test="volume-bar"]').map((b) => b.attributes('data-total'))).toEqual([
    '2',
    '0',
    '4',
  ])
  await html.findAll('[data-test="volume-bar"]')[2]!.trigger('click')
  await button(html, 'Table').trigger('click')
  expect(html.findAll('tbody tr').map((r) => r.findAll('td').map((d) => Number(d.text())))).toEqual([
    [0, 0, 2, 0, 2],
    [0, 0, 0, 0, 0],
    [3, 0, 1, 0, 4],
  ])
  await html.findAll('tbody button')[2]!.trigger('click')
  expect(html.emitted('open')).toEqual([[2], [2]])
})

test('the strip at the bottom offers the way back', async () => {
  const around = await mounting()
  const html = mount(UndoStrip, around)
  const undo = useUndo()
  let back = 0
  undo.tell({ text: 'Finished', undo: async () => void back++ })
  await nextTick()
  expect(html.text()).toContain('Finished')
  await html.find('button').trigger('click')
  await nextTick()
  expect([back, html.find('button').exists()]).toEqual([1, false])
})

describe('signing in', () => {
  const page = async (path = '/sign-in') => {
    const around = await mounting({ path })
    return { html: mount(SignInPage, around), ...around }
  }
  const fill = async (html: VueWrapper, email: string, password: string) => {
    await html.find('#email').setValue(email)
    await html.find('#password').setValue(password)
    await html.find('form').trigger('submit')
    await flushPromises()
  }
  test('is checked before it is sent', async () => {
    const { calls } = fakeServer({})
    const { html } = await page()
    await fill(html as VueWrapper, 'nobody', '')
    expect(html.findAll('.wrong p').map((w) => w.text())).toEqual([
      'enter a valid e-mail address',
      'enter your password',
    ])
    expect(calls.filter(({ method }) => method !== 'GET')).toHaveLength(0)
  })
  test('leads on to where one wanted to be, and nowhere else', async () => {
    fakeServer({ 'POST /api/session': brandAnswer(), 'GET /api/entries/count': { count: 0, pastDue: 0 } })
    for (const [to, landed] of [
      ['/watch?watch=4', '/watch?watch=4'],
      ['//elsewhere.example', '/today'],
      ['https://elsewhere.example', '/today'],
    ]) {
      const { html, router } = await page(`/sign-in?to=${encodeURIComponent(to!)}`)
      await fill(html as VueWrapper, 'a@b.example', 'x')
      expect(router.currentRoute.value.fullPath).toBe(landed)
    }
  })
  test('a demo shows what it holds beside it', async () => {
    const bucket = { at: '2026-11-24T00:00:00Z', positive: 2, neutral: 0, negative: 1, unread: 0 }
    fakeServer({
      'GET /api/welcome': {
        demo: {
          brand: 'Skerrivane Ferries',
          entries: 1307,
          channels: 7,
          days: [bucket],
          said: [
            {
              id: 1,
              text: 'Booked in two minutes.',
              author: 'Xenia Strand',
              network: 'wherabout',
              at: bucket.at,
              sentiment: 'positive',
            },
          ],
        },
      },
    })
    const { html } = await page()
    await flushPromises()
    const shown = html.find('[data-test="welcome"]')
    expect(shown.text()).toContain('Skerrivane Ferries, last 1 days: 1,307 entries on 7 channels')
    expect(shown.find('blockquote').text()).toContain('Xenia Strand, Wherabout, 24 Nov')
    expect(shown.findAll('rect').filter((bar) => Number(bar.attributes('height')) > 0).length).toBe(2)
  })
  test('a refusal is told in words', async () => {
    fakeServer({ 'POST /api/session': () => ({ status: 401, body: problemOf('signInFailed') }) })
    const { html } = await page()
    await fill(html as VueWrapper, 'a@b.example', 'x')
    expect(html.find('[role="alert"]').text()).toContain('do not belong together')
  })
})

describe('the terms of a watch', () => {
  const terms = async (modelValue: { text: string; prefix?: boolean }[] = []) => {
    const html = mount(TermList, {
      ...(await mounting()),
      props: {
        modelValue,
        label: 'Any of these',
        'onUpdate:modelValue': (value: { text: string }[]) => html.setProps({ modelValue: value }),
      },
    })
    return html
  }
  test('are taken one by one, pasted in lines, and each once', async () => {
    const html = await terms()
    const type = async (text: string) => {
      await html.find('input').setValue(text)
      await html.find('input').trigger('keydown', { key: 'Enter' })
    }
    await type('storm petrel')
    await type('grey heron, storm petrel;ferr*')
    await type('   ')
    expect(html.props('modelValue')).toEqual([
      { text: 'storm petrel' },
      { text: 'grey heron' },
      { text: 'ferr', prefix: true },
    ])
  })
  test('are taken away by their cross or from the end', async () => {
    const html = await terms([{ text: 'one' }, { text: 'two' }, { text: 'three' }])
    await html.find('[aria-label="Remove one"]').trigger('click')
    await html.find('input').trigger('keydown', { key: 'Backspace' })
    expect(html.props('modelValue')).toEqual([{ text: 'two' }])
  })
  test('show their options by a sign', async () => {
    const html = await terms([{ text: 'ferr', prefix: true }])
    expect(html.find('.name small').text()).toBe('…')
  })
})

describe('the profiles', () => {
  const profile = (more: Partial<ProfileAnswer>): ProfileAnswer => ({
    id: 1,
    channel: 'maps',
    network: 'wherabout',
    name: 'Skerrivane Ferries, Dunmarrow',
    placeId: 2,
    url: null,
    address: null,
    status: 'connected',
    historyDone: 5,
    historyTotal: 5,
    entries: 5,
    apart: 0,
    collectedAt: '2026-11-24T09:00:00Z',
    error: null,
    capabilities: { reply: true, live: true, search: false },
    ...more,
  })
  const page = async (
    profiles: ProfileAnswer[],
    path = '/set-up/profiles',
    role: 'owner' | 'specialist' = 'owner',
  ) => {
    const server = fakeServer({
      'GET /api/profiles': profiles,
      'GET /api/networks': [
        {
          network: 'wherabout',
          name: 'Wherabout',
          channel: 'maps',
          accounts: true,
          search: false,
          connectedProfiles: 0,
          searched: false,
        },
      ],
      'POST /api/profiles/feeds': () => ({
        status: 422,
        body: problemOf('feedUnreadable', {
          fields: [{ field: 'address', code: 'x', message: 'This is not XML.' }],
        }),
      }),
      'POST /api/profiles/1/collect': undefined,
    })
    const html = mount(ProfilesPage, await mounting({ path, role }))
    keep(html)
    await flushPromises()
    return { html, ...server }
  }
  test('say their state, with what can be done about it', async () => {
    const { html } = await page([
      profile({}),
      profile({ id: 2, status: 'collecting', historyDone: 200, historyTotal: 800 }),
      profile({ id: 3, status: 'expired', error: 'The network no longer accepts the key.' }),
      profile({ id: 4, status: 'disconnected' }),
    ])
    const rows = html.findAll('tbody tr')
    expect(rows.map((r) => r.find('[data-test="status"]').text())).toEqual([
      'connected',
      'fetching history',
      'key expired',
      'disconnected',
    ])
    expect(rows[1]!.text()).toContain('200 of 800')
    expect(rows.map((r) => r.findAll('.actions button').map((b) => b.text()))).toEqual([
      ['Check now', 'Disconnect'],
      ['Check now', 'Disconnect'],
      ['Renew the key', 'Disconnect'],
      ['Connect again'],
    ])
  })
  test('none yet says how the first one is connected', async () => {
    expect((await page([])).html.text()).toContain('No profiles connected yet.')
  })
  test('the way back from a network ends in words', async () => {
    expect((await page([profile({})], '/set-up/profiles?connected=1,2')).html.text()).toContain(
      '2 profiles connected.',
    )
    expect(
      (await page([profile({})], '/set-up/profiles?problem=oauthRefused')).html.find('[role="alert"]').text(),
    ).toContain('did not grant access')
    expect(
      (await page([profile({})], '/set-up/profiles?problem=constructor')).html
        .find('[role="alert"]')
        .exists(),
    ).toBe(false)
  })
  test('a feed that cannot be read is told beside the field, which keeps its address', async () => {
    const { html } = await page([])
    await html.find('.feed input').setValue('https://a.example/feed')
    await html.find('.feed').trigger('submit')
    await flushPromises()
    expect(html.find('[role="alert"]').text()).toContain('This is not XML.')
    expect((html.find('.feed input').element as HTMLInputElement).value).toBe('https://a.example/feed')
  })
  test('a specialist looks and connects nothing', async () => {
    const { html } = await page([profile({})], '/set-up/profiles', 'specialist')
    expect(html.text()).toContain('Only owners and leads can connect profiles.')
    expect(html.findAll('.actions button')).toHaveLength(0)
  })
})

describe('importing', () => {
  const state = (more: Partial<ImportState> = {}): ImportState => ({
    id: 8,
    kind: 'reviews',
    name: 'old.csv',
    state: 'draft',
    customers: null,
    reviews: {
      columns: [
        { name: 'Stars', sample: ['5'] },
        { name: 'Review', sample: ['Kind'] },
      ],
      rows: 2,
      separator: ';',
      mapping: { text: 'Review', rating: 'Stars' },
      dates: { ambiguous: 0, order: null, sample: [] },
      swallowed: [],
    },
    history: null,
    feed: null,
    asked: null,
    done: 0,
    total: null,
    added: 0,
    known: 0,
    refused: 0,
    problems: [],
    error: null,
    at: '2026-11-24T09:00:00Z',
    ...more,
  })
  const refused = {
    refused: 1,
    total: 1,
    problems: [{ line: 3, field: 'rating', reason: 'rowRating' as const, value: '7' }],
  }
  const open = async (answers: Parameters<typeof fakeServer>[0]) => {
    const { calls } = fakeServer({
      'GET /api/imports/8': state(),
      'GET /api/imports': [],
      'GET /api/brand': brandAnswer(),
      'DELETE /api/imports/8': undefined,
      ...answers,
    })
    const html = mount(ImportPage, await mounting({ path: '/set-up/import' }))
    keep(html)
    await flushPromises()
    const choose = async (bytes: BlobPart) => {
      const input = html.find('input[type="file"]').element as HTMLInputElement
      Object.defineProperty(input, 'files', { value: [new File([bytes], 'old.csv')], configurable: true })
      await html.find('input[type="file"]').trigger('change')
      await flushPromises()
      await flushPromises()
    }
    return { html, calls, choose }
  }
  test('reads old spreadsheets in Latin-1, shows the guess, and takes nothing while rows stand in the way', async () => {
    let started = 0
    const { html, calls, choose } = await open({
      'POST /api/imports/8/start': () => ({
        body:
          ++started === 1 ? state(refused) : state({ ...refused, state: 'done', added: 1, reviews: null }),
      }),
      'POST /api/imports': state(),
    })
    await choose(new Uint8Array([...'Stars;Review\n5;caf'].map((c) => c.charCodeAt(0)).concat(0xe9)))
    const sent = calls.find(({ method, path }) => method === 'POST' && path.startsWith('/api/imports?'))!
    expect(sent.path).toContain('kind=reviews&name=old.csv')
    expect(sent.body).toContain('café')
    expect(html.text()).toContain('2 rows, separated by semicolons')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls.at(-1)!.body).toMatchObject({ mapping: { text: 'Review', rating: 'Stars' }, anyway: false })
    expect(html.find('[data-test="sent-back"]').text()).toContain('1 row cannot be used')
    expect(html.findAll('td').map((d) => d.text())).toEqual(
      expect.arrayContaining(['3', 'Rating (1 to 5)', 'a rating is a number from 1 to 5', '7']),
    )
    await html.findAll('.buttons button')[1]!.trigger('click')
    await flushPromises()
    expect(calls.filter(({ path }) => path.endsWith('/start')).at(-1)!.body).toMatchObject({ anyway: true })
    expect(html.find('[data-test="import-result"]').text()).toContain('1 added, 0 already there, 1 refused')
  })
  test('what was mapped by hand is kept when rows are sent back', async () => {
    const fields = ['text', 'rating', 'at', 'author', 'title', 'place', 'outsideId', 'url']
    const mapping = {
      ...Object.fromEntries(fields.map((name) => [name, null])),
      author: 'Review',
      rating: 'Stars',
    }
    const asked = { mapping, dateOrder: 'dayFirst', anyway: false } as ImportState['asked']
    const { html, calls, choose } = await open({
      'POST /api/imports': state({ ...refused, asked }),
      'POST /api/imports/8/start': state({ state: 'running' }),
    })
    await choose('Stars;Review')
    await html.findAll('.buttons button')[1]!.trigger('click')
    await flushPromises()
    expect(calls.filter(({ path }) => path.endsWith('/start')).at(-1)!.body).toEqual({
      ...asked,
      customers: Object.fromEntries(customerColumns.map((name) => [name, null])),
      country: null,
      profileId: null,
      anyway: true,
    })
  })
  test('dates that can be read in two ways are asked about before anything begins', async () => {
    const reviews = {
      ...state().reviews!,
      mapping: { text: 'Review', at: 'Stars' },
      dates: { ambiguous: 4, order: null, sample: ['03/04/2026'] },
    }
    const { html, calls, choose } = await open({
      'POST /api/imports/8/start': state({ state: 'running', total: 2, done: 1 }),
      'POST /api/imports': state({ reviews }),
    })
    await choose('x')
    expect(html.find('[data-test="date-order"]').text()).toContain('03/04/2026')
    const go = html.find('button[type="submit"]')
    expect(go.attributes('disabled')).toBeDefined()
    await html.findAll('[data-test="date-order"] input')[1]!.setValue(true)
    expect(go.attributes('disabled')).toBeUndefined()
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls.find(({ path }) => path.endsWith('/start'))!.body).toMatchObject({ dateOrder: 'monthFirst' })
    expect(html.find('[data-test="import-running"]').text()).toContain('1 of 2')
  })
  test('a file that is no table is refused, and another can be chosen', async () => {
    const { html, choose } = await open({
      'POST /api/imports': () => ({
        status: 422,
        body: problemOf('csvUnreadable', {
          fields: [{ field: 'document', code: 'x', message: 'There are no rows under the heading.' }],
        }),
      }),
    })
    await choose('a,b')
    expect(html.find('[role="alert"]').text()).toContain('There are no rows under the heading.')
    expect(html.find('form').exists()).toBe(false)
  })
  test('a feed file shows what it holds before it is brought in', async () => {
    const { html, choose } = await open({
      'POST /api/imports': state({
        kind: 'feed',
        reviews: null,
        feed: {
          format: 'atom',
          title: 'Orrin Gazette',
          entries: 3,
          undated: 1,
          sample: [{ title: 'Fares to rise', at: '2026-11-24T09:00:00Z' }],
        },
      }),
    })
    await html.findAll('input[type="radio"]')[1]!.setValue(true)
    await choose('<feed/>')
    expect(html.text()).toContain('3 articles of “Orrin Gazette” (ATOM)')
    expect(html.text()).toContain('1 has no date')
    expect(html.text()).toContain('Fares to rise')
  })
  test('a reader may not', async () => {
    fakeServer({})
    expect(mount(ImportPage, await mounting({ role: 'reader' })).text()).toContain(
      'Your role cannot import files.',
    )
  })
})
