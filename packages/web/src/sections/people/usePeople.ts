import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type PeopleAnswer, type PersonRow } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useCount } from '../../composables/useCount.ts'

/** People under a lens, page after page. A late answer never overwrites a newer one. */
export function usePeople(query: Ref<[string, string][]>) {
  const rows = shallowRef<PersonRow[]>([])
  const { count, fetchCount } = useCount(routes.peopleCount, query)
  const total = computed(() => count.value?.count ?? null)
  const loading = ref(true)
  const problem = ref<CallProblem | null>(null)
  let next: string | null = null
  let run = 0
  let more: Promise<void> | null = null

  const ask = (after: string | null): Promise<PeopleAnswer> =>
    call(routes.people, { query: after === null ? query.value : [...query.value, ['after', after]] })

  async function take(work: (mine: number) => Promise<void>): Promise<void> {
    const mine = run
    try {
      await work(mine)
      if (mine === run) problem.value = null
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      if (mine === run) problem.value = error
    } finally {
      if (mine === run) loading.value = false
    }
  }
  /** As many rows as there are, or the first page. */
  async function load(): Promise<void> {
    run++
    more = null
    const wanted = rows.value.length
    void fetchCount()
    await take(async (mine) => {
      let page = await ask(null)
      const fresh = [...page.rows]
      while (page.next !== null && fresh.length < wanted) {
        page = await ask(page.next)
        fresh.push(...page.rows)
      }
      if (mine !== run) return
      rows.value = fresh
      next = page.next
    })
  }
  function loadMore(): Promise<void> {
    if (next === null) return Promise.resolve()
    more ??= take(async (mine) => {
      const page = await ask(next)
      if (mine !== run) return
      const known = new Set(rows.value.map(({ id }) => id))
      rows.value = [...rows.value, ...page.rows.filter(({ id }) => !known.has(id))]
      next = page.next
    }).finally(() => (more = null))
    return more
  }
  watch(
    () => JSON.stringify(query.value),
    () => {
      rows.value = []
      loading.value = true
      void load()
    },
    { immediate: true },
  )
  return { rows, total, loading, problem, load, more: loadMore }
}
