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
        { value: 0, weight: a },
        { value: 1, weight: b },
      ]
      expect(weightedShareAbove(x, of)).toBeCloseTo(1 - betaShare(x, b, a), 4)
      expect(weightedShareQuantile(x, of)).toBeCloseTo(betaQuantile(x, b, a), 4)
    }),
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
