import type { Lens, LensContext } from '@murrabel/core/lens'
import type { BucketUnit } from '@murrabel/core/measures'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere, timeColumn } from './lensWhere.ts'
import { rollupWhere } from './rollupWhere.ts'

export interface TideRow {
  /** Start of the local period, epoch milliseconds. */
  at: number
  sentiment: 'positive' | 'neutral' | 'negative' | 'unread'
  n: number
}

interface TideQuestion {
  lens: Lens
  context: LensContext
  reader: Reader
  from: number
  to: number
  unit: BucketUnit
}

/** Entries of a lens by local period and sentiment, between two instants. The lens's own time range is left aside. */
export async function tide(db: Database, question: TideQuestion): Promise<TideRow[]> {
  const rows = (await countRollups(db, question)) ?? (await countEntries(db, question))
  return rows.map((row) => ({ ...row, at: row.at.getTime() }))
}

type DatedRow = Omit<TideRow, 'at'> & { at: Date }

/** Null when the roll-ups do not tell apart what the lens asks for, or its hours. */
async function countRollups(
  db: Database,
  { lens, context, reader, from, to, unit }: TideQuestion,
): Promise<DatedRow[] | null> {
  const rollups = rollupWhere(lens, context, reader, { from, to })
  if (!rollups) return null
  const { table, where } = rollups
  return db.replica.rows<DatedRow>(
    `SELECT date_trunc(${where.bind(unit)}, r.hour, ${where.bind(context.zone)}) AS at, r.sentiment, sum(r.n) AS n
     FROM ${table} r JOIN profiles p ON p.id = r.profile_id
     WHERE ${where.toString()} GROUP BY 1, 2 HAVING sum(r.n) > 0 ORDER BY 1`,
    where.values,
  )
}

function countEntries(
  db: Database,
  { lens, context, reader, from, to, unit }: TideQuestion,
): Promise<DatedRow[]> {
  const { from: tables, where } = lensWhere({ ...lens, range: null }, context, reader)
  const at = timeColumn(lens)
  where.add(`${at} >= ${where.bind(new Date(from))} AND ${at} < ${where.bind(new Date(to))}`)
  return db.replica.rows<DatedRow>(
    `SELECT date_trunc(${where.bind(unit)}, ${at}, ${where.bind(context.zone)}) AS at, e.sentiment, count(*) AS n
     FROM ${tables} WHERE ${where.toString()} GROUP BY 1, 2 ORDER BY 1`,
    where.values,
  )
}
