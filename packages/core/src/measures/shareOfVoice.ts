import { z95 } from './distributions.ts'

export interface Share {
  /** 0 to 1. */
  share: number
  /** 95% interval. */
  low: number
  high: number
  count: number
  n: number
}

/**
 * A part of a whole with its Wilson score interval (Wilson 1927), which stays within 0 and 1 and holds at small counts.
 *
 * @returns null when the whole is empty
 * @example share(81, 263) // 0.308, 0.255 to 0.366 (Newcombe 1998, table I)
 */
export function share(count: number, n: number): Share | null {
  if (n <= 0) return null
  const p = count / n
  const zz = z95 * z95
  const middle = (p + zz / (2 * n)) / (1 + zz / n)
  const half = (z95 * Math.sqrt((p * (1 - p)) / n + zz / (4 * n * n))) / (1 + zz / n)
  return { share: p, low: Math.max(0, middle - half), high: Math.min(1, middle + half), count, n }
}

/**
 * Each watch's part of the volume of a set of watches.
 *
 * @example shareOfVoice([30, 10]).map((part) => part?.share) // [0.75,0.25]
 */
export function shareOfVoice(counts: readonly number[]): (Share | null)[] {
  const total = counts.reduce((sum, count) => sum + count, 0)
  return counts.map((count) => share(count, total))
}
