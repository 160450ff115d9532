import type { Database, Tx } from '../../database.ts'

export const setOriginals = async (db: Database, ids: number[], tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET story_id = id
     WHERE id = ANY($1::bigint[]) AND story_id IS NULL`,
    [ids],
    tx,
  )
}

export const nextStoriesVersion = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ version: number } | undefined> =>
  db.one<{ version: number }>(
    `UPDATE brands
     SET stories_version = stories_version + 1
     WHERE id = $1
     RETURNING stories_version AS version`,
    [brandId],
    tx,
  )

export const printsBetween = (
  db: Database,
  { brandId, from, to, upTo }: { brandId: number; from: Date; to: Date; upTo: number | null },
  tx?: Tx,
): Promise<{ id: number; story: number | null; high: number; low: number }[]> =>
  db.rows<{ id: number; story: number | null; high: number; low: number }>(
    `SELECT id, story_id AS story, (print >> 32)::int AS high, (print & 4294967295) AS low
     FROM entries
     WHERE brand_id = $1 AND at >= $2 AND at < $3 AND print IS NOT NULL
       AND ($4::bigint IS NULL OR id <= $4)
     ORDER BY at, id`,
    [brandId, from, to, upTo],
    tx,
  )
