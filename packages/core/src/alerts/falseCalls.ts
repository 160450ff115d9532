import { findSpikes, randomFrom } from '../measures/index.ts'
import { firesOnEntries, type AlertCondition } from './condition.ts'
import { rehearseAlert } from './rehearse.ts'
import { totalOfHour, type AlertSeries, type HourCounts } from './series.ts'

/** Days a made-up course is judged on, after those it learns from. */
const judgedDays = 90
const monthDays = 30
/** Weeks whose days are drawn from: older ones may have been of another level. */
const drawnWeeks = 13
/** Fewer different days of a weekday make no course. */
const daysNeeded = 3
const weekHours = 168

interface Draw {
  quietMinutes: number
  /** Days the condition learns from before it judges. */
  learning: number
  /** Made-up courses of 90 days; each more makes the figure surer. Default 8. */
  runs?: number
}

/**
 * How often a month an alert would begin though nothing happens: it is tried on courses made of the days of the past in random
 * order, each weekday from its own, without the days of spikes. What clusters within a day still does.
 *
 * @returns begins in 30 days, or null: of a condition on single entries, or with too few days
 */
export function falseCalls(condition: AlertCondition, series: AlertSeries, draw: Draw): number | null {
  if (firesOnEntries(condition)) return null
  const byWeekday = calmDays(series)
  if (byWeekday.some((days) => days.length < daysNeeded)) return null
  const { quietMinutes, learning, runs = 8 } = draw
  const random = randomFrom(1)
  const days = learning + judgedDays
  let begins = 0
  for (let run = 0; run < runs; run++) {
    const hours: HourCounts[] = []
    for (let day = 0; day < days; day++) {
      const choice = byWeekday[day % 7]!
      hours.push(...choice[Math.floor(random() * choice.length)]!)
    }
    const course: AlertSeries = {
      start: 0,
      hours,
      weekHours: hours.map((_, i) => i % weekHours),
      entries: [],
    }
    const from = learning * 24 * 3_600_000
    begins += rehearseAlert(condition, course, { from, quietMinutes }).filter(
      ({ kind }) => kind === 'begin',
    ).length
  }
  return (begins / (runs * judgedDays)) * monthDays
}

/** Whole days of the last weeks, Mondays first, without those of a spike, and without those on which the clock changed. */
function calmDays({ hours, weekHours: clock, unknown }: AlertSeries): HourCounts[][][] {
  // A day that was not collected whole is no ordinary one either.
  const apart = new Set(hours.flatMap((_, hour) => (unknown?.[hour] ? [hour] : [])))
  for (const spike of findSpikes(hours.map(totalOfHour), { weekHours: clock, unknown }))
    for (let hour = spike.first; hour < spike.end; hour++) apart.add(hour)
  const days: HourCounts[][][] = Array.from({ length: 7 }, () => [])
  for (let first = Math.max(0, hours.length - drawnWeeks * weekHours); first + 24 <= hours.length; first++) {
    if (clock[first]! % 24 !== 0) continue
    const whole = Array.from({ length: 24 }, (_, i) => first + i)
    if (clock[first + 23] !== clock[first]! + 23 || whole.some((hour) => apart.has(hour))) continue
    days[clock[first]! / 24]!.push(whole.map((hour) => hours[hour]!))
  }
  return days
}
