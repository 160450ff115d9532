import { ref, shallowRef } from 'vue'
import type { EntryPage, EntryRow } from '@murrabel/contract'
import { CallProblem } from '../api/call.ts'

/**
 * Rows on the screen, and where the next page begins. A late answer never overwrites a newer one.
 *
 * @param first the first page, where the application came with it
 */
export function useRowPages(first?: EntryPage) {
  const rows = shallowRef<EntryRow[]>(first?.rows ?? [])
  const loading = ref(!first)
  const problem = ref<CallProblem | null>(null)
  let next: string | null = first?.next ?? null
  let run = 0
  let taking = Promise.resolve()

  /** A new question: answers to earlier ones are void. */
  function begin({ keep = false }: { keep?: boolean } = {}): void {
    run++
    if (!keep) next = null
  }
  /** Puts an answer on the screen, unless a newer question was asked meanwhile. */
  const take = (answer: Promise<EntryPage>, put: (page: EntryPage) => void): Promise<void> =>
    (taking = takeNow(answer, put))
  async function takeNow(answer: Promise<EntryPage>, put: (page: EntryPage) => void): Promise<void> {
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
  return {
    rows,
    loading,
    problem,
    begin,
    take,
    /** When what was asked last is on the screen. */
    settled: () => taking,
    run: () => run,
    next: () => next,
    hasMore: () => next !== null,
  }
}
