import { defineStore } from 'pinia'
import { ref } from 'vue'
import { routes, type KeptLens, type KeptLensDraft, type LensCounts } from '@murrabel/contract'
import { call } from '../api/call.ts'

/** The lenses that I keep and the team's, in my order, and what they show. */
export const useLenses = defineStore('lenses', () => {
  const lenses = ref<KeptLens[]>([])
  const counts = ref<LensCounts | null>(null)
  async function load(): Promise<void> {
    lenses.value = await call(routes.lenses)
  }
  async function count(): Promise<void> {
    counts.value = await call(routes.lensCounts)
  }
  const loadAll = async () => void (await Promise.all([load(), count()]))
  async function keep(draft: KeptLensDraft): Promise<void> {
    await call(routes.keepLens, { body: draft })
    await loadAll()
  }
  /** What stands there changes in these points. */
  async function change(
    { id, edition, name, lens, team }: KeptLens,
    part: Partial<KeptLensDraft>,
  ): Promise<KeptLens> {
    const changed = await call(routes.changeLens, {
      params: { id },
      body: { edition, name, lens, team, ...part },
    })
    await loadAll()
    return changed
  }
  async function remove({ id }: KeptLens): Promise<void> {
    await call(routes.removeLens, { params: { id } })
    await loadAll()
  }
  /** Puts one in the place of another; the list shows it at once. */
  async function move(from: number, to: number): Promise<void> {
    const next = [...lenses.value]
    const [moved] = next.splice(from, 1)
    if (!moved || to < 0 || to > next.length) return
    next.splice(to, 0, moved)
    lenses.value = next
    lenses.value = await call(routes.orderLenses, { body: { ids: next.map(({ id }) => id) } })
  }
  return { lenses, counts, load, count, loadAll, keep, change, remove, move }
})
