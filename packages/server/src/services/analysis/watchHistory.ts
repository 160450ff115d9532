import { compileWatches, type CompiledWatches, type WatchQuery } from '@murrabel/core/watches'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/runner.ts'
import type { Database, Tx } from '../../store/database.ts'
import { docOf, hitSpans, lockMentions, type MarkedEntry } from './watchBook.ts'

const step = 5000

interface Unfinished {
  id: number
  version: number
  query: Omit<WatchQuery, 'id'>
}

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

const isUnfinished = 'deleted_at IS NULL AND paused_at IS NULL AND history_done < history_total'

async function unfinished(db: Database, brandId: number, reached: Reached | null): Promise<Unfinished[]> {
  const rows = await db.rows<Unfinished>(
    `SELECT id, version, query FROM watches WHERE brand_id = $1 AND ${isUnfinished} ORDER BY id`,
    [brandId],
  )
  const begun = reached && new Map(reached.watches.map(({ id, version }) => [id, version]))
  return begun ? rows.filter(({ id, version }) => begun.get(id) === version) : rows
}

async function beginning(db: Database, brandId: number, watches: readonly Unfinished[]): Promise<Reached> {
  const size = await db.one<{ total: number; top: number }>(
    `SELECT count(*) AS total, coalesce(max(id), 0) AS top FROM entries WHERE brand_id = $1 AND direction = 'in'`,
    [brandId],
  )
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
    await lockMentions(db, brandId, tx)
    const ids = await stillAsked(db, watches, tx)
    if (!ids.length) return null
    const entries = await db.rows<MarkedEntry>(
      `SELECT e.id, e.title, e.text, e.language, e.channel, e.at, coalesce(a.handle, a.name) AS voice FROM entries e LEFT JOIN accounts a ON a.id = e.account_id
       WHERE e.brand_id = $1 AND e.direction = 'in' AND e.id < $2 ORDER BY e.id DESC LIMIT $3`,
      [brandId, below, step],
      tx,
    )
    const finished = entries.length < step
    const low = finished ? 0 : entries[entries.length - 1]!.id
    await replaceMentions(db, { compiled, entries, ids: new Set(ids), below, low }, tx)
    const next = { ...begun, total, below: low, done: done + entries.length }
    await db.rows(
      'UPDATE watches SET history_done = $2, history_total = $3 WHERE id = ANY($1::int[])',
      [ids, finished ? total : Math.min(next.done, Math.max(0, total - 1)), total],
      tx,
    )
    await piece.keep(finished ? null : next, tx)
    await live.tell(brandId, { kind: 'watches' }, tx)
    return finished ? null : next
  })
}

/** Of these watches, those that still ask what they asked at the start; held, so that a change waits for the step. */
async function stillAsked(db: Database, watches: readonly Unfinished[], tx: Tx): Promise<number[]> {
  const rows = await db.rows<{ id: number }>(
    `SELECT w.id FROM watches w JOIN unnest($1::int[], $2::int[]) AS n (id, version) ON n.id = w.id AND n.version = w.version
     WHERE w.deleted_at IS NULL AND w.paused_at IS NULL ORDER BY w.id FOR NO KEY UPDATE OF w`,
    [watches.map((w) => w.id), watches.map((w) => w.version)],
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
  await db.rows(
    'DELETE FROM mentions WHERE watch_id = ANY($1::int[]) AND entry_id < $2 AND entry_id >= $3',
    [[...ids], below, low],
    tx,
  )
  if (!hits.length) return
  await db.rows(
    `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id)
     SELECT n.watch, n.entry, n.at, n.spans, e.sentiment, e.profile_id
     FROM unnest($1::int[], $2::bigint[], $3::timestamptz[], $4::jsonb[]) AS n (watch, entry, at, spans) JOIN entries e ON e.id = n.entry
     ON CONFLICT (watch_id, entry_id) DO NOTHING`,
    [
      hits.map((h) => h.watch),
      hits.map((h) => h.entry.id),
      hits.map((h) => h.entry.at),
      hits.map((h) => h.spans),
    ],
    tx,
  )
}
