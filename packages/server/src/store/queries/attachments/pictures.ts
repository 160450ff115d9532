import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { addAccess, Where } from '../shared/where.ts'

export interface PictureToAdd {
  outsideId: string
  position: number
  address: string
  alt: string
}

/** Pictures of entries that have just gone in. */
export const insertPictures = async (
  db: Database,
  profileId: number,
  pictures: readonly PictureToAdd[],
  tx?: Tx,
): Promise<void> => {
  const column = <T>(of: (picture: PictureToAdd) => T) => pictures.map(of)
  await db.rows(
    `INSERT INTO pictures (entry_id, position, address, alt)
     SELECT e.id, n.position, n.address, n.alt
     FROM unnest($2::text[], $3::int[], $4::text[], $5::text[]) AS n (outside_id, position, address, alt)
     JOIN entries e ON e.profile_id = $1 AND e.outside_id = n.outside_id
     ON CONFLICT (entry_id, position) DO NOTHING`,
    [
      profileId,
      column((p) => p.outsideId),
      column((p) => p.position),
      column((p) => p.address),
      column((p) => p.alt),
    ],
    tx,
  )
}

export interface PictureRow {
  id: number
  address: string
  preview: string | null
  /** It could not be fetched a short while ago. */
  failedLately: boolean
  network: string
}

/** A picture of an entry that the reader may see. */
export function pictureById(db: Database, reader: Reader, id: number): Promise<PictureRow | undefined> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`c.id = ${where.bind(id)}`)
  return db.one<PictureRow>(
    `SELECT c.id, c.address, c.preview, coalesce(c.failed_at > now() - interval '10 minutes', false) AS "failedLately",
       p.network
     FROM pictures c
     JOIN entries e ON e.id = c.entry_id
     JOIN profiles p ON p.id = e.profile_id
     WHERE ${where.toString()}`,
    where.values,
  )
}

export const setPicture = async (
  db: Database,
  { id, preview, width, height }: { id: number; preview: string; width: number; height: number },
): Promise<void> => {
  await db.rows('UPDATE pictures SET preview = $2, width = $3, height = $4, failed_at = NULL WHERE id = $1', [
    id,
    preview,
    width,
    height,
  ])
}

export const setPictureFailed = async (db: Database, id: number): Promise<void> => {
  await db.rows('UPDATE pictures SET failed_at = now() WHERE id = $1', [id])
}
