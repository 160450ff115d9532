import { between, type Change } from './change.ts'
import { weightedShareQuantile } from './weightedShare.ts'

export interface RatingMean {
  /** 1 to 5. */
  mean: number
  /** 95% interval. */
  low: number
  high: number
  n: number
}

/** Outside each end of an interval of 95%. */
const tail = 0.025
const most = 5

/**
 * The mean of ratings with its interval: at each end as far as the mean can be when one more rating had been the worst, or the
 * best (Gaffke 2005: a weighted share with Dirichlet weights, which for two kinds of ratings is the interval of Clopper and
 * Pearson 1934). It holds for few ratings and for skewed ones, and is rather too wide than too narrow; see docs/statistics.md.
 *
 * @param stars counts of ratings of 1, 2, 3, 4 and 5
 * @returns null when there is none
 * @example meanRating([0, 0, 0, 0, 3]) // {"mean":5,"low":2.17,"high":5,"n":3}
 */
export function meanRating(stars: readonly number[]): RatingMean | null {
  const n = stars.reduce((sum, count) => sum + count, 0)
  if (n <= 0) return null
  const sum = stars.reduce((all, count, i) => all + count * (i + 1), 0)
  const end = (star: number, p: number) =>
    weightedShareQuantile(
      p,
      stars.map((count, i) => ({ value: i + 1, weight: count + (i + 1 === star ? 1 : 0) })),
    )
  return { mean: sum / n, low: end(1, tail), high: end(most, 1 - tail), n }
}

/** From one mean rating to another, of different people; null when either is missing. */
export const changeOfRating = (before: RatingMean | null, after: RatingMean | null): Change | null =>
  between(before && { ...before, value: before.mean }, after && { ...after, value: after.mean })
