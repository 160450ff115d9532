import type { AskedElsewhere } from '../shared/askedElsewhere.ts'
import type { Database, Tx } from '../../database.ts'
import type { Model } from '@murrabel/core/learning'

export const learningState = (
  db: Database,
  brandId: number,
): Promise<{ seen: number; better: boolean | null; model: Model | null; wanted: boolean } | undefined> =>
  db.one<{ seen: number; better: boolean | null; model: Model | null; wanted: boolean }>(
    `SELECT corrections_seen AS seen, (figures->>'better')::boolean AS better, model, wanted
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
  sql: `SELECT e.title, e.text, e.language, c.sentiment
    FROM corrections c
    JOIN entries e ON e.id = c.entry_id
    WHERE e.brand_id = $1
    ORDER BY c.at DESC, c.entry_id, c.colleague_id
    LIMIT ${limit}`,
  values: [brandId],
})
