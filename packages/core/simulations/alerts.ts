import {
  falseCalls,
  rehearseAlert,
  type AlertCondition,
  type AlertSeries,
  type HourCounts,
} from '../src/alerts/index.ts'
import { bunched } from './draws.ts'
import { drawing, sample, type SimulatedFigure } from './figure.ts'
import { weightOf } from './spikes.ts'

const week = 168
const judged = 90 * 24
const quietMinutes = 60

interface World {
  rate: number
  dispersion: number
  /** Shares of positive, neutral and negative. */
  mood: readonly number[]
}

/** A course in which nothing happens, with hours and weekdays. */
function course({ rate, dispersion, mood }: World, hours: number, draw: () => number): AlertSeries {
  const list: HourCounts[] = Array.from({ length: hours }, (_, h) => {
    const [positive, neutral, negative] = sample(
      mood,
      bunched(rate * weightOf(h % week), dispersion, draw),
      draw,
    )
    return { positive: positive!, neutral: neutral!, negative: negative!, unread: 0 }
  })
  return { start: 0, hours: list, weekHours: list.map((_, h) => h % week), entries: [] }
}

const begins = (condition: AlertCondition, series: AlertSeries, from: number) =>
  rehearseAlert(condition, series, { from: from * 3_600_000, quietMinutes }).filter(
    ({ kind }) => kind === 'begin',
  ).length

/** Alerts on courses in which nothing happens: how often they begin, and how often they were said to. */
export function alertFigures(runs = 6): SimulatedFigure[] {
  const draw = drawing(5)
  const even = [0.4, 0.3, 0.3]
  const more = [1, 6, 24, 72, 168].map((hours): [string, AlertCondition, number] => [
    `more than usual in ${hours} ${hours === 1 ? 'hour' : 'hours'}`,
    { kind: 'more', hours },
    10 * week,
  ])
  const conditions: [string, AlertCondition, number][] = [...more, ['a spike', { kind: 'spike' }, 14 * week]]
  const volume = conditions.map(([name, condition, learning]): SimulatedFigure => {
    const told = [0.4, 4, 20].flatMap((rate) =>
      [1, 3].map((dispersion) => {
        let found = 0
        for (let run = 0; run < runs; run++)
          found += begins(
            condition,
            course({ rate, dispersion, mood: even }, learning + judged, draw),
            learning,
          )
        return `${(found / runs / 3).toFixed(2)} at ${rate} an hour and variance ${dispersion}`
      }),
    )
    return {
      what: `Alert on ${name}: begins a month though nothing happens`,
      claimed: 'at most 1',
      measured: told.join(', '),
      how: `${runs} courses of 90 days each, with hours and weekdays`,
    }
  })
  const moods = [0, 0.1, 0.2].map((above): SimulatedFigure => {
    const told = [1, 7].map((days) => {
      let found = 0
      let said = 0
      for (let run = 0; run < runs; run++) {
        const condition: AlertCondition = { kind: 'net', below: 0.1, days }
        const mood = [0.4 + above / 2, 0.3, 0.3 - above / 2]
        const series = course({ rate: 10 / 24, dispersion: 1, mood }, 13 * week + judged, draw)
        found += begins(condition, series, 13 * week)
        const past: AlertSeries = {
          ...series,
          hours: series.hours.slice(0, 13 * week),
          weekHours: series.weekHours.slice(0, 13 * week),
        }
        said += falseCalls(condition, past, { quietMinutes, learning: days }) ?? 0
      }
      return `${(found / runs / 3).toFixed(2)} over ${days} ${days === 1 ? 'day' : 'days'} (said before: ${(said / runs).toFixed(2)})`
    })
    return {
      what: `Alert on a net sentiment below 0.1, which is ${(0.1 + above).toFixed(1)} all the time: begins a month`,
      claimed: 'as said before saving',
      measured: told.join(', '),
      how: `10 entries a day, ${runs} courses of 90 days`,
    }
  })
  return [...volume, ...moods]
}
