import type { Random } from './random.ts'

export const day = 86_400_000
export const hour = 3_600_000

/** The events of the year, in days before its end. */
export const events = {
  engineFailure: 19,
  winterTimetable: 64,
  dogsOnDeck: 40,
  ask: 33,
} as const

// A summer swell and a quiet winter, from January.
const season = [0.55, 0.6, 0.75, 0.95, 1.1, 1.35, 1.7, 1.75, 1.2, 0.95, 0.75, 0.65]
// From Sunday: weekends are louder.
const weekday = [1.35, 0.85, 0.8, 0.85, 0.9, 1.1, 1.5]
const hours = [
  0.2, 0.1, 0.05, 0.05, 0.1, 0.3, 0.8, 1.2, 1.3, 1.2, 1.1, 1.1, 1.2, 1.2, 1.1, 1.2, 1.4, 1.6, 1.8, 2, 2, 1.7,
  1.1, 0.5,
]

/** So many instants of the year before `end`, by season, weekday and hour; ascending. */
export function instants(
  random: Random,
  { end, count, days = 365 }: { end: number; count: number; days?: number },
): number[] {
  const start = end - days * day
  const found: number[] = []
  const most = 1.75 * 1.5 * 2
  while (found.length < count) {
    const at = start + random() * (end - start)
    const date = new Date(at)
    const weight = season[date.getUTCMonth()]! * weekday[date.getUTCDay()]! * hours[date.getUTCHours()]!
    if (random() * most < weight) found.push(Math.floor(at / 1000) * 1000)
  }
  return found.sort((a, b) => a - b)
}

export const daysBefore = (end: number, at: number) => (end - at) / day
