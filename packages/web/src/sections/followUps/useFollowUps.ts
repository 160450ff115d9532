import { routes, type FollowUp } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useUndo } from '../../stores/undo.ts'

/** What is done with follow-ups, each with the way back in the strip. */
export function useFollowUps(changed: () => Promise<void> | void) {
  const { t } = useTexts()
  const undo = useUndo()
  const attempt = useAttempt()
  const reopen = (followUp: FollowUp) =>
    attempt(async () => {
      await call(routes.reopenFollowUp, { params: { id: followUp.id } })
      await changed()
    })
  return {
    reopen,
    finish: (followUp: FollowUp, outcome: string) =>
      attempt(async () => {
        const { id, edition, what } = followUp
        await call(routes.finishFollowUp, { params: { id }, body: { edition, outcome } })
        undo.tell({ text: t('followUps.finished', { what }), undo: () => reopen(followUp) })
        await changed()
      }),
    remove: (followUp: FollowUp) =>
      attempt(async () => {
        const { id, threadId, kind, what, dueAt, givenTo, worth, currency, nextStep } = followUp
        await call(routes.removeFollowUp, { params: { id } })
        undo.tell({
          text: t('followUps.removed'),
          undo: async () => {
            const body = { kind, what, dueAt, givenTo, worth, currency, nextStep }
            await call(routes.addFollowUp, { params: { id: threadId }, body })
            await changed()
          },
        })
        await changed()
      }),
  }
}
