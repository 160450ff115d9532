import { DateTime } from 'luxon'

/** Opening spans of one weekday as minutes from local midnight, [open, close) pairs, ascending. */
export type DayHours = readonly (readonly [open: number, close: number])[]

export interface BusinessHours {
  /** Monday first; seven days. Null: never closed. */
  week: readonly DayHours[] | null
  /** Local days on which nobody is there: "2026-12-25". */
  closedDays: readonly string[]
  /** IANA zone of the place. */
  zone: string
}

const minute = 60_000

/** The open spans of the local day, as instants. Wall-clock times that the clock skips begin at the next that exists. */
function spansOn(day: DateTime, { week, closedDays }: BusinessHours): { from: number; to: number }[] {
  if (closedDays.includes(day.toISODate() ?? '')) return []
  if (!week) return [{ from: day.toMillis(), to: day.plus({ days: 1 }).startOf('day').toMillis() }]
  const at = (minutes: number) =>
    minutes >= 1440
      ? day.plus({ days: 1 }).startOf('day').toMillis()
      : day.set({ hour: Math.floor(minutes / 60), minute: minutes % 60 }).toMillis()
  return (week[day.weekday - 1] ?? []).map(([open, close]) => ({ from: at(open), to: at(close) }))
}

/**
 * The instant at which `minutes` of opening time have passed since `from`. Counted across closed hours, closed days and
 * changes of the clock.
 *
 * @param from epoch milliseconds
 * @param minutes of opening time, 0 or more
 * @returns epoch milliseconds; the plain sum when the place opens at no time within the next 400 days
 * @example addBusinessMinutes(0, 90, { week: null, closedDays: [], zone: 'UTC' }) // 5400000
 */
export function addBusinessMinutes(from: number, minutes: number, hours: BusinessHours): number {
  if (!hours.week && !hours.closedDays.length) return from + minutes * minute
  let left = minutes * minute
  let day = DateTime.fromMillis(from, { zone: hours.zone }).startOf('day')
  for (let i = 0; i < 400; i++) {
    for (const span of spansOn(day, hours)) {
      const start = Math.max(span.from, from)
      if (span.to <= start) continue
      if (span.to - start >= left) return start + left
      left -= span.to - start
    }
    day = day.plus({ days: 1 }).startOf('day')
  }
  return from + minutes * minute
}

/**
 * Opening minutes between two instants; 0 when the second is not later.
 *
 * @example businessMinutesBetween(0, 3_600_000, { week: null, closedDays: [], zone: 'UTC' }) // 60
 */
export function businessMinutesBetween(from: number, to: number, hours: BusinessHours): number {
  let sum = 0
  let day = DateTime.fromMillis(from, { zone: hours.zone }).startOf('day')
  for (let i = 0; i < 4000 && day.toMillis() < to; i++) {
    for (const span of spansOn(day, hours))
      sum += Math.max(0, Math.min(span.to, to) - Math.max(span.from, from))
    day = day.plus({ days: 1 }).startOf('day')
  }
  return sum / minute
}
