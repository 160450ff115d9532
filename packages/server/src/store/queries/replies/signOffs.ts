import type { SignOffAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

type Whose = Pick<Reader, 'brandId' | 'colleagueId'>

const select = `
  SELECT s.id, s.edition, s.text,
    CASE WHEN c.id IS NOT NULL THEN json_build_object('id', c.id, 'name', c.name) END AS whose,
    s.colleague_id IS NOT NULL AND m.colleague_id IS NULL AS left, own.sign_off_id IS NOT NULL AS last
  FROM sign_offs s
  LEFT JOIN colleagues c ON c.id = s.colleague_id
  LEFT JOIN memberships m ON m.colleague_id = s.colleague_id AND m.brand_id = s.brand_id
  LEFT JOIN memberships own ON own.brand_id = s.brand_id AND own.colleague_id = $2 AND own.sign_off_id = s.id
  WHERE s.brand_id = $1`

export const signOffsOf = (
  db: Database,
  { brandId, colleagueId }: Whose,
  tx?: Tx,
): Promise<SignOffAnswer[]> => db.rows(`${select} ORDER BY lower(s.text), s.id`, [brandId, colleagueId], tx)

export const signOffById = (
  db: Database,
  { brandId, colleagueId }: Whose,
  id: number,
  tx?: Tx,
): Promise<SignOffAnswer | undefined> => db.one(`${select} AND s.id = $3`, [brandId, colleagueId, id], tx)

export const insertSignOff = async (
  db: Database,
  { brandId, whose, text }: { brandId: number; whose: number | null; text: string },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    'INSERT INTO sign_offs (brand_id, colleague_id, text) VALUES ($1, $2, $3) RETURNING id',
    [brandId, whose, text],
    tx,
  ))!.id

export const updateSignOff = async (
  db: Database,
  { id, whose, text }: { id: number; whose: number | null; text: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE sign_offs SET colleague_id = $2, text = $3, edition = edition + 1 WHERE id = $1',
    [id, whose, text],
    tx,
  )
}

export const deleteSignOff = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM sign_offs WHERE id = $1', [id], tx)
}

/** What somebody signed with is offered to them first the next time. */
export const rememberSignOff = async (
  db: Database,
  { brandId, colleagueId, signOff }: { brandId: number; colleagueId: number; signOff: number | null },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE memberships SET sign_off_id = $3
     WHERE brand_id = $1 AND colleague_id = $2 AND sign_off_id IS DISTINCT FROM $3::int`,
    [brandId, colleagueId, signOff],
    tx,
  )
}
