export interface UsualRange {
  low: number
  high: number
  median: number
  /** Periods it rests on. */
  periods: number
}

export type UsualVerdict = 'above' | 'usual' | 'below' | 'tooLittleHistory'

/** Fewer periods say nothing of a spread. */
export const usualMinimum = 4

/**
 * What the preceding periods of the same length lead one to expect: median ± 2 spread, not below 0, where the spread is
 * the greater of 1.4826 MAD (consistent with a normal deviation) and √median (counts vary at least as Poisson's).
 *
 * @param previous counts of the preceding periods, oldest first
 * @param k periods looked at, counted from the last (default 6)
 * @returns null with fewer than 4 periods
 * @example usualRange([20, 22, 18, 24, 20, 21]) // median 20.5, 11.4 to 29.6
 */
export function usualRange(previous: readonly number[], k = 6): UsualRange | null {
  const periods = previous.slice(-k)
  if (periods.length < usualMinimum) return null
  const middle = median(periods)
  const deviation = median(periods.map((value) => Math.abs(value - middle)))
  const spread = Math.max(1.4826 * deviation, Math.sqrt(middle))
  return {
    low: Math.max(0, middle - 2 * spread),
    high: middle + 2 * spread,
    median: middle,
    periods: periods.length,
  }
}

/**
 * Where a count stands against the usual range of the periods before it.
 *
 * @example usualVerdict(90, [20, 22, 18, 24, 20, 21]) // "above"
 */
export function usualVerdict(count: number, previous: readonly number[], k = 6): UsualVerdict {
  const range = usualRange(previous, k)
  if (!range) return 'tooLittleHistory'
  if (count > range.high) return 'above'
  return count < range.low ? 'below' : 'usual'
}

/**
 * The middle value; of an even number, the mean of the two middle ones. NaN for none.
 *
 * @example median([3, 1, 2, 10]) // 2.5
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  if (!sorted.length) return Number.NaN
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
