import type { EventDetail } from './alerts.ts'
import type { Database } from '../../database.ts'

export interface Delivery {
  id: number
  eventId: number
  way: 'email' | 'webhook'
  target: string
  attempts: number
  kind: 'begin' | 'end'
  at: Date
  detail: EventDetail
  alertId: number
  alert: string
  brand: string
  secret: Buffer | null
}

/** Nothing when it has gone out, or another process is at it. */
export const claimDelivery = (db: Database, id: number): Promise<Delivery | undefined> =>
  db.one<Delivery>(
    `UPDATE alert_deliveries d
     SET state = 'sending', attempts = d.attempts + 1
     FROM alert_events v, alerts a, brands b
     WHERE d.id = $1
       AND d.state IN ('waiting', 'sending')
       AND v.id = d.event_id
       AND a.id = v.alert_id
       AND b.id = v.brand_id
     RETURNING d.id, d.event_id AS "eventId", d.way, d.target, d.attempts, v.kind, v.at, v.detail,
       a.id AS "alertId", a.name AS alert, b.name AS brand, a.webhook_secret_sealed AS secret`,
    [id],
  )

export const setDeliveryFailed = async (
  db: Database,
  { id, state, error }: { id: number; state: string; error: string },
): Promise<void> => {
  await db.rows(
    `UPDATE alert_deliveries
     SET state = $2, error = $3
     WHERE id = $1 AND state = 'sending'`,
    [id, state, error],
  )
}

export const setDeliverySent = async (db: Database, id: number): Promise<void> => {
  await db.rows(
    `UPDATE alert_deliveries
     SET state = 'sent', sent_at = now(), error = NULL
     WHERE id = $1`,
    [id],
  )
}
