import { transition } from '@murrabel/core/inbox'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { owedAgain } from './owedAgain.ts'
import { makeAnew } from '../../store/queries/actions/deliveryReports.ts'
import { moveAction } from './moveAction.ts'
import { profileOwner } from './profileOwner.ts'
import { dropSendAt, lockAction, threadOfAction } from '../../store/queries/actions/actions.ts'
import type { OutsideAction } from '../../store/queries/actions/actions.ts'
import { lockThread, positionOf, writeChange, businessHoursOf, refreshThreads } from '../inbox/index.ts'

/** The action, locked, of a thread that the reader may see. @throws Refusal notFound */
async function readersAction(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
  tx: Tx,
): Promise<OutsideAction> {
  const known = await threadOfAction(db, { id, brandId: reader.brandId }, tx)
  if (known?.threadId == null) throw new Refusal('notFound')
  await lockThread(db, reader, known.threadId, tx)
  const action = await lockAction(db, id, tx)
  if (!action) throw new Refusal('notFound')
  return action
}

const refusals = {
  sent: 'alreadySent',
  sending: 'beingSent',
  maybeSent: 'maybeSent',
  ended: 'calledBack',
  alreadyThere: 'calledBack',
} as const

/** Tries a failed or waiting action again at once. */
export async function retryAction(context: Context, reader: Reader, id: number): Promise<void> {
  const { db, due, now } = context
  await db.inTransaction(async (tx) => {
    const action = await readersAction(context, reader, id, tx)
    const moved = await moveAction(db, action, { kind: 'retry' }, {}, tx)
    if (!moved.changed) throw new Refusal(refusals[moved.reason])
    await dropSendAt(db, id, tx)
    // Under its old key the network would say that it has sent it.
    if (action.state === 'failed' && action.outsideId !== null) await makeAnew(db, id, tx)
    const thread = await lockThread(db, reader, action.threadId!, tx)
    const position = transition(positionOf(thread), { kind: 'replied' }, now())
    const isReply = action.kind === 'reply'
    await writeChange(
      context,
      reader,
      thread,
      {
        kind: 'retry',
        next: isReply && action.state === 'failed' && position.changed ? position.next : undefined,
        detail: { action: id },
        final: true,
      },
      tx,
    )
    await refreshThreads(db, [thread.id], await businessHoursOf(db, reader.brandId, tx), now(), tx)
    await due.drop('act', [id], tx)
    await due.ask({ kind: 'act', subject: id, owner: profileOwner(action.profileId) }, tx)
  })
}

/**
 * Calls an action back that has not been done; its text stays with the writer.
 *
 * @param anyway although the network never said whether it had taken it
 * @throws Refusal alreadySent, beingSent, maybeSent
 */
export async function cancelAction(
  context: Context,
  reader: Reader,
  id: number,
  { anyway }: { anyway: boolean },
): Promise<void> {
  const { db, due } = context
  await db.inTransaction(async (tx) => {
    const action = await readersAction(context, reader, id, tx)
    const moved = await moveAction(db, action, { kind: 'cancel', anyway }, { error: action.error }, tx)
    if (!moved.changed) {
      if (moved.reason === 'alreadyThere') return
      throw new Refusal(refusals[moved.reason])
    }
    await due.drop('act', [id], tx)
    if (action.kind === 'reply') await owedAgain(context, action, 'callBack', tx, reader)
    else await context.live.tell(reader.brandId, { kind: 'thread', threads: [action.threadId!] }, tx)
  })
}
