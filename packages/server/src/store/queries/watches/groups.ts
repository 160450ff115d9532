import type { GroupKind, WatchGroupAnswer } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

const columns = 'id, parent_id AS "parentId", name, kind, edition'

export interface GroupFields {
  name: string
  kind: GroupKind
  parentId: number | null
}

/** The groups of a brand: by kind, then by name. */
export const groupsOfBrand = (db: Database, brandId: number): Promise<WatchGroupAnswer[]> =>
  db.rows<WatchGroupAnswer>(
    `SELECT ${columns}
     FROM watch_groups
     WHERE brand_id = $1
     ORDER BY
       array_position(ARRAY['brand', 'people', 'places', 'products', 'rivals', 'trade', 'links', 'other'], kind),
       name COLLATE "und-x-icu",
       id`,
    [brandId],
  )

/** Whether another group in the same place bears a name. */
export const isNameTaken = async (
  db: Database,
  {
    brandId,
    id,
    name,
    parentId,
  }: { brandId: number; id: number | null; name: string; parentId: number | null },
  tx: Tx,
): Promise<boolean> =>
  (await db.one(
    `SELECT 1
     FROM watch_groups
     WHERE brand_id = $1 AND coalesce(parent_id, 0) = $2 AND lower(name) = lower($3) AND id <> $4`,
    [brandId, parentId ?? 0, name, id ?? 0],
    tx,
  )) !== undefined

export const insertGroup = (
  db: Database,
  brandId: number,
  { name, kind, parentId }: GroupFields,
  tx: Tx,
): Promise<WatchGroupAnswer | undefined> =>
  db.one<WatchGroupAnswer>(
    `INSERT INTO watch_groups (brand_id, name, kind, parent_id)
     VALUES ($1, $2, $3, $4)
     RETURNING ${columns}`,
    [brandId, name, kind, parentId],
    tx,
  )

export const updateGroup = (
  db: Database,
  { brandId, id }: { brandId: number; id: number },
  { name, kind, parentId }: GroupFields,
  tx: Tx,
): Promise<WatchGroupAnswer | undefined> =>
  db.one<WatchGroupAnswer>(
    `UPDATE watch_groups
     SET name = $3, kind = $4, parent_id = $5, edition = edition + 1
     WHERE brand_id = $1 AND id = $2
     RETURNING ${columns}`,
    [brandId, id, name, kind, parentId],
    tx,
  )

/** A group and those it lies in, outwards; empty when it is none of the brand's. */
export async function groupAndThoseAbove(
  db: Database,
  { brandId, id }: { brandId: number; id: number },
  tx: Tx,
): Promise<number[]> {
  const rows = await db.rows<{ id: number }>(
    `WITH RECURSIVE up (id, parent_id) AS (
       SELECT id, parent_id FROM watch_groups WHERE id = $1 AND brand_id = $2
       UNION
       SELECT g.id, g.parent_id FROM up JOIN watch_groups g ON g.id = up.parent_id
     )
     SELECT id FROM up`,
    [id, brandId],
    tx,
  )
  return rows.map((row) => row.id)
}

export const lockGroup = (db: Database, { brandId, id }: { brandId: number; id: number }, tx: Tx) =>
  db.one<{ parentId: number | null; name: string }>(
    `SELECT parent_id AS "parentId", name
     FROM watch_groups
     WHERE id = $1 AND brand_id = $2
     FOR UPDATE`,
    [id, brandId],
    tx,
  )

/**
 * Removes a group; what lies in it moves up to where it lay. A namesake above keeps its name; the one that moves up is told
 * apart by where it lay.
 */
export async function removeGroup(
  db: Database,
  { id, parentId, name }: { id: number; parentId: number | null; name: string },
  tx: Tx,
): Promise<void> {
  await db.rows('UPDATE watches SET group_id = $2 WHERE group_id = $1', [id, parentId], tx)
  await db.rows(
    `UPDATE watch_groups g
     SET parent_id = $2,
       name = CASE
         WHEN EXISTS (
           SELECT 1
           FROM watch_groups o
           WHERE o.brand_id = g.brand_id AND o.id <> g.id
             AND coalesce(o.parent_id, 0) = coalesce($2::int, 0) AND lower(o.name) = lower(g.name)
         ) THEN g.name || ' (' || $3::text || ')'
         ELSE g.name
       END
     WHERE parent_id = $1`,
    [id, parentId, name],
    tx,
  )
  await db.rows('DELETE FROM watch_groups WHERE id = $1', [id], tx)
}

export const groupExists = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<object | undefined> =>
  db.one<object>(
    `SELECT 1
     FROM watch_groups
     WHERE id = $1 AND brand_id = $2`,
    [id, brandId],
    tx,
  )

export const groupNamed = (
  db: Database,
  { brandId, parentId, name }: { brandId: number; parentId: number; name: string },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `SELECT id
     FROM watch_groups
     WHERE brand_id = $1 AND coalesce(parent_id, 0) = $2 AND lower(name) = lower($3)`,
    [brandId, parentId, name],
    tx,
  )

export const groupName = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ name: string } | undefined> =>
  db.one<{ name: string }>(
    `SELECT name
     FROM watch_groups
     WHERE id = $1 AND brand_id = $2`,
    [id, brandId],
  )
