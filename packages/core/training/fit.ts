import { heads, outputs, type Head } from '../src/meaning/model.ts'

/** A text as numbers: features, and the share of each output it should have. */
export interface Example {
  ids: Int32Array
  values: Float32Array
  targets: Float64Array
  /** How much it counts; 1 if left out. */
  weight?: number
}

/** How many features there are. */
export interface Sizes {
  features: number
  /** So many of the first are numbers of word vectors; 0 if left out. */
  dense?: number
  /** Features that say nothing by themselves; none if left out. */
  little?: ReadonlySet<number>
}

/** Pull of each weight towards 0: of what tells nothing, and of the numbers of word vectors. */
const ridge = 2
/** What tells little is pulled harder: the pull is divided by this and how far the log-odds of its texts lie from those of all. */
const leastTold = 0.3
/**
 * How much harder the pull of what says nothing by itself is where sentiment is read ("before", "so"): what such words lean to is more a
 * habit of whoever wrote the texts. For wishes they count in full: "can I".
 */
const littleHarder = 4
/** So often each feature is taken to have been met with a label and without it, before it is counted. */
const met = 1
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
 * How hard each weight is pulled towards 0: less where a feature is met more or less often with a label than without it, which
 * is how naive Bayes would weigh it (after Wang and Manning 2012, as a prior instead of a scale).
 *
 * @returns by feature and output; the numbers of word vectors are pulled alike
 */
export function pullsOf(
  examples: readonly Example[],
  { features, dense = 0, little = new Set() }: Sizes,
): Float64Array {
  const size = features * outputs
  const within = new Float64Array(size).fill(met)
  const without = new Float64Array(size).fill(met)
  for (const { ids, values, targets } of examples)
    for (let i = 0; i < ids.length; i++) {
      const value = Math.abs(values[i]!)
      const at = ids[i]! * outputs
      for (let k = 0; k < outputs; k++) {
        within[at + k]! += value * targets[k]!
        without[at + k]! += value * (1 - targets[k]!)
      }
    }
  const all = new Float64Array(outputs)
  const none = new Float64Array(outputs)
  for (let at = 0; at < size; at++) {
    all[at % outputs]! += within[at]!
    none[at % outputs]! += without[at]!
  }
  return Float64Array.from({ length: size }, (_, at) => {
    if (at < dense * outputs) return ridge
    const k = at % outputs
    const told = Math.log(within[at]! / all[k]! / (without[at]! / none[k]!))
    const harder = k < heads.sentiment[1] && little.has(Math.floor(at / outputs)) ? littleHarder : 1
    return (ridge * harder) / (leastTold + Math.abs(told))
  })
}

/**
 * Logistic regression of all heads at once with a ridge penalty, by Adam steps (Kingma and Ba 2015) over all examples.
 * Without randomness: the same examples in the same order give the same weights.
 *
 * @returns weights by feature and output
 */
export function fit(examples: readonly Example[], sizes: Sizes): Float64Array {
  const size = sizes.features * outputs
  const pulls = pullsOf(examples, sizes)
  const weights = new Float64Array(size)
  const first = new Float64Array(size)
  const second = new Float64Array(size)
  const gradient = new Float64Array(size)
  const answers = new Float64Array(outputs)
  for (let round = 1; round <= rounds; round++) {
    for (let k = 0; k < size; k++) gradient[k] = pulls[k]! * weights[k]!
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
