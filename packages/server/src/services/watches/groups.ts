import type { GroupKind, WatchGroupAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Database, Tx } from '../../store/database.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { record } from '../log/record.ts'

export interface GroupDraft {
  name: string
  kind: GroupKind
  parentId: number | null
  edition?: number
}

/** Folders in folders: deeper than this nobody finds anything. */
const deepest = 6

export function listGroups({ db }: Pick<Context, 'db'>, reader: Reader): Promise<WatchGroupAnswer[]> {
  return db.rows<WatchGroupAnswer>(
    `SELECT id, parent_id AS "parentId", name, kind, edition FROM watch_groups WHERE brand_id = $1
     ORDER BY array_position(ARRAY['brand', 'people', 'places', 'products', 'rivals', 'trade', 'links', 'other'], kind), name COLLATE "und-x-icu", id`,
    [reader.brandId],
  )
}

export async function saveGroup(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  id: number | null,
  { name, kind, parentId, edition }: GroupDraft,
): Promise<WatchGroupAnswer> {
  return db.inTransaction(async (tx) => {
    // One at a time: two moves at once could each be sound and close a ring together.
    await db.rows('SELECT 1 FROM brands WHERE id = $1 FOR UPDATE', [reader.brandId], tx)
    if (id !== null) await checkEdition({ db }, 'watch_groups', { id, brandId: reader.brandId }, edition, tx)
    await checkPlace(db, reader, { id, parentId }, tx)
    const twin = await db.one(
      'SELECT 1 FROM watch_groups WHERE brand_id = $1 AND coalesce(parent_id, 0) = $2 AND lower(name) = lower($3) AND id <> $4',
      [reader.brandId, parentId ?? 0, name, id ?? 0],
      tx,
    )
    if (twin)
      throw refused('name', 'taken', `There is a group "${name}" here already. Give it another name.`, name)
    const row = await db.one<WatchGroupAnswer>(
      id === null
        ? `INSERT INTO watch_groups (brand_id, name, kind, parent_id) VALUES ($1, $2, $3, $4) RETURNING id, parent_id AS "parentId", name, kind, edition`
        : `UPDATE watch_groups SET name = $2, kind = $3, parent_id = $4, edition = edition + 1 WHERE brand_id = $1 AND id = $5 RETURNING id, parent_id AS "parentId", name, kind, edition`,
      id === null ? [reader.brandId, name, kind, parentId] : [reader.brandId, name, kind, parentId, id],
      tx,
    )
    if (!row) throw new Refusal('notFound')
    await record(
      db,
      reader,
      {
        kind: id === null ? 'createGroup' : 'updateGroup',
        on: ['group', row.id],
        detail: { name, kind, parentId },
      },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
    return row
  })
}

async function checkPlace(
  db: Database,
  reader: Reader,
  { id, parentId }: { id: number | null; parentId: number | null },
  tx: Tx,
): Promise<void> {
  if (parentId === null) return
  const above = await db.rows<{ id: number }>(
    `WITH RECURSIVE up (id, parent_id) AS (
       SELECT id, parent_id FROM watch_groups WHERE id = $1 AND brand_id = $2
       UNION SELECT g.id, g.parent_id FROM up JOIN watch_groups g ON g.id = up.parent_id)
     SELECT id FROM up`,
    [parentId, reader.brandId],
    tx,
  )
  if (!above.length)
    throw refused('parentId', 'unknown', 'The group it is to lie in is no more. Choose another.')
  if (above.some((group) => group.id === id))
    throw refused(
      'parentId',
      'insideItself',
      'A group cannot lie inside itself, or inside one of its own. Choose another.',
    )
  if (above.length >= deepest)
    throw refused('parentId', 'tooDeep', `Groups lie at most ${deepest} deep. Choose one higher up.`)
}

const refused = (field: string, code: string, message: string, value?: string) =>
  new Refusal('invalid', { fields: [{ field, code, message, value }] })

/** A group goes; what lies in it moves up to where the group lay. Nothing that was caught is lost. */
export async function deleteGroup(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  id: number,
): Promise<void> {
  await db.inTransaction(async (tx) => {
    const group = await db.one<{ parentId: number | null; name: string }>(
      'SELECT parent_id AS "parentId", name FROM watch_groups WHERE id = $1 AND brand_id = $2 FOR UPDATE',
      [id, reader.brandId],
      tx,
    )
    if (!group) throw new Refusal('notFound')
    await db.rows('UPDATE watches SET group_id = $2 WHERE group_id = $1', [id, group.parentId], tx)
    // A namesake above keeps its name; the one that moves up is told apart by where it lay.
    await db.rows(
      `UPDATE watch_groups g SET parent_id = $2, name = CASE WHEN EXISTS (
         SELECT 1 FROM watch_groups o WHERE o.brand_id = g.brand_id AND o.id <> g.id AND coalesce(o.parent_id, 0) = coalesce($2::int, 0) AND lower(o.name) = lower(g.name))
         THEN g.name || ' (' || $3::text || ')' ELSE g.name END WHERE parent_id = $1`,
      [id, group.parentId, group.name],
      tx,
    )
    await db.rows('DELETE FROM watch_groups WHERE id = $1', [id], tx)
    await record(db, reader, { kind: 'deleteGroup', on: ['group', id], detail: group }, tx)
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
}
