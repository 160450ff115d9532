import type { OutageAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Database } from '../../store/database.ts'
import { lensProfiles, watchProfiles } from '../../store/queries/entries/lensProfiles.ts'
import type { LensQuestion } from '../../store/queries/entries/lensSlices.ts'
import { outagesBetween, type OutageRow } from '../../store/queries/profiles/outages.ts'
import type { ComparedPeriods, Period } from './shownRange.ts'

const hour = 3_600_000
const day = 24 * hour
/** Days before the time in question that say how much an account usually brings. */
const shareDays = 56
/** What brings less of all is not missed: no figure changes by it more than by chance. */
const missedFrom = 0.1

/** A time in which an account was not collected, and what part of all it usually brings. */
export interface Missed extends Period {
  profileId: number
  name: string
  network: string
  goesOn: boolean
  /** 0 to 1. */
  share: number
}

/**
 * Times between two instants whose counts are too low, because accounts that usually bring a part of what a lens shows were not
 * collected. Nothing more is asked when there are none.
 */
export async function missedOf(
  db: Database,
  question: LensQuestion,
  period: Period,
  now: number,
): Promise<Missed[]> {
  const rows = await outagesBetween(db, question.reader, period)
  if (!rows.length) return []
  return withShares(rows, await lensProfiles(db, question, sharePeriod(rows, period, now)), now)
}

/** The same of each of several watches. */
export async function missedOfWatches(
  db: Database,
  { reader, watches }: { reader: Reader; watches: readonly number[] },
  period: Period,
  now: number,
): Promise<Map<number, Missed[]>> {
  const rows = await outagesBetween(db, reader, period)
  if (!rows.length) return new Map()
  const counts = await watchProfiles(db, { watches, ...sharePeriod(rows, period, now) })
  return new Map(
    watches.map((id) => [
      id,
      withShares(
        rows,
        counts.filter(({ watch }) => watch === id),
        now,
      ),
    ]),
  )
}

function sharePeriod(rows: readonly OutageRow[], { from, to }: Period, now: number): Period {
  const first = Math.min(from, ...rows.map((row) => row.from.getTime()))
  const whole = (at: number) => Math.floor(at / hour) * hour
  return { from: whole(first - shareDays * day), to: whole(Math.min(to, now)) }
}

function withShares(
  rows: readonly OutageRow[],
  counts: readonly { profileId: number; n: number }[],
  now: number,
): Missed[] {
  const all = counts.reduce((sum, { n }) => sum + n, 0)
  if (!all) return []
  return rows.flatMap(({ profileId, name, network, from, to }) => {
    const share = (counts.find((count) => count.profileId === profileId)?.n ?? 0) / all
    if (!share) return []
    return [
      {
        profileId,
        name,
        network,
        from: from.getTime(),
        to: to?.getTime() ?? now,
        goesOn: to === null,
        share,
      },
    ]
  })
}

/** The part of what usually comes in a period that was not collected, 0 to 1. */
export function missedPart(missed: readonly Missed[], { from, to }: Period): number {
  if (to <= from) return 0
  const part = missed.reduce((sum, each) => {
    const overlap = Math.min(to, each.to) - Math.max(from, each.from)
    return overlap > 0 ? sum + (each.share * overlap) / (to - from) : sum
  }, 0)
  return Math.min(1, part)
}

/** Whether so much is missing in a period that its count says nothing. */
export const isMissed = (missed: readonly Missed[], period: Period): boolean =>
  missed.length > 0 && missedPart(missed, period) >= missedFrom

/** Of hours one after the other: which of them say nothing; undefined when all do. */
export function missedHours(missed: readonly Missed[], start: number, length: number): boolean[] | undefined {
  if (!missed.length) return undefined
  return Array.from({ length }, (_, i) =>
    isMissed(missed, { from: start + i * hour, to: start + (i + 1) * hour }),
  )
}

/** Which of the compared periods, the present one last, are known: they lie after the first entry of all, and were collected. */
export function knownPeriods(
  { periods }: ComparedPeriods,
  { first, missed }: { first: number | null | undefined; missed: readonly Missed[] },
): boolean[] {
  const present = periods[periods.length - 1]!
  return periods.map(
    (each, i) =>
      (i === periods.length - 1 || (first != null && present.to > present.from && each.from >= first)) &&
      !isMissed(missed, each),
  )
}

/** As it is told: accounts whose missing shows, within a period. */
export const outageAnswers = (missed: readonly Missed[], { from, to }: Period): OutageAnswer[] =>
  missed
    .filter((each) => each.share >= missedFrom / 2 && each.from < to && each.to > from)
    .map(({ name, network, share, goesOn, ...each }) => ({
      account: name,
      network,
      share,
      from: new Date(Math.max(from, each.from)).toISOString(),
      to: goesOn ? null : new Date(Math.min(to, each.to)).toISOString(),
    }))
