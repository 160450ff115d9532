import type { Lens, LensContext } from '@murrabel/core/lens'
import type { SentimentCounts } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere, timeColumn } from './lensWhere.ts'
import { rollupWhere } from './rollupWhere.ts'
import type { Where } from '../shared/where.ts'

export interface TideRow extends SentimentCounts {
  /** Which of the buckets, from 0. */
  bucket: number
}

interface TideQuestion {
  lens: Lens
  context: LensContext
  reader: Reader
  /** Where the buckets begin, epoch milliseconds, ascending; at hours of the brand's clock or of UTC. */
  starts: readonly number[]
  /** End of the last bucket. */
  to: number
}

/** Entries of a lens by bucket and sentiment; buckets without any are left out. The lens's own time range is left aside. */
export async function tide(db: Database, question: TideQuestion): Promise<TideRow[]> {
  if (!question.starts.length) return []
  return (await countRollups(db, question)) ?? (await countEntries(db, question))
}

/** Counts by sentiment, grouped by one number alone: sorting by names of sentiments costs as much as finding the rows. */
const countsOf = (n: (sentiment: string) => string) =>
  ['positive', 'neutral', 'negative', 'unread'].map((name) => `${n(name)} AS ${name}`).join(', ')

/** Which bucket an instant lies in, from 0. */
export const bucketOf = (column: string, starts: readonly number[], where: Where) =>
  `width_bucket(${column}, ${where.bind(starts.map((at) => new Date(at)))}::timestamptz[]) - 1`

/** Counts of roll-ups r. */
export const rollupCounts = countsOf((name) => `coalesce(sum(r.n) FILTER (WHERE r.sentiment = '${name}'), 0)`)

/** Null when the roll-ups do not tell apart what the lens asks for, or its hours. */
async function countRollups(
  db: Database,
  { lens, context, reader, starts, to }: TideQuestion,
): Promise<TideRow[] | null> {
  const rollups = rollupWhere(lens, context, reader, { from: starts[0]!, to })
  if (!rollups) return null
  const { table, where } = rollups
  return db.replica.rows<TideRow>(
    `SELECT ${bucketOf('r.hour', starts, where)} AS bucket,
       ${rollupCounts}
     FROM ${table} r JOIN profiles p ON p.id = r.profile_id
     WHERE ${where.toString()}
     GROUP BY 1 HAVING sum(r.n) > 0 ORDER BY 1`,
    where.values,
  )
}

function countEntries(db: Database, { lens, context, reader, starts, to }: TideQuestion): Promise<TideRow[]> {
  const { from: tables, where } = lensWhere({ ...lens, range: null }, context, reader)
  const at = timeColumn(lens)
  where.add(`${at} >= ${where.bind(new Date(starts[0]!))} AND ${at} < ${where.bind(new Date(to))}`)
  return db.replica.rows<TideRow>(
    `SELECT ${bucketOf(at, starts, where)} AS bucket,
       ${countsOf((name) => `count(*) FILTER (WHERE e.sentiment = '${name}')`)}
     FROM ${tables} WHERE ${where.toString()}
     GROUP BY 1 ORDER BY 1`,
    where.values,
  )
}
