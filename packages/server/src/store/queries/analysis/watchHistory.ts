import type { Database, Tx } from '../../database.ts'
import type { WatchQuery } from '@murrabel/core/watches'

const isUnfinished = 'deleted_at IS NULL AND paused_at IS NULL AND history_done < history_total'

/** What a watch reads of an entry. */
export interface MarkedEntry {
  id: number
  title: string | null
  text: string
  language: string | null
  channel: string
  voice: string | null
  at: Date
}

export interface Unfinished {
  id: number
  version: number
  query: Omit<WatchQuery, 'id'>
}

export const unfinishedWatches = (db: Database, brandId: number): Promise<Unfinished[]> =>
  db.rows<Unfinished>(
    `SELECT id, version, query
     FROM watches
     WHERE brand_id = $1 AND ${isUnfinished}
     ORDER BY id`,
    [brandId],
  )

export const historySize = (
  db: Database,
  brandId: number,
): Promise<{ total: number; top: number } | undefined> =>
  db.one<{ total: number; top: number }>(
    `SELECT count(*) AS total, coalesce(max(id), 0) AS top
     FROM entries
     WHERE brand_id = $1 AND direction = 'in'`,
    [brandId],
  )

export const entriesForWatches = (
  db: Database,
  { brandId, below, limit }: { brandId: number; below: number; limit: number },
  tx?: Tx,
): Promise<MarkedEntry[]> =>
  db.rows<MarkedEntry>(
    `SELECT e.id, e.title, e.text, e.language, e.channel, e.at, coalesce(a.handle, a.name) AS voice
     FROM entries e
     LEFT JOIN accounts a ON a.id = e.account_id
     WHERE e.brand_id = $1 AND e.direction = 'in' AND e.id < $2
     ORDER BY e.id DESC
     LIMIT $3`,
    [brandId, below, limit],
    tx,
  )

/** What came in in one thread and is read. */
export const entriesOfThread = (db: Database, threadId: number, tx: Tx): Promise<MarkedEntry[]> =>
  db.rows<MarkedEntry>(
    `SELECT e.id, e.title, e.text, e.language, e.channel, e.at,
       coalesce(a.handle, a.name) AS voice
     FROM entries e
     LEFT JOIN accounts a ON a.id = e.account_id
     WHERE e.thread_id = $1 AND e.direction = 'in' AND e.analysed_at IS NOT NULL
     ORDER BY e.id`,
    [threadId],
    tx,
  )

export const setWatchHistory = async (
  db: Database,
  { ids, done, total }: { ids: readonly number[]; done: number; total: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE watches
     SET history_done = $2, history_total = $3
     WHERE id = ANY($1::int[])`,
    [ids, done, total],
    tx,
  )
}

/** Those that still ask what they asked. */
export const holdAsked = (
  db: Database,
  { ids, versions }: { ids: readonly number[]; versions: readonly number[] },
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `SELECT w.id
     FROM watches w
     JOIN unnest($1::int[], $2::int[]) AS n (id, version) ON n.id = w.id AND n.version = w.version
     WHERE w.deleted_at IS NULL AND w.paused_at IS NULL
     ORDER BY w.id
     FOR NO KEY UPDATE OF w`,
    [ids, versions],
    tx,
  )
