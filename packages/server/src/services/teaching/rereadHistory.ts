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
  loadTeachingSource,
  storeAspects,
  type ReadableEntry,
  type StoredMeaning,
  type TeachingSource,
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

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'readingWorker'>

/**
 * Reads what a brand's whole history means again, newest first, a step a transaction, with its progress stored and told; the
 * next step is read while one is stored. What a person has judged stays. A newer teaching ends the run, and the next one
 * begins with it. Taken up by another worker, a run goes on where it stopped.
 */
export async function rereadHistory(parts: Parts, piece: Piece): Promise<WorkOutcome> {
  const { db, live } = parts
  let from = piece.progress as Reached | null
  for (;;) {
    const wanted = await beginning(db, piece.id)
    if (!wanted) return 'done'
    const teaching = await loadTeachingSource(db, piece.id, wanted.version)
    let reached: Reached | null = from?.version === wanted.version ? from : wanted
    let ahead = await readAhead(parts, piece, teaching, reached.below)
    while (reached) {
      piece.signal.throwIfAborted()
      const next = ahead.end === null ? null : readAhead(parts, piece, teaching, ahead.end)
      // Met where it is waited for, if it is.
      next?.catch(() => {})
      reached = await readStep(parts, piece, { teaching, ahead }, reached)
      if (reached) ahead = (await next) ?? (await readAhead(parts, piece, teaching, reached.below))
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

/** Entries that are read before it is their turn. */
interface Ahead {
  entries: Map<number, Stored>
  readings: Promise<Map<number, StoredMeaning | null>>
  /** Where the next begin; null at the end of the history. */
  end: number | null
}

async function readAhead(
  parts: Parts,
  piece: Piece,
  teaching: TeachingSource,
  below: number,
): Promise<Ahead> {
  const entries = await entriesBelow(parts.db, { brandId: piece.id, below, limit: step })
  const readings = readingsOf(parts, piece.id, teaching, entries)
  readings.catch(() => {})
  return {
    entries: new Map(entries.map((entry) => [entry.id, entry])),
    readings,
    end: entries.length < step ? null : entries[entries.length - 1]!.id,
  }
}

/** What entries mean, by id; null for one that cannot be read, which stays as it is. */
async function readingsOf(
  { readingWorker }: Parts,
  brandId: number,
  teaching: TeachingSource,
  entries: readonly Stored[],
): Promise<Map<number, StoredMeaning | null>> {
  if (!entries.length) return new Map()
  const answers = await readingWorker.reread({ brandId, teaching, again: entries.map(readableOf) })
  return new Map(entries.map(({ id }, i) => [id, answers[i]!]))
}

const readableOf = ({
  kind,
  title,
  text,
  rating,
  language,
}: Stored): Omit<ReadableEntry, 'private'> & Pick<Stored, 'language'> => ({
  direction: 'in',
  kind,
  title,
  text,
  rating,
  language,
})

const isSame = (a: Stored | undefined, b: Stored): boolean =>
  a?.text === b.text && a.title === b.title && a.rating === b.rating && a.language === b.language

type Read = StoredMeaning & { entry: Stored }

/** One step in one transaction; null at the end, or when there is a newer teaching. */
function readStep(
  parts: Parts,
  piece: Piece,
  { teaching, ahead }: { teaching: TeachingSource; ahead: Ahead },
  { version, total, below, done }: Reached,
): Promise<Reached | null> {
  const { db, live, now } = parts
  const brandId = piece.id
  return db.inTransaction(async (tx) => {
    // What was read ahead is waited for before anything is held.
    const known = await ahead.readings
    await holdMentions(db, brandId, tx)
    const asked = await holdVersion(db, { brandId, version }, tx)
    if (!asked.length) return null
    const entries = await entriesBelow(db, { brandId, below, limit: step }, tx)
    const finished = entries.length < step
    // What changed since it was read ahead is read now.
    const changed = entries.filter((entry) => !isSame(ahead.entries.get(entry.id), entry))
    const fresh = await readingsOf(parts, brandId, teaching, changed)
    const reads = entries.flatMap((entry): Read[] => {
      const reading = fresh.has(entry.id) ? fresh.get(entry.id) : known.get(entry.id)
      return reading ? [{ ...reading, entry }] : []
    })
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

async function storeRereadings(
  db: Database,
  brandId: number,
  reads: readonly Read[],
  now: number,
  tx: Tx,
): Promise<void> {
  await setRereadings(
    db,
    reads.map(({ entry, ...meaning }) => ({ ...meaning, id: entry.id })),
    tx,
  )
  await storeAspects(db, reads, tx)
  const moved = reads.filter(
    ({ entry, wish, sentiment }) =>
      !entry.finished && (entry.wish !== wish || (!entry.corrected && entry.sentiment !== sentiment)),
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
