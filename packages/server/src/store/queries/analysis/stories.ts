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
): Promise<{ id: number; story: number | null; print: Buffer }[]> =>
  db.rows<{ id: number; story: number | null; print: Buffer }>(
    `SELECT id, story_id AS story, print
     FROM entries
     WHERE brand_id = $1 AND at >= $2 AND at < $3 AND print IS NOT NULL
       AND ($4::bigint IS NULL OR id <= $4)
     ORDER BY at, id`,
    [brandId, from, to, upTo],
    tx,
  )

/** How many steps of others can be followed; whoever is further behind reads the prints anew. */
const stepsKept = 200

/** Says what a step has placed, for other processes. A story of its own has the entry's id. */
export const keepStoryChanges = async (
  db: Database,
  {
    brandId,
    version,
    at,
    prints,
    stories,
  }: {
    brandId: number
    version: number
    at: readonly Date[]
    prints: readonly (Buffer | null)[]
    stories: readonly number[]
  },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO story_changes (brand_id, version, at, prints, stories)
     VALUES ($1, $2, $3::timestamptz[], $4::bytea[], $5::bigint[])`,
    [brandId, version, at, prints, stories],
    tx,
  )
  await db.rows(
    'DELETE FROM story_changes WHERE brand_id = $1 AND version <= $2',
    [brandId, version - stepsKept],
    tx,
  )
}

export interface PlacedPrint {
  version: number
  at: Date
  print: Buffer
  story: number
}

/** What others have placed after one version and before another, in their order. */
export const storyChangesBetween = (
  db: Database,
  { brandId, after, before }: { brandId: number; after: number; before: number },
  tx?: Tx,
): Promise<PlacedPrint[]> =>
  db.rows<PlacedPrint>(
    `SELECT c.version, n.at, n.print, n.story
     FROM story_changes c
     CROSS JOIN unnest(c.at, c.prints, c.stories) AS n (at, print, story)
     WHERE c.brand_id = $1 AND c.version > $2 AND c.version < $3
     ORDER BY c.version`,
    [brandId, after, before],
    tx,
  )
