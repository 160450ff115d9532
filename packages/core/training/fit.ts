import { heads, outputs, type Head } from '../src/meaning/model.ts'

/** A text as numbers: features, and the share of each output it should have. */
export interface Example {
  ids: Int32Array
  values: Float32Array
  targets: Float64Array
  /** How much it counts; 1 if left out. */
  weight?: number
}

/** Pull of each weight towards 0. */
const ridge = 2
const rounds = 150
const rate = 0.03

/** The answers of a head to log-odds: softmax of several, the logistic function of one. */
export function answersOf(logits: Float64Array, head: Head, into: Float64Array): void {
  const [from, to] = heads[head]
  if (to - from === 1) {
    into[from] = 1 / (1 + Math.exp(-logits[from]!))
    return
  }
  let most = -Infinity
  for (let k = from; k < to; k++) most = Math.max(most, logits[k]!)
  let sum = 0
  for (let k = from; k < to; k++) sum += into[k] = Math.exp(logits[k]! - most)
  for (let k = from; k < to; k++) into[k]! /= sum
}

export function logitsOf({ ids, values }: Example, weights: Float64Array): Float64Array {
  const logits = new Float64Array(outputs)
  for (let i = 0; i < ids.length; i++) {
    const at = ids[i]! * outputs
    for (let k = 0; k < outputs; k++) logits[k]! += weights[at + k]! * values[i]!
  }
  return logits
}

/**
 * Logistic regression of all heads at once with a ridge penalty, by Adam steps (Kingma and Ba 2015) over all examples.
 * Without randomness: the same examples in the same order give the same weights.
 *
 * @returns weights by feature and output
 */
export function fit(examples: readonly Example[], features: number): Float64Array {
  const size = features * outputs
  const weights = new Float64Array(size)
  const first = new Float64Array(size)
  const second = new Float64Array(size)
  const gradient = new Float64Array(size)
  const answers = new Float64Array(outputs)
  for (let round = 1; round <= rounds; round++) {
    for (let k = 0; k < size; k++) gradient[k] = ridge * weights[k]!
    for (const example of examples) {
      const logits = logitsOf(example, weights)
      for (const head of Object.keys(heads) as Head[]) answersOf(logits, head, answers)
      const { ids, values, targets, weight = 1 } = example
      for (let k = 0; k < outputs; k++) answers[k] = (answers[k]! - targets[k]!) * weight
      for (let i = 0; i < ids.length; i++) {
        const at = ids[i]! * outputs
        const value = values[i]!
        for (let k = 0; k < outputs; k++) gradient[at + k]! += answers[k]! * value
      }
    }
    const warm = 1 - 0.9 ** round
    const still = 1 - 0.999 ** round
    for (let k = 0; k < size; k++) {
      const g = gradient[k]!
      first[k] = 0.9 * first[k]! + 0.1 * g
      second[k] = 0.999 * second[k]! + 0.001 * g * g
      weights[k]! -= (rate * (first[k]! / warm)) / (Math.sqrt(second[k]! / still) + 1e-8)
    }
  }
  return weights
}
