import { weekHoursOf } from '../src/lens/index.ts'
import { findSpikes } from '../src/measures/index.ts'
import { bunched } from './draws.ts'
import { drawing, percent, type SimulatedFigure } from './figure.ts'

const week = 168
const rates = [0.05, 1, 20]
const hourWeight = [2, 1, 1, 1, 1, 3, 8, 12, 13, 12, 11, 11, 12, 12, 11, 12, 14, 16, 18, 20, 20, 17, 11, 5]
const dayWeight = [1.3, 0.9, 0.8, 0.9, 0.9, 1.1, 1.5]
const even = (hourWeight.reduce((sum, w) => sum + w, 0) / 24) * (dayWeight.reduce((sum, w) => sum + w, 0) / 7)

/** How much more than on average an hour of the week brings. */
export const weightOf = (weekHour: number) =>
  (dayWeight[Math.floor(weekHour / 24)]! * hourWeight[weekHour % 24]!) / even

/** Hours of a week that repeats itself, and of bunches that come independently. */
function ordinary(
  hours: number,
  { rate, dispersion, draw }: { rate: number; dispersion: number; draw: () => number },
): number[] {
  return Array.from({ length: hours }, (_, h) => bunched(rate * weightOf(h % week), dispersion, draw))
}

const perMonth = (alarms: number, hours: number) => `${((alarms / hours) * 720).toFixed(2)} a month`

/** Series in which nothing happens: how often a spike is found. */
export function falseSpikeFigures(runs = 6, weeks = 55): SimulatedFigure[] {
  const draw = drawing(1)
  return rates.flatMap((rate) =>
    [1, 1.5, 3, 5].map((dispersion): SimulatedFigure => {
      let alarms = 0
      for (let run = 0; run < runs; run++)
        alarms += findSpikes(ordinary(weeks * week, { rate, dispersion, draw })).length
      const hours = runs * (weeks - 3) * week
      return {
        what: `Spikes, ${rate} an hour, variance ${dispersion} times the mean: found though there is none`,
        claimed: 'at most 1e-4 an hour',
        measured: `${(alarms / hours).toExponential(1)} an hour, ${perMonth(alarms, hours)}`,
        how: `${hours.toLocaleString('en')} hours judged, with hours and weekdays`,
      }
    }),
  )
}

/** A week in which nothing was collected, and nothing happens: how often a spike is found in the weeks after. */
export function outageFigures(runs = 40): SimulatedFigure[] {
  const draw = drawing(3)
  return [1, 20].map((rate): SimulatedFigure => {
    let [masked, plain] = [0, 0]
    for (let run = 0; run < runs; run++) {
      const unknown = Array.from({ length: 20 * week }, (_, h) => h >= 11 * week && h < 12 * week)
      const counts = ordinary(20 * week, { rate, dispersion: 1.5, draw }).map((n, h) => (unknown[h] ? 0 : n))
      const after = (spikes: readonly { found: number }[]) =>
        spikes.filter(({ found }) => found >= 11 * week).length
      masked += after(findSpikes(counts, { unknown }))
      plain += after(findSpikes(counts))
    }
    const hours = runs * 8 * week
    return {
      what: `Spikes, ${rate} an hour, variance 1.5 times the mean: found after a week that was not collected`,
      claimed: 'at most 1e-4 an hour',
      measured: `${(masked / hours).toExponential(1)} an hour (${(plain / hours).toExponential(1)} if it counted as a week of silence)`,
      how: `${runs} series, eight weeks after it`,
    }
  })
}

/** Bursts of a day: how many are found, and how soon. */
export function spikePowerFigures(runs = 150): SimulatedFigure[] {
  const draw = drawing(7)
  return [0.05, 0.3, 1, 20].flatMap((rate) =>
    [1, 3].map((dispersion): SimulatedFigure => {
      const found = (
        [
          [3, 1],
          [3, 7],
          [6, 1],
        ] as const
      ).map(([times, days]) => {
        const delays: number[] = []
        for (let run = 0; run < runs; run++) {
          const counts = ordinary(11 * week, { rate, dispersion, draw })
          const start = 9 * week + Math.floor(draw() * week)
          for (let h = start; h < start + days * 24; h++)
            counts[h]! += bunched(rate * (times - 1) * weightOf(h % week), dispersion, draw)
          const spike = findSpikes(counts).find((s) => s.found >= start && s.found < start + days * 24 + 24)
          if (spike) delays.push(spike.found + 1 - start)
        }
        const middle = delays.sort((a, b) => a - b)[delays.length >> 1]
        return `${times} times as much for ${days === 1 ? 'a day' : `${days} days`}: ${percent(delays.length / runs)}${middle === undefined ? '' : `, half of those within ${middle} hours`}`
      })
      return {
        what: `Spikes, ${rate} an hour, variance ${dispersion} times the mean: how many bursts are found`,
        claimed: 'nothing',
        measured: found.join('; '),
        how: `${runs} bursts of each kind, beginning at any hour, after nine weeks`,
      }
    }),
  )
}

/** A level that doubles and stays; a burst on top of it; a change of the clock. */
export function levelFigures(runs = 20): SimulatedFigure[] {
  const draw = drawing(2)
  const shifted = [1, 20].map((rate): SimulatedFigure => {
    let [told, within, after, bursts] = [0, 0, 0, 0]
    for (let run = 0; run < runs; run++) {
      const counts = [
        ...ordinary(12 * week, { rate, dispersion: 1, draw }),
        ...ordinary(17 * week, { rate: 2 * rate, dispersion: 1, draw }),
      ]
      const burst = 20 * week + 60
      for (let h = burst; h < burst + 24; h++) counts[h]! *= 4
      const spikes = findSpikes(counts).filter((spike) => spike.end > 12 * week)
      const level = spikes.find((spike) => spike.newLevel)
      if (level) {
        told++
        if (level.end <= 14 * week + 48) within++
      }
      if (spikes.some((spike) => spike.found >= burst && spike.found < burst + 24)) bursts++
      after += spikes.filter(
        (spike) => spike.found > 15 * week && (spike.found < burst || spike.found > burst + 48),
      ).length
    }
    return {
      what: `Spikes, ${rate} an hour: a level that doubles and stays`,
      claimed: 'told as a new level within 16 days, usual from then on',
      measured: `told in ${percent(told / runs)}, in ${percent(within / runs)} within 16 days; ${after} false spikes after it; a burst of four times the new level found in ${percent(bursts / runs)}`,
      how: `${runs} series, 17 weeks after the change`,
    }
  })
  const zone = 'Europe/London'
  const start = Date.UTC(2026, 7, 3)
  const clock = weekHoursOf(start, 20 * week, zone)
  let alarms = 0
  for (let run = 0; run < runs; run++) {
    const counts = clock.map((hour) => bunched(20 * weightOf(hour), 1, draw))
    alarms += findSpikes(counts, { weekHours: clock }).filter((spike) => spike.found > 11 * week).length
  }
  return [
    ...shifted,
    {
      what: 'Spikes, 20 an hour: found around a change of the clock though there is none',
      claimed: 'at most 1e-4 an hour',
      measured: `${alarms} in ${runs * 9 * 7} days`,
      how: `${runs} series of 20 weeks, the last nine with the end of summer time in them`,
    },
  ]
}
