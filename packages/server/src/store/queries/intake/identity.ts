import type { Database, Tx } from '../../database.ts'

export interface EntryAtAddress {
  id: number
  outsideId: string
  url: string
  at: Date
  author: string | null
  authorName: string | null
}

/** What people said at these public addresses at these instants. */
export const entriesAtAddresses = (
  db: Database,
  {
    brandId,
    profileIds,
    items,
  }: { brandId: number; profileIds: readonly number[]; items: readonly { url: string; at: Date }[] },
  tx: Tx,
): Promise<EntryAtAddress[]> =>
  db.rows<EntryAtAddress>(
    `SELECT e.id, e.outside_id AS "outsideId", e.url, e.at, a.outside_id AS author, a.name AS "authorName"
     FROM (SELECT DISTINCT * FROM unnest($3::text[], $4::timestamptz[]) AS g (url, at)) g
     JOIN entries e ON e.brand_id = $1 AND e.direction = 'in' AND e.at = g.at AND e.url = g.url
     LEFT JOIN accounts a ON a.id = e.account_id
     WHERE e.profile_id = ANY($2::int[])
     ORDER BY e.id`,
    [brandId, profileIds, items.map(({ url }) => url), items.map(({ at }) => at)],
    tx,
  )

/** Gives entries other outside ids, and the same to threads that are named by them; the raw item follows. */
export const renameEntries = async (
  db: Database,
  changes: readonly { id: number; outsideId: string; threadId: string }[],
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `WITH given AS (
       SELECT n.*, e.profile_id, e.thread_id, e.outside_id AS old_id
       FROM unnest($1::bigint[], $2::text[], $3::text[]) AS n (id, outside_id, thread_name)
       JOIN entries e ON e.id = n.id
     ), threads_named AS (
       UPDATE threads t
       SET outside_id = g.thread_name
       FROM given g
       WHERE t.id = g.thread_id
         AND split_part(t.outside_id, '/', 1) || '/' || g.old_id = t.outside_id
         AND split_part(t.outside_id, '/', 1) || '/' || g.outside_id = g.thread_name
         AND NOT EXISTS (
           SELECT 1 FROM threads h WHERE h.profile_id = t.profile_id AND h.outside_id = g.thread_name
         )
     ), raw_gone AS (
       DELETE FROM raw_items r
       USING given g
       WHERE r.profile_id = g.profile_id AND r.outside_id = g.old_id
     )
     UPDATE entries e
     SET outside_id = g.outside_id
     FROM given g
     WHERE e.id = g.id`,
    [
      changes.map(({ id }) => id),
      changes.map(({ outsideId }) => outsideId),
      changes.map(({ threadId }) => threadId),
    ],
    tx,
  )
}
