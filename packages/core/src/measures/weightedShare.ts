/** A value and how much of a Dirichlet distribution's weight it has; no weight: it is left out. */
export interface Weighted {
  value: number
  weight: number
}

const steps = 300
const mostGuesses = 60

/**
 * P(Σ value · share > m) where the shares are Dirichlet with these weights. With independent gamma variables G it is
 * P(Σ (value − m) G > 0), whose characteristic function is inverted (Imhof 1961, with gammas in place of chi-squares).
 *
 * @returns 0 to 1, to within about 1e-6
 * @example weightedShareAbove(0.5, [{ value: 0, weight: 1 }, { value: 1, weight: 1 }]) // 0.5
 */
export function weightedShareAbove(m: number, of: readonly Weighted[]): number {
  const parts = of.filter(({ weight }) => weight > 0)
  if (parts.every(({ value }) => value <= m)) return 0
  if (parts.every(({ value }) => value >= m)) return 1
  // In standard deviations, so that the same steps do for few and for many.
  const scale = Math.sqrt(parts.reduce((sum, { value, weight }) => sum + weight * (value - m) ** 2, 0))
  const terms = parts.map(({ value, weight }) => ({ w: (value - m) / scale, weight }))
  const mean = terms.reduce((sum, { w, weight }) => sum + w * weight, 0)
  const integrand = (t: number): number => {
    let [angle, logSize] = [0, 0]
    for (const { w, weight } of terms) {
      angle += weight * Math.atan(w * t)
      logSize += (weight / 2) * Math.log1p((w * t) ** 2)
    }
    return Math.sin(angle) / (t * Math.exp(logSize))
  }
  // Over all t > 0, as t = u / (1 − u); Simpson's rule. At its end nothing is left.
  let sum = mean
  for (let i = 1; i < steps; i++) {
    const u = i / steps
    sum += ((i % 2 ? 4 : 2) * integrand(u / (1 - u))) / (1 - u) ** 2
  }
  const above = 0.5 + sum / (3 * steps) / Math.PI
  return Math.min(1, Math.max(0, above))
}

/**
 * The m with P(Σ value · share ≤ m) = p.
 *
 * @param p 0 to 1
 * @param of at least one of them with a weight
 * @returns to within about 1e-6 of the distance between the least value and the greatest
 * @example weightedShareQuantile(0.5, [{ value: 0, weight: 1 }, { value: 1, weight: 1 }]) // 0.5
 */
export function weightedShareQuantile(p: number, of: readonly Weighted[]): number {
  const values = of.filter(({ weight }) => weight > 0).map(({ value }) => value)
  let [low, high] = [Math.min(...values), Math.max(...values)]
  const near = (high - low) * 1e-6
  // The rule of the false position, in Illinois' form: an end that stays twice counts half.
  let [atLow, atHigh] = [-p, 1 - p]
  let stayed = 0
  for (let i = 0; i < mostGuesses && high - low > near; i++) {
    const guess = (low * atHigh - high * atLow) / (atHigh - atLow)
    const at = 1 - weightedShareAbove(guess, of) - p
    if (Math.abs(at) < 1e-9) return guess
    if (at < 0) {
      ;[low, atLow] = [guess, at]
      if (stayed < 0) atHigh /= 2
      stayed = -1
    } else {
      ;[high, atHigh] = [guess, at]
      if (stayed > 0) atLow /= 2
      stayed = 1
    }
  }
  return (low + high) / 2
}
