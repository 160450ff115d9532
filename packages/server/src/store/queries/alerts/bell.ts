import type { BellAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'
import { addSeenAlerts, type EventRow } from './alerts.ts'

/** What alerts have told in the application, newest first, with what the reader has not seen. */
export function eventsForBell(db: Database, reader: Reader): Promise<(EventRow & { unseen: boolean })[]> {
  const where = new Where()
  addSeenAlerts(where, reader)
  return db.rows<EventRow & { unseen: boolean }>(
    `SELECT v.id, v.alert_id AS "alertId", a.name AS alert, v.kind, v.at, v.detail,
       v.id > m.bell_seen AS unseen
     FROM alert_events v
     JOIN alerts a ON a.id = v.alert_id
     JOIN memberships m ON m.colleague_id = ${where.bind(reader.colleagueId)} AND m.brand_id = a.brand_id
     WHERE ${where.toString()} AND a.in_app
     ORDER BY v.id DESC
     LIMIT 30`,
    where.values,
  )
}

/** Answers that did not go out, newest first. */
export function actionsNotSent(db: Database, reader: Reader): Promise<BellAnswer['notSent']> {
  const where = new Where()
  addAccess(where, reader, 't')
  return db.rows<BellAnswer['notSent'][number]>(
    `SELECT x.id, x.thread_id AS "threadId", p.name AS profile, p.network, p.channel,
       left(x.payload->>'text', 120) AS text, x.error, x.uncertain, x.changed_at AS at
     FROM outside_actions x
     JOIN threads t ON t.id = x.thread_id
     JOIN profiles p ON p.id = x.profile_id
     WHERE ${where.toString()} AND x.state = 'failed'
     ORDER BY x.changed_at DESC
     LIMIT 30`,
    where.values,
  )
}

export const setBellSeen = async (
  db: Database,
  { brandId, colleagueId, upTo }: { brandId: number; colleagueId: number; upTo: number },
): Promise<void> => {
  await db.rows(
    `UPDATE memberships
     SET bell_seen = greatest(bell_seen, $3)
     WHERE brand_id = $1 AND colleague_id = $2`,
    [brandId, colleagueId, upTo],
  )
}
