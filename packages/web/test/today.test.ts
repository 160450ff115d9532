import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { problemOf, type FollowUp, type OwnLine, type TodayAnswer, type Unusual } from '@murrabel/contract'
import TodayPage from '../src/sections/today/TodayPage.vue'
import { effortOf, tomorrowMorning } from '../src/sections/today/todayTexts.ts'
import { useUndo } from '../src/stores/undo.ts'
import { button, press, useStage, write } from './stage.ts'
import { row } from './support.ts'
import { open, type Answers } from './watchSupport.ts'

useStage({ sizes: true })

const now = new Date('2026-11-26T10:00:00Z')
beforeEach(() => void vi.useFakeTimers({ now, toFake: ['Date'] }))
afterEach(() => void vi.useRealTimers())

const promise: FollowUp = {
  id: 12,
  edition: 3,
  threadId: 21,
  person: { id: 31, name: 'Perrin Oakes' },
  placeId: 2,
  channel: 'maps',
  kind: 'followUp',
  what: 'Send the photographs',
  worth: null,
  currency: null,
  nextStep: '',
  dueAt: '2026-11-26T08:00:00Z',
  late: true,
  givenTo: 2,
  madeBy: 'Ivo Oduya',
  madeAt: '2026-11-20T08:00:00Z',
  doneAt: null,
  doneBy: null,
  outcome: '',
}
const today = (more: Partial<TodayAnswer> = {}): TodayAnswer => ({
  since: '2026-11-25T17:40:00Z',
  arrived: 31,
  open: { count: 14, pastDue: 1, notSent: 0 },
  pace: { eachMs: 240_000, answers: 40 },
  due: [],
  notSent: [],
  keys: [],
  followUps: [],
  approvals: [],
  notices: [],
  list: [],
  gaps: [],
  colleagues: [],
  mailAt: null,
  ...more,
})
/** What a line says, piece by piece. */
function said({ element }: { element: Node }): string {
  const pieces = document.createTreeWalker(element, NodeFilter.SHOW_TEXT)
  const texts: string[] = []
  while (pieces.nextNode()) texts.push(pieces.currentNode.textContent!.trim())
  return texts.filter(Boolean).join(' ').replace(/\s+/g, ' ')
}
const tide = { unit: 'day', buckets: [], usual: null }

async function page(
  answer: TodayAnswer | Answers[string] = today(),
  {
    answers = {},
    unusual = [],
    ...more
  }: { answers?: Answers; unusual?: unknown } & Parameters<typeof open>[2] = {},
) {
  const opened = await open(
    TodayPage,
    {
      'GET /api/today/unusual': unusual,
      'POST /api/today/seen': undefined,
      ...answers,
      'GET /api/today': answer,
      'GET /api/tide': tide,
    },
    { path: '/today', ...more },
  )
  await flushPromises()
  const lines = () => opened.html.findAll('.news .lines > li').map(said)
  return { ...opened, lines, undo: useUndo() }
}
const asked = (calls: { path: string }[], path: string) =>
  calls.filter((call) => call.path.split('?')[0] === path).map((call) => call.path.split('?')[1] ?? '')

describe('what is told first', () => {
  test('is how much there is, and how long it takes at one’s own pace, with what that rests on', async () => {
    const { html, sent } = await page()
    expect(html.find('h1').text()).toBe('Thursday, since 17:40 yesterday')
    const sum = html.find('[data-test="sum"]')
    expect(sum.text()).toBe(
      '31 new entries, 14 threads wait for you, 1 is past due. About 1 hour at your usual pace.',
    )
    expect(sum.attributes('title')).toBe('The median of your last 40 answers, breaks left out: 4 min each.')
    // That it was looked at is told once it stands there.
    expect(sent('POST', '/api/today/seen')).toHaveLength(1)
  })
  test('no time is named from too few answers, nor where nothing waits', async () => {
    const { html } = await page(today({ pace: null }))
    expect(html.find('[data-test="sum"]').text()).toMatch(/past due\.$/)
    expect(html.find('[data-test="sum"]').attributes('title')).toBeUndefined()
    const idle = await page(today({ open: { count: 0, pastDue: 0, notSent: 0 } }))
    expect(idle.html.find('[data-test="sum"]').text()).toBe(
      '31 new entries, 0 threads wait for you, none is past due.',
    )
    expect(idle.html.text()).toContain('Nothing is due within a day.')
    expect(idle.html.text()).not.toContain('All that waits for you')
  })
  test('goes from what failed over what waits for one’s word to what is due and promised', async () => {
    const { lines, html } = await page(
      today({
        notSent: [
          {
            id: 5,
            threadId: 44,
            profile: 'Skerrivane Ferries, Dunmarrow',
            network: 'wherabout',
            channel: 'maps',
            text: 'We are sorry',
          } as TodayAnswer['notSent'][number],
        ],
        keys: [{ profileId: 7, name: 'Orrin page', network: 'lanternpage' }],
        approvals: [
          {
            id: 2,
            thread: 46,
            author: 'Hester Quill',
            by: 3,
            text: 'Dear Hester',
            askedAt: '2026-11-26T09:10:00Z',
          },
        ],
        due: [
          row({ id: 1, threadId: 9, dueAt: '2026-11-26T08:00:00Z' }),
          row({
            id: 2,
            threadId: 10,
            author: 'Anselm Rook',
            text: '',
            title: 'No seat',
            dueAt: '2026-11-26T15:30:00Z',
          }),
        ],
        followUps: [promise],
      }),
    )
    expect(lines()).toEqual([
      'not sent “We are sorry” was not sent on Skerrivane Ferries, Dunmarrow. Look',
      'cut off The key of Orrin page has ended, so nothing comes in or goes out there. Renew it',
      expect.stringMatching(/^09:10 .*Ivo Oduya.*Hester Quill.* Dear Hester$/),
      '2 h late Perrin Oakes Wherabout · Dunmarrow Waited ninety minutes. Finish Tomorrow',
      '15:30 Anselm Rook Wherabout · Dunmarrow No seat Finish Tomorrow',
      '2 h late promised Send the photographs Done',
    ])
    const doors = html.findAll('.news .lines a').map((door) => door.attributes('href'))
    expect(doors[0]).toMatch(/^\/inbox\/44\?/)
    expect(doors[1]).toBe('/set-up/profiles')
  })
  test('is only read by whoever may not answer', async () => {
    const { html } = await page(today({ due: [row()] }), { role: 'reader' })
    expect(html.findAll('[data-test="due"]')).toHaveLength(1)
    expect(button(html, 'Finish')).toBeUndefined()
    expect(html.text()).not.toContain('Hand over')
  })
  test('when it cannot be had, the page says so, and is asked again', async () => {
    let broken = true
    const { html, body } = await page(() =>
      broken ? { status: 500, body: problemOf('broken') } : { body: today() },
    )
    expect(html.find('[data-test="sum"]').exists()).toBe(false)
    broken = false
    await button(html, /again/i).trigger('click')
    await flushPromises()
    expect(html.find('[data-test="sum"]').exists()).toBe(true)
    expect(body()).toContain('31 new entries')
  })
})

describe('what is done from here', () => {
  const answers = {
    'POST /api/threads/9/events/77/undo': { eventId: null },
    'POST /api/threads/9/events': { eventId: 77 },
  }
  test('a thread is finished, or comes back tomorrow at nine, each with the way back', async () => {
    const { html, sent, undo } = await page(today({ due: [row()] }), { answers })
    await button(html, 'Finish').trigger('click')
    await flushPromises()
    expect(sent('POST', '/api/threads/9/events')[0]!.body).toEqual({ kind: 'finish' })
    await undo.undo()
    expect(sent('POST', '/api/threads/9/events/77/undo')).toHaveLength(1)
    await button(html, 'Tomorrow').trigger('click')
    await flushPromises()
    expect(sent('POST', '/api/threads/9/events').at(-1)!.body).toEqual({
      kind: 'setAside',
      until: '2026-11-27T09:00:00.000Z',
    })
    expect(undo.notice!.text).toMatch(/set aside|comes back/i)
  })
  test('a promise is kept, and can be taken up again', async () => {
    const { html, sent, undo } = await page(today({ followUps: [promise] }), {
      answers: {
        'POST /api/follow-ups/12': undefined,
        'PUT /api/follow-ups/12': undefined,
      },
    })
    await button(html, 'Done').trigger('click')
    await flushPromises()
    expect(sent('POST', '/api/follow-ups/12')[0]!.body).toEqual({ edition: 3, outcome: '' })
    expect(undo.notice!.text).toContain('Send the photographs')
  })
  test('one’s own list takes lines, ticks them, and gives back what was removed', async () => {
    let list: OwnLine[] = [{ id: 1, text: 'Ask about winter hours', doneAt: null }]
    const { html, sent, undo } = await page(() => ({ body: today({ list }) }), {
      answers: {
        'POST /api/today/lines': (body: unknown) => {
          list = [...list, { id: 2, text: (body as { text: string }).text, doneAt: null }]
          return { body: list.at(-1) }
        },
        'PUT /api/today/lines/1': (body: unknown) => {
          const { done } = body as { done: boolean }
          list = list.map((line) => ({ ...line, doneAt: done ? '2026-11-26T10:00:00Z' : null }))
          return { body: list[0] }
        },
        'DELETE /api/today/lines/1': () => {
          list = list.slice(1)
          return { body: undefined }
        },
      },
    })
    const field = html.find('[data-test="own-list"] form input')
    await write(field.element, '   ')
    await html.find('[data-test="own-list"] form').trigger('submit')
    expect(sent('POST', '/api/today/lines')).toEqual([])
    await write(field.element, 'Ring the harbour office')
    await html.find('[data-test="own-list"] form').trigger('submit')
    await flushPromises()
    expect(html.findAll('[data-test="own-list"] li')).toHaveLength(2)
    expect((field.element as HTMLInputElement).value).toBe('')
    await html.find('[data-test="own-list"] li input').trigger('change')
    await flushPromises()
    expect(html.find('[data-test="own-list"] li').classes()).toContain('done')
    await press('Remove “Ask about winter hours”')
    await flushPromises()
    expect(html.findAll('[data-test="own-list"] li')).toHaveLength(1)
    await undo.undo()
    await flushPromises()
    expect(sent('POST', '/api/today/lines').at(-1)!.body).toEqual({ text: 'Ask about winter hours' })
    expect(html.findAll('[data-test="own-list"] li')).toHaveLength(2)
  })
})

describe('of one place, and since when', () => {
  test('is what the address says, in all that is asked for', async () => {
    const { calls, html } = await page(today(), { path: '/today?since=week&place=2' })
    expect(asked(calls, '/api/today')).toEqual(['since=week&place=2'])
    expect(asked(calls, '/api/today/unusual')).toEqual(['place=2'])
    expect(asked(calls, '/api/tide').every((query) => query.includes('place=2'))).toBe(true)
    expect(html.find('[data-test="place"]').text()).toBe('Dunmarrow')
    expect(html.find('[data-test="since"]').text()).toBe('a week ago')
  })
  test('a place nobody knows, and a time nobody offers, are all places since the last look', async () => {
    const { calls, html } = await page(today(), { path: '/today?since=ages&place=99' })
    expect(asked(calls, '/api/today')).toEqual(['since=look'])
    expect(html.find('[data-test="place"]').text()).toBe('all places')
  })
})

describe('what is not as usual', () => {
  const spike: Unusual = {
    kind: 'spike',
    sureness: 'sure',
    watch: { id: 4, name: 'Storm Petrel' },
    from: '2026-11-26T06:00:00Z',
    to: '2026-11-26T10:00:00Z',
    open: true,
    count: 44,
    expected: 2,
    words: ['engine', 'stranded'],
    network: 'wherabout',
  }
  const told = async (unusual: unknown) => {
    const { html } = await page(today(), { unusual })
    const lines = html.findAll('[data-test="unusual"] li')
    return {
      texts: lines.map(said),
      doors: lines.map((line) => decodeURIComponent(line.find('a').attributes('href')!)),
      body: html.text(),
    }
  }
  test('is said with its size, how sure it is, and the door to it', async () => {
    const { texts, doors } = await told([
      spike,
      { kind: 'place', sureness: 'fairly', placeId: 2, name: 'Dunmarrow', perWeek: -3.24, weeks: 5 },
      { kind: 'phrase', sureness: 'sure', text: 'rude crew', phrase: 'rude crew', good: false, count: 6 },
    ])
    expect(texts[0]).toMatch(
      /^sure Storm Petrel is talked about 22 times as much as usual since .*; “engine” and “stranded” tell it apart; it began on Wherabout$/,
    )
    expect(texts[1]).toBe('fairly Dunmarrow has slid for 5 weeks, 3.2 points a week')
    expect(texts[2]).toBe('sure “rude crew” is new among the complaints, 6 times this week')
    expect(doors[0]).toMatch(/^\/watch\?.*watch=4.*view=spikes/)
    expect(doors[1]).toMatch(/place=2.*time=last-35.*view=figures/)
    expect(doors[2]).toMatch(/phrase=rude.crew.*view=mentions/)
  })
  test('next to nothing expected is no reason for an endless factor', async () => {
    const { texts } = await told([{ ...spike, count: 4, expected: 0, words: [], network: null }])
    expect(texts[0]).toMatch(/is talked about 8 times as much as usual since [^;]*$/)
  })
  test('none, and not to be had, are told apart', async () => {
    expect((await told([])).body).toContain('Nothing is unusual.')
    const failed = await told(() => ({ status: 500, body: problemOf('broken') }))
    expect(failed.body).toContain('What is unusual could not be told just now.')
    expect(failed.body).not.toContain('Nothing is unusual.')
  })
})

test('colleagues are the others, with what they have open; what is not set up leads to where it is', async () => {
  const { html, body } = await page(
    today({
      colleagues: [
        { id: 2, name: 'Tamsin Kerr', open: 9, pastDue: 0, awayUntil: null },
        { id: 3, name: 'Ivo Oduya', open: 4, pastDue: 2, awayUntil: '2026-11-30' },
      ],
      gaps: [{ kind: 'placeHours', placeId: 1, name: 'Selwick Quay' }],
    }),
  )
  const colleagues = html.find('[data-test="colleagues-now"]').text().replace(/\s+/g, ' ')
  expect(colleagues).toContain('Ivo Oduya, 4 open, 2 past due, away until')
  expect(colleagues).not.toContain('Tamsin')
  expect(body()).toContain('Selwick Quay has no opening hours')
  expect(html.find('a[href="/set-up/places"]').exists()).toBe(true)
})

describe('times as they are said', () => {
  test.each([
    [20_000, 'minutes', 1],
    [240_000, 'minutes', 4],
    [13 * 60_000, 'minutes', 15],
    [54 * 60_000, 'minutes', 55],
    [55 * 60_000, 'hours', 1],
    [95 * 60_000, 'hours', 1.5],
    [10 * 3_600_000, 'hours', 10],
  ] as const)('%i ms of work are %s: %d', (ms, unit, n) => expect(effortOf(ms)).toEqual({ unit, n }))
  test('tomorrow morning is nine on the clock of the brand, over a change of the clocks as well', () => {
    expect(tomorrowMorning(Date.parse('2026-10-24T20:00:00Z'), 'Europe/London')).toBe(
      '2026-10-25T09:00:00.000Z',
    )
    expect(tomorrowMorning(Date.parse('2026-07-01T23:30:00Z'), 'Europe/London')).toBe(
      '2026-07-03T08:00:00.000Z',
    )
  })
})
