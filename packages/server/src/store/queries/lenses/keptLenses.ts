import type { KeptLens } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

type Looking = Pick<Reader, 'brandId' | 'colleagueId'>

/** One's own and the team's, in one's own order; what was never put in order stands last, the oldest first. */
const select = `
  SELECT l.id, l.edition, l.name, l.lens, l.colleague_id IS NULL AS team, c.name AS by
  FROM kept_lenses l
  LEFT JOIN colleagues c ON c.id = l.made_by
  LEFT JOIN kept_lens_order o ON o.lens_id = l.id AND o.colleague_id = $2
  WHERE l.brand_id = $1 AND (l.colleague_id = $2 OR l.colleague_id IS NULL)`

export const keptLensesOf = (
  db: Database,
  { brandId, colleagueId }: Looking,
  tx?: Tx,
): Promise<Omit<KeptLens, 'changeable'>[]> =>
  db.rows(`${select} ORDER BY o.position NULLS LAST, l.id`, [brandId, colleagueId], tx)

export const keptLensById = (
  db: Database,
  { brandId, colleagueId }: Looking,
  id: number,
  tx?: Tx,
): Promise<Omit<KeptLens, 'changeable'> | undefined> =>
  db.one(`${select} AND l.id = $3`, [brandId, colleagueId, id], tx)

/** The lenses alone, as their addresses write them. */
export const keptLensTexts = (
  db: Database,
  { brandId, colleagueId }: Looking,
): Promise<{ id: number; lens: string }[]> =>
  db.rows(
    'SELECT id, lens FROM kept_lenses WHERE brand_id = $1 AND (colleague_id = $2 OR colleague_id IS NULL) ORDER BY id',
    [brandId, colleagueId],
  )

/** How many of one's own, or of the team's, there are. */
export const countKeptLenses = async (
  db: Database,
  { brandId, whose }: { brandId: number; whose: number | null },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ n: number }>(
    'SELECT count(*)::int AS n FROM kept_lenses WHERE brand_id = $1 AND colleague_id IS NOT DISTINCT FROM $2::int',
    [brandId, whose],
    tx,
  ))!.n

export const insertKeptLens = async (
  db: Database,
  {
    brandId,
    whose,
    name,
    lens,
    madeBy,
  }: { brandId: number; whose: number | null; name: string; lens: string; madeBy: number },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    'INSERT INTO kept_lenses (brand_id, colleague_id, name, lens, made_by) VALUES ($1, $2, $3, $4, $5) RETURNING id',
    [brandId, whose, name, lens, madeBy],
    tx,
  ))!.id

export const updateKeptLens = async (
  db: Database,
  { id, whose, name, lens }: { id: number; whose: number | null; name: string; lens: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE kept_lenses SET colleague_id = $2, name = $3, lens = $4, edition = edition + 1 WHERE id = $1',
    [id, whose, name, lens],
    tx,
  )
}

export const deleteKeptLens = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM kept_lenses WHERE id = $1', [id], tx)
}

/** Those that one may not see are passed over. */
export const orderKeptLenses = async (
  db: Database,
  { brandId, colleagueId }: Looking,
  ids: readonly number[],
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO kept_lens_order (colleague_id, lens_id, position)
     SELECT $2, l.id, min(n.nth)
     FROM unnest($3::int[]) WITH ORDINALITY AS n(id, nth)
     JOIN kept_lenses l ON l.id = n.id AND l.brand_id = $1 AND (l.colleague_id = $2 OR l.colleague_id IS NULL)
     GROUP BY l.id
     ON CONFLICT (colleague_id, lens_id) DO UPDATE SET position = excluded.position`,
    [brandId, colleagueId, ids],
    tx,
  )
}
