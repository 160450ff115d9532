import type { AlertAnswer, AlertDraft } from '@murrabel/contract'
import { isLimited, type Reader } from '../../../access/reader.ts'
import { Where } from '../shared/where.ts'
import type { Database, Tx } from '../../database.ts'
import type { FiringMessage, AlertCondition } from '@murrabel/core/alerts'

export interface EventRow {
  id: number
  alertId: number
  alert: string
  kind: 'begin' | 'end'
  at: Date
  detail: EventDetail
}

export interface EventDetail {
  /** In English, for mail, feeds and webhooks. */
  text: string
  /** The same for a reader's own language; missing in events of earlier versions. */
  phrase?: FiringMessage
  /** Path and query of the page with its entries. */
  link: string
  phrases?: string[]
  condition: AlertCondition
}

export const keepWebhookSecret = async (
  db: Database,
  { id, sealed }: { id: number; sealed: Buffer },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE alerts
     SET webhook_secret_sealed = coalesce(webhook_secret_sealed, $2)
     WHERE id = $1`,
    [id, sealed],
    tx,
  )
}

export const markAlertDeleted = (
  db: Database,
  {
    id,
    brandId,
    deleted,
    seesAll,
    colleagueId,
  }: { id: number; brandId: number; deleted: boolean; seesAll: boolean; colleagueId: number },
  tx?: Tx,
): Promise<{ active: boolean } | undefined> =>
  db.one<{ active: boolean }>(
    `UPDATE alerts
     SET deleted_at = CASE WHEN $3 THEN now() END, open = false, feed_token = NULL,
       edition = edition + 1
     WHERE id = $1 AND brand_id = $2 AND (deleted_at IS NULL) = $3 AND ($4 OR created_by = $5)
     RETURNING active`,
    [id, brandId, deleted, seesAll, colleagueId],
    tx,
  )

export const eventsOfAlert = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<EventRow[]> =>
  db.rows<EventRow>(
    `SELECT v.id, v.alert_id AS "alertId", a.name AS alert, v.kind, v.at, v.detail
     FROM alert_events v
     JOIN alerts a ON a.id = v.alert_id
     WHERE a.id = $1 AND a.brand_id = $2
     ORDER BY v.id DESC
     LIMIT 100`,
    [id, brandId],
  )

export interface AlertRow extends Omit<AlertAnswer, 'atom' | 'json' | 'webhookSecret'> {
  feedToken: string | null
  secret: Buffer | null
}

/**
 * Which alerts a reader may know of, as alerts a. An alert tells what its maker may see: whoever is limited to places or
 * profiles knows only their own.
 */
export function addSeenAlerts(where: Where, reader: Reader): void {
  where.add(`a.brand_id = ${where.bind(reader.brandId)} AND a.deleted_at IS NULL`)
  if (isLimited(reader)) where.add(`a.created_by = ${where.bind(reader.colleagueId)}`)
}

export function alertsSeenBy(
  db: Database,
  reader: Reader,
  { id = null }: { id?: number | null } = {},
): Promise<AlertRow[]> {
  const where = new Where()
  addSeenAlerts(where, reader)
  if (id !== null) where.add(`a.id = ${where.bind(id)}`)
  return db.rows<AlertRow>(
    `SELECT a.id, a.name, a.lens, a.condition, a.quiet_minutes AS "quietMinutes", a.in_app AS "inApp",
       a.emails, a.webhook, a.active, a.open, a.edition, a.fired_at AS "firedAt",
       a.feed_token AS "feedToken", a.webhook_secret_sealed AS secret,
       (SELECT count(*) FROM alert_events v WHERE v.alert_id = a.id AND v.kind = 'begin') AS firings,
       (
         SELECT d.error
         FROM alert_deliveries d
         JOIN alert_events v ON v.id = d.event_id
         WHERE v.alert_id = a.id AND d.state = 'failed'
         ORDER BY d.id DESC
         LIMIT 1
       ) AS "lastFailure"
     FROM alerts a
     WHERE ${where.toString()}
     ORDER BY a.name COLLATE "und-x-icu", a.id`,
    where.values,
  )
}

type Owner = Pick<Reader, 'colleagueId' | 'brandId'>
const alertValues = (draft: AlertDraft, { colleagueId, brandId }: Owner) => [
  draft.name,
  draft.lens,
  JSON.stringify(draft.condition),
  draft.quietMinutes,
  draft.inApp,
  [...new Set(draft.emails.map((e) => e.toLowerCase()))],
  draft.webhook ?? null,
  draft.active,
  colleagueId,
  brandId,
]

export const insertAlert = (
  db: Database,
  owner: Owner,
  { draft, feedToken }: { draft: AlertDraft; feedToken: string },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO alerts (name, lens, condition, quiet_minutes, in_app, emails, webhook, active, created_by,
       brand_id, feed_token)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
     RETURNING id`,
    [...alertValues(draft, owner), feedToken],
    tx,
  )

/** A changed condition begins afresh: what was open of the old one is no event of the new. */
export const updateAlert = (
  db: Database,
  owner: Owner,
  { draft, id }: { draft: AlertDraft; id: number },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `UPDATE alerts
     SET name = $1, quiet_minutes = $4, in_app = $5, emails = $6, webhook = $7, active = $8,
       created_by = $9, edition = edition + 1,
       open = open AND lens = $2 AND condition = $3::jsonb, lens = $2, condition = $3
     WHERE brand_id = $10 AND id = $11 AND deleted_at IS NULL
     RETURNING id`,
    [...alertValues(draft, owner), id],
    tx,
  )
