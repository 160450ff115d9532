import { watchProblems, type WatchAnswer, type WatchDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { audit } from '../brand/audit.ts'

const columns = `w.id, w.name, w.query, w.history_done AS "historyDone", w.history_total AS "historyTotal",
  (SELECT count(*) FROM mentions m WHERE m.watch_id = w.id) AS mentions`

export function listWatches({ db }: Pick<Context, 'db'>, reader: Reader): Promise<WatchAnswer[]> {
  return db.rows<WatchAnswer>(
    `SELECT ${columns} FROM watches w WHERE w.brand_id = $1 AND w.deleted_at IS NULL ORDER BY w.name COLLATE "und-x-icu", w.id`,
    [reader.brandId],
  )
}

async function watchAnswer({ db }: Pick<Context, 'db'>, id: number): Promise<WatchAnswer> {
  const watch = await db.one<WatchAnswer>(
    `SELECT ${columns} FROM watches w WHERE w.id = $1 AND w.deleted_at IS NULL`,
    [id],
  )
  if (!watch) throw new Refusal('notFound')
  return watch
}

function check(draft: WatchDraft): void {
  const fields = watchProblems(draft.query)
  if (fields.length) throw new Refusal('invalid', { fields })
}

/** Saves a watch; its run over the history begins at once, in the background. */
export async function createWatch(context: Context, reader: Reader, draft: WatchDraft): Promise<WatchAnswer> {
  check(draft)
  const { db, jobs, live } = context
  const id = await db.inTransaction(async (tx) => {
    const row = await db.one<{ id: number }>(
      `INSERT INTO watches (brand_id, name, query, created_by, history_total)
       SELECT $1, $2, $3, $4, count(*) FROM entries WHERE brand_id = $1 AND direction = 'in' RETURNING id`,
      [reader.brandId, draft.name, JSON.stringify(draft.query), reader.colleagueId],
      tx,
    )
    await jobs.watchHistory({ watchId: row!.id, version: 1 }, tx)
    await audit(db, reader, 'createWatch', `watch ${row!.id}`, { name: draft.name }, tx)
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
    return row!.id
  })
  jobs.nudge('watchHistory')
  return watchAnswer(context, id)
}

export async function updateWatch(
  context: Context,
  reader: Reader,
  id: number,
  draft: WatchDraft,
): Promise<WatchAnswer> {
  check(draft)
  const { db, jobs, live } = context
  await db.inTransaction(async (tx) => {
    const old = await db.one<{ name: string; query: object; version: number; same: boolean }>(
      'SELECT name, query, version, query = $3::jsonb AS same FROM watches WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL FOR UPDATE',
      [id, reader.brandId, JSON.stringify(draft.query)],
      tx,
    )
    if (!old) throw new Refusal('notFound')
    await audit(
      db,
      reader,
      'updateWatch',
      `watch ${id}`,
      { before: { name: old.name, query: old.query } },
      tx,
    )
    if (old.same)
      await db.rows('UPDATE watches SET name = $2, updated_at = now() WHERE id = $1', [id, draft.name], tx)
    else {
      await db.rows(
        'UPDATE watches SET name = $2, query = $3, version = version + 1, history_done = 0, updated_at = now() WHERE id = $1',
        [id, draft.name, JSON.stringify(draft.query)],
        tx,
      )
      await jobs.watchHistory({ watchId: id, version: old.version + 1 }, tx)
    }
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
  jobs.nudge('watchHistory')
  return watchAnswer(context, id)
}

/** Deleting keeps the row, so that it can be brought back. */
export async function deleteWatch({ db, live }: Context, reader: Reader, id: number): Promise<void> {
  const rows = await db.rows(
    'UPDATE watches SET deleted_at = now() WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL RETURNING id',
    [id, reader.brandId],
  )
  if (!rows.length) throw new Refusal('notFound')
  await audit(db, reader, 'deleteWatch', `watch ${id}`)
  await live.tell(reader.brandId, { kind: 'watches' })
}

/** Brings a deleted watch back and reads what came in meanwhile. */
export async function restoreWatch(context: Context, reader: Reader, id: number): Promise<WatchAnswer> {
  const { db, jobs, live } = context
  await db.inTransaction(async (tx) => {
    const row = await db.one<{ version: number }>(
      'UPDATE watches SET deleted_at = NULL, version = version + 1 WHERE id = $1 AND brand_id = $2 AND deleted_at IS NOT NULL RETURNING version',
      [id, reader.brandId],
      tx,
    )
    if (!row) throw new Refusal('notFound')
    await jobs.watchHistory({ watchId: id, version: row.version }, tx)
    await audit(db, reader, 'restoreWatch', `watch ${id}`, {}, tx)
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
  jobs.nudge('watchHistory')
  return watchAnswer(context, id)
}
