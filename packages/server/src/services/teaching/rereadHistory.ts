import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { storeAspects } from '../analysis/analyse.ts'
import { readEntrySentiment, storedSpans, type EntrySentiment } from '../analysis/readEntry.ts'
import { loadTeaching, type Teaching } from '../analysis/teachingBook.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/runner.ts'
import { lockMentions } from '../analysis/watchBook.ts'
import { hoursOf, refreshThreads } from '../inbox/refresh.ts'

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

/** How far a run has come, and with which teaching. */
interface Reached {
  version: number
  total: number
  below: number
  done: number
}

type Parts = Pick<Context, 'db' | 'live' | 'now'>

/**
 * Reads the sentiment of a brand's whole history again, newest first, a step a transaction, with its progress stored and
 * told. What a person has judged stays. A newer teaching ends the run, and the next one begins with it. Taken up by another
 * worker, a run goes on where it stopped.
 */
export async function rereadHistory(parts: Parts, piece: Piece): Promise<WorkOutcome> {
  const { db, live } = parts
  let from = piece.progress as Reached | null
  for (;;) {
    const wanted = await beginning(db, piece.id)
    if (!wanted) return 'done'
    const teaching = await loadTeaching(db, piece.id, wanted.version)
    let reached: Reached | null = from?.version === wanted.version ? from : wanted
    while (reached) {
      piece.signal.throwIfAborted()
      reached = await readStep(parts, piece, teaching, reached)
    }
    from = null
    await live.tell(piece.id, { kind: 'watches' })
  }
}

/** Where a run begins; null when the history has been read with what was taught last. */
async function beginning(db: Database, brandId: number): Promise<Reached | null> {
  const row = await db.one<{ version: number; total: number; top: number }>(
    `SELECT version, history_total AS total, (SELECT coalesce(max(id), 0) FROM entries WHERE brand_id = $1) AS top
     FROM teaching WHERE brand_id = $1 AND history_done < history_total`,
    [brandId],
  )
  return row ? { version: row.version, total: row.total, below: row.top + 1, done: 0 } : null
}

/** One step in one transaction; null at the end, or when there is a newer teaching. */
function readStep(
  { db, live, now }: Parts,
  piece: Piece,
  teaching: Teaching,
  { version, total, below, done }: Reached,
): Promise<Reached | null> {
  const brandId = piece.id
  return db.inTransaction(async (tx) => {
    await lockMentions(db, brandId, tx)
    const asked = await db.rows(
      'SELECT 1 FROM teaching WHERE brand_id = $1 AND version = $2 FOR NO KEY UPDATE',
      [brandId, version],
      tx,
    )
    if (!asked.length) return null
    const entries = await db.rows<Stored>(
      `SELECT id, thread_id AS "threadId", title, text, rating, language, sentiment, corrected_by IS NOT NULL AS corrected FROM entries
       WHERE brand_id = $1 AND direction = 'in' AND analysed_at IS NOT NULL AND id < $2 ORDER BY id DESC LIMIT $3`,
      [brandId, below, step],
      tx,
    )
    const finished = entries.length < step
    const reads = entries.flatMap((entry) => sentimentOf(entry, teaching))
    await store(db, brandId, reads, now(), tx)
    const next = { version, total, below: entries[entries.length - 1]?.id ?? 0, done: done + entries.length }
    await db.rows(
      'UPDATE teaching SET history_done = $2 WHERE brand_id = $1',
      [brandId, finished ? total : Math.min(next.done, Math.max(0, total - 1))],
      tx,
    )
    await piece.keep(finished ? null : next, tx)
    await live.tell(brandId, { kind: 'teaching' }, tx)
    return finished ? null : next
  })
}

/** What an entry says with this teaching; nothing for one that cannot be read, which stays as it is. */
function sentimentOf(entry: Stored, teaching: Teaching): (EntrySentiment & { entry: Stored })[] {
  try {
    return [
      { entry, ...readEntrySentiment({ ...entry, direction: 'in' }, entry.language ?? 'und', teaching) },
    ]
  } catch {
    return []
  }
}

async function store(
  db: Database,
  brandId: number,
  reads: (EntrySentiment & { entry: Stored })[],
  now: number,
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
      reads.map((r) => r.sentiment),
      reads.map((r) => r.reading.score),
      reads.map((r) => r.reading.confidence),
      reads.map((r) => storedSpans(r.reading)),
    ],
    tx,
  )
  await storeAspects(db, reads, tx)
  const moved = reads.filter((r) => !r.entry.corrected && r.entry.sentiment !== r.sentiment)
  if (moved.length)
    await refreshThreads(
      db,
      [...new Set(moved.map((r) => r.entry.threadId))],
      await hoursOf(db, brandId, tx),
      now,
      tx,
    )
}
