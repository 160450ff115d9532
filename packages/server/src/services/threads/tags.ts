import type { KeepDraft, TagAnswer, TagChangeAnswer, TagDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addAccess, Where } from '../../store/queries/where.ts'
import type { Tx } from '../../store/database.ts'
import { audit } from '../brand/audit.ts'

/** The tags of a brand, by name. */
export const listTags = ({ db }: Pick<Context, 'db'>, reader: Reader, tx?: Tx): Promise<TagAnswer[]> =>
  db.rows<TagAnswer>(
    'SELECT id, name FROM tags WHERE brand_id = $1 ORDER BY name COLLATE "und-x-icu"',
    [reader.brandId],
    tx,
  )

/** Tags of a brand at most: more are no help in finding anything. */
const tagLimit = 500

/**
 * Puts tags on threads and takes others off, for one or many; a name that is new becomes a tag. Threads the reader may
 * not see are left out. Answers what changed on each, so that exactly that can be taken back.
 */
export async function tagThreads(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  { threads, add, remove }: TagDraft,
): Promise<TagChangeAnswer> {
  return db.inTransaction(async (tx) => {
    const where = new Where()
    addAccess(where, reader, 't')
    where.add(`t.id = ANY(${where.bind(threads)}::bigint[])`)
    const found = await db.rows<{ id: number }>(
      `SELECT t.id FROM threads t WHERE ${where.toString()} ORDER BY t.id FOR NO KEY UPDATE`,
      where.values,
      tx,
    )
    const ids = found.map(({ id }) => id)
    await db.rows(
      `INSERT INTO tags (brand_id, name) SELECT $1::int, n FROM unnest($2::text[]) n ON CONFLICT (brand_id, lower(name)) DO NOTHING`,
      [reader.brandId, add],
      tx,
    )
    const tags = await listTags({ db }, reader, tx)
    if (tags.length > tagLimit)
      throw new Refusal('invalid', {
        fields: [
          {
            field: 'add',
            code: 'tooMany',
            message: `A brand has at most ${tagLimit} tags. Use one that is there.`,
          },
        ],
      })
    const lower = new Set(add.map((name) => name.toLowerCase()))
    const added = await db.rows<{ thread: number; tag: number }>(
      `INSERT INTO thread_tags (thread_id, tag_id, colleague_id) SELECT t, g, $3::int FROM unnest($1::bigint[]) t, unnest($2::int[]) g
       ON CONFLICT DO NOTHING RETURNING thread_id AS thread, tag_id AS tag`,
      [ids, tags.filter(({ name }) => lower.has(name.toLowerCase())).map(({ id }) => id), reader.colleagueId],
      tx,
    )
    const removed = await db.rows<{ thread: number; tag: number }>(
      `DELETE FROM thread_tags USING tags g WHERE thread_id = ANY($1::bigint[]) AND tag_id = ANY($2::int[]) AND g.id = tag_id AND g.brand_id = $3
       RETURNING thread_id AS thread, tag_id AS tag`,
      [ids, remove, reader.brandId],
      tx,
    )
    // A tag that nothing bears any more is gone.
    await db.rows(
      'DELETE FROM tags g WHERE brand_id = $1 AND id = ANY($2::int[]) AND NOT EXISTS (SELECT 1 FROM thread_tags t WHERE t.tag_id = g.id)',
      [reader.brandId, removed.map(({ tag }) => tag)],
      tx,
    )
    const changed = ids.flatMap((thread) => {
      const of = (rows: readonly { thread: number; tag: number }[]) =>
        rows.filter((row) => row.thread === thread).map(({ tag }) => tag)
      const change = { thread, added: of(added), removed: of(removed) }
      return change.added.length || change.removed.length ? [change] : []
    })
    for (const { thread, ...change } of changed)
      await audit(db, reader, 'tag', `thread ${thread}`, change, tx)
    await live.tell(reader.brandId, { kind: 'thread', threads: changed.map(({ thread }) => thread) }, tx)
    return { tags: await listTags({ db }, reader, tx), changed }
  })
}

/** Keeps entries for later use, or lets them go; answers the ids that were not so before. */
export async function keepEntries(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { ids, kept }: KeepDraft,
): Promise<{ changed: number[] }> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.id = ANY(${where.bind(ids)}::bigint[])`)
  const seen = `SELECT e.id FROM entries e WHERE ${where.toString()}`
  const rows = await db.rows<{ id: number }>(
    kept
      ? `INSERT INTO kept_entries (entry_id, colleague_id) SELECT id, ${where.bind(reader.colleagueId)}::int FROM (${seen}) s ON CONFLICT DO NOTHING RETURNING entry_id AS id`
      : `DELETE FROM kept_entries WHERE entry_id IN (${seen}) RETURNING entry_id AS id`,
    where.values,
  )
  const changed = rows.map(({ id }) => id)
  for (const id of changed) await audit(db, reader, kept ? 'keep' : 'letGo', `entry ${id}`)
  return { changed }
}
