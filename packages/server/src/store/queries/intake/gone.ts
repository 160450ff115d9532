import type { Database, Tx } from '../../database.ts'

interface GoneItems {
  profileId: number
  outsideIds: readonly string[]
  ats: readonly Date[]
}

/** Remembers that these were taken away. */
export const keepGone = async (
  db: Database,
  { profileId, outsideIds, ats }: GoneItems,
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO gone_items (profile_id, outside_id, at)
     SELECT $1, *
     FROM unnest($2::text[], $3::timestamptz[])
     ON CONFLICT (profile_id, outside_id) DO NOTHING`,
    [profileId, outsideIds, ats],
    tx,
  )
}

export const goneOf = (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: readonly string[] },
  tx: Tx,
): Promise<{ outsideId: string; erased: boolean }[]> =>
  db.rows<{ outsideId: string; erased: boolean }>(
    `SELECT outside_id AS "outsideId", erased
     FROM gone_items
     WHERE profile_id = $1 AND outside_id = ANY($2::text[])`,
    [profileId, outsideIds],
    tx,
  )

/** Takes the text out of entries, and out of everything that repeats it; they are read again. */
export const eraseEntries = (
  db: Database,
  { profileId, outsideIds, ats }: GoneItems,
  tx: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `WITH gone AS (
       SELECT * FROM unnest($2::text[], $3::timestamptz[]) AS g (outside_id, at)
     ), heard_by AS (
       -- What a search heard of it is kept under the search.
       SELECT s.id
       FROM profiles p
       JOIN profiles s ON s.brand_id = p.brand_id AND s.network = p.network
       WHERE p.id = $1
     ), erased AS (
       UPDATE entries e
       SET deleted_at = g.at, text = '', title = NULL, rating = NULL, analysed_at = NULL
       FROM gone g
       WHERE e.profile_id IN (SELECT id FROM heard_by) AND e.outside_id = g.outside_id AND e.deleted_at IS NULL
       RETURNING e.id, e.thread_id, e.outside_id
     ), before_gone AS (
       DELETE FROM entry_edits d USING erased WHERE d.entry_id = erased.id
     ), mails_gone AS (
       DELETE FROM mails m USING erased WHERE m.entry_id = erased.id
     ), files_gone AS (
       DELETE FROM attachments f USING erased WHERE f.entry_id = erased.id
     ), pictures_gone AS (
       DELETE FROM pictures c USING erased WHERE c.entry_id = erased.id
     ), raw_gone AS (
       UPDATE raw_items r
       SET payload = 'null'
       FROM gone g
       WHERE r.profile_id IN (SELECT id FROM heard_by) AND r.outside_id = g.outside_id
     ), apart_gone AS (
       DELETE FROM items_apart i USING gone g
       WHERE i.profile_id IN (SELECT id FROM heard_by) AND i.outside_id = g.outside_id
     ), titles_gone AS (
       UPDATE threads t SET title = NULL
       FROM erased
       WHERE t.id = erased.thread_id AND t.outside_id = 'thread/' || erased.outside_id
     )
     SELECT id FROM erased`,
    [profileId, outsideIds, ats],
    tx,
  )
