import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  keepCorrections,
  lockEntries,
  setJudgement,
  type Judgement,
} from '../../store/queries/entries/corrections.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import { holdMentions } from '../../store/queries/analysis/mentions.ts'
import { recordAll } from '../log/index.ts'
import { askToLearn, learnAfterMs } from '../teaching/index.ts'
import { businessHoursOf, refreshThreads } from '../inbox/index.ts'

interface HowJudged {
  judged: Judgement | null
  shown?: boolean
  drawn?: boolean
}

/**
 * Puts a person's judgement over the machine's; null gives the entry back to the machine.
 *
 * @param how whether somebody was shown the entry to judge, right or wrong, which tells how reliable readings are; and whether it was
 *   drawn by chance
 */
export async function correctSentiment(
  context: Pick<Context, 'db' | 'live' | 'now' | 'due'>,
  reader: Reader,
  entryId: number,
  { judged, ...how }: HowJudged,
): Promise<{ sentiment: string }> {
  const [changed] = await correctMany(context, reader, [entryId], { judged, ...how })
  if (!changed) throw new Refusal('notFound')
  return { sentiment: judged ?? changed.before }
}

/** The same for many at once; those the reader may not see are left out. Answers what each was before. */
export async function correctMany(
  { db, live, now, due }: Pick<Context, 'db' | 'live' | 'now' | 'due'>,
  reader: Reader,
  ids: readonly number[],
  { judged, shown = false, drawn = false }: HowJudged,
): Promise<{ id: number; before: string }[]> {
  return db.inTransaction(async (tx) => {
    // Before any row: who writes mentions holds it and waits for rows.
    await holdMentions(db, reader.brandId, tx)
    const entries = await lockEntries(db, reader, ids, tx)
    if (!entries.length) throw new Refusal('notFound')
    const found = entries.map((e) => e.id)
    const judgement = { ids: found, judged, colleagueId: reader.colleagueId, shown, drawn }
    await keepCorrections(db, judgement, tx)
    await setJudgement(db, judgement, tx)
    const threads = [...new Set(entries.map((e) => e.threadId))]
    await refreshThreads(db, threads, await businessHoursOf(db, reader.brandId, tx), now(), tx)
    await recordAll(
      db,
      reader,
      entries.map(({ id, threadId, sentiment }) => ({
        kind: 'correctSentiment',
        on: ['entry', id, threadId],
        detail: { before: sentiment, after: judged },
      })),
      tx,
    )
    const owner = brandOwner(reader.brandId)
    if (judged === null) await due.ask({ kind: 'analyse', subject: reader.brandId, owner }, tx)
    // Corrections often come many in a row: learning waits for a pause.
    await askToLearn({ due, now }, reader.brandId, learnAfterMs, tx)
    await live.tell(reader.brandId, { kind: 'thread', threads }, tx)
    return entries.map(({ id, sentiment }) => ({ id, before: sentiment }))
  })
}
