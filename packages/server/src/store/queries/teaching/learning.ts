import type { AskedElsewhere } from '../shared/askedElsewhere.ts'
import type { Database, Tx } from '../../database.ts'
import type { Model } from '@murrabel/core/learning'

export interface LearningState {
  seen: number
  better: boolean | null
  answersBetter: boolean | null
  aspectsLearnt: object[] | null
  version: number
  model: Model | null
  wanted: boolean
}

export const learningState = (db: Database, brandId: number): Promise<LearningState | undefined> =>
  db.one<LearningState>(
    `SELECT corrections_seen AS seen, (figures->>'better')::boolean AS better,
       (answers_figures->>'better')::boolean AS "answersBetter", aspects_learnt AS "aspectsLearnt", version, model, wanted
     FROM teaching
     WHERE brand_id = $1`,
    [brandId],
  )

export const keepLearning = async (
  db: Database,
  {
    brandId,
    model,
    figures,
    seen,
    at,
  }: { brandId: number; model: object; figures: object; seen: number; at: Date },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE teaching
     SET model = $2, figures = $3, corrections_seen = $4, learnt_at = $5
     WHERE brand_id = $1`,
    [brandId, JSON.stringify(model), JSON.stringify(figures), seen, at],
    tx,
  )
}

/** A number that is another one when any correction is. */
export const stampOfCorrections = (db: Database, brandId: number): Promise<{ stamp: number } | undefined> =>
  db.one<{ stamp: number }>(
    `SELECT hashtext(
       string_agg(c.entry_id || c.sentiment || c.colleague_id, ',' ORDER BY c.entry_id, c.colleague_id)
     )::int AS stamp
     FROM corrections c
     JOIN entries e ON e.id = c.entry_id
     WHERE e.brand_id = $1`,
    [brandId],
  )

/** Milliseconds since the last and the first correction that was not learnt from, by the database's clock, which wrote them. */
export const correctionAges = (
  db: Database,
  brandId: number,
): Promise<{ last: number | null; first: number | null } | undefined> =>
  db.one<{ last: number | null; first: number | null }>(
    `SELECT extract(epoch FROM now() - max(c.at)) * 1000 AS last,
       extract(epoch FROM now() - min(c.at)) * 1000 AS first
     FROM corrections c
     JOIN entries e ON e.id = c.entry_id
     JOIN teaching t ON t.brand_id = e.brand_id
     WHERE e.brand_id = $1 AND c.at > coalesce(t.learnt_at, '-infinity')`,
    [brandId],
  )

/** What people put right, newest first: for the worker that learns from it. */
export const latestCorrections = (brandId: number, limit: number): AskedElsewhere => ({
  sql: `SELECT e.title, e.text, e.language, e.kind, e.rating, e.account_id AS author, c.sentiment, c.at,
      CASE WHEN c.drawn THEN 'drawn' WHEN c.shown THEN 'doubted' ELSE 'putRight' END AS how, c.shown, c.read_confidence AS confidence
    FROM corrections c
    JOIN entries e ON e.id = c.entry_id
    WHERE e.brand_id = $1
    ORDER BY c.at DESC, c.entry_id, c.colleague_id
    LIMIT ${limit}`,
  values: [brandId],
})

/** What a thread t began with, as e. */
const beginning = `JOIN LATERAL (
      SELECT *
      FROM entries e
      WHERE e.thread_id = t.id AND e.direction = 'in' AND e.origin <> 'heard' AND e.analysed_at IS NOT NULL AND e.deleted_at IS NULL
      ORDER BY e.at, e.id
      LIMIT 1
    ) e ON true`

/**
 * Readings that a colleague saw and left as they were, the newest first: what threads began with that we answered or finished,
 * where nobody judged it.
 */
export const leftAsRead = (brandId: number, limit: number): AskedElsewhere => ({
  sql: `SELECT e.id, e.title, e.text, e.language, e.kind, e.rating, e.account_id AS author, coalesce(o.at, f.at) AS at
    FROM threads t
    ${beginning}
    LEFT JOIN LATERAL (
      SELECT x.at
      FROM entries x
      WHERE x.thread_id = t.id AND x.direction = 'out' AND NOT x.withdrawn AND x.at > e.at
      ORDER BY x.at
      LIMIT 1
    ) o ON true
    LEFT JOIN LATERAL (
      SELECT v.at
      FROM events v
      WHERE v.thread_id = t.id AND v.kind = 'finish' AND v.colleague_id IS NOT NULL AND v.undone_at IS NULL
      ORDER BY v.at
      LIMIT 1
    ) f ON true
    WHERE t.brand_id = $1 AND coalesce(o.at, f.at) IS NOT NULL AND e.sentiment <> 'unread'
      AND NOT EXISTS (SELECT FROM corrections c WHERE c.entry_id = e.id)
    ORDER BY t.id DESC
    LIMIT ${limit}`,
  values: [brandId],
})

/** How sure the latest readings are. */
export const latestConfidences = (brandId: number, limit: number): AskedElsewhere => ({
  sql: `SELECT e.confidence
    FROM entries e
    WHERE e.brand_id = $1 AND e.direction = 'in' AND e.sentiment <> 'unread' AND e.analysed_at IS NOT NULL
    ORDER BY e.at DESC, e.id DESC
    LIMIT ${limit}`,
  values: [brandId],
})

/**
 * What became of what was said to us, the newest first: threads that have an answer of ours after it, and threads that a
 * colleague finished without one. Of each thread what it began with.
 */
export const answeredOrNot = (brandId: number, limit: number): AskedElsewhere => ({
  sql: `SELECT t.id AS thread, e.account_id AS author, e.title, e.text, e.language, e.kind, e.rating, e.at, o.id IS NOT NULL AS answered
    FROM threads t
    ${beginning}
    LEFT JOIN LATERAL (
      SELECT x.id
      FROM entries x
      WHERE x.thread_id = t.id AND x.direction = 'out' AND NOT x.withdrawn AND x.at > e.at
      LIMIT 1
    ) o ON true
    WHERE t.brand_id = $1
      AND (
        o.id IS NOT NULL
        OR (
          t.state = 'done'
          AND EXISTS (
            SELECT 1
            FROM events v
            WHERE v.thread_id = t.id AND v.kind = 'finish' AND v.colleague_id IS NOT NULL AND v.undone_at IS NULL
          )
        )
      )
    ORDER BY t.id DESC
    LIMIT ${limit}`,
  values: [brandId],
})

/** A number that is another one when more was answered or finished, aspects changed, or there is clearly more than before. */
export const stampOfAnswers = (db: Database, brandId: number): Promise<{ stamp: number } | undefined> =>
  db.one<{ stamp: number }>(
    `SELECT hashtext(concat_ws(
       '/',
       count(*) FILTER (WHERE state = 'done'),
       count(*) FILTER (WHERE state = 'waiting'),
       floor(ln(count(*) + 1) * 3),
       (SELECT string_agg(a.id || a.terms::text, ',' ORDER BY a.id) FROM aspects a WHERE a.brand_id = $1)
     )) AS stamp
     FROM threads
     WHERE brand_id = $1`,
    [brandId],
  )

export const keepAnswersLearning = async (
  db: Database,
  {
    brandId,
    model,
    figures,
    aspects,
  }: { brandId: number; model: object; figures: object; aspects: readonly object[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE teaching
     SET answers_model = $2, answers_figures = $3, aspects_learnt = $4
     WHERE brand_id = $1`,
    [brandId, JSON.stringify(model), JSON.stringify(figures), JSON.stringify(aspects)],
    tx,
  )
}

/** What was said lately, for the worker that learns how aspects are spoken of. */
export const latestSaid = (brandId: number, limit: number): AskedElsewhere => ({
  sql: `SELECT e.title, left(e.text, 2000) AS text
    FROM entries e
    WHERE e.brand_id = $1 AND e.direction = 'in' AND e.analysed_at IS NOT NULL
    ORDER BY e.at DESC, e.id DESC
    LIMIT ${limit}`,
  values: [brandId],
})

export const brandsThatTeach = (db: Database): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>('SELECT brand_id AS id FROM teaching ORDER BY 1')
