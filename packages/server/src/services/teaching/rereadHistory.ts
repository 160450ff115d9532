import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import {
  rereadingStart,
  setRereadings,
  holdVersion,
  type Stored,
  entriesBelow,
  setHistoryDone,
} from '../../store/queries/teaching/rereading.ts'
import { holdMentions } from '../../store/queries/analysis/mentions.ts'
import {
  storeAspects,
  readEntryMeaning,
  storedSpans,
  type EntryMeaning,
  loadTeaching,
  type Teaching,
} from '../analysis/index.ts'
import { businessHoursOf, refreshThreads } from '../inbox/index.ts'

const step = 1000

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
  const row = await rereadingStart(db, brandId)
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
    await holdMentions(db, brandId, tx)
    const asked = await holdVersion(db, { brandId, version }, tx)
    if (!asked.length) return null
    const entries = await entriesBelow(db, { brandId, below, limit: step }, tx)
    const finished = entries.length < step
    const reads = entries.flatMap((entry) => sentimentOf(entry, teaching))
    await storeRereadings(db, brandId, reads, now(), tx)
    const next = { version, total, below: entries[entries.length - 1]?.id ?? 0, done: done + entries.length }
    await setHistoryDone(
      db,
      { brandId, done: finished ? total : Math.min(next.done, Math.max(0, total - 1)) },
      tx,
    )
    await piece.keep(finished ? null : next, tx)
    await live.tell(brandId, { kind: 'teaching' }, tx)
    return finished ? null : next
  })
}

/** What an entry says with this teaching; nothing for one that cannot be read, which stays as it is. */
function sentimentOf(entry: Stored, teaching: Teaching): (EntryMeaning & { entry: Stored })[] {
  try {
    return [
      { entry, ...readEntryMeaning({ ...entry, direction: 'in' }, entry.language ?? 'und', teaching) },
    ]
  } catch {
    return []
  }
}

async function storeRereadings(
  db: Database,
  brandId: number,
  reads: (EntryMeaning & { entry: Stored })[],
  now: number,
  tx: Tx,
): Promise<void> {
  await setRereadings(
    db,
    reads.map(({ entry, sentiment, reading, wish, wishConfidence, wantsAnswer, starsDiffer }) => ({
      id: entry.id,
      sentiment,
      score: reading.score,
      confidence: reading.confidence,
      spans: storedSpans(reading),
      wish,
      wishConfidence,
      wantsAnswer,
      starsDiffer,
    })),
    tx,
  )
  await storeAspects(db, reads, tx)
  const moved = reads.filter(
    (r) => r.entry.wish !== r.wish || (!r.entry.corrected && r.entry.sentiment !== r.sentiment),
  )
  if (moved.length)
    await refreshThreads(
      db,
      [...new Set(moved.map((r) => r.entry.threadId))],
      await businessHoursOf(db, brandId, tx),
      now,
      tx,
    )
}
