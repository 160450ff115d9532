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

/**
 * Positive share minus negative share, with the interval from the multinomial variance (p + q - (p - q)²)/n.
 *
 * @returns null when there is nothing that was read
 */
export function netSentiment(positive: number, neutral: number, negative: number): NetSentiment | null {
  const n = positive + neutral + negative
  if (n === 0) return null
  const p = positive / n
  const q = negative / n
  const net = p - q
  const half = z95 * Math.sqrt(Math.max(0, p + q - net * net) / n)
  return { net, low: Math.max(-1, net - half), high: Math.min(1, net + half), n }
}
