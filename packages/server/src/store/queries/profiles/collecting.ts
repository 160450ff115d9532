import type { Database, Tx } from '../../database.ts'
import { beginOutage } from './outages.ts'

export const setCollectFailure = async (
  db: Database,
  { id, error, failing }: { id: number; error: string; failing: boolean },
): Promise<void> => {
  await db.rows(
    `UPDATE profiles
     SET status = CASE WHEN $3 THEN 'failing' ELSE status END, error = $2
     WHERE id = $1 AND status <> 'disconnected'`,
    [id, error, failing],
  )
  await beginOutage(db, id)
}

export const setCollected = async (
  db: Database,
  {
    id,
    cursor,
    items,
    total,
    more,
    moved,
  }: {
    id: number
    cursor: string
    items: number
    total: number | null
    more: boolean
    moved: boolean
  },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE profiles
     SET cursor = $2,
       history_done = CASE WHEN $6 THEN least(history_done + $3, coalesce($4, history_done + $3)) ELSE history_done END,
       history_total = CASE WHEN status = 'collecting' OR $6 THEN coalesce($4, history_total) ELSE history_total END,
       collected_at = now(), error = NULL,
       status = CASE WHEN status = 'disconnected' THEN status WHEN $5 THEN 'collecting' ELSE 'connected' END
     WHERE id = $1`,
    [id, cursor, items, total, more, moved],
    tx,
  )
}
