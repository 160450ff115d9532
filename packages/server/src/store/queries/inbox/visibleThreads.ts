import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

/** Of these threads, those that a reader may see. */
export async function visibleThreads(
  db: Database,
  reader: Reader,
  ids: readonly number[],
  tx?: Tx,
): Promise<number[]> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.id = ANY(${where.bind(ids)}::bigint[])`)
  const rows = await db.rows<{ id: number }>(
    `SELECT t.id FROM threads t WHERE ${where.toString()} ORDER BY t.id`,
    where.values,
    tx,
  )
  return rows.map(({ id }) => id)
}
