import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Database, Tx } from '../../store/database.ts'
import { addAccess, Where } from '../../store/queries/shared/where.ts'
import { lockMentions } from '../analysis/watchBook.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import { recordAll } from '../log/record.ts'
import { learnAfterMs } from '../teaching/learning.ts'
import { hoursOf, refreshThreads } from '../inbox/refresh.ts'

type Label = 'positive' | 'neutral' | 'negative'

/** Puts a person's judgement over the machine's; null gives the entry back to the machine. */
export async function correctSentiment(
  context: Pick<Context, 'db' | 'live' | 'now' | 'due'>,
  reader: Reader,
  entryId: number,
  sentiment: Label | null,
): Promise<{ sentiment: string }> {
  const [changed] = await correctMany(context, reader, [entryId], sentiment)
  if (!changed) throw new Refusal('notFound')
  return { sentiment: sentiment ?? changed.before }
}

/** The same for many at once; those the reader may not see are left out. Answers what each was before. */
export async function correctMany(
  { db, live, now, due }: Pick<Context, 'db' | 'live' | 'now' | 'due'>,
  reader: Reader,
  ids: readonly number[],
  sentiment: Label | null,
): Promise<{ id: number; before: string }[]> {
  return db.inTransaction(async (tx) => {
    // Before any row: who writes mentions holds it and waits for rows.
    await lockMentions(db, reader.brandId, tx)
    const where = new Where()
    addAccess(where, reader, 'e')
    where.add(`e.id = ANY(${where.bind([...ids])}::bigint[]) AND e.direction = 'in'`)
    const entries = await db.rows<{ id: number; threadId: number; sentiment: string }>(
      `SELECT e.id, e.thread_id AS "threadId", e.sentiment FROM entries e WHERE ${where.toString()} ORDER BY e.id FOR UPDATE`,
      where.values,
      tx,
    )
    if (!entries.length) throw new Refusal('notFound')
    const found = entries.map((e) => e.id)
    await remember(db, reader, found, sentiment, tx)
    if (sentiment === null)
      await db.rows(
        'UPDATE entries SET corrected_by = NULL, analysed_at = NULL WHERE id = ANY($1::bigint[])',
        [found],
        tx,
      )
    else
      await db.rows(
        'UPDATE entries SET corrected_by = $2, sentiment = $3 WHERE id = ANY($1::bigint[])',
        [found, reader.colleagueId, sentiment],
        tx,
      )
    const threads = [...new Set(entries.map((e) => e.threadId))]
    await refreshThreads(db, threads, await hoursOf(db, reader.brandId, tx), now(), tx)
    await recordAll(
      db,
      reader,
      entries.map(({ id, threadId, sentiment }) => ({
        kind: 'correctSentiment',
        on: ['entry', id, threadId],
        detail: { before: sentiment, after: sentiment },
      })),
      tx,
    )
    const owner = brandOwner(reader.brandId)
    if (sentiment === null) await due.ask({ kind: 'analyse', subject: reader.brandId, owner }, tx)
    // Corrections often come many in a row: learning waits for a pause.
    await due.ask({ kind: 'learn', subject: reader.brandId, owner, at: now() + learnAfterMs }, tx)
    await live.tell(reader.brandId, { kind: 'thread', threads }, tx)
    return entries.map(({ id, sentiment }) => ({ id, before: sentiment }))
  })
}

/** Keeps each person's judgement: what is learnt from, also where people differ. */
async function remember(
  db: Database,
  reader: Reader,
  ids: readonly number[],
  sentiment: Label | null,
  tx: Tx,
): Promise<void> {
  if (sentiment === null)
    await db.rows(
      'DELETE FROM corrections WHERE entry_id = ANY($1::bigint[]) AND colleague_id = $2',
      [ids, reader.colleagueId],
      tx,
    )
  else
    await db.rows(
      `INSERT INTO corrections (entry_id, colleague_id, sentiment) SELECT id, $2::int, $3 FROM unnest($1::bigint[]) AS n (id)
       ON CONFLICT (entry_id, colleague_id) DO UPDATE SET sentiment = excluded.sentiment, at = now()`,
      [ids, reader.colleagueId, sentiment],
      tx,
    )
}
