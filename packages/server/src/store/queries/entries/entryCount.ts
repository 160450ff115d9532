import { instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import type { CountAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from './lensWhere.ts'
import { rollupWhere } from './rollupWhere.ts'

interface Counted {
  lens: Lens
  context: LensContext
  reader: Reader
}

/** What a thread adds to the count of a lens. */
export interface ThreadCount {
  thread: number
  /** Entries of the lens; of a lens of threads, 1. */
  count: number
  /** When its answer is due, in a lens of threads, while it is open. */
  dueAt: Date | null
  /** An answer of ours did not go out; in a lens of threads. */
  notSent: boolean
}

const failedReply = `EXISTS (SELECT 1 FROM outside_actions x WHERE x.thread_id = e.thread_id AND x.kind = 'reply' AND x.state = 'failed')`

/** A lens of threads always has its threads at hand, whatever its order. */
const countedLens = (lens: Lens): Lens => ({
  ...lens,
  order: lens.unit === 'threads' ? 'pressing' : 'newest',
})

/** How many a lens chooses, and how many of their threads are past due. */
export async function entryCount(db: Database, { lens, context, reader }: Counted): Promise<CountAnswer> {
  const counted = await countRollups(db, { lens, context, reader })
  if (counted !== null) return { count: counted, pastDue: 0, notSent: 0 }
  const { from, where } = lensWhere(countedLens(lens), context, reader)
  const pastDue =
    lens.unit === 'threads'
      ? `count(*) FILTER (WHERE t.due_at < ${where.bind(new Date(context.now))} AND t.state = 'open')`
      : '0::bigint'
  const notSent = lens.unit === 'threads' ? `count(*) FILTER (WHERE ${failedReply})` : '0::bigint'
  const found = await db.one<CountAnswer>(
    `SELECT count(*) AS count, ${pastDue} AS "pastDue", ${notSent} AS "notSent" FROM ${from} WHERE ${where.toString()}`,
    where.values,
  )
  return found ?? { count: 0, pastDue: 0, notSent: 0 }
}

/**
 * The same count, thread by thread.
 *
 * @param threads only these; null: all that the lens holds
 */
export async function entryCountByThread(
  db: Database,
  { lens, context, reader, threads }: Counted & { threads: readonly number[] | null },
): Promise<ThreadCount[]> {
  const { from, where } = lensWhere(countedLens(lens), context, reader)
  if (threads) where.add(`e.thread_id = ANY(${where.bind(threads)}::bigint[])`)
  const [columns, group] =
    lens.unit === 'threads'
      ? [
          `1 AS count, CASE WHEN t.state = 'open' THEN t.due_at END AS "dueAt", ${failedReply} AS "notSent"`,
          '',
        ]
      : [`count(*) AS count, NULL::timestamptz AS "dueAt", false AS "notSent"`, 'GROUP BY e.thread_id']
  return db.rows<ThreadCount>(
    `SELECT e.thread_id AS thread, ${columns} FROM ${from} WHERE ${where.toString()} ${group}`,
    where.values,
  )
}

/** From roll-ups, which are a hundredth of the rows; null where they cannot tell. A range begins and ends with an hour. */
async function countRollups(db: Database, { lens, context, reader }: Counted): Promise<number | null> {
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
