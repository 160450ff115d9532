import { shallowRef, type Ref } from 'vue'
import { useTimeoutFn } from '@vueuse/core'
import type { Route } from '@murrabel/contract'
import { call } from '../api/call.ts'

const againMs = 5_000

/**
 * What is counted beside a list; a late answer never overwrites a newer one.
 *
 * @param known what is known of it before it is asked for
 */
export function useCount<Answer>(
  route: Route<undefined, Answer>,
  query: Ref<[string, string][]>,
  known: Answer | null = null,
) {
  const count = shallowRef(known)
  let run = 0
  async function fetchCount(): Promise<void> {
    const mine = ++run
    try {
      const answer = await call(route, { query: query.value })
      if (mine === run) count.value = answer
    } catch {
      // The list shows the same problem; one that failed alone is asked for again.
      if (mine === run) again.start()
    }
  }
  const again = useTimeoutFn(() => void fetchCount(), againMs, { immediate: false })
  return { count, fetchCount }
}
