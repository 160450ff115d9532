import { ref, type Ref } from 'vue'
import { useTimeoutFn } from '@vueuse/core'
import { routes, type CountAnswer } from '@murrabel/contract'
import { addressOf, call } from '../api/call.ts'
import { useKnown } from '../firstScreen/known.ts'

const againMs = 5_000

/** How many a lens has; a late answer never overwrites a newer one. */
export function useEntryCount(query: Ref<[string, string][]>) {
  const known = useKnown<CountAnswer>()(addressOf(routes.entryCount, { query: query.value }))
  const count = ref<CountAnswer | null>(known ?? null)
  let run = 0
  async function fetchCount(): Promise<void> {
    const mine = ++run
    try {
      const answer = await call(routes.entryCount, { query: query.value })
      if (mine === run) count.value = answer
    } catch {
      // The list shows the same problem; one that failed alone is asked for again.
      if (mine === run) again.start()
    }
  }
  const again = useTimeoutFn(() => void fetchCount(), againMs, { immediate: false })
  return { count, fetchCount }
}
