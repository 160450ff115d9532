import type { TideBucket } from '@murrabel/contract'
import type { TideRow } from '../../store/queries/entries/tide.ts'

/**
 * Counts in a row of buckets; one without entries is there with zeros.
 *
 * @param starts of the buckets, epoch milliseconds, ascending
 */
export function fillBuckets(starts: readonly number[], rows: readonly TideRow[]): TideBucket[] {
  const buckets = new Map<number, TideBucket>()
  for (const at of starts)
    buckets.set(at, { at: new Date(at).toISOString(), positive: 0, neutral: 0, negative: 0, unread: 0 })
  for (const { at, sentiment, n } of rows) {
    const bucket = buckets.get(at)
    if (bucket) bucket[sentiment] += n
  }
  return [...buckets.values()]
}
