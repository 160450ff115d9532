import { computed } from 'vue'
import { routes, type GiveDraft, type ThreadChangeAnswer, type ThreadEventDraft } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { usePresence } from '../../stores/presence.ts'
import { useUndo } from '../../stores/undo.ts'
import type { ThreadDesk } from './threadDesk.ts'
import { useOutsideActions } from './useOutsideActions.ts'
import { useThreadCourse } from './useThreadCourse.ts'
import { useThreadJudging } from './useThreadJudging.ts'

/** What can be done to the open thread, each with its way back, and where one lands afterwards. */
export function useThreadActions(desk: ThreadDesk) {
  const { thread } = desk
  const brand = useBrand()
  const undo = useUndo()
  const presence = usePresence()
  const { t, when } = useTexts()
  const attempt = useAttempt()
  const mayAnswer = computed(() => brand.may('answer'))
  const { index, open, moveOn, comeBackTo } = useThreadCourse(desk)

  /** Does something to the open thread, tells it with the way back, and goes on. */
  const act = (
    work: () => Promise<ThreadChangeAnswer>,
    text: string | ((answer: ThreadChangeAnswer) => string),
  ): Promise<void> =>
    attempt(async () => {
      const answer = await work()
      const back = answer.eventId
      if (back !== null)
        undo.tell({
          text: typeof text === 'string' ? text : text(answer),
          undo: () => takeBack(answer.thread.id, back),
        })
      await moveOn(answer)
    })
  const takeBack = (id: number, eventId: number): Promise<void> =>
    attempt(async () => {
      await call(routes.undo, { params: { id, event: eventId } })
      undo.tell({ text: t('undo.undone') })
      await comeBackTo(id)
    })
  function event(kind: ThreadEventDraft['kind'], until?: string | null): void {
    if (!thread.value || !mayAnswer.value) return
    const { id } = thread.value
    const aside = () => (until == null ? t('undo.setAsideThey') : t('undo.setAside', { t: when(until) }))
    const also = ({ also: n = 0 }: ThreadChangeAnswer) =>
      [t(`undo.${kind as 'spam'}`), ...(n ? [t('undo.also', { n }, n)] : [])].join(' ')
    const text = kind === 'setAside' ? aside() : also
    void act(() => call(routes.threadEvent, { params: { id }, body: { kind, until } }), text)
  }
  function give(draft: GiveDraft, name: string): void {
    if (!thread.value) return
    const { id } = thread.value
    // Whoever takes a thread is warned of who answers it at this moment.
    const writers = draft.to === brand.answer?.me.id ? presence.at(id).filter(({ writing }) => writing) : []
    const warned = writers.map(({ colleague }) =>
      t('together.warn', { name: brand.colleagueName(colleague) }),
    )
    void act(
      () => call(routes.give, { params: { id }, body: draft }),
      [t('undo.give', { name }), ...warned].join(' '),
    )
  }
  function prioritise(priority: number): void {
    if (!thread.value) return
    const { id } = thread.value
    void act(() => call(routes.prioritise, { params: { id }, body: { priority } }), t('undo.prioritise'))
  }
  function merge(other: number): void {
    if (!thread.value) return
    const { id } = thread.value
    void act(() => call(routes.merge, { params: { id }, body: { thread: other } }), t('undo.merge'))
  }
  function split(entry: number): void {
    if (!thread.value) return
    const { id } = thread.value
    void act(() => call(routes.split, { params: { id }, body: { entry } }), t('undo.split'))
  }
  async function onSent(answer: ThreadChangeAnswer, finished: boolean): Promise<void> {
    undo.tell({ text: finished ? t('undo.sent') : t('undo.sentOpen') })
    // Whoever is still there may say the next thing at once: one stays with them.
    if (!finished && thread.value?.visitor?.present) await desk.loadThread()
    else await moveOn(answer)
  }
  const judge = useThreadJudging(desk)
  return {
    mayAnswer,
    index,
    open,
    event,
    give,
    prioritise,
    merge,
    split,
    onSent,
    judge,
    ...useOutsideActions(desk),
  }
}
