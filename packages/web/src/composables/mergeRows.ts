import type { LensOrder } from '@murrabel/core/lens'
import type { EntryRow } from '@murrabel/contract'

type Compare = (a: EntryRow, b: EntryRow) => number

const time = (at: string | null) => (at === null ? Infinity : Date.parse(at))
/** The orders of the server, of which each is told by what stands in a row. */
const orders: Partial<Record<LensOrder, Compare>> = {
  newest: (a, b) => time(b.at) - time(a.at) || b.id - a.id,
  oldest: (a, b) => time(a.at) - time(b.at) || a.id - b.id,
  pressing: (a, b) => time(a.pressingAt) - time(b.pressingAt) || a.id - b.id,
  reach: (a, b) => b.reach - a.reach || b.id - a.id,
}

/** Whether rows of this order can be put in their place one by one; those ranked against each other cannot. */
export const canMerge = (order: LensOrder): boolean => orders[order] !== undefined

export interface Merge {
  order: LensOrder
  /** The threads that were looked at again. */
  threads: ReadonlySet<number>
  /** The stories that were looked at again, where copies are folded: each has one row. */
  stories?: ReadonlySet<number>
  /** Whether rows follow that were not fetched yet: what belongs among them stays out. */
  hasMore: boolean
}

/**
 * Rows after some threads were looked at again: theirs as they are now, in their places, those that left the lens gone.
 *
 * @param rows what is shown, in order
 * @param fresh the rows of these threads that the lens holds now
 */
export function mergeRows(
  rows: readonly EntryRow[],
  fresh: readonly EntryRow[],
  { order, threads, stories = new Set(), hasMore }: Merge,
): EntryRow[] {
  const compare = orders[order]!
  const last = rows[rows.length - 1]
  const fitting = hasMore && last ? fresh.filter((row) => compare(row, last) <= 0) : fresh
  const renewed = new Set(fitting.map(({ id }) => id))
  const kept = rows.filter(
    ({ id, threadId, storyId }) =>
      !threads.has(threadId) && !renewed.has(id) && !(storyId !== null && stories.has(storyId)),
  )
  return [...kept, ...fitting].sort(compare)
}
