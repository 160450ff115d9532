import { spamPrint, spamReason, transition, type ThreadPosition } from '@murrabel/core/inbox'
import type { ThreadChangeAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { storedSpamPrint } from '../../store/storedPrint.ts'
import { lockThreadIfFree, type LockedThread } from '../../store/queries/inbox/change.ts'
import {
  leadWords,
  markOfThread,
  marksOfBrand,
  openThreads,
  setMark,
  spamCandidates,
  taughtBy,
} from '../../store/queries/inbox/spam.ts'
import { lockThread, positionOf, unchanged, writeChange } from './writeChange.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/**
 * A person says that a thread is spam, or that it is none: it is put aside or opened, others like it are told by it, and
 * so are those that are open already.
 */
export function judgeSpam(
  parts: Parts,
  reader: Reader,
  id: number,
  spam: boolean,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    const moved = transition(positionOf(thread), { kind: spam ? 'spam' : 'notSpam' }, parts.now())
    if (!moved.changed && spam === (thread.spam !== null)) return unchanged(thread)
    return saySpam(parts, reader, thread, { spam, next: moved.changed ? moved.next : undefined }, tx)
  })
}

/** Writes down what a person says of a thread that is locked. */
export async function saySpam(
  parts: Parts,
  reader: Reader,
  thread: LockedThread,
  { spam, next }: { spam: boolean; next?: ThreadPosition },
  tx: Tx,
): Promise<ThreadChangeAnswer> {
  const { db, now } = parts
  const markBefore = await markOfThread(db, thread.id, tx)
  await mark(db, reader, thread, spam, tx)
  const answer = await writeChange(
    parts,
    reader,
    thread,
    {
      kind: spam ? 'spam' : 'notSpam',
      next,
      spam: spam ? { why: 'person', like: null, at: new Date(now()).toISOString() } : null,
      markBefore,
    },
    tx,
  )
  return { ...answer, also: await teach(parts, thread, tx) }
}

/** Puts down what is said of a thread, with what it is known by. */
async function mark(
  db: Database,
  reader: Reader,
  { id, brandId }: LockedThread,
  spam: boolean | null,
  tx: Tx,
): Promise<void> {
  const words = await leadWords(db, id, tx)
  const print = words ? storedSpamPrint(spamPrint(words)) : null
  await setMark(db, { threadId: id, brandId, spam, byId: reader.colleagueId, print }, tx)
}

/** What a person had said of a thread before is what was said of it, again. */
export async function putMarkBack(
  parts: Parts,
  reader: Reader,
  thread: LockedThread,
  before: boolean | null,
  tx: Tx,
): Promise<void> {
  await mark(parts.db, reader, thread, before, tx)
  await teach(parts, thread, tx)
}

/** Brings the others up to what is said of this one; gives how many were put aside. */
async function teach(parts: Parts, { id, brandId }: LockedThread, tx: Tx): Promise<number> {
  const { db, now } = parts
  for (const other of await taughtBy(db, id, tx)) {
    const thread = await lockThreadIfFree(db, other, tx)
    const moved = thread && transition(positionOf(thread), { kind: 'notSpam' }, now())
    if (thread && moved?.changed)
      await writeChange(
        parts,
        { brandId, actor: 'system' },
        thread,
        { kind: 'notSpam', next: moved.next, spam: null },
        tx,
      )
  }
  return putSpamAside(parts, brandId, await openThreads(db, brandId, tx), tx)
}

/**
 * Puts aside what people taught to be spam, among threads in which something was read. Each tells why, and a person may
 * say that it is none. What somebody is acting on at this moment is left to them.
 *
 * @returns how many were put aside
 */
export async function putSpamAside(
  parts: Parts,
  brandId: number,
  threads: readonly number[],
  tx: Tx,
): Promise<number> {
  const { db, now } = parts
  const marks = await marksOfBrand(db, brandId, tx)
  if (!marks.some(({ spam }) => spam)) return 0
  let aside = 0
  for (const candidate of await spamCandidates(db, threads, tx)) {
    const reason = spamReason({ account: candidate.account, print: spamPrint(candidate) }, marks)
    if (!reason) continue
    const thread = await lockThreadIfFree(db, candidate.id, tx)
    const moved = thread && transition(positionOf(thread), { kind: 'spam' }, now())
    if (!thread || !moved?.changed) continue
    await writeChange(
      parts,
      { brandId, actor: 'system' },
      thread,
      {
        kind: 'spam',
        next: moved.next,
        spam: { ...reason, at: new Date(now()).toISOString() },
        detail: { why: reason.why, like: reason.like },
      },
      tx,
    )
    aside++
  }
  return aside
}
