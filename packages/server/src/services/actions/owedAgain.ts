import { transition } from '@murrabel/core/inbox'
import type { Context } from '../../context.ts'
import type { Tx } from '../../store/database.ts'
import type { OutsideAction } from '../../store/queries/actions/actions.ts'
import { lockThreadById } from '../../store/queries/inbox/change.ts'
import { businessHoursOf, positionOf, refreshThreads, writeChange } from '../inbox/index.ts'
import { notify } from '../together/index.ts'
import { answerIsOwed } from './moveAction.ts'

/** An answer answers nobody any more: the thread is open again where that leaves the customer without one. */
export async function owedAgain(
  parts: Pick<Context, 'db' | 'live' | 'now' | 'due'>,
  action: OutsideAction,
  why: 'sendFailed' | 'callBack',
  tx: Tx,
  actor: Parameters<typeof writeChange>[1] = { brandId: action.brandId, actor: 'network' },
): Promise<void> {
  const { db, now } = parts
  const thread = await lockThreadById(db, action.threadId!, tx)
  if (!thread) return
  const owed = why === 'sendFailed' || (await answerIsOwed(db, thread.id, tx))
  const moved = owed ? transition(positionOf(thread), { kind: 'sendFailed' }, now()) : null
  const detail = { action: action.id, error: action.error }
  await writeChange(
    parts,
    actor,
    thread,
    { kind: why, next: moved?.changed ? moved.next : undefined, detail, final: true },
    tx,
  )
  if (why === 'sendFailed' && action.colleagueId !== null)
    await notify(
      parts,
      {
        brandId: action.brandId,
        kind: 'notSent',
        to: [{ whom: action.colleagueId, thread: thread.id }],
        by: null,
      },
      tx,
    )
  await refreshThreads(db, [thread.id], await businessHoursOf(db, action.brandId, tx), now(), tx)
}
