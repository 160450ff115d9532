import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { direction } from '@murrabel/core/measures'
import { lookGapMs, looksAt, paceFrom, paceOf, sinceAtMostMs, surenessOf } from '@murrabel/core/today'

const minute = 60_000
const day = 86_400_000
const now = 100 * day

describe('since when is told', () => {
  test.each([
    ['whoever was never there', { since: null, seen: null }, now - day],
    ['whoever comes back at once', { since: now - day, seen: now - minute }, now - day],
    ['whoever comes back the next day', { since: now - 3 * day, seen: now - day }, now - day],
    ['whoever was away for a month', { since: null, seen: now - 30 * day }, now - sinceAtMostMs],
    ['whoever was seen by a clock ahead', { since: now + day, seen: now + minute }, now],
  ])('%s', (_, looks, since) => expect(looksAt(looks, now)).toEqual({ since, seen: now }))

  test('many looks in one sitting tell the same; nothing between two sittings is left out', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 3 * day }), { minLength: 2, maxLength: 40 }),
        (steps) => {
          let looks = looksAt({ since: null, seen: null }, now)
          let at = now
          for (const step of steps) {
            const left = looks.seen
            const told = looks.since
            looks = looksAt(looks, (at += step))
            expect(looks.since).toBe(Math.max(step > lookGapMs ? left : told, at - sinceAtMostMs))
          }
        },
      ),
    )
  })
})

describe('the pace', () => {
  test.each([
    ['steady', Array.from({ length: 20 }, (_, i) => i * 4 * minute), { eachMs: 4 * minute, answers: 20 }],
    [
      'with nights between',
      [0, 5, 10, 15, 20, 1000, 1005, 1010, 1015, 1020].map((m) => m * minute),
      { eachMs: 5 * minute, answers: 9 },
    ],
    ['of too few', [0, 5, 10].map((m) => m * minute), null],
    ['of answers at the same instant', Array.from({ length: 20 }, () => 7), null],
    ['of none', [], null],
  ])('%s', (_, times, pace) => expect(paceOf(times)).toEqual(pace))

  test('is within the gaps it rests on, in whatever order they come', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 7 * day }), { minLength: 3, maxLength: 60 }),
        (times) => {
          const pace = paceOf(times)
          expect(paceOf([...times].reverse())).toEqual(pace)
          if (!pace) return
          expect(pace.answers).toBeGreaterThan(paceFrom)
          expect(pace.eachMs).toBeGreaterThan(0)
          expect(pace.eachMs).toBeLessThanOrEqual(25 * minute)
        },
      ),
    )
  })
})

test.each([
  [0.001, 5, 'sure'],
  [0.005, 5, 'fairly'],
  [0.02, 5, null],
  [0.02, 1, 'fairly'],
  [0.5, 0, null],
] as const)('p %d in %i places: %s', (p, places, sureness) => expect(surenessOf(p, places)).toBe(sureness))

test('where nothing happens, hardly anybody hears of a place that goes up or down', () => {
  let seed = 11
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647
  const looks = 2000
  const places = 5
  let told = 0
  for (let i = 0; i < looks; i++) {
    const found = Array.from({ length: places }, () =>
      surenessOf(direction(Array.from({ length: 9 }, () => random() + random() + random())).p, places),
    )
    if (found.some(Boolean)) told++
  }
  expect(told / looks).toBeLessThan(0.05)
})
