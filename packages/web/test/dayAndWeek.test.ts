import { describe, expect, test } from 'vitest'
import { worstOf } from '../src/sections/staffing/weekTexts.ts'
import { effortOf, tomorrowMorning } from '../src/sections/today/todayTexts.ts'

const minute = 60_000

describe('how long it takes, as it is said', () => {
  test.each([
    [20_000, { unit: 'minutes', n: 1 }],
    [7 * minute, { unit: 'minutes', n: 7 }],
    [23 * minute, { unit: 'minutes', n: 25 }],
    [54 * minute, { unit: 'minutes', n: 55 }],
    [55 * minute, { unit: 'hours', n: 1 }],
    [95 * minute, { unit: 'hours', n: 1.5 }],
    [400 * minute, { unit: 'hours', n: 6.5 }],
  ])('%i ms', (ms, said) => expect(effortOf(ms)).toEqual(said))
  test('never says less for more', () => {
    const of = (ms: number) => {
      const { unit, n } = effortOf(ms)
      return unit === 'hours' ? n * 60 : n
    }
    for (let m = 1; m < 600; m++) expect(of((m + 1) * minute)).toBeGreaterThanOrEqual(of(m * minute))
  })
})

test.each([
  ['2026-11-27T18:00:00Z', 'Europe/London', '2026-11-28T09:00:00.000Z'],
  ['2026-11-27T23:30:00Z', 'Europe/Paris', '2026-11-29T08:00:00.000Z'],
  // The night the clocks go forward.
  ['2026-03-28T12:00:00Z', 'Europe/Paris', '2026-03-29T07:00:00.000Z'],
])('tomorrow at nine after %s in %s', (now, zone, at) => {
  expect(tomorrowMorning(Date.parse(now), zone)).toBe(at)
})

describe('the worst hours', () => {
  test.each([
    [[0, 0, 3, 1, 0, 0], 1],
    [[0.1, 0.1, 0.1, 0], null],
    [[], null],
    [[5], null],
  ])('of %j begin at %j', (byHour, from) => expect(worstOf(byHour)).toBe(from))
  test('of two alike, the first', () => expect(worstOf([0, 2, 2, 2, 0, 2, 2, 2])).toBe(1))
})
