import { searchWords } from '../lens/searchWords.ts'

/** How a visit stands: it is booked, took place, did not take place, or the customer called it off. */
export type VisitState = 'booked' | 'done' | 'failed' | 'cancelled'

/** A visit, as far as it tells whether a thread is about it. */
export interface ComparableVisit {
  /** Epoch milliseconds. */
  at: number
  placeId: number | null
  route: string
  ship: string
  /** How a booking system calls it. */
  reference: string | null
}

/** A thread of the same person. */
export interface ComparableThread {
  /** When it began, epoch milliseconds. */
  at: number
  placeId: number | null
  /** What the person said in it. */
  text: string
}

/** Why a thread may be about a visit. */
export type BelongingReason =
  | { kind: 'reference'; reference: string }
  /** So many whole days after the visit; below 0: before it. */
  | { kind: 'near'; days: number }
  | { kind: 'place'; place: number }
  | { kind: 'ship'; ship: string }
  | { kind: 'route'; words: string[] }

export interface Belonging {
  /** How much speaks for it, 0 to 1; no chance of being right. */
  weight: number
  reasons: BelongingReason[]
}

const day = 86_400_000
/** People write of a visit up to so many days after it, and ask before it. */
const daysAfter = 28
const daysBefore = 60
/** What each reason takes of the doubt that is left, at its strongest. */
const takes = { reference: 0.95, after: 0.6, before: 0.5, ship: 0.45, place: 0.35, route: 0.3 } as const
/** Less is not proposed. */
const leastWeight = 0.5
/** Shorter words of a route tell nothing. */
const lettersOfRoute = 4

/**
 * How much speaks for a thread being about a visit of the same person: a booking reference in its words, nearness in time, the
 * same place, the ship or the route named. Null for too little: time alone is enough only for what was
 * said within days of it.
 *
 * @example
 * belongingOf(
 *   { at: 86_400_000, placeId: null, text: 'Two hours late again on the Storm Petrel' },
 *   { at: 0, placeId: 1, route: 'Dunmarrow to Port Ellery', ship: 'Storm Petrel', reference: null },
 * )?.reasons.length // 2
 */
export function belongingOf(thread: ComparableThread, visit: ComparableVisit): Belonging | null {
  const words = searchWords(thread.text)
  const said = new Set(words)
  const reasons: BelongingReason[] = []
  let doubt = 1
  const counts = (share: number, reason: BelongingReason) => {
    doubt *= 1 - share
    reasons.push(reason)
  }
  if (visit.reference && names(words, searchWords(visit.reference)))
    counts(takes.reference, { kind: 'reference', reference: visit.reference })
  const after = (thread.at - visit.at) / day
  const nearness = after >= 0 ? 1 - after / daysAfter : 1 + after / daysBefore
  if (nearness > 0)
    counts(nearness * (after >= 0 ? takes.after : takes.before), { kind: 'near', days: Math.trunc(after) })
  else if (!reasons.length) return null
  if (visit.ship && names(words, searchWords(visit.ship)))
    counts(takes.ship, { kind: 'ship', ship: visit.ship })
  if (visit.placeId !== null && visit.placeId === thread.placeId)
    counts(takes.place, { kind: 'place', place: visit.placeId })
  const route = [...new Set(searchWords(visit.route))].filter(
    (word) => word.length >= lettersOfRoute && said.has(word),
  )
  if (route.length) counts(takes.route, { kind: 'route', words: route })
  const weight = 1 - doubt
  return weight >= leastWeight ? { weight, reasons } : null
}

/** Whether words stand among others, one after the other. */
function names(words: readonly string[], wanted: readonly string[]): boolean {
  if (!wanted.length) return false
  return words.some((_, i) => wanted.every((word, k) => words[i + k] === word))
}

/** Visits a thread may be about, what speaks most for it first; of equals the nearest in time. */
export const belongings = <Visit extends ComparableVisit>(
  thread: ComparableThread,
  visits: readonly Visit[],
): (Belonging & { visit: Visit })[] =>
  visits
    .flatMap((visit) => {
      const found = belongingOf(thread, visit)
      return found ? [{ visit, ...found }] : []
    })
    .sort(
      (a, b) => b.weight - a.weight || Math.abs(a.visit.at - thread.at) - Math.abs(b.visit.at - thread.at),
    )
