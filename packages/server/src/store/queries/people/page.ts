import type { Lens } from '@murrabel/core/lens'
import type { Database } from '../../database.ts'
import { Where } from '../shared/where.ts'
import { called } from './called.ts'
import { countPeople } from './count.ts'
import { comesForemost, foremostSql, isOnePlace, keptOf, latestSql, saidBySql, type Kept } from './kept.ts'
import {
  countedParts,
  everybody,
  isOfChosen,
  visitedSql,
  visitOf,
  type Bind,
  type PeopleQuestion,
} from './question.ts'

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
}

interface PagePart {
  limit: number
  after: PeopleKey | null
  /** From so many people on, names are gone through in their order until a page is full, instead of being sorted. */
  manyNames?: number
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
       jsonb_build_array(${order.join(', ')}) AS key
     FROM person_totals t JOIN people p ON p.id = t.person_id
     WHERE ${where.toString()}
     ORDER BY ${order.join(', ')} LIMIT ${where.bind(limit)}`,
    where.values,
  )
}

/** That a row comes after a key. @param order what it goes by, the id last, each with its type */
const beyondKey = (order: readonly (readonly [by: string, type: string])[], after: PeopleKey, bind: Bind) =>
  `(${order.map(([by]) => by).join(', ')}) > (${order.map(([, type], i) => `${bind(after[i])}::${type}`).join(', ')})`

/** A row of the page, with its name and its key. */
const pageRow = (order: readonly string[]) =>
  `SELECT id, (SELECT ${called('p')} FROM people p WHERE p.id = page.id) COLLATE "C" AS name, said, last, latest,
     jsonb_build_array(${order.join(', ')}) AS key FROM page`

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
  const { lens } = question
  const { tables, from, where, latest, spoke, bind, values } = countedParts(question, keptOf(question), {
    felt: lens.peopleOrder === 'unhappiest',
  })
  // Names are looked up for a page, unless the page goes by them.
  const named = lens.peopleOrder === 'name'
  const { keys, sorted, beyond } = ordered(lens.peopleOrder, after, bind)
  return db.replica.rows<PeopleRow>(
    `${tables}, them AS (
       SELECT id, ${named ? `${called('p')} COLLATE "C" AS name,` : ''} coalesce(said.said, 0) AS said, said.last,
         ${latest} AS latest, ${spoke} AS spoke, coalesce(said.unhappy, 0) AS unhappy
       FROM ${from} ${named ? 'JOIN people p USING (id)' : ''}
       WHERE ${where}
     ), page AS (
       SELECT * FROM them ${beyond} ORDER BY ${sorted} LIMIT ${bind(limit)}
     )
     ${pageRow(keys)} ORDER BY ${sorted}`,
    values,
  )
}

/** Those who come first in an order, as long as there are enough of them: the others are not put together, nor sorted. */
function foremostPage(
  db: Database,
  question: PeopleQuestion,
  kept: Kept,
  { limit, after }: PagePart,
): Promise<PeopleRow[]> {
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
     ${pageRow(keys)} ORDER BY ${sorted}`,
    where.values,
  )
}

/** Those who said something latest, or by name, found in that order; what they said is put together for the page alone. */
function walkedPage(
  db: Database,
  question: PeopleQuestion,
  kept: Kept,
  { limit, after }: PagePart,
): Promise<PeopleRow[]> {
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

/** Those who said something under the lens, and how much; with visits asked for, those who visited. */
export async function peoplePage(
  db: Database,
  question: PeopleQuestion,
  part: PagePart,
): Promise<PeopleRow[]> {
  const { lens, reader } = question
  const kept = keptOf(question)
  const chosen = isOfChosen(question)
  if (kept && !chosen && kept.ever) return everybodyPage(db, lens, reader.brandId, part)
  if (!kept || chosen) return countedPage(db, question, part)
  const order = lens.peopleOrder
  if (order === 'name') {
    const many = part.manyNames ?? 5000
    const isMany = (await countPeople(db, question, { atMost: many })) === many
    return isMany ? walkedPage(db, question, kept, part) : countedPage(db, question, part)
  }
  const latest = order === 'latest' && lens.visited !== 'yes'
  if (!isOnePlace(kept)) return countedPage(db, question, part)
  if (latest) return walkedPage(db, question, kept, part)
  const rows = comesForemost(order) ? await foremostPage(db, question, kept, part) : []
  return rows.length === part.limit ? rows : countedPage(db, question, part)
}
