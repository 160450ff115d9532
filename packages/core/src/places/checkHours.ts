import type { DayHours } from './businessHours.ts'

/** Why hours of a day cannot be meant. */
export type HoursProblem = 'order' | 'overlap' | 'range'

/** Minutes from midnight that a span can reach to: the end of the day after. */
const latest = 2880

/**
 * What is wrong with the hours of a day; null: nothing. Spans close after they open, none begins before the one before it has closed,
 * they open before midnight, and none is longer than a day.
 *
 * @example hoursProblem([[540, 480]]) // "order"
 */
export function hoursProblem(day: DayHours): HoursProblem | null {
  let reached = 0
  for (const [open, close] of day) {
    if (!Number.isInteger(open) || !Number.isInteger(close) || open < 0 || open >= 1440 || close > latest)
      return 'range'
    if (close <= open || close - open > 1440) return 'order'
    if (open < reached) return 'overlap'
    reached = close
  }
  return null
}
