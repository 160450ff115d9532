import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { changeOfRating, meanRating } from '../../src/measures/index.ts'
import { seeded } from '../support/random.ts'

const stars = fc.array(fc.nat({ max: 400 }), { minLength: 5, maxLength: 5 })

describe('a mean rating', () => {
  test.each([
    [[0, 0, 0, 0, 3], 5, 2.78, 5],
    // With one more of each: mean 39/17 = 2.294, variance 125/17 - 2.294² = 2.090, half 1.96·√(2.090/18) = 0.668.
    [[7, 1, 2, 1, 1], 2, 1.626, 2.962],
  ])('of %j is %d, between %d and %d', (counts, mean, low, high) => {
    const found = meanRating(counts)!
    expect(found.mean).toBeCloseTo(mean, 10)
    expect(found.low).toBeCloseTo(low, 2)
    expect(found.high).toBeCloseTo(high, 2)
  })
  test('of nothing is nothing', () => expect(meanRating([0, 0, 0, 0, 0])).toBeNull())
  test('lies in its interval, within 1 and 5, and more ratings of the same kind are surer', () =>
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
    ))
  test('covers the truth at about its rate', () => {
    const random = seeded(11)
    const truth = [0.16, 0.1, 0.08, 0.22, 0.44]
    const mean = truth.reduce((sum, p, i) => sum + p * (i + 1), 0)
    for (const n of [15, 60, 400]) {
      let covered = 0
      for (let run = 0; run < 1500; run++) {
        const counts = [0, 0, 0, 0, 0]
        for (let i = 0; i < n; i++) {
          let left = random()
          const star = truth.findIndex((p) => (left -= p) < 0)
          counts[star < 0 ? 4 : star]!++
        }
        const found = meanRating(counts)!
        if (found.low <= mean && mean <= found.high) covered++
      }
      expect(covered / 1500).toBeGreaterThan(0.93)
      expect(covered / 1500).toBeLessThan(0.985)
    }
  })
  test('differs surely only where it does', () => {
    const [low, high] = [meanRating([40, 20, 10, 10, 5]), meanRating([5, 5, 10, 30, 60])]
    expect(changeOfRating(low, high)).toMatchObject({ sure: true })
    expect(changeOfRating(low, low)).toMatchObject({ sure: false, difference: 0 })
    expect(changeOfRating(null, high)).toBeNull()
  })
})
