import { normalTail } from './distributions.ts'
import { median } from './usualRange.ts'

export type DirectionVerdict = 'rising' | 'falling' | 'level' | 'tooLittle'

export interface Direction {
  verdict: DirectionVerdict
  /** Theil-Sen slope as a share of the median value, a period: 0.04 is four percent a period. Null at a median of 0. */
  perPeriod: number | null
  /** Slope in the unit of the series, a period. */
  slope: number
  /** Two-sided, of the Mann-Kendall test. */
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
 * much. Exact for up to ten periods without ties, otherwise by the normal approximation with the correction for ties.
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
  const p = significance(series, s)
  const verdict = p >= alpha ? 'level' : s > 0 ? 'rising' : 'falling'
  return { ...base, verdict, p }
}

function significance(series: readonly number[], s: number): number {
  const n = series.length
  const ties = new Map<number, number>()
  for (const value of series) ties.set(value, (ties.get(value) ?? 0) + 1)
  const groups = [...ties.values()].filter((size) => size > 1)
  if (!groups.length && n <= 10) return exact(n, s)
  const tied = groups.reduce((sum, t) => sum + t * (t - 1) * (2 * t + 5), 0)
  const variance = (n * (n - 1) * (2 * n + 5) - tied) / 18
  if (variance <= 0 || s === 0) return 1
  return Math.min(1, 2 * normalTail((Math.abs(s) - 1) / Math.sqrt(variance)))
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
