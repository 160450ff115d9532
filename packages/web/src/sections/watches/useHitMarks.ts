import { computed, shallowReactive, type ComputedRef } from 'vue'
import { useTimeoutFn } from '@vueuse/core'
import { routes, type MarkDraft } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useBrand } from '../../stores/brand.ts'

/** Milliseconds after the last mark until the verdict is asked for again. */
const restMs = 600

/**
 * Marks "belongs" and "does not belong" on hits of a watch that is being made or edited.
 *
 * @param options.watchId the saved watch; its marks are kept at once, those of a new one when it is saved
 * @param options.rested the marks have come to rest: the verdict can follow
 */
export function useHitMarks({
  watchId,
  rested,
  failed,
}: {
  watchId: () => number | null
  rested: () => void
  failed: (problem: CallProblem) => void
}): {
  given: ComputedRef<Map<number, boolean>>
  list: () => MarkDraft[]
  mark: (entryId: number, onTopic: boolean | null) => void
  /** The verdict is being asked for anyway. */
  hold: () => void
  clear: () => void
  keep: (id: number, marks: readonly MarkDraft[]) => Promise<void>
} {
  const brand = useBrand()
  /** By entry; null takes a kept mark away. */
  const marks = shallowReactive(new Map<number, boolean | null>())
  const given = computed(
    () => new Map([...marks].filter((pair): pair is [number, boolean] => pair[1] !== null)),
  )
  const { start, stop } = useTimeoutFn(rested, restMs, { immediate: false })
  const keep = async (id: number, list: readonly MarkDraft[]) => {
    await call(routes.markHits, { params: { id }, body: { marks: [...list] } })
  }
  return {
    given,
    list: () => [...given.value].map(([entryId, onTopic]) => ({ entryId, onTopic })),
    mark(entryId, onTopic) {
      marks.set(entryId, onTopic)
      const id = watchId()
      if (id !== null && brand.mayCall('updateWatch'))
        void keep(id, [{ entryId, onTopic }]).catch((error: unknown) => {
          if (error instanceof CallProblem) failed(error)
        })
      start()
    },
    hold: stop,
    clear() {
      stop()
      marks.clear()
    },
    keep,
  }
}
