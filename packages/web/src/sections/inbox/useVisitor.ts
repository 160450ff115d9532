import { computed, ref, watch } from 'vue'
import { tryOnScopeDispose } from '@vueuse/core'
import type { ThreadAnswer } from '@murrabel/contract'
import { useLive } from '../../composables/useLive.ts'

/** One who writes says so every few seconds. */
const typingMs = 6000
/** Somebody who is there is heard of every 20 seconds. */
const presentMs = 45_000

/** Whether the visitor of a thread is on the page now, and writes. */
export function useVisitor(thread: () => ThreadAnswer) {
  const typing = ref(false)
  const present = ref(false)
  let stops: ReturnType<typeof setTimeout> | undefined
  let leaves: ReturnType<typeof setTimeout> | undefined
  const see = (is: boolean) => {
    clearTimeout(leaves)
    present.value = is
    if (is) leaves = setTimeout(() => (present.value = false), presentMs)
  }
  const type = (is: boolean) => {
    clearTimeout(stops)
    typing.value = is
    if (is) stops = setTimeout(() => (typing.value = false), typingMs)
  }
  watch(
    () => [thread().id, thread().visitor?.present],
    () => see(thread().visitor?.present ?? false),
    { immediate: true },
  )
  // What they wrote is there.
  watch(
    () => thread().entries.length,
    () => type(false),
  )
  watch(
    () => thread().id,
    () => type(false),
  )
  useLive((live) => {
    if (live.kind !== 'visitor' || !live.threads.includes(thread().id)) return
    see(live.present)
    type(live.typing)
  })
  tryOnScopeDispose(() => {
    clearTimeout(stops)
    clearTimeout(leaves)
  })
  return { typing: computed(() => typing.value), present: computed(() => present.value) }
}
