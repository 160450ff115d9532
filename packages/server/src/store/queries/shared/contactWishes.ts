import { leadId } from './leadId.ts'
import type { ContactWish } from '@murrabel/core/texting'
import type { Database, Tx } from '../../database.ts'

/** Notes what people said about hearing from us; what was said last counts, in whatever order it comes in. */
export const keepWishes = async (
  db: Database,
  {
    brandId,
    network,
    wishes,
  }: {
    brandId: number
    network: string
    wishes: readonly { author: string; wish: ContactWish; at: Date }[]
  },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE accounts a
     SET contact_wish = w.wish, contact_wish_at = w.at
     FROM (
       SELECT DISTINCT ON (author) *
       FROM unnest($3::text[], $4::text[], $5::timestamptz[]) AS w (author, wish, at)
       ORDER BY author, at DESC
     ) w
     WHERE a.brand_id = $1 AND a.network = $2 AND a.outside_id = w.author
       AND (a.contact_wish_at IS NULL OR a.contact_wish_at <= w.at)`,
    [
      brandId,
      network,
      wishes.map(({ author }) => author),
      wishes.map(({ wish }) => wish),
      wishes.map(({ at }) => at),
    ],
    tx,
  )
}

/** Whether whom a thread is with wants to hear nothing more from us there. */
export const wantsNothing = async (db: Database, threadId: number, tx?: Tx): Promise<boolean> =>
  (await db.one(
    `SELECT 1
     FROM threads t
     JOIN entries e ON e.id = ${leadId}
     JOIN accounts a ON a.id = e.account_id
     WHERE t.id = $1 AND a.contact_wish = 'stop'`,
    [threadId],
    tx,
  )) !== undefined
