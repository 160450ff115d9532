import { normalTail } from './distributions.ts'
import { median } from './usualRange.ts'

export type DirectionVerdict = 'rising' | 'falling' | 'level' | 'tooLittle'

export interface Direction {
  verdict: DirectionVerdict
  /** Theil-Sen slope as a share of the median value, a period: 0.04 is four percent a period. Null at a median of 0. */
  perPeriod: number | null
  /** Slope in the unit of the series, a period. */
  slope: number
  /** Two-sided, of the Mann-Kendall test, corrected for what follows from the period before. */
  p: number
  /** Kendall's S. */
  s: number
  periods: number
}

/** Fewer periods cannot be told from chance at 5%, whatever they show. */
export const directionMinimum = 5
const alpha = 0.05

/**
 * Whether a series goes up or down: Mann-Kendall (Mann 1945, Kendall 1975) for whether, Theil-Sen (Sen 1968) for how
 * much. Exact for up to ten periods without ties, otherwise by the normal approximation with the correction for ties. Periods
 * that follow from those before them are fewer than they look: the variance is made larger for that, as `inflation` says.
 *
 * @param series values of equal periods, oldest first; holes are left out by the caller
 * @example direction([1, 2, 3, 4, 5, 6, 7, 8, 9]).verdict // "rising"
 */
export function direction(series: readonly number[]): Direction {
  const n = series.length
  const slopes: number[] = []
  let s = 0
  for (let i = 0; i < n; i++)
    for (let j = i + 1; j < n; j++) {
      const difference = series[j]! - series[i]!
      s += Math.sign(difference)
      slopes.push(difference / (j - i))
    }
  const slope = slopes.length ? median(slopes) : 0
  const middle = n ? median(series) : 0
  const base = { slope, s, periods: n, perPeriod: middle > 0 ? slope / middle : null }
  if (n < directionMinimum) return { ...base, verdict: 'tooLittle', p: 1 }
  const p = significance(series, { s, slope })
  const verdict = p >= alpha ? 'level' : s > 0 ? 'rising' : 'falling'
  return { ...base, verdict, p }
}

const significance = (series: readonly number[], { s, slope }: { s: number; slope: number }): number =>
  series.length ? Math.max(kendallChance(series, s), kendallChance(series, s, inflation(series, slope))) : 1

/**
 * Two-sided chance that values in random order reach an S as far from 0 as this.
 *
 * @param inflated how much larger the variance of S is than that of independent values; only then by the normal approximation
 */
export function kendallChance(series: readonly number[], s: number, inflated?: number): number {
  const n = series.length
  const ties = new Map<number, number>()
  for (const value of series) ties.set(value, (ties.get(value) ?? 0) + 1)
  const groups = [...ties.values()].filter((size) => size > 1)
  if (inflated === undefined && !groups.length && n <= 10) return exact(n, s)
  const tied = groups.reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0)
  const variance = (n * (n - 1) * (2 * n + 5) - tied) / 18
  if (variance <= 0 || s === 0) return 1
  return Math.min(1, 2 * normalTail((Math.abs(s) - 1) / Math.sqrt(variance * (inflated ?? 1))))
}

/** Fewer periods do not tell how they hang together; they are taken to do so as weeks of mentions commonly do. */
const dependenceMinimum = 8
const commonDependence = 0.3
const mostDependence = 0.95

/**
 * How much larger the variance of S is for a series in which each period follows from the one before (Hamed and Rao 1998, for
 * one lag): the correlation of the ranks without the slope, cleared of its bias (to first order, Tjøstheim and Paulsen 1983) and
 * half its standard error more, since it is known from few periods only. False directions afterwards: docs/statistics.md.
 */
function inflation(series: readonly number[], slope: number): number {
  const n = series.length
  // What lies on the line but for the rounding of numbers lies on it.
  const grain = 1e-9 * (Math.max(...series) - Math.min(...series))
  const left = series.map((value, i) => grain * Math.round((value - slope * i) / grain))
  // All of it on a line: then nothing is left that could hang together.
  if (left.every((value) => value === left[0])) return 1
  const found =
    n < dependenceMinimum
      ? commonDependence
      : (n * lagCorrelation(ranks(left)) + 2) / (n - 4) + 0.5 / Math.sqrt(n)
  const dependence = Math.max(0, Math.min(mostDependence, found))
  let sum = 0
  // Of normal values that correlate by r the ranks do by 6 / π · asin(r / 2).
  for (let k = 1; k < n - 2; k++)
    sum += (n - k) * (n - k - 1) * (n - k - 2) * (6 / Math.PI) * Math.asin(dependence ** k / 2)
  return 1 + (2 * sum) / (n * (n - 1) * (n - 2))
}

/** The places of values in their order, ties in the middle of theirs; twice that, and without a fixed start. */
function ranks(values: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b)
  return values.map((value) => sorted.indexOf(value) + sorted.lastIndexOf(value))
}

/** Correlation of each value with the one before it; 0 where all are alike. */
function lagCorrelation(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length
  let [shared, all] = [0, 0]
  values.forEach((value, i) => {
    all += (value - mean) ** 2
    if (i) shared += (value - mean) * (values[i - 1]! - mean)
  })
  return all ? shared / all : 0
}

/** Share of the orders of n different values whose |S| is at least this. Counts inversions, one value at a time. */
function exact(n: number, s: number): number {
  let ways = [1]
  for (let k = 2; k <= n; k++) {
    const next = new Array<number>(ways.length + k - 1).fill(0)
    ways.forEach((count, inversions) => {
      for (let more = 0; more < k; more++) next[inversions + more]! += count
    })
    ways = next
  }
  const pairs = (n * (n - 1)) / 2
  let extreme = 0
  let all = 0
  ways.forEach((count, inversions) => {
    all += count
    if (Math.abs(pairs - 2 * inversions) >= Math.abs(s)) extreme += count
  })
  return extreme / all
}
