import {
  actionTransition,
  stands,
  type ActionEvent,
  type ActionState,
  type ActionTransition,
} from '@murrabel/core/actions'
import type { EntryKind } from '@murrabel/core/lens'
import type { Database, Tx } from '../../store/database.ts'

/** What a reply is aimed at: ids on the network, as they were when it was decided. */
export interface ReplyTarget {
  threadId: string
  entryId: string
  kind: EntryKind
}

export interface OutsideAction {
  id: number
  brandId: number
  profileId: number
  threadId: number | null
  entryId: number | null
  kind: string
  key: string
  target: ReplyTarget
  payload: { text: string }
  state: ActionState
  uncertain: boolean
  attempts: number
  error: string | null
  colleagueId: number | null
}

const columns = `id, brand_id AS "brandId", profile_id AS "profileId", thread_id AS "threadId", entry_id AS "entryId", kind, key, target, payload,
  state, uncertain, attempts, error, colleague_id AS "colleagueId"`

export const lockAction = (db: Database, id: number, tx: Tx): Promise<OutsideAction | undefined> =>
  db.one<OutsideAction>(`SELECT ${columns} FROM outside_actions WHERE id = $1 FOR UPDATE`, [id], tx)

/**
 * Moves a locked action as the core's state machine says, and marks its entry where that no longer answers anybody. There
 * is no other way in which an action changes its state.
 */
export async function moveAction(
  db: Database,
  action: OutsideAction,
  event: ActionEvent,
  { error = null, outsideId = null }: { error?: string | null; outsideId?: string | null },
  tx: Tx,
): Promise<ActionTransition> {
  const moved = actionTransition(action, event)
  if (!moved.changed) return moved
  const { state, uncertain } = moved.next
  await db.rows(
    `UPDATE outside_actions SET state = $2, uncertain = $3, error = $4, attempts = attempts + $5::int, changed_at = now(),
       outside_id = coalesce($6, outside_id), sent_at = CASE WHEN $2 = 'sent' THEN coalesce(sent_at, now()) ELSE sent_at END
     WHERE id = $1`,
    [action.id, state, uncertain, error, event.kind === 'begin' ? 1 : 0, outsideId],
    tx,
  )
  if (action.entryId !== null && stands(state) !== stands(action.state))
    await db.rows('UPDATE entries SET withdrawn = $2 WHERE id = $1', [action.entryId, !stands(state)], tx)
  return moved
}

/** Whether the customer's last word in a thread has no answer of ours that stands. */
export async function answerIsOwed(db: Database, threadId: number, tx: Tx): Promise<boolean> {
  const row = await db.one<{ owed: boolean }>(
    `SELECT coalesce(max(at) FILTER (WHERE direction = 'in') > coalesce(max(at) FILTER (WHERE direction = 'out' AND NOT withdrawn), '-infinity'), false) AS owed
     FROM entries WHERE thread_id = $1`,
    [threadId],
    tx,
  )
  return row?.owed ?? false
}
