import type { Database, Tx } from '../../database.ts'
import type { PublicProfile } from '@murrabel/contract'

export interface PublicSums {
  id: number
  posts: number
  postsBefore: number
  stars: number[]
  /** At the end of the period, at its beginning, and at the beginning of the one before. */
  followers: number | null
  followersAtStart: number | null
  followersBefore: number | null
}

export const publicProfilesSeenBy = (
  db: Database,
  {
    brandId,
    profileIds,
    placeIds,
  }: { brandId: number; profileIds: number[] | null; placeIds: number[] | null },
): Promise<(Omit<PublicProfile, 'lookedAt'> & { lookedAt: Date | null })[]> =>
  db.rows<Omit<PublicProfile, 'lookedAt'> & { lookedAt: Date | null }>(
    `SELECT p.id, p.watch_id AS "watchId", p.network, p.channel, p.name, p.url,
       p.looked_at AS "lookedAt", p.problem
     FROM public_profiles p
     LEFT JOIN watches w ON w.id = p.watch_id
     WHERE p.brand_id = $1
       AND w.deleted_at IS NULL
       AND (
         p.watch_id IS NOT NULL
         OR ($2::int[] IS NULL AND $3::int[] IS NULL)
         OR EXISTS (
           SELECT 1
           FROM profiles o
           WHERE o.brand_id = p.brand_id AND o.url = p.url
             AND ($2::int[] IS NULL OR o.id = ANY($2))
             AND ($3::int[] IS NULL OR o.place_id = ANY($3))
         )
       )
     ORDER BY p.watch_id NULLS FIRST, p.network, p.id`,
    [brandId, profileIds, placeIds],
  )

export const insertPublicProfile = (
  db: Database,
  {
    brandId,
    watchId,
    channel,
    network,
    name,
    url,
  }: { brandId: number; watchId: number; channel: string; network: string; name: string; url: string },
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO public_profiles (brand_id, watch_id, channel, network, name, url)
     VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (brand_id, url) DO NOTHING
     RETURNING id`,
    [brandId, watchId, channel, network, name, url],
  )

export const deletePublicProfile = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `DELETE FROM public_profiles
     WHERE id = $1 AND brand_id = $2 AND watch_id IS NOT NULL
     RETURNING id`,
    [id, brandId],
  )

/** With the brand's zone, in which its days are counted. */
export const setLooked = (
  db: Database,
  { id, name }: { id: number; name: string },
  tx?: Tx,
): Promise<{ zone: string } | undefined> =>
  db.one<{ zone: string }>(
    `UPDATE public_profiles p
     SET name = $2, looked_at = now(), problem = NULL
     FROM brands b
     WHERE p.id = $1 AND b.id = p.brand_id
     RETURNING b.zone`,
    [id, name],
    tx,
  )

export const removePublicDays = async (db: Database, profileId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `DELETE FROM public_days
     WHERE profile_id = $1`,
    [profileId],
    tx,
  )
}

/** Posts (no stars) and ratings by the brand's days. */
export const addPublicDays = async (
  db: Database,
  {
    profileId,
    at,
    stars,
    zone,
  }: { profileId: number; at: readonly number[]; stars: readonly number[]; zone: string },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO public_days (profile_id, day, posts, stars)
     SELECT $1::int, day, count(*) FILTER (WHERE stars = 0),
       ARRAY[
         count(*) FILTER (WHERE stars = 1),
         count(*) FILTER (WHERE stars = 2),
         count(*) FILTER (WHERE stars = 3),
         count(*) FILTER (WHERE stars = 4),
         count(*) FILTER (WHERE stars = 5)
       ]
     FROM (
       SELECT (to_timestamp(at / 1000) AT TIME ZONE $4)::date AS day, stars
       FROM unnest($2::float8[], $3::int[]) AS seen (at, stars)
     ) AS seen
     GROUP BY day`,
    [profileId, at, stars, zone],
    tx,
  )
}

export const putFollowers = async (
  db: Database,
  {
    profileId,
    days,
    followers,
  }: { profileId: number; days: readonly string[]; followers: readonly number[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO public_days (profile_id, day, followers)
     SELECT DISTINCT ON (day) $1::int, day, followers
     FROM unnest($2::date[], $3::int[]) AS seen (day, followers)
     ON CONFLICT (profile_id, day) DO UPDATE SET followers = excluded.followers`,
    [profileId, days, followers],
    tx,
  )
}

export const publicProfileById = (
  db: Database,
  id: number,
): Promise<{ network: string; url: string } | undefined> =>
  db.one<{ network: string; url: string }>(
    `SELECT network, url
     FROM public_profiles
     WHERE id = $1`,
    [id],
  )

export const setLookProblem = async (
  db: Database,
  { id, problem }: { id: number; problem: string },
): Promise<void> => {
  await db.rows(
    `UPDATE public_profiles
     SET problem = $2
     WHERE id = $1`,
    [id, problem],
  )
}

export const addOwnPublicProfiles = (
  db: Database,
  { networks, searchId }: { networks: readonly string[]; searchId: string },
  tx?: Tx,
): Promise<{ id: number; network: string }[]> =>
  db.rows<{ id: number; network: string }>(
    `INSERT INTO public_profiles (brand_id, channel, network, name, url)
     SELECT p.brand_id, p.channel, p.network, p.name, p.url
     FROM profiles p
     WHERE p.network = ANY($1::text[])
       AND p.status IN ('connected', 'collecting')
       AND p.url IS NOT NULL
       AND p.outside_id <> $2
       AND NOT EXISTS (SELECT 1 FROM public_profiles o WHERE o.brand_id = p.brand_id AND o.url = p.url)
     ON CONFLICT (brand_id, url) DO NOTHING
     RETURNING id, network`,
    [networks, searchId],
    tx,
  )

/** The last known followers on a day: of days that nobody looked, the day before counts. */
const followersOn = (days: string) =>
  `(SELECT f.followers FROM public_days f
        WHERE f.profile_id = p.id AND f.followers IS NOT NULL AND f.day ${days}::date
        ORDER BY f.day DESC LIMIT 1)`

export const publicSums = (
  db: Database,
  { brandId, from, to, before }: { brandId: number; from: string; to: string; before: string },
): Promise<PublicSums[]> =>
  db.rows<PublicSums>(
    `SELECT p.id,
       coalesce(sum(d.posts) FILTER (WHERE d.day >= $2::date AND d.day < $3::date), 0)::int AS posts,
       coalesce(sum(d.posts) FILTER (WHERE d.day >= $4::date AND d.day < $2::date), 0)::int AS "postsBefore",
       ARRAY(
         SELECT coalesce(sum(s.stars[i]), 0)::int
         FROM generate_series(1, 5) AS i
         LEFT JOIN public_days s ON s.profile_id = p.id AND s.day >= $2::date AND s.day < $3::date
         GROUP BY i
         ORDER BY i
       ) AS stars,
       ${followersOn('< $3')} AS followers,
       ${followersOn('<= $2')} AS "followersAtStart",
       ${followersOn('<= $4')} AS "followersBefore"
     FROM public_profiles p
     LEFT JOIN public_days d ON d.profile_id = p.id
     WHERE p.brand_id = $1
     GROUP BY p.id`,
    [brandId, from, to, before],
  )
