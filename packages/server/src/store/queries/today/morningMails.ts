import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

type Whose = Pick<Reader, 'brandId' | 'colleagueId'>

export interface MorningMail {
  id: number
  brandId: number
  colleagueId: number
  /** "07:30", where the brand is. */
  at: string
  zone: string
  brand: string
  name: string
  email: string
}

export const morningMailById = (db: Database, id: number, tx?: Tx): Promise<MorningMail | undefined> =>
  db.one(
    `SELECT m.id, m.brand_id AS "brandId", m.colleague_id AS "colleagueId", m.at, b.zone, b.name AS brand, c.name, c.email
     FROM morning_mails m
     JOIN brands b ON b.id = m.brand_id
     JOIN colleagues c ON c.id = m.colleague_id
     WHERE m.id = $1`,
    [id],
    tx,
  )

export const morningMailAt = async (db: Database, { brandId, colleagueId }: Whose): Promise<string | null> =>
  (
    await db.one<{ at: string }>('SELECT at FROM morning_mails WHERE brand_id = $1 AND colleague_id = $2', [
      brandId,
      colleagueId,
    ])
  )?.at ?? null

export const upsertMorningMail = async (
  db: Database,
  { brandId, colleagueId }: Whose,
  at: string,
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    `INSERT INTO morning_mails (brand_id, colleague_id, at) VALUES ($1, $2, $3)
     ON CONFLICT (colleague_id, brand_id) DO UPDATE SET at = excluded.at
     RETURNING id`,
    [brandId, colleagueId, at],
    tx,
  ))!.id

/** Answers the id of the one that was there. */
export const deleteMorningMail = (
  db: Database,
  { brandId, colleagueId }: Whose,
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one(
    'DELETE FROM morning_mails WHERE brand_id = $1 AND colleague_id = $2 RETURNING id',
    [brandId, colleagueId],
    tx,
  )
