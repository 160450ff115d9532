import type { Database, Tx } from '../../database.ts'

/** Steps by which a brand's history was read with an older version than this, or never. */
export const stepsBehind = (
  db: Database,
  { steps, versions }: { steps: readonly string[]; versions: readonly number[] },
): Promise<{ brandId: number; step: string }[]> =>
  db.rows<{ brandId: number; step: string }>(
    `SELECT b.id AS "brandId", n.step
     FROM brands b
     CROSS JOIN unnest($1::text[], $2::int[]) AS n (step, version)
     LEFT JOIN reading_steps r ON r.brand_id = b.id AND r.step = n.step
     WHERE coalesce(r.version, 0) < n.version
     ORDER BY b.id, n.step`,
    [steps, versions],
  )

export const setStepVersions = async (
  db: Database,
  { brandId, steps, versions }: { brandId: number; steps: readonly string[]; versions: readonly number[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO reading_steps (brand_id, step, version)
     SELECT $1::int, n.step, n.version
     FROM unnest($2::text[], $3::int[]) AS n (step, version)
     ON CONFLICT (brand_id, step) DO UPDATE SET version = excluded.version`,
    [brandId, steps, versions],
    tx,
  )
}

/** An entry that was read, with what a step needs to read it again. */
export interface EntryToReread {
  id: number
  threadId: number
  direction: 'in' | 'out'
  title: string | null
  text: string
  rating: number | null
  private: boolean
  at: Date
}

/** Entries that were read, after one, in the order they came. */
export const readEntriesAfter = (
  db: Database,
  { brandId, after, limit }: { brandId: number; after: number; limit: number },
  tx?: Tx,
): Promise<EntryToReread[]> =>
  db.rows<EntryToReread>(
    `SELECT id, thread_id AS "threadId", direction, title, text, rating, private, at
     FROM entries
     WHERE brand_id = $1 AND id > $2 AND analysed_at IS NOT NULL AND NOT erased
     ORDER BY id
     LIMIT $3`,
    [brandId, after, limit],
    tx,
  )

// A row that says what it said is not written: most of them.

export const setLanguages = async (
  db: Database,
  { ids, languages }: { ids: readonly number[]; languages: readonly string[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET language = n.language
     FROM unnest($1::bigint[], $2::text[]) AS n (id, language)
     WHERE e.id = n.id AND e.language IS DISTINCT FROM n.language`,
    [ids, languages],
    tx,
  )
}

/** @param words.searches tsvectors as text */
export const setSearchWords = async (
  db: Database,
  { ids, searches }: { ids: readonly number[]; searches: readonly string[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET search = n.search::tsvector
     FROM unnest($1::bigint[], $2::text[]) AS n (id, search)
     WHERE e.id = n.id AND e.search IS DISTINCT FROM n.search::tsvector`,
    [ids, searches],
    tx,
  )
}

export const setStories = async (
  db: Database,
  {
    ids,
    prints,
    stories,
  }: { ids: readonly number[]; prints: readonly (Buffer | null)[]; stories: readonly (number | null)[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET print = n.print, story_id = n.story
     FROM unnest($1::bigint[], $2::bytea[], $3::bigint[]) AS n (id, print, story)
     WHERE e.id = n.id AND (e.print IS DISTINCT FROM n.print OR e.story_id IS DISTINCT FROM n.story)`,
    [ids, prints, stories],
    tx,
  )
}
