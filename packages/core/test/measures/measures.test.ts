import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  bucketIndex,
  bucketStarts,
  daysBefore,
  median,
  netSentiment,
  usualRange,
  usualVerdict,
} from '@murrabel/core/measures'

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
  // By hand: median 20.5; deviations 0.5 1.5 2.5 3.5 0.5 0.5, their median 1, 1.4826 < sqrt(20.5) = 4.5277.
  test('small scatter is taken as Poisson', () => {
    const range = usualRange([20, 22, 18, 24, 20, 21])!
    expect(range.median).toBe(20.5)
    expect(range.low).toBeCloseTo(20.5 - 2 * Math.sqrt(20.5), 10)
    expect(range.high).toBeCloseTo(20.5 + 2 * Math.sqrt(20.5), 10)
  })
  // By hand: median 120; deviations 20 70 20 40 50 80, their median 45, spread 1.4826 * 45 = 66.717 > sqrt(120).
  test('great scatter is taken from the deviations', () => {
    const range = usualRange([100, 50, 140, 160, 70, 200])!
    expect(range.median).toBe(120)
    expect(range.low).toBe(0)
    expect(range.high).toBeCloseTo(120 + 2 * 66.717, 6)
  })
  test.each([
    [40, 'above'],
    [21, 'usual'],
    [5, 'below'],
  ])('%i is %s', (count, verdict) => expect(usualVerdict(count, [20, 22, 18, 24, 20, 21])).toBe(verdict))
  test('three periods are too little', () => expect(usualVerdict(9, [1, 2, 3])).toBe('tooLittleHistory'))
  test('only the last k periods count', () => expect(usualRange([999, 4, 4, 4, 4], 4)!.median).toBe(4))
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
