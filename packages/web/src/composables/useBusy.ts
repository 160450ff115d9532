import { ref } from 'vue'
import { CallProblem } from '../api/call.ts'

/** Work that a person waits for: whether it is under way, and why it was refused. What is a fault is thrown on. */
export function useBusy() {
  const busy = ref(false)
  const problem = ref<CallProblem | null>(null)
  async function run(work: () => Promise<unknown>): Promise<void> {
    busy.value = true
    problem.value = null
    try {
      await work()
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      problem.value = error
    } finally {
      busy.value = false
    }
  }
  return { busy, problem, run }
}
