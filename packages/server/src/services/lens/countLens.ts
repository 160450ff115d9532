import { instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import type { CountAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { entryCount, entryCountByThread, type ThreadCount } from '../../store/queries/entries/entryCount.ts'

type Parts = Pick<Context, 'db' | 'live' | 'keptCounts'>

/**
 * How many a lens shows. Asked again while somebody looks at it, a count is changed by the threads that notices have named.
 *
 * @param key of the question; two with one key are the caller's to keep from overlapping
 */
export async function countLens(
  { db, live, keptCounts }: Parts,
  counted: { lens: Lens; context: LensContext; reader: Reader },
  key: string,
): Promise<CountAnswer> {
  const { lens, context, reader } = counted
  const whole = () => entryCount(db, counted)
  // Without notices nothing is known about what changes; what no lens shows changes with the lenses as well.
  if (!live.connected || lens.uncaught) return whole()
  return keptCounts.ask<ThreadCount, CountAnswer>({
    // A range that moves with the day is another question on the next.
    key: `${key} ${instantsOf(lens.range, context)?.from ?? ''}`,
    brandId: reader.brandId,
    now: context.now,
    whole,
    size: ({ count }) => count,
    byThread: (threads) => entryCountByThread(db, { ...counted, threads }),
    sum: (rows) => sumOf(rows, context.now),
  })
}

/** What threads add up to, as of a moment. */
export function sumOf(counts: Iterable<ThreadCount>, now: number): CountAnswer {
  const answer = { count: 0, pastDue: 0, notSent: 0 }
  for (const { count, dueAt, notSent } of counts) {
    answer.count += count
    if (dueAt !== null && dueAt.getTime() < now) answer.pastDue++
    if (notSent) answer.notSent++
  }
  return answer
}
