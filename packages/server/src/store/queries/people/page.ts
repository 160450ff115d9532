import {
  askingParts,
  asksOfEntries,
  instantsOf,
  type Instants,
  type Lens,
  type LensContext,
} from '@murrabel/core/lens'
import { DateTime } from 'luxon'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from '../entries/lensWhere.ts'
import { accessOf, Where } from '../shared/where.ts'
import { called } from './called.ts'

/** Where a page ends: the key of the order, then the id. */
export type PeopleKey = readonly (string | number)[]

/** What each order goes by: as a key, ascending, and as it is sorted; the id comes last. */
const orders: Record<Lens['peopleOrder'], readonly (readonly [key: string, sorted: string])[]> = {
  said: [
    ['-said', 'said DESC'],
    ['-extract(epoch FROM latest)', 'latest DESC'],
  ],
  latest: [['-extract(epoch FROM latest)', 'latest DESC']],
  unhappiest: [
    ['-unhappy', 'unhappy DESC'],
    ['-said', 'said DESC'],
  ],
  name: [['name', 'name']],
}

export const printPeopleKey = (key: PeopleKey) => Buffer.from(JSON.stringify(key)).toString('base64url')

/** A place in a list of this order; null for what is none. */
export function parsePeopleKey(text: string, order: Lens['peopleOrder']): PeopleKey | null {
  if (!/^[\w-]{1,800}$/.test(text)) return null
  let key: unknown
  try {
    key = JSON.parse(Buffer.from(text, 'base64url').toString())
  } catch {
    return null
  }
  if (!Array.isArray(key) || key.length !== orders[order].length + 1) return null
  const fits = key.every((each: unknown, i) =>
    order === 'name' && i === 0
      ? typeof each === 'string' && each.length <= 500
      : typeof each === 'number' && Number.isFinite(each),
  )
  return fits ? (key as PeopleKey) : null
}

export interface PeopleRow {
  id: number
  name: string
  said: number
  /** When they said the latest of it; null: they visited only. */
  last: Date | null
  /** When they said or visited the latest of it. */
  latest: Date
  key: PeopleKey
  total: number
}

/** How those who spoke meet those who visited. */
const presence = (lens: Lens): string => {
  if (lens.visited === 'yes') return `visited ${asksOfEntries(lens) ? '' : 'LEFT '}JOIN said USING (id)`
  return 'said LEFT JOIN visited USING (id)'
}

export type Bind = (value: unknown) => string

/** Somebody wrote what the reader may see. */
export const wroteToReader = (bind: Bind, reader: Reader, shownAs: string): string =>
  `EXISTS (
     SELECT 1 FROM accounts a JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
     WHERE a.shown_as = ${shownAs} AND ${accessOf(bind, reader, 'e')}
   )`

/** Visits at the lens's time and places, as far as the reader may know of them, one row a person. */
function visitorsSql(
  bind: Bind,
  {
    lens,
    reader,
    asked,
    window,
  }: { lens: Lens; reader: Reader; asked: string | null; window: Instants | null },
): string {
  if (lens.visited === 'any') return 'SELECT NULL::bigint AS id, NULL::timestamptz AS visited WHERE false'
  const conditions = [`v.brand_id = ${bind(reader.brandId)}`]
  if (window)
    conditions.push(
      `v.at >= ${bind(new Date(window.from))}::timestamptz AND v.at < ${bind(new Date(window.to))}::timestamptz`,
    )
  if (lens.places.length) conditions.push(`v.place_id = ANY(${bind(lens.places)}::int[])`)
  if (reader.placeIds) conditions.push(`v.place_id = ANY(${bind(reader.placeIds)}::int[])`)
  if (asked) conditions.push(`v.shown_as = ANY(ARRAY(${asked}))`)
  // Whoever sees only some profiles sees visits of those alone who wrote there.
  if (reader.profileIds && lens.visited === 'yes') conditions.push(wroteToReader(bind, reader, 'v.shown_as'))
  return `SELECT v.shown_as AS id, max(v.at) AS visited FROM visits v WHERE ${conditions.join(' AND ')} GROUP BY 1`
}

/** What each order goes by where everybody is asked for at any time. @param by the latest of what they said, or of that and their visits */
const totalOrders = (
  by: 't.by_last' | 't.by_latest',
): Record<Lens['peopleOrder'], readonly (readonly [by: string, type: string])[]> => ({
  said: [
    ['t.by_said', 'int'],
    [by, 'numeric'],
  ],
  latest: [[by, 'numeric']],
  unhappiest: [
    ['t.by_unhappy', 'int'],
    ['t.by_said', 'int'],
  ],
  name: [[`${called('p')} COLLATE "C"`, 'text']],
})

/** Whether what counts for a lens is all that people said on whole days, or ever, as somebody sees them who sees all: that is kept of each. */
const asksForKept = (lens: Lens, reader: Reader): boolean =>
  (lens.range === null || 'last' in lens.range || lens.range.from.length + lens.range.to.length === 20) &&
  !lens.places.length &&
  !reader.placeIds &&
  !reader.profileIds &&
  !asksOfEntries(lens)

/** Whether it asks for everybody at any time, those who visited or did not at most. */
const asksForEverybody = (lens: Lens): boolean =>
  lens.range === null &&
  askingParts(lens).every(
    ({ part }) => part.of !== 'person' || part.field === 'peopleOrder' || part.field === 'visited',
  )

/** Of whom something is kept, those whom a lens on everybody shows. */
const everybody: Record<Lens['visited'], string> = {
  any: 'said > 0',
  yes: 'visited IS NOT NULL',
  no: 'said > 0 AND visited IS NULL',
}

/** Everybody at any time: from what is kept of each, in the order of an index. */
function everybodyPage(
  db: Database,
  lens: Lens,
  brandId: number,
  { limit, after }: { limit: number; after: PeopleKey | null },
): Promise<PeopleRow[]> {
  const where = new Where()
  const brand = where.bind(brandId)
  where.add(`t.brand_id = ${brand} AND p.brand_id = ${brand} AND ${everybody[lens.visited]}`)
  const visited = lens.visited === 'yes'
  const keys = [
    ...totalOrders(visited ? 't.by_latest' : 't.by_last')[lens.peopleOrder],
    ['t.person_id', 'bigint'] as const,
  ]
  const order = keys.map(([by]) => by)
  if (after) where.add(beyondKey(keys, after, (value) => where.bind(value)))
  return db.replica.rows<PeopleRow>(
    `SELECT t.person_id AS id, ${called('p')} AS name, t.said, t.last, ${visited ? 'greatest(t.last, t.visited)' : 't.last'} AS latest,
       jsonb_build_array(${order.join(', ')}) AS key,
       (SELECT count(*) FROM person_totals WHERE brand_id = ${brand} AND ${everybody[lens.visited]})::int AS total
     FROM person_totals t JOIN people p ON p.id = t.person_id
     WHERE ${where.toString()}
     ORDER BY ${order.join(', ')} LIMIT ${where.bind(limit)}`,
    where.values,
  )
}

/** That a row comes after a key. @param order what it goes by, the id last, each with its type */
const beyondKey = (order: readonly (readonly [by: string, type: string])[], after: PeopleKey, bind: Bind) =>
  `(${order.map(([by]) => by).join(', ')}) > (${order.map(([, type], i) => `${bind(after[i])}::${type}`).join(', ')})`

/** What is kept of each, of some or of all: of some days, or in all. */
function keptSql(
  bind: Bind,
  { brandId }: Reader,
  window: Instants | null,
  zone: string,
  chosen: string | null,
): string {
  const whose = (id: string) => (chosen ? `AND ${id} IN (${chosen})` : '')
  if (!window)
    return `SELECT t.person_id AS id, t.said, t.last, t.unhappy FROM person_totals t
      WHERE t.brand_id = ${bind(brandId)} AND t.said > 0 ${whose('t.person_id')}`
  const day = (at: number) => `${bind(DateTime.fromMillis(at, { zone }).toISODate())}::date`
  return `SELECT d.person_id AS id, sum(d.said)::int AS said, max(d.last) AS last, sum(d.unhappy)::int AS unhappy FROM person_days d
    WHERE d.brand_id = ${bind(brandId)} AND d.day >= ${day(window.from)} AND d.day < ${day(window.to)} ${whose('d.person_id')}
    GROUP BY 1`
}

/** How much each said of what the lens asks for. */
const countedSql = (from: string, conditions: string): string =>
  `SELECT a.shown_as AS id, sum(s.n)::int AS said, max(s.last) AS last, sum(s.unhappy)::int AS unhappy
   FROM (
     SELECT e.account_id, count(*) AS n, max(e.at) AS last,
       count(*) FILTER (WHERE e.sentiment = 'negative') - count(*) FILTER (WHERE e.sentiment = 'positive') AS unhappy
     FROM ${from}
     WHERE e.account_id IS NOT NULL AND ${conditions}
     GROUP BY 1
   ) s
   JOIN accounts a ON a.id = s.account_id
   GROUP BY 1`

/** Those who said something under the lens, and how much; with visits asked for, those who visited. */
export function peoplePage(
  db: Database,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
  { limit, after }: { limit: number; after: PeopleKey | null },
): Promise<PeopleRow[]> {
  const kept = asksForKept(lens, reader)
  if (kept && asksForEverybody(lens)) return everybodyPage(db, lens, reader.brandId, { limit, after })
  // Every parameter that is bound must be asked for.
  const { from, where } = kept ? { from: '', where: new Where() } : lensWhere(lens, context, reader)
  const bind = (value: unknown) => where.bind(value)
  const query = { bind, context, at: 'e.at', window: instantsOf(lens.range, context) }
  const asked = askingParts(lens).flatMap(({ part, value }) => {
    const condition = part.of === 'person' ? part.sql(value, query) : null
    return condition ? [condition] : []
  })
  // Few are called so: what they said is found by their accounts.
  const chosen = asked.length
    ? `SELECT p.shown_as FROM people p WHERE p.brand_id = ${bind(reader.brandId)} AND ${asked.join(' AND ')}`
    : null
  if (chosen)
    where.add(
      `e.account_id = ANY(ARRAY(SELECT a.id FROM people p JOIN accounts a ON a.person_id = p.id WHERE p.shown_as IN (${chosen})))`,
    )
  const said = where.toString()
  const visitors = visitorsSql(bind, { lens, reader, asked: chosen, window: query.window })
  const order = [...orders[lens.peopleOrder], ['id', 'id'] as const]
  const keys = order.map(([key]) => key)
  const sorted = order.map(([, by]) => by).join(', ')
  const typed = keys.map((by) => [by, by === 'id' ? 'bigint' : by === 'name' ? 'text' : 'numeric'] as const)
  const beyond = after ? `WHERE ${beyondKey(typed, after, bind)}` : ''
  // Names are looked up for a page, unless the page goes by them.
  const named = lens.peopleOrder === 'name'
  return db.replica.rows<PeopleRow>(
    `WITH said AS (${kept ? keptSql(bind, reader, query.window, context.zone, chosen) : countedSql(from, said)}), visited AS (${visitors}), them AS (
       SELECT id, ${named ? `${called('p')} COLLATE "C" AS name,` : ''} coalesce(said.said, 0) AS said, said.last,
         greatest(said.last, visited.visited) AS latest, coalesce(said.unhappy, 0) AS unhappy
       FROM ${presence(lens)} ${named ? 'JOIN people p USING (id)' : ''}
       WHERE ${lens.visited === 'no' ? 'visited.id IS NULL' : 'true'}
     ), page AS (
       SELECT * FROM them ${beyond} ORDER BY ${sorted} LIMIT ${bind(limit)}
     )
     SELECT id, (SELECT ${called('p')} FROM people p WHERE p.id = page.id) COLLATE "C" AS name, said, last, latest,
       jsonb_build_array(${keys.join(', ')}) AS key, (SELECT count(*) FROM them)::int AS total
     FROM page ORDER BY ${sorted}`,
    where.values,
  )
}
