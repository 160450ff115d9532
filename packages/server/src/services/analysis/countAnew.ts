import type { Context } from '../../context.ts'
import { entriesOfThread } from '../../store/queries/analysis/watchHistory.ts'
import { brandOfThread } from '../../store/queries/inbox/thread.ts'
import { holdMentions } from '../../store/queries/analysis/mentions.ts'
import { WatchBook } from './watchBook.ts'

/** A thread was put aside as spam, or is none after all: what was said in it counts in the watches anew. */
export function countAnew({ db, live }: Pick<Context, 'db' | 'live'>, threadId: number): Promise<'done'> {
  return db.inTransaction(async (tx): Promise<'done'> => {
    const brandId = await brandOfThread(db, threadId, tx)
    if (brandId === null) return 'done'
    // Read under the hold: nobody else writes mentions of the brand meanwhile.
    await holdMentions(db, brandId, tx)
    await new WatchBook(brandId).mark(db, await entriesOfThread(db, threadId, tx), tx)
    await live.tell(brandId, { kind: 'watches' }, tx)
    return 'done'
  })
}
