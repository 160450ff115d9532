import { computed, type Ref, type ShallowRef } from 'vue'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import { ElMessageBox } from 'element-plus'
import type { Lens } from '@murrabel/core/lens'
import {
  routes,
  type EntryRow,
  type ThreadAnswer,
  type ThreadChangeAnswer,
  type ThreadEntry,
} from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import type { useEntryList } from '../../composables/useEntryList.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

export interface ThreadDesk {
  lens: Ref<Lens>
  entries: ReturnType<typeof useEntryList>
  thread: ShallowRef<ThreadAnswer | null>
  threadId: Ref<number | null>
  loadThread(): Promise<void>
  loadTide(): Promise<void>
  /** Gives a text that was called back to the writer. */
  putBack(text: string): void
}

/** Nothing was called back, as somebody wished. */
class Kept extends Error {}

/** What can be done to the open thread, each with its way back, and where one lands afterwards. */
export function useThreadActions({
  lens,
  entries,
  thread,
  threadId,
  loadThread,
  loadTide,
  putBack,
}: ThreadDesk) {
  const route = useRoute()
  const router = useRouter()
  const brand = useBrand()
  const undo = useUndo()
  const { t, when } = useTexts()
  const { line } = useProblemTexts()
  const { rows } = entries
  const mayAnswer = computed(() => brand.may('answer'))
  const index = computed(() => rows.value.findIndex((row) => row.threadId === threadId.value))

  // A page that is being left must not call the browser back by opening a thread.
  let leaving = false
  onBeforeRouteLeave(() => {
    leaving = true
  })
  async function open(row: EntryRow | undefined, replace = false): Promise<void> {
    if (leaving) return
    const to = {
      path: row ? `/inbox/${row.threadId}` : '/inbox',
      query: route.query,
      hash: threadId.value === null ? route.hash : '',
    }
    await (replace ? router.replace(to) : router.push(to))
  }

  /** After a change the thread may have left the lens: land on the one that was next. */
  async function moveOn(answer: ThreadChangeAnswer): Promise<void> {
    const at = index.value
    const leaves = lens.value.state !== 'any' && answer.thread.state !== lens.value.state
    const next = rows.value[at + 1] ?? rows.value[at - 1]
    if (at >= 0 && leaves) {
      rows.value = rows.value.filter((_, i) => i !== at)
      await open(next, true)
    } else await loadThread()
    void entries.refresh()
    void loadTide()
  }

  function told(error: unknown): void {
    if (!(error instanceof CallProblem)) throw error
    undo.tell({ text: line(error), problem: true })
  }

  /** Does something to the open thread, tells it with the way back, and goes on. */
  async function act(work: Promise<ThreadChangeAnswer>, text: string): Promise<void> {
    try {
      const answer = await work
      const back = answer.eventId
      if (back !== null) undo.tell({ text, undo: () => takeBack(answer.thread.id, back) })
      await moveOn(answer)
    } catch (error) {
      told(error)
    }
  }
  async function takeBack(id: number, event: number): Promise<void> {
    try {
      await call(routes.undo, { params: { id, event } })
      undo.tell({ text: t('undo.undone') })
      await entries.refresh()
      await router.replace({ path: `/inbox/${id}`, query: route.query })
      await loadThread()
      void loadTide()
    } catch (error) {
      told(error)
    }
  }
  const event = (kind: 'finish' | 'reopen' | 'setAside', until?: string) => {
    if (!thread.value || !mayAnswer.value) return
    const text = kind === 'setAside' ? t('undo.setAside', { t: when(until ?? '') }) : t(`undo.${kind}`)
    void act(call(routes.threadEvent, { params: { id: thread.value.id }, body: { kind, until } }), text)
  }
  function give(to: number | null): void {
    if (!thread.value) return
    void act(
      call(routes.give, { params: { id: thread.value.id }, body: { to } }),
      t('undo.give', { name: to === null ? t('inbox.nobody') : brand.colleagueName(to) }),
    )
  }
  async function onSent(answer: ThreadChangeAnswer, finished: boolean): Promise<void> {
    undo.tell({ text: finished ? t('undo.sent') : t('undo.sentOpen') })
    await moveOn(answer)
  }
  async function judge(
    entry: ThreadEntry,
    sentiment: 'positive' | 'neutral' | 'negative' | null,
  ): Promise<void> {
    if (!mayAnswer.value) return
    const before = entry.correctedBy ? (entry.sentiment as 'positive' | 'neutral' | 'negative') : null
    try {
      await call(routes.correct, { params: { id: entry.id }, body: { sentiment } })
      if (sentiment) {
        entries.change(entry.id, { sentiment })
        undo.tell({
          text: t('undo.corrected', { label: t(`sentiment.${sentiment}`) }),
          undo: () => judge({ ...entry, correctedBy: '' }, before),
        })
      }
      await loadThread()
      void loadTide()
    } catch (error) {
      told(error)
    }
  }
  async function retry(id: number): Promise<void> {
    await call(routes.retryAction, { params: { id } }).catch(told)
    await loadThread()
  }
  async function callBack(entry: ThreadEntry): Promise<void> {
    if (!entry.action) return
    const { id } = entry.action
    const cancel = (anyway: boolean) => call(routes.cancelAction, { params: { id }, body: { anyway } })
    try {
      await cancel(false).catch(async (error: unknown) => {
        // It may be public already: a person decides, knowing that.
        if (!(error instanceof CallProblem) || error.problem.code !== 'maybeSent') throw error
        if (!(await mayBePublic())) return Promise.reject(new Kept())
        return cancel(true)
      })
      putBack(entry.text)
      await loadThread()
    } catch (error) {
      if (!(error instanceof Kept)) told(error)
    }
  }

  const mayBePublic = (): Promise<boolean> =>
    ElMessageBox.confirm(t('inbox.maybePublic'), {
      confirmButtonText: t('inbox.callBackAnyway'),
      cancelButtonText: t('inbox.leaveIt'),
    }).then(
      () => true,
      () => false,
    )

  return { mayAnswer, index, open, event, give, onSent, judge, retry, callBack }
}
