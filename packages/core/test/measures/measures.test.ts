import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  bucketIndex,
  bucketStarts,
  daysBefore,
  median,
  netSentiment,
  readUsual,
  usualOf,
} from '@murrabel/core/measures'
import { bunched, seeded } from '../support/random.ts'

describe('buckets', () => {
  const zone = 'Europe/London'
  test('a week over the change of the clock has days of 24, 25 and 24 hours', () => {
    const starts = bucketStarts({
      from: Date.parse('2026-10-24T00:00:00+01:00'),
      to: Date.parse('2026-10-27T00:00:00Z'),
      unit: 'day',
      zone,
    })
    expect(starts.slice(1).map((s, i) => (s - starts[i]!) / 3_600_000)).toEqual([24, 25])
    expect(starts).toHaveLength(3)
  })
  test('the hour that happens twice is two buckets', () => {
    const starts = bucketStarts({
      from: Date.parse('2026-10-25T00:00:00+01:00'),
      to: Date.parse('2026-10-26T00:00:00Z'),
      unit: 'hour',
      zone,
    })
    expect(starts).toHaveLength(25)
  })
  test('months begin at local midnight', () => {
    const starts = bucketStarts({
      from: Date.parse('2026-01-15T00:00:00Z'),
      to: Date.parse('2026-04-01T00:00:00Z'),
      unit: 'month',
      zone,
    })
    expect(starts.map((s) => new Date(s).toISOString())).toEqual([
      '2026-01-01T00:00:00.000Z',
      '2026-02-01T00:00:00.000Z',
      '2026-03-01T00:00:00.000Z',
      '2026-03-31T23:00:00.000Z',
    ])
  })
  test.each([
    // Late in the evening, over the end of summer time: 89 times 24 hours would lead to the 29th.
    ['2026-11-25T23:20:00Z', 89, '2026-08-28T22:20:00.000Z'],
    ['2026-04-10T00:10:00+01:00', 14, '2026-03-27T00:10:00.000Z'],
    ['2026-07-01T12:00:00+01:00', 1, '2026-06-30T11:00:00.000Z'],
  ])('%s, %i days before, is the same time of day', (at, days, before) => {
    expect(new Date(daysBefore(Date.parse(at), days, zone)).toISOString()).toBe(before)
  })
  test('more than can be drawn is refused', () => {
    expect(() =>
      bucketStarts({ from: 0, to: Date.parse('2026-01-01T00:00:00Z'), unit: 'hour', zone }),
    ).toThrow(RangeError)
  })
  test('the index is the last start that is not later', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 1 }),
        fc.integer({ min: -5, max: 1005 }),
        (list, at) => {
          const starts = list.sort((a, b) => a - b)
          return bucketIndex(starts, at) === starts.filter((s) => s <= at).length - 1
        },
      ),
    )
  })
})

describe('the usual range', () => {
  // Negative binomial of mean 125.5 / 6 and shape 125.5: P(X ≥ 32) = 0.0216, P(X ≥ 31) = 0.0341; P(X ≤ 11) = 0.0205, P(X ≤ 12) = 0.0383.
  test('small scatter is taken as that of counts that come independently', () =>
    expect(readUsual(21, [20, 22, 18, 24, 20, 21])).toMatchObject({ low: 12, high: 31, periods: 6 }))
  // By hand: mean 120, variance 3,240; 120 + 2.5706 · √(3240 · 7 / 6) = 278.05.
  test('great scatter is taken from the periods', () =>
    expect(readUsual(120, [100, 50, 140, 160, 70, 200])).toMatchObject({
      low: 0,
      high: 278,
      verdict: 'usual',
    }))
  test.each([
    [40, 'above'],
    [21, 'usual'],
    [5, 'below'],
  ])('%i is %s', (count, verdict) => expect(readUsual(count, [20, 22, 18, 24, 20, 21]).verdict).toBe(verdict))
  test('three periods are too little', () =>
    expect(readUsual(9, [1, 2, 3])).toMatchObject({ verdict: 'tooLittleHistory', p: 1, low: null }))
  test('only the last k periods count', () => expect(usualOf([999, 4, 4, 4, 4], 4)!.mean).toBe(4))
  test('a period beyond anything the others have seen does not say what is usual', () => {
    expect(usualOf([20, 22, 118, 24, 20, 21])).toMatchObject({ mean: 21.4, periods: 5, leftOut: 1 })
    expect(usualOf([20, 22, 33, 24, 20, 21])).toMatchObject({ periods: 6, leftOut: 0 })
  })
  test('nor do two days of it among many', () =>
    expect(
      usualOf([20, 25, 31, 22, 28, 30, 24, 27, 450, 480, 33, 26, 22, 29], 28)?.range(0.05),
    ).toMatchObject({ low: 17, high: 37 }))
  test('the range holds exactly what is not rarer than asked', () =>
    fc.assert(
      fc.property(
        fc.array(fc.nat(60), { minLength: 4, maxLength: 12 }),
        fc.constantFrom(0.002, 0.05, 0.2),
        (before, atLeast) => {
          const usual = usualOf(before, 12)!
          const { low, high } = usual.range(atLeast)
          expect(usual.chance(high)).toBeGreaterThanOrEqual(atLeast)
          expect(usual.chance(high + 1)).toBeLessThan(atLeast)
          expect(usual.chance(low)).toBeGreaterThanOrEqual(atLeast)
          if (low > 0) expect(usual.chance(low - 1)).toBeLessThan(atLeast)
        },
      ),
    ))
  test.each([
    [0.5, 1],
    [20, 1],
    [20, 3],
    [200, 8],
  ])(
    'of %s a period, variance %s times the mean, hardly anything ordinary is outside',
    (mean, dispersion) => {
      const random = seeded(mean + dispersion)
      const draw = () => bunched(mean, dispersion, random)
      let outside = 0
      for (let run = 0; run < 600; run++)
        if (readUsual(draw(), Array.from({ length: 6 }, draw)).verdict !== 'usual') outside++
      expect(outside / 600).toBeLessThan(0.08)
    },
  )
  test('median of nothing is not a number', () => expect(median([])).toBeNaN())
})

describe('net sentiment', () => {
  // By hand: p 0.5, q 0.2, net 0.3, variance (0.7 - 0.09)/100 = 0.0061, half width 1.959964 * 0.078102.
  test('50 positive, 30 neutral, 20 negative', () => {
    const net = netSentiment(50, 30, 20)!
    expect(net.net).toBeCloseTo(0.3, 12)
    // As far as it can be with one more of the other kind: two million draws give 0.1304 and 0.4538.
    expect(net.low).toBeCloseTo(0.1304, 3)
    expect(net.high).toBeCloseTo(0.4538, 3)
    expect(net.n).toBe(100)
  })
  test('nothing read gives nothing', () => expect(netSentiment(0, 0, 0)).toBeNull())
  test('the interval holds the value and stays between -1 and 1', () => {
    fc.assert(
      fc.property(fc.nat(50), fc.nat(50), fc.nat(50), (p, u, q) => {
        const net = netSentiment(p, u, q)
        return net === null || (net.low <= net.net && net.net <= net.high && net.low >= -1 && net.high <= 1)
      }),
    )
  })
})
