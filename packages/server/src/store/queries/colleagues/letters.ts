import type { Database, Tx } from '../../database.ts'

export const insertLetter = async (
  db: Database,
  { address, subject, text }: { address: string; subject: string; text: string },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    'INSERT INTO letters (address, subject, text) VALUES ($1, $2, $3) RETURNING id',
    [address, subject, text],
    tx,
  ))!.id

export const letterToSend = (
  db: Database,
  id: number,
): Promise<{ address: string; subject: string; text: string } | undefined> =>
  db.one<{ address: string; subject: string; text: string }>(
    'SELECT address, subject, text FROM letters WHERE id = $1 AND sent_at IS NULL AND text IS NOT NULL',
    [id],
  )

/** Its text goes with it: it has a link in it that nobody else may read. */
export const setLetterSent = async (db: Database, id: number): Promise<void> => {
  await db.rows('UPDATE letters SET sent_at = now(), text = NULL, error = NULL WHERE id = $1', [id])
}

export const setLetterFailed = async (
  db: Database,
  { id, error, final }: { id: number; error: string; final: boolean },
): Promise<void> => {
  await db.rows('UPDATE letters SET error = $2, text = CASE WHEN $3 THEN NULL ELSE text END WHERE id = $1', [
    id,
    error,
    final,
  ])
}
