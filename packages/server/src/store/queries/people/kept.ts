import { asksOfEntries, instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import { DateTime } from 'luxon'
import type { Reader } from '../../../access/reader.ts'

/**
 * What people said, from what is kept of each: in all (`person_totals`), and on each day, at each place and at all of them together
 * (`person_days`). A row of a day knows the days on which its person said something before and after it: whoever has one row in a
 * time says so in it.
 */
export interface Kept {
  brandId: number
  /** Places of a reader or a lens; null: what was said at any of them, or at none. */
  places: readonly number[] | null
  /** From the first day to the one after the last; null: at any time. */
  days: { from: string; to: string } | null
  /** Everything they ever said, wherever. */
  ever: boolean
}

type Bind = (value: unknown) => string

/** What of it a lens asks for, as the reader may see it; null: something else counts for it than days and places. */
export function keptOf({
  lens,
  context,
  reader,
}: {
  lens: Lens
  context: LensContext
  reader: Reader
}): Kept | null {
  const { range } = lens
  const wholeDays = range === null || 'last' in range || range.from.length + range.to.length === 20
  if (!wholeDays || reader.profileIds || asksOfEntries(lens)) return null
  const mine = reader.placeIds
  const places = lens.places.length ? lens.places.filter((id) => !mine || mine.includes(id)) : mine
  const window = instantsOf(range, context)
  const day = (at: number) => DateTime.fromMillis(at, { zone: context.zone }).toISODate()!
  return {
    brandId: reader.brandId,
    places,
    days: window && { from: day(window.from), to: day(window.to) },
    ever: !window && !places,
  }
}

/** Conditions on rows of days. @returns outer: that a row is its person's first of them, and that it is their last; null where places are put together */
function rowsOf(bind: Bind, { brandId, places, days }: Kept) {
  const one = !places ? 0 : places.length === 1 ? places[0]! : null
  const from = days && `${bind(days.from)}::date`
  const to = days && `${bind(days.to)}::date`
  const all = [
    `d.brand_id = ${bind(brandId)}`,
    one === null ? `d.place_id = ANY(${bind(places)}::int[])` : `d.place_id = ${bind(one)}`,
    ...(days ? [`d.day >= ${from}`, `d.day < ${to}`] : []),
  ].join(' AND ')
  const outer =
    one === null
      ? null
      : days
        ? { first: `d.previous < ${from}`, last: `d.next >= ${to}` }
        : { first: `d.previous = '-infinity'`, last: `d.next = 'infinity'` }
  return { all, outer }
}

/** Where nobody asks how unhappy they were, the index tells everything, and no row is looked up. */
const summed = (felt: boolean) =>
  `SELECT d.person_id AS id, sum(d.said)::int AS said, max(d.last) AS last, ${felt ? 'sum(d.unhappy)::int' : '0'} AS unhappy FROM person_days d`

/**
 * How much each said, of some or of all: id, said, last, unhappy.
 *
 * @param chosen selects those who are asked for
 * @param felt whether it is asked how unhappy they were; else that is 0
 */
export function keptSql(
  bind: Bind,
  kept: Kept,
  { chosen, felt }: { chosen: string | null; felt: boolean },
): string {
  const whose = (id: string) => (chosen ? `AND ${id} IN (${chosen})` : '')
  if (kept.ever)
    return `SELECT t.person_id AS id, t.said, t.last, t.unhappy FROM person_totals t
      WHERE t.brand_id = ${bind(kept.brandId)} AND t.said > 0 ${whose('t.person_id')}`
  const { all, outer } = rowsOf(bind, kept)
  const theirs = `${all} ${whose('d.person_id')}`
  if (!outer || chosen) return `${summed(felt)} WHERE ${theirs} GROUP BY 1`
  return `SELECT d.person_id AS id, d.said, d.last, ${felt ? 'd.unhappy' : '0'} AS unhappy FROM person_days d
    WHERE ${theirs} AND ${outer.first} AND ${outer.last}
    UNION ALL ${summed(felt)} WHERE ${theirs} AND NOT (${outer.first} AND ${outer.last}) GROUP BY 1`
}

/** Everybody who said something, once each: id. */
export function onceSql(bind: Bind, kept: Kept): string {
  const { all, outer } = rowsOf(bind, kept)
  return outer
    ? `SELECT d.person_id AS id FROM person_days d WHERE ${all} AND ${outer.first}`
    : `SELECT DISTINCT d.person_id AS id FROM person_days d WHERE ${all}`
}

/** Everybody who said something at one place, or anywhere, once each, and when it was last: id, latest. */
export function latestSql(bind: Bind, kept: Kept): string {
  const { all, outer } = rowsOf(bind, kept)
  return `SELECT d.person_id AS id, d.last AS latest FROM person_days d WHERE ${all} AND ${outer!.last}`
}

/** How much one of them said; no row where it was nothing. @param who selects their id */
export const saidBySql = (bind: Bind, kept: Kept, who: string): string =>
  `${summed(false)} WHERE ${rowsOf(bind, kept).all} AND d.person_id = ${who} GROUP BY 1`

/** Who comes before all others, by a row of theirs if there is one alone, and by all of them. */
const foremost: Partial<Record<Lens['peopleOrder'], { row: string; all: string }>> = {
  said: { row: 'd.said > 1', all: 'sum(d.said) > 1' },
  unhappiest: { row: 'd.unhappy > 0', all: 'sum(d.unhappy) > 0' },
}

/** Whether rows of days are not put together of several places: each person has one that is their first, and one that is their last. */
export const isOnePlace = ({ places }: Kept): boolean => !places || places.length === 1

/** Whether some come before all others in an order by more than its last key. */
export const comesForemost = (order: Lens['peopleOrder']): boolean => foremost[order] !== undefined

/** How much those said who come before all others in an order. */
export function foremostSql(bind: Bind, kept: Kept, order: Lens['peopleOrder']): string {
  const { all, outer } = rowsOf(bind, kept)
  const { row, all: together } = foremost[order]!
  return `${summed(order === 'unhappiest')} WHERE ${all} AND (${row} OR NOT (${outer!.first} AND ${outer!.last})) GROUP BY 1 HAVING ${together}`
}
