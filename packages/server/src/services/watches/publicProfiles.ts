import { type PublicProfile, fieldProblem, type FieldReason, type ReasonValues } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { connectorOf, NetworkFailure, type Connector, type PublicLook } from '../../connectors/index.ts'
import type { NetworkConfig } from '../../config.ts'
import type { Context } from '../../context.ts'
import { cleanInstant, cleanLine, cleanNumber, cleanText } from '@murrabel/core/text'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { searchId } from '../profiles/searches.ts'
import { record } from '../log/record.ts'

/** How often a public profile is looked at. */
const everyHours = 6

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
     WHERE p.brand_id = $1 AND w.deleted_at IS NULL AND (p.watch_id IS NOT NULL OR ($2::int[] IS NULL AND $3::int[] IS NULL) OR EXISTS (
       SELECT 1 FROM profiles o WHERE o.brand_id = p.brand_id AND o.url = p.url
         AND ($2::int[] IS NULL OR o.id = ANY($2)) AND ($3::int[] IS NULL OR o.place_id = ANY($3))))
     ORDER BY p.watch_id NULLS FIRST, p.network, p.id`,
    [reader.brandId, reader.profileIds, reader.placeIds],
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
  const refuse = (reason: FieldReason, values?: ReasonValues, cause?: unknown) =>
    new Refusal(
      'publicProfile',
      { fields: [fieldProblem('address', reason, { values, value: address })] },
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
  if (!found) throw refuse('otherNetwork', { networks: known.map(({ network }) => network.name).join(', ') })
  const seen = await found
    .look(found.network.address, url!.href, context.httpFor(found.network.network))
    .catch((error: unknown) => {
      if (!(error instanceof NetworkFailure)) throw error
      throw refuse('lookFailed', { said: error.message }, error)
    })
  const row = await db.one<{ id: number }>(
    `INSERT INTO public_profiles (brand_id, watch_id, channel, network, name, url) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (brand_id, url) DO NOTHING RETURNING id`,
    [
      reader.brandId,
      watchId,
      found.network.channel,
      found.network.network,
      cleanLine(seen.name, 120) || url!.href,
      seen.url,
    ],
  )
  if (!row) throw refuse('lookedAtAlready')
  await keep(context, row.id, seen)
  await context.due.ask({
    kind: 'look',
    subject: row.id,
    owner: found.network.network,
    at: context.now() + everyHours * 3_600_000,
  })
  await record(db, reader, {
    kind: 'addPublicProfile',
    on: ['publicProfile', row.id],
    detail: { url: seen.url },
  })
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
  await record(db, reader, { kind: 'removePublicProfile', on: ['publicProfile', id] })
}

/** Figures from outside within what can be: dates that lie, and counts that no table takes, are left out. */
function cleanLook(seen: PublicLook, now: number): PublicLook {
  const dated = (at: number) => cleanInstant(at, now) !== null
  return {
    ...seen,
    posts: seen.posts.filter(dated),
    ratings: seen.ratings.filter(({ at, rating }) => dated(at) && rating >= 1 && rating <= 5),
    followers: seen.followers.flatMap(({ day, followers }) => {
      const count = cleanNumber(followers, { least: 0, most: 2_000_000_000, whole: true })
      const at = Date.parse(`${day}T12:00:00Z`)
      // Days that do not exist are taken for others by the parser.
      return count === undefined || !dated(at) || !new Date(at).toISOString().startsWith(day)
        ? []
        : [{ day, followers: count }]
    }),
  }
}

/** Stores what was seen: the network's own account of all its days replaces ours. */
async function keep({ db, now }: Pick<Context, 'db' | 'now'>, id: number, given: PublicLook): Promise<void> {
  const seen = cleanLook(given, now())
  await db.inTransaction(async (tx) => {
    const row = await db.one<{ zone: string }>(
      `UPDATE public_profiles p SET name = $2, looked_at = now(), problem = NULL
       FROM brands b WHERE p.id = $1 AND b.id = p.brand_id RETURNING b.zone`,
      [id, cleanLine(seen.name, 120) || seen.url],
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

/** Looks at one public profile. */
export async function lookAtPublicProfile(context: Context, id: number): Promise<WorkOutcome> {
  const { db } = context
  const row = await db.one<{ network: string; url: string }>(
    'SELECT network, url FROM public_profiles WHERE id = $1',
    [id],
  )
  const found = lookedAt(context).find(({ network }) => network.network === row?.network)
  if (!row || !found) return 'done'
  try {
    await keep(context, id, await found.look(found.network.address, row.url, context.httpFor(row.network)))
  } catch (error) {
    await db.rows('UPDATE public_profiles SET problem = $2 WHERE id = $1', [
      id,
      cleanText(errorText(error), 300),
    ])
    throw error
  }
  return { againInMs: everyHours * 3_600_000 }
}

/** Keeps an eye on our own profiles that are connected, as everybody sees them. */
export async function lookAtOwn({ db, due, config }: Context, tx?: Tx): Promise<void> {
  const rows = await db.rows<{ id: number; network: string }>(
    `INSERT INTO public_profiles (brand_id, channel, network, name, url)
     SELECT p.brand_id, p.channel, p.network, p.name, p.url FROM profiles p
     WHERE p.network = ANY($1::text[]) AND p.status IN ('connected', 'collecting') AND p.url IS NOT NULL AND p.outside_id <> $2
       AND NOT EXISTS (SELECT 1 FROM public_profiles o WHERE o.brand_id = p.brand_id AND o.url = p.url)
     ON CONFLICT (brand_id, url) DO NOTHING RETURNING id, network`,
    [lookedAt({ config }).map(({ network }) => network.network), searchId],
    tx,
  )
  await due.ask(
    rows.map(({ id, network }) => ({ kind: 'look' as const, subject: id, owner: network })),
    tx,
  )
}
