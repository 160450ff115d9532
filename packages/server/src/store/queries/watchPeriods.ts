import type { MoodCounts } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Database } from '../database.ts'
import { Where } from './where.ts'

export interface WatchPeriod extends MoodCounts {
  watch: number
  /** Index of the period, from 0. */
  period: number
}

/** Mentions of every watch of a brand by period and sentiment, from the hourly roll-ups. */
export async function watchPeriods(
  db: Database,
  { reader, starts, end }: { reader: Reader; starts: readonly number[]; end: number },
): Promise<WatchPeriod[]> {
  const where = new Where()
  where.add(`p.brand_id = ${where.bind(reader.brandId)}`)
  if (reader.profileIds) where.add(`r.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`)
  if (reader.placeIds) where.add(`p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`)
  const edges = where.bind(starts.map((at) => new Date(at)))
  where.add(`r.hour >= (${edges}::timestamptz[])[1] AND r.hour < ${where.bind(new Date(end))}`)
  where.add(
    `r.watch_id IN (SELECT id FROM watches WHERE brand_id = ${where.bind(reader.brandId)} AND deleted_at IS NULL)`,
  )
  const sum = (mood: string) => `coalesce(sum(r.n) FILTER (WHERE r.sentiment = '${mood}'), 0) AS ${mood}`
  return db.rows<WatchPeriod>(
    `SELECT r.watch_id AS watch, width_bucket(r.hour, ${edges}::timestamptz[]) - 1 AS period,
       ${['positive', 'neutral', 'negative', 'unread'].map(sum).join(', ')}
     FROM mention_rollups r JOIN profiles p ON p.id = r.profile_id WHERE ${where.toString()} GROUP BY 1, 2`,
    where.values,
  )
}
