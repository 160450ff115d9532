import type { Team } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

const select = `SELECT g.id, g.name, coalesce((SELECT json_agg(x.colleague_id ORDER BY x.colleague_id) FROM team_members x WHERE x.team_id = g.id), '[]') AS members
  FROM teams g`

export const teamsOf = (db: Database, brandId: number, tx?: Tx): Promise<Team[]> =>
  db.rows<Team>(`${select} WHERE g.brand_id = $1 ORDER BY g.name COLLATE "und-x-icu"`, [brandId], tx)

export const teamOf = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<Team | undefined> =>
  db.one<Team>(`${select} WHERE g.id = $1 AND g.brand_id = $2`, [id, brandId], tx)

/** Undefined where the name is taken. */
export const insertTeam = async (
  db: Database,
  { brandId, name }: { brandId: number; name: string },
  tx: Tx,
): Promise<number | undefined> =>
  (
    await db.one<{ id: number }>(
      'INSERT INTO teams (brand_id, name) VALUES ($1, $2) ON CONFLICT (brand_id, lower(name)) DO NOTHING RETURNING id',
      [brandId, name],
      tx,
    )
  )?.id

export const nameIsTaken = async (
  db: Database,
  { id, brandId, name }: { id: number; brandId: number; name: string },
  tx: Tx,
): Promise<boolean> =>
  (await db.one(
    'SELECT 1 AS taken FROM teams WHERE brand_id = $1 AND lower(name) = lower($3) AND id <> $2',
    [brandId, id, name],
    tx,
  )) !== undefined

export const renameTeam = async (
  db: Database,
  { id, name }: { id: number; name: string },
  tx: Tx,
): Promise<void> => {
  await db.rows('UPDATE teams SET name = $2 WHERE id = $1', [id, name], tx)
}

/** Puts these in the place of its members; whoever is not on the brand is passed over. Answers how many it has. */
export const setMembers = async (
  db: Database,
  { id, brandId, members }: { id: number; brandId: number; members: readonly number[] },
  tx: Tx,
): Promise<number> => {
  await db.rows('DELETE FROM team_members WHERE team_id = $1', [id], tx)
  const rows = await db.rows(
    `INSERT INTO team_members (team_id, colleague_id, brand_id)
     SELECT $1, colleague_id, brand_id FROM memberships WHERE brand_id = $2 AND colleague_id = ANY($3::int[]) RETURNING 1`,
    [id, brandId, members],
    tx,
  )
  return rows.length
}

export const deleteTeam = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM teams WHERE id = $1', [id], tx)
}
