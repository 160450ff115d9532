import { Where } from '../shared/where.ts'
import type { Database } from '../../database.ts'
import { keptOf, onceSql, type Kept } from './kept.ts'
import { countedParts, everybody, isOfChosen, visitsSql, type PeopleQuestion } from './question.ts'

/** Where nothing but when, where and visits is asked for: from what is kept of each. */
function keptCount(question: PeopleQuestion, kept: Kept, atMost: number | null) {
  const { visited } = question.lens
  const where = new Where()
  const bind = (value: unknown) => where.bind(value)
  const some = () => (atMost === null ? '' : `LIMIT ${bind(atMost)}`)
  if (kept.ever)
    return {
      sql: `SELECT 1 FROM person_totals WHERE brand_id = ${bind(kept.brandId)} AND ${everybody[visited]} ${some()}`,
      values: where.values,
    }
  const visits = visited === 'any' ? '' : visitsSql(bind, question)
  const them =
    visited === 'yes'
      ? `SELECT DISTINCT v.shown_as ${visits}`
      : `SELECT 1 FROM (${onceSql(bind, kept)}) said ${visited === 'no' ? `WHERE NOT EXISTS (SELECT 1 ${visits} AND v.shown_as = said.id)` : ''}`
  return { sql: `${them} ${some()}`, values: where.values }
}

/**
 * How many people a lens is about.
 *
 * @param atMost where more need not be told apart
 */
export async function countPeople(
  db: Database,
  question: PeopleQuestion,
  { atMost = null }: { atMost?: number | null } = {},
): Promise<number> {
  const kept = keptOf(question)
  const count = async (sql: string, values: unknown[]) =>
    (await db.replica.one<{ n: number }>(`SELECT count(*)::int AS n FROM (${sql}) them`, values))!.n
  if (kept && !isOfChosen(question)) {
    const { sql, values } = keptCount(question, kept, atMost)
    return count(sql, values)
  }
  const { tables, from, where, bind, values } = countedParts(question, kept, { felt: false })
  return count(
    `${tables} SELECT 1 FROM ${from} WHERE ${where} ${atMost === null ? '' : `LIMIT ${bind(atMost)}`}`,
    values,
  )
}
