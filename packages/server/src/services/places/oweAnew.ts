import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { Tx } from '../../store/database.ts'
import { threadsToOweAnew } from '../../store/queries/places/places.ts'
import { businessHoursOf, refreshThreads } from '../inbox/index.ts'

const batch = 500

/** Hours or rules have changed: what is open is due otherwise. */
export const askToOweAnew = ({ due }: Pick<Context, 'due'>, brandId: number, tx?: Tx): Promise<void> =>
  due.ask({ kind: 'oweAnew', subject: brandId, owner: brandOwner(brandId) }, tx)

/** Reckons the due times of all that is open again, a step a transaction. */
export async function oweAnew(
  { db, live, now }: Pick<Context, 'db' | 'live' | 'now'>,
  piece: Piece,
): Promise<WorkOutcome> {
  const brandId = piece.id
  let after = (piece.progress as { after: number } | null)?.after ?? 0
  for (;;) {
    piece.signal.throwIfAborted()
    const ids = await threadsToOweAnew(db, { brandId, after, limit: batch })
    if (!ids.length) break
    after = ids.at(-1)!
    await db.inTransaction(async (tx) => {
      await refreshThreads(db, ids, await businessHoursOf(db, brandId, tx), now(), tx)
      await piece.keep({ after }, tx)
    })
  }
  await live.tell(brandId, { kind: 'afresh' })
  return 'done'
}
