import { instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import type { CountAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from './lensWhere.ts'
import { rollupWhere } from './rollupWhere.ts'

/** How many a lens chooses, and how many of their threads are past due. */
export async function entryCount(
  db: Database,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
): Promise<CountAnswer> {
  const counted = await countRollups(db, { lens, context, reader })
  if (counted !== null) return { count: counted, pastDue: 0, notSent: 0 }
  const asked: Lens = { ...lens, order: lens.unit === 'threads' ? 'pressing' : 'newest' }
  const { from, where } = lensWhere(asked, context, reader)
  const pastDue =
    lens.unit === 'threads'
      ? `count(*) FILTER (WHERE t.due_at < ${where.bind(new Date(context.now))} AND t.state = 'open')`
      : '0::bigint'
  const notSent =
    lens.unit === 'threads'
      ? `count(*) FILTER (WHERE EXISTS (SELECT 1 FROM outside_actions x WHERE x.thread_id = e.thread_id AND x.kind = 'reply' AND x.state = 'failed'))`
      : '0::bigint'
  const found = await db.one<CountAnswer>(
    `SELECT count(*) AS count, ${pastDue} AS "pastDue", ${notSent} AS "notSent" FROM ${from} WHERE ${where.toString()}`,
    where.values,
  )
  return found ?? { count: 0, pastDue: 0, notSent: 0 }
}

/** From roll-ups, which are a hundredth of the rows; null where they cannot tell. A range begins and ends with an hour. */
async function countRollups(
  db: Database,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
): Promise<number | null> {
  if (lens.unit !== 'entries') return null
  const rollups = rollupWhere(lens, context, reader, instantsOf(lens.range, context))
  if (!rollups) return null
  const { table, where } = rollups
  const found = await db.one<{ n: number | null }>(
    `SELECT sum(r.n)::bigint AS n FROM ${table} r JOIN profiles p ON p.id = r.profile_id WHERE ${where.toString()}`,
    where.values,
  )
  return found?.n ?? 0
}
