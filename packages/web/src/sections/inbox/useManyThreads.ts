import { computed, ref, watch, type Ref } from 'vue'
import { routes, type EntryRow, type ManyChangeDraft } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useUndo } from '../../stores/undo.ts'

/** So many are changed together at most. */
const most = 500

/** Threads of the list that are chosen to be acted on together, and what is done with them. */
export function useManyThreads({
  rows,
  lens,
  changed,
}: {
  rows: Ref<EntryRow[]>
  lens: Ref<unknown>
  /** Loads what they may have left. */
  changed: () => Promise<void>
}) {
  const { t, number } = useTexts()
  const undo = useUndo()
  const attempt = useAttempt()
  const chosen = ref<ReadonlySet<number>>(new Set())
  const busy = ref(false)
  /** Where a span begins that is chosen with Shift. */
  let from: number | null = null
  const clear = (): void => void (chosen.value = new Set())
  watch(lens, clear)
  /** Those that have left the list are chosen no more. */
  const there = computed(() =>
    rows.value.map(({ threadId }) => threadId).filter((id) => chosen.value.has(id)),
  )

  function toggle(id: number, span = false): void {
    const next = new Set(chosen.value)
    const ids = rows.value.map(({ threadId }) => threadId)
    const [a, b] = [from === null ? -1 : ids.indexOf(from), ids.indexOf(id)]
    if (span && a >= 0) for (const each of ids.slice(Math.min(a, b), Math.max(a, b) + 1)) next.add(each)
    else if (!next.delete(id)) next.add(id)
    from = id
    chosen.value = new Set([...next].slice(0, most))
  }
  const chooseAll = (): void =>
    void (chosen.value = new Set(rows.value.slice(0, most).map(({ threadId }) => threadId)))

  const act = (draft: Omit<ManyChangeDraft, 'threads'>, done: (n: number) => string): Promise<void> =>
    attempt(async () => {
      if (busy.value || !there.value.length) return
      busy.value = true
      try {
        const answer = await call(routes.changeMany, { body: { threads: there.value, ...draft } })
        const { length } = answer.changed
        const refused = answer.refused.length
          ? [t('inbox.many.refused', { n: number(answer.refused.length) }, answer.refused.length)]
          : []
        undo.tell({
          text: [done(length), ...refused].join(' '),
          undo: length ? () => takeBack(answer.changed) : undefined,
        })
        clear()
        await changed()
      } finally {
        busy.value = false
      }
    })
  const takeBack = (changes: { thread: number; event: number }[]): Promise<void> =>
    attempt(async () => {
      const { refused } = await call(routes.undoMany, { body: { changes } })
      undo.tell({
        text: refused.length
          ? t('inbox.many.stuck', { n: number(refused.length) }, refused.length)
          : t('undo.undone'),
        problem: refused.length > 0,
      })
      await changed()
    })
  return { chosen, there, busy, toggle, chooseAll, clear, act }
}
