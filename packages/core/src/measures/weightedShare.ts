import { betaQuantile, betaShare, normalQuantile, normalTail } from './distributions.ts'

/** A value and how much of a Dirichlet distribution's weight it has; no weight: it is left out. */
export interface Weighted {
  value: number
  weight: number
}

const mostSteps = 80

/** The sums that Newton's method and the score need, of terms `w · G`, at a tilt `s` of their distribution. */
function tilted(terms: readonly Weighted[], s: number): { slope: number; curve: number; log: number } {
  let [slope, curve, log] = [0, 0, 0]
  for (const { value, weight } of terms) {
    const left = 1 - value * s
    const part = value / left
    slope += weight * part
    curve += weight * part * part
    log -= weight * Math.log(left)
  }
  return { slope, curve, log }
}

/** Where the tilted sum has a mean of nothing. */
function saddlePoint(terms: readonly Weighted[]): number {
  const values = terms.map(({ value }) => value)
  let [low, high] = [1 / Math.min(...values), 1 / Math.max(...values)]
  let s = 0
  for (let i = 0; i < mostSteps; i++) {
    const { slope, curve } = tilted(terms, s)
    if (slope > 0) high = s
    else low = s
    const newton = s - slope / curve
    const next = newton > low && newton < high ? newton : (low + high) / 2
    if (Math.abs(next - s) < 1e-12 * (1 + Math.abs(s))) return next
    s = next
  }
  return s
}

/**
 * The z with P(Σ value · share > m) = P(a standard normal > z): with independent gamma variables G it is P(Σ (value − m) G > 0),
 * by the saddlepoint of their sum (Lugannani and Rice 1980, in the form of Barndorff-Nielsen 1986).
 */
function score(m: number, parts: readonly Weighted[]): number {
  const scale = Math.max(...parts.map(({ value }) => Math.abs(value - m)))
  const terms = parts.map(({ value, weight }) => ({ value: (value - m) / scale, weight }))
  const s = saddlePoint(terms)
  const { curve, log } = tilted(terms, s)
  const r = Math.sign(s) * Math.sqrt(Math.max(0, -2 * log))
  // At its mean only the skew is left of it.
  if (Math.abs(r) < 1e-4)
    return r + terms.reduce((sum, { value, weight }) => sum + weight * value ** 3, 0) / (3 * curve ** 1.5)
  return r + Math.log((s * Math.sqrt(curve)) / r) / r
}

/**
 * P(Σ value · share > m) where the shares are Dirichlet with these weights.
 *
 * @param of weights of 1 and more; what has none is left out
 * @returns 0 to 1: of two values the beta distribution's; of more to within 6% of the smaller side, and mostly to within 1%
 * @example weightedShareAbove(0.5, [{ value: 0, weight: 1 }, { value: 1, weight: 1 }]) // 0.5
 */
export function weightedShareAbove(m: number, of: readonly Weighted[]): number {
  const parts = of.filter(({ weight }) => weight > 0)
  if (parts.every(({ value }) => value <= m)) return 0
  if (parts.every(({ value }) => value >= m)) return 1
  const two = asTwo(parts)
  return two
    ? 1 - betaShare((m - two.low) / (two.high - two.low), two.above, two.below)
    : normalTail(score(m, parts))
}

/** Of two values only: which they are, and how much weight each has. */
function asTwo(
  parts: readonly Weighted[],
): { low: number; high: number; below: number; above: number } | null {
  if (parts.length !== 2) return null
  const [low, high] = parts[0]!.value <= parts[1]!.value ? [parts[0]!, parts[1]!] : [parts[1]!, parts[0]!]
  return { low: low.value, high: high.value, below: low.weight, above: high.weight }
}

/**
 * The m with P(Σ value · share ≤ m) = p.
 *
 * @param p 0 to 1, both excluded
 * @param of at least one of them with a weight; weights of 1 and more
 * @returns to within about 1e-7 of the distance between the least value and the greatest from where `weightedShareAbove` says so
 * @example weightedShareQuantile(0.5, [{ value: 0, weight: 1 }, { value: 1, weight: 1 }]) // 0.5
 */
export function weightedShareQuantile(p: number, of: readonly Weighted[]): number {
  const parts = of.filter(({ weight }) => weight > 0)
  const two = asTwo(parts)
  if (two) return two.low + (two.high - two.low) * betaQuantile(p, two.above, two.below)
  const values = parts.map(({ value }) => value)
  let [low, high] = [Math.min(...values), Math.max(...values)]
  if (low === high) return low
  const near = (high - low) * 1e-7
  const aim = normalQuantile(p)
  // Begun at where a normal distribution of the same mean and spread has it; the score is nearly a line there.
  const all = parts.reduce((sum, { weight }) => sum + weight, 0)
  const mean = parts.reduce((sum, { value, weight }) => sum + value * weight, 0) / all
  const spread = Math.sqrt(
    parts.reduce((sum, { value, weight }) => sum + weight * (value - mean) ** 2, 0) / all / (all + 1),
  )
  let [before, beforeAt] = [mean, score(mean, parts) - aim]
  let guess = mean + aim * spread
  for (let i = 0; i < mostSteps && high - low > near; i++) {
    if (!(guess > low && guess < high)) guess = (low + high) / 2
    const at = score(guess, parts) - aim
    if (at < 0) low = guess
    else high = guess
    const next = guess - (at * (guess - before)) / (at - beforeAt)
    ;[before, beforeAt] = [guess, at]
    if (Math.abs(next - guess) < near) return next
    guess = next
  }
  return guess
}
