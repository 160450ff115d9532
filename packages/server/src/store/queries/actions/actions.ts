import type { Database, Tx } from '../../database.ts'
import type { ActionState } from '@murrabel/core/actions'
import type { EntryKind } from '@murrabel/core/lens'

const columns = `id, brand_id AS "brandId", profile_id AS "profileId", thread_id AS "threadId", entry_id AS "entryId", kind, key, target, payload,
  state, uncertain, attempts, error, outside_id AS "outsideId", colleague_id AS "colleagueId"`

export interface OutsideAction {
  id: number
  brandId: number
  profileId: number
  threadId: number | null
  entryId: number | null
  kind: string
  key: string
  target: ReplyTarget
  payload: { text: string; reason?: string }
  state: ActionState
  uncertain: boolean
  attempts: number
  error: string | null
  /** On the network, once it was taken. */
  outsideId: string | null
  colleagueId: number | null
}

/** What a reply is aimed at: ids on the network, as they were when it was decided. */
export interface ReplyTarget {
  threadId: string
  entryId: string
  kind: EntryKind
  answerTo?: unknown
  privatelyTo?: string
}

export const actionByKey = (
  db: Database,
  { brandId, key }: { brandId: number; key: string },
  tx?: Tx,
): Promise<{ threadId: number; text: string } | undefined> =>
  db.one<{ threadId: number; text: string }>(
    `SELECT thread_id AS "threadId", payload->>'text' AS text
     FROM outside_actions
     WHERE brand_id = $1 AND key = $2`,
    [brandId, key],
    tx,
  )

export const profileOfAction = (
  db: Database,
  id: number,
  tx?: Tx,
): Promise<{ profileId: number } | undefined> =>
  db.one<{ profileId: number }>(
    `SELECT profile_id AS "profileId"
     FROM outside_actions
     WHERE id = $1`,
    [id],
    tx,
  )

export const threadOfAction = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<{ threadId: number | null } | undefined> =>
  db.one<{ threadId: number | null }>(
    `SELECT thread_id AS "threadId"
     FROM outside_actions
     WHERE id = $1 AND brand_id = $2`,
    [id, brandId],
    tx,
  )

/** The action, held until the transaction ends. */
export const lockAction = (db: Database, id: number, tx?: Tx): Promise<OutsideAction | undefined> =>
  db.one<OutsideAction>(
    `SELECT ${columns}
     FROM outside_actions
     WHERE id = $1
     FOR UPDATE`,
    [id],
    tx,
  )

export const setActionState = async (
  db: Database,
  {
    id,
    state,
    uncertain,
    error,
    tries,
    outsideId,
  }: {
    id: number
    state: string
    uncertain: boolean
    error: string | null
    tries: number
    outsideId: string | null
  },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE outside_actions
     SET state = $2, uncertain = $3, error = $4, attempts = attempts + $5::int, changed_at = now(),
       outside_id = coalesce($6, outside_id),
       sent_at = CASE WHEN $2 = 'sent' THEN coalesce(sent_at, now()) ELSE sent_at END
     WHERE id = $1`,
    [id, state, uncertain, error, tries, outsideId],
    tx,
  )
}

/** Whether the newest entry of a thread that stands is not ours. */
export const isAnswerOwed = (
  db: Database,
  threadId: number,
  tx?: Tx,
): Promise<{ owed: boolean } | undefined> =>
  db.one<{ owed: boolean }>(
    `SELECT coalesce(
       max(at) FILTER (WHERE direction = 'in')
         > coalesce(max(at) FILTER (WHERE direction = 'out' AND NOT withdrawn), '-infinity'),
       false
     ) AS owed
     FROM entries
     WHERE thread_id = $1`,
    [threadId],
    tx,
  )

export const actionsByKey = (
  db: Database,
  { profileId, keys }: { profileId: number; keys: readonly (string | undefined)[] },
  tx?: Tx,
): Promise<{ id: number; key: string }[]> =>
  db.rows<{ id: number; key: string }>(
    `SELECT id, key
     FROM outside_actions
     WHERE profile_id = $1 AND key = ANY($2::uuid[])
     ORDER BY id`,
    [profileId, keys],
    tx,
  )

/** Of an answer that is sent at a chosen time: how long until then, and whether they have written since it was decided. */
export const sendingLater = (
  db: Database,
  id: number,
  now: Date,
): Promise<{ waitMs: number; wrote: boolean } | undefined> =>
  db.one<{ waitMs: number; wrote: boolean }>(
    `SELECT extract(epoch FROM a.send_at - $2::timestamptz)::float8 * 1000 AS "waitMs", EXISTS (
       SELECT FROM entries e
       WHERE e.thread_id = a.thread_id AND e.direction = 'in' AND e.id > a.entry_id AND e.deleted_at IS NULL
     ) AS wrote
     FROM outside_actions a
     WHERE a.id = $1 AND a.send_at IS NOT NULL AND a.state = 'waiting'`,
    [id, now],
  )

/** It goes out at once. */
export const dropSendAt = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('UPDATE outside_actions SET send_at = NULL WHERE id = $1', [id], tx)
}

/** What was sent at a chosen time was said then. */
export const saidWhenSent = async (db: Database, id: number, at: Date, tx: Tx): Promise<void> => {
  await db.rows(
    `UPDATE entries e SET at = $2 FROM outside_actions a WHERE a.id = $1 AND a.send_at IS NOT NULL AND e.id = a.entry_id`,
    [id, at],
    tx,
  )
}

export const waitingActions = (db: Database, profileId: number, tx?: Tx): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `SELECT id
     FROM outside_actions
     WHERE profile_id = $1 AND state = 'waiting' AND (send_at IS NULL OR send_at <= now())`,
    [profileId],
    tx,
  )
