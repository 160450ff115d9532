import { netSentiment } from '@murrabel/core/measures'
import type { SentimentCounts } from '@murrabel/contract'

/** All entries, read or not. */
export const countOfAll = ({ positive, neutral, negative, unread }: SentimentCounts) =>
  positive + neutral + negative + unread
export const noCounts = (): SentimentCounts => ({ positive: 0, neutral: 0, negative: 0, unread: 0 })
/** @param independent how many of them are independent voices, where that is known */
export const netOf = (
  { positive, neutral, negative }: Omit<SentimentCounts, 'unread'>,
  independent?: number | null,
) => netSentiment(positive, neutral, negative, independent)

export function addCounts(sum: SentimentCounts, more: SentimentCounts): SentimentCounts {
  return {
    positive: sum.positive + more.positive,
    neutral: sum.neutral + more.neutral,
    negative: sum.negative + more.negative,
    unread: sum.unread + more.unread,
  }
}

const readOf = ({ positive, neutral, negative }: SentimentCounts) => positive + neutral + negative

/** Of some of the entries as large a part is independent as of all. */
export const partOf = (
  independent: number | null,
  all: SentimentCounts,
  some: SentimentCounts,
): number | null =>
  independent === null || !readOf(some) ? null : Math.max(1, (independent / readOf(all)) * readOf(some))
