import { transition, type ThreadEvent, type ThreadPosition } from '@murrabel/core/inbox'
import type { ThreadState } from '@murrabel/core/lens'
import type { ThreadChangeAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addAccess, Where } from '../../store/queries/where.ts'
import type { Database, Tx } from '../../store/database.ts'
import { audit } from '../brand/audit.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now'>

export interface LockedThread {
  id: number
  profileId: number
  placeId: number | null
  leadId: number | null
  version: number
  state: ThreadState
  setAsideUntil: Date | null
  givenTo: number | null
}

/** The thread, locked until the transaction ends. @throws Refusal notFound when it is not there or not the reader's */
export async function lockThread(db: Database, reader: Reader, id: number, tx: Tx): Promise<LockedThread> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.id = ${where.bind(id)}`)
  const thread = await db.one<LockedThread>(
    `SELECT t.id, t.profile_id AS "profileId", t.place_id AS "placeId", t.lead_entry_id AS "leadId", t.version, t.state, t.set_aside_until AS "setAsideUntil", t.given_to AS "givenTo"
     FROM threads t WHERE ${where.toString()} FOR UPDATE`,
    where.values,
    tx,
  )
  if (!thread) throw new Refusal('notFound')
  return thread
}

interface Change {
  kind: string
  detail?: object
  state?: ThreadState
  setAsideUntil?: Date | null
  givenTo?: number | null
}

/** Writes a change with what was before it, so that it can be explained and undone. */
export async function writeChange(
  { db, live }: Parts,
  reader: Reader,
  thread: LockedThread,
  change: Change,
  tx: Tx,
): Promise<ThreadChangeAnswer> {
  const next = {
    state: change.state ?? thread.state,
    setAsideUntil: change.setAsideUntil === undefined ? thread.setAsideUntil : change.setAsideUntil,
    givenTo: change.givenTo === undefined ? thread.givenTo : change.givenTo,
    version: thread.version + 1,
  }
  await db.rows(
    'UPDATE threads SET state = $2, set_aside_until = $3, given_to = $4, version = $5 WHERE id = $1',
    [thread.id, next.state, next.setAsideUntil, next.givenTo, next.version],
    tx,
  )
  const event = await db.one<{ id: number }>(
    'INSERT INTO thread_events (thread_id, colleague_id, kind, detail, before, version) VALUES ($1, $2, $3, $4, $5, $6) RETURNING id',
    [
      thread.id,
      reader.colleagueId,
      change.kind,
      JSON.stringify(change.detail ?? {}),
      JSON.stringify({ state: thread.state, setAsideUntil: thread.setAsideUntil, givenTo: thread.givenTo }),
      next.version,
    ],
    tx,
  )
  await audit(db, reader, change.kind, `thread ${thread.id}`, change.detail, tx)
  await live.tell(reader.brandId, { kind: 'thread', threads: [thread.id] }, tx)
  return {
    thread: { id: thread.id, ...next, setAsideUntil: next.setAsideUntil?.toISOString() ?? null },
    eventId: event?.id ?? null,
  }
}

const positionOf = ({ state, setAsideUntil }: LockedThread): ThreadPosition => ({
  state,
  setAsideUntil: setAsideUntil?.getTime() ?? null,
})

const unchanged = (thread: LockedThread): ThreadChangeAnswer => ({
  thread: {
    id: thread.id,
    state: thread.state,
    version: thread.version,
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
    const { state, setAsideUntil } = result.next
    const until = setAsideUntil === null ? null : new Date(setAsideUntil)
    return writeChange(
      parts,
      reader,
      thread,
      { kind: event.kind, state, setAsideUntil: until, detail: until ? { until } : {} },
      tx,
    )
  })
}

/** Gives a thread to a colleague, or to nobody. */
export async function giveThread(
  parts: Parts,
  reader: Reader,
  id: number,
  to: number | null,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    if (thread.givenTo === to) return unchanged(thread)
    if (to !== null) {
      const member = await parts.db.one(
        'SELECT 1 FROM memberships WHERE brand_id = $1 AND colleague_id = $2',
        [reader.brandId, to],
        tx,
      )
      if (!member)
        throw new Refusal('invalid', {
          fields: [{ field: 'to', code: 'unknown', message: 'There is no such colleague on this brand.' }],
        })
    }
    return writeChange(parts, reader, thread, { kind: 'give', givenTo: to, detail: { to } }, tx)
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
    const event = await parts.db.one<{
      kind: string
      version: number
      before: { state: ThreadState; setAsideUntil: string | null; givenTo: number | null }
    }>(
      'SELECT kind, version, before FROM thread_events WHERE id = $1 AND thread_id = $2 AND undone_at IS NULL',
      [eventId, id],
      tx,
    )
    if (!event) throw new Refusal('notFound')
    if (event.version !== thread.version) throw new Refusal('undoTooLate')
    await parts.db.rows('UPDATE thread_events SET undone_at = now() WHERE id = $1', [eventId], tx)
    const { state, setAsideUntil, givenTo } = event.before
    const change = {
      kind: 'undo',
      state,
      setAsideUntil: setAsideUntil ? new Date(setAsideUntil) : null,
      givenTo,
      detail: { undone: event.kind },
    }
    return writeChange(parts, reader, thread, change, tx)
  })
}

/** Opens threads whose time has come; returns how many. */
export async function wakeThreads({ db, live, now }: Parts): Promise<number> {
  return db.inTransaction(async (tx) => {
    const woken = await db.rows<{ id: number; brandId: number }>(
      `UPDATE threads SET state = 'open', set_aside_until = NULL, version = version + 1
       WHERE id IN (SELECT id FROM threads WHERE state = 'aside' AND set_aside_until <= $1 FOR UPDATE SKIP LOCKED) RETURNING id, brand_id AS "brandId"`,
      [new Date(now())],
      tx,
    )
    for (const { id, brandId } of woken) {
      await db.rows(
        `INSERT INTO thread_events (thread_id, kind, version) SELECT id, 'wake', version FROM threads WHERE id = $1`,
        [id],
        tx,
      )
      await live.tell(brandId, { kind: 'thread', threads: [id] }, tx)
    }
    return woken.length
  })
}
