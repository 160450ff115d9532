import type { Database, Tx } from '../../database.ts'
import type { ProfileAnswer } from '@murrabel/contract'

export interface ProfileRow extends Omit<ProfileAnswer, 'capabilities' | 'collectedAt'> {
  collectedAt: Date | null
  outsideId: string
}

/** One process renews a key at a time. */
export const holdKey = async (db: Database, profileId: number, tx?: Tx): Promise<void> => {
  await db.rows('SELECT pg_advisory_xact_lock(44, $1)', [profileId], tx)
}

export const profilesSeenBy = (
  db: Database,
  {
    brandId,
    profileIds,
    placeIds,
  }: { brandId: number; profileIds: number[] | null; placeIds: number[] | null },
): Promise<ProfileRow[]> =>
  db.rows<ProfileRow>(
    `SELECT p.id, p.channel, p.network, p.outside_id AS "outsideId", p.name, p.place_id AS "placeId", p.url, p.status,
       p.history_done AS "historyDone", p.history_total AS "historyTotal", coalesce(r.n, 0) AS entries,
       (SELECT count(*) FROM items_apart i WHERE i.profile_id = p.id) AS apart,
       p.collected_at AS "collectedAt", p.error
     FROM profiles p
     LEFT JOIN (
       SELECT profile_id, sum(n) AS n
       FROM rollups
       WHERE brand_id = $1
       GROUP BY 1
     ) r ON r.profile_id = p.id
     WHERE p.brand_id = $1
       AND ($2::int[] IS NULL OR p.id = ANY($2))
       AND ($3::int[] IS NULL OR p.place_id = ANY($3))
     ORDER BY p.channel, p.id`,
    [brandId, profileIds, placeIds],
  )

export const countByNetwork = (
  db: Database,
  {
    brandId,
    profileIds,
    placeIds,
  }: { brandId: number; profileIds: number[] | null; placeIds: number[] | null },
): Promise<{ network: string; n: number; searched: boolean }[]> =>
  db.rows<{ network: string; n: number; searched: boolean }>(
    `SELECT network, count(*) FILTER (WHERE outside_id <> 'search') AS n, bool_or(outside_id = 'search') AS searched
     FROM profiles
     WHERE brand_id = $1
       AND status <> 'disconnected'
       AND ($2::int[] IS NULL OR id = ANY($2))
       AND ($3::int[] IS NULL OR place_id = ANY($3))
     GROUP BY 1`,
    [brandId, profileIds, placeIds],
  )

/** The place whose name is part of a profile's name. */
export const placeNamedIn = (
  db: Database,
  { brandId, name }: { brandId: number; name: string },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `SELECT id
     FROM places
     WHERE brand_id = $1 AND position(lower(name) in lower($2)) > 0
     ORDER BY length(name) DESC
     LIMIT 1`,
    [brandId, name],
    tx,
  )

export const putProfileRow = (
  db: Database,
  {
    brandId,
    placeId,
    channel,
    network,
    outsideId,
    name,
    url,
    sealedKey,
    hookToken,
    sealedSecret,
  }: {
    brandId: number
    placeId: number | null
    channel: string
    network: string
    outsideId: string
    name: string
    url: string | null
    sealedKey: Buffer | null
    hookToken: string
    sealedSecret: Buffer
  },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO profiles AS p (brand_id, place_id, channel, network, outside_id, name, url, status,
       key_sealed, hook_token, hook_secret_sealed)
     VALUES ($1, $2, $3, $4, $5, $6, $7, 'collecting', $8, $9, $10)
     ON CONFLICT (brand_id, network, outside_id) DO UPDATE SET status = 'collecting',
       key_sealed = excluded.key_sealed, error = NULL, name = excluded.name
     RETURNING id`,
    [brandId, placeId, channel, network, outsideId, name, url, sealedKey, hookToken, sealedSecret],
    tx,
  )

export const setSearching = (
  db: Database,
  { brandId, searchId }: { brandId: number; searchId: string },
  tx?: Tx,
): Promise<{ id: number; network: string }[]> =>
  db.rows<{ id: number; network: string }>(
    `UPDATE profiles
     SET status = 'collecting'
     WHERE brand_id = $1 AND outside_id = $2 AND status IN ('connected', 'collecting', 'failing')
     RETURNING id, network`,
    [brandId, searchId],
    tx,
  )

/** Whether another brand has this address as a profile. */
export const addressElsewhere = async (
  db: Database,
  { network, address, brandId }: { network: string; address: string; brandId: number },
): Promise<boolean> =>
  (await db.one(
    `SELECT 1 AS found
     FROM profiles
     WHERE network = $1 AND outside_id = $2 AND brand_id <> $3 AND status <> 'disconnected'
     LIMIT 1`,
    [network, address, brandId],
  )) !== undefined
