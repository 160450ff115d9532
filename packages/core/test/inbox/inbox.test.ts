import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  defaultDuePolicy,
  dueAt,
  isSaidAnew,
  minutesPerPoint,
  pressingAt,
  transition,
  wantedOf,
  urgency,
  type UrgencyEntry,
} from '@murrabel/core/inbox'
import { addBusinessMinutes, businessMinutesBetween, type BusinessHours } from '@murrabel/core/places'

const nineToFive: BusinessHours = {
  week: [[[540, 1020]], [[540, 1020]], [[540, 1020]], [[540, 1020]], [[540, 1020]], [], []],
  specialDays: { '2026-12-25': [] },
  zone: 'Europe/London',
}
const at = (text: string) => Date.parse(text)
const iso = (ms: number | null) => (ms === null ? null : new Date(ms).toISOString())

describe('business time', () => {
  test.each([
    ['within the day', '2026-11-25T10:00:00Z', 120, '2026-11-25T12:00:00.000Z'],
    ['over the night', '2026-11-25T16:30:00Z', 60, '2026-11-26T09:30:00.000Z'],
    ['over the weekend', '2026-11-27T16:30:00Z', 120, '2026-11-30T10:30:00.000Z'],
    ['from before opening', '2026-11-25T06:00:00Z', 30, '2026-11-25T09:30:00.000Z'],
    ['over a closed day', '2026-12-24T16:30:00Z', 60, '2026-12-28T09:30:00.000Z'],
    ['over the change of the clock', '2026-10-23T16:30:00+01:00', 60, '2026-10-26T09:30:00.000Z'],
    ['nothing to wait', '2026-11-25T10:00:00Z', 0, '2026-11-25T10:00:00.000Z'],
  ])('%s', (_, from, minutes, expected) =>
    expect(iso(addBusinessMinutes(at(from), minutes, nineToFive))).toBe(expected),
  )

  test('never closed is the plain sum', () => {
    const open: BusinessHours = { week: null, specialDays: {}, zone: 'Europe/London' }
    expect(addBusinessMinutes(at('2026-10-24T12:00:00Z'), 2000, open)).toBe(
      at('2026-10-24T12:00:00Z') + 2000 * 60_000,
    )
  })
  test('a place that never opens does not hang', () => {
    const never: BusinessHours = {
      week: [[], [], [], [], [], [], []],
      specialDays: {},
      zone: 'Europe/London',
    }
    expect(addBusinessMinutes(0, 10, never)).toBe(600_000)
  })
  test('what was added is what lies between', () => {
    const when = fc.integer({ min: at('2026-01-01T00:00:00Z'), max: at('2026-12-20T00:00:00Z') })
    fc.assert(
      fc.property(when, fc.integer({ min: 1, max: 4000 }), (from, minutes) => {
        const due = addBusinessMinutes(from, minutes, nineToFive)
        return Math.abs(businessMinutesBetween(from, due, nineToFive) - minutes) < 1e-6
      }),
      { numRuns: 60 },
    )
  })
})

test.each([
  ['message', null, '2026-11-25T12:00:00.000Z'],
  ['question', null, '2026-11-25T14:00:00.000Z'],
  ['comment', null, '2026-11-25T16:00:00.000Z'],
  ['review', 1, '2026-11-25T14:00:00.000Z'],
  ['review', 5, '2026-11-27T10:00:00.000Z'],
  ['mention', null, null],
] as const)('a %s of %s stars is due at %s', (kind, rating, expected) => {
  expect(iso(dueAt({ kind, rating, at: at('2026-11-25T10:00:00Z') }, defaultDuePolicy, nineToFive))).toBe(
    expected,
  )
})

describe('urgency', () => {
  const base: UrgencyEntry = {
    kind: 'review',
    sentiment: 'negative',
    rating: 1,
    reach: 0,
    priority: 0,
    waitingMessages: 1,
    dueAt: at('2026-11-25T10:00:00Z'),
  }
  const when = (text: string) => ({ now: at(text), receivedAt: at('2026-11-25T06:00:00Z') })

  test('two hours past due weigh 40', () => {
    const { points, parts } = urgency(base, when('2026-11-25T12:00:00Z'))
    expect(parts).toEqual([
      { name: 'pastDue', amount: 120, points: 40 },
      { name: 'negative', amount: 1, points: 15 },
      { name: 'poorRating', amount: 1, points: 25 },
    ])
    expect(points).toBe(80)
  })
  test('what is not due yet weighs less', () => {
    expect(urgency(base, when('2026-11-25T09:00:00Z')).parts[0]).toEqual({
      name: 'nearDue',
      amount: 60,
      points: -20,
    })
  })

  const entry: fc.Arbitrary<UrgencyEntry> = fc.record({
    kind: fc.constantFrom('review', 'comment', 'message', 'question', 'mention'),
    sentiment: fc.constantFrom('positive', 'neutral', 'negative', 'unread'),
    rating: fc.option(fc.integer({ min: 1, max: 5 })),
    reach: fc.nat(100_000),
    priority: fc.constantFrom(0, 1, 2),
    waitingMessages: fc.nat(6),
    dueAt: fc.option(fc.integer({ min: 0, max: 10_000 }).map((m) => m * 60_000)),
  })
  test('the order kept in the index is the order of the points, at any time', () => {
    fc.assert(
      fc.property(entry, entry, fc.integer({ min: 0, max: 20_000 }), (a, b, minutes) => {
        const time = { now: minutes * 60_000, receivedAt: 0 }
        const difference = urgency(a, time).points - urgency(b, time).points
        const order = (pressingAt(b, 0) - pressingAt(a, 0)) / 60_000 / minutesPerPoint
        // Each is rounded to whole points.
        return Math.abs(difference - order) <= 1
      }),
    )
  })
})

describe('what is wanted', () => {
  test.each([
    ['nothing that waits', [], 'unknown'],
    ['a kind word', [['praise', 0.1]], 'nothing'],
    ['chat', [['none', 0.2]], 'nothing'],
    ['a kind word that may want an answer', [['praise', 0.6]], 'unknown'],
    ['what could not be read', [[null, null]], 'unknown'],
    ['a kind word after a question', [['question', 0.9], ['praise', 0.1]], 'answer'], // prettier-ignore
    ['something broken', [['fault', 0.8]], 'answer'],
  ] as const)('%s', (_, waiting, expected) => {
    expect(wantedOf(waiting.map(([wish, wantsAnswer]) => ({ wish, wantsAnswer })))).toBe(expected)
  })
  test.each([
    ['review', 5, 'answer', '2026-11-25T14:00:00.000Z'],
    ['message', null, 'answer', '2026-11-25T12:00:00.000Z'],
    ['message', null, 'nothing', '2026-12-03T10:00:00.000Z'],
    ['review', 1, 'nothing', '2026-11-25T14:00:00.000Z'],
  ] as const)('a %s of %s stars that wants %s is due at %s', (kind, rating, wanted, expected) => {
    const entry = { kind, rating, wanted, at: at('2026-11-25T10:00:00Z') }
    expect(iso(dueAt(entry, defaultDuePolicy, nineToFive))).toBe(expected)
  })

  const kinds = fc.constantFrom(
    'review' as const,
    'comment' as const,
    'message' as const,
    'question' as const,
  )
  const waits = fc.record({
    kind: kinds,
    sentiment: fc.constantFrom('positive' as const, 'neutral' as const, 'negative' as const),
    rating: fc.option(fc.integer({ min: 3, max: 5 })),
    reach: fc.nat(1_000_000),
    waitingMessages: fc.nat(9),
    priority: fc.constant(0 as const),
  })
  test('at the same age a question or complaint stands before a kind word, whatever else they are', () => {
    fc.assert(
      fc.property(waits, waits, fc.integer({ min: 0, max: 20_000 }), (asks, kind, minutes) => {
        const received = at('2026-11-20T00:00:00Z') + minutes * 60_000
        const pressing = (entry: typeof asks, wanted: 'answer' | 'nothing') => {
          const due = dueAt({ ...entry, wanted, at: received }, defaultDuePolicy, nineToFive)
          return pressingAt({ ...entry, wanted, dueAt: due }, received)
        }
        return pressing(asks, 'answer') < pressing(kind, 'nothing')
      }),
    )
  })
})

describe('the states of a thread', () => {
  const now = 1000
  const position = (state: 'open' | 'waiting' | 'aside' | 'done') => ({
    state,
    setAsideUntil: state === 'aside' ? 2000 : null,
  })
  test.each([
    ['open', { kind: 'incoming' }, 'same'],
    ['done', { kind: 'incoming' }, 'open'],
    ['aside', { kind: 'incoming' }, 'open'],
    ['waiting', { kind: 'incoming' }, 'open'],
    ['open', { kind: 'replied' }, 'waiting'],
    ['done', { kind: 'replied' }, 'same'],
    ['open', { kind: 'finish' }, 'done'],
    ['aside', { kind: 'finish' }, 'done'],
    ['done', { kind: 'finish' }, 'same'],
    ['done', { kind: 'reopen' }, 'open'],
    ['open', { kind: 'reopen' }, 'same'],
    ['open', { kind: 'setAside', until: 2000 }, 'aside'],
    ['aside', { kind: 'setAside', until: 2000 }, 'same'],
    ['open', { kind: 'setAside', until: 900 }, 'same'],
    ['open', { kind: 'setAside', until: null }, 'aside'],
    ['aside', { kind: 'setAside', until: null }, 'aside'],
    ['aside', { kind: 'wake' }, 'same'],
    ['done', { kind: 'wake' }, 'same'],
    ['done', { kind: 'sendFailed' }, 'open'],
    ['waiting', { kind: 'sendFailed' }, 'open'],
    ['open', { kind: 'answeredOutside' }, 'waiting'],
    ['done', { kind: 'answeredOutside' }, 'waiting'],
    ['open', { kind: 'nothingOwed' }, 'done'],
    ['done', { kind: 'undo', to: { state: 'aside', setAsideUntil: 3000 } }, 'aside'],
    ['done', { kind: 'undo', to: { state: 'done', setAsideUntil: null } }, 'same'],
  ] as const)('%s, %j: %s', (from, event, expected) => {
    const result = transition(position(from), event, now)
    expect(result.changed ? result.next.state : 'same').toBe(expected)
  })
  test('what was set aside until they write is opened by what they write, and by no time', () => {
    const aside = transition(position('open'), { kind: 'setAside', until: null }, 1000)
    expect(aside).toEqual({ changed: true, next: { state: 'aside', setAsideUntil: null } })
    const there = { state: 'aside' as const, setAsideUntil: null }
    expect(transition(there, { kind: 'wake' }, 9e15)).toEqual({ changed: false, reason: 'notAside' })
    expect(transition(there, { kind: 'setAside', until: null }, 1000).changed).toBe(false)
    expect(transition(there, { kind: 'incoming' }, 1000)).toMatchObject({ next: { state: 'open' } })
  })

  test('what was set aside wakes when its time has come, and not before', () => {
    expect(transition(position('aside'), { kind: 'wake' }, 1999)).toEqual({
      changed: false,
      reason: 'tooEarly',
    })
    expect(transition(position('aside'), { kind: 'wake' }, 2000)).toEqual({
      changed: true,
      next: { state: 'open', setAsideUntil: null },
    })
  })
})

describe('a changed text', () => {
  test.each([
    [
      'a slip that was mended',
      'The crew was kind and the boat was lat',
      'The crew was kind and the boat was late',
      false,
    ],
    ['another case or punctuation', 'Late again', 'late again!!', false],
    [
      'a line that was added to a long text',
      'We came early, the crew was kind, the soup was hot and the sea was calm',
      'We came early, the crew was kind, the soup was hot and the sea was calm. Edit: thanks',
      false,
    ],
    [
      'praise that became a complaint',
      'Lovely crossing, thank you all',
      'They never refunded us after all',
      true,
    ],
    ['a question under a greeting', 'Hello', 'Hello, where is my refund for the cancelled boat?', true],
    ['nothing left', 'All was well with the boat and the crew', '', true],
  ])('%s', (_, before, after, anew) => expect(isSaidAnew(before, after)).toBe(anew))
})
