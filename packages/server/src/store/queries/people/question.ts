import { askingParts, asksOfEntries, instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Reader } from '../../../access/reader.ts'
import { lensWhere } from '../entries/lensWhere.ts'
import { accessOf, Where } from '../shared/where.ts'
import { keptSql, type Kept } from './kept.ts'

/** People as they are asked for. */
export interface PeopleQuestion {
  lens: Lens
  context: LensContext
  reader: Reader
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
export function visitsSql(bind: Bind, { lens, context, reader }: PeopleQuestion): string {
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
export const visitOf = (bind: Bind, question: PeopleQuestion, whose: string): string =>
  `(SELECT max(v.at) ${visitsSql(bind, question)} AND v.shown_as = ${whose})`

/** That somebody visited or did not, as it is asked for; looked up for each by itself. */
export const visitedSql = (bind: Bind, question: PeopleQuestion, whose: string): string =>
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

/** Of whom something is kept, those whom a lens on everybody shows. */
export const everybody: Record<Lens['visited'], string> = {
  any: 'said > 0',
  yes: 'visited IS NOT NULL',
  no: 'said > 0 AND visited IS NULL',
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

/** Whether something is asked of who they are. */
export const isOfChosen = (question: PeopleQuestion): boolean => chosenSql(question, () => '') !== null

/**
 * Everybody a lens is about, counted: tables called said (id, said, last, unhappy) and, where it is asked for, visited (id,
 * visited), and how they meet.
 *
 * @param felt whether it is asked how unhappy they were
 */
export function countedParts(question: PeopleQuestion, kept: Kept | null, { felt }: { felt: boolean }) {
  const { lens, context, reader } = question
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
  const visited = lens.visited === 'any' ? '' : `, visited AS (${visitorsSql(bind, question, chosen)})`
  return {
    tables: `WITH said AS (${kept ? keptSql(bind, kept, { chosen, felt }) : countedSql(from, said)})${visited}`,
    ...presence(lens),
    bind,
    values: where.values,
  }
}
