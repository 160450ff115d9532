/** One case: the features it has, what is known of it beforehand, and how it turned out. */
export interface Case {
  features: readonly number[]
  /** Log-odds by what is known beforehand. */
  offset: number
  is: boolean
}

export interface Fitted {
  bias: number
  /** How far the offset is believed. */
  trust: number
  weights: Float64Array
}

const ridge = 0.5
const rounds = 80
const rate = 0.3

export const shareOf = (logit: number) => 1 / (1 + Math.exp(-logit))

/** Features of a case weigh together as much however many they are. */
export const caseScale = (features: number) => 1 / Math.sqrt(Math.max(1, features))

/**
 * Logistic regression with a ridge penalty on top of an offset; AdaGrad steps over all cases (Duchi, Hazan and Singer 2011).
 * Without randomness: the same cases in the same order give the same weights.
 */
export function fitLogistic(cases: readonly Case[], features: number): Fitted {
  // The first is the bias, the second how far the offset is believed.
  const weights = new Float64Array(features + 2)
  weights[1] = 1
  const squares = new Float64Array(weights.length).fill(1e-8)
  const gradient = new Float64Array(weights.length)
  for (let round = 0; round < rounds; round++) {
    gradient.forEach((_, k) => (gradient[k] = k === 0 ? 0 : ridge * (weights[k]! - (k === 1 ? 1 : 0))))
    for (const { features: has, offset, is } of cases) {
      const scale = caseScale(has.length)
      let logit = weights[0]! + weights[1]! * offset
      for (const f of has) logit += weights[f + 2]! * scale
      const miss = shareOf(logit) - (is ? 1 : 0)
      gradient[0]! += miss
      gradient[1]! += miss * offset
      for (const f of has) gradient[f + 2]! += miss * scale
    }
    for (let k = 0; k < weights.length; k++) {
      squares[k]! += gradient[k]! ** 2
      weights[k]! -= (rate * gradient[k]!) / Math.sqrt(squares[k]!)
    }
  }
  return { bias: weights[0]!, trust: weights[1]!, weights: weights.subarray(2) }
}

/** Weights by name, as they are kept: also those that hardly weigh, which count as known. */
export const keptWeights = (names: readonly string[], weights: Float64Array): Record<string, number> =>
  Object.fromEntries(names.map((name, i) => [name, round4(weights[i]!)]))

export const round4 = (x: number) => Math.round(x * 1e4) / 1e4
