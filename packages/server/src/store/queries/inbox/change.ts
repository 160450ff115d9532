import type { Reader } from '../../../access/reader.ts'
import { addAccess, Where } from '../shared/where.ts'
import type { Database, Tx } from '../../database.ts'
import type { ThreadState } from '@murrabel/core/lens'

const lockedColumns = `t.id, t.brand_id AS "brandId", t.profile_id AS "profileId", t.place_id AS "placeId", t.lead_entry_id AS "leadId", t.edition, t.state, t.set_aside_until AS "setAsideUntil", t.given_to AS "givenTo"`

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

export const setThread = async (
  db: Database,
  {
    id,
    state,
    setAsideUntil,
    givenTo,
    edition,
  }: { id: number; state: string; setAsideUntil: Date | null; givenTo: number | null; edition: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads
     SET state = $2, set_aside_until = $3, given_to = $4, edition = $5
     WHERE id = $1`,
    [id, state, setAsideUntil, givenTo, edition],
    tx,
  )
}

/** What was done with a thread and can be undone. */
export const lockUndoable = (
  db: Database,
  { eventId, threadId }: { eventId: number; threadId: number },
  tx?: Tx,
): Promise<
  | {
      kind: string
      edition: number
      before: { state: ThreadState; setAsideUntil: string | null; givenTo: number | null }
    }
  | undefined
> =>
  db.one<{
    kind: string
    edition: number
    before: { state: ThreadState; setAsideUntil: string | null; givenTo: number | null }
  }>(
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
