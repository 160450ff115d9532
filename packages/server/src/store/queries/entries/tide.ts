import { askingParts, type Lens, type LensContext } from '@murrabel/core/lens'
import type { BucketUnit } from '@murrabel/core/measures'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere, timeColumn } from './lensWhere.ts'
import { Where } from '../shared/where.ts'

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

/** Zones whose hours all begin with an hour of UTC can be answered from hourly roll-ups. */
const wholeHours = (zone: string, at: number) => {
  const minutes = new Intl.DateTimeFormat('en', { timeZone: zone, minute: '2-digit' }).format(at)
  return Number(minutes) === new Date(at).getUTCMinutes()
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
  if (lens.unit !== 'entries' || !wholeHours(context.zone, from)) return null
  const of = lens.watch === null ? 'entries' : 'mentions'
  const where = new Where()
  addRollupAccess(where, reader, of)
  const query = { bind: (value: unknown) => where.bind(value), context, at: 'r.hour', of } as const
  for (const { part, value } of askingParts({ ...lens, range: null })) {
    const condition = part.rollup?.(value, query)
    if (!condition) return null
    where.add(condition)
  }
  where.add(`r.hour >= ${where.bind(new Date(from))} AND r.hour < ${where.bind(new Date(to))}`)
  return db.rows<DatedRow>(
    `SELECT date_trunc(${where.bind(unit)}, r.hour, ${where.bind(context.zone)}) AS at, r.sentiment, sum(r.n) AS n
     FROM ${of === 'entries' ? 'rollups' : 'mention_rollups'} r JOIN profiles p ON p.id = r.profile_id
     WHERE ${where.toString()} GROUP BY 1, 2 HAVING sum(r.n) > 0 ORDER BY 1`,
    where.values,
  )
}

function addRollupAccess(where: Where, reader: Reader, of: 'entries' | 'mentions'): void {
  where.add(`p.brand_id = ${where.bind(reader.brandId)}`)
  if (of === 'entries') where.add(`r.brand_id = ${where.bind(reader.brandId)}`)
  if (reader.profileIds) where.add(`r.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`)
  if (reader.placeIds) where.add(`p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`)
}

function countEntries(
  db: Database,
  { lens, context, reader, from, to, unit }: TideQuestion,
): Promise<DatedRow[]> {
  const { from: tables, where } = lensWhere({ ...lens, range: null }, context, reader)
  const at = timeColumn(lens)
  where.add(`${at} >= ${where.bind(new Date(from))} AND ${at} < ${where.bind(new Date(to))}`)
  return db.rows<DatedRow>(
    `SELECT date_trunc(${where.bind(unit)}, ${at}, ${where.bind(context.zone)}) AS at, e.sentiment, count(*) AS n
     FROM ${tables} WHERE ${where.toString()} GROUP BY 1, 2 ORDER BY 1`,
    where.values,
  )
}
