import { transition, type ThreadEvent, type ThreadPosition } from '@murrabel/core/inbox'
import type { GiveDraft, ThreadChangeAnswer, LogKind } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { answerersThere } from '../../store/queries/absences/absences.ts'
import { teamOf } from '../../store/queries/absences/teams.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'
import type { Database, Tx } from '../../store/database.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import { readerOfMember } from '../../access/sessions.ts'
import {
  type LockedThread,
  lockThreadById,
  lockThreadSeenBy,
  setThread,
  lockUndoable,
  setUndone,
} from '../../store/queries/inbox/change.ts'
import { record, type Actor } from '../log/index.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** The thread, locked until the transaction ends. @throws Refusal notFound when it is not there or not the reader's */
export async function lockThread(db: Database, reader: Reader, id: number, tx: Tx): Promise<LockedThread> {
  const thread = await lockThreadSeenBy(db, reader, id, tx)
  if (!thread) throw new Refusal('notFound')
  return thread
}

interface Change {
  kind: LogKind
  detail?: object
  /** Where the state machine leads; left out: the state stays. */
  next?: ThreadPosition
  givenTo?: number | null
  /** It cannot be undone by taking the thread back. */
  final?: boolean
}

/** What is answered and what is finished without a word is learnt from, later: it is much, and each tells little. */
const tellsOfAnswers: ReadonlySet<string> = new Set(['finish', 'reply', 'replyAndFinish'])
const learnFromAnswersAfterMs = 600_000

/** Writes a change with what was before it, so that it can be explained and undone. */
export async function writeChange(
  { db, live, due, now }: Parts,
  actor: Actor,
  thread: LockedThread,
  change: Change,
  tx: Tx,
): Promise<ThreadChangeAnswer> {
  const { state, setAsideUntil } = change.next ?? positionOf(thread)
  const next = {
    state,
    setAsideUntil: setAsideUntil === null ? null : new Date(setAsideUntil),
    givenTo: change.givenTo === undefined ? thread.givenTo : change.givenTo,
    edition: thread.edition + 1,
  }
  await setThread(
    db,
    {
      id: thread.id,
      state: next.state,
      setAsideUntil: next.setAsideUntil,
      givenTo: next.givenTo,
      edition: next.edition,
    },
    tx,
  )
  if (setAsideUntil !== null)
    await due.ask(
      { kind: 'wake', subject: thread.id, owner: brandOwner(thread.brandId), at: setAsideUntil },
      tx,
    )
  if (tellsOfAnswers.has(change.kind))
    await due.ask(
      {
        kind: 'learn',
        subject: thread.brandId,
        owner: brandOwner(thread.brandId),
        at: now() + learnFromAnswersAfterMs,
      },
      tx,
    )
  const [event] = await record(
    db,
    actor,
    {
      kind: change.kind,
      on: ['thread', thread.id],
      detail: change.detail,
      before: change.final
        ? undefined
        : { state: thread.state, setAsideUntil: thread.setAsideUntil, givenTo: thread.givenTo },
      edition: next.edition,
    },
    tx,
  )
  await live.tell(thread.brandId, { kind: 'thread', threads: [thread.id] }, tx)
  return {
    thread: { id: thread.id, ...next, setAsideUntil: next.setAsideUntil?.toISOString() ?? null },
    eventId: event ?? null,
  }
}

export const positionOf = ({ state, setAsideUntil }: LockedThread): ThreadPosition => ({
  state,
  setAsideUntil: setAsideUntil?.getTime() ?? null,
})

export const unchanged = (thread: LockedThread): ThreadChangeAnswer => ({
  thread: {
    id: thread.id,
    state: thread.state,
    edition: thread.edition,
    setAsideUntil: thread.setAsideUntil?.toISOString() ?? null,
    givenTo: thread.givenTo,
  },
  eventId: null,
})

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
    const detail = next.setAsideUntil === null ? {} : { until: new Date(next.setAsideUntil) }
    return writeChange(parts, reader, thread, { kind: event.kind, next, detail }, tx)
  })
}

/** Gives a thread to a colleague, to whoever of a team has the fewest, or to nobody. */
export async function giveThread(
  parts: Parts,
  reader: Reader,
  id: number,
  draft: GiveDraft,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    const to = draft.team ? await leastLaden(parts.db, thread, draft.team, tx) : draft.to
    if (thread.givenTo === to) return unchanged(thread)
    if (to !== null) await checkReceiver(parts.db, thread, to, tx)
    return writeChange(parts, reader, thread, { kind: 'give', givenTo: to, detail: { to } }, tx)
  })
}

/** Of a team, whoever is there, may see the thread and has the fewest open ones. @throws Refusal notFound, nobodyThere */
async function leastLaden(db: Database, thread: LockedThread, team: number, tx: Tx): Promise<number> {
  const { brandId } = thread
  if (!(await teamOf(db, { id: team, brandId }, tx))) throw new Refusal('notFound')
  const there = await answerersThere(db, { brandId, team }, tx)
  const found = there.find((each) => each.inTeam && mayAccess(each, thread))
  if (!found) throw new Refusal('nobodyThere')
  return found.colleagueId
}

/** A thread is given only to somebody who can see it. */
async function checkReceiver(db: Database, thread: LockedThread, to: number, tx: Tx): Promise<void> {
  const receiver = await readerOfMember(db, to, thread.brandId, tx)
  // Whoever is not on the brand is nobody here.
  if (!receiver) throw new Refusal('notFound')
  if (!mayAccess(receiver, thread))
    throw new Refusal('invalid', {
      fields: [
        {
          field: 'to',
          code: 'cannotSee',
          message:
            'This colleague cannot see the thread: it belongs to a place or profile that is not theirs.',
        },
      ],
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
    const { state, setAsideUntil, givenTo } = event.before
    const to = { state, setAsideUntil: setAsideUntil ? Date.parse(setAsideUntil) : null }
    const moved = transition(positionOf(thread), { kind: 'undo', to }, parts.now())
    return writeChange(
      parts,
      reader,
      thread,
      { kind: 'undo', next: moved.changed ? moved.next : undefined, givenTo, detail: { undone: event.kind } },
      tx,
    )
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
