import type { ThreadPosition } from '@murrabel/core/inbox'
import type { ThreadChangeAnswer, LogKind } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Database, Tx } from '../../store/database.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import {
  type BeforeChange,
  type LockedThread,
  type Priority,
  type SpamState,
  lockThreadSeenBy,
  setThread,
} from '../../store/queries/inbox/change.ts'
import { untellGiven } from '../together/index.ts'
import { record, type Actor } from '../log/index.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** The thread, locked until the transaction ends. @throws Refusal notFound when it is not there or not the reader's */
export async function lockThread(db: Database, reader: Reader, id: number, tx: Tx): Promise<LockedThread> {
  const thread = await lockThreadSeenBy(db, reader, id, tx)
  if (!thread) throw new Refusal('notFound')
  return thread
}

/** Whose a thread is; at most one of the two. */
export type Owner = Pick<LockedThread, 'givenTo' | 'teamId'>

interface Change {
  kind: LogKind
  detail?: object
  /** Where the state machine leads; left out: the state stays. */
  next?: ThreadPosition
  /** Whose it is from now on: a colleague's, a team's until somebody of it takes it, or nobody's. */
  owner?: Owner
  priority?: Priority
  /** Null: it is none. */
  spam?: SpamState | null
  /** What a person had said of its being spam, where this changes it. */
  markBefore?: boolean | null
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
    givenTo: (change.owner ?? thread).givenTo,
    teamId: (change.owner ?? thread).teamId,
    priority: change.priority ?? thread.priority,
    edition: thread.edition + 1,
  }
  const spam = change.spam === undefined ? thread.spam : change.spam
  await setThread(db, { id: thread.id, ...next, spam }, tx)
  if (thread.givenTo !== null && next.givenTo !== thread.givenTo)
    await untellGiven({ db, live }, { brandId: thread.brandId, whom: thread.givenTo, thread: thread.id }, tx)
  if (thread.teamId !== null && next.teamId !== thread.teamId)
    await untellGiven({ db, live }, { brandId: thread.brandId, whom: null, thread: thread.id }, tx)
  if (setAsideUntil !== null)
    await due.ask(
      { kind: 'wake', subject: thread.id, owner: brandOwner(thread.brandId), at: setAsideUntil },
      tx,
    )
  if ((spam === null) !== (thread.spam === null))
    await due.ask({ kind: 'countAnew', subject: thread.id, owner: brandOwner(thread.brandId) }, tx)
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
      before: change.final ? undefined : beforeOf(thread, change),
      edition: next.edition,
    },
    tx,
  )
  await live.tell(thread.brandId, { kind: 'thread', threads: [thread.id] }, tx)
  return {
    thread: {
      id: thread.id,
      ...next,
      setAsideUntil: next.setAsideUntil?.toISOString() ?? null,
      spam: spam !== null,
    },
    eventId: event ?? null,
  }
}

/** How it was, to be put back when the change is undone. */
const beforeOf = (thread: LockedThread, { markBefore }: Change): BeforeChange => ({
  state: thread.state,
  setAsideUntil: thread.setAsideUntil?.toISOString() ?? null,
  givenTo: thread.givenTo,
  teamId: thread.teamId,
  priority: thread.priority,
  spam: thread.spam,
  ...(markBefore === undefined ? {} : { mark: markBefore }),
})

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
    teamId: thread.teamId,
    priority: thread.priority,
    spam: thread.spam !== null,
  },
  eventId: null,
})
