import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { routes, type LiveEvent, type Presence } from '@murrabel/contract'
import { call, tellLeaving } from '../api/call.ts'
import { useBrand } from './brand.ts'

/** How often a page says that it is still open, milliseconds; one that is silent for three times as long is taken for closed. */
export const sayHereMs = 15_000

/** Who else is here, and where; and where I am. */
export const usePresence = defineStore('presence', () => {
  const brand = useBrand()
  const tab = crypto.randomUUID()
  const known = ref<Presence[]>([])
  const thread = ref<number | null>(null)
  const writing = ref(false)
  const others = computed(() => known.value.filter(({ colleague }) => colleague !== brand.answer?.me.id))
  const at = (id: number) => others.value.filter((each) => each.thread === id)

  async function load(): Promise<void> {
    known.value = await call(routes.presence)
  }
  function hear(event: LiveEvent): void {
    if (event.kind !== 'presence') return
    const rest = known.value.filter(({ colleague }) => colleague !== event.colleague)
    known.value = event.here
      ? [...rest, { colleague: event.colleague, thread: event.threads[0] ?? null, writing: event.writing }]
      : rest
    // They may have another page open.
    if (!event.here) void load().catch(() => {})
  }
  /** Nothing is lost when it is not heard: it is said again. */
  async function say(): Promise<void> {
    const body = { tab, thread: thread.value, writing: thread.value !== null && writing.value }
    await call(routes.bePresent, { body }).catch(() => {})
  }
  const leave = (): void => tellLeaving(routes.bePresent, { body: { tab, gone: true } })
  return { others, at, thread, writing, load, hear, say, leave }
})
