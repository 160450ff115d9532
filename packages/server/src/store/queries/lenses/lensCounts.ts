import { instantsOf, lensTest, type Lens, type LensContext } from '@murrabel/core/lens'
import type { WorkCount } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from '../entries/lensWhere.ts'

export interface OpenWork {
  whole: WorkCount
  none: WorkCount
  again: WorkCount
  lenses: WorkCount[]
}

/**
 * What each of some lenses shows of the threads of another: every thread is looked at once, with all lenses in hand.
 *
 * @param whole a lens over threads
 * @param lenses lenses over threads
 */
export async function openWork(
  db: Database,
  {
    whole,
    lenses,
    context,
    reader,
  }: { whole: Lens; lenses: readonly Lens[]; context: LensContext; reader: Reader },
): Promise<OpenWork> {
  const { from, where } = lensWhere({ ...whole, order: 'pressing' }, context, reader)
  const bind = (value: unknown) => where.bind(value)
  const tests = lenses.map((lens) => lensTest(lens, context).sql({ bind }))
  const today = instantsOf({ last: 1 }, context)!
  const now = bind(new Date(context.now))
  const midnight = bind(new Date(today.to))
  // Which of them show a thread is one number, a bit for each: threads that are shown by the same are counted together,
  // and what is summed for each lens are these few groups, not the threads.
  const masks = chunked(tests).map(
    (chunk, m) => `(${chunk.map((test, i) => `((${test})::int::bigint << ${i})`).join(' | ')}) AS m${m}`,
  )
  const names = masks.map((_, m) => `m${m}`)
  const rows = await db.rows<Group>(
    `SELECT ARRAY[${names.join(', ')}]::bigint[]::text[] AS masks, count(*)::int AS count,
       count(*) FILTER (WHERE due < ${now}::timestamptz)::int AS "pastDue",
       count(*) FILTER (WHERE due >= ${now}::timestamptz AND due < ${midnight}::timestamptz)::int AS "dueToday"
     FROM (SELECT t.due_at AS due${masks.map((mask) => `, ${mask}`).join('')} FROM ${from} WHERE ${where.toString()}) open
     ${names.length ? `GROUP BY ${names.join(', ')}` : ''}`,
    where.values,
  )
  return sumsOf(rows, lenses.length)
}

/** Bits that a number of PostgreSQL has room for. */
const bits = 60

const chunked = (tests: readonly string[]): string[][] =>
  Array.from({ length: Math.ceil(tests.length / bits) }, (_, m) => tests.slice(m * bits, (m + 1) * bits))

/** Threads that the same lenses show. */
interface Group extends WorkCount {
  masks: string[]
}

/** What each lens shows, what none does, and what is shown more than once, from threads by which lenses show them. */
function sumsOf(groups: readonly Group[], lenses: number): OpenWork {
  const zero = (): WorkCount => ({ count: 0, pastDue: 0, dueToday: 0 })
  const work: OpenWork = {
    whole: zero(),
    none: zero(),
    again: zero(),
    lenses: Array.from({ length: lenses }, zero),
  }
  const add = (to: WorkCount, { count, pastDue, dueToday }: WorkCount, times = 1): void => {
    to.count += times * count
    to.pastDue += times * pastDue
    to.dueToday += times * dueToday
  }
  for (const group of groups) {
    const masks = group.masks.map(BigInt)
    const shown = work.lenses.filter(
      (_, i) => ((masks[Math.floor(i / bits)]! >> BigInt(i % bits)) & 1n) === 1n,
    )
    add(work.whole, group)
    if (!shown.length) add(work.none, group)
    if (shown.length > 1) add(work.again, group, shown.length - 1)
    for (const lens of shown) add(lens, group)
  }
  return work
}
