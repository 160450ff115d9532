import { computed } from 'vue'
import { routes, type ThreadChangeAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
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
  const { t, when } = useTexts()
  const attempt = useAttempt()
  const mayAnswer = computed(() => brand.may('answer'))
  const { index, open, moveOn, comeBackTo } = useThreadCourse(desk)

  /** Does something to the open thread, tells it with the way back, and goes on. */
  const act = (work: () => Promise<ThreadChangeAnswer>, text: string): Promise<void> =>
    attempt(async () => {
      const answer = await work()
      const back = answer.eventId
      if (back !== null) undo.tell({ text, undo: () => takeBack(answer.thread.id, back) })
      await moveOn(answer)
    })
  const takeBack = (id: number, eventId: number): Promise<void> =>
    attempt(async () => {
      await call(routes.undo, { params: { id, event: eventId } })
      undo.tell({ text: t('undo.undone') })
      await comeBackTo(id)
    })
  function event(kind: 'finish' | 'reopen' | 'setAside', until?: string): void {
    if (!thread.value || !mayAnswer.value) return
    const { id } = thread.value
    const text = kind === 'setAside' ? t('undo.setAside', { t: when(until ?? '') }) : t(`undo.${kind}`)
    void act(() => call(routes.threadEvent, { params: { id }, body: { kind, until } }), text)
  }
  function give(to: number | null, team?: number): void {
    if (!thread.value) return
    const { id } = thread.value
    const ofTeam = brand.answer?.teams.find((each) => each.id === team)?.name
    const name = ofTeam ?? (to === null ? t('inbox.nobody') : brand.colleagueName(to))
    void act(() => call(routes.give, { params: { id }, body: { to, team } }), t('undo.give', { name }))
  }
  async function onSent(answer: ThreadChangeAnswer, finished: boolean): Promise<void> {
    undo.tell({ text: finished ? t('undo.sent') : t('undo.sentOpen') })
    // Whoever is still there may say the next thing at once: one stays with them.
    if (!finished && thread.value?.visitor?.present) await desk.loadThread()
    else await moveOn(answer)
  }
  const judge = useThreadJudging(desk)
  return { mayAnswer, index, open, event, give, onSent, judge, ...useOutsideActions(desk) }
}
