import { ref, shallowRef, watch, type Ref } from 'vue'
import { lensOrders, type LensOrder } from '@murrabel/core/lens'
import { limits, routes, type EntryPage, type EntryRow } from '@murrabel/contract'
import { call, CallProblem } from '../api/call.ts'
import { canMerge, mergeRows } from './mergeRows.ts'
import { useEntryCount } from './useEntryCount.ts'

type Pairs = [string, string][]

const pageSize = 60
/** Rows that are asked for at once when all that is shown is looked at again. */
const refreshSize = 200

interface RowsAsked {
  fold?: boolean
  /** Rows of these threads only. */
  threads?: readonly number[]
  limit?: number
  after?: string | null
}
/** The pairs that ask for rows of a lens, the first ones unless it is said after which. */
export const firstRows = (
  query: readonly [string, string][],
  { fold = false, limit = pageSize, after = null, threads = [] }: RowsAsked = {},
): Pairs => [
  ...query,
  ...(fold ? ([['fold', '1']] as Pairs) : []),
  ['limit', String(limit)],
  ...(after ? ([['after', after]] as Pairs) : []),
  ...(threads.length ? ([['threads', threads.join(',')]] as Pairs) : []),
]

/** The order that a lens is asked for in. */
function orderOf(query: Pairs): LensOrder {
  const asked = query.find(([name]) => name === 'order')?.[1]
  return lensOrders.find((each) => each === asked) ?? 'newest'
}

const askRows = (query: Pairs, asked: RowsAsked, signal?: AbortSignal): Promise<EntryPage> =>
  call(routes.entries, { query: firstRows(query, asked), signal })

/** As many rows as are shown now, and where the next begin. */
async function askShown(query: Pairs, { fold, shown }: { fold: boolean; shown: number }): Promise<EntryPage> {
  const rows: EntryRow[] = []
  let next: string | null = null
  do {
    const limit = Math.min(refreshSize, shown - rows.length)
    const page: EntryPage = await askRows(query, { fold, limit, after: next })
    rows.push(...page.rows)
    next = page.next
  } while (next && rows.length < shown)
  return { rows, next }
}

/** The rows of a lens, fetched page by page as they are scrolled to. A late answer never overwrites a newer one. */
export function useEntryList(query: Ref<Pairs>, { fold = ref(false) }: { fold?: Ref<boolean> } = {}) {
  const rows = shallowRef<EntryRow[]>([])
  const { count, fetchCount } = useEntryCount(query)
  const loading = ref(true)
  const problem = ref<CallProblem | null>(null)
  let next: string | null = null
  let run = 0
  let abort = new AbortController()

  /** Puts an answer on the screen, unless a newer question was asked meanwhile. */
  async function take(answer: Promise<EntryPage>, put: (page: EntryPage) => void): Promise<void> {
    const mine = run
    try {
      const page = await answer
      if (mine !== run) return
      put(page)
      next = page.next
      problem.value = null
    } catch (error) {
      if (mine === run && error instanceof CallProblem) problem.value = error
    } finally {
      if (mine === run) loading.value = false
    }
  }
  const put = (page: EntryPage): void => void (rows.value = page.rows)
  async function load(): Promise<void> {
    run++
    abort.abort()
    abort = new AbortController()
    next = null
    loading.value = true
    await Promise.all([take(askRows(query.value, { fold: fold.value }, abort.signal), put), fetchCount()])
  }
  async function more(): Promise<void> {
    if (!next || loading.value) return
    loading.value = true
    const answer = askRows(query.value, { fold: fold.value, after: next }, abort.signal)
    await take(answer, (page) => (rows.value = [...rows.value, ...page.rows]))
  }
  /** Looks again at everything shown so far, keeping the rows on screen until the answer is there. */
  async function refresh(): Promise<void> {
    run++
    const shown = Math.max(pageSize, rows.value.length)
    await take(askShown(query.value, { fold: fold.value, shown }), put)
    await fetchCount()
  }
  let touching = Promise.resolve()
  /**
   * Looks again at the rows of some threads, when a list has places for single rows; else, and for too many, at all. One
   * after the other, so that the last answer is the newest.
   */
  const touch = (threads: readonly number[]): Promise<void> =>
    (touching = touching.then(() => touchNow(threads)))
  async function touchNow(threads: readonly number[]): Promise<void> {
    const order = orderOf(query.value)
    if (!threads.length || threads.length > limits.threadsAsked || fold.value || !canMerge(order))
      return refresh()
    const mine = run
    const answer = askRows(query.value, { threads, limit: limits.pageRows })
    const page = await answer.catch(() => null)
    if (mine !== run) return
    if (!page || page.next) return refresh()
    const merge = { order, threads: new Set(threads), hasMore: next !== null }
    rows.value = mergeRows(rows.value, page.rows, merge)
  }
  function change(id: number, part: Partial<EntryRow>): void {
    rows.value = rows.value.map((row) => (row.id === id ? { ...row, ...part } : row))
  }
  watch([query, fold], (now, before) => {
    if (JSON.stringify(now) !== JSON.stringify(before)) void load()
  })
  return {
    rows,
    count,
    loading,
    problem,
    load,
    more,
    refresh,
    touch,
    change,
    fetchCount,
    hasMore: () => next !== null,
  }
}
