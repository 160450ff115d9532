import { instantsOf, type LensRange } from '@murrabel/core/lens'
import type { TideBucket } from '@murrabel/contract'
import { localDay, localHour } from '../composables/formats.ts'

export const totalOf = ({ positive, neutral, negative, unread }: TideBucket) =>
  positive + neutral + negative + unread

/** The local day (or hour) of an instant in a zone, as a lens writes it. */
const localTime = (at: string | number, zone: string, unit: 'hour' | 'day' | 'week' | 'month'): string =>
  unit === 'hour' ? localHour(at, zone) : localDay(at, zone)

/** The lens range that covers the buckets from one index to another, both included. */
export function rangeOfBuckets(
  buckets: readonly TideBucket[],
  first: number,
  last: number,
  { zone, unit }: { zone: string; unit: 'hour' | 'day' | 'week' | 'month' },
): LensRange {
  const low = Math.max(0, Math.min(first, last))
  const high = Math.min(buckets.length - 1, Math.max(first, last))
  const from = localTime(buckets[low]!.at, zone, unit)
  if (unit === 'hour' || unit === 'day') return { from, to: localTime(buckets[high]!.at, zone, unit) }
  // Weeks and months end where the next begins.
  const next = buckets[high + 1]
  const end = next ? Date.parse(next.at) - 3_600_000 : Date.now()
  return { from, to: localTime(end, zone, 'day') }
}

/** The buckets a range covers: indices, both included; null when none. */
export function bucketsOfRange(
  buckets: readonly TideBucket[],
  range: LensRange | null,
  { zone, unit }: { zone: string; unit: 'hour' | 'day' | 'week' | 'month' },
): [number, number] | null {
  if (!buckets.length) return null
  if (!range) return [0, buckets.length - 1]
  if ('last' in range && unit === 'day') return [Math.max(0, buckets.length - range.last), buckets.length - 1]
  const span =
    'last' in range
      ? { from: localTime(instantsOf(range, { now: Date.now(), zone })!.from, zone, 'day'), to: '9999' }
      : range
  const times = buckets.map((b) => localTime(b.at, zone, unit))
  const isIn = (time: string, i: number) =>
    (times[i + 1] ?? '9999') > span.from.slice(0, unit === 'hour' ? 13 : 10) &&
    time.slice(0, Math.min(time.length, span.to.length)) <= span.to
  const first = times.findIndex(isIn)
  if (first < 0) return null
  let last = first
  while (last + 1 < times.length && isIn(times[last + 1]!, last + 1)) last++
  return [first, last]
}
