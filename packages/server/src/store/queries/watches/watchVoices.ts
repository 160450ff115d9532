import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

/** Different voices, and the reach of what they said, for each of some watches in a stretch of time. */
export function watchVoices(
  db: Database,
  { reader, ids, from, to }: { reader: Reader; ids: readonly number[]; from: number; to: number },
): Promise<{ watch: number; voices: number; reach: number }[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`m.watch_id = ANY(${where.bind([...ids])}::int[])`)
  where.add(`m.at >= ${where.bind(new Date(from))} AND m.at < ${where.bind(new Date(to))}`)
  return db.replica.rows(
    `SELECT m.watch_id AS watch, count(DISTINCT e.account_id) AS voices, sum(e.reach) AS reach
     FROM mentions m JOIN entries e ON e.id = m.entry_id WHERE ${where.toString()} GROUP BY 1`,
    where.values,
  )
}
