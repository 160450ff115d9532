import { askingParts, asksOfEntries, instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from '../entries/lensWhere.ts'
import { accessOf, Where } from '../shared/where.ts'
import { called } from './called.ts'
import {
  comesForemost,
  foremostSql,
  isOnePlace,
  keptOf,
  keptSql,
  latestSql,
  onceSql,
  saidBySql,
  type Kept,
} from './kept.ts'

/** Where a page ends: the key of the order, then the id. */
export type PeopleKey = readonly (string | number)[]

/** What each order goes by: as a key, ascending, and as it is sorted; the id comes last. */
const orders: Record<Lens['peopleOrder'], readonly (readonly [key: string, sorted: string])[]> = {
  said: [
    ['-said', 'said DESC'],
    ['-extract(epoch FROM spoke)', 'spoke DESC'],
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

/** People as they are asked for. */
export interface PeopleQuestion {
  lens: Lens
  context: LensContext
  reader: Reader
}
interface PagePart {
  limit: number
  after: PeopleKey | null
  /** From so many people on, names are gone through in their order until a page is full, instead of being sorted. */
  manyNames?: number
}

/** How those who spoke meet those who visited, when the latest of it was, and what goes first among those who said as much. */
const presence = (lens: Lens): { from: string; where: string; latest: string; spoke: string } => {
  if (lens.visited === 'any') return { from: 'said', where: 'true', latest: 'said.last', spoke: 'said.last' }
  if (lens.visited === 'no')
    return {
      from: 'said LEFT JOIN visited USING (id)',
      where: 'visited.id IS NULL',
      latest: 'said.last',
      spoke: 'said.last',
    }
  return {
    from: `visited ${asksOfEntries(lens) ? '' : 'LEFT '}JOIN said USING (id)`,
    where: 'true',
    latest: 'greatest(said.last, visited.visited)',
    spoke: 'coalesce(said.last, visited.visited)',
  }
}

export type Bind = (value: unknown) => string

/** Somebody wrote what the reader may see. */
export const wroteToReader = (bind: Bind, reader: Reader, shownAs: string): string =>
  `EXISTS (
     SELECT 1 FROM accounts a JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
     WHERE a.shown_as = ${shownAs} AND ${accessOf(bind, reader, 'e')}
   )`

/** Visits at the lens's time and places, as far as the reader may know of them. */
function visitsSql(bind: Bind, { lens, context, reader }: PeopleQuestion): string {
  const conditions = [`v.brand_id = ${bind(reader.brandId)}`]
  const window = instantsOf(lens.range, context)
  if (window)
    conditions.push(
      `v.at >= ${bind(new Date(window.from))}::timestamptz AND v.at < ${bind(new Date(window.to))}::timestamptz`,
    )
  if (lens.places.length) conditions.push(`v.place_id = ANY(${bind(lens.places)}::int[])`)
  if (reader.placeIds) conditions.push(`v.place_id = ANY(${bind(reader.placeIds)}::int[])`)
  // Whoever sees only some profiles sees visits of those alone who wrote there.
  if (reader.profileIds && lens.visited === 'yes') conditions.push(wroteToReader(bind, reader, 'v.shown_as'))
  return `FROM visits v WHERE ${conditions.join(' AND ')}`
}

/** When somebody visited the latest of it. @param whose selects their id */
const visitOf = (bind: Bind, question: PeopleQuestion, whose: string): string =>
  `(SELECT max(v.at) ${visitsSql(bind, question)} AND v.shown_as = ${whose})`

/** That somebody visited or did not, as it is asked for; looked up for each by itself. */
const visitedSql = (bind: Bind, question: PeopleQuestion, whose: string): string =>
  question.lens.visited === 'any'
    ? 'true'
    : `(SELECT ${question.lens.visited === 'no' ? 'NOT ' : ''}EXISTS (SELECT ${visitsSql(bind, question)} AND v.shown_as = ${whose}))`

/** Those visits, of some or of all; one row a person for those who are asked for. */
function visitorsSql(bind: Bind, question: PeopleQuestion, chosen: string | null): string {
  const visits = `${visitsSql(bind, question)} ${chosen ? `AND v.shown_as = ANY(ARRAY(${chosen}))` : ''}`
  // Whom is not asked for need not be told apart.
  if (question.lens.visited === 'no') return `SELECT v.shown_as AS id ${visits}`
  return `SELECT v.shown_as AS id, max(v.at) AS visited ${visits} GROUP BY 1`
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
  { limit, after }: PagePart,
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

/** People by what is asked of them, but not of what they said; null: nothing is. */
function chosenSql({ lens, context, reader }: PeopleQuestion, bind: Bind): string | null {
  const query = { bind, context, at: 'e.at', window: instantsOf(lens.range, context) }
  const asked = askingParts(lens).flatMap(({ part, value }) => {
    const condition = part.of === 'person' ? part.sql(value, query) : null
    return condition ? [condition] : []
  })
  return asked.length
    ? `SELECT p.shown_as FROM people p WHERE p.brand_id = ${bind(reader.brandId)} AND ${asked.join(' AND ')}`
    : null
}

/** A row of the page, with its name and its key. */
const pageRow = (order: readonly string[], more: string) =>
  `SELECT id, (SELECT ${called('p')} FROM people p WHERE p.id = page.id) COLLATE "C" AS name, said, last, latest,
     jsonb_build_array(${order.join(', ')}) AS key${more} FROM page`

/** What a page of an order goes by, how it is sorted, and where it begins. */
function ordered(order: Lens['peopleOrder'], after: PeopleKey | null, bind: Bind) {
  const by = [...orders[order], ['id', 'id'] as const]
  const keys = by.map(([key]) => key)
  const typed = keys.map(
    (key) => [key, key === 'id' ? 'bigint' : key === 'name' ? 'text' : 'numeric'] as const,
  )
  return {
    keys,
    sorted: by.map(([, sorted]) => sorted).join(', '),
    beyond: after ? `WHERE ${beyondKey(typed, after, bind)}` : '',
  }
}

/** A page of any lens: whoever it is about is counted. */
function countedPage(
  db: Database,
  question: PeopleQuestion,
  { limit, after }: PagePart,
): Promise<PeopleRow[]> {
  const { lens, context, reader } = question
  const kept = keptOf(question)
  // Every parameter that is bound must be asked for.
  const { from, where } = kept ? { from: '', where: new Where() } : lensWhere(lens, context, reader)
  const bind = (value: unknown) => where.bind(value)
  // Few are called so: what they said is found by their accounts.
  const chosen = chosenSql(question, bind)
  if (chosen)
    where.add(
      `e.account_id = ANY(ARRAY(SELECT a.id FROM people p JOIN accounts a ON a.person_id = p.id WHERE p.shown_as IN (${chosen})))`,
    )
  const said = where.toString()
  const visited = lens.visited === 'any' ? '' : `visited AS (${visitorsSql(bind, question, chosen)}),`
  // Names are looked up for a page, unless the page goes by them.
  const named = lens.peopleOrder === 'name'
  const { from: whom, where: which, latest, spoke } = presence(lens)
  const { keys, sorted, beyond } = ordered(lens.peopleOrder, after, bind)
  return db.replica.rows<PeopleRow>(
    `WITH said AS (${kept ? keptSql(bind, kept, { chosen, felt: lens.peopleOrder === 'unhappiest' }) : countedSql(from, said)}), ${visited} them AS (
       SELECT id, ${named ? `${called('p')} COLLATE "C" AS name,` : ''} coalesce(said.said, 0) AS said, said.last,
         ${latest} AS latest, ${spoke} AS spoke, coalesce(said.unhappy, 0) AS unhappy
       FROM ${whom} ${named ? 'JOIN people p USING (id)' : ''}
       WHERE ${which}
     ), page AS (
       SELECT * FROM (SELECT *, count(*) OVER ()::int AS total FROM them) counted ${beyond} ORDER BY ${sorted} LIMIT ${bind(limit)}
     )
     ${pageRow(keys, ', total')} ORDER BY ${sorted}`,
    where.values,
  )
}

/** Those who come first in an order, as long as there are enough of them: the others are not put together, nor sorted. */
function foremostPage(
  db: Database,
  question: PeopleQuestion,
  kept: Kept,
  { limit, after }: PagePart,
): Promise<Omit<PeopleRow, 'total'>[]> {
  const { lens } = question
  const where = new Where()
  const bind = (value: unknown) => where.bind(value)
  const { keys, sorted, beyond } = ordered(lens.peopleOrder, after, bind)
  const latest = lens.visited === 'yes' ? `greatest(last, ${visitOf(bind, question, 'them.id')})` : 'last'
  return db.replica.rows(
    `WITH said AS (${foremostSql(bind, kept, lens.peopleOrder)}), page AS (
       SELECT *, ${latest} AS latest
       FROM (SELECT * FROM (SELECT *, last AS spoke FROM said) said ${beyond} ORDER BY ${sorted} OFFSET 0) them
       -- Visits are looked for one by one, in the order of the list, until the page is full.
       WHERE ${visitedSql(bind, question, 'them.id')}
       LIMIT ${bind(limit)}
     )
     ${pageRow(keys, '')} ORDER BY ${sorted}`,
    where.values,
  )
}

/** Those who said something latest, or by name, found in that order; what they said is put together for the page alone. */
function walkedPage(
  db: Database,
  question: PeopleQuestion,
  kept: Kept,
  { limit, after }: PagePart,
): Promise<Omit<PeopleRow, 'total'>[]> {
  const { lens, reader } = question
  const where = new Where()
  const bind = (value: unknown) => where.bind(value)
  const { keys, sorted, beyond } = ordered(lens.peopleOrder, after, bind)
  const named = lens.peopleOrder === 'name'
  const spoke = () => (lens.visited === 'yes' ? 'true' : `(SELECT EXISTS (${saidBySql(bind, kept, 'p.id')}))`)
  const them = named
    ? `SELECT p.id, ${called('p')} COLLATE "C" AS name FROM people p
       WHERE p.brand_id = ${bind(reader.brandId)} AND ${spoke()} AND ${visitedSql(bind, question, 'p.id')}`
    : latestSql(bind, kept)
  const inOrder = `SELECT * FROM (${them}) them ${beyond} ORDER BY ${sorted}`
  // Whoever said something latest is known in order before visits are looked for.
  const walked =
    named || lens.visited === 'any'
      ? inOrder
      : `SELECT * FROM (${inOrder} OFFSET 0) them WHERE ${visitedSql(bind, question, 'them.id')}`
  const visit = lens.visited === 'yes' ? visitOf(bind, question, 'page.id') : 'NULL'
  return db.replica.rows(
    `WITH page AS (
       ${walked} LIMIT ${bind(limit)}
     ), filled AS (
       SELECT page.id, ${named ? 'page.name' : `(SELECT ${called('p')} FROM people p WHERE p.id = page.id) COLLATE "C" AS name`},
         coalesce(said.said, 0) AS said, said.last, greatest(said.last, ${visit}) AS latest
       FROM page LEFT JOIN LATERAL (${saidBySql(bind, kept, 'page.id')}) said ON true
     )
     SELECT *, jsonb_build_array(${keys.join(', ')}) AS key FROM filled ORDER BY ${sorted}`,
    where.values,
  )
}

/** How many there are where nothing but when, where and visits is asked for. */
async function keptTotal(db: Database, question: PeopleQuestion, kept: Kept): Promise<number> {
  const { visited } = question.lens
  const where = new Where()
  const bind = (value: unknown) => where.bind(value)
  const visits = visited === 'any' ? '' : visitsSql(bind, question)
  const counted =
    visited === 'yes'
      ? `SELECT count(DISTINCT v.shown_as)::int AS n ${visits}`
      : `SELECT count(*)::int AS n FROM (${onceSql(bind, kept)}) said ${visited === 'no' ? `WHERE NOT EXISTS (SELECT 1 ${visits} AND v.shown_as = said.id)` : ''}`
  return (await db.replica.one<{ n: number }>(counted, where.values))!.n
}

/** Those who said something under the lens, and how much; with visits asked for, those who visited. */
export async function peoplePage(
  db: Database,
  question: PeopleQuestion,
  part: PagePart,
): Promise<PeopleRow[]> {
  const { lens, reader } = question
  const kept = keptOf(question)
  const chosen = chosenSql(question, () => '') !== null
  if (kept && !chosen && kept.ever) return everybodyPage(db, lens, reader.brandId, part)
  if (!kept || chosen) return countedPage(db, question, part)
  const order = lens.peopleOrder
  if (order === 'name') {
    const total = await keptTotal(db, question, kept)
    if (total < (part.manyNames ?? 5000)) return countedPage(db, question, part)
    return (await walkedPage(db, question, kept, part)).map((row) => ({ ...row, total }))
  }
  const latest = order === 'latest' && lens.visited !== 'yes'
  if (isOnePlace(kept) && (latest || comesForemost(order))) {
    const [rows, total] = await Promise.all([
      (latest ? walkedPage : foremostPage)(db, question, kept, part),
      keptTotal(db, question, kept),
    ])
    if (latest || rows.length === part.limit) return rows.map((row) => ({ ...row, total }))
  }
  return countedPage(db, question, part)
}
