import { computed, onScopeDispose, ref, watch } from 'vue'
import { useEventListener } from '@vueuse/core'
import { routes, type ThreadAnswer } from '@murrabel/contract'
import { call, tellLeaving } from '../../api/call.ts'
import { useBrand } from '../../stores/brand.ts'
import { keepDraft, readDraft } from './replyDrafts.ts'

/** After so long without a key what was typed is kept on the server, milliseconds. */
const keepAfterMs = 1000

/**
 * The answer that is being written in a thread: kept on this device at every key, and on the server soon after, so that it is found
 * on another machine. Says what has come since it was begun.
 *
 * @param thread the one that is open; it stays the same thread
 */
export function useDraft(thread: () => ThreadAnswer) {
  const brand = useBrand()
  const { id } = thread()
  const local = readDraft(id)
  const kept = thread().draft
  const found = local && kept ? (local.at >= kept.at ? local : kept) : (local ?? kept)
  const text = ref(found?.text ?? '')
  /** Although what is answered is public. */
  const inPrivate = ref(found?.private ?? false)
  /** When it was typed, where that was not here. */
  const restored = ref(found && found !== local ? found.at : null)
  // What the writer has seen; a later edition means that somebody acted meanwhile.
  const seen = ref(found?.edition ?? thread().edition)
  const known = ref(
    new Set(thread().entries.flatMap((entry) => (found && entry.at > found.at ? [] : [entry.id]))),
  )
  const givenTo = ref(thread().givenTo)

  /** Whoever has written nothing yet has seen all that is there. */
  function begin(): void {
    seen.value = thread().edition
    known.value = new Set(thread().entries.map((entry) => entry.id))
    givenTo.value = thread().givenTo
  }
  watch(
    () => [thread().edition, thread().entries.length, thread().givenTo],
    () => !text.value.trim() && begin(),
  )
  const news = computed(() =>
    text.value.trim() ? thread().entries.filter((entry) => !known.value.has(entry.id)) : [],
  )
  /** Who has it now, where that changed since. */
  const takenBy = computed(() => {
    const now = thread().givenTo
    return text.value.trim() && now !== null && now !== givenTo.value && now !== brand.answer?.me.id
      ? brand.colleagueName(now)
      : null
  })

  let timer: ReturnType<typeof setTimeout> | undefined
  let under: Promise<unknown> = Promise.resolve()
  /** What is on the server is a help: when it cannot be reached, the text is here. */
  const asKept = () => ({ text: text.value, private: inPrivate.value, edition: seen.value })
  function store(): void {
    clearTimeout(timer)
    timer = undefined
    const body = asKept()
    under = call(routes.keepDraft, { params: { id }, body }).catch(() => {})
  }
  watch([text, inPrivate], () => {
    restored.value = null
    if (!text.value.trim()) begin()
    keepDraft(id, {
      text: text.value,
      private: inPrivate.value,
      edition: seen.value,
      at: new Date().toISOString(),
    })
    clearTimeout(timer)
    timer = setTimeout(store, keepAfterMs)
  })
  onScopeDispose(() => timer !== undefined && store())
  useEventListener(window, 'pagehide', () => {
    if (timer !== undefined) tellLeaving(routes.keepDraft, { params: { id }, body: asKept() })
  })

  /** Nothing that is kept may come after what is sent. */
  async function settle(): Promise<void> {
    clearTimeout(timer)
    timer = undefined
    await under
  }
  /** It went out. */
  function clear(edition: number): void {
    text.value = ''
    inPrivate.value = false
    keepDraft(id, { text: '', private: false, edition, at: '' })
    begin()
    seen.value = edition
    // The watcher runs once more for the emptied text.
    queueMicrotask(() => {
      clearTimeout(timer)
      timer = undefined
    })
  }
  return { text, inPrivate, restored, seen, news, takenBy, settle, clear }
}
