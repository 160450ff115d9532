import { ref, watch, type Ref } from 'vue'
import { routes, type EntryPage, type EntryRow } from '@murrabel/contract'
import { addressOf } from '../api/call.ts'
import { useKnown } from '../firstScreen/known.ts'
import { askRows, askShown, firstRows, pageSize, type Pairs } from './askRows.ts'
import { useEntryCount } from './useEntryCount.ts'
import { useRowPages } from './useRowPages.ts'
import { useRowTouch } from './useRowTouch.ts'

/** The rows of a lens, fetched page by page as they are scrolled to. A late answer never overwrites a newer one. */
export function useEntryList(query: Ref<Pairs>, { fold = ref(false) }: { fold?: Ref<boolean> } = {}) {
  const known = useKnown<EntryPage>()
  const pages = useRowPages(
    known(addressOf(routes.entries, { query: firstRows(query.value, { fold: fold.value }) })),
  )
  const { rows, loading, problem, take } = pages
  const { count, fetchCount } = useEntryCount(query)
  let abort = new AbortController()

  const put = (page: EntryPage): void => void (rows.value = page.rows)
  const touch = useRowTouch({
    query,
    fold,
    rows,
    refresh,
    settled: pages.settled,
    run: pages.run,
    hasMore: pages.hasMore,
  })
  async function load(): Promise<void> {
    pages.begin()
    abort.abort()
    abort = new AbortController()
    loading.value = true
    await Promise.all([take(askRows(query.value, { fold: fold.value }, abort.signal), put), fetchCount()])
  }
  async function more(): Promise<void> {
    const after = pages.next()
    if (!after || loading.value) return
    loading.value = true
    const answer = askRows(query.value, { fold: fold.value, after }, abort.signal)
    await take(answer, (page) => (rows.value = [...rows.value, ...page.rows]))
  }
  /** Looks again at everything shown so far, keeping the rows on screen until the answer is there. */
  async function refresh(): Promise<void> {
    pages.begin({ keep: true })
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
    hasMore: pages.hasMore,
  }
}
