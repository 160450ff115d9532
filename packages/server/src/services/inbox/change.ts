import { transition, type ThreadEvent } from '@murrabel/core/inbox'
import type { ThreadChangeAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import {
  type LockedThread,
  type Priority,
  lockThreadById,
  lockUndoable,
  setUndone,
} from '../../store/queries/inbox/change.ts'
import { businessHoursOf, refreshThreads } from './refresh.ts'
import { undoRegrouping } from './regroup.ts'
import { putMarkBack, saySpam } from './spam.ts'
import { lockThread, positionOf, unchanged, writeChange } from './writeChange.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** Finishes, opens again or sets aside. Doing what is done already changes nothing. */
export async function applyThreadEvent(
  parts: Parts,
  reader: Reader,
  id: number,
  event: ThreadEvent,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    const result = transition(positionOf(thread), event, parts.now())
    if (!result.changed) {
      if (result.reason === 'pastTime')
        throw new Refusal('invalid', {
          fields: [
            { field: 'until', code: 'pastTime', message: 'The time lies in the past; choose a later one.' },
          ],
        })
      return unchanged(thread)
    }
    const { next } = result
    // Whoever opens spam again says that it is none.
    if (thread.spam) return saySpam(parts, reader, thread, { spam: false, next }, tx)
    const detail = next.setAsideUntil === null ? {} : { until: new Date(next.setAsideUntil) }
    return writeChange(parts, reader, thread, { kind: event.kind, next, detail }, tx)
  })
}

/** Takes a change back, if nothing newer was done to the thread. */
export async function undoThreadEvent(
  parts: Parts,
  reader: Reader,
  id: number,
  eventId: number,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    const event = await lockUndoable(parts.db, { eventId, threadId: id }, tx)
    if (!event) throw new Refusal('notFound')
    if (event.edition !== thread.edition) throw new Refusal('undoTooLate')
    await setUndone(parts.db, eventId, tx)
    const { before } = event
    const { state, setAsideUntil, givenTo, teamId = thread.teamId, priority = thread.priority } = before
    const to = { state, setAsideUntil: setAsideUntil ? Date.parse(setAsideUntil) : null }
    const moved = transition(positionOf(thread), { kind: 'undo', to }, parts.now())
    const answer = await writeChange(
      parts,
      reader,
      thread,
      {
        kind: 'undo',
        next: moved.changed ? moved.next : undefined,
        owner: { givenTo, teamId },
        priority,
        spam: before.spam,
        detail: { undone: event.kind },
      },
      tx,
    )
    if (priority !== thread.priority) await dueAnew(parts, thread, tx)
    if (event.kind === 'merge' || event.kind === 'split') await undoRegrouping(parts, thread, eventId, tx)
    if (before.mark !== undefined) await putMarkBack(parts, reader, thread, before.mark, tx)
    return answer
  })
}

/** How pressing it is, and when it is due, go by its priority. */
const dueAnew = async ({ db, now }: Parts, { id, brandId }: LockedThread, tx: Tx): Promise<void> =>
  refreshThreads(db, [id], await businessHoursOf(db, brandId, tx), now(), tx)

/** Puts a thread before others, or among them again. */
export function prioritise(
  parts: Parts,
  reader: Reader,
  id: number,
  priority: Priority,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    if (thread.priority === priority) return unchanged(thread)
    const change = { kind: 'prioritise', priority, detail: { priority } } as const
    const answer = await writeChange(parts, reader, thread, change, tx)
    await dueAnew(parts, thread, tx)
    return answer
  })
}

/** Opens a thread whose time has come; one that was set aside for longer is looked at again then. */
export function wakeThread(parts: Parts, id: number): Promise<WorkOutcome> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThreadById(parts.db, id, tx)
    if (!thread) return 'done'
    const moved = transition(positionOf(thread), { kind: 'wake' }, parts.now())
    if (!moved.changed)
      return moved.reason === 'tooEarly'
        ? { againInMs: Math.max(0, thread.setAsideUntil!.getTime() - parts.now()) }
        : 'done'
    const system = { brandId: thread.brandId, actor: 'system' as const }
    await writeChange(parts, system, thread, { kind: 'wake', next: moved.next }, tx)
    return 'done'
  })
}
