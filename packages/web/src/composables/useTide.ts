import { ref, shallowRef, watch, type Ref } from 'vue'
import { routes, type TideAnswer } from '@murrabel/contract'
import type { Lens } from '@murrabel/core/lens'
import { addressOf, call } from '../api/call.ts'
import { useKnown } from '../firstScreen/known.ts'
import { lensQuery } from './useLens.ts'

/** What stands behind the strip: the lens without state and without who it is given to; null when it is the same. */
export const lensBehind = (lens: Lens): Lens | null =>
  lens.state === 'any' && lens.givenTo === 'anybody' ? null : { ...lens, state: 'any', givenTo: 'anybody' }

/** The strip of time of a lens, and behind it the same without state and without who it is given to. */
export function useTide(lens: Ref<Lens>) {
  const known = useKnown<TideAnswer>()
  const knownOf = (of: Lens | null) => (of && known(addressOf(routes.tide, { query: lensQuery(of) }))) ?? null
  const tide = shallowRef(knownOf(lens.value))
  const behind = shallowRef(knownOf(lensBehind(lens.value)))
  const loading = ref(tide.value === null)
  let run = 0

  async function load(): Promise<void> {
    const mine = ++run
    loading.value = true
    const whole = lensBehind(lens.value)
    try {
      const [own, all] = await Promise.all([
        call(routes.tide, { query: lensQuery(lens.value) }),
        whole && call(routes.tide, { query: lensQuery(whole) }),
      ])
      if (mine !== run) return
      tide.value = own
      behind.value = all
    } catch {
      if (mine === run) tide.value = null
    } finally {
      if (mine === run) loading.value = false
    }
  }
  watch(lens, (now, before) => {
    if (JSON.stringify(now) !== JSON.stringify(before)) void load()
  })
  return { tide, behind, loading, load }
}
