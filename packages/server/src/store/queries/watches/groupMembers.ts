import type { Database } from '../../database.ts'

/** The watches of each group of a brand, those of the groups in it included. */
export async function groupMembers(db: Database, brandId: number): Promise<Map<number, number[]>> {
  const rows = await db.rows<{ group: number; watches: number[] }>(
    `WITH RECURSIVE inside (root, id) AS (
       SELECT id, id FROM watch_groups WHERE brand_id = $1
       UNION SELECT i.root, g.id FROM inside i JOIN watch_groups g ON g.parent_id = i.id)
     SELECT i.root AS "group", array_agg(w.id ORDER BY w.id) AS watches
     FROM inside i JOIN watches w ON w.group_id = i.id WHERE w.deleted_at IS NULL GROUP BY 1`,
    [brandId],
  )
  return new Map(rows.map(({ group, watches }) => [group, watches]))
}
