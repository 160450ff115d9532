import type { Mergeable, ThreadChangeAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { lockThreadById, setThread, type LockedThread } from '../../store/queries/inbox/change.ts'
import {
  channelOfThread,
  comesLater,
  insertBeside,
  keepRegrouping,
  mergeableWith,
  moveAll,
  moveBack,
  moveSince,
  regroupingOf,
  removeThread,
  setMergedInto,
  setNewestLead,
} from '../../store/queries/inbox/regroup.ts'
import { businessHoursOf, refreshThreads } from './refresh.ts'
import { lockThread, positionOf, writeChange } from './writeChange.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** Mails of one address belong together by what people say; elsewhere it is the network that says it. */
export const regroups = (channel: string): boolean =>
  accountConnectorOf(channel)?.capabilities.regroups ?? false

/** Threads that may belong together with one. @throws Refusal notFound */
export async function mergeable(parts: Parts, reader: Reader, id: number): Promise<Mergeable[]> {
  const channel = await parts.db.inTransaction(async (tx) => {
    await lockThread(parts.db, reader, id, tx)
    return channelOfThread(parts.db, id, tx)
  })
  return regroups(channel) ? mergeableWith(parts.db, reader, id) : []
}

/**
 * Brings everything of another thread of the same address into this one. Open is what comes of it when one of them was.
 *
 * @throws Refusal notFound, cannotRegroup
 */
export function mergeThreads(
  parts: Parts,
  reader: Reader,
  id: number,
  other: number,
): Promise<ThreadChangeAnswer> {
  const { db } = parts
  return db.inTransaction(async (tx) => {
    // In the order of their numbers, so that two who do this at once do not wait for each other.
    const locked = new Map<number, LockedThread>()
    for (const each of [id, other].toSorted((a, b) => a - b))
      locked.set(each, await lockThread(db, reader, each, tx))
    const [home, lost] = [locked.get(id)!, locked.get(other)!]
    const possible =
      id !== other &&
      home.profileId === lost.profileId &&
      home.leadId !== null &&
      lost.leadId !== null &&
      regroups(await channelOfThread(db, id, tx))
    if (!possible) throw new Refusal('cannotRegroup')
    const moved = await moveAll(db, { from: other, to: id }, tx)
    await setThread(
      db,
      { ...lost, state: 'done', setAsideUntil: null, givenTo: null, teamId: null, spam: null },
      tx,
    )
    await setMergedInto(db, { id: other, into: id }, tx)
    const isOpen = home.state === 'open' || lost.state === 'open'
    const answer = await writeChange(
      parts,
      reader,
      home,
      {
        kind: 'merge',
        detail: { thread: other },
        next: isOpen ? { state: 'open', setAsideUntil: null } : positionOf(home),
        // What somebody had taken stays taken.
        owner: home.givenTo === null && home.teamId === null ? lost : home,
      },
      tx,
    )
    const { state, setAsideUntil, givenTo, teamId, edition } = lost
    await keepRegrouping(
      db,
      {
        event: answer.eventId!,
        from: other,
        to: id,
        ...moved,
        before: { state, setAsideUntil: setAsideUntil?.toISOString() ?? null, givenTo, teamId },
        edition,
      },
      tx,
    )
    await settle(parts, home.brandId, [id, other], tx)
    return answer
  })
}

/**
 * An entry of a thread, and what came after it, is a thread of its own from now on, in the same hands.
 *
 * @throws Refusal notFound, cannotRegroup for the first of a thread
 */
export function splitThread(
  parts: Parts,
  reader: Reader,
  id: number,
  entry: number,
): Promise<ThreadChangeAnswer> {
  const { db } = parts
  return db.inTransaction(async (tx) => {
    const thread = await lockThread(db, reader, id, tx)
    const possible =
      regroups(await channelOfThread(db, id, tx)) && (await comesLater(db, { thread: id, entry }, tx))
    if (!possible) throw new Refusal('cannotRegroup')
    const made = await insertBeside(db, { beside: id, entry }, tx)
    const moved = await moveSince(db, { from: id, to: made }, entry, tx)
    const answer = await writeChange(parts, reader, thread, { kind: 'split', detail: { thread: made } }, tx)
    await settle(parts, thread.brandId, [id, made], tx)
    const { edition } = (await lockThreadById(db, made, tx))!
    await keepRegrouping(
      db,
      { event: answer.eventId!, from: id, to: made, ...moved, before: null, edition },
      tx,
    )
    return { ...answer, made }
  })
}

/** Takes a merge or a split back. @throws Refusal undoTooLate when somebody has built on the thread that was made */
export async function undoRegrouping(
  parts: Parts,
  { brandId }: LockedThread,
  event: number,
  tx: Tx,
): Promise<void> {
  const { db } = parts
  const of = await regroupingOf(db, event, tx)
  if (!of) return
  const { from, to, before, edition } = of
  const other = await lockThreadById(db, before ? from : to, tx)
  if (!other || (!before && other.edition !== edition)) throw new Refusal('undoTooLate')
  if (before) {
    await moveBack(db, { from, to }, of, tx)
    const setAsideUntil = before.setAsideUntil === null ? null : new Date(before.setAsideUntil)
    await setThread(
      db,
      { ...other, ...before, state: before.state, setAsideUntil, edition: other.edition + 1 },
      tx,
    )
    await setMergedInto(db, { id: from, into: null }, tx)
  } else {
    // Also notes and follow-ups that were written there since.
    await moveAll(db, { from: to, to: from }, tx)
    await removeThread(db, to, tx)
  }
  await settle(parts, brandId, before ? [from, to] : [from], tx)
}

/** What threads are shown by, and when they are due, goes by what they hold now. */
async function settle(parts: Parts, brandId: number, ids: readonly number[], tx: Tx): Promise<void> {
  const { db, live, now } = parts
  await setNewestLead(db, ids, tx)
  await refreshThreads(db, ids, await businessHoursOf(db, brandId, tx), now(), tx)
  await live.tell(brandId, { kind: 'entries', threads: [...ids], count: 0 }, tx)
}
