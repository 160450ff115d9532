/**
 * The few distributions our intervals need. The incomplete beta function by its continued fraction (Lentz's method, as in
 * Press et al., Numerical Recipes, 3rd edition, 6.4); everything else follows from it.
 */

const lanczos = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** Natural logarithm of the gamma function, x > 0. Lanczos's approximation, good to about 1e-13. */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const z = x - 1
  const sum = lanczos.slice(1).reduce((total, c, i) => total + c / (z + i + 1), lanczos[0]!)
  const t = z + 7.5
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum)
}

function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300
  const off0 = (value: number) => (Math.abs(value) < tiny ? tiny : value)
  let c = 1
  let d = 1 / off0(1 - ((a + b) * x) / (a + 1))
  let h = d
  for (let m = 1; m <= 10_000; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / off0(1 + even * d)
    c = off0(1 + even / c)
    h *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / off0(1 + odd * d)
    c = off0(1 + odd / c)
    h *= d * c
    if (Math.abs(d * c - 1) < 1e-14) break
  }
  return h
}

/** Regularised incomplete beta function: P(X ≤ x) for X ~ Beta(a, b); a, b > 0, 0 ≤ x ≤ 1. */
export function betaShare(x: number, a: number, b: number): number {
  if (x <= 0) return 0
  if (x >= 1) return 1
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x))
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b
}

/** The x with P(X ≤ x) = p for X ~ Beta(a, b). By halving, to 1e-12. */
export function betaQuantile(p: number, a: number, b: number): number {
  let low = 0
  let high = 1
  while (high - low > 1e-12) {
    const middle = (low + high) / 2
    if (betaShare(middle, a, b) < p) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * P(X ≥ count) when X given a rate is Poisson and the rate is Gamma: the negative binomial with this mean and shape.
 *
 * @param shape variance is mean + mean² / shape
 */
export function gammaPoissonTail(count: number, mean: number, shape: number): number {
  if (count <= 0) return 1
  if (mean <= 0) return 0
  return betaShare(mean / (mean + shape), count, shape)
}

/** P(Z ≥ z) of the standard normal. Abramowitz and Stegun 7.1.26 refined by a continued fraction in the far tail. */
export function normalTail(z: number): number {
  if (z < 0) return 1 - normalTail(-z)
  if (z > 38) return 0
  if (z > 3) {
    let fraction = z
    for (let k = 60; k >= 1; k--) fraction = z + k / fraction
    return Math.exp((-z * z) / 2) / (Math.sqrt(2 * Math.PI) * fraction)
  }
  // Series of Marsaglia 2004, exact to the last digits for moderate z.
  let sum = z
  let term = z
  for (let k = 1; k < 200 && Math.abs(term) > 1e-17; k++) {
    term *= (z * z) / (2 * k + 1)
    sum += term
  }
  return 0.5 - sum * Math.exp((-z * z) / 2 - 0.5 * Math.log(2 * Math.PI))
}

export const z95 = 1.959964
