import { ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type PersonCard } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'

/** The card of the person that is open; the earlier one stays until it is there. */
export function usePerson(id: Ref<number | null>) {
  const person = shallowRef<PersonCard | null>(null)
  const problem = ref<CallProblem | null>(null)
  let run = 0
  async function load(): Promise<void> {
    const mine = ++run
    if (id.value === null) {
      person.value = null
      return
    }
    try {
      const card = await call(routes.person, { params: { id: id.value } })
      if (mine !== run) return
      person.value = card
      problem.value = null
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      if (mine !== run) return
      problem.value = error
      person.value = null
    }
  }
  watch(id, load, { immediate: true })
  return { person, problem, load }
}
