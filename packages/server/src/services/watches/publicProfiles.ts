import type { PublicProfile } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { connectorOf, NetworkFailure, type Connector, type PublicLook } from '../../connectors/index.ts'
import type { NetworkConfig } from '../../config.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { audit } from '../brand/audit.ts'

/** How often a public profile is looked at, and how long until the next try after the first failure. */
const everyHours = 6
const retryMinutes = 10

interface Looked {
  network: NetworkConfig
  look: NonNullable<Connector['look']>
}

/** Networks whose public profiles can be looked at. */
function lookedAt({ config }: Pick<Context, 'config'>): Looked[] {
  return config.networks.flatMap((network) => {
    const look = connectorOf(network.channel)?.look
    return look ? [{ network, look }] : []
  })
}

export async function listPublicProfiles(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
): Promise<PublicProfile[]> {
  const rows = await db.rows<Omit<PublicProfile, 'lookedAt'> & { lookedAt: Date | null }>(
    `SELECT p.id, p.watch_id AS "watchId", p.network, p.channel, p.name, p.url, p.looked_at AS "lookedAt", p.problem
     FROM public_profiles p LEFT JOIN watches w ON w.id = p.watch_id
     WHERE p.brand_id = $1 AND w.deleted_at IS NULL ORDER BY p.watch_id NULLS FIRST, p.network, p.id`,
    [reader.brandId],
  )
  return rows.map((row) => ({ ...row, lookedAt: row.lookedAt?.toISOString() ?? null }))
}

/**
 * Keeps an eye on a rival's public profile: looked at once before it is kept, so that a wrong address is told here.
 *
 * @throws Refusal publicProfile when the address is none of a known network's, known already, or does not answer as one
 */
export async function addPublicProfile(
  context: Context,
  reader: Reader,
  { address, watchId }: { address: string; watchId: number },
): Promise<PublicProfile> {
  const { db } = context
  const refuse = (message: string, cause?: unknown) =>
    new Refusal(
      'publicProfile',
      { fields: [{ field: 'address', code: 'publicProfile', message, value: address }] },
      { cause },
    )
  const watch = await db.one(
    'SELECT id FROM watches WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL',
    [watchId, reader.brandId],
  )
  if (!watch) throw new Refusal('notFound')
  const url = URL.canParse(address) ? new URL(address) : null
  const known = lookedAt(context)
  const found = known.find(({ network }) => new URL(network.address).origin === url?.origin)
  if (!found)
    throw refuse(
      `This is no address on ${known.map(({ network }) => network.name).join(' or ')}, whose public profiles can be looked at.`,
    )
  const seen = await found
    .look(found.network.address, url!.href, context.httpFor(found.network.network))
    .catch((error: unknown) => {
      if (!(error instanceof NetworkFailure)) throw error
      throw refuse(`Looking at it failed: ${error.message}.`, error)
    })
  const row = await db.one<{ id: number }>(
    `INSERT INTO public_profiles (brand_id, watch_id, channel, network, name, url) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (brand_id, url) DO NOTHING RETURNING id`,
    [reader.brandId, watchId, found.network.channel, found.network.network, seen.name, seen.url],
  )
  if (!row) throw refuse('This profile is looked at already.')
  await keep(context, row.id, seen)
  await audit(db, reader, 'addPublicProfile', `public profile ${row.id}`, { url: seen.url })
  return (await listPublicProfiles(context, reader)).find(({ id }) => id === row.id)!
}

export async function removePublicProfile(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
): Promise<void> {
  const gone = await db.one(
    'DELETE FROM public_profiles WHERE id = $1 AND brand_id = $2 AND watch_id IS NOT NULL RETURNING id',
    [id, reader.brandId],
  )
  if (!gone) throw new Refusal('notFound')
  await audit(db, reader, 'removePublicProfile', `public profile ${id}`)
}

/** Stores what was seen: the network's own account of all its days replaces ours. */
async function keep({ db }: Pick<Context, 'db'>, id: number, seen: PublicLook): Promise<void> {
  await db.inTransaction(async (tx) => {
    const row = await db.one<{ zone: string }>(
      `UPDATE public_profiles p SET name = $2, looked_at = now(), next_look_at = now() + $3::int * interval '1 hour', failures = 0, problem = NULL
       FROM brands b WHERE p.id = $1 AND b.id = p.brand_id RETURNING b.zone`,
      [id, seen.name, everyHours],
      tx,
    )
    if (!row) return
    await db.rows('DELETE FROM public_days WHERE profile_id = $1', [id], tx)
    const days = seen.ratings.map(({ rating }) => Math.round(rating))
    await db.rows(
      `INSERT INTO public_days (profile_id, day, posts, stars)
       SELECT $1::int, day, count(*) FILTER (WHERE stars = 0),
         ARRAY[count(*) FILTER (WHERE stars = 1), count(*) FILTER (WHERE stars = 2), count(*) FILTER (WHERE stars = 3), count(*) FILTER (WHERE stars = 4), count(*) FILTER (WHERE stars = 5)]
       FROM (SELECT (to_timestamp(at / 1000) AT TIME ZONE $4)::date AS day, stars FROM unnest($2::float8[], $3::int[]) AS seen (at, stars)) AS seen
       GROUP BY day`,
      [
        id,
        [...seen.posts, ...seen.ratings.map(({ at }) => at)],
        [...seen.posts.map(() => 0), ...days],
        row.zone,
      ],
      tx,
    )
    await db.rows(
      `INSERT INTO public_days (profile_id, day, followers)
       SELECT DISTINCT ON (day) $1::int, day, followers FROM unnest($2::date[], $3::int[]) AS seen (day, followers)
       ON CONFLICT (profile_id, day) DO UPDATE SET followers = excluded.followers`,
      [id, seen.followers.map(({ day }) => day), seen.followers.map(({ followers }) => followers)],
      tx,
    )
  })
}

/** Looks at the public profiles that are due, one after the other; our own are those that are connected. */
export async function lookAtPublicProfiles(context: Context): Promise<void> {
  const { db, log } = context
  const known = lookedAt(context)
  await db.rows(
    `INSERT INTO public_profiles (brand_id, channel, network, name, url)
     SELECT p.brand_id, p.channel, p.network, p.name, p.url FROM profiles p
     WHERE p.network = ANY($1::text[]) AND p.status = 'connected' AND p.url IS NOT NULL
       AND NOT EXISTS (SELECT 1 FROM public_profiles o WHERE o.brand_id = p.brand_id AND o.url = p.url)
     ON CONFLICT (brand_id, url) DO NOTHING`,
    [known.map(({ network }) => network.network)],
  )
  for (;;) {
    const due = await db.one<{ id: number; network: string; url: string; failures: number }>(
      `UPDATE public_profiles SET next_look_at = now() + $1::int * interval '1 minute' WHERE id = (
         SELECT id FROM public_profiles WHERE next_look_at <= now() AND network = ANY($2::text[]) ORDER BY next_look_at LIMIT 1 FOR UPDATE SKIP LOCKED)
       RETURNING id, network, url, failures`,
      [retryMinutes, known.map(({ network }) => network.network)],
    )
    const found = known.find(({ network }) => network.network === due?.network)
    if (!due || !found) return
    try {
      await keep(
        context,
        due.id,
        await found.look(found.network.address, due.url, context.httpFor(due.network)),
      )
    } catch (error) {
      log.warn({ publicProfile: due.id, message: (error as Error).message }, 'public profile not seen')
      await db.rows(
        `UPDATE public_profiles SET failures = failures + 1, problem = $2, next_look_at = now() + least(1440, $3::int * 2 ^ least(failures, 10)) * interval '1 minute' WHERE id = $1`,
        [due.id, (error as Error).message.slice(0, 300), retryMinutes],
      )
    }
  }
}
