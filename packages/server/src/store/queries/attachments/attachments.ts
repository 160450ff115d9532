import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

export interface AttachmentRow {
  id: number
  name: string
  type: string
  bytes: number
  file: string
  preview: string | null
  width: number | null
  height: number | null
  cid: string | null
}

const columns = 'f.id, f.name, f.type, f.bytes, f.file, f.preview, f.width, f.height, f.cid'

/** A file of an entry that the reader may see, or of an answer that waits in such a thread, or one that they have put beside an answer. */
export function attachmentById(db: Database, reader: Reader, id: number): Promise<AttachmentRow | undefined> {
  const where = new Where()
  addAccess(where, reader, 's')
  return db.one<AttachmentRow>(
    `SELECT ${columns}
     FROM attachments f
     LEFT JOIN entries e ON e.id = f.entry_id
     LEFT JOIN approvals v ON v.id = f.approval_id
     LEFT JOIN threads s ON s.id = coalesce(e.thread_id, v.thread_id)
     WHERE f.id = ${where.bind(id)} AND f.brand_id = ${where.bind(reader.brandId)}
       AND CASE WHEN s.id IS NULL THEN f.entry_id IS NULL AND f.colleague_id = ${where.bind(reader.colleagueId)} ELSE ${where.toString()} END`,
    where.values,
  )
}

export const insertAttachment = (
  db: Database,
  { brandId, colleagueId, thread }: { brandId: number; colleagueId: number; thread: number | null },
  file: Omit<AttachmentRow, 'id'>,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO attachments (brand_id, colleague_id, name, type, bytes, file, preview, width, height, cid, draft_thread_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)
     RETURNING id`,
    [
      brandId,
      colleagueId,
      file.name,
      file.type,
      file.bytes,
      file.file,
      file.preview,
      file.width,
      file.height,
      file.cid,
      thread,
    ],
  )

/** One that its colleague put beside an answer, and that has not gone out. */
export const deleteWaiting = (
  db: Database,
  { id, brandId, colleagueId }: { id: number; brandId: number; colleagueId: number },
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `DELETE FROM attachments
     WHERE id = $1 AND brand_id = $2 AND colleague_id = $3 AND entry_id IS NULL AND approval_id IS NULL
     RETURNING id`,
    [id, brandId, colleagueId],
  )

/** Files that a colleague put beside an answer and that belong to nothing yet, or wait with one for a lead's word, locked. */
export const lockWaiting = (
  db: Database,
  {
    ids,
    brandId,
    colleagueId,
    approval = null,
  }: { ids: readonly number[]; brandId: number; colleagueId: number; approval?: number | null },
  tx: Tx,
): Promise<{ id: number; bytes: number; type: string }[]> =>
  db.rows<{ id: number; bytes: number; type: string }>(
    `SELECT id, bytes, type
     FROM attachments
     WHERE id = ANY($1::bigint[]) AND brand_id = $2 AND colleague_id = $3 AND entry_id IS NULL
       AND approval_id IS NOT DISTINCT FROM $4::int
     FOR UPDATE`,
    [ids, brandId, colleagueId, approval],
    tx,
  )

/** From a draft to what they go with, in this order. */
const giveTo = async (
  db: Database,
  column: 'entry_id' | 'approval_id',
  { ids, to }: { ids: readonly number[]; to: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE attachments f
     SET ${column} = $2, draft_thread_id = NULL, position = n.position
     FROM unnest($1::bigint[]) WITH ORDINALITY AS n (id, position)
     WHERE f.id = n.id`,
    [ids, to],
    tx,
  )
}

export const giveToEntry = (
  db: Database,
  { ids, entryId }: { ids: readonly number[]; entryId: number },
  tx: Tx,
): Promise<void> => giveTo(db, 'entry_id', { ids, to: entryId }, tx)

/** What somebody put beside an answer that they have not sent. */
export const filesOfDraft = (
  db: Database,
  { thread, colleagueId }: { thread: number; colleagueId: number },
): Promise<AttachmentRow[]> =>
  db.rows<AttachmentRow>(
    `SELECT ${columns} FROM attachments f
     WHERE f.draft_thread_id = $1 AND f.colleague_id = $2 AND f.entry_id IS NULL AND f.approval_id IS NULL
     ORDER BY f.id`,
    [thread, colleagueId],
  )

/** They wait with an answer for a lead's word. */
export const giveToApproval = (
  db: Database,
  { ids, approval }: { ids: readonly number[]; approval: number },
  tx: Tx,
): Promise<void> => giveTo(db, 'approval_id', { ids, to: approval }, tx)

/** They lie beside their writer's draft again, where the answer did not go out. */
export const giveBackToDraft = async (
  db: Database,
  { approval, thread }: { approval: number; thread: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE attachments SET approval_id = NULL, draft_thread_id = $2 WHERE approval_id = $1 AND entry_id IS NULL`,
    [approval, thread],
    tx,
  )
}

export const filesOfEntry = (db: Database, entryId: number): Promise<AttachmentRow[]> =>
  db.rows<AttachmentRow>(
    `SELECT ${columns} FROM attachments f WHERE f.entry_id = $1 ORDER BY f.position, f.id`,
    [entryId],
  )

/** Files of an entry that the reader may see, with its mail's HTML. */
export function mailOfEntry(
  db: Database,
  reader: Reader,
  id: number,
): Promise<{ id: number; html: string | null } | undefined> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.id = ${where.bind(id)}`)
  return db.one<{ id: number; html: string | null }>(
    `SELECT e.id, m.html
     FROM entries e
     JOIN mails m ON m.entry_id = e.id
     WHERE ${where.toString()}`,
    where.values,
  )
}

/** Of these keys of the file store, those that something still names. */
export const keysInUse = (db: Database, keys: readonly string[]): Promise<{ key: string }[]> =>
  db.rows<{ key: string }>(
    `SELECT k.key
     FROM unnest($1::text[]) AS k (key)
     WHERE EXISTS (SELECT 1 FROM attachments f WHERE f.file = k.key)
        OR EXISTS (SELECT 1 FROM attachments f WHERE f.preview = k.key)
        OR EXISTS (SELECT 1 FROM pictures c WHERE c.preview = k.key)
        OR EXISTS (SELECT 1 FROM brands b WHERE b.logo = k.key)`,
    [keys],
  )
