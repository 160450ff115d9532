import { computed, ref, type ComputedRef, type Ref, type ShallowRef, shallowRef } from 'vue'
import type { FieldProblem } from '@murrabel/contract'
import { CallProblem } from '../api/call.ts'

export interface Trial<Question, Answer> {
  /** What the last trial found; null before one. */
  answer: ShallowRef<Answer | null>
  /** Whether what is asked has changed since it was tried. */
  stale: ComputedRef<boolean>
  busy: Ref<'try' | 'save' | null>
  problem: Ref<CallProblem | null>
  fields: Ref<FieldProblem[]>
  /** Asks; a later question makes an earlier one's answer void. */
  attempt: (ask: () => Promise<Answer>) => Promise<void>
  save: (work: () => Promise<void>) => Promise<void>
  clear: () => void
  /** What is asked now. */
  question: () => Question
}

/**
 * A sheet whose subject is tried on the past before it is saved.
 *
 * @param options.question what would be tried, as plain values
 * @param options.ready takes over what still stands in the fields; false when something is wrong there
 */
export function useTrial<Question, Answer>({
  question,
  ready = () => true,
}: {
  question: () => Question
  ready?: () => boolean
}): Trial<Question, Answer> {
  const answer = shallowRef<Answer | null>(null)
  const tried = ref('')
  const busy = ref<'try' | 'save' | null>(null)
  const problem = ref<CallProblem | null>(null)
  const fields = ref<FieldProblem[]>([])
  let runs = 0

  const forget = () => {
    problem.value = null
    fields.value = []
  }
  async function run(what: 'try' | 'save', work: () => Promise<void>): Promise<void> {
    forget()
    if (!ready()) return
    busy.value = what
    try {
      await work()
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      problem.value = error
      fields.value = error.problem.fields ?? []
    } finally {
      busy.value = null
    }
  }
  return {
    answer,
    stale: computed(() => answer.value !== null && tried.value !== JSON.stringify(question())),
    busy,
    problem,
    fields,
    question,
    attempt: (ask) =>
      run('try', async () => {
        const mine = ++runs
        const asked = JSON.stringify(question())
        const found = await ask()
        if (mine !== runs) return
        answer.value = found
        tried.value = asked
      }),
    save: (work) => run('save', work),
    clear() {
      runs++
      answer.value = null
      forget()
    },
  }
}
