import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { changeOfRating, meanRating } from '../../src/measures/index.ts'
import { seeded } from '../support/random.ts'

const stars = fc.array(fc.nat({ max: 400 }), { minLength: 5, maxLength: 5 })

describe('a mean rating', () => {
  test.each([
    // Of two kinds it is Clopper and Pearson's: 1 + 4 · 0.025^(1/3), and 1 + 4 · (1 − 0.0657), of 5 in 100.
    [[0, 0, 0, 0, 3], 5, 2.17, 5],
    [[5, 0, 0, 0, 95], 4.8, 4.549, 4.934],
    [[1, 0, 0, 0, 0], 1, 1, 4.9],
    // The mean is no end of it.
    [[0, 0, 0, 2, 8], 4.8, 3.61, 4.975],
  ])('of %j is %d, between %d and %d', (counts, mean, low, high) => {
    const found = meanRating(counts)!
    expect(found.mean).toBeCloseTo(mean, 10)
    expect(found.low).toBeCloseTo(low, 2)
    expect(found.high).toBeCloseTo(high, 2)
  })
  test('of nothing is nothing', () => expect(meanRating([0, 0, 0, 0, 0])).toBeNull())
  test(
    'lies in its interval, within 1 and 5, and more ratings of the same kind are surer',
    { timeout: 30_000 },
    () =>
      fc.assert(
        fc.property(stars, (counts) => {
          const found = meanRating(counts)
          if (!found) return
          expect(found.low).toBeLessThanOrEqual(found.mean)
          expect(found.high).toBeGreaterThanOrEqual(found.mean)
          expect(found.low).toBeGreaterThanOrEqual(1)
          expect(found.high).toBeLessThanOrEqual(5)
          const more = meanRating(counts.map((n) => n * 9))!
          expect(more.high - more.low).toBeLessThan(found.high - found.low + 1e-9)
        }),
      ),
  )
  test('covers the truth at about its rate', { timeout: 30_000 }, () => {
    const random = seeded(11)
    const truth = [0.16, 0.1, 0.08, 0.22, 0.44]
    const mean = truth.reduce((sum, p, i) => sum + p * (i + 1), 0)
    for (const n of [15, 60, 400]) {
      let covered = 0
      for (let run = 0; run < 400; run++) {
        const counts = [0, 0, 0, 0, 0]
        for (let i = 0; i < n; i++) {
          let left = random()
          const star = truth.findIndex((p) => (left -= p) < 0)
          counts[star < 0 ? 4 : star]!++
        }
        const found = meanRating(counts)!
        if (found.low <= mean && mean <= found.high) covered++
      }
      expect(covered / 400).toBeGreaterThan(0.93)
      // For few it is wider than it need be.
      if (n === 400) expect(covered / 400).toBeLessThan(0.985)
    }
  })
  test.each([
    ['fours and fives', [0, 0, 0, 0.2, 0.8]],
    ['one in 20 the worst', [0.05, 0, 0, 0, 0.95]],
  ])('of %s, 10 of them, holds the truth, too', { timeout: 30_000 }, (_, truth) => {
    const random = seeded(4)
    const mean = truth.reduce((sum, p, i) => sum + p * (i + 1), 0)
    let covered = 0
    for (let run = 0; run < 300; run++) {
      const counts = [0, 0, 0, 0, 0]
      for (let i = 0; i < 10; i++) {
        let left = random()
        counts[truth.findIndex((p) => (left -= p) < 0)]!++
      }
      const found = meanRating(counts)!
      if (found.low <= mean && mean <= found.high) covered++
    }
    expect(covered / 300).toBeGreaterThan(0.93)
  })
  test('differs surely only where it does', () => {
    const [low, high] = [meanRating([40, 20, 10, 10, 5]), meanRating([5, 5, 10, 30, 60])]
    expect(changeOfRating(low, high)).toMatchObject({ sure: true })
    expect(changeOfRating(low, low)).toMatchObject({ sure: false, difference: 0 })
    expect(changeOfRating(null, high)).toBeNull()
  })
})
