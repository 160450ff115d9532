import { flushPromises } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import {
  problemOf,
  type PublicSide,
  type RivalRow,
  type RivalsAnswer,
  type SpikesAnswer,
  type VoiceAnswer,
} from '@murrabel/contract'
import RivalsPage from '../src/sections/watches/RivalsPage.vue'
import SpikesView from '../src/sections/watches/SpikesView.vue'
import VoicesView from '../src/sections/watches/VoicesView.vue'
import { useUndo } from '../src/stores/undo.ts'
import { button, useStage } from './stage.ts'
import { row } from './support.ts'
import { down, level, net, open, phraseOf, range, up, type Answers } from './watchSupport.ts'

useStage({ sizes: true })

describe('the rivals', () => {
  const rival = (more: Partial<RivalRow> = {}): RivalRow => ({
    watch: { id: 4, name: 'Storm Petrel' },
    ours: true,
    total: 60,
    usual: { verdict: 'usual', p: 0.6, low: 40, high: 80, periods: 6 },
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
    usual: { verdict: 'above', p: 0.01, low: 3, high: 12, periods: 6 },
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
    ratingToOurs: { difference: 0.6, low: 0.2, high: 1, p: 0.001, enough: true, sure: true },
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
    open(RivalsPage, { 'GET /api/watches/rivals': given, ...more }, options)

  test('each has its figures with intervals, and a plain sentence', async () => {
    const { html } = await page()
    const [ours, other] = html.findAll('[data-test="rival"]').map((r) => r.text().replace(/\s+/g, ' '))
    expect(ours).toContain('75% 64% – 84%')
    expect(ours).toContain('Storm Petrel is mentioned as often as usual; no clear change in sentiment.')
    expect(other).toContain('clearly more than before (8)')
    expect(other).toContain(
      'Orrin Link is mentioned more than usual; sentiment is clearly worse than before.',
    )
  })
  test('what nobody felt, or has too little past, is not judged', async () => {
    const young = rival({
      net: null,
      netChange: null,
      usual: { verdict: 'tooLittleHistory', p: 1, low: null, high: null, periods: 1 },
    })
    const { html } = await page(answer({ rows: [young, orrin] }))
    expect(html.find('[data-test="rival"]').text()).toContain(
      'too little history of Storm Petrel to say what is usual; no sentiment found.',
    )
  })
  test('public profiles: ratings, audience and posts, with what is sure', async () => {
    const { html } = await page()
    const [ours, other] = html.findAll('[data-test="public-side"]').map((r) => r.text().replace(/\s+/g, ' '))
    expect(ours).toContain('Skerrivane Ferries: no data in this period.')
    expect(other).toContain('3.70 – 4.50, 30 ratings')
    expect(other).toContain('2,210−1.2%9')
    expect(other).toContain(
      'Orrin Link: rated clearly above ours; audience −1.2%, +0.4% in the period before; posts less than in the period before.',
    )
  })
  test('a profile that does not answer says so, and why', async () => {
    const lost = { ...listing, problem: 'the address answered 404' }
    const { html } = await page(answer({ sides: [side({ ...theirs, profiles: [lost] })] }))
    expect(html.find('.wrong').text()).toBe('no answer')
    expect(html.find('.wrong').attributes('title')).toBe('the address answered 404')
  })
  test('one is no longer checked, and again', async () => {
    const { html, sent } = await page(answer(), {
      'DELETE /api/public-profiles/3': undefined,
      'POST /api/public-profiles': listing,
    })
    await html.find('[aria-label="Stop checking Orrin Link, Inchgarth"]').trigger('click')
    await flushPromises()
    expect(sent('DELETE')).toHaveLength(1)
    expect(sent('GET', '/api/watches/rivals')).toHaveLength(2)
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
    await html.find('section form').trigger('submit')
    await flushPromises()
    expect(body()).toContain('Nothing public was found there.')
    expect((html.find('#rival-address').element as HTMLInputElement).value).toBe('http://127.0.0.1/nothing')
  })
  test('without a rival it says how to make one', async () => {
    const { body, html } = await page(answer({ rows: [rival()], sides: [] }))
    expect(body()).toContain('put one watch into a group of the type “the brand”')
    expect(html.find('section form').exists()).toBe(false)
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
        newLevel: false,
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
      { 'GET /api/watches/spikes': given },
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
    expect(body()).toContain('319 entries, about 12 expected')
    expect(body()).toContain('probability by chance under 1 : 250,000')
    expect(body()).toContain('6 hours')
    expect(body()).toContain('still going on')
    expect(body()).toContain('14 copies')
    expect(body()).not.toContain('Nobody')
  })
  test('each part opens its entries, in the brand’s hours', async () => {
    const { html } = await view()
    const hours = { from: '2026-11-06T08', to: '2026-11-06T13' }
    for (const text of ['See the entries', /engine failure/, /Orrin Gazette/, /Ferry adrift/])
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
    expect((await view(spikes({ spikes: [] }))).body()).toContain('No spikes in this period')
    document.body.innerHTML = ''
    expect((await view(spikes({ spikes: [], learnedDays: 9 }))).body()).toContain('Only 9 days of data')
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
    person: 31,
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
    expect((await view([], 0)).body()).toContain('No voices match this lens.')
  })
})
