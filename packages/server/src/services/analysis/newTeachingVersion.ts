import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Tx } from '../../store/database.ts'
import { nextTeachingVersion } from '../../store/queries/teaching/taught.ts'

/** A new version of what is taught, with which the history is read again in the background. */
export async function newTeachingVersion(
  { db, due }: Pick<Context, 'db' | 'due'>,
  brandId: number,
  tx: Tx,
): Promise<void> {
  await nextTeachingVersion(db, brandId, tx)
  await due.ask({ kind: 'reread', subject: brandId, owner: brandOwner(brandId) }, tx)
}
