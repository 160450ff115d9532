import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

export const insertSession = async (
  db: Database,
  {
    tokenHash,
    colleagueId,
    brandId,
    agent,
    days,
  }: { tokenHash: NonSharedBuffer; colleagueId: number; brandId: number; agent: string; days: number },
): Promise<void> => {
  await db.rows(
    `INSERT INTO sessions (token_hash, colleague_id, brand_id, expires_at, agent)
     VALUES ($1, $2, $3, now() + $4::int * interval '1 day', left($5, 300))`,
    [tokenHash, colleagueId, brandId, days, agent],
  )
}

export const readerBySession = (db: Database, tokenHash: NonSharedBuffer): Promise<Reader | undefined> =>
  db.one<Reader>(
    `WITH seen AS (
       UPDATE sessions SET seen_at = now() WHERE token_hash = $1 AND (seen_at IS NULL OR seen_at < now() - interval '5 minutes')
     )
     SELECT m.colleague_id AS "colleagueId", m.brand_id AS "brandId", m.role, m.place_ids AS "placeIds",
       m.profile_ids AS "profileIds"
     FROM sessions s
     JOIN memberships m ON m.colleague_id = s.colleague_id AND m.brand_id = s.brand_id
     WHERE s.token_hash = $1 AND s.expires_at > now()`,
    [tokenHash],
  )

export const readerByMembership = (
  db: Database,
  { colleagueId, brandId }: { colleagueId: number; brandId: number },
  tx?: Tx,
): Promise<Reader | undefined> =>
  db.one<Reader>(
    `SELECT colleague_id AS "colleagueId", brand_id AS "brandId", role, place_ids AS "placeIds",
       profile_ids AS "profileIds"
     FROM memberships
     WHERE colleague_id = $1 AND brand_id = $2`,
    [colleagueId, brandId],
    tx,
  )

/** Takes a session over to another brand of whom it belongs to. */
export const setSessionBrand = async (
  db: Database,
  { tokenHash, brandId }: { tokenHash: Buffer; brandId: number },
  tx: Tx,
): Promise<void> => {
  await db.rows('UPDATE sessions SET brand_id = $2 WHERE token_hash = $1', [tokenHash, brandId], tx)
}

export const removeSession = async (db: Database, tokenHash: NonSharedBuffer, tx?: Tx): Promise<void> => {
  await db.rows(
    `DELETE FROM sessions
     WHERE token_hash = $1`,
    [tokenHash],
    tx,
  )
}
