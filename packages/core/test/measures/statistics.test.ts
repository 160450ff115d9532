import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  betaQuantile,
  betaShare,
  bunchingOf,
  bunchingOfRows,
  changeOfCount,
  changeOfNet,
  changeOfShare,
  direction,
  gammaPoissonTail,
  heldTogether,
  independentEntries,
  netSentiment,
  normalTail,
  readVoice,
  share,
  shareOfVoice,
} from '@murrabel/core/measures'
import { kendallChance } from '../../src/measures/direction.ts'
import { bunched, normal, poisson, seeded } from '../support/random.ts'

/** Γ(k + a) / (Γ(a) k!) for whole k: the binomial coefficient of k + a - 1 over k. */
const choices = (k: number, a: number): number =>
  Array.from({ length: k }, (_, i) => (a + i) / (i + 1)).reduce((product, part) => product * part, 1)

describe('distributions', () => {
  test.each([
    [1.959964, 0.025],
    [1.644854, 0.05],
    [2.326348, 0.01],
    [3.719016, 1e-4],
    [0, 0.5],
    [-1, 0.8413447461],
  ])('normal tail beyond %s', (z, p) => expect(normalTail(z) / p).toBeCloseTo(1, 5))

  test('the incomplete beta function of whole numbers is a sum of binomial terms', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 20 }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (a, b, x) => {
          const n = a + b - 1
          let sum = 0
          for (let k = a; k <= n; k++) sum += choices(k, n - k + 1) * x ** k * (1 - x) ** (n - k)
          expect(betaShare(x, a, b)).toBeCloseTo(sum, 10)
        },
      ),
    ))

  test('the quantile undoes the share', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 300 }),
        fc.integer({ min: 1, max: 300 }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (a, b, p) => {
          expect(betaShare(betaQuantile(p, a, b), a, b)).toBeCloseTo(p, 8)
        },
      ),
    ))

  test('the Gamma-Poisson tail is one less the sum of the negative binomial', () => {
    const [mean, shape] = [3, 2]
    const chance = (k: number) =>
      choices(k, shape) * (shape / (shape + mean)) ** shape * (mean / (shape + mean)) ** k
    let below = 0
    for (let k = 0; k < 9; k++) below += chance(k)
    expect(gammaPoissonTail(9, mean, shape)).toBeCloseTo(1 - below, 10)
    expect(gammaPoissonTail(0, mean, shape)).toBe(1)
    expect(gammaPoissonTail(3, 0, shape)).toBe(0)
  })
})

describe('shares', () => {
  // Newcombe, Two-sided confidence intervals for the single proportion, Statistics in Medicine 17 (1998), table I, method 3.
  test.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%s of %s', (count, n, low, high) => {
    const found = share(count, n)!
    expect(found.low).toBeCloseTo(low, 4)
    expect(found.high).toBeCloseTo(high, 4)
  })
  test('nothing of nothing is no share', () => expect(share(0, 0)).toBeNull())
  test('the shares of voice of a set sum to one', () => {
    const shares = shareOfVoice([312, 188, 97])
    expect(shares.reduce((sum, s) => sum + s!.share, 0)).toBeCloseTo(1, 12)
  })
  test('the interval covers at its stated rate', () => {
    const random = seeded(1)
    let covered = 0
    const runs = 4000
    for (let i = 0; i < runs; i++) {
      const p = 0.05 + 0.9 * random()
      let count = 0
      for (let k = 0; k < 60; k++) if (random() < p) count++
      const { low, high } = share(count, 60)!
      if (low <= p && p <= high) covered++
    }
    expect(covered / runs).toBeGreaterThan(0.935)
    expect(covered / runs).toBeLessThan(0.975)
  })
})

describe('net sentiment covers at its stated rate', () => {
  test.each([
    [0.3, 0.3],
    [0.6, 0.15],
    [0.1, 0.7],
  ])('at %s positive and %s negative', (positive, negative) => {
    const random = seeded(2)
    let covered = 0
    const runs = 4000
    for (let i = 0; i < runs; i++) {
      let [p, q] = [0, 0]
      for (let k = 0; k < 80; k++) {
        const x = random()
        if (x < positive) p++
        else if (x < positive + negative) q++
      }
      const { low, high } = netSentiment(p, 80 - p - q, q)!
      if (low <= positive - negative && positive - negative <= high) covered++
    }
    expect(covered / runs).toBeGreaterThan(0.925)
    expect(covered / runs).toBeLessThan(0.975)
  })
})

describe('direction', () => {
  // Probabilities of Kendall's S: Gilbert, Statistical Methods for Environmental Pollution Monitoring (1987), table A18, one-sided.
  test.each([
    [[1, 2, 3, 5, 4], 8, 0.042],
    [[1, 2, 3, 4, 5], 10, 0.0083],
    [[1, 2, 3, 4, 6, 8, 7, 5], 20, 0.007],
    [[6, 5, 4, 3, 1, 2], -13, 0.0083],
  ])('%j has S = %s', (series, s, p) => {
    const found = direction(series)
    expect(found.s).toBe(s)
    expect(kendallChance(series, s) / 2).toBeCloseTo(p, 3)
    expect(found.p).toBeGreaterThanOrEqual(kendallChance(series, s))
  })
  test('the S of Gilbert, section 16.4.1', () => expect(direction([10, 15, 14, 20]).s).toBe(4))
  test('the slope is the median of all slopes, told in percent of the median', () => {
    // Slopes of 10, 12, 13, 16, 30: 2 1.5 2 5 1 2 6 3 8.5 14 -> median 2.5; median value 13.
    const found = direction([10, 12, 13, 16, 30])
    expect(found.slope).toBe(2.5)
    expect(found.perPeriod).toBeCloseTo(2.5 / 13, 12)
    expect(found.verdict).toBe('rising')
  })
  test.each([
    [[1, 2, 3, 4], 'tooLittle'],
    [[], 'tooLittle'],
    [[5, 5, 5, 5, 5, 5], 'level'],
    [[9, 8, 7, 6, 5, 4, 3], 'falling'],
    [[5, 6, 5, 6, 5, 6, 5], 'level'],
  ])('%j is %s', (series, verdict) => expect(direction(series).verdict).toBe(verdict))
  test.each([8, 12, 26])('over %s periods of noise it seldom speaks of a direction', (periods) => {
    const random = seeded(periods)
    let alarms = 0
    const runs = 3000
    for (let i = 0; i < runs; i++)
      if (direction(Array.from({ length: periods }, () => normal(random))).verdict !== 'level') alarms++
    expect(alarms / runs).toBeLessThan(0.062)
    expect(alarms / runs).toBeGreaterThan(0.01)
  })
  test.each([
    [8, 0.5, 0.075],
    [12, 0.3, 0.065],
    [12, 0.5, 0.085],
    [26, 0.7, 0.1],
  ])('nor over %s periods that follow by %s from the one before', (periods, by, most) => {
    const random = seeded(periods)
    let alarms = 0
    for (let run = 0; run < 2000; run++) {
      let value = normal(random)
      const series = Array.from({ length: periods }, () => {
        const before = value
        value = by * value + Math.sqrt(1 - by * by) * normal(random)
        return before
      })
      if (direction(series).verdict !== 'level') alarms++
    }
    expect(alarms / 2000).toBeLessThan(most)
  })
  test('counts with many ties keep the rate, too', () => {
    const random = seeded(5)
    let alarms = 0
    for (let i = 0; i < 3000; i++)
      if (direction(Array.from({ length: 12 }, () => poisson(2, random))).verdict !== 'level') alarms++
    expect(alarms / 3000).toBeLessThan(0.062)
  })
})

describe('change', () => {
  // Newcombe, Interval estimation for the difference between independent proportions, Statistics in Medicine 17 (1998), table II, method 10.
  test.each([
    [48, 80, 56, 70, 0.2, 0.0524, 0.3339],
    [3, 10, 9, 10, 0.6, 0.1705, 0.809],
    [0, 20, 10, 10, 1, 0.679, 1],
  ])('from %s of %s to %s of %s', (a, n, b, m, difference, low, high) => {
    const found = changeOfShare(share(a, n), share(b, m))!
    expect(found.difference).toBeCloseTo(difference, 10)
    expect(found.low).toBeCloseTo(low, 3)
    expect(found.high).toBeCloseTo(high, 3)
    expect(found.sure).toBe(true)
  })
  test('of nets, unsure when the interval holds 0', () => {
    expect(changeOfNet(netSentiment(10, 10, 10), netSentiment(12, 10, 10))).toMatchObject({ sure: false })
    expect(changeOfNet(netSentiment(100, 10, 10), netSentiment(10, 10, 100))).toMatchObject({ sure: true })
    expect(changeOfNet(null, netSentiment(1, 0, 0))).toBeNull()
  })
  test('of nets of the same mood is sure in at most one of 20, one entry against 500 included', () => {
    const random = seeded(6)
    const drawn = (n: number) => {
      const counts = [0, 0, 0]
      for (let i = 0; i < n; i++) counts[random() < 0.9 ? 0 : random() < 0.5 ? 1 : 2]!++
      return netSentiment(counts[0]!, counts[1]!, counts[2]!)
    }
    for (const [before, after] of [
      [1, 500],
      [3, 500],
      [10, 100],
    ] as const) {
      let sure = 0
      for (let run = 0; run < 300; run++) if (changeOfNet(drawn(before), drawn(after))!.sure) sure++
      expect(sure / 300).toBeLessThan(0.05)
    }
  })
  test('of counts by hand: 40 in 10 days to 90 in 10 days', () => {
    const found = changeOfCount({ count: 40, days: 10 }, { count: 90, days: 10 })
    expect(found.difference).toBe(5)
    expect(found.high - found.difference).toBeCloseTo((1.959964 * Math.sqrt(40.5 + 90.5)) / 10, 10)
    expect(found).toMatchObject({ sure: true, ratio: 2.25 })
  })
  test('bunches widen the interval', () => {
    const bunching = bunchingOf([0, 0, 12, 0, 1, 0, 11, 0])
    // Mean 3, variance ((9 * 5) + 81 + 4 + 64) / 7
    expect(bunching.dispersion).toBeCloseTo((45 + 81 + 4 + 64) / 7 / 3, 10)
    expect(bunching.freedom).toBe(7)
    expect(changeOfCount({ count: 40, days: 10 }, { count: 60, days: 10 }, bunching).sure).toBe(false)
    expect(bunchingOf([4, 4, 4])).toEqual({ dispersion: 0, freedom: 2 })
    expect(bunchingOf([0, 0])).toEqual({ dispersion: 1, freedom: 0 })
  })
  test('of several rows each has its own mean, and one burst does not speak for all', () => {
    // (1 + 1 + 100 + 100) / (5 + 50)
    expect(bunchingOfRows([[4, 6], [40, 60], [7]])).toMatchObject({ freedom: 2 })
    expect(
      bunchingOfRows([
        [4, 6],
        [40, 60],
      ]).dispersion,
    ).toBeCloseTo(202 / 55, 6)
    const calm = Array.from({ length: 30 }, (_, i) => [20 + (i % 3), 22, 18])
    expect(bunchingOfRows([...calm, [20, 20, 900]]).dispersion).toBeLessThan(2)
  })
  test.each([
    [3, 1],
    [20, 3],
    [20, 8],
  ])(
    'of counts, %s a day, variance %s times the mean, is seldom sure when nothing changed',
    (mean, dispersion) => {
      const random = seeded(mean + dispersion)
      const side = () => {
        const counts = Array.from({ length: 7 }, () => bunched(mean, dispersion, random))
        return { count: counts.reduce((a, b) => a + b, 0), days: 7, bunching: bunchingOf(counts) }
      }
      let sure = 0
      for (let run = 0; run < 600; run++) if (changeOfCount(side(), side()).sure) sure++
      expect(sure / 600).toBeLessThan(0.075)
    },
  )
  test('of too few is never sure', () => {
    expect(changeOfCount({ count: 0, days: 10 }, { count: 9, days: 10 })).toMatchObject({
      enough: false,
      sure: false,
    })
    expect(changeOfNet(netSentiment(0, 0, 4), netSentiment(500, 0, 0))).toMatchObject({
      enough: false,
      sure: false,
    })
  })
  test('of an empty period takes the bunching of the other', () => {
    const busy = { count: 84, days: 7, bunching: bunchingOf([0, 40, 0, 0, 44, 0, 0]) }
    expect(changeOfCount({ count: 0, days: 7, bunching: bunchingOf([0, 0, 0, 0, 0, 0, 0]) }, busy).sure).toBe(
      false,
    )
  })
})

describe('what is shown together', () => {
  test.each([
    [
      [0.001, 0.04, 0.5, 0.04],
      [true, true, false, true],
    ],
    [[0.04], [true]],
    [
      [0.04, 0.5, 0.5, 0.5, 0.5],
      [false, false, false, false, false],
    ],
    [[], []],
  ])('of %j holds %j', (ps, held) => expect(heldTogether(ps)).toEqual(held))
  test('of 30 without a change one is called clear in at most a tenth of the looks', () => {
    const random = seeded(30)
    let looks = 0
    for (let run = 0; run < 2000; run++)
      if (heldTogether(Array.from({ length: 30 }, random)).some(Boolean)) looks++
    expect(looks / 2000).toBeLessThan(0.12)
    expect(looks / 2000).toBeGreaterThan(0.08)
  })
})

describe('a net sentiment', () => {
  test.each([1, 3, 10, 100])('of %i holds the truth', (n) => {
    const random = seeded(9)
    let held = 0
    for (let run = 0; run < 400; run++) {
      const counts = [0, 0, 0]
      for (let i = 0; i < n; i++) counts[random() < 0.9 ? 0 : random() < 0.5 ? 1 : 2]!++
      const net = netSentiment(counts[0]!, counts[1]!, counts[2]!)!
      if (net.low <= 0.85 && 0.85 <= net.high) held++
    }
    expect(held / 400).toBeGreaterThan(0.94)
  })
})

describe('independent voices', () => {
  const alone = (n: number, said: number) => ({ clusters: n, squares: Math.abs(said), cross: said, sizes: n })
  test('entries that come alone all are', () => {
    const sums = { clusters: 300, squares: 200, cross: 40, sizes: 300 }
    const found = independentEntries(
      { positive: 120, neutral: 100, negative: 80 },
      { byStory: sums, byAuthor: sums, byBoth: sums },
    )!
    expect(found).toBeGreaterThan(285)
    expect(found).toBeLessThanOrEqual(300)
  })
  test('copies of one story are one', () => {
    const one = { clusters: 1, squares: 40 ** 2, cross: -(40 ** 2), sizes: 40 ** 2 }
    const found = independentEntries(
      { positive: 0, neutral: 0, negative: 40 },
      { byStory: one, byAuthor: alone(40, -40), byBoth: alone(40, -40) },
    )!
    expect(found).toBe(1)
    expect(netSentiment(0, 0, 40, found)!.high).toBeGreaterThan(0.9)
    expect(netSentiment(0, 0, 40)!.high).toBeLessThan(-0.8)
  })
  test('forty authors who say five things each, all in their own mood, are about forty', () => {
    const byAuthor = { clusters: 40, squares: 40 * 25, cross: 0, sizes: 40 * 25 }
    const found = independentEntries(
      { positive: 100, neutral: 0, negative: 100 },
      { byStory: alone(200, 0), byAuthor, byBoth: { ...alone(200, 0), squares: 200 } },
    )!
    expect(found).toBeGreaterThan(36)
    expect(found).toBeLessThan(44)
  })
  test('of nothing there are none', () =>
    expect(
      independentEntries(
        { positive: 0, neutral: 0, negative: 0 },
        { byStory: alone(0, 0), byAuthor: alone(0, 0), byBoth: alone(0, 0) },
      ),
    ).toBeNull())
  test('with them the interval holds the truth where two thirds copy', () => {
    const random = seeded(10)
    const mood = () => [1, 0, -1][Math.floor(random() * 3)]!
    let held = 0
    for (let run = 0; run < 200; run++) {
      const stories = Array.from({ length: 10 }, mood)
      const sizes = stories.map(() => 0)
      const counts = new Map([
        [1, 0],
        [0, 0],
        [-1, 0],
      ])
      let [lonely, lonelySaid] = [0, 0]
      for (let voice = 0; voice < 120; voice++) {
        const story = Math.floor(random() ** 2 * 10)
        const copies = random() < 0.67
        const value = copies ? stories[story]! : mood()
        counts.set(value, counts.get(value)! + 1)
        if (copies) sizes[story]!++
        else {
          lonely++
          lonelySaid += value
        }
      }
      const [positive, neutral, negative] = [counts.get(1)!, counts.get(0)!, counts.get(-1)!]
      const squares = sizes.reduce((sum, n, i) => sum + (n * stories[i]!) ** 2, 0)
      const byStory = {
        clusters: lonely + sizes.filter(Boolean).length,
        // Of those who come alone the squares are those that are not neutral.
        squares:
          squares + (positive + negative - sizes.reduce((sum, n, i) => sum + n * Math.abs(stories[i]!), 0)),
        cross: sizes.reduce((sum, n, i) => sum + n * n * stories[i]!, 0) + lonelySaid,
        sizes: sizes.reduce((sum, n) => sum + n * n, 0) + lonely,
      }
      const each = { clusters: 120, squares: positive + negative, cross: positive - negative, sizes: 120 }
      const independent = independentEntries(
        { positive, neutral, negative },
        { byStory, byAuthor: each, byBoth: each },
      )
      const net = netSentiment(positive, neutral, negative, independent)!
      if (net.low <= 0 && 0 <= net.high) held++
    }
    expect(held / 200).toBeGreaterThan(0.92)
  })
})

describe('voices', () => {
  test.each([
    [
      'one complaint',
      { positive: 0, neutral: 0, negative: 1, unread: 0, activeDays: 1 },
      'oneOff',
      'tooLittle',
    ],
    [
      'one bad day',
      { positive: 0, neutral: 0, negative: 6, unread: 0, activeDays: 1 },
      'oneOff',
      'tooLittle',
    ],
    [
      'five complaints on five days',
      { positive: 0, neutral: 0, negative: 5, unread: 0, activeDays: 5 },
      'regular',
      'tooLittle',
    ],
    [
      'six complaints on five days',
      { positive: 0, neutral: 0, negative: 6, unread: 0, activeDays: 5 },
      'regular',
      'critic',
    ],
    [
      'now and then, glad',
      { positive: 6, neutral: 0, negative: 0, unread: 1, activeDays: 3 },
      'occasional',
      'champion',
    ],
    ['both ways', { positive: 4, neutral: 1, negative: 4, unread: 0, activeDays: 6 }, 'regular', 'mixed'],
    [
      'in a language that is not read',
      { positive: 0, neutral: 0, negative: 0, unread: 9, activeDays: 9 },
      'regular',
      'tooLittle',
    ],
  ] as const)('%s', (_, counts, habit, leaning) =>
    expect(readVoice(counts)).toMatchObject({ habit, leaning }),
  )
})
