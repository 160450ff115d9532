import { createHash, randomBytes } from 'node:crypto'
import type { Database, Tx } from '../store/database.ts'
import type { Reader } from './reader.ts'

export const sessionDays = 14
export const hashOf = (token: string) => createHash('sha256').update(token).digest()

/** Opens a session and gives its token, of which only a hash is kept. */
export async function openSession(
  db: Database,
  { colleagueId, brandId }: { colleagueId: number; brandId: number },
): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await db.rows(
    `INSERT INTO sessions (token_hash, colleague_id, brand_id, expires_at) VALUES ($1, $2, $3, now() + $4::int * interval '1 day')`,
    [hashOf(token), colleagueId, brandId, sessionDays],
  )
  return token
}

export async function readerOf(db: Database, token: string): Promise<Reader | null> {
  const found = await db.one<Reader>(
    `SELECT m.colleague_id AS "colleagueId", m.brand_id AS "brandId", m.role, m.place_ids AS "placeIds", m.profile_ids AS "profileIds"
     FROM sessions s JOIN memberships m ON m.colleague_id = s.colleague_id AND m.brand_id = s.brand_id
     WHERE s.token_hash = $1 AND s.expires_at > now()`,
    [hashOf(token)],
  )
  return found ?? null
}

/** What a colleague may see in a brand; null when they are no member of it (any more). */
export async function readerOfMember(
  db: Database,
  colleagueId: number,
  brandId: number,
  tx?: Tx,
): Promise<Reader | null> {
  const found = await db.one<Reader>(
    `SELECT colleague_id AS "colleagueId", brand_id AS "brandId", role, place_ids AS "placeIds", profile_ids AS "profileIds"
     FROM memberships WHERE colleague_id = $1 AND brand_id = $2`,
    [colleagueId, brandId],
    tx,
  )
  return found ?? null
}

export async function closeSession(db: Database, token: string, tx?: Tx): Promise<void> {
  await db.rows('DELETE FROM sessions WHERE token_hash = $1', [hashOf(token)], tx)
}
