import type { Database, Tx } from '../../database.ts'

export interface KeptReport {
  outsideId: string
  state: 'delivered' | 'failed'
  reason: string | null
  at: Date
}

/** Keeps what the network says of answers; what has arrived has arrived, whatever is told after it. */
export const keepReports = async (
  db: Database,
  { profileId, reports }: { profileId: number; reports: readonly KeptReport[] },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO delivery_reports AS d (profile_id, outside_id, state, reason, at)
     SELECT DISTINCT ON (r.outside_id) $1, r.*
     FROM unnest($2::text[], $3::text[], $4::text[], $5::timestamptz[]) AS r (outside_id, state, reason, at)
     ORDER BY r.outside_id, r.state, r.at DESC
     ON CONFLICT (profile_id, outside_id) DO UPDATE SET
       state = excluded.state, reason = excluded.reason, at = excluded.at
     WHERE d.state <> 'delivered'`,
    [
      profileId,
      reports.map(({ outsideId }) => outsideId),
      reports.map(({ state }) => state),
      reports.map(({ reason }) => reason),
      reports.map(({ at }) => at),
    ],
    tx,
  )
}

/** Answers among these that the network told of: which threads they stand in, and which of them did not arrive. */
export const reportedActions = (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: readonly string[] },
  tx: Tx,
): Promise<{ id: number; threadId: number; outsideId: string; failed: boolean; reason: string | null }[]> =>
  db.rows(
    `SELECT a.id, a.thread_id AS "threadId", a.outside_id AS "outsideId", r.state = 'failed' AS failed, r.reason
     FROM delivery_reports r
     JOIN outside_actions a ON a.profile_id = r.profile_id AND a.outside_id = r.outside_id
     WHERE r.profile_id = $1 AND r.outside_id = ANY($2::text[]) AND a.kind = 'reply' AND a.state = 'sent'
     ORDER BY a.id`,
    [profileId, outsideIds],
    tx,
  )

/** An answer that did not arrive is sent anew: under another key, and what stood outside is ours no longer. */
export const makeAnew = async (db: Database, actionId: number, tx: Tx): Promise<void> => {
  await db.rows(
    `WITH before AS (
       SELECT id, profile_id, entry_id, outside_id FROM outside_actions WHERE id = $1 AND outside_id IS NOT NULL
     ), left_behind AS (
       INSERT INTO gone_items (profile_id, outside_id, at)
       SELECT profile_id, outside_id, now() FROM before
       ON CONFLICT DO NOTHING
     ), entry AS (
       UPDATE entries e SET outside_id = NULL FROM before b WHERE e.id = b.entry_id
     )
     UPDATE outside_actions a SET key = gen_random_uuid(), outside_id = NULL FROM before b WHERE a.id = b.id`,
    [actionId],
    tx,
  )
}
