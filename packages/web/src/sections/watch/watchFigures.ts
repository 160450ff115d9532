import { netSentiment, type NetSentiment } from '@murrabel/core/measures'
import type { TideAnswer } from '@murrabel/contract'

export interface WatchFigures {
  total: number
  positive: number
  neutral: number
  negative: number
  unread: number
  net: NetSentiment | null
}

/** The sums under a chart's bars: the same entries, so the same figures. */
export function watchFigures({ buckets }: TideAnswer): WatchFigures {
  const sums = { positive: 0, neutral: 0, negative: 0, unread: 0 }
  for (const bucket of buckets) {
    sums.positive += bucket.positive
    sums.neutral += bucket.neutral
    sums.negative += bucket.negative
    sums.unread += bucket.unread
  }
  const total = sums.positive + sums.neutral + sums.negative + sums.unread
  return { total, ...sums, net: netSentiment(sums.positive, sums.neutral, sums.negative) }
}

/** A share of -1 to 1 in points of a hundred, with a true minus. */
export const points = (value: number) =>
  `${value < 0 ? '−' : value > 0 ? '+' : ''}${Math.abs(Math.round(value * 100))}`
