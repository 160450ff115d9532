import type { TideBucket } from '@murrabel/contract'
import type { TideRow } from '../../store/queries/entries/tide.ts'

const none = { positive: 0, neutral: 0, negative: 0, unread: 0 }

/**
 * Counts in a row of buckets; one without entries is there with zeros.
 *
 * @param starts of the buckets, epoch milliseconds, ascending
 */
export function fillBuckets(starts: readonly number[], rows: readonly TideRow[]): TideBucket[] {
  const known = new Map(rows.map(({ bucket, ...counts }) => [bucket, counts]))
  return starts.map((at, i) => ({ at: new Date(at).toISOString(), ...(known.get(i) ?? none) }))
}
