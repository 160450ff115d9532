import { DateTime } from 'luxon'

/** A stretch of time: the last days up to now, or local days (or hours) of the brand's zone, both ends included. */
export type LensRange = { last: number } | { from: string; to: string }

export interface Instants {
  /** Epoch milliseconds, included. */
  from: number
  /** Epoch milliseconds, not included. */
  to: number
}

/**
 * The instants a range covers. "Last 14 days" are 14 local calendar days, today included; a day is from midnight to
 * midnight of the brand's zone, also on days when the clock changes.
 *
 * @example instantsOf({ from: '2026-11-20', to: '2026-11-20' }, { now: Date.UTC(2026, 10, 26), zone: 'UTC' }) // {"from":1795132800000,"to":1795219200000}
 */
export function instantsOf(
  range: LensRange | null,
  { now, zone }: { now: number; zone: string },
): Instants | null {
  if (!range) return null
  if ('last' in range) {
    const today = DateTime.fromMillis(now, { zone }).startOf('day')
    return { from: today.minus({ days: range.last - 1 }).toMillis(), to: today.plus({ days: 1 }).toMillis() }
  }
  const from = DateTime.fromISO(range.from, { zone })
  const to = DateTime.fromISO(range.to, { zone })
  const end = range.to.length > 10 ? to.plus({ hours: 1 }) : to.plus({ days: 1 })
  return { from: from.toMillis(), to: end.toMillis() }
}
