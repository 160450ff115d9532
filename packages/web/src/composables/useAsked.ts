import { ref, shallowRef, watch, type Ref } from 'vue'
import type { Route } from '@murrabel/contract'
import { call, CallProblem } from '../api/call.ts'

type Pairs = [string, string][]

/**
 * An answer that follows a question: asked again when the question changes, null for none. A late answer never overwrites
 * a newer one, and the old answer stays on screen until the new one is there.
 */
export function useAsked<Answer>(route: Route<undefined, Answer>, question: Ref<Pairs | null>) {
  const answer = shallowRef<Answer | null>(null)
  const loading = ref(false)
  const problem = ref<CallProblem | null>(null)
  let run = 0
  let abort = new AbortController()

  async function load(): Promise<void> {
    const query = question.value
    const mine = ++run
    abort.abort()
    abort = new AbortController()
    if (!query) {
      loading.value = false
      answer.value = null
      problem.value = null
      return
    }
    loading.value = true
    try {
      const fresh = await call(route, { query, signal: abort.signal })
      if (mine !== run) return
      answer.value = fresh
      problem.value = null
    } catch (error) {
      if (mine !== run || !(error instanceof CallProblem)) return
      problem.value = error
      answer.value = null
    } finally {
      if (mine === run) loading.value = false
    }
  }
  watch(
    question,
    (now, before) => {
      if (JSON.stringify(now) !== JSON.stringify(before)) void load()
    },
    { immediate: true },
  )
  return { answer, loading, problem, load }
}
