import type { Lens, LensContext } from '@murrabel/core/lens'
import type { CountAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Database } from '../database.ts'
import { lensWhere } from './lensWhere.ts'

/** How many a lens chooses, and how many of their threads are past due. */
export async function entryCount(
  db: Database,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
): Promise<CountAnswer> {
  const asked: Lens = { ...lens, order: lens.unit === 'threads' ? 'pressing' : 'newest' }
  const { from, where } = lensWhere(asked, context, reader)
  const pastDue =
    lens.unit === 'threads'
      ? `count(*) FILTER (WHERE t.due_at < ${where.bind(new Date(context.now))} AND t.state = 'open')`
      : '0::bigint'
  const found = await db.one<CountAnswer>(
    `SELECT count(*) AS count, ${pastDue} AS "pastDue" FROM ${from} WHERE ${where.toString()}`,
    where.values,
  )
  return found ?? { count: 0, pastDue: 0 }
}
