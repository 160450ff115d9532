import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Tx } from '../../store/database.ts'

/** A new version of what is taught, with which the history is read again in the background. */
export async function newVersion(
  { db, due }: Pick<Context, 'db' | 'due'>,
  brandId: number,
  tx: Tx,
): Promise<void> {
  await db.rows(
    `UPDATE teaching SET version = version + 1, history_done = 0,
       history_total = (SELECT count(*) FROM entries WHERE brand_id = $1 AND direction = 'in') WHERE brand_id = $1`,
    [brandId],
    tx,
  )
  await due.ask({ kind: 'reread', subject: brandId, owner: brandOwner(brandId) }, tx)
}
