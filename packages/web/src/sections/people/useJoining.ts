import { routes, type Proposal } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useUndo } from '../../stores/undo.ts'

/** Saying that two are one, or that they are not; both can be taken back in the strip. */
export function useJoining(changed: (person?: number) => Promise<void> | void) {
  const { t } = useTexts()
  const undo = useUndo()
  const attempt = useAttempt()
  const names = ({ one, other }: Pick<Proposal, 'one' | 'other'>) => ({ one: one.name, other: other.name })
  return {
    join: (pair: Pick<Proposal, 'one' | 'other'>) =>
      attempt(async () => {
        const { person, join } = await call(routes.joinPeople, {
          body: { one: pair.one.id, other: pair.other.id },
        })
        undo.tell({
          text: t('people.joined', names(pair)),
          undo: async () => {
            await call(routes.undoJoin, { params: { id: join } })
            await changed()
          },
        })
        await changed(person)
      }),
    apart: (pair: Pick<Proposal, 'one' | 'other'>) =>
      attempt(async () => {
        await call(routes.keepApart, { body: { one: pair.one.id, other: pair.other.id } })
        undo.tell({
          text: t('people.apart', names(pair)),
          undo: async () => {
            await call(routes.undoApart, { body: { one: pair.one.id, other: pair.other.id } })
            await changed()
          },
        })
        await changed()
      }),
    undo: (id: number) =>
      attempt(async () => {
        await call(routes.undoJoin, { params: { id } })
        undo.tell({ text: t('people.unjoined') })
        await changed()
      }),
  }
}
