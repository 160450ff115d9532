import { DateTime } from 'luxon'
import type { SentimentCounts } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { Where } from '../shared/where.ts'

export interface WatchPeriod extends SentimentCounts {
  watch: number
  /** Index of the period, from 0. */
  period: number
}

export interface WatchPeriodsQuestion {
  reader: Reader
  /** Starts of the periods, rising, epoch milliseconds; each ends where the next begins. */
  starts: readonly number[]
  /** End of the last one, not included. */
  end: number
  /** Of the brand: its days are what is rolled up. */
  zone: string
  /** Only these watches; without it all of the brand. */
  watches?: readonly number[]
}

const sentiments = ['positive', 'neutral', 'negative', 'unread'] as const
const summed = sentiments.map((sentiment) => `sum(r.${sentiment})::int AS ${sentiment}`).join(', ')
const bySentiment = sentiments
  .map((sentiment) => `CASE WHEN h.sentiment = '${sentiment}' THEN h.n ELSE 0 END AS ${sentiment}`)
  .join(', ')

/** Mentions of watches by period and sentiment; periods without any are left out. */
export async function watchPeriods(db: Database, question: WatchPeriodsQuestion): Promise<WatchPeriod[]> {
  const { reader, watches } = question
  const where = new Where()
  const only = watches ? ` AND id = ANY(${where.bind(watches)}::int[])` : ''
  const asked = `SELECT id FROM watches WHERE brand_id = ${where.bind(reader.brandId)} AND deleted_at IS NULL${only}`
  const rows = reader.profileIds || reader.placeIds ? hours(where, question) : days(where, question)
  return db.replica.rows<WatchPeriod>(
    `WITH asked AS MATERIALIZED (${asked})
     SELECT r.watch_id AS watch, r.period, ${summed} FROM (${rows}) r GROUP BY 1, 2`,
    where.values,
  )
}

const instants = (where: Where, list: readonly number[]) =>
  `${where.bind(list.map((at) => new Date(at)))}::timestamptz[]`
const beginsHour = (at: number, zone: string) =>
  DateTime.fromMillis(at, { zone }).startOf('hour').toMillis() === at
/** Where parts of days are counted: the roll-ups, unless an edge divides an hour of theirs. */
const parts = (edges: readonly number[], zone: string) =>
  edges.every((at) => beginsHour(at, zone))
    ? '(SELECT watch_id, hour AS at, profile_id, sentiment, n FROM mention_rollups)'
    : '(SELECT watch_id, at, profile_id, sentiment, 1 AS n FROM mentions)'

/** For readers of some profiles or places. */
function hours(where: Where, { reader, starts, end, zone }: WatchPeriodsQuestion): string {
  const only = [
    ...(reader.profileIds ? [`AND h.profile_id = ANY(${where.bind(reader.profileIds)}::int[])`] : []),
    ...(reader.placeIds ? [`AND p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`] : []),
  ].join(' ')
  return `SELECT h.watch_id, width_bucket(h.at, ${instants(where, starts)}) - 1 AS period, ${bySentiment}
    FROM ${parts([...starts, end], zone)} h JOIN asked ON asked.id = h.watch_id JOIN profiles p ON p.id = h.profile_id
    WHERE h.at >= ${where.bind(new Date(starts[0]!))} AND h.at < ${where.bind(new Date(end))} ${only}`
}

/** Day by day, and by the hour or the mention only on the days that an edge of a period divides. */
function days(where: Where, { starts, end, zone }: WatchPeriodsQuestion): string {
  const dayOf = (at: number) => DateTime.fromMillis(at, { zone }).startOf('day')
  const dates = (list: readonly DateTime[]) => `${where.bind(list.map((day) => day.toISODate()))}::date[]`
  const divided = [...starts, end].filter((at) => dayOf(at).toMillis() !== at).map(dayOf)
  const begins = divided.map((day) => day.toMillis())
  const ends = divided.map((day) => day.plus({ days: 1 }).toMillis())
  const [first, last] = [dayOf(starts[0]!), dayOf(end)].map((day) => where.bind(day.toISODate()))
  const whole = `SELECT d.watch_id, width_bucket(d.day, ${dates(starts.map(dayOf))}) - 1 AS period, ${sentiments.map((sentiment) => `d.${sentiment}`).join(', ')}
    FROM asked JOIN mention_days d ON d.watch_id = asked.id
    WHERE d.day >= ${first}::date AND d.day < ${last}::date AND d.day <> ALL(${dates(divided)})`
  if (!divided.length) return whole
  return `${whole} UNION ALL
    SELECT asked.id, width_bucket(h.at, ${instants(where, starts)}) - 1, ${bySentiment}
    FROM asked CROSS JOIN (SELECT DISTINCT * FROM unnest(${instants(where, begins)}, ${instants(where, ends)}) AS t (begin, stop)) part
    CROSS JOIN LATERAL (SELECT * FROM ${parts([...starts, end, ...begins, ...ends], zone)} r
      WHERE r.watch_id = asked.id AND r.at >= part.begin AND r.at < part.stop
      AND r.at >= ${where.bind(new Date(starts[0]!))} AND r.at < ${where.bind(new Date(end))} OFFSET 0) h`
}
