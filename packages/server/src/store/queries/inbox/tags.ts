import type { TagAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

/** The tags of a brand, by name. */
export const tagsOfBrand = (db: Database, brandId: number, tx?: Tx): Promise<TagAnswer[]> =>
  db.rows<TagAnswer>(
    'SELECT id, name FROM tags WHERE brand_id = $1 ORDER BY name COLLATE "und-x-icu"',
    [brandId],
    tx,
  )

/** How many of these tags are the brand's own. */
export const countTags = async (
  db: Database,
  { brandId, ids }: { brandId: number; ids: readonly number[] },
  tx: Tx,
): Promise<number> =>
  (
    await db.one<{ n: number }>(
      'SELECT count(*) AS n FROM tags WHERE brand_id = $1 AND id = ANY($2::int[])',
      [brandId, ids],
      tx,
    )
  )?.n ?? 0

/** Those of the threads that the reader may see, held until the transaction ends. */
export async function lockThreads(
  db: Database,
  reader: Reader,
  ids: readonly number[],
  tx: Tx,
): Promise<number[]> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.id = ANY(${where.bind(ids)}::bigint[])`)
  const rows = await db.rows<{ id: number }>(
    `SELECT t.id FROM threads t WHERE ${where.toString()} ORDER BY t.id FOR NO KEY UPDATE`,
    where.values,
    tx,
  )
  return rows.map(({ id }) => id)
}

/** Names that are no tags yet become tags. */
export async function createTags(
  db: Database,
  { brandId, names }: { brandId: number; names: readonly string[] },
  tx: Tx,
): Promise<void> {
  await db.rows(
    `INSERT INTO tags (brand_id, name)
     SELECT $1::int, n FROM unnest($2::text[]) n
     ON CONFLICT (brand_id, lower(name)) DO NOTHING`,
    [brandId, names],
    tx,
  )
}

export interface TagOfThread {
  thread: number
  tag: number
}

/** Answers those that were not there before. */
export const addThreadTags = (
  db: Database,
  {
    threads,
    tags,
    colleagueId,
  }: { threads: readonly number[]; tags: readonly number[]; colleagueId: number },
  tx: Tx,
): Promise<TagOfThread[]> =>
  db.rows<TagOfThread>(
    `INSERT INTO thread_tags (thread_id, tag_id, colleague_id)
     SELECT t, g, $3::int FROM unnest($1::bigint[]) t, unnest($2::int[]) g
     ON CONFLICT DO NOTHING
     RETURNING thread_id AS thread, tag_id AS tag`,
    [threads, tags, colleagueId],
    tx,
  )

/** Answers those that were there. */
export const removeThreadTags = (
  db: Database,
  { threads, tags, brandId }: { threads: readonly number[]; tags: readonly number[]; brandId: number },
  tx: Tx,
): Promise<TagOfThread[]> =>
  db.rows<TagOfThread>(
    `DELETE FROM thread_tags USING tags g
     WHERE thread_id = ANY($1::bigint[]) AND tag_id = ANY($2::int[]) AND g.id = tag_id AND g.brand_id = $3
     RETURNING thread_id AS thread, tag_id AS tag`,
    [threads, tags, brandId],
    tx,
  )

/** A tag that no thread and nobody bears any more is gone. */
export async function removeUnusedTags(
  db: Database,
  { brandId, ids }: { brandId: number; ids: readonly number[] },
  tx: Tx,
): Promise<void> {
  await db.rows(
    `DELETE FROM tags g
     WHERE brand_id = $1 AND id = ANY($2::int[])
       AND NOT EXISTS (SELECT 1 FROM thread_tags t WHERE t.tag_id = g.id)
       AND NOT EXISTS (SELECT 1 FROM person_tags t WHERE t.tag_id = g.id)`,
    [brandId, ids],
    tx,
  )
}
