import type { BellAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { eventAnswer, type EventRow } from './alerts.ts'

/** What alerts have told in the application, the newest first, and how much of it one has not seen. */
export async function bell({ db }: Pick<Context, 'db'>, reader: Reader): Promise<BellAnswer> {
  const rows = await db.rows<EventRow & { unseen: boolean }>(
    `SELECT v.id, v.alert_id AS "alertId", a.name AS alert, v.kind, v.at, v.detail, v.id > m.bell_seen AS unseen
     FROM alert_events v JOIN alerts a ON a.id = v.alert_id JOIN memberships m ON m.colleague_id = $2 AND m.brand_id = $1
     WHERE v.brand_id = $1 AND a.in_app AND a.deleted_at IS NULL ORDER BY v.id DESC LIMIT 30`,
    [reader.brandId, reader.colleagueId],
  )
  return { unseen: rows.filter((row) => row.unseen).length, events: rows.map(eventAnswer) }
}

export async function bellSeen({ db }: Pick<Context, 'db'>, reader: Reader, upTo: number): Promise<void> {
  await db.rows(
    'UPDATE memberships SET bell_seen = greatest(bell_seen, $3) WHERE brand_id = $1 AND colleague_id = $2',
    [reader.brandId, reader.colleagueId, upTo],
  )
}
