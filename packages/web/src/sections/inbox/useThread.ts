import { ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type ThreadAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'

/** The thread that is open; a late answer never overwrites a newer one. */
export function useThread(id: Ref<number | null>) {
  const thread = shallowRef<ThreadAnswer | null>(null)
  const problem = ref<CallProblem | null>(null)
  let run = 0

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
    } catch (error) {
      if (mine !== run || !(error instanceof CallProblem)) return
      problem.value = error
      thread.value = null
    }
  }
  watch(id, () => void load(), { immediate: true })
  return { thread, problem, load }
}
