import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

/** Those of the entries that the reader may see, with their threads. */
export function visibleEntries(
  db: Database,
  reader: Reader,
  ids: readonly number[],
  tx: Tx,
): Promise<{ id: number; threadId: number }[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.id = ANY(${where.bind(ids)}::bigint[])`)
  return db.rows<{ id: number; threadId: number }>(
    `SELECT e.id, e.thread_id AS "threadId" FROM entries e WHERE ${where.toString()}`,
    where.values,
    tx,
  )
}

/** Keeps entries; answers those that were not kept before. */
export const addKept = (
  db: Database,
  { ids, colleagueId }: { ids: readonly number[]; colleagueId: number },
  tx: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `INSERT INTO kept_entries (entry_id, colleague_id)
     SELECT unnest($1::bigint[]), $2::int
     ON CONFLICT DO NOTHING
     RETURNING entry_id AS id`,
    [ids, colleagueId],
    tx,
  )

/** Keeps entries no longer; answers those that were kept. */
export const removeKept = (db: Database, ids: readonly number[], tx: Tx): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    'DELETE FROM kept_entries WHERE entry_id = ANY($1::bigint[]) RETURNING entry_id AS id',
    [ids],
    tx,
  )
