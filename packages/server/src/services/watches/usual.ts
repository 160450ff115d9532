import { usualRange, usualVerdict } from '@murrabel/core/measures'
import type { UsualAnswer } from '@murrabel/contract'

/** A count against the periods before it. */
export function usualOf(count: number, previous: readonly number[]): UsualAnswer {
  const range = usualRange(previous)
  return {
    verdict: usualVerdict(count, previous),
    low: range?.low ?? null,
    high: range?.high ?? null,
    periods: range?.periods ?? previous.length,
  }
}
