import { median } from '../measures/index.ts'

const day = 24
const week = 7 * day

/** So many hours of the week's usual shape stand beside what an hour itself has shown. */
const priorHours = 2

/**
 * What is expected in each hour of the week: the mean of the hours that were seen, drawn to the product of the hour of the day and the
 * day of the week, because a few weeks say little about one hour.
 *
 * @param counts what came in each hour of the week, over all weeks; 168
 * @param hours how often each hour of the week was seen; 168
 * @example weekRates(Array(168).fill(8), Array(168).fill(8))[0] // 1
 */
export function weekRates(counts: readonly number[], hours: readonly number[]): number[] {
  const mean = (of: (hour: number) => boolean) => {
    let count = 0
    let seen = 0
    for (let hour = 0; hour < week; hour++)
      if (of(hour)) {
        count += counts[hour]!
        seen += hours[hour]!
      }
    return seen ? count / seen : 0
  }
  const all = mean(() => true)
  if (!all) return Array.from({ length: week }, () => 0)
  const byHour = Array.from({ length: day }, (_, h) => mean((hour) => hour % day === h))
  const byDay = Array.from({ length: 7 }, (_, d) => mean((hour) => Math.floor(hour / day) === d))
  return Array.from({ length: week }, (_, hour) => {
    const shape = (byHour[hour % day]! * byDay[Math.floor(hour / day)]!) / all
    return (counts[hour]! + priorHours * shape) / (hours[hour]! + priorHours)
  })
}

/** Between two answers of a day with at most so many hours between, somebody is there. */
const stayHours = 3

/**
 * The chance that somebody is there in each hour of the week, from the hours in which they answered: the share of the weeks in which
 * they did, or were between two answers.
 *
 * @param answered hours since a Monday at midnight in which they answered, each once, in any order
 * @param weeks weeks that were looked at, counted from that Monday
 * @example presenceOf([9, 11], 1).slice(9, 12) // [1, 1, 1]
 */
export function presenceOf(answered: readonly number[], weeks: number): number[] {
  const there = new Set(answered)
  const sorted = [...there].sort((a, b) => a - b)
  sorted.slice(1).forEach((to, i) => {
    const from = sorted[i]!
    if (to - from <= stayHours + 1 && Math.floor(from / day) === Math.floor(to / day))
      for (let hour = from + 1; hour < to; hour++) there.add(hour)
  })
  const chances = Array.from({ length: week }, () => 0)
  for (const hour of there) if (hour >= 0 && hour < weeks * week) chances[hour % week]! += 1 / weeks
  return chances.map((chance) => Math.min(1, chance))
}

/** Fewer weeks, or weeks of fewer, are no habit. */
const usualWeeks = 4
const usualCount = 5

/**
 * The share that is usual: the median of the weeks, two spreads to either side. A spread is the larger of what the weeks showed (1.4826
 * times the median distance from the median) and what chance alone would bring (binomial).
 *
 * @returns null where there are too few weeks with enough in them
 * @example usualShare(Array(6).fill({ good: 90, n: 100 }))?.low // 0.84
 */
export function usualShare(
  before: readonly { good: number; n: number }[],
): { low: number; high: number; weeks: number } | null {
  const enough = before.filter(({ n }) => n >= usualCount)
  if (enough.length < usualWeeks) return null
  const shares = enough.map(({ good, n }) => good / n)
  const middle = median(shares)
  const shown = 1.4826 * median(shares.map((each) => Math.abs(each - middle)))
  const chance = Math.sqrt((middle * (1 - middle)) / median(enough.map(({ n }) => n)))
  const spread = Math.max(shown, chance)
  return {
    low: Math.max(0, middle - 2 * spread),
    high: Math.min(1, middle + 2 * spread),
    weeks: enough.length,
  }
}
