import type { Ref, ShallowRef } from 'vue'
import { limits, type EntryRow } from '@murrabel/contract'
import { askRows, orderOf, type Pairs } from './askRows.ts'
import { canMerge, mergeRows } from './mergeRows.ts'

interface Touched {
  query: Ref<Pairs>
  fold: Ref<boolean>
  rows: ShallowRef<EntryRow[]>
  /** Looks at everything again. */
  refresh: () => Promise<void>
  /** When what was asked before is on the screen: it may be older than what is looked at now. */
  settled: () => Promise<void>
  /** Which question the rows answer; another one makes an answer void. */
  run: () => number
  hasMore: () => boolean
}

const storiesOf = (rows: readonly EntryRow[]): number[] => [
  ...new Set(rows.flatMap(({ storyId }) => storyId ?? [])),
]

/**
 * Looks again at the rows of some threads, when a list has places for single rows; else, and for too many, at all. One
 * after the other, so that the last answer is the newest.
 */
export function useRowTouch({ query, fold, rows, refresh, settled, run, hasMore }: Touched) {
  async function touchNow(threads: readonly number[]): Promise<void> {
    const order = orderOf(query.value)
    if (!threads.length || threads.length > limits.threadsAsked || !canMerge(order)) return refresh()
    await settled()
    const mine = run()
    const touched = new Set(threads)
    const stories = fold.value ? storiesOf(rows.value.filter(({ threadId }) => touched.has(threadId))) : []
    const asked = { fold: fold.value, threads, stories, limit: limits.pageRows }
    const page = await askRows(query.value, asked).catch(() => null)
    if (mine !== run()) return
    if (!page || page.next) return refresh()
    rows.value = mergeRows(rows.value, page.rows, {
      order,
      threads: touched,
      stories: new Set(fold.value ? [...stories, ...storiesOf(page.rows)] : []),
      hasMore: hasMore(),
    })
  }
  let touching = Promise.resolve()
  return (threads: readonly number[]): Promise<void> => (touching = touching.then(() => touchNow(threads)))
}
