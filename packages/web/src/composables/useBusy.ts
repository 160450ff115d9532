import { ref } from 'vue'
import type { AnySchema } from 'yup'
import { draftProblems, type FieldProblem } from '@murrabel/contract'
import { CallProblem } from '../api/call.ts'

/**
 * Work that a person waits for: whether it is under way, why it was refused, and which fields are to be mended. What is a
 * fault is thrown on.
 */
export function useBusy() {
  const busy = ref(false)
  const problem = ref<CallProblem | null>(null)
  const fields = ref<FieldProblem[]>([])
  function forget(): void {
    problem.value = null
    fields.value = []
  }
  async function run(work: () => Promise<unknown>): Promise<void> {
    forget()
    busy.value = true
    try {
      await work()
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      problem.value = error
      fields.value = error.problem.fields ?? []
    } finally {
      busy.value = false
    }
  }
  /** Whether a draft may be sent: checked here as the server will check it. */
  function check(schema: AnySchema, draft: unknown): boolean {
    forget()
    fields.value = draftProblems(schema, draft)
    return fields.value.length === 0
  }
  return { busy, problem, fields, run, check, forget }
}
