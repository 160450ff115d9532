import { median } from '../measures/index.ts'

/** After so long without a look, the next is a new one, milliseconds. */
export const lookGapMs = 30 * 60_000
/** Furthest back that is told, milliseconds. */
export const sinceAtMostMs = 14 * 86_400_000
const day = 86_400_000

/** When somebody looked, epoch milliseconds; null: never. */
export interface Looks {
  /** Since when the look in hand tells. */
  since: number | null
  /** When they were seen looking last. */
  seen: number | null
}

/**
 * Since when is told: whoever comes back within half an hour goes on with the same look, whoever comes later is told since they
 * left. At first since a day ago; never more than fourteen days.
 *
 * @param now epoch milliseconds
 * @example looksAt({ since: null, seen: null }, 100_000_000).since // 13_600_000
 */
export function looksAt({ since, seen }: Looks, now: number): { since: number; seen: number } {
  const begun = seen === null ? now - day : now - seen > lookGapMs ? seen : (since ?? now - day)
  return { since: Math.min(now, Math.max(begun, now - sinceAtMostMs)), seen: now }
}

/** Longer between two answers is a break, milliseconds. */
const breakMs = 25 * 60_000
/** Answers one after the other from which a pace can be told. */
export const paceFrom = 8

export interface Pace {
  /** Median time from one answer to the next, milliseconds. */
  eachMs: number
  /** Answers it rests on. */
  answers: number
}

/**
 * Times from one answer to the next, breaks left out.
 *
 * @param times when somebody answered, epoch milliseconds, in any order
 * @example answerGaps([0, 60_000, 7_200_000]) // [60_000]
 */
export function answerGaps(times: readonly number[]): number[] {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted.slice(1).flatMap((at, i) => {
    const gap = at - sorted[i]!
    return gap > 0 && gap <= breakMs ? [gap] : []
  })
}

/**
 * How long an answer takes somebody, with reading and everything between: the median from one to the next, breaks left out.
 *
 * @param times when they answered, epoch milliseconds, in any order
 * @returns null where it rests on too few
 * @example paceOf([0, 1, 2, 3, 4, 5, 6, 7, 8].map((i) => i * 240_000))?.eachMs // 240_000
 */
export function paceOf(times: readonly number[]): Pace | null {
  const gaps = answerGaps(times)
  return gaps.length < paceFrom ? null : { eachMs: median(gaps), answers: gaps.length + 1 }
}

/** How sure it is that something is no chance. */
export type Sureness = 'sure' | 'fairly'

/**
 * How sure a finding is that was looked for in many places (Bonferroni): sure below one in a hundred that any of them would show it by
 * chance, fairly below one in twenty; null: it is none.
 *
 * @param p chance of it in one place
 * @param places how many were looked at
 * @example surenessOf(0.001, 5) // "sure"
 */
export function surenessOf(p: number, places: number): Sureness | null {
  const any = p * Math.max(1, places)
  return any < 0.01 ? 'sure' : any < 0.05 ? 'fairly' : null
}
