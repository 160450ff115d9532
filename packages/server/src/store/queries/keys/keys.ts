import type { AccessKey, Right } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

type KeyRow = Omit<AccessKey, 'madeAt' | 'endsAt' | 'usedAt'> & {
  madeAt: Date
  endsAt: Date
  usedAt: Date | null
}
const columns = `id, name, ending, rights, made_at AS "madeAt", ends_at AS "endsAt", used_at AS "usedAt"`
const keyOf = ({ madeAt, endsAt, usedAt, ...row }: KeyRow): AccessKey => ({
  ...row,
  madeAt: madeAt.toISOString(),
  endsAt: endsAt.toISOString(),
  usedAt: usedAt?.toISOString() ?? null,
})

/** A colleague's own keys in a brand, the newest first. */
export const keysOf = async (
  db: Database,
  { brandId, colleagueId }: Pick<Reader, 'brandId' | 'colleagueId'>,
  tx?: Tx,
): Promise<AccessKey[]> =>
  (
    await db.rows<KeyRow>(
      `SELECT ${columns} FROM access_keys WHERE brand_id = $1 AND colleague_id = $2 ORDER BY id DESC`,
      [brandId, colleagueId],
      tx,
    )
  ).map(keyOf)

export const insertKey = async (
  db: Database,
  key: {
    brandId: number
    colleagueId: number
    name: string
    tokenHash: Buffer
    ending: string
    rights: readonly Right[]
    endsAt: Date
  },
  tx: Tx,
): Promise<AccessKey> =>
  keyOf(
    (await db.one<KeyRow>(
      `INSERT INTO access_keys (brand_id, colleague_id, name, token_hash, ending, rights, ends_at)
       VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING ${columns}`,
      [key.brandId, key.colleagueId, key.name, key.tokenHash, key.ending, key.rights, key.endsAt],
      tx,
    ))!,
  )

/** Answers its name; undefined where there is none of theirs. */
export const deleteKey = async (
  db: Database,
  { id, brandId, colleagueId }: { id: number; brandId: number; colleagueId: number },
  tx: Tx,
): Promise<string | undefined> =>
  (
    await db.one<{ name: string }>(
      'DELETE FROM access_keys WHERE id = $1 AND brand_id = $2 AND colleague_id = $3 RETURNING name',
      [id, brandId, colleagueId],
      tx,
    )
  )?.name

/** For whom a key acts, while it lasts and they are members; that it is used is noted once a minute. */
export const readerByKey = (db: Database, tokenHash: Buffer): Promise<Reader | undefined> =>
  db.one<Reader>(
    `WITH used AS (
       UPDATE access_keys SET used_at = now()
       WHERE token_hash = $1 AND ends_at > now() AND (used_at IS NULL OR used_at < now() - interval '1 minute')
     )
     SELECT m.colleague_id AS "colleagueId", m.brand_id AS "brandId", m.role, m.place_ids AS "placeIds",
       m.profile_ids AS "profileIds", k.rights AS "keyRights"
     FROM access_keys k
     JOIN memberships m ON m.colleague_id = k.colleague_id AND m.brand_id = k.brand_id
     WHERE k.token_hash = $1 AND k.ends_at > now()`,
    [tokenHash],
  )
