import { z95 } from './distributions.ts'
import { between, type Change } from './change.ts'

export interface RatingMean {
  /** 1 to 5. */
  mean: number
  /** 95% interval. */
  low: number
  high: number
  n: number
}

/** One star more of each kind, before anything is known. */
const prior = [1, 1, 1, 1, 1]

/**
 * The mean of ratings with its interval. The interval is that of a multinomial with one more rating of each kind
 * (a Dirichlet(1,1,1,1,1) prior, in its normal approximation), so that three ratings of five are not taken as certain.
 *
 * @param stars counts of ratings of 1, 2, 3, 4 and 5
 * @returns null when there is none
 * @example meanRating([0, 0, 0, 0, 3]) // {"mean":5,"low":2.784,"high":5,"n":3}
 */
export function meanRating(stars: readonly number[]): RatingMean | null {
  const n = stars.reduce((sum, count) => sum + count, 0)
  if (n <= 0) return null
  const mean = momentsOf(stars).mean
  const { mean: middle, variance } = momentsOf(stars.map((count, i) => count + prior[i]!))
  const half = z95 * Math.sqrt(variance / (n + 1 + prior.length))
  return {
    mean,
    low: Math.max(1, Math.min(mean, middle - half)),
    high: Math.min(5, Math.max(mean, middle + half)),
    n,
  }
}

function momentsOf(stars: readonly number[]): { mean: number; variance: number } {
  const n = stars.reduce((sum, count) => sum + count, 0)
  const mean = stars.reduce((sum, count, i) => sum + count * (i + 1), 0) / n
  const variance = stars.reduce((sum, count, i) => sum + count * (i + 1 - mean) ** 2, 0) / n
  return { mean, variance }
}

/** From one mean rating to another, of different people; null when either is missing. */
export const changeOfRating = (before: RatingMean | null, after: RatingMean | null): Change | null =>
  between(before && { ...before, value: before.mean }, after && { ...after, value: after.mean })
