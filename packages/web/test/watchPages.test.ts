import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'
import { describe, expect, test } from 'vitest'
import { problemOf } from '@murrabel/contract'
import { blankLens, parseLens } from '@murrabel/core/lens'
import type {
  AlertAnswer,
  CompareAnswer,
  PublicSide,
  RivalRow,
  RivalsAnswer,
  SpikesAnswer,
  TeachingAnswer,
  VoiceAnswer,
} from '@murrabel/contract'
import AlertsPage from '../src/sections/watch/AlertsPage.vue'
import ComparePage from '../src/sections/watch/ComparePage.vue'
import FeedSheet from '../src/sections/watch/FeedSheet.vue'
import GroupSheet from '../src/sections/watch/GroupSheet.vue'
import MarkButtons from '../src/sections/watch/MarkButtons.vue'
import RivalsPage from '../src/sections/watch/RivalsPage.vue'
import SideBySidePage from '../src/sections/watch/SideBySidePage.vue'
import SpikesView from '../src/sections/watch/SpikesView.vue'
import StartSheet from '../src/sections/watch/StartSheet.vue'
import TeachPage from '../src/sections/watch/TeachPage.vue'
import VoicesView from '../src/sections/watch/VoicesView.vue'
import { useBrand } from '../src/stores/brand.ts'
import { useUndo } from '../src/stores/undo.ts'
import { button, isOffered, keep, press, useStage, write } from './stage.ts'
import { brandAnswer, fakeServer, mounting, row } from './support.ts'
import { groupOf, phraseOf, watchOf } from './watchSupport.ts'

useStage({ sizes: true })

type Answers = Parameters<typeof fakeServer>[0]
/** A page on a server that answers so. */
async function open(
  page: Component,
  answers: Answers,
  { path = '/', role, props = {} }: { path?: string; role?: 'reader'; props?: object } = {},
) {
  const server = fakeServer(answers)
  const around = await mounting({ path, role })
  const html: VueWrapper = keep(mount(page, { global: around.global, props, attachTo: document.body }))
  await flushPromises()
  return {
    html,
    at: () => around.router.currentRoute.value,
    body: () => document.body.textContent!.replace(/\s+/g, ' '),
    ...server,
    sent: (method: string, path = '') =>
      server.calls.filter((c) => c.method === method && c.path.startsWith(path)),
  }
}
const range = { from: '2026-10-29T00:00:00Z', to: '2026-11-26T00:00:00Z', days: 28 }
const net = (value: number, half = 0.1, n = 100) => ({ net: value, low: value - half, high: value + half, n })
const level = { difference: 0, low: -1, high: 1, sure: false, ratio: 1 }
const up = { difference: 2, low: 1, high: 3, sure: true, ratio: 1.8 }
const down = { difference: -2, low: -3, high: -1, sure: true, ratio: 0.5 }

describe('two marks beside a hit', () => {
  test('say what they stand at, and pressed again are taken back', async () => {
    const html = mount(MarkButtons, { ...(await mounting()), props: { marked: true } })
    const [onTopic, off] = html.findAll('button')
    expect([onTopic!.attributes('aria-pressed'), off!.attributes('aria-pressed')]).toEqual(['true', 'false'])
    await onTopic!.trigger('click')
    await off!.trigger('click')
    expect(html.emitted('mark')).toEqual([[null], [false]])
  })
})

describe('the rivals', () => {
  const rival = (more: Partial<RivalRow> = {}): RivalRow => ({
    watch: { id: 4, name: 'Storm Petrel' },
    ours: true,
    total: 60,
    usual: { verdict: 'usual', low: 40, high: 80, periods: 6 },
    share: { share: 0.75, low: 0.64, high: 0.84, count: 60, n: 80 },
    net: net(-0.2),
    netChange: level,
    volumeChange: level,
    audience: { voices: 31, before: 30, change: level },
    reach: 4000,
    ...more,
  })
  const side = (more: Partial<PublicSide> = {}): PublicSide => ({
    watchId: null,
    name: 'Skerrivane Ferries',
    ours: true,
    profiles: [],
    stars: [0, 0, 0, 0, 0],
    rating: null,
    ratingToOurs: null,
    followers: null,
    growth: null,
    growthBefore: null,
    posts: null,
    postsChange: null,
    ...more,
  })
  const orrin = rival({
    watch: { id: 7, name: 'Orrin Link' },
    ours: false,
    total: 20,
    usual: { verdict: 'above', low: 3, high: 12, periods: 6 },
    share: { share: 0.25, low: 0.16, high: 0.36, count: 20, n: 80 },
    netChange: down,
    audience: { voices: 19, before: 8, change: up },
  })
  const listing = {
    id: 3,
    watchId: 7,
    network: 'wherabout',
    channel: 'maps',
    name: 'Orrin Link, Inchgarth',
    url: 'http://127.0.0.1/places/orrin',
    lookedAt: '2026-11-25T09:00:00Z',
    problem: null,
  }
  const theirs = side({
    watchId: 7,
    name: 'Orrin Link',
    ours: false,
    profiles: [listing],
    stars: [2, 1, 3, 10, 14],
    rating: { mean: 4.1, low: 3.7, high: 4.5, n: 30 },
    ratingToOurs: { difference: 0.6, low: 0.2, high: 1, sure: true },
    followers: 2210,
    growth: -0.012,
    growthBefore: 0.004,
    posts: 9,
    postsChange: { ...down },
  })
  const answer = (more: Partial<RivalsAnswer> = {}): RivalsAnswer => ({
    range,
    rows: [rival(), orrin],
    sides: [side(), theirs],
    ...more,
  })
  const page = (given = answer(), more: Answers = {}, options = {}) =>
    open(RivalsPage, { 'GET /api/watching/rivals': given, ...more }, options)

  test('each has its figures with intervals, and a plain sentence', async () => {
    const { html } = await page()
    const [ours, other] = html.findAll('[data-test="rival"]').map((r) => r.text().replace(/\s+/g, ' '))
    expect(ours).toContain('75% 64% – 84%')
    expect(ours).toContain('Storm Petrel is talked about as usual; no clear change in how it is felt.')
    expect(other).toContain('more than in the period before (8), sure')
    expect(other).toContain(
      'Orrin Link is talked about more than usual; it is felt worse than in the period before.',
    )
  })
  test('what nobody felt, or has too little past, is not judged', async () => {
    const young = rival({
      net: null,
      netChange: null,
      usual: { verdict: 'tooLittleHistory', low: null, high: null, periods: 1 },
    })
    const { html } = await page(answer({ rows: [young, orrin] }))
    expect(html.find('[data-test="rival"]').text()).toContain(
      'has too little history to say what is usual; nothing that was read tells how it is felt.',
    )
  })
  test('public profiles: ratings, audience and posts, with what is sure', async () => {
    const { html } = await page()
    const [ours, other] = html.findAll('[data-test="public-side"]').map((r) => r.text().replace(/\s+/g, ' '))
    expect(ours).toContain('Skerrivane Ferries: nothing was seen in this time.')
    expect(other).toContain('3.70 – 4.50, 30 ratings')
    expect(other).toContain('2,210−1.2%9')
    expect(other).toContain(
      'Orrin Link: rated above ours, sure; audience −1.2%, +0.4% in the period before; posts less than in the period before.',
    )
  })
  test('a profile that does not answer says so, and why', async () => {
    const lost = { ...listing, problem: 'the address answered 404' }
    const { html } = await page(answer({ sides: [side({ ...theirs, profiles: [lost] })] }))
    expect(html.find('.wrong').text()).toBe('did not answer')
    expect(html.find('.wrong').attributes('title')).toBe('the address answered 404')
  })
  test('one is looked at no more, and again', async () => {
    const { html, sent } = await page(answer(), {
      'DELETE /api/public-profiles/3': undefined,
      'POST /api/public-profiles': listing,
    })
    await html.find('[aria-label="Look at Orrin Link, Inchgarth no more"]').trigger('click')
    await flushPromises()
    expect(sent('DELETE')).toHaveLength(1)
    expect(sent('GET', '/api/watching/rivals')).toHaveLength(2)
    await useUndo().undo()
    await flushPromises()
    expect(sent('POST')[0]!.body).toEqual({ address: listing.url, watchId: 7 })
  })
  test('an address that shows nothing is refused in words, and stays in the field', async () => {
    const { html, body } = await page(answer(), {
      'POST /api/public-profiles': () => ({
        status: 422,
        body: problemOf('publicProfile', {
          fields: [{ field: 'address', code: 'unreadable', message: 'Nothing public was found there.' }],
        }),
      }),
    })
    await html.find('#rival-address').setValue('http://127.0.0.1/nothing')
    await html.findComponent({ name: 'ElSelect' }).vm.$emit('update:modelValue', 7)
    await html.find('form.add').trigger('submit')
    await flushPromises()
    expect(body()).toContain('Nothing public was found there.')
    expect((html.find('#rival-address').element as HTMLInputElement).value).toBe('http://127.0.0.1/nothing')
  })
  test('without a rival it says how to make one', async () => {
    const { body, html } = await page(answer({ rows: [rival()], sides: [] }))
    expect(body()).toContain('put a watch into a group that holds the brand')
    expect(html.find('form.add').exists()).toBe(false)
  })
})

describe('the spikes', () => {
  const spikes = (more: Partial<SpikesAnswer> = {}): SpikesAnswer => ({
    range,
    learnedDays: 60,
    spikes: [
      {
        from: '2026-11-06T08:00:00Z',
        to: '2026-11-06T14:00:00Z',
        open: true,
        count: 319,
        expected: 11.6,
        tail: 4e-6,
        counts: { positive: 4, neutral: 60, negative: 255, unread: 0 },
        phrases: [phraseOf('engine failure', { phrase: 'engin failur', count: 88 })],
        first: row({ id: 70, text: 'The engine stopped off Inchgarth', hits: [] } as never),
        voices: [
          { id: 31, name: 'Orrin Gazette', entries: 2, reach: 18_000 },
          { id: 32, name: 'Nobody', entries: 9, reach: 0 },
        ],
        stories: [{ id: 5, title: 'Ferry adrift for an hour', copies: 14 }],
      },
    ],
    ...more,
  })
  const view = (given = spikes()) =>
    open(
      SpikesView,
      { 'GET /api/watching/spikes': given },
      {
        props: {
          query: [
            ['watch', '4'],
            ['time', 'last-28'],
            ['order', 'oldest'],
          ],
        },
      },
    )
  test('say how much was expected, how likely it was, and what it was about', async () => {
    const { body } = await view()
    expect(body()).toContain('319 entries where about 12 were to be expected')
    expect(body()).toContain('chance of it in ordinary noise under 1 : 250,000')
    expect(body()).toContain('6 hours')
    expect(body()).toContain('still going on')
    expect(body()).toContain('14 copies')
    expect(body()).not.toContain('Nobody')
  })
  test('each part opens its entries, in the brand’s hours', async () => {
    const { html } = await view()
    const hours = { from: '2026-11-06T08', to: '2026-11-06T13' }
    for (const text of ['Read them', /engine failure/, /Orrin Gazette/, /Ferry adrift/])
      await button(html, text).trigger('click')
    expect(html.emitted('open')!.map(([part]) => part)).toEqual([
      { range: hours, order: 'oldest' },
      { range: hours, phrase: 'engin failur' },
      { range: hours, voice: 31 },
      { range: hours, story: 5 },
    ])
  })
  test('an alert listens to the same at any time', async () => {
    const { html } = await view()
    expect(html.find('.alert a').attributes('href')).toBe('/watch/alerts?new=&lens=watch=4')
  })
  test('none, or a past too short to know, are told apart', async () => {
    expect((await view(spikes({ spikes: [] }))).body()).toContain('No spike in this time')
    document.body.innerHTML = ''
    expect((await view(spikes({ spikes: [], learnedDays: 9 }))).body()).toContain('Only 9 days are known')
  })
})

describe('the voices', () => {
  const voice = (more: Partial<VoiceAnswer> = {}): VoiceAnswer => ({
    id: 31,
    name: 'Orrin Gazette',
    handle: 'gazette',
    network: 'skimmer',
    channel: 'posts',
    entries: 14,
    reach: 18_000,
    positive: 1,
    neutral: 5,
    negative: 8,
    unread: 0,
    first: '2026-09-02T10:00:00Z',
    last: '2026-11-22T10:00:00Z',
    activeDays: 11,
    habit: 'regular',
    leaning: 'critic',
    net: net(-0.5, 0.2, 14),
    standing: 'press',
    note: '',
    kept: false,
    watches: [{ id: 4, name: 'Storm Petrel', n: 12 }],
    ...more,
  })
  const once = voice({
    id: 32,
    name: 'Perrin Oakes',
    entries: 1,
    habit: 'oneOff',
    leaning: 'tooLittle',
    activeDays: 1,
    first: '2026-11-22T10:00:00Z',
    standing: null,
    net: null,
  })
  const view = (given = [voice(), once], total = 40, more: Answers = {}, options = {}) =>
    open(
      VoicesView,
      { 'GET /api/voices': { voices: given, total }, ...more },
      { props: { query: [['watch', '4']] }, ...options },
    )
  test('a complaint of one day is no critic', async () => {
    const { html, body } = await view()
    const [press, single] = html.findAll('[data-test="voice"]').map((r) => r.text().replace(/\s+/g, ' '))
    expect(press).toMatch(/regular ?critic ?11 days/)
    expect(single).toMatch(/one day only ?1 day/)
    expect(single).not.toMatch(/critic|champion/)
    expect(body()).toContain('40 voices, the first 2 are shown')
  })
  test('are sorted and sifted by the server', async () => {
    const { html, sent } = await view()
    await button(html, 'most reach').trigger('click')
    await html.find('.el-checkbox input').setValue(true)
    await flushPromises()
    expect(sent('GET').at(-1)!.path).toBe('/api/voices?watch=4&by=reach&keptVoices=1')
    expect(button(html, 'most reach').attributes('aria-pressed')).toBe('true')
  })
  test('one is kept, and given back as it was', async () => {
    const { html, sent } = await view(undefined, 2, { 'PUT /api/voices/31': { kept: false } })
    await html.find('.keep').trigger('click')
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ kept: true })
    await useUndo().undo()
    expect(sent('PUT')[1]!.body).toEqual({ kept: false })
  })
  test('its card takes a note, leads to where one writes to it, and to what it said on a watch', async () => {
    const { html, sent } = await view(undefined, 2, { 'PUT /api/voices/31': { note: '' } })
    await button(html, 'press').trigger('click')
    const card = html.find('.card')
    const note = card.find('[aria-label="Note for colleagues"]')
    await note.setValue('Asks before it prints')
    await note.trigger('change')
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ note: 'Asks before it prints' })
    expect(card.find('a').attributes('href')).toMatch(/^\/inbox\?voice=31&.*#answer$/)
    await button(html, 'Storm Petrel 12').trigger('click')
    expect(html.emitted('open')!.at(-1)).toEqual([{ voice: 31, watch: 4, group: null, range: null }])
  })
  test('a reader looks only', async () => {
    const { html } = await view(undefined, 2, {}, { role: 'reader' })
    expect(html.find('.keep').attributes('disabled')).toBeDefined()
    await button(html, 'press').trigger('click')
    expect(html.find('.card a').exists()).toBe(false)
  })
  test('nobody is told as nobody', async () => {
    expect((await view([], 0)).body()).toContain('Nobody spoke under this lens.')
  })
})

describe('a comparison', () => {
  const bucket = (n: number) => ({
    at: '2026-11-24T00:00:00Z',
    positive: n,
    neutral: 0,
    negative: 0,
    unread: 0,
  })
  const compared = (more: Partial<CompareAnswer> = {}): CompareAnswer => ({
    unit: 'day',
    one: {
      name: 'Storm Petrel',
      total: 344,
      days: 28,
      counts: { positive: 344, neutral: 0, negative: 0, unread: 0 },
      net: net(-0.4),
      series: [bucket(2), bucket(8)],
    },
    two: {
      name: '',
      total: 17,
      days: 28,
      counts: { positive: 17, neutral: 0, negative: 0, unread: 0 },
      net: null,
      series: [bucket(1)],
    },
    volume: { ...up, ratio: 20.24 },
    net: null,
    share: null,
    phrasesOne: [phraseOf('engine failure', { phrase: 'engin failur', count: 88, before: 1 })],
    phrasesTwo: [],
    fromOther: [true, false],
    ...more,
  })
  const page = (given = compared(), path = '/watch/compare?watch=4&time=last-28') =>
    open(ComparePage, { 'GET /api/watching/compare': given }, { path })
  test('says what is sure, and what cannot be said', async () => {
    const { html, body } = await page()
    const sides = html.findAll('[data-test="side"]').map((s) => s.text().replace(/\s+/g, ' '))
    expect(sides[0]).toContain('344 mentions')
    expect(sides[0]).toContain('12.3 a day')
    expect(body()).toContain('20.24 times as many, sure')
    expect(body()).toContain('sentiment cannot be compared')
    expect(body()).toContain('88 : 1')
    expect(body()).toContain(
      'Told from what was said earlier: “Storm Petrel” holds too little to compare with.',
    )
  })
  test('a difference that chance would give is none', async () => {
    const { body } = await page(compared({ volume: level, net: { ...level } }))
    expect(body()).toContain('no clear difference in volume')
    expect(body()).toContain('no clear difference in sentiment')
  })
  test('the chart has a table with a dash where one side has ended', async () => {
    const { html } = await page()
    await button(html, 'Table').trigger('click')
    const rows = html.findAll('tbody tr').map((r) => r.findAll('td, th').map((c) => c.text()))
    expect(rows.map((cells) => cells.slice(-2))).toEqual([
      ['2', '1'],
      ['8', '–'],
    ])
  })
  test('asks for the time before, or for another watch, as the address says', async () => {
    const before = await page()
    const asked = new URLSearchParams(before.calls.at(-1)!.path.split('?')[1])
    const withWhat = new URLSearchParams(asked.get('with')!)
    expect(asked.get('time')).toBe('last-28')
    expect(withWhat.getAll('watch').at(-1)).toBe('4')
    const { from, to } = parseLens(withWhat, blankLens).lens.range as { from: string; to: string }
    expect((Date.parse(to) - Date.parse(from)) / 86_400_000).toBe(27)
    const other = await page(compared(), '/watch/compare?watch=4&with=9')
    expect(new URLSearchParams(other.calls.at(-1)!.path.split('?')[1]).get('with')).toContain('watch=9')
  })
  test('an address that names nothing to compare with asks for it', async () => {
    const { body, calls } = await page(compared(), '/watch/compare?watch=4&with=nonsense')
    expect(body()).toContain('Choose what to compare with.')
    expect(calls.filter((c) => c.path.startsWith('/api/watching/compare'))).toHaveLength(0)
  })
})

describe('the alerts', () => {
  const alert = (more: Partial<AlertAnswer> = {}): AlertAnswer => ({
    id: 2,
    name: 'Petrel in trouble',
    lens: 'watch=4&felt=negative',
    condition: { kind: 'net', below: -0.3, days: 7 },
    quietMinutes: 240,
    inApp: true,
    emails: ['ivo@skerrivane.example', 'tamsin@skerrivane.example'],
    webhook: null,
    webhookSecret: null,
    active: true,
    open: true,
    toldAt: '2026-11-22T10:00:00Z',
    tellings: 3,
    atom: 'http://127.0.0.1/a',
    json: 'http://127.0.0.1/j',
    lastFailure: null,
    ...more,
  })
  const page = (alerts: AlertAnswer[], more: Answers = {}, options = {}) =>
    open(
      AlertsPage,
      {
        'GET /api/alerts/2/events': [
          { id: 1, at: '2026-11-22T10:00:00Z', text: 'Net sentiment −44', link: '/watch?watch=4' },
        ],
        'GET /api/alerts': alerts,
        ...more,
      },
      options,
    )
  test('say what they listen to, when they tell, and by which ways', async () => {
    const { html } = await page([alert()])
    const text = html.find('[data-test="alert"]').text().replace(/\s+/g, ' ')
    expect(text).toContain('Storm Petrel')
    expect(text).toContain('net sentiment of 7 days under −30')
    expect(text).toContain('here, 2 e-mail addresses, feed')
    expect(text).toContain('on now')
    expect(text).toContain('3 times so far')
  })
  test('each condition has its words', async () => {
    const kinds: AlertAnswer['condition'][] = [
      { kind: 'any' },
      { kind: 'reach', above: 5000 },
      { kind: 'more', hours: 24 },
      { kind: 'spike' },
    ]
    const { body } = await page(kinds.map((condition, id) => alert({ id, condition, toldAt: null })))
    for (const words of [
      'any mention at all',
      'a reach of 5,000 or more',
      'more than usual in 24 hours',
      'a spike, by the hour',
    ])
      expect(body()).toContain(words)
    expect(body()).toContain('never')
  })
  test('a way that failed says why', async () => {
    const { body } = await page([alert({ lastFailure: 'the webhook answered 500' })])
    expect(body()).toContain('could not be delivered: the webhook answered 500')
  })
  test('one opens to what it told, with the way to the entries', async () => {
    const { html } = await page([alert()])
    await button(html, 'Petrel in trouble').trigger('click')
    await flushPromises()
    expect(html.find('li a').text()).toBe('Net sentiment −44')
    expect(html.find('li a').attributes('href')).toBe('/watch?watch=4')
  })
  test('one is deleted, and comes back', async () => {
    const { html, sent } = await page([alert()], {
      'DELETE /api/alerts/2': undefined,
      'POST /api/alerts/2/restore': alert(),
    })
    await button(html, 'Delete').trigger('click')
    await flushPromises()
    expect(sent('DELETE')).toHaveLength(1)
    await useUndo().undo()
    expect(sent('POST', '/api/alerts/2/restore')).toHaveLength(1)
  })
  test('the first is offered where there is none; an address may bring what to listen to', async () => {
    const { body, html } = await page([], {}, { path: '/watch/alerts?new=&lens=watch%3D4' })
    expect(body()).toContain('No alert yet.')
    expect(html.findComponent({ name: 'AlertSheet' }).props()).toMatchObject({
      modelValue: true,
      lens: 'watch=4',
    })
  })
  test('a reader is offered no change', async () => {
    const { html } = await page([alert()], {}, { role: 'reader' })
    expect(html.findAll('button').map((b) => b.text())).not.toContain('Delete')
    expect(html.find('.new').exists()).toBe(false)
  })
})

describe('teaching', () => {
  type Learning = TeachingAnswer['learning']
  const teaching = ({
    learning = {},
    ...more
  }: Partial<Omit<TeachingAnswer, 'learning'>> & { learning?: Partial<Learning> } = {}): TeachingAnswer => ({
    words: [{ term: 'rolling', valence: -1.5 }],
    aspects: [{ id: 1, name: 'Crew', terms: [{ text: 'crew' }] }] as TeachingAnswer['aspects'],
    learning: {
      wanted: true,
      used: false,
      n: 0,
      corrections: 3,
      learnt: 0,
      base: 0,
      gained: 0,
      lost: 0,
      better: false,
      contradicting: 0,
      needed: 10,
      learntAt: null,
      strongest: [],
      ...learning,
    },
    history: { done: 100, total: 100 },
    ...more,
  })
  const measured = {
    n: 24,
    corrections: 26,
    learnt: 20,
    base: 12,
    gained: 9,
    lost: 1,
    better: true,
    used: true,
  }
  const page = (given = teaching(), more: Answers = {}, options = {}) =>
    open(TeachPage, { 'GET /api/teaching': given, 'GET /api/brand': brandAnswer(), ...more }, options)
  const learning = async (part: Partial<Learning>) => {
    const { html } = await page(teaching({ learning: part }))
    return html.find('[data-test="learning"]').text().replace(/\s+/g, ' ')
  }
  test('says how many corrections are missing', async () =>
    expect(await learning({})).toBe('3 corrections so far; 10 are needed to learn.'))
  test('enough of them but too much alike say what they wait for', async () =>
    expect(await learning({ corrections: 12, n: 4 })).toContain(
      '12 corrections so far; learning begins in a moment',
    ))
  test('shows what was measured on corrections held back, and whether it is used', async () => {
    expect(await learning(measured)).toContain(
      '20 of 24 held-back corrections right, 12 without it: 9 put right, 1 spoilt',
    )
    expect(await learning(measured)).toContain('it is used')
    expect(await learning({ ...measured, used: false })).toContain('Better, but switched off.')
    expect(await learning({ ...measured, used: false, better: false })).toContain('Not surely better')
  })
  test('those that contradict each other are counted', async () => {
    const { body } = await page(teaching({ learning: { ...measured, contradicting: 2 } }))
    expect(body()).toContain('2 entries were judged differently by different people')
  })
  test('the history that is being read again has a figure', async () => {
    const { html } = await page(teaching({ history: { done: 400, total: 9400 } }))
    expect(html.find('[data-test="rereading"]').text()).toContain('400 of 9,400')
  })
  test('words are saved without the empty ones, and given back', async () => {
    const saved = teaching({
      words: [
        { term: 'rolling', valence: -1.5 },
        { term: 'flat calm', valence: 0 },
      ],
    })
    const { html, sent } = await page(teaching(), { 'PUT /api/teaching/words': saved })
    expect(isOffered('Save the words')).toBe(false)
    await press('Add a word')
    await press('Add a word')
    await write(document.querySelectorAll('.word input[aria-label="Word or phrase"]')[1]!, 'flat calm')
    await press('Save the words')
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ words: saved.words })
    expect(isOffered('Save the words')).toBe(false)
    await useUndo().undo()
    expect(sent('PUT')[1]!.body).toEqual({ words: [{ term: 'rolling', valence: -1.5 }] })
    expect(html.findAll('.word')).toHaveLength(2)
  })
  test('a refusal keeps what was written', async () => {
    const { body } = await page(teaching(), {
      'PUT /api/teaching/words': () => ({
        status: 422,
        body: problemOf('invalid', {
          fields: [{ field: 'words', code: 'twice', message: '"rolling" is there twice' }],
        }),
      }),
    })
    await press('Add a word')
    await write(document.querySelectorAll('.word input[aria-label="Word or phrase"]')[1]!, 'rolling')
    await press('Save the words')
    await flushPromises()
    expect(body()).toContain('is there twice')
    expect(document.querySelectorAll('.word')).toHaveLength(2)
    expect(isOffered('Save the words')).toBe(true)
  })
  test('aspects are added and taken away', async () => {
    const { sent } = await page(teaching(), { 'PUT /api/teaching/aspects': teaching({ aspects: [] }) })
    await press('Remove Crew')
    await press('Save the aspects')
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ aspects: [] })
  })
  test('a sentence is tried with the words that are not saved yet', async () => {
    const text = 'A flat calm crossing'
    const { html, sent } = await page(teaching(), {
      'POST /api/teaching/reading': {
        label: 'positive',
        language: 'en',
        raw: 2,
        spans: [{ start: 2, end: 11, contribution: 2 }],
      },
    })
    await press('Add a word')
    await write(document.querySelectorAll('.word input[aria-label="Word or phrase"]')[1]!, 'flat calm')
    await write(document.querySelector('input[aria-label="Try a sentence"]'), text)
    await html.find('form.row').trigger('submit')
    await flushPromises()
    expect((sent('POST')[0]!.body as { words: unknown[] }).words).toHaveLength(2)
    expect(html.find('[data-test="reading"]').text()).toContain('positive: A flat calm crossing')
  })
  test('what was learnt is switched off', async () => {
    const { html, sent } = await page(teaching({ learning: measured }), {
      'PUT /api/teaching/learning': teaching({ learning: { ...measured, wanted: false, used: false } }),
    })
    await html.findComponent({ name: 'ElSwitch' }).vm.$emit('change', false)
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ wanted: false })
    expect(html.text()).toContain('Better, but switched off.')
  })
  test('a reader changes nothing', async () => {
    await page(teaching(), {}, { role: 'reader' })
    expect(isOffered('Add a word')).toBe(false)
    expect(isOffered('Add an aspect')).toBe(false)
  })
})

describe('watches side by side', () => {
  const answers = { 'GET /api/entries': { rows: [row({ text: 'Petrel late' })], next: null } }
  test('stand as the address says; one that is gone has no column', async () => {
    const { html, at } = await open(SideBySidePage, answers, { path: '/watch/side?columns=4,99,g3' })
    expect(html.findAll('[data-test="column"] h3').map((h) => h.text())).toEqual(['Storm Petrel'])
    await press('Take Storm Petrel away')
    await flushPromises()
    expect(at().query).toEqual({})
    expect(html.text()).toContain('Choose the watches to stand side by side')
  })
})

describe('groups', () => {
  test('a group is made inside another, never in itself', async () => {
    const { html, sent } = await open(
      GroupSheet,
      { 'PUT /api/groups/1': groupOf(1), 'GET /api/watches': [], 'GET /api/groups': [] },
      { props: { modelValue: false, editing: groupOf(1, { name: 'Rivals', kind: 'rivals' }) } },
    )
    useBrand().answer!.groups = [groupOf(1), groupOf(2)]
    await html.setProps({ modelValue: true })
    await flushPromises()
    const selects = html.findAllComponents({ name: 'ElSelect' })
    const offered = selects
      .at(-1)!
      .findAllComponents({ name: 'ElOption' })
      .map((o) => o.props('value'))
    expect(offered).toContain(2)
    expect(offered).not.toContain(1)
    await selects.at(-1)!.vm.$emit('update:modelValue', 2)
    document.querySelector('form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ name: 'Rivals', kind: 'rivals', parentId: 2 })
    expect(html.emitted('changed')).toHaveLength(1)
  })
})

describe('the feeds of a watch', () => {
  test('are made when the sheet opens; a failure can be tried again', async () => {
    let first = true
    const { html, body, sent } = await open(
      FeedSheet,
      {
        'POST /api/watches/4/feed': () => {
          if (!first)
            return { body: { atom: 'http://127.0.0.1/feeds/a.atom', json: 'http://127.0.0.1/feeds/a.json' } }
          first = false
          return { status: 500, body: problemOf('broken') }
        },
      },
      { props: { modelValue: false, item: watchOf() } },
    )
    expect(sent('POST')).toHaveLength(0)
    await html.setProps({ modelValue: true })
    await flushPromises()
    expect(body()).toContain('The server met a fault')
    await press('Try again')
    await flushPromises()
    const links = [...document.querySelectorAll('[data-test="feeds"] a')].map((a) => a.getAttribute('href'))
    expect(links).toEqual(['http://127.0.0.1/feeds/a.atom', 'http://127.0.0.1/feeds/a.json'])
  })
})

describe('help to begin', () => {
  test('proposes watches, leaves out those there are, and makes the chosen ones', async () => {
    const query = { ...watchOf().query, anyOf: [{ text: 'skerrivane', slack: true }] }
    const { sent } = await open(
      StartSheet,
      {
        'POST /api/watches/proposals': [
          { name: 'Skerrivane', group: 'brand', query },
          { name: 'storm petrel', group: 'products', query },
        ],
        'POST /api/watches/import': { added: 1, known: 0 },
        'GET /api/watches': [],
        'GET /api/groups': [],
      },
      { props: { modelValue: true } },
    )
    await press('Propose')
    await flushPromises()
    expect(document.body.textContent).toContain('skerrivane ±1')
    await press('Save 1 watch')
    await flushPromises()
    const { file } = sent('POST', '/api/watches/import')[0]!.body as { file: string }
    const { watches } = JSON.parse(file) as { watches: { name: string; group: { kind: string }[] }[] }
    expect(watches.map(({ name, group }) => [name, group[0]!.kind])).toEqual([['Skerrivane', 'brand']])
  })
})
