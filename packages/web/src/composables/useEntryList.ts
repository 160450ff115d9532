import { ref, shallowRef, watch, type Ref } from 'vue'
import type { EntryPage, EntryRow } from '@murrabel/contract'
import { CallProblem } from '../api/call.ts'
import { askRows, askShown, pageSize, type Pairs } from './askRows.ts'
import { useEntryCount } from './useEntryCount.ts'
import { useRowTouch } from './useRowTouch.ts'

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
  const touch = useRowTouch({ query, fold, rows, refresh, run: () => run, hasMore: () => next !== null })
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
