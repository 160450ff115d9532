import { isBlankBut, type Lens, type LensContext } from '@murrabel/core/lens'
import type { BucketUnit } from '@murrabel/core/measures'
import type { Reader } from '../../access/reader.ts'
import type { Database } from '../database.ts'
import { lensWhere } from './lensWhere.ts'
import { Where } from './where.ts'

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

/** Parts of a lens that roll-ups tell apart; those of mentions know no kinds, those of entries no watches. */
const rolledParts = ['channels', 'places', 'sentiments', 'range', 'order'] as const
const fromRollups = (lens: Lens, zone: string, from: number): boolean =>
  isBlankBut(lens, [...rolledParts, lens.watch === null ? 'kinds' : 'watch']) && wholeHours(zone, from)

/** Entries of a lens by local period and sentiment, between two instants. The lens's own time range is left aside. */
export async function tide(db: Database, question: TideQuestion): Promise<TideRow[]> {
  const rows = fromRollups(question.lens, question.context.zone, question.from)
    ? await countRollups(db, question)
    : await countEntries(db, question)
  return rows.map((row) => ({ ...row, at: row.at.getTime() }))
}

type DatedRow = Omit<TideRow, 'at'> & { at: Date }

function countRollups(
  db: Database,
  { lens, context, reader, from, to, unit }: TideQuestion,
): Promise<DatedRow[]> {
  const where = new Where()
  where.add(`p.brand_id = ${where.bind(reader.brandId)}`)
  if (lens.watch === null) where.add(`r.brand_id = ${where.bind(reader.brandId)}`)
  if (reader.profileIds) where.add(`r.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`)
  const places = [reader.placeIds, lens.places.length ? lens.places : null].filter((list) => list !== null)
  for (const list of places) where.add(`p.place_id = ANY(${where.bind(list)}::int[])`)
  if (lens.channels.length) where.add(`p.channel = ANY(${where.bind(lens.channels)}::text[])`)
  if (lens.watch !== null) where.add(`r.watch_id = ${where.bind(lens.watch)}`)
  if (lens.kinds.length) where.add(`r.kind = ANY(${where.bind(lens.kinds)}::text[])`)
  if (lens.sentiments.length) where.add(`r.sentiment = ANY(${where.bind(lens.sentiments)}::text[])`)
  where.add(`r.hour >= ${where.bind(new Date(from))} AND r.hour < ${where.bind(new Date(to))}`)
  return db.rows<DatedRow>(
    `SELECT date_trunc(${where.bind(unit)}, r.hour, ${where.bind(context.zone)}) AS at, r.sentiment, sum(r.n) AS n
     FROM ${lens.watch === null ? 'rollups' : 'mention_rollups'} r JOIN profiles p ON p.id = r.profile_id WHERE ${where.toString()} GROUP BY 1, 2 HAVING sum(r.n) > 0 ORDER BY 1`,
    where.values,
  )
}

function countEntries(
  db: Database,
  { lens, context, reader, from, to, unit }: TideQuestion,
): Promise<DatedRow[]> {
  const { from: tables, where } = lensWhere({ ...lens, range: null }, context, reader)
  const at = lens.watch === null ? 'e.at' : 'm.at'
  where.add(`${at} >= ${where.bind(new Date(from))} AND ${at} < ${where.bind(new Date(to))}`)
  return db.rows<DatedRow>(
    `SELECT date_trunc(${where.bind(unit)}, ${at}, ${where.bind(context.zone)}) AS at, e.sentiment, count(*) AS n
     FROM ${tables} WHERE ${where.toString()} GROUP BY 1, 2 ORDER BY 1`,
    where.values,
  )
}
