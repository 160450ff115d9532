import type { Reader } from '../../../access/reader.ts'
import { addAccess, Where } from '../shared/where.ts'
import type { Database, Tx } from '../../database.ts'
import type { ThreadState } from '@murrabel/core/lens'

const lockedColumns = `t.id, t.brand_id AS "brandId", t.profile_id AS "profileId", t.place_id AS "placeId", t.lead_entry_id AS "leadId", t.edition, t.state, t.set_aside_until AS "setAsideUntil", t.given_to AS "givenTo",
  t.team_id AS "teamId", t.priority, CASE WHEN t.spam_at IS NOT NULL THEN jsonb_build_object('why', t.spam_why, 'like', t.spam_like, 'at', t.spam_at) END AS spam`

export type Priority = 0 | 1 | 2

/** Why a thread was put aside as spam, by which other thread, and when. */
export interface SpamState {
  why: 'person' | 'sender' | 'words'
  like: number | null
  at: string
}

export interface LockedThread {
  id: number
  brandId: number
  profileId: number
  placeId: number | null
  leadId: number | null
  edition: number
  state: ThreadState
  setAsideUntil: Date | null
  givenTo: number | null
  /** The team whose it is until somebody of it takes it. */
  teamId: number | null
  priority: Priority
  spam: SpamState | null
}

export const lockThreadById = (db: Database, id: number, tx?: Tx): Promise<LockedThread | undefined> =>
  db.one<LockedThread>(
    `SELECT ${lockedColumns}
     FROM threads t
     WHERE t.id = $1
     FOR UPDATE`,
    [id],
    tx,
  )

/** The same, unless somebody is acting on it at this moment. */
export const lockThreadIfFree = (db: Database, id: number, tx: Tx): Promise<LockedThread | undefined> =>
  db.one<LockedThread>(
    `SELECT ${lockedColumns}
     FROM threads t
     WHERE t.id = $1
     FOR UPDATE SKIP LOCKED`,
    [id],
    tx,
  )

export const setThread = async (
  db: Database,
  {
    id,
    state,
    setAsideUntil,
    givenTo,
    teamId,
    priority,
    spam,
    edition,
  }: Pick<
    LockedThread,
    'id' | 'state' | 'setAsideUntil' | 'givenTo' | 'teamId' | 'priority' | 'spam' | 'edition'
  >,
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads
     SET state = $2, set_aside_until = $3, given_to = $4, edition = $5, team_id = $6, priority = $7,
       spam_why = $8, spam_like = $9, spam_at = $10
     WHERE id = $1`,
    [
      id,
      state,
      setAsideUntil,
      givenTo,
      edition,
      teamId,
      priority,
      spam?.why ?? null,
      spam?.like ?? null,
      spam?.at ?? null,
    ],
    tx,
  )
}

/** What a change keeps of how it was before; what was not known when it was written stays as it is. */
export interface BeforeChange {
  state: ThreadState
  setAsideUntil: string | null
  givenTo: number | null
  teamId?: number | null
  priority?: Priority
  spam?: SpamState | null
  /** What a person had said of its being spam; null: nothing. */
  mark?: boolean | null
}

/** What was done with a thread and can be undone. */
export const lockUndoable = (
  db: Database,
  { eventId, threadId }: { eventId: number; threadId: number },
  tx?: Tx,
): Promise<{ kind: string; edition: number; before: BeforeChange } | undefined> =>
  db.one<{ kind: string; edition: number; before: BeforeChange }>(
    `SELECT kind, edition, before
     FROM events
     WHERE id = $1 AND thread_id = $2 AND subject = 'thread' AND before IS NOT NULL
       AND undone_at IS NULL`,
    [eventId, threadId],
    tx,
  )

export const setUndone = async (db: Database, eventId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE events
     SET undone_at = now()
     WHERE id = $1`,
    [eventId],
    tx,
  )
}

/** The thread, locked until the transaction ends, if the reader may see it. */
export function lockThreadSeenBy(
  db: Database,
  reader: Reader,
  id: number,
  tx?: Tx,
): Promise<LockedThread | undefined> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.id = ${where.bind(id)}`)
  return db.one<LockedThread>(
    `SELECT ${lockedColumns}
     FROM threads t
     WHERE ${where.toString()}
     FOR UPDATE`,
    where.values,
    tx,
  )
}
