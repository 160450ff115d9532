import type { MoodCounts } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Database } from '../database.ts'
import { Where } from './where.ts'

export interface WatchPeriod extends MoodCounts {
  watch: number
  /** Index of the period, from 0. */
  period: number
}

const dayMs = 86_400_000
const moods = ['positive', 'neutral', 'negative', 'unread']
  .map((mood) => `coalesce(sum(r.n) FILTER (WHERE r.sentiment = '${mood}'), 0) AS ${mood}`)
  .join(', ')

/** Mentions of every watch of a brand by period and sentiment. */
export async function watchPeriods(
  db: Database,
  { reader, starts, end }: { reader: Reader; starts: readonly number[]; end: number },
): Promise<WatchPeriod[]> {
  const where = new Where()
  const edges = `${where.bind(starts.map((at) => new Date(at)))}::timestamptz[]`
  const watches = `SELECT id FROM watches WHERE brand_id = ${where.bind(reader.brandId)} AND deleted_at IS NULL`
  const within = reader.profileIds || reader.placeIds ? hours : days
  return db.rows<WatchPeriod>(
    `SELECT r.watch_id AS watch, width_bucket(r.at, ${edges}) - 1 AS period, ${moods}
     FROM (${within(where, { reader, starts, end, watches })}) r GROUP BY 1, 2`,
    where.values,
  )
}

interface Within {
  reader: Reader
  starts: readonly number[]
  end: number
  watches: string
}

/** For readers of some profiles or places: hour by hour. */
function hours(where: Where, { reader, starts, end, watches }: Within): string {
  const only = [
    ...(reader.profileIds ? [`AND h.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`] : []),
    ...(reader.placeIds ? [`AND p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`] : []),
  ].join(' ')
  return `SELECT h.watch_id, h.hour AS at, h.sentiment, h.n FROM mention_rollups h JOIN profiles p ON p.id = h.profile_id
    WHERE h.watch_id IN (${watches}) AND h.hour >= ${where.bind(new Date(starts[0]!))} AND h.hour < ${where.bind(new Date(end))} ${only}`
}

/** Day by day, and hour by hour only on the days (UTC) that an edge of a period divides. */
function days(where: Where, { starts, end, watches }: Within): string {
  const divided = [...starts, end]
    .filter((at) => at % dayMs !== 0)
    .map((at) => Math.floor(at / dayMs) * dayMs)
  const split = `${where.bind([...new Set(divided)].map((at) => new Date(at).toISOString().slice(0, 10)))}::date[]`
  const [from, to] = [where.bind(new Date(starts[0]!)), where.bind(new Date(end))]
  return `SELECT d.watch_id, d.day::timestamp AT TIME ZONE 'UTC' AS at, d.sentiment, d.n FROM mention_days d
    WHERE d.watch_id IN (${watches}) AND d.day >= (${from}::timestamptz AT TIME ZONE 'UTC')::date AND d.day <= (${to}::timestamptz AT TIME ZONE 'UTC')::date
      AND d.day::timestamp AT TIME ZONE 'UTC' >= ${from}::timestamptz AND d.day::timestamp AT TIME ZONE 'UTC' < ${to}::timestamptz AND NOT d.day = ANY(${split})
    UNION ALL
    SELECT h.watch_id, h.hour, h.sentiment, h.n FROM unnest(${split}) AS s (day)
    JOIN mention_rollups h ON h.hour >= s.day::timestamp AT TIME ZONE 'UTC' AND h.hour < (s.day + 1)::timestamp AT TIME ZONE 'UTC'
    WHERE h.watch_id IN (${watches}) AND h.hour >= ${from}::timestamptz AND h.hour < ${to}::timestamptz`
}
