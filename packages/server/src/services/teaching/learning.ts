import type { Model } from '@murrabel/core/learning'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Database } from '../../store/database.ts'
import { loadTeaching } from '../analysis/teachingBook.ts'
import { newVersion } from './version.ts'

/** Corrections looked at: the newest; older ones have had their say. */
const lessonLimit = 5000

/**
 * Learns from the corrections of a brand when there are new ones, and measures what was learnt on corrections held back.
 * Only a change of what is in use makes the history be read again.
 *
 * @returns whether there was anything new to learn from
 */
export async function learnFromCorrections(
  { db, live, now, textWorker, due }: Pick<Context, 'db' | 'live' | 'now' | 'textWorker' | 'due'>,
  brandId: number,
  { anyway = false }: { anyway?: boolean } = {},
): Promise<boolean> {
  const seen = await correctionStamp(db, brandId)
  const row = await db.one<{ seen: number; better: boolean | null; model: Model | null; wanted: boolean }>(
    `SELECT corrections_seen AS seen, (figures->>'better')::boolean AS better, model, wanted FROM teaching WHERE brand_id = $1`,
    [brandId],
  )
  if (!row || (row.seen === seen && !anyway)) return false
  const teaching = await loadTeaching(db, brandId, 0)
  const { model, contradicting, ...figures } = await textWorker.ask({
    kind: 'lessons',
    corrections: {
      sql: `SELECT e.title, e.text, e.language, c.sentiment FROM corrections c JOIN entries e ON e.id = c.entry_id
        WHERE e.brand_id = $1 ORDER BY c.at DESC, c.entry_id, c.colleague_id LIMIT ${lessonLimit}`,
      values: [brandId],
    },
    ownWords: teaching.ownWords,
    stamp: seen,
  })
  await db.inTransaction(async (tx) => {
    await db.rows(
      'UPDATE teaching SET model = $2, figures = $3, corrections_seen = $4, learnt_at = $5 WHERE brand_id = $1',
      [brandId, JSON.stringify(model), JSON.stringify({ ...figures, contradicting }), seen, new Date(now())],
      tx,
    )
    const inUse = (better: boolean | null) => row.wanted && better === true
    if (inUse(figures.better) || inUse(row.better)) await newVersion({ db, due }, brandId, tx)
    await live.tell(brandId, { kind: 'teaching' }, tx)
  })
  return true
}

/** A number that changes with every correction given, changed or taken back. */
async function correctionStamp(db: Database, brandId: number): Promise<number> {
  const row = await db.one<{ stamp: number }>(
    `SELECT (hashtext(string_agg(c.entry_id || c.sentiment || c.colleague_id, ',' ORDER BY c.entry_id, c.colleague_id)))::int AS stamp
     FROM corrections c JOIN entries e ON e.id = c.entry_id WHERE e.brand_id = $1`,
    [brandId],
  )
  return row?.stamp ?? 0
}

/** Corrections often come many in a row: learning waits for a pause, but not for ever. */
export const learnAfterMs = 4_000
const longestMs = 60_000

/** Learns when the corrections of a brand have rested for a while. */
export async function learnWhenRested(
  context: Pick<Context, 'db' | 'live' | 'now' | 'textWorker' | 'due'>,
  brandId: number,
): Promise<WorkOutcome> {
  const row = await context.db.one<{ last: number | null; first: number | null }>(
    // By the database's clock, which wrote them.
    `SELECT extract(epoch FROM now() - max(c.at)) * 1000 AS last, extract(epoch FROM now() - min(c.at)) * 1000 AS first
     FROM corrections c JOIN entries e ON e.id = c.entry_id JOIN teaching t ON t.brand_id = e.brand_id
     WHERE e.brand_id = $1 AND c.at > coalesce(t.learnt_at, '-infinity')`,
    [brandId],
  )
  const rested = Number(row?.last ?? learnAfterMs)
  if (rested < learnAfterMs && Number(row?.first ?? 0) < longestMs)
    return { againInMs: learnAfterMs - rested }
  await learnFromCorrections(context, brandId)
  return 'done'
}
