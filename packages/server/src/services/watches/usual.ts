import { usualRange, usualVerdict } from '@murrabel/core/measures'
import type { UsualAnswer } from '@murrabel/contract'

/**
 * A count against the periods before it.
 *
 * @param known how many of them, counted from the last, lie within what was collected: silence before that says nothing
 */
export function usualOf(count: number, all: readonly number[], known = all.length): UsualAnswer {
  const previous = known > 0 ? all.slice(-known) : []
  const range = usualRange(previous)
  return {
    verdict: usualVerdict(count, previous),
    low: range?.low ?? null,
    high: range?.high ?? null,
    periods: range?.periods ?? previous.length,
  }
}

/** Of periods that start at these instants, how many lie after the first entry of all; the last start is the present one. */
export const knownPeriods = (starts: readonly number[], first: number | null | undefined) =>
  first == null ? 0 : starts.slice(0, -1).filter((at) => at >= first).length
