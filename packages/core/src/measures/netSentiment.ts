import { z95 } from './distributions.ts'

export interface NetSentiment {
  /** Positive share minus negative share, -1 to 1. */
  net: number
  /** 95% interval. */
  low: number
  high: number
  /** Entries it rests on; unread ones are left out. */
  n: number
}

/** Of fewer entries a net sentiment is not worth a figure: the interval of four alike ones still spans most of the scale. */
export const netMinimum = 5

/**
 * Positive share minus negative share, with the interval from the multinomial variance (p + q - (p - q)²)/n. The interval
 * is made on half an entry more of each sentiment and one neutral (Agresti and Min 2005, "Simple improved confidence intervals
 * for comparing matched proportions"), so that five entries of one sentiment do not look certain; the value itself is not moved.
 *
 * @returns null when there is nothing that was read
 * @example netSentiment(50, 30, 20) // net 0.3, 0.141 to 0.447
 */
export function netSentiment(positive: number, neutral: number, negative: number): NetSentiment | null {
  const n = positive + neutral + negative
  if (n === 0) return null
  const net = (positive - negative) / n
  const size = n + 2
  const p = (positive + 0.5) / size
  const q = (negative + 0.5) / size
  const half = z95 * Math.sqrt((p + q - (p - q) ** 2) / size)
  return {
    net,
    low: Math.max(-1, Math.min(net, p - q - half)),
    high: Math.min(1, Math.max(net, p - q + half)),
    n,
  }
}
