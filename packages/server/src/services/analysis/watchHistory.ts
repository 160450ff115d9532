import { compileWatches, type CompiledWatches } from '@murrabel/core/watches'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { Database, Tx } from '../../store/database.ts'
import { docOf, hitSpans } from './watchBook.ts'
import {
  type MarkedEntry,
  type Unfinished,
  unfinishedWatches,
  historySize,
  entriesForWatches,
  setWatchHistory,
  holdAsked,
} from '../../store/queries/analysis/watchHistory.ts'
import { holdMentions, removeMentionsBetween, addMentions } from '../../store/queries/analysis/mentions.ts'

const step = 5000

/** How far a pass has come: which watches it is for, and down to which entry it has read. */
interface Reached {
  watches: { id: number; version: number }[]
  total: number
  below: number
  done: number
}

type Parts = Pick<Context, 'db' | 'live'>

/**
 * Runs every watch of a brand whose history is unfinished over all of it, newest first, all of them in one pass, a step a
 * transaction, with their progress stored and told. A watch that is changed, paused or deleted on the way drops out; what
 * was new or changed meanwhile has a pass after this one. Taken up by another worker, a pass goes on where it stopped.
 */
export async function runWatchHistories(parts: Parts, piece: Piece): Promise<WorkOutcome> {
  let reached = piece.progress as Reached | null
  for (;;) {
    const watches = await unfinished(parts.db, piece.id, reached)
    if (!watches.length) {
      if (!reached) return 'done'
    } else await pass(parts, piece, watches, reached ?? (await beginning(parts.db, piece.id, watches)))
    reached = null
  }
}

async function unfinished(db: Database, brandId: number, reached: Reached | null): Promise<Unfinished[]> {
  const rows = await unfinishedWatches(db, brandId)
  const begun = reached && new Map(reached.watches.map(({ id, version }) => [id, version]))
  return begun ? rows.filter(({ id, version }) => begun.get(id) === version) : rows
}

async function beginning(db: Database, brandId: number, watches: readonly Unfinished[]): Promise<Reached> {
  const size = await historySize(db, brandId)
  return {
    watches: watches.map(({ id, version }) => ({ id, version })),
    total: size?.total ?? 0,
    below: (size?.top ?? 0) + 1,
    done: 0,
  }
}

async function pass(
  parts: Parts,
  piece: Piece,
  watches: readonly Unfinished[],
  from: Reached,
): Promise<void> {
  const compiled = compileWatches(watches.map(({ id, query }) => ({ ...query, id })))
  for (let reached: Reached | null = from; reached;) {
    piece.signal.throwIfAborted()
    reached = await passStep(parts, piece, { watches, compiled }, reached)
  }
}

/** One step in one transaction; a transaction that is done again begins where this one began. Null at the end. */
function passStep(
  { db, live }: Parts,
  piece: Piece,
  { watches, compiled }: { watches: readonly Unfinished[]; compiled: CompiledWatches },
  { total, below, done, ...begun }: Reached,
): Promise<Reached | null> {
  const brandId = piece.id
  return db.inTransaction(async (tx) => {
    await holdMentions(db, brandId, tx)
    const ids = await stillAsked(db, watches, tx)
    if (!ids.length) return null
    const entries = await entriesForWatches(db, { brandId, below, limit: step }, tx)
    const finished = entries.length < step
    const low = finished ? 0 : entries[entries.length - 1]!.id
    await replaceMentions(db, { compiled, entries, ids: new Set(ids), below, low }, tx)
    const next = { ...begun, total, below: low, done: done + entries.length }
    await setWatchHistory(
      db,
      { ids, done: finished ? total : Math.min(next.done, Math.max(0, total - 1)), total },
      tx,
    )
    await piece.keep(finished ? null : next, tx)
    await live.tell(brandId, { kind: 'watches' }, tx)
    return finished ? null : next
  })
}

/** Of these watches, those that still ask what they asked at the start; held, so that a change waits for the step. */
async function stillAsked(db: Database, watches: readonly Unfinished[], tx: Tx): Promise<number[]> {
  const rows = await holdAsked(
    db,
    { ids: watches.map((w) => w.id), versions: watches.map((w) => w.version) },
    tx,
  )
  return rows.map(({ id }) => id)
}

interface Stretch {
  compiled: CompiledWatches
  entries: readonly MarkedEntry[]
  ids: ReadonlySet<number>
  /** Ids of entries from `low`, included, to `below`, not included. */
  below: number
  low: number
}

async function replaceMentions(
  db: Database,
  { compiled, entries, ids, below, low }: Stretch,
  tx: Tx,
): Promise<void> {
  const hits = entries.flatMap((entry) =>
    compiled
      .match(docOf(entry))
      .filter(({ id }) => ids.has(Number(id)))
      .map((hit) => ({ watch: Number(hit.id), entry, spans: JSON.stringify(hitSpans(hit)) })),
  )
  await removeMentionsBetween(db, { watchIds: [...ids], below, low }, tx)
  if (!hits.length) return
  await addMentions(
    db,
    {
      watchIds: hits.map((h) => h.watch),
      entryIds: hits.map((h) => h.entry.id),
      at: hits.map((h) => h.entry.at),
      spans: hits.map((h) => h.spans),
    },
    tx,
  )
}
