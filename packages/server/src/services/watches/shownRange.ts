import { DateTime } from 'luxon'
import { instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'

export interface Period {
  /** Epoch milliseconds; the end is not included. */
  from: number
  to: number
}

const day = 86_400_000

/** The time that figures are told of: the lens's range up to the end of today; at any time, from the first entry on. */
export function shownPeriod(lens: Lens, { now, zone, since }: LensContext): Period {
  const today = DateTime.fromMillis(now, { zone }).startOf('day').plus({ days: 1 }).toMillis()
  if (!lens.range)
    return {
      from: DateTime.fromMillis(since ?? now, { zone })
        .startOf('day')
        .toMillis(),
      to: today,
    }
  const asked = instantsOf(lens.range, { now, zone })!
  return {
    from: asked.from,
    to: Math.max(asked.from + 3_600_000, Math.min(asked.to, Math.max(today, asked.from))),
  }
}

/** Local days a period covers; an hour is a part of one. */
export const daysOf = ({ from, to }: Period) => Math.max(1 / 24, Math.round(((to - from) / day) * 24) / 24)

/**
 * The starts of so many periods of the same length before this one, oldest first, this one last. Whole days are counted
 * in the local calendar, so that a change of the clock moves nothing.
 */
export function periodStarts(period: Period, before: number, zone: string): number[] {
  const days = (period.to - period.from) / day
  const whole = Math.round(days)
  const start = DateTime.fromMillis(period.from, { zone })
  const back = (k: number) =>
    whole >= 1 && Math.abs(days - whole) < 0.1
      ? start.minus({ days: k * whole }).toMillis()
      : period.from - k * (period.to - period.from)
  return Array.from({ length: before + 1 }, (_, i) => back(before - i))
}

/** Periods that a period is compared with, the present one last. */
export interface ComparedPeriods {
  /** Where the periods and what lies between them begin, rising. */
  edges: number[]
  /** Which of the edges begin a period. */
  at: number[]
  periods: Period[]
}

const weekDays = 7

/**
 * The periods that say what is usual for one: so many of the same length before it. Of less than a week they are those of the
 * same days of the weeks before: a Monday is no measure of a Sunday. Of a period that is not over, all end at its present hour.
 */
export function comparedPeriods(
  { from, to }: Period,
  before: number,
  { zone, now }: { zone: string; now: number },
): ComparedPeriods {
  const short = to - from < (weekDays - 0.5) * day
  const starts = short
    ? Array.from({ length: before + 1 }, (_, i) => daysAfter(from, (i - before) * weekDays, zone))
    : periodStarts({ from, to }, before, zone)
  const hour = DateTime.fromMillis(now, { zone }).startOf('hour').toMillis()
  const end = Math.max(from, Math.min(to, hour))
  const periods = starts.map((start, i) => ({
    from: start,
    to: Math.min(starts[i + 1] ?? end, daysAfter(end, Math.round((start - from) / day), zone)),
  }))
  const edges = periods.flatMap((each, i) =>
    each.to === (starts[i + 1] ?? to) ? [each.from] : [each.from, each.to],
  )
  return { edges, at: periods.map((each) => edges.indexOf(each.from)), periods }
}

const daysAfter = (at: number, days: number, zone: string) =>
  DateTime.fromMillis(at, { zone }).plus({ days }).toMillis()

/** About the middle of a period; of several days, the start of one. */
export function halfOf({ from, to }: Period, zone: string): number {
  const middle = from + (to - from) / 2
  const start = DateTime.fromMillis(middle, { zone }).startOf('day').toMillis()
  return start > from ? start : middle
}

export const printPeriod = (period: Period) => ({
  from: new Date(period.from).toISOString(),
  to: new Date(period.to).toISOString(),
  days: daysOf(period),
})

/** The lens for another period; hours are kept, as instants are what the store compares. */
export const lensAt = (lens: Lens, period: Period, zone: string): Lens => ({
  ...lens,
  range: { from: localHour(period.from, zone), to: localHour(period.to - 1, zone) },
})

const localHour = (at: number, zone: string) => DateTime.fromMillis(at, { zone }).toFormat("yyyy-MM-dd'T'HH")
