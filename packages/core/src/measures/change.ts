import { z95 } from './distributions.ts'
import type { NetSentiment } from './netSentiment.ts'
import type { Share } from './shareOfVoice.ts'

export interface Change {
  difference: number
  /** 95% interval. */
  low: number
  high: number
  /** The interval does not hold 0; otherwise there is no clear change. */
  sure: boolean
}

const changeOf = (difference: number, low: number, high: number): Change => ({
  difference,
  low,
  high,
  sure: low > 0 || high < 0,
})

/**
 * From one net sentiment to a later one, independent samples: half-widths add as squares, each side with its own (as in
 * Newcombe 1998, method 10). Null when either is missing.
 *
 * @example changeOfNet(netSentiment(10, 0, 10), netSentiment(19, 0, 1))?.sure // true
 */
export function changeOfNet(before: NetSentiment | null, after: NetSentiment | null): Change | null {
  return between(before && { ...before, value: before.net }, after && { ...after, value: after.net })
}

/**
 * From one share to another, each with its Wilson interval (Newcombe 1998, method 10).
 *
 * @example changeOfShare(share(10, 100), share(12, 100))?.sure // false
 */
export function changeOfShare(before: Share | null, after: Share | null): Change | null {
  return between(before && { ...before, value: before.share }, after && { ...after, value: after.share })
}

/** Anything with a 95% interval. */
export interface Ranged {
  value: number
  low: number
  high: number
}

/** The difference of two values of independent samples; null when either is missing. */
export function between(before: Ranged | null, after: Ranged | null): Change | null {
  if (!before || !after) return null
  const difference = after.value - before.value
  const below = Math.hypot(after.value - after.low, before.high - before.value)
  const above = Math.hypot(after.high - after.value, before.value - before.low)
  return changeOf(difference, difference - below, difference + above)
}

export interface RateChange extends Change {
  /** After over before; null when nothing was before. */
  ratio: number | null
}

/**
 * From one count to another, of periods of given lengths: the difference per unit of time. The variance of a count is
 * taken as Poisson's times `dispersion`, which the caller measures on the days (entries come in bunches).
 *
 * @param dispersion variance over mean of the daily counts, at least 1
 * @example changeOfCount({ count: 20, days: 10 }, { count: 60, days: 10 }) // {"difference":4,"low":2.236,"high":5.764,"sure":true,"ratio":3}
 */
export function changeOfCount(
  before: { count: number; days: number },
  after: { count: number; days: number },
  dispersion = 1,
): RateChange {
  const difference = after.count / after.days - before.count / before.days
  // Half a count more on each side keeps an empty period from looking certain.
  const variance = (side: { count: number; days: number }) =>
    ((side.count + 0.5) * dispersion) / side.days ** 2
  const half = z95 * Math.sqrt(variance(before) + variance(after))
  const ratio = before.count ? after.count / after.days / (before.count / before.days) : null
  return { ...changeOf(difference, difference - half, difference + half), ratio }
}

/**
 * Variance over mean of counts, at least 1: how much they come in bunches.
 *
 * @example dispersionOf([0, 0, 12, 0]) // 12
 */
export function dispersionOf(counts: readonly number[]): number {
  const n = counts.length
  const mean = counts.reduce((sum, c) => sum + c, 0) / Math.max(1, n)
  if (n < 2 || mean === 0) return 1
  const variance = counts.reduce((sum, c) => sum + (c - mean) ** 2, 0) / (n - 1)
  return Math.max(1, variance / mean)
}
