import { actionTransition, stands, type ActionEvent, type ActionTransition } from '@murrabel/core/actions'
import type { HookEvent } from '@murrabel/contract'
import type { Database, Tx } from '../../store/database.ts'
import {
  type OutsideAction,
  isAnswerOwed,
  saidWhenSent,
  setActionState,
} from '../../store/queries/actions/actions.ts'
import { tellHooks } from '../../store/queries/hooks/deliveries.ts'
import { setWithdrawn } from '../../store/queries/actions/ownEntries.ts'

/**
 * Moves a locked action as the core's state machine says, and marks its entry where that no longer answers anybody. There
 * is no other way in which an action changes its state.
 *
 * @param options.at when it was said, where it is sent now
 */
export async function moveAction(
  db: Database,
  action: OutsideAction,
  event: ActionEvent,
  {
    error = null,
    outsideId = null,
    at = new Date(),
  }: { error?: string | null; outsideId?: string | null; at?: Date },
  tx: Tx,
): Promise<ActionTransition> {
  const moved = actionTransition(action, event)
  if (!moved.changed) return moved
  const { state, uncertain } = moved.next
  await setActionState(
    db,
    { id: action.id, state, uncertain, error, tries: event.kind === 'begin' ? 1 : 0, outsideId },
    tx,
  )
  // A change that failed leaves the answer as it is.
  if (action.kind === 'reply' && action.entryId !== null && stands(state) !== stands(action.state))
    await setWithdrawn(db, { entryId: action.entryId, withdrawn: !stands(state) }, tx)
  if (action.kind === 'reply' && state === 'sent') {
    await saidWhenSent(db, action.id, at, tx)
    await tellHooks(db, action.brandId, [arrived(action)], tx)
  }
  return moved
}

/** An answer has arrived, whether the network said so or its own copy came in first. */
const arrived = ({ entryId, threadId, colleagueId }: OutsideAction) => ({
  event: 'answer.sent' satisfies HookEvent,
  subjectId: entryId,
  threadId,
  colleagueId,
  detail: {},
})

/** Whether the customer's last word in a thread has no answer of ours that stands. */
export async function answerIsOwed(db: Database, threadId: number, tx: Tx): Promise<boolean> {
  const row = await isAnswerOwed(db, threadId, tx)
  return row?.owed ?? false
}
