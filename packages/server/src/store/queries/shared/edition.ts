import { Refusal } from '../../../problem.ts'
import type { Database, Tx } from '../../database.ts'

/** Things that two people can change, each with a number that every change raises. */
type Edited =
  | 'watches'
  | 'watch_groups'
  | 'alerts'
  | 'people'
  | 'follow_ups'
  | 'visits'
  | 'places'
  | 'kept_lenses'
  | 'patterns'
  | 'sign_offs'

/**
 * Locks a thing that somebody is about to change, and makes sure that it is still as they saw it.
 *
 * @param seen the edition they saw; left out: whatever it is
 * @throws Refusal notFound, or changedMeanwhile
 */
export async function checkEdition(
  { db }: { db: Database },
  table: Edited,
  { id, brandId }: { id: number; brandId: number },
  seen: number | null | undefined,
  tx: Tx,
): Promise<void> {
  const row = await db.one<{ edition: number }>(
    `SELECT edition FROM ${table} WHERE id = $1 AND brand_id = $2 FOR NO KEY UPDATE`,
    [id, brandId],
    tx,
  )
  if (!row) throw new Refusal('notFound')
  if (seen !== null && seen !== undefined && seen !== row.edition) throw new Refusal('changedMeanwhile')
}
