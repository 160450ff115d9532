import { DateTime } from 'luxon'

/**
 * Opening spans of one day as minutes from local midnight, [open, close) pairs, ascending. A night that goes on after midnight has a
 * close beyond 1440: [1320, 1560] is from 22:00 to 2:00.
 */
export type DayHours = readonly (readonly [open: number, close: number])[]

export interface BusinessHours {
  /** Monday first; seven days. Null: never closed. */
  week: readonly DayHours[] | null
  /** Local days with hours of their own, such as "2026-12-25"; no spans: nobody is there. */
  specialDays: Readonly<Record<string, DayHours>>
  /** IANA zone of the place. */
  zone: string
}

const minute = 60_000
const dayMinutes = 1440
/** A place that opens on none of so many days never opens. */
const daysAhead = 400

/** The open spans that begin on a local day, as instants. Wall-clock times that the clock skips are the next that exist. */
function spansOn(day: DateTime, { week, specialDays }: BusinessHours): { from: number; to: number }[] {
  const special = specialDays[day.toISODate() ?? '']
  if (!special && !week)
    return [{ from: day.toMillis(), to: day.plus({ days: 1 }).startOf('day').toMillis() }]
  const at = (minutes: number) =>
    day
      .plus({ days: Math.floor(minutes / dayMinutes) })
      .startOf('day')
      .set({ hour: Math.floor((minutes % dayMinutes) / 60), minute: minutes % 60 })
      .toMillis()
  return (special ?? week?.[day.weekday - 1] ?? []).map(([open, close]) => ({
    from: at(open),
    to: at(close),
  }))
}

interface LocalDay {
  spans: readonly { from: number; to: number }[]
  /** When the next begins. */
  next: number
}
/** Days of these hours by their beginning: the same few are asked for again and again. */
const known = new WeakMap<BusinessHours, Map<number, LocalDay>>()
const daysKnown = 3000

function dayOf(begin: number, hours: BusinessHours): LocalDay {
  const days = known.get(hours) ?? new Map<number, LocalDay>()
  known.set(hours, days)
  const found = days.get(begin)
  if (found) return found
  const day = DateTime.fromMillis(begin, { zone: hours.zone })
  const told = { spans: spansOn(day, hours), next: day.plus({ days: 1 }).startOf('day').toMillis() }
  if (days.size >= daysKnown) days.clear()
  days.set(begin, told)
  return told
}

/** Open spans from an instant on, ascending, none in two; the night before may reach into them. */
function* openSpans(
  from: number,
  hours: BusinessHours,
  days: number,
): Generator<{ from: number; to: number }> {
  let begin = DateTime.fromMillis(from, { zone: hours.zone }).startOf('day').minus({ days: 1 }).toMillis()
  let reached = from
  for (let i = 0; i <= days; i++) {
    const { spans, next } = dayOf(begin, hours)
    for (const span of spans) {
      const start = Math.max(span.from, reached)
      if (span.to <= start) continue
      yield { from: start, to: span.to }
      reached = span.to
    }
    begin = next
  }
}

const neverCloses = ({ week, specialDays }: BusinessHours): boolean =>
  !week && !Object.keys(specialDays).length

/**
 * The instant at which `minutes` of opening time have passed since `from`. Counted across closed hours, special days and
 * changes of the clock.
 *
 * @param from epoch milliseconds
 * @param minutes of opening time, 0 or more
 * @returns epoch milliseconds; the plain sum when the place opens at no time within the next 400 days
 * @example addBusinessMinutes(0, 90, { week: null, specialDays: {}, zone: 'UTC' }) // 5400000
 */
export function addBusinessMinutes(from: number, minutes: number, hours: BusinessHours): number {
  if (neverCloses(hours)) return from + minutes * minute
  let left = minutes * minute
  for (const span of openSpans(from, hours, daysAhead)) {
    if (span.to - span.from >= left) return span.from + left
    left -= span.to - span.from
  }
  return from + minutes * minute
}

/**
 * Opening minutes between two instants; 0 when the second is not later.
 *
 * @example businessMinutesBetween(0, 3_600_000, { week: null, specialDays: {}, zone: 'UTC' }) // 60
 */
export function businessMinutesBetween(from: number, to: number, hours: BusinessHours): number {
  let sum = 0
  const days = Math.min(4000, Math.ceil((to - from) / (dayMinutes * minute)) + 2)
  for (const span of openSpans(from, hours, days)) {
    if (span.from >= to) break
    sum += Math.min(span.to, to) - span.from
  }
  return sum / minute
}

/** Whether somebody is there. @param at epoch milliseconds */
export const isOpenAt = (at: number, hours: BusinessHours): boolean =>
  businessMinutesBetween(at, at + 1, hours) > 0
