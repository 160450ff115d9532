import { netSentiment } from '@murrabel/core/measures'
import type { SentimentCounts } from '@murrabel/contract'

/** All entries, read or not. */
export const countOfAll = ({ positive, neutral, negative, unread }: SentimentCounts) =>
  positive + neutral + negative + unread
export const noCounts = (): SentimentCounts => ({ positive: 0, neutral: 0, negative: 0, unread: 0 })
export const netOf = ({ positive, neutral, negative }: SentimentCounts) =>
  netSentiment(positive, neutral, negative)

export function addCounts(sum: SentimentCounts, more: SentimentCounts): SentimentCounts {
  return {
    positive: sum.positive + more.positive,
    neutral: sum.neutral + more.neutral,
    negative: sum.negative + more.negative,
    unread: sum.unread + more.unread,
  }
}
