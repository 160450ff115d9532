import type { KeptDraft } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

export const dropDraft = async (
  db: Database,
  { thread, colleagueId }: { thread: number; colleagueId: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows('DELETE FROM drafts WHERE thread_id = $1 AND colleague_id = $2', [thread, colleagueId], tx)
}

/** One answer that is being written for each thread and colleague; without text there is none. */
export async function storeDraft(
  db: Database,
  {
    thread,
    colleagueId,
    text,
    private: inPrivate,
    edition,
    at,
  }: { thread: number; colleagueId: number; text: string; private: boolean; edition: number; at: Date },
  tx?: Tx,
): Promise<void> {
  if (text === '') await dropDraft(db, { thread, colleagueId }, tx)
  else
    await db.rows(
      `INSERT INTO drafts (thread_id, colleague_id, text, private, edition, at) VALUES ($1, $2, $3, $4, $5, $6)
       ON CONFLICT (thread_id, colleague_id) DO UPDATE SET text = $3, private = $4, edition = $5, at = $6`,
      [thread, colleagueId, text, inPrivate, edition, at],
      tx,
    )
}

export const draftOf = async (
  db: Database,
  { thread, colleagueId }: { thread: number; colleagueId: number },
): Promise<KeptDraft | null> =>
  (await db.one<KeptDraft>(
    `SELECT text, private, edition, to_char(at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS at
     FROM drafts WHERE thread_id = $1 AND colleague_id = $2`,
    [thread, colleagueId],
  )) ?? null
