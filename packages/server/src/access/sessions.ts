import { createHash, randomBytes } from 'node:crypto'
import type { Database, Tx } from '../store/database.ts'
import type { Reader } from './reader.ts'
import { readerByKey } from '../store/queries/keys/keys.ts'
import {
  insertSession,
  readerBySession,
  readerByMembership,
  removeSession,
} from '../store/queries/brand/sessions.ts'

export const sessionDays = 14
export const hashOf = (token: string) => createHash('sha256').update(token).digest()

/** Opens a session and gives its token, of which only a hash is kept. */
export async function openSession(
  db: Database,
  { colleagueId, brandId, agent = '' }: { colleagueId: number; brandId: number; agent?: string },
): Promise<string> {
  const token = randomBytes(32).toString('base64url')
  await insertSession(db, { tokenHash: hashOf(token), colleagueId, brandId, agent, days: sessionDays })
  return token
}

export async function readerOf(db: Database, token: string): Promise<Reader | null> {
  const found = await readerBySession(db, hashOf(token))
  return found ?? null
}

/** What a colleague may see in a brand; null when they are no member of it (any more). */
export async function readerOfMember(
  db: Database,
  colleagueId: number,
  brandId: number,
  tx?: Tx,
): Promise<Reader | null> {
  const found = await readerByMembership(db, { colleagueId, brandId }, tx)
  return found ?? null
}

/** For whom a program with this key acts; null for none. */
export const readerOfKey = async (db: Database, token: string): Promise<Reader | null> =>
  (await readerByKey(db, hashOf(token))) ?? null

export async function closeSession(db: Database, token: string, tx?: Tx): Promise<void> {
  await removeSession(db, hashOf(token), tx)
}
