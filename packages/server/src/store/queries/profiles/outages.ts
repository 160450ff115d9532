import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { Where } from '../shared/where.ts'

/** From when it was last collected; once until that ends. */
export const beginOutage = async (db: Database, profileId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `INSERT INTO outages (profile_id, from_at)
     SELECT id, coalesce(collected_at, connected_at) FROM profiles WHERE id = $1 AND status <> 'disconnected'
     ON CONFLICT (profile_id) WHERE to_at IS NULL DO NOTHING`,
    [profileId],
    tx,
  )
}

/**
 * It was collected again. What was short, or has come in since, leaves nothing.
 *
 * @param complete whether everything that was written meanwhile has come in
 */
export const endOutage = async (
  db: Database,
  { profileId, complete }: { profileId: number; complete: boolean },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `WITH over AS (
       SELECT id, $2::boolean OR from_at > now() - interval '1 hour' AS leaves_nothing FROM outages WHERE profile_id = $1 AND to_at IS NULL
     ), gone AS (
       DELETE FROM outages WHERE id IN (SELECT id FROM over WHERE leaves_nothing)
     )
     UPDATE outages SET to_at = now() WHERE id IN (SELECT id FROM over WHERE NOT leaves_nothing)`,
    [profileId, complete],
    tx,
  )
}

export interface OutageRow {
  profileId: number
  name: string
  network: string
  from: Date
  /** Null: it goes on. */
  to: Date | null
}

/**
 * Times between two instants in which accounts were not collected and nothing came in afterwards, oldest first: those noted, and
 * accounts whose turn passed over an hour ago without anybody looking.
 */
export async function outagesBetween(
  db: Database,
  reader: Reader,
  { from, to }: { from: number; to: number },
): Promise<OutageRow[]> {
  const where = new Where()
  where.add(`p.brand_id = ${where.bind(reader.brandId)}`)
  if (reader.profileIds) where.add(`p.id = ANY(${where.bind(reader.profileIds)}::int[])`)
  if (reader.placeIds) where.add(`p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`)
  where.add(
    `o.from_at < ${where.bind(new Date(to))} AND coalesce(o.to_at, 'infinity') > ${where.bind(new Date(from))}`,
  )
  return db.replica.rows<OutageRow>(
    `SELECT p.id AS "profileId", p.name, p.network, o.from_at AS "from", o.to_at AS "to"
     FROM profiles p JOIN (
       SELECT profile_id, from_at, to_at FROM outages
       UNION ALL
       SELECT late.id, late.collected_at, NULL FROM due_work w JOIN profiles late ON late.id::text = w.subject
       WHERE w.kind = 'collect' AND w.state = 'due' AND w.next_at < now() - interval '1 hour'
         AND coalesce(w.lease_until, w.next_at) < now() - interval '1 hour'
         AND late.status IN ('connected', 'collecting') AND late.collected_at IS NOT NULL
         AND NOT EXISTS (SELECT FROM outages open WHERE open.profile_id = late.id AND open.to_at IS NULL)
     ) o ON o.profile_id = p.id
     WHERE ${where.toString()} ORDER BY o.from_at, p.id`,
    where.values,
  )
}
