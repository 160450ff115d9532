import { DateTime } from 'luxon'
import type { Instants } from './range.ts'

/**
 * The stretches of time within a window that are a given hour of the local week. On the night when the clock goes back the
 * hour that comes twice is one stretch of two hours; one that the clock leaves out has none.
 *
 * @param hour 0 (Monday, midnight) to 167
 * @returns in order, each of one hour, seldom two or none
 */
export function weekHourSpans(hour: number, window: Instants, zone: string): Instants[] {
  const [weekday, clock] = [Math.floor(hour / 24) + 1, hour % 24]
  const spans: Instants[] = []
  let day = DateTime.fromMillis(window.from, { zone })
    .startOf('week')
    .plus({ days: weekday - 1 })
  for (; day.toMillis() < window.to; day = day.plus({ weeks: 1 })) {
    const span = hourOfDay(day, clock)
    if (span && span.to > window.from && span.from < window.to) spans.push(span)
  }
  return spans
}

const minuteMs = 60_000
/** Clocks change by whole quarters. */
const stepMs = 15 * minuteMs

/** The stretch of a local hour on a day, given by its begin; null where the clock leaves it out. */
function hourOfDay(day: DateTime, clock: number): Instants | null {
  const next = day.plus({ days: 1 })
  const begin = day.toMillis()
  if (day.offset === next.offset) {
    const from = begin + clock * 60 * minuteMs
    return { from, to: from + 60 * minuteMs }
  }
  const quarters: number[] = []
  for (let at = begin; at < next.toMillis(); at += stepMs)
    if (DateTime.fromMillis(at, { zone: day.zone }).hour === clock) quarters.push(at)
  return quarters.length ? { from: quarters[0]!, to: quarters[quarters.length - 1]! + stepMs } : null
}
