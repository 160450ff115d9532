import { compileWatches, type WatchQuery } from '@murrabel/core/watches'
import type { Context } from '../../context.ts'
import { docOf, hitSpans, lockMentions, type MarkedEntry } from './watchBook.ts'

const step = 5000

/**
 * Runs a watch over the whole history, newest first, a step a transaction, with its progress stored and told. A newer
 * version of the watch ends it: that version's own run does the work again.
 */
export async function runWatchHistory(
  { db, live }: Pick<Context, 'db' | 'live'>,
  watchId: number,
  version: number,
): Promise<void> {
  const watch = await db.one<{ brandId: number; query: Omit<WatchQuery, 'id'> }>(
    'SELECT brand_id AS "brandId", query FROM watches WHERE id = $1 AND version = $2 AND deleted_at IS NULL',
    [watchId, version],
  )
  if (!watch) return
  const compiled = compileWatches([{ ...watch.query, id: watchId }])
  const size = await db.one<{ total: number; top: number }>(
    `SELECT count(*) AS total, coalesce(max(id), 0) AS top FROM entries WHERE brand_id = $1 AND direction = 'in'`,
    [watch.brandId],
  )
  let below = (size?.top ?? 0) + 1
  let done = 0
  for (;;) {
    const moved = await db.inTransaction(async (tx) => {
      await lockMentions(db, watch.brandId, tx)
      const current = await db.rows(
        'SELECT 1 FROM watches WHERE id = $1 AND version = $2 AND deleted_at IS NULL FOR NO KEY UPDATE',
        [watchId, version],
        tx,
      )
      if (!current.length) return null
      const entries = await db.rows<MarkedEntry>(
        `SELECT e.id, e.title, e.text, e.language, e.channel, e.at, coalesce(a.handle, a.name) AS voice FROM entries e LEFT JOIN accounts a ON a.id = e.account_id
         WHERE e.brand_id = $1 AND e.direction = 'in' AND e.id < $2 ORDER BY e.id DESC LIMIT $3`,
        [watch.brandId, below, step],
        tx,
      )
      const hits = entries.flatMap((entry) =>
        compiled.match(docOf(entry)).map((hit) => ({ entry, spans: hitSpans(hit) })),
      )
      const low = entries[entries.length - 1]?.id ?? 0
      await db.rows(
        'DELETE FROM mentions WHERE watch_id = $1 AND entry_id < $2 AND entry_id >= $3',
        [watchId, below, entries.length < step ? 0 : low],
        tx,
      )
      await db.rows(
        `INSERT INTO mentions (watch_id, entry_id, at, spans) SELECT $1, * FROM unnest($2::bigint[], $3::timestamptz[], $4::jsonb[]) ON CONFLICT (watch_id, entry_id) DO NOTHING`,
        [
          watchId,
          hits.map((h) => h.entry.id),
          hits.map((h) => h.entry.at),
          hits.map((h) => JSON.stringify(h.spans)),
        ],
        tx,
      )
      done += entries.length
      const finished = entries.length < step
      await db.rows(
        'UPDATE watches SET history_done = $2, history_total = $3 WHERE id = $1',
        [watchId, finished ? (size?.total ?? 0) : done, size?.total ?? 0],
        tx,
      )
      await live.tell(watch.brandId, { kind: 'watches' }, tx)
      below = low
      return !finished
    })
    if (!moved) return
  }
}
