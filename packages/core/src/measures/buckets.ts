import { DateTime } from 'luxon'

export type BucketUnit = 'hour' | 'day' | 'week' | 'month'

/** More buckets than a strip of time can draw. */
export const bucketLimit = 5000

/**
 * The starts of the local calendar periods that cover [from, to), as epoch milliseconds, ascending. A day on which the
 * clock changes has 23 or 25 hours; an hour that happens twice is two buckets.
 *
 * @param from epoch milliseconds, included; brought back to the start of its period
 * @param to epoch milliseconds, not included
 * @throws RangeError above `bucketLimit` buckets
 */
export function bucketStarts({
  from,
  to,
  unit,
  zone,
}: {
  from: number
  to: number
  unit: BucketUnit
  zone: string
}): number[] {
  const starts: number[] = []
  let at = DateTime.fromMillis(from, { zone }).startOf(unit)
  while (at.toMillis() < to) {
    if (starts.length >= bucketLimit)
      throw new RangeError(`more than ${bucketLimit} ${unit}s between the ends`)
    starts.push(at.toMillis())
    at = unit === 'hour' ? at.plus({ hours: 1 }) : at.plus({ [unit]: 1 }).startOf(unit)
  }
  return starts
}

/**
 * The same local time of day so many calendar days before. Not so many times 24 hours: in the hour before midnight those
 * end on another day when the clock has changed between.
 *
 * @param at epoch milliseconds
 * @returns epoch milliseconds
 * @example daysBefore(Date.UTC(2026, 10, 26, 15), 1, 'UTC') // 1795618800000
 */
export const daysBefore = (at: number, days: number, zone: string): number =>
  DateTime.fromMillis(at, { zone }).minus({ days }).toMillis()

/**
 * Index of the bucket that holds an instant, -1 when it lies before the first. Binary search; `starts` ascending.
 *
 * @example bucketIndex([0, 10, 20], 15) // 1
 */
export function bucketIndex(starts: readonly number[], at: number): number {
  let low = 0
  let high = starts.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (starts[middle]! <= at) low = middle + 1
    else high = middle
  }
  return low - 1
}
