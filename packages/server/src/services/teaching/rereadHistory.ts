import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { storeAspects } from '../analysis/analyse.ts'
import { readMood, storedSpans, type Mood } from '../analysis/readEntry.ts'
import { loadTeaching } from '../analysis/teachingBook.ts'
import { lockMentions } from '../analysis/watchBook.ts'
import { hoursOf, refreshThreads } from '../threads/refresh.ts'

const step = 1000

interface Stored {
  id: number
  threadId: number
  title: string | null
  text: string
  rating: number | null
  language: string | null
  sentiment: string
  corrected: boolean
}

/** Brands whose history is not yet read with what they taught last. */
export async function brandsToReread(db: Database): Promise<number[]> {
  const rows = await db.rows<{ id: number }>(
    'SELECT brand_id AS id FROM teaching WHERE history_done < history_total',
  )
  return rows.map(({ id }) => id)
}

/**
 * Reads the moods of a brand's whole history again, newest first, a step a transaction, with its progress stored and
 * told. What a person has judged stays. A newer teaching ends the run; its own run does the work again.
 */
export async function rereadHistory(
  { db, live }: Pick<Context, 'db' | 'live'>,
  brandId: number,
): Promise<void> {
  const start = await db.one<{ version: number; total: number; top: number }>(
    `SELECT version, history_total AS total, (SELECT coalesce(max(id), 0) FROM entries WHERE brand_id = $1) AS top FROM teaching WHERE brand_id = $1`,
    [brandId],
  )
  if (!start) return
  const teaching = await loadTeaching(db, brandId, start.version)
  let below = start.top + 1
  let done = 0
  for (let finished = false; !finished;) {
    const current = await db.inTransaction(async (tx) => {
      await lockMentions(db, brandId, tx)
      const asked = await db.rows(
        'SELECT 1 FROM teaching WHERE brand_id = $1 AND version = $2 FOR NO KEY UPDATE',
        [brandId, start.version],
        tx,
      )
      if (!asked.length) return false
      const entries = await db.rows<Stored>(
        `SELECT id, thread_id AS "threadId", title, text, rating, language, sentiment, corrected_by IS NOT NULL AS corrected FROM entries
         WHERE brand_id = $1 AND direction = 'in' AND analysed_at IS NOT NULL AND id < $2 ORDER BY id DESC LIMIT $3`,
        [brandId, below, step],
        tx,
      )
      finished = entries.length < step
      below = entries[entries.length - 1]?.id ?? 0
      done += entries.length
      const reads = entries.map((entry) => ({
        entry,
        ...readMood({ ...entry, direction: 'in' }, entry.language ?? 'und', teaching),
      }))
      await store(db, brandId, reads, tx)
      await db.rows(
        'UPDATE teaching SET history_done = $2 WHERE brand_id = $1',
        [brandId, finished ? start.total : Math.min(done, start.total - 1)],
        tx,
      )
      await live.tell(brandId, { kind: 'teaching' }, tx)
      return true
    })
    if (!current) return
  }
  await live.tell(brandId, { kind: 'watches' })
}

async function store(
  db: Database,
  brandId: number,
  reads: (Mood & { entry: Stored })[],
  tx: Tx,
): Promise<void> {
  // A row that says what it said is not written: most of them.
  await db.rows(
    `UPDATE entries e SET sentiment = CASE WHEN e.corrected_by IS NULL THEN n.sentiment ELSE e.sentiment END,
       score = n.score, confidence = n.confidence, spans = n.spans
     FROM unnest($1::bigint[], $2::text[], $3::real[], $4::real[], $5::jsonb[]) AS n (id, sentiment, score, confidence, spans)
     WHERE e.id = n.id AND (e.spans <> n.spans OR e.confidence <> n.confidence OR (e.corrected_by IS NULL AND e.sentiment <> n.sentiment))`,
    [
      reads.map((r) => r.entry.id),
      reads.map((r) => r.label),
      reads.map((r) => r.reading.score),
      reads.map((r) => r.reading.confidence),
      reads.map((r) => storedSpans(r.reading)),
    ],
    tx,
  )
  await storeAspects(db, reads, tx)
  const moved = reads.filter((r) => !r.entry.corrected && r.entry.sentiment !== r.label)
  if (moved.length)
    await refreshThreads(
      db,
      [...new Set(moved.map((r) => r.entry.threadId))],
      await hoursOf(db, brandId, tx),
      tx,
    )
}
