import { ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type CountAnswer, type EntryRow } from '@murrabel/contract'
import { call, CallProblem } from '../api/call.ts'

const pageSize = 60

const folding = (fold: boolean): [string, string][] => (fold ? [['fold', '1']] : [])
/** The pairs that ask for the first rows of a lens. */
export const firstRows = (query: readonly [string, string][], { fold = false } = {}): [string, string][] => [
  ...query,
  ...folding(fold),
  ['limit', String(pageSize)],
]

/** The rows of a lens, fetched page by page as they are scrolled to. A late answer never overwrites a newer one. */
export function useEntryList(
  query: Ref<[string, string][]>,
  { fold = ref(false) }: { fold?: Ref<boolean> } = {},
) {
  const rows = shallowRef<EntryRow[]>([])
  const count = ref<CountAnswer | null>(null)
  const loading = ref(true)
  const problem = ref<CallProblem | null>(null)
  let next: string | null = null
  let run = 0
  let abort = new AbortController()

  async function fetchPage(first: boolean): Promise<void> {
    const mine = first ? ++run : run
    if (first) {
      abort.abort()
      abort = new AbortController()
      next = null
    }
    loading.value = true
    const pairs = firstRows(query.value, { fold: fold.value })
    if (!first && next) pairs.push(['after', next])
    try {
      const page = await call(routes.entries, { query: pairs, signal: abort.signal })
      if (mine !== run) return
      rows.value = first ? page.rows : [...rows.value, ...page.rows]
      next = page.next
      problem.value = null
    } catch (error) {
      if (mine === run && error instanceof CallProblem) problem.value = error
    } finally {
      if (mine === run) loading.value = false
    }
  }

  let countRun = 0
  async function fetchCount(): Promise<void> {
    const mine = ++countRun
    try {
      const answer = await call(routes.entryCount, { query: query.value })
      if (mine === countRun) count.value = answer
    } catch {
      // The list shows the same problem.
    }
  }

  async function load(): Promise<void> {
    await Promise.all([fetchPage(true), fetchCount()])
  }
  async function more(): Promise<void> {
    if (next && !loading.value) await fetchPage(false)
  }
  /** Looks again at everything shown so far, keeping the rows on screen until the answer is there. */
  async function refresh(): Promise<void> {
    const mine = ++run
    const shown = Math.max(pageSize, rows.value.length)
    let after: string | null = null
    let fresh: EntryRow[] = []
    try {
      do {
        const pairs: [string, string][] = [
          ...query.value,
          ...folding(fold.value),
          ['limit', String(Math.min(200, shown - fresh.length))],
        ]
        if (after) pairs.push(['after', after])
        const page: { rows: EntryRow[]; next: string | null } = await call(routes.entries, { query: pairs })
        fresh = [...fresh, ...page.rows]
        after = page.next
      } while (after && fresh.length < shown)
      if (mine !== run) return
      rows.value = fresh
      next = after
      loading.value = false
    } catch (error) {
      if (mine === run && error instanceof CallProblem) problem.value = error
    }
    await fetchCount()
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
    change,
    fetchCount,
    hasMore: () => next !== null,
  }
}
