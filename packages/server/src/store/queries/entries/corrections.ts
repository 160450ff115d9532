import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

export type Judgement = 'positive' | 'neutral' | 'negative'

export interface JudgedEntry {
  id: number
  threadId: number
  sentiment: string
}

/** Those of the incoming entries that the reader may see, held until the transaction ends. */
export function lockEntries(
  db: Database,
  reader: Reader,
  ids: readonly number[],
  tx: Tx,
): Promise<JudgedEntry[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.id = ANY(${where.bind([...ids])}::bigint[]) AND e.direction = 'in'`)
  return db.rows<JudgedEntry>(
    `SELECT e.id, e.thread_id AS "threadId", e.sentiment
     FROM entries e
     WHERE ${where.toString()}
     ORDER BY e.id
     FOR UPDATE`,
    where.values,
    tx,
  )
}

/** Puts a judgement over the reading of entries; with null they are read again. */
export async function setJudgement(
  db: Database,
  { ids, judged, colleagueId }: { ids: readonly number[]; judged: Judgement | null; colleagueId: number },
  tx: Tx,
): Promise<void> {
  if (judged === null)
    await db.rows(
      'UPDATE entries SET corrected_by = NULL, analysed_at = NULL WHERE id = ANY($1::bigint[])',
      [ids],
      tx,
    )
  else
    await db.rows(
      'UPDATE entries SET corrected_by = $2, sentiment = $3 WHERE id = ANY($1::bigint[])',
      [ids, colleagueId, judged],
      tx,
    )
}

/** Keeps each person's judgement, with what the machine had read: what is learnt from, also where people differ. */
export async function keepCorrections(
  db: Database,
  {
    ids,
    judged,
    colleagueId,
    shown,
    drawn,
  }: {
    ids: readonly number[]
    judged: Judgement | null
    colleagueId: number
    shown: boolean
    drawn: boolean
  },
  tx: Tx,
): Promise<void> {
  if (judged === null)
    await db.rows(
      'DELETE FROM corrections WHERE entry_id = ANY($1::bigint[]) AND colleague_id = $2',
      [ids, colleagueId],
      tx,
    )
  else
    await db.rows(
      `INSERT INTO corrections (entry_id, colleague_id, sentiment, shown, drawn, read_as, read_confidence)
       SELECT e.id, $2::int, $3, $4, $5,
         CASE WHEN e.corrected_by IS NULL THEN e.sentiment END, CASE WHEN e.corrected_by IS NULL THEN e.confidence END
       FROM entries e
       WHERE e.id = ANY($1::bigint[])
       ON CONFLICT (entry_id, colleague_id) DO UPDATE SET sentiment = excluded.sentiment, at = now()`,
      [ids, colleagueId, judged, shown, drawn],
      tx,
    )
}
