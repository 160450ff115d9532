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

/** A file of an entry that the reader may see, or one that they have put beside an answer. */
export function attachmentById(db: Database, reader: Reader, id: number): Promise<AttachmentRow | undefined> {
  const where = new Where()
  addAccess(where, reader, 'e')
  return db.one<AttachmentRow>(
    `SELECT ${columns}
     FROM attachments f
     LEFT JOIN entries e ON e.id = f.entry_id
     WHERE f.id = ${where.bind(id)} AND f.brand_id = ${where.bind(reader.brandId)}
       AND CASE WHEN f.entry_id IS NULL THEN f.colleague_id = ${where.bind(reader.colleagueId)} ELSE ${where.toString()} END`,
    where.values,
  )
}

export const insertAttachment = (
  db: Database,
  { brandId, colleagueId }: { brandId: number; colleagueId: number },
  file: Omit<AttachmentRow, 'id'>,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO attachments (brand_id, colleague_id, name, type, bytes, file, preview, width, height, cid)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
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
    ],
  )

/** One that its colleague put beside an answer, and that has not gone out. */
export const deleteWaiting = (
  db: Database,
  { id, brandId, colleagueId }: { id: number; brandId: number; colleagueId: number },
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `DELETE FROM attachments
     WHERE id = $1 AND brand_id = $2 AND colleague_id = $3 AND entry_id IS NULL
     RETURNING id`,
    [id, brandId, colleagueId],
  )

/** Files that a colleague put beside an answer and that belong to nothing yet, locked, in the order they were asked for. */
export const lockWaiting = (
  db: Database,
  { ids, brandId, colleagueId }: { ids: readonly number[]; brandId: number; colleagueId: number },
  tx: Tx,
): Promise<{ id: number; bytes: number; type: string }[]> =>
  db.rows<{ id: number; bytes: number; type: string }>(
    `SELECT id, bytes, type
     FROM attachments
     WHERE id = ANY($1::bigint[]) AND brand_id = $2 AND colleague_id = $3 AND entry_id IS NULL
     FOR UPDATE`,
    [ids, brandId, colleagueId],
    tx,
  )

export const giveToEntry = async (
  db: Database,
  { ids, entryId }: { ids: readonly number[]; entryId: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE attachments f
     SET entry_id = $2, position = n.position
     FROM unnest($1::bigint[]) WITH ORDINALITY AS n (id, position)
     WHERE f.id = n.id`,
    [ids, entryId],
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
