import { isBlankBut, weekHourSql, type Lens, type LensContext } from '@murrabel/core/lens'
import type { SentimentCounts } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere, timeColumn } from './lensWhere.ts'
import { watchPeriods } from '../watches/watchPeriods.ts'

export interface LensQuestion {
  lens: Lens
  context: LensContext
  reader: Reader
}

export interface SliceRow extends SentimentCounts {
  part: 'channel' | 'language' | 'place' | 'hour' | 'all'
  channel: string | null
  language: string | null
  place: number | null
  hour: number | null
}

const bySentiment = `count(*) FILTER (WHERE sentiment = 'positive') AS positive, count(*) FILTER (WHERE sentiment = 'neutral') AS neutral,
  count(*) FILTER (WHERE sentiment = 'negative') AS negative, count(*) FILTER (WHERE sentiment = 'unread') AS unread`

/** A lens's entries by channel, language, place, hour of the local week, and in all: one pass over them. */
export function lensSlices(db: Database, { lens, context, reader }: LensQuestion): Promise<SliceRow[]> {
  const { from, where } = lensWhere(lens, context, reader)
  const hour = weekHourSql({ bind: (value) => where.bind(value), context })
  return db.replica.rows<SliceRow>(
    `SELECT CASE grouping(channel, language, place, hour) WHEN 7 THEN 'channel' WHEN 11 THEN 'language' WHEN 13 THEN 'place' WHEN 14 THEN 'hour' ELSE 'all' END AS part,
       channel, language, place, hour, ${bySentiment}
     FROM (SELECT e.channel, e.language, e.place_id AS place, ${hour} AS hour, e.sentiment FROM ${from} WHERE ${where.toString()}) rows
     GROUP BY GROUPING SETS ((channel), (language), (place), (hour), ())`,
    where.values,
  )
}

export interface PeriodRow extends SentimentCounts {
  period: number
}

/** Starts of periods that touch each other, rising, and the end of the last one: epoch milliseconds. */
export interface Periods {
  starts: readonly number[]
  end: number
}

/** A lens's entries by given periods and sentiment. The lens's own range is left aside. */
export async function lensPeriods(
  db: Database,
  question: LensQuestion,
  periods: Periods,
): Promise<PeriodRow[]> {
  const { lens, context, reader } = question
  // All that a watch has caught is rolled up.
  if (lens.unit === 'entries' && lens.watch !== null && isBlankBut(lens, ['watch', 'range', 'order']))
    return watchPeriods(db, { ...periods, reader, zone: context.zone, watches: [lens.watch] })
  return countPeriods(db, question, periods)
}

function countPeriods(
  db: Database,
  { lens, context, reader }: LensQuestion,
  { starts, end }: Periods,
): Promise<PeriodRow[]> {
  const { from, where } = lensWhere({ ...lens, range: null }, context, reader)
  const edges = where.bind(starts.map((at) => new Date(at)))
  const at = timeColumn(lens)
  where.add(`${at} >= (${edges}::timestamptz[])[1] AND ${at} < ${where.bind(new Date(end))}`)
  return db.replica.rows<PeriodRow>(
    `SELECT width_bucket(at, ${edges}::timestamptz[]) - 1 AS period, ${bySentiment}
     FROM (SELECT ${at} AS at, e.sentiment FROM ${from} WHERE ${where.toString()}) rows GROUP BY 1 ORDER BY 1`,
    where.values,
  )
}

export interface AspectRow extends SentimentCounts {
  id: number
  name: string
}

/** What is said of each aspect named in a lens's entries. */
export function lensAspects(db: Database, { lens, context, reader }: LensQuestion): Promise<AspectRow[]> {
  const { from, where } = lensWhere(lens, context, reader)
  return db.replica.rows<AspectRow>(
    `SELECT a.id, a.name, ${bySentiment} FROM (
       SELECT r.aspect_id, r.sentiment AS sentiment FROM ${from} JOIN aspect_readings r ON r.entry_id = e.id WHERE ${where.toString()}) rows
     JOIN aspects a ON a.id = rows.aspect_id GROUP BY a.id, a.name ORDER BY count(*) DESC, a.name`,
    where.values,
  )
}

/** Rows that folding takes away: copies of a story beyond its first. */
export async function lensCopies(db: Database, { lens, context, reader }: LensQuestion): Promise<number> {
  const { from, where } = lensWhere(lens, context, reader)
  const row = await db.replica.one<{ n: number }>(
    `SELECT count(*) - count(DISTINCT e.story_id) AS n FROM ${from} WHERE e.story_id IS NOT NULL AND ${where.toString()}`,
    where.values,
  )
  return row?.n ?? 0
}
