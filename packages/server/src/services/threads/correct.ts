import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addAccess, Where } from '../../store/queries/where.ts'
import { audit } from '../brand/audit.ts'
import { hoursOf, refreshThreads } from './refresh.ts'

/** Puts a person's judgement over the machine's; null gives the entry back to the machine. */
export async function correctSentiment(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  entryId: number,
  label: 'positive' | 'neutral' | 'negative' | null,
): Promise<{ sentiment: string }> {
  return db.inTransaction(async (tx) => {
    const where = new Where()
    addAccess(where, reader, 'e')
    where.add(`e.id = ${where.bind(entryId)} AND e.direction = 'in'`)
    const entry = await db.one<{ id: number; threadId: number; sentiment: string; text: string }>(
      `SELECT e.id, e.thread_id AS "threadId", e.sentiment FROM entries e WHERE ${where.toString()} FOR UPDATE`,
      where.values,
      tx,
    )
    if (!entry) throw new Refusal('notFound')
    if (label === null)
      await db.rows('UPDATE entries SET corrected_by = NULL, analysed_at = NULL WHERE id = $1', [entryId], tx)
    else
      await db.rows(
        'UPDATE entries SET corrected_by = $2, sentiment = $3 WHERE id = $1',
        [entryId, reader.colleagueId, label],
        tx,
      )
    await refreshThreads(db, [entry.threadId], await hoursOf(db, reader.brandId, tx), tx)
    await audit(
      db,
      reader,
      'correctSentiment',
      `entry ${entryId}`,
      { before: entry.sentiment, after: label },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'thread', threads: [entry.threadId] }, tx)
    return { sentiment: label ?? entry.sentiment }
  })
}
