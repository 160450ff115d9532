import { onScopeDispose, ref, type Ref } from 'vue'
import { onBeforeRouteLeave, useRouter } from 'vue-router'

/**
 * Whether somebody is on the way to another page, whose code may still be coming: what this one opens by itself would take them back.
 */
export function useLeaving(): Readonly<Ref<boolean>> {
  const leaving = ref(false)
  onBeforeRouteLeave(() => {
    leaving.value = true
  })
  // They have arrived, or stay.
  onScopeDispose(useRouter().afterEach(() => (leaving.value = false)))
  return leaving
}
