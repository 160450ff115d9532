import { flushPromises } from '@vue/test-utils'
import { describe, expect, test, vi } from 'vitest'
import {
  problemOf,
  type AlertAnswer,
  type CompareAnswer,
  type DoubtsAnswer,
  type TeachingAnswer,
} from '@murrabel/contract'
import { blankLens, parseLens } from '@murrabel/core/lens'
import AlertsPage from '../src/sections/alerts/AlertsPage.vue'
import ComparePage from '../src/sections/watches/ComparePage.vue'
import SideBySidePage from '../src/sections/watches/SideBySidePage.vue'
import TeachPage from '../src/sections/teaching/TeachPage.vue'
import { useUndo } from '../src/stores/undo.ts'
import { button, isOffered, press, useStage, write } from './stage.ts'
import { brandAnswer, row } from './support.ts'
import { level, net, open, phraseOf, type Answers, up } from './watchSupport.ts'

useStage({ sizes: true })

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
    open(ComparePage, { 'GET /api/watches/compare': given }, { path })
  test('says what is sure, and what cannot be said', async () => {
    const { html, body } = await page()
    const sides = html.findAll('[data-test="side"]').map((s) => s.text().replace(/\s+/g, ' '))
    expect(sides[0]).toContain('344 mentions')
    expect(sides[0]).toContain('12.3 a day')
    expect(body()).toContain('clearly different: 20 times as many')
    expect(body()).toContain('sentiment cannot be compared')
    expect(body()).toContain('88 : 1')
    expect(body()).toContain('Compared with earlier entries: “Storm Petrel” has too few to compare with.')
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
    expect(calls.filter((c) => c.path.startsWith('/api/watches/compare'))).toHaveLength(0)
  })
})

describe('the alerts', () => {
  const alert = (more: Partial<AlertAnswer> = {}): AlertAnswer => ({
    id: 2,
    name: 'Petrel in trouble',
    lens: 'watch=4&sentiment=negative',
    condition: { kind: 'net', below: -0.3, days: 7 },
    quietMinutes: 240,
    inApp: true,
    emails: ['ivo@skerrivane.example', 'tamsin@skerrivane.example'],
    webhook: null,
    webhookSecret: null,
    active: true,
    open: true,
    firedAt: '2026-11-22T10:00:00Z',
    firings: 3,
    edition: 1,
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
    expect(text).toContain('active now')
    expect(text).toContain('3 times so far')
  })
  test('each condition has its words', async () => {
    const kinds: AlertAnswer['condition'][] = [
      { kind: 'any' },
      { kind: 'reach', above: 5000 },
      { kind: 'more', hours: 24 },
      { kind: 'spike' },
    ]
    const { body } = await page(kinds.map((condition, id) => alert({ id, condition, firedAt: null })))
    for (const words of [
      'any mention',
      'a reach of 5,000 or more',
      'more than usual in 24 hours',
      'a spike, by the hour',
    ])
      expect(body()).toContain(words)
    expect(body()).toContain('never')
  })
  test('a way that failed says why', async () => {
    const { body } = await page([alert({ lastFailure: 'the webhook answered 500' })])
    expect(body()).toContain('delivery failed: the webhook answered 500')
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
    expect(body()).toContain('No alerts yet.')
    // The sheet's code comes when it is opened.
    await vi.dynamicImportSettled()
    await flushPromises()
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
    edition: 7,
    words: [{ term: 'rolling', valence: -1.5 }],
    aspects: [{ id: 1, name: 'Crew', terms: [{ text: 'crew' }] }] as TeachingAnswer['aspects'],
    alikeAspects: [],
    answers: {
      used: false,
      n: 0,
      answered: 0,
      needed: 15,
      byThread: { n: 0, learnt: 0, base: 0 },
      byTime: { n: 0, learnt: 0, base: 0 },
      better: false,
    },
    learning: {
      wanted: true,
      used: false,
      n: 0,
      corrections: 3,
      tested: 0,
      confirmed: 0,
      confirmedNeeded: 20,
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
    tested: 140,
    confirmed: 130,
    learnt: 131,
    base: 123,
    gained: 9,
    lost: 1,
    better: true,
    used: true,
  }
  const doubts: DoubtsAnswer = {
    below: 0.6,
    inDoubt: 1204,
    rows: [
      {
        id: 8,
        threadId: 5,
        channel: 'maps',
        kind: 'review',
        title: null,
        text: 'Rolled all the way to Selwick.',
        at: '2026-11-22T18:42:00Z',
        rating: null,
        sentiment: 'negative',
        confidence: 0.52,
        spans: [],
        alike: 7,
      },
    ],
    reliability: { n: 0, elsewhere: 3, error: null, bins: [] },
  }
  const page = (given = teaching(), more: Answers = {}, options = {}) =>
    open(
      TeachPage,
      {
        'GET /api/teaching/doubts': doubts,
        ...more,
        'GET /api/teaching': given,
        'GET /api/brand': brandAnswer(),
      },
      options,
    )
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
  test('says how many confirmed readings are missing', async () =>
    expect(await learning({ ...measured, confirmed: 7 })).toContain(
      '7 readings have been confirmed or left as they were; 20 are needed',
    ))
  test('shows what was measured on what came later, and whether it is used', async () => {
    expect(await learning(measured)).toContain(
      '131 of 140 later readings right, 123 without it: 9 fixed, 1 that were left as they were read otherwise',
    )
    expect(await learning(measured)).toContain('it is in use')
    expect(await learning({ ...measured, used: false })).toContain('Better, but switched off.')
    expect(await learning({ ...measured, used: false, better: false })).toContain('Not clearly better')
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
      edition: 8,
      words: [
        { term: 'rolling', valence: -1.5 },
        { term: 'flat calm', valence: 0 },
      ],
    })
    const { html, sent } = await page(teaching(), { 'PUT /api/teaching/words': saved })
    expect(isOffered('Save words')).toBe(false)
    await press('Add a word')
    await press('Add a word')
    await write(document.querySelectorAll('.word input[aria-label="Word or phrase"]')[1]!, 'flat calm')
    await press('Save words')
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ words: saved.words, edition: 7 })
    expect(isOffered('Save words')).toBe(false)
    await useUndo().undo()
    expect(sent('PUT')[1]!.body).toEqual({ words: [{ term: 'rolling', valence: -1.5 }], edition: 8 })
    expect(html.findAll('.word')).toHaveLength(2)
  })
  test('words a colleague saved meanwhile are not overwritten: the edition they were taken at goes along', async () => {
    const theirs = teaching({ edition: 9, words: [{ term: 'lumpy', valence: -1 }] })
    const { html, sent } = await page(teaching({ learning: measured }), {
      'PUT /api/teaching/learning': theirs,
      'PUT /api/teaching/words': () => ({ status: 409, body: problemOf('changedMeanwhile') }),
    })
    await press('Add a word')
    await write(document.querySelectorAll('.word input[aria-label="Word or phrase"]')[1]!, 'flat calm')
    await html.findComponent({ name: 'ElSwitch' }).vm.$emit('change', false)
    await flushPromises()
    await press('Save words')
    await flushPromises()
    expect(sent('PUT', '/api/teaching/words')[0]!.body).toMatchObject({ edition: 7 })
    expect(document.querySelectorAll('.word')).toHaveLength(2)
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
    await press('Save words')
    await flushPromises()
    expect(body()).toContain('is there twice')
    expect(document.querySelectorAll('.word')).toHaveLength(2)
    expect(isOffered('Save words')).toBe(true)
  })
  test('aspects are added and taken away', async () => {
    const { sent } = await page(teaching(), { 'PUT /api/teaching/aspects': teaching({ aspects: [] }) })
    await press('Remove Crew')
    await press('Save aspects')
    await flushPromises()
    expect(sent('PUT')[0]!.body).toEqual({ aspects: [], edition: 7 })
  })
  test('a sentence is tried with the words that are not saved yet', async () => {
    const text = 'A flat calm crossing'
    const { html, sent } = await page(teaching(), {
      'POST /api/teaching/reading': {
        sentiment: 'positive',
        language: 'en',
        score: 0.7,
        confidence: 0.82,
        wish: 'praise',
        wantsAnswer: 0.2,
        spans: [{ start: 2, end: 11, contribution: 2 }],
      },
    })
    await press('Add a word')
    await write(document.querySelectorAll('.word input[aria-label="Word or phrase"]')[1]!, 'flat calm')
    await write(document.querySelector('input[aria-label="Try a sentence"]'), text)
    await html.find('form.row').trigger('submit')
    await flushPromises()
    expect((sent('POST')[0]!.body as { words: unknown[] }).words).toHaveLength(2)
    expect(html.find('[data-test="reading"]').text()).toContain('positive, 82% sure: A flat calm crossing')
    expect(html.find('[data-test="wish"]').text()).toBe('Read as praise. An answer is wanted: 20%.')
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

  test('a doubt is settled with one key, can be taken back, and stays where it is until others are asked for', async () => {
    const { html, sent } = await page(teaching(), {
      'PUT /api/entries/8/sentiment': { sentiment: 'positive' },
    })
    const row = () => html.find('.doubt')
    expect(row().text()).toContain('negative, 52% sure')
    expect(row().text()).toContain('like 7 others')
    expect(row().find('.ring').exists()).toBe(true)
    await row().findAll('.judge button')[2]!.trigger('click')
    await flushPromises()
    const told = () => sent('PUT', '/api/entries/8').map(({ body }) => body)
    expect(told()).toEqual([{ sentiment: 'positive', shown: true, drawn: false }])
    expect(row().text()).toContain('Judged positive')
    expect(row().find('.ring').exists()).toBe(false)
    await useUndo().undo()
    await flushPromises()
    expect(told().at(-1)).toEqual({ sentiment: null, shown: true, drawn: false })
    expect(row().text()).toContain('negative, 52% sure')
  })
  test('how reliable readings are: told in words until there is enough for a picture', async () => {
    const few = (await page()).html.find('[data-test="reliability"]')
    expect(few.find('svg').exists()).toBe(false)
    expect(few.text()).toContain('3 corrections made in the inbox are not counted')
    const judged: DoubtsAnswer = {
      ...doubts,
      reliability: {
        n: 40,
        elsewhere: 0,
        error: 0.05,
        bins: [{ from: 0.8, to: 0.9, n: 40, right: 32, said: 0.85, low: 0.65, high: 0.9 }],
      },
    }
    const many = (await page(teaching(), { 'GET /api/teaching/doubts': judged })).html.find(
      '[data-test="reliability"]',
    )
    expect(many.find('.point title').text()).toBe('80% to 90% sure: 32 of 40 right, between 65% and 90%')
    expect(many.text()).toContain('5 percentage points apart')
  })
  test.each([
    [{ n: 12, answered: 4 }, '4 answered, 8 finished without a word; 15 of each are needed to learn.'],
    [
      {
        n: 80,
        answered: 44,
        byThread: { n: 80, learnt: 70, base: 61 },
        byTime: { n: 16, learnt: 14, base: 12 },
        better: true,
        used: true,
      },
      '80 threads, 44 of them answered.On threads held back: 70 of 80 right, 61 without it. On the latest: 14 of 16 right, 12 without it.Better, and not just by chance: it is in use.',
    ],
  ])('which things are answered: %j', async (part, text) => {
    const given = teaching()
    const { html } = await page({ ...given, answers: { ...given.answers, ...part } })
    expect(html.find('[data-test="answers"]').text().replace(/\s+/g, ' ')).toBe(text)
  })
  test('under an aspect stands whether it is found without its terms', async () => {
    const alike = { aspect: 1, n: 60, found: 20, right: 18, words: ['helped', 'smile'] }
    const of = async (used: boolean) =>
      (await page(teaching({ alikeAspects: [{ ...alike, used }] }))).html.find('.learnt').text()
    expect(await of(true)).toContain('by words such as helped and smile')
    expect(await of(false)).toContain('the words beside them in 60 clauses do not tell enough')
  })
})

describe('watches side by side', () => {
  const answers = { 'GET /api/entries': { rows: [row({ text: 'Petrel late' })], next: null } }
  test('stand as the address says; one that is gone has no column', async () => {
    const { html, at } = await open(SideBySidePage, answers, { path: '/watch/side?columns=4,99,g3' })
    expect(html.findAll('[data-test="column"] h3').map((h) => h.text())).toEqual(['Storm Petrel'])
    await press('Remove Storm Petrel')
    await flushPromises()
    expect(at().query).toEqual({})
    expect(html.text()).toContain('Choose watches to show side by side')
  })
})
