import type { Database, Tx } from '../../database.ts'

export const addFeeds = (
  db: Database,
  {
    brandId,
    addresses,
    titles,
    hookTokens,
  }: {
    brandId: number
    addresses: readonly string[]
    titles: readonly string[]
    hookTokens: readonly string[]
  },
  tx?: Tx,
): Promise<{ id: number; outsideId: string }[]> =>
  db.rows<{ id: number; outsideId: string }>(
    `INSERT INTO profiles (brand_id, channel, network, outside_id, name, url, status, hook_token)
     SELECT $1::int, 'news', 'feed', n.address, n.title, n.address, 'collecting', n.token
     FROM unnest($2::text[], $3::text[], $4::text[]) AS n (address, title, token)
     ON CONFLICT (brand_id, network, outside_id) DO NOTHING
     RETURNING id, outside_id AS "outsideId"`,
    [brandId, addresses, titles, hookTokens],
    tx,
  )

export const feedsOfBrand = (
  db: Database,
  {
    brandId,
    profileIds,
    placeIds,
  }: { brandId: number; profileIds: number[] | null; placeIds: number[] | null },
): Promise<{ name: string; address: string }[]> =>
  db.rows<{ name: string; address: string }>(
    `SELECT name, outside_id AS address
     FROM profiles
     WHERE brand_id = $1
       AND network = 'feed'
       AND status <> 'disconnected'
       AND ($2::int[] IS NULL OR id = ANY($2))
       AND ($3::int[] IS NULL OR place_id = ANY($3))
     ORDER BY name COLLATE "und-x-icu"`,
    [brandId, profileIds, placeIds],
  )
