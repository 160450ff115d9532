import fc from 'fast-check'
import { expect, test, vi } from 'vitest'
import { outputs } from '../../src/meaning/model.ts'
import { fit, type Example } from '../../training/fit.ts'
import { fitInThreads, packExamples, unpackExamples } from '../../training/fitInThreads.ts'

// A thread starts with a loader of its own.
vi.setConfig({ testTimeout: 60_000 })

const features = 5

const anExample = fc
  .record({
    ids: fc.uniqueArray(fc.nat(features - 1), { maxLength: features }),
    value: fc.integer({ min: -3, max: 3 }),
    label: fc.nat(2),
    weight: fc.integer({ min: 1, max: 4 }),
  })
  .map(({ ids, value, label, weight }): Example => {
    const targets = new Float64Array(outputs)
    targets[label] = 1
    return { ids: Int32Array.from(ids), values: Float32Array.from(ids, () => value), targets, weight }
  })

test('examples come out of shared memory as they went in', () => {
  fc.assert(
    fc.property(fc.array(anExample, { maxLength: 20 }), (examples) => {
      expect(unpackExamples(packExamples(examples))).toEqual(examples)
    }),
  )
})

test('a thread finds the models that are found without one, each of its own set and in their order', async () => {
  const examples = fc.sample(anExample, { numRuns: 40, seed: 7 })
  const sets = [[...examples.keys()], [0, 2, 4, 6, 8], [1, 3, 5], [39]]
  const fitted = await fitInThreads(examples, { features, dense: 1, little: new Set([2]) }, sets)
  const alone = sets.map((set) =>
    fit(
      set.map((i) => examples[i]!),
      { features, dense: 1, little: new Set([2]) },
    ),
  )
  expect(fitted).toEqual(alone)
  expect(new Set(alone.map((weights) => weights.join())).size).toBe(sets.length)
})

test('what a thread cannot do is said', async () => {
  const [example] = fc.sample(anExample, { numRuns: 1, seed: 7 })
  await expect(fitInThreads([example!], { features }, [[5]])).rejects.toThrow()
})
