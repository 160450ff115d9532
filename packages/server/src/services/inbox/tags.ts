import type { KeepDraft, TagAnswer, TagChangeAnswer, TagDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addAccess, Where } from '../../store/queries/where.ts'
import type { Tx } from '../../store/database.ts'
import { recordAll } from '../log/record.ts'

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
    if (!found.length) throw new Refusal('notFound')
    const ids = found.map(({ id }) => id)
    await checkTags({ db }, reader, remove, tx)
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
    await recordAll(
      db,
      reader,
      changed.map(({ thread, ...change }) => ({
        kind: 'tag',
        on: ['thread', thread] as const,
        detail: change,
      })),
      tx,
    )
    await live.tell(reader.brandId, { kind: 'thread', threads: changed.map(({ thread }) => thread) }, tx)
    return { tags: await listTags({ db }, reader, tx), changed }
  })
}

/** Tags to be taken off must be the brand's own. */
async function checkTags(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  ids: readonly number[],
  tx: Tx,
): Promise<void> {
  if (!ids.length) return
  const row = await db.one<{ n: number }>(
    'SELECT count(*) AS n FROM tags WHERE brand_id = $1 AND id = ANY($2::int[])',
    [reader.brandId, ids],
    tx,
  )
  // One that a colleague has just taken off everywhere is gone; none that is known is somebody else's.
  if (!row?.n) throw new Refusal('notFound')
}

/** Keeps entries for later use, or lets them go; answers the ids that were not so before. */
export async function keepEntries(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { ids, kept }: KeepDraft,
): Promise<{ changed: number[] }> {
  return db.inTransaction(async (tx) => {
    const where = new Where()
    addAccess(where, reader, 'e')
    where.add(`e.id = ANY(${where.bind(ids)}::bigint[])`)
    const seen = await db.rows<{ id: number; threadId: number }>(
      `SELECT e.id, e.thread_id AS "threadId" FROM entries e WHERE ${where.toString()}`,
      where.values,
      tx,
    )
    if (!seen.length) throw new Refusal('notFound')
    const rows = await db.rows<{ id: number }>(
      kept
        ? 'INSERT INTO kept_entries (entry_id, colleague_id) SELECT unnest($1::bigint[]), $2::int ON CONFLICT DO NOTHING RETURNING entry_id AS id'
        : 'DELETE FROM kept_entries WHERE entry_id = ANY($1::bigint[]) AND $2::int IS NOT NULL RETURNING entry_id AS id',
      [seen.map(({ id }) => id), reader.colleagueId],
      tx,
    )
    const changed = rows.map(({ id }) => id)
    await recordAll(
      db,
      reader,
      seen
        .filter(({ id }) => changed.includes(id))
        .map(({ id, threadId }) => ({ kind: kept ? 'keep' : 'letGo', on: ['entry', id, threadId] as const })),
      tx,
    )
    return { changed }
  })
}
