import type { EntryKind } from '@murrabel/core/lens'
import type { Database, Tx } from '../../database.ts'

export interface Pending {
  direction: 'in' | 'out'
  kind: EntryKind
  title: string | null
  text: string
  rating: number | null
  private: boolean
  id: number
  brandId: number
  profileId: number
  threadId: number
  channel: string
  at: Date
  voice: string | null
}

export const unreadEntries = (
  db: Database,
  { brandId, limit }: { brandId: number; limit: number },
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `SELECT id
     FROM entries
     WHERE brand_id = $1 AND analysed_at IS NULL
     ORDER BY id
     LIMIT $2`,
    [brandId, limit],
  )

/** What is read of entries, without holding them. */
export const entriesToRead = (
  db: Database,
  ids: readonly number[],
): Promise<Pick<Pending, 'id' | 'direction' | 'kind' | 'title' | 'text' | 'rating' | 'private'>[]> =>
  db.rows<Pick<Pending, 'id' | 'direction' | 'kind' | 'title' | 'text' | 'rating' | 'private'>>(
    `SELECT id, direction, kind, title, text, rating, private
     FROM entries
     WHERE id = ANY($1::bigint[])
     ORDER BY id`,
    [ids],
  )

/** Materialised: a plan that asked the picking query more than once would lock more each time. */
export const lockUnread = (db: Database, ids: readonly number[], tx?: Tx): Promise<Pending[]> =>
  db.rows<Pending>(
    `WITH picked AS MATERIALIZED (
       SELECT id
       FROM entries
       WHERE id = ANY($1::bigint[]) AND analysed_at IS NULL
       ORDER BY id
       FOR NO KEY UPDATE SKIP LOCKED
     )
     SELECT e.id, e.brand_id AS "brandId", e.profile_id AS "profileId", e.thread_id AS "threadId",
       e.direction, e.kind, e.channel, e.title, e.text, e.rating, e.at, e.private,
       coalesce(a.handle, a.name) AS voice
     FROM picked
     JOIN entries e ON e.id = picked.id
     LEFT JOIN accounts a ON a.id = e.account_id
     ORDER BY e.id`,
    [ids],
    tx,
  )

export const setUnreadable = (
  db: Database,
  { id, at }: { id: number; at: Date },
  tx?: Tx,
): Promise<{ profileId: number; outsideId: string | null; threadId: number } | undefined> =>
  db.one<{ profileId: number; outsideId: string | null; threadId: number }>(
    `UPDATE entries
     SET analysed_at = $2, language = 'und', search = ''::tsvector
     WHERE id = $1
     RETURNING profile_id AS "profileId", outside_id AS "outsideId", thread_id AS "threadId"`,
    [id, at],
    tx,
  )

export interface EntryReadingRow {
  id: number
  language: string
  sentiment: string
  score: number
  confidence: number
  /** JSON text. */
  spans: string
  /** A tsvector as text. */
  search: string
  print: Buffer | null
  story: number | null
  wish: string | null
  wishConfidence: number | null
  wantsAnswer: number | null
  starsDiffer: boolean
}

/** Writes what was read of entries; a sentiment that a person put right stays. */
export const setReadings = async (
  db: Database,
  { readings, leads, at }: { readings: readonly EntryReadingRow[]; leads: readonly number[]; at: Date },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET language = n.language,
       sentiment = CASE WHEN e.corrected_by IS NULL THEN n.sentiment ELSE e.sentiment END,
       score = n.score, confidence = n.confidence, spans = n.spans, search = n.search::tsvector, print = n.print,
       story_id = coalesce(n.story, CASE WHEN e.story_id = e.id THEN e.id END),
       wish = n.wish, wish_confidence = n.wish_confidence, wants_answer = n.wants_answer, stars_differ = n.stars_differ,
       lead = (e.id = ANY($11::bigint[])), analysed_at = $1
     FROM unnest(
         $2::bigint[], $3::text[], $4::text[], $5::real[], $6::real[], $7::jsonb[], $8::text[], $9::bytea[], $10::bigint[],
         $12::text[], $13::real[], $14::real[], $15::bool[]
       ) AS n (id, language, sentiment, score, confidence, spans, search, print, story, wish, wish_confidence, wants_answer, stars_differ)
     WHERE e.id = n.id`,
    [
      at,
      readings.map((r) => r.id),
      readings.map((r) => r.language),
      readings.map((r) => r.sentiment),
      readings.map((r) => r.score),
      readings.map((r) => r.confidence),
      readings.map((r) => r.spans),
      readings.map((r) => r.search),
      readings.map((r) => r.print),
      readings.map((r) => r.story),
      leads,
      readings.map((r) => r.wish),
      readings.map((r) => r.wishConfidence),
      readings.map((r) => r.wantsAnswer),
      readings.map((r) => r.starsDiffer),
    ],
    tx,
  )
}
