import { ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type ThreadAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'

/** So many threads are held; the oldest goes first. */
const heldLimit = 12

/**
 * The thread that is open; a late answer never overwrites a newer one. Threads one may step to next are fetched ahead:
 * such a thread is shown at once, and looked at again.
 *
 * @param neighbours the threads before and after the open one
 */
export function useThread(
  id: Ref<number | null>,
  { neighbours = () => [] }: { neighbours?: () => number[] } = {},
) {
  const thread = shallowRef<ThreadAnswer | null>(null)
  const problem = ref<CallProblem | null>(null)
  const held = new Map<number, ThreadAnswer>()
  let run = 0

  function hold(answer: ThreadAnswer): void {
    held.delete(answer.id)
    held.set(answer.id, answer)
    if (held.size > heldLimit) held.delete(held.keys().next().value!)
  }
  async function fetchAhead(): Promise<void> {
    for (const next of neighbours().filter((each) => !held.has(each)))
      await call(routes.thread, { params: { id: next } }).then(hold, () => {
        // Whoever steps there sees the problem.
      })
  }
  async function load(): Promise<void> {
    const mine = ++run
    if (id.value === null) {
      thread.value = null
      return
    }
    try {
      const answer = await call(routes.thread, { params: { id: id.value } })
      if (mine !== run) return
      thread.value = answer
      problem.value = null
      hold(answer)
      void fetchAhead()
    } catch (error) {
      if (mine !== run || !(error instanceof CallProblem)) return
      problem.value = error
      thread.value = null
    }
  }
  watch(
    id,
    (now) => {
      const ahead = now === null ? undefined : held.get(now)
      if (ahead) thread.value = ahead
      void load()
    },
    { immediate: true },
  )
  return { thread, problem, load, fetchAhead }
}
