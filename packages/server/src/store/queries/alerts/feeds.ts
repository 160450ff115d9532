import type { EventRow } from './alerts.ts'
import type { Database, Tx } from '../../database.ts'

/** The newest entries a feed holds. */
const feedLength = 50

export const watchFeedToken = (
  db: Database,
  { watchId, brandId }: { watchId: number; brandId: number },
): Promise<{ token: string | null } | undefined> =>
  db.one<{ token: string | null }>(
    `SELECT feed_token AS token
     FROM watches
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL`,
    [watchId, brandId],
  )

export const setWatchFeed = (
  db: Database,
  {
    watchId,
    brandId,
    token,
    colleagueId,
  }: { watchId: number; brandId: number; token: string | null; colleagueId: number | null },
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `UPDATE watches
     SET feed_token = $3, feed_by = $4
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL
     RETURNING id`,
    [watchId, brandId, token, colleagueId],
    tx,
  )

export const setAlertFeed = async (
  db: Database,
  { alertId, token }: { alertId: number; token: string | null },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE alerts
     SET feed_token = $2
     WHERE id = $1`,
    [alertId, token],
    tx,
  )
}

export const alertByToken = (
  db: Database,
  token: string,
): Promise<{ id: number; name: string; brand: string; createdAt: Date } | undefined> =>
  db.one<{ id: number; name: string; brand: string; createdAt: Date }>(
    `SELECT a.id, a.name, b.name AS brand, a.created_at AS "createdAt"
     FROM alerts a
     JOIN brands b ON b.id = a.brand_id
     WHERE a.feed_token = $1 AND a.deleted_at IS NULL`,
    [token],
  )

export const eventsOfFeed = (db: Database, alertId: number): Promise<EventRow[]> =>
  db.rows<EventRow>(
    `SELECT id, alert_id AS "alertId", kind, at, detail
     FROM alert_events
     WHERE alert_id = $1
     ORDER BY id DESC
     LIMIT ${feedLength}`,
    [alertId],
  )

export const watchByToken = (
  db: Database,
  token: string,
): Promise<
  { id: number; name: string; brand: string; brandId: number; by: number | null; updatedAt: Date } | undefined
> =>
  db.one<{ id: number; name: string; brand: string; brandId: number; by: number | null; updatedAt: Date }>(
    `SELECT w.id, w.name, b.name AS brand, w.brand_id AS "brandId", w.feed_by AS by,
       w.updated_at AS "updatedAt"
     FROM watches w
     JOIN brands b ON b.id = w.brand_id
     WHERE w.feed_token = $1 AND w.deleted_at IS NULL`,
    [token],
  )
