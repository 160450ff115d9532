import { instantsOf, lensTest, type Lens, type LensContext } from '@murrabel/core/lens'
import type { WorkCount } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from '../entries/lensWhere.ts'
import type { Where } from '../shared/where.ts'

export interface OpenWork {
  whole: WorkCount
  none: WorkCount
  again: WorkCount
  lenses: WorkCount[]
}

/** What is asked: each of some lenses over threads, of the threads of another. */
export interface WorkAsked {
  whole: Lens
  lenses: readonly Lens[]
  context: LensContext
  reader: Reader
}

/** A thread of the whole, by which of the lenses show it. */
export interface ThreadOfWork {
  thread: number
  /** A bit for each lens, in numbers of as many bits as PostgreSQL has room for: those lenses show it. */
  masks: string
  /** Milliseconds; null: nothing is due. */
  due: number | null
}

/**
 * What each of some lenses shows of the threads of another: every thread is looked at once, with all lenses in hand.
 * Threads that the same lenses show are counted together, and what is summed for each lens are these few groups.
 */
export async function openWork(db: Database, asked: WorkAsked): Promise<OpenWork> {
  const { source, where } = workOf(asked, null)
  const now = where.bind(new Date(asked.context.now))
  const midnight = where.bind(new Date(midnightOf(asked.context)))
  const groups = await db.rows<Group>(
    `SELECT masks, count(*)::int AS count,
       count(*) FILTER (WHERE due < ${now}::timestamptz)::int AS "pastDue",
       count(*) FILTER (WHERE due >= ${now}::timestamptz AND due < ${midnight}::timestamptz)::int AS "dueToday"
     FROM (${source}) open
     GROUP BY masks`,
    where.values,
  )
  return sumsOf(groups, asked.lenses.length)
}

/** The same, thread by thread. @param threads only these; null: all */
export function openWorkByThread(
  db: Database,
  asked: WorkAsked,
  threads: readonly number[] | null,
): Promise<ThreadOfWork[]> {
  const { source, where } = workOf(asked, threads)
  return db.rows<ThreadOfWork>(
    `SELECT thread, masks, (extract(epoch FROM due) * 1000)::float8 AS due
     FROM (${source}) open`,
    where.values,
  )
}

/** Adds up what was counted by thread, as of `context.now`. */
export function sumOfWork(
  rows: Iterable<ThreadOfWork>,
  { lenses, context }: Pick<WorkAsked, 'lenses' | 'context'>,
): OpenWork {
  const midnight = midnightOf(context)
  const groups = new Map<string, Group>()
  for (const { masks, due } of rows) {
    let group = groups.get(masks)
    if (!group) groups.set(masks, (group = { masks, count: 0, pastDue: 0, dueToday: 0 }))
    group.count++
    if (due === null) continue
    if (due < context.now) group.pastDue++
    else if (due < midnight) group.dueToday++
  }
  return sumsOf([...groups.values()], lenses.length)
}

const midnightOf = (context: LensContext): number => instantsOf({ last: 1 }, context)!.to

/** Each thread of the whole, with the bits of the lenses that show it. */
function workOf(
  { whole, lenses, context, reader }: WorkAsked,
  threads: readonly number[] | null,
): { source: string; where: Where } {
  const { where } = lensWhere({ ...whole, order: 'pressing' }, context, reader)
  const bind = (value: unknown) => where.bind(value)
  if (threads) where.add(`t.id = ANY(${bind(threads)}::bigint[])`)
  const tests = lenses.map((lens) => lensTest(lens, context).sql({ bind }))
  const masks = chunked(tests).map((chunk) =>
    chunk.map((test, i) => `((${test})::int::bigint << ${i})`).join(' | '),
  )
  // The lead of each thread is fetched by its key: a planner that knows nothing of how few the threads are would rather
  // walk over all entries there are.
  return {
    source: `SELECT t.id AS thread, t.due_at AS due, concat_ws(',', ${masks.map((mask) => `(${mask})`).join(', ') || `''`}) AS masks
      FROM threads t CROSS JOIN LATERAL (SELECT * FROM entries l WHERE l.id = t.lead_entry_id OFFSET 0) e
      WHERE ${where.toString()}`,
    where,
  }
}

/** Bits that a number of PostgreSQL has room for. */
const bits = 60

const chunked = (tests: readonly string[]): string[][] =>
  Array.from({ length: Math.ceil(tests.length / bits) }, (_, m) => tests.slice(m * bits, (m + 1) * bits))

/** Threads that the same lenses show. */
interface Group extends WorkCount {
  masks: string
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
    const masks = group.masks ? group.masks.split(',').map(BigInt) : []
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
