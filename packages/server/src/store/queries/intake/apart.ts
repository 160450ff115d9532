import type { Database, Tx } from '../../database.ts'
import type { ItemApart } from '@murrabel/contract'

export const insertApart = async (
  db: Database,
  {
    brandId,
    profileId,
    outsideId,
    stage,
    entryId,
    raw,
    reason,
  }: {
    brandId: number
    profileId: number
    outsideId: string
    stage: string
    entryId: number | null
    raw: string | null
    reason: string
  },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO items_apart (brand_id, profile_id, outside_id, stage, entry_id, raw, reason)
     VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (profile_id, outside_id) DO UPDATE SET stage = excluded.stage,
       entry_id = excluded.entry_id, raw = coalesce(excluded.raw, items_apart.raw),
       reason = excluded.reason, at = now()`,
    [brandId, profileId, outsideId, stage, entryId, raw, reason],
    tx,
  )
}

export const removeApart = async (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: readonly string[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM items_apart
     WHERE profile_id = $1 AND outside_id = ANY($2::text[]) AND stage <> 'analyse'`,
    [profileId, outsideIds],
    tx,
  )
}

export const apartOfProfile = (
  db: Database,
  profileId: number,
): Promise<(Omit<ItemApart, 'text'> & { raw: unknown; entryText: string | null })[]> =>
  db.rows<Omit<ItemApart, 'text'> & { raw: unknown; entryText: string | null }>(
    `SELECT i.id, i.stage, i.reason, i.at, i.raw, left(e.text, 200) AS "entryText",
       e.thread_id AS "threadId"
     FROM items_apart i
     LEFT JOIN entries e ON e.id = i.entry_id
     WHERE i.profile_id = $1
     ORDER BY i.id DESC
     LIMIT 200`,
    [profileId],
  )

export const apartToTry = (
  db: Database,
  profileId: number,
): Promise<{ id: number; stage: ItemApart['stage']; entryId: number | null; raw: unknown }[]> =>
  db.rows<{ id: number; stage: ItemApart['stage']; entryId: number | null; raw: unknown }>(
    `SELECT id, stage, entry_id AS "entryId", raw
     FROM items_apart
     WHERE profile_id = $1
     ORDER BY id
     LIMIT 5000`,
    [profileId],
  )

export const readAgain = async (db: Database, entryId: number): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET analysed_at = NULL
     WHERE id = $1`,
    [entryId],
  )
}

export const removeApartById = async (db: Database, id: number): Promise<void> => {
  await db.rows(
    `DELETE FROM items_apart
     WHERE id = $1`,
    [id],
  )
}

export const countApart = (db: Database, profileId: number): Promise<{ n: number } | undefined> =>
  db.one<{ n: number }>(
    `SELECT count(*) AS n
     FROM items_apart
     WHERE profile_id = $1`,
    [profileId],
  )
