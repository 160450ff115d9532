import type { LensSource } from '../entries/lensWhere.ts'
import type { Database, Tx } from '../../database.ts'
import type { AlertCondition } from '@murrabel/core/alerts'

export interface DueAlert {
  id: number
  brandId: number
  lens: string
  condition: AlertCondition
  quietMinutes: number
  open: boolean
  firedAt: Date | null
  createdAt: Date
  createdBy: number | null
  emails: string[]
  webhook: string | null
}

export const claimAlert = (
  db: Database,
  { id, at }: { id: number; at: Date },
  tx?: Tx,
): Promise<DueAlert | undefined> =>
  db.one<DueAlert>(
    `UPDATE alerts a
     SET checked_at = $2
     WHERE a.id = $1 AND a.active AND a.deleted_at IS NULL
     RETURNING a.id, a.brand_id AS "brandId", a.lens, a.condition, a.quiet_minutes AS "quietMinutes",
       a.open, a.fired_at AS "firedAt", a.created_at AS "createdAt", a.created_by AS "createdBy",
       a.emails, a.webhook`,
    [id, at],
    tx,
  )

export const setAlertState = async (
  db: Database,
  { id, open, firedAt }: { id: number; open: boolean; firedAt: Date | null },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE alerts
     SET open = $2, fired_at = $3
     WHERE id = $1`,
    [id, open, firedAt],
    tx,
  )
}

export const keepTold = async (
  db: Database,
  { alertId, entryIds }: { alertId: number; entryIds: readonly number[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO alert_fired (alert_id, entry_id)
     SELECT $1::int, unnest($2::bigint[])`,
    [alertId, entryIds],
    tx,
  )
}

export const forgetTold = async (db: Database, alertId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `DELETE FROM alert_fired
     WHERE alert_id = $1 AND at < now() - interval '7 days'`,
    [alertId],
    tx,
  )
}

export const setAlertFired = async (
  db: Database,
  { id, firedAt }: { id: number; firedAt: Date },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE alerts
     SET fired_at = $2
     WHERE id = $1`,
    [id, firedAt],
    tx,
  )
}

export const insertAlertEvent = (
  db: Database,
  {
    alertId,
    brandId,
    kind,
    at,
    detail,
  }: { alertId: number; brandId: number; kind: string; at: Date; detail: object },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO alert_events (alert_id, brand_id, kind, at, detail)
     VALUES ($1, $2, $3, $4, $5)
     RETURNING id`,
    [alertId, brandId, kind, at, JSON.stringify(detail)],
    tx,
  )

export const insertDelivery = (
  db: Database,
  { eventId, way, target }: { eventId: number; way: string; target: string },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO alert_deliveries (event_id, way, target)
     VALUES ($1, $2, $3)
     RETURNING id`,
    [eventId, way, target],
    tx,
  )

/** Entries that one alert has told are left out, and those that were read before it looked the last time. */
export interface Untold {
  alertId: number
  readSince: Date
}

/** Single entries of a lens since a time, oldest first, at most 50,000. */
export function entriesOfLensSince(
  db: Database,
  { from, where }: LensSource,
  { since, reachAbove, unfired }: { since: Date; reachAbove: number | null; unfired: Untold | null },
): Promise<{ id: number; at: Date; reach: number }[]> {
  where.add(`e.at >= ${where.bind(since)} AND e.analysed_at IS NOT NULL`)
  if (reachAbove !== null) where.add(`e.reach >= ${where.bind(reachAbove)}::int`)
  if (unfired)
    where.add(
      `e.analysed_at >= ${where.bind(unfired.readSince)}
       AND NOT EXISTS (
         SELECT 1 FROM alert_fired d WHERE d.alert_id = ${where.bind(unfired.alertId)}::int AND d.entry_id = e.id
       )`,
    )
  return db.rows<{ id: number; at: Date; reach: number }>(
    `SELECT e.id, e.at, e.reach
     FROM ${from}
     WHERE ${where.toString()}
     ORDER BY e.at, e.id
     LIMIT 50000`,
    where.values,
  )
}
