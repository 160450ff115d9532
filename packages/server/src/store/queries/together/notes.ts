import type { NoteAnswer } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

interface NoteRow {
  id: number
  threadId: number
  edition: number
  by: number | null
  text: string
  at: Date
  editedAt: Date | null
  removedAt: Date | null
  mentions: number[]
}

const select = `SELECT n.id, n.thread_id AS "threadId", n.edition, n.colleague_id AS by, n.text, n.at, n.edited_at AS "editedAt", n.removed_at AS "removedAt",
  ARRAY(SELECT colleague_id FROM note_mentions m WHERE m.note_id = n.id ORDER BY 1) AS mentions
  FROM notes n`

export const noteAnswer = ({ at, editedAt, id, edition, by, text, mentions }: NoteRow): NoteAnswer => ({
  id,
  edition,
  by,
  text,
  at: at.toISOString(),
  editedAt: editedAt?.toISOString() ?? null,
  mentions,
})

export const notesOfThread = async (db: Database, thread: number): Promise<NoteAnswer[]> =>
  (
    await db.rows<NoteRow>(`${select} WHERE n.thread_id = $1 AND n.removed_at IS NULL ORDER BY n.at, n.id`, [
      thread,
    ])
  ).map(noteAnswer)

/** A note with its thread, locked for whoever changes it. */
export const noteForChange = (db: Database, id: number, tx: Tx): Promise<NoteRow | undefined> =>
  db.one<NoteRow>(`${select} WHERE n.id = $1 FOR UPDATE OF n`, [id], tx)

export const insertNote = async (
  db: Database,
  { thread, colleagueId, text, at }: { thread: number; colleagueId: number; text: string; at: Date },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    'INSERT INTO notes (thread_id, colleague_id, text, at) VALUES ($1, $2, $3, $4) RETURNING id',
    [thread, colleagueId, text, at],
    tx,
  ))!.id

export const updateNote = async (
  db: Database,
  { id, text, at }: { id: number; text: string; at: Date },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE notes SET text = $2, edited_at = $3, edition = edition + 1 WHERE id = $1',
    [id, text, at],
    tx,
  )
}

export const setNoteRemoved = async (
  db: Database,
  { id, at }: { id: number; at: Date | null },
  tx: Tx,
): Promise<void> => {
  await db.rows('UPDATE notes SET removed_at = $2, edition = edition + 1 WHERE id = $1', [id, at], tx)
}

/** Puts these in the place of whom it named; answers who is new among them. */
export async function setMentions(
  db: Database,
  { note, mentions }: { note: number; mentions: readonly number[] },
  tx: Tx,
): Promise<number[]> {
  await db.rows(
    'DELETE FROM note_mentions WHERE note_id = $1 AND colleague_id <> ALL($2::int[])',
    [note, mentions],
    tx,
  )
  const added = await db.rows<{ id: number }>(
    `INSERT INTO note_mentions (note_id, colleague_id) SELECT $1, * FROM unnest($2::int[])
     ON CONFLICT DO NOTHING RETURNING colleague_id AS id`,
    [note, mentions],
    tx,
  )
  return added.map(({ id }) => id)
}
