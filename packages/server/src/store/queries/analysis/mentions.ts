import type { Database, Tx } from '../../database.ts'

export const removeMentionsBetween = async (
  db: Database,
  { watchIds, below, low }: { watchIds: number[]; below: number; low: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM mentions
     WHERE watch_id = ANY($1::int[]) AND entry_id < $2 AND entry_id >= $3`,
    [watchIds, below, low],
    tx,
  )
}

/** What was put aside as spam is no mention of anything. */
export const addMentions = async (
  db: Database,
  {
    watchIds,
    entryIds,
    at,
    spans,
  }: {
    watchIds: readonly number[]
    entryIds: readonly number[]
    at: readonly Date[]
    spans: readonly string[]
  },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id)
     SELECT n.watch, n.entry, n.at, n.spans, e.sentiment, e.profile_id
     FROM unnest($1::int[], $2::bigint[], $3::timestamptz[], $4::jsonb[]) AS n (watch, entry, at, spans)
     JOIN entries e ON e.id = n.entry
     JOIN threads t ON t.id = e.thread_id AND t.spam_at IS NULL
     ON CONFLICT (watch_id, entry_id) DO NOTHING`,
    [watchIds, entryIds, at, spans],
    tx,
  )
}

/** One writer of a brand's mentions at a time: new entries, or a pass over the history. */
export const holdMentions = async (db: Database, brandId: number, tx?: Tx): Promise<void> => {
  await db.rows('SELECT pg_advisory_xact_lock(42, $1)', [brandId], tx)
}

/** What a paused watch caught stays. */
export const removeMentionsOf = async (
  db: Database,
  { entryIds, brandId }: { entryIds: readonly number[]; brandId: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM mentions
     WHERE entry_id = ANY($1::bigint[])
       AND watch_id NOT IN (SELECT id FROM watches WHERE brand_id = $2 AND paused_at IS NOT NULL)`,
    [entryIds, brandId],
    tx,
  )
}

/**
 * Of what was only heard, the new mentions of watches that are to be answered; where we have an account to answer with.
 */
export const markWatched = async (db: Database, entryIds: readonly number[], tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET origin = 'watched'
     FROM mentions m
     JOIN watches w ON w.id = m.watch_id
     JOIN profiles p ON p.id = m.profile_id
     WHERE e.id = ANY($1::bigint[]) AND m.entry_id = e.id AND e.origin = 'heard' AND e.at >= w.answered_since
       AND EXISTS (
         SELECT 1
         FROM profiles a
         WHERE a.brand_id = p.brand_id AND a.network = p.network AND a.outside_id <> 'search' AND a.status <> 'disconnected'
           AND a.key_sealed IS NOT NULL
       )`,
    [entryIds],
    tx,
  )
}
