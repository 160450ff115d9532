import type { EntryKind } from '@murrabel/core/lens'
import type { Database, Tx } from '../../database.ts'

export interface Stored {
  id: number
  threadId: number
  title: string | null
  text: string
  rating: number | null
  language: string | null
  sentiment: string
  corrected: boolean
  kind: EntryKind
  wish: string | null
  /** Its thread is finished: when an answer was due matters to nobody until it is opened again. */
  finished: boolean
}

/** Where a pass over the history begins: the version it reads with, and how much there is. */
export const rereadingStart = (
  db: Database,
  brandId: number,
): Promise<{ version: number; total: number; top: number } | undefined> =>
  db.one<{ version: number; total: number; top: number }>(
    `SELECT version, history_total AS total,
       (SELECT coalesce(max(id), 0) FROM entries WHERE brand_id = $1) AS top
     FROM teaching
     WHERE brand_id = $1 AND history_done < history_total`,
    [brandId],
  )

/** Nothing when another version has come meanwhile; otherwise nobody changes it until the transaction ends. */
export const holdVersion = (
  db: Database,
  { brandId, version }: { brandId: number; version: number },
  tx?: Tx,
): Promise<object[]> =>
  db.rows<object>(
    `SELECT 1
     FROM teaching
     WHERE brand_id = $1 AND version = $2
     FOR NO KEY UPDATE`,
    [brandId, version],
    tx,
  )

export const entriesBelow = (
  db: Database,
  { brandId, below, limit }: { brandId: number; below: number; limit: number },
  tx?: Tx,
): Promise<Stored[]> =>
  db.rows<Stored>(
    `SELECT e.id, e.thread_id AS "threadId", e.title, e.text, e.rating, e.language, e.sentiment,
       e.corrected_by IS NOT NULL AS corrected, e.kind, e.wish, t.state = 'done' AS finished
     FROM entries e
     JOIN threads t ON t.id = e.thread_id
     WHERE e.brand_id = $1 AND e.direction = 'in' AND e.analysed_at IS NOT NULL AND NOT e.erased AND e.id < $2
     ORDER BY e.id DESC
     LIMIT $3`,
    [brandId, below, limit],
    tx,
  )

export const setHistoryDone = async (
  db: Database,
  { brandId, done }: { brandId: number; done: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE teaching
     SET history_done = $2
     WHERE brand_id = $1`,
    [brandId, done],
    tx,
  )
}

export interface Reread {
  id: number
  sentiment: string
  score: number
  confidence: number
  /** JSON text. */
  spans: string
  wish: string | null
  wishConfidence: number | null
  wantsAnswer: number | null
  starsDiffer: boolean
}

/** Writes what entries say now. A row that says what it said is not written: most of them. */
export const setRereadings = async (db: Database, read: readonly Reread[], tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET sentiment = CASE WHEN e.corrected_by IS NULL THEN n.sentiment ELSE e.sentiment END,
       score = n.score, confidence = n.confidence, spans = n.spans,
       wish = n.wish, wish_confidence = n.wish_confidence, wants_answer = n.wants_answer, stars_differ = n.stars_differ
     FROM unnest($1::bigint[], $2::text[], $3::real[], $4::real[], $5::jsonb[], $6::text[], $7::real[], $8::real[], $9::bool[])
       AS n (id, sentiment, score, confidence, spans, wish, wish_confidence, wants_answer, stars_differ)
     WHERE e.id = n.id
       AND (
         e.spans <> n.spans
         OR e.confidence <> n.confidence
         OR (e.wish, e.wish_confidence, e.wants_answer, e.stars_differ)
           IS DISTINCT FROM (n.wish, n.wish_confidence, n.wants_answer, n.stars_differ)
         OR (e.corrected_by IS NULL AND e.sentiment <> n.sentiment)
       )`,
    [
      read.map((r) => r.id),
      read.map((r) => r.sentiment),
      read.map((r) => r.score),
      read.map((r) => r.confidence),
      read.map((r) => r.spans),
      read.map((r) => r.wish),
      read.map((r) => r.wishConfidence),
      read.map((r) => r.wantsAnswer),
      read.map((r) => r.starsDiffer),
    ],
    tx,
  )
}
