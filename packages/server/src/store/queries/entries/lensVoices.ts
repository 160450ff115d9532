import type { SentimentCounts, Standing, VoiceOrder } from '@murrabel/contract'
import type { Database } from '../../database.ts'
import type { LensQuestion } from './lensSlices.ts'
import { lensWhere } from './lensWhere.ts'

export interface VoiceRow extends SentimentCounts {
  id: number
  name: string
  handle: string | null
  network: string
  channel: string
  reach: number
  first: Date
  last: Date
  activeDays: number
  standing: Standing | null
  note: string
  kept: boolean
  person: number
  voices: number
}

const orders: Record<VoiceOrder, string> = {
  entries: 'n DESC, reach DESC',
  reach: 'reach DESC, n DESC',
  negative: 'negative - positive DESC, n DESC',
  positive: 'positive - negative DESC, n DESC',
  last: 'last DESC',
}

/** Who speaks in a lens, and how: one row an account. `voices` says how many there are in all. */
export function lensVoices(
  db: Database,
  { lens, context, reader }: LensQuestion,
  {
    order,
    limit,
    kept,
    standing,
  }: { order: VoiceOrder; limit: number; kept: boolean; standing: Standing | null },
): Promise<VoiceRow[]> {
  const { from, where } = lensWhere(lens, context, reader)
  const zone = where.bind(context.zone)
  const only = [kept ? 'a.kept' : 'true', standing ? `p.standing = ${where.bind(standing)}` : 'true'].join(
    ' AND ',
  )
  return db.replica.rows<VoiceRow>(
    `SELECT v.*, a.name, a.handle, a.network, p.standing, p.note, a.kept, p.id AS person, count(*) OVER ()::int AS voices FROM (
       SELECT id, count(*) AS n, min(channel) AS channel, sum(reach)::int AS reach, min(at) AS first, max(at) AS last,
         count(DISTINCT (at AT TIME ZONE ${zone}::text)::date)::int AS "activeDays",
         count(*) FILTER (WHERE sentiment = 'positive') AS positive, count(*) FILTER (WHERE sentiment = 'neutral') AS neutral,
         count(*) FILTER (WHERE sentiment = 'negative') AS negative, count(*) FILTER (WHERE sentiment = 'unread') AS unread
       FROM (SELECT e.account_id AS id, e.channel, e.reach, e.at, e.sentiment FROM ${from} WHERE e.account_id IS NOT NULL AND ${where.toString()}) said
       GROUP BY 1) v JOIN accounts a ON a.id = v.id JOIN people p ON p.id = a.shown_as WHERE ${only} ORDER BY ${orders[order]}, v.id LIMIT ${where.bind(limit)}`,
    where.values,
  )
}
