import fc from 'fast-check'
import { expect, test } from 'vitest'
import { betaQuantile, betaShare } from '../../src/measures/distributions.ts'
import { weightedShareAbove, weightedShareQuantile } from '../../src/measures/weightedShare.ts'
import { seeded } from '../support/random.ts'

const weight = fc.oneof(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 900 }))

test('of two values it is the beta distribution', () =>
  fc.assert(
    fc.property(weight, weight, fc.double({ min: 0.01, max: 0.99, noNaN: true }), (a, b, x) => {
      const of = [
        { value: 2, weight: a },
        { value: 0, weight: b },
      ]
      expect(weightedShareAbove(2 * x, of)).toBeCloseTo(1 - betaShare(x, a, b), 10)
      expect(weightedShareQuantile(x, of)).toBeCloseTo(2 * betaQuantile(x, a, b), 10)
    }),
  ))

// A value written as two of the same is the same; what is made for three and more then has to give the beta distribution.
test('of more than two values it errs by less than 6% of the smaller side', () =>
  fc.assert(
    fc.property(weight, weight, weight, fc.constantFrom(0.005, 0.025, 0.2, 0.5, 0.975), (a, b, c, p) => {
      const of = [
        { value: 0, weight: a },
        { value: 1, weight: b },
        { value: 1, weight: c },
      ]
      const off = (share: number) => Math.abs(share - p) / Math.min(p, 1 - p)
      expect(off(1 - weightedShareAbove(betaQuantile(p, b + c, a), of))).toBeLessThan(0.06)
      expect(off(betaShare(weightedShareQuantile(p, of), b + c, a))).toBeLessThan(0.06)
    }),
    { numRuns: 500 },
  ))

test('of three values it is what drawing them gives', () => {
  const random = seeded(3)
  // Gammas of whole shapes are sums of exponentials.
  const gamma = (shape: number) => {
    let sum = 0
    for (let i = 0; i < shape; i++) sum -= Math.log(1 - random())
    return sum
  }
  const of = [
    { value: 1, weight: 3 },
    { value: 2, weight: 1 },
    { value: 5, weight: 6 },
  ]
  const drawn = Array.from({ length: 20_000 }, () => {
    const parts = of.map((each) => ({ ...each, g: gamma(each.weight) }))
    const all = parts.reduce((sum, { g }) => sum + g, 0)
    return parts.reduce((sum, { value, g }) => sum + value * g, 0) / all
  })
  for (const m of [2.2, 3, 3.5, 4, 4.5])
    expect(weightedShareAbove(m, of)).toBeCloseTo(drawn.filter((each) => each > m).length / drawn.length, 1.7)
})

test('what has no weight is left out, and beyond the values there is nothing', () => {
  const of = [
    { value: 1, weight: 0 },
    { value: 2, weight: 3 },
    { value: 4, weight: 3 },
  ]
  expect([weightedShareAbove(2, of), weightedShareAbove(4, of)]).toEqual([1, 0])
  expect(weightedShareQuantile(0.5, of)).toBeCloseTo(3, 6)
  expect(weightedShareQuantile(0.3, [{ value: 2, weight: 9 }])).toBe(2)
})
