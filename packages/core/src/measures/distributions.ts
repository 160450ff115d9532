import betaCdf from '@stdlib/stats-base-dists-beta-cdf'
import betaQuantileOf from '@stdlib/stats-base-dists-beta-quantile'
import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import normalQuantileOf from '@stdlib/stats-base-dists-normal-quantile'

// The few distributions our intervals need, in our own terms.

/**
 * P(X ≤ x) for X ~ Beta(a, b): the regularised incomplete beta function; a, b > 0, 0 ≤ x ≤ 1.
 *
 * @example betaShare(0.5, 2, 2) // 0.5
 */
export const betaShare = (x: number, a: number, b: number): number => betaCdf(x, a, b)

/**
 * The x with P(X ≤ x) = p for X ~ Beta(a, b); a, b > 0, 0 ≤ p ≤ 1.
 *
 * @example betaQuantile(0.5, 3, 3) // 0.5
 */
export const betaQuantile = (p: number, a: number, b: number): number => betaQuantileOf(p, a, b)

/**
 * P(X ≥ count) when X given a rate is Poisson and the rate is Gamma: the negative binomial with this mean and shape.
 *
 * @param shape variance is mean + mean² / shape
 * @example gammaPoissonTail(0, 4, 2) // 1
 */
export function gammaPoissonTail(count: number, mean: number, shape: number): number {
  if (count <= 0) return 1
  if (mean <= 0) return 0
  return betaShare(mean / (mean + shape), count, shape)
}

/**
 * P(Z ≥ z) of the standard normal, exact far into the tail as well.
 *
 * @example normalTail(0) // 0.5
 */
export const normalTail = (z: number): number => normalCdf(-z, 0, 1)

/**
 * The z with P(Z ≤ z) = p of the standard normal; 0 < p < 1.
 *
 * @example normalQuantile(0.5) // 0
 */
export const normalQuantile = (p: number): number => normalQuantileOf(p, 0, 1)

/**
 * The t with P(|T| ≤ t) = p of Student's t; 0 ≤ p < 1, freedom above 0.
 *
 * @example studentQuantile(0.95, 5) // 2.5706
 */
export function studentQuantile(p: number, freedom: number): number {
  const x = betaQuantile(p, 0.5, freedom / 2)
  return Math.sqrt((freedom * x) / (1 - x))
}

/** P(|T| ≥ t) of Student's t; t ≥ 0, freedom above 0. */
export const studentTail = (t: number, freedom: number): number =>
  betaShare(freedom / (freedom + t * t), freedom / 2, 0.5)

/** Standard deviations on each side of the mean between which 95 % of a normal lie. */
export const z95 = 1.959964
