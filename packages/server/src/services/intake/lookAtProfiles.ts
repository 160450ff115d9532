import type { NetworkConfig } from '../../config.ts'
import { accountConnectorOf, searchId, type Connector, type PublicLook } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { cleanInstant, cleanLine, cleanNumber, cleanText } from '@murrabel/core/text'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Tx } from '../../store/database.ts'
import {
  addOwnPublicProfiles,
  addPublicDays,
  publicProfileById,
  putFollowers,
  removePublicDays,
  setLooked,
  setLookProblem,
} from '../../store/queries/watches/publicProfiles.ts'

/** How often a public profile is looked at. */
export const lookAgainInMs = 6 * 3_600_000

export interface LookedNetwork {
  network: NetworkConfig
  look: NonNullable<Connector['look']>
}

/** Networks whose public profiles can be looked at. */
export function lookedNetworks({ config }: Pick<Context, 'config'>): LookedNetwork[] {
  return config.networks.flatMap((network) => {
    const look = accountConnectorOf(network.channel)?.look
    return look ? [{ network, look }] : []
  })
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
export async function keepLook(
  { db, now }: Pick<Context, 'db' | 'now'>,
  id: number,
  given: PublicLook,
): Promise<void> {
  const seen = cleanLook(given, now())
  await db.inTransaction(async (tx) => {
    const row = await setLooked(db, { id, name: cleanLine(seen.name, 120) || seen.url }, tx)
    if (!row) return
    await removePublicDays(db, id, tx)
    const days = seen.ratings.map(({ rating }) => Math.round(rating))
    await addPublicDays(
      db,
      {
        profileId: id,
        at: [...seen.posts, ...seen.ratings.map(({ at }) => at)],
        stars: [...seen.posts.map(() => 0), ...days],
        zone: row.zone,
      },
      tx,
    )
    await putFollowers(
      db,
      {
        profileId: id,
        days: seen.followers.map(({ day }) => day),
        followers: seen.followers.map(({ followers }) => followers),
      },
      tx,
    )
  })
}

/** Looks at one public profile. */
export async function lookAtPublicProfile(context: Context, id: number): Promise<WorkOutcome> {
  const { db } = context
  const row = await publicProfileById(db, id)
  const found = lookedNetworks(context).find(({ network }) => network.network === row?.network)
  if (!row || !found) return 'done'
  try {
    await keepLook(
      context,
      id,
      await found.look(found.network.address, row.url, context.httpFor(row.network)),
    )
  } catch (error) {
    await setLookProblem(db, { id, problem: cleanText(errorText(error), 300) })
    throw error
  }
  return { againInMs: lookAgainInMs }
}

/** Keeps an eye on our own profiles that are connected, as everybody sees them. */
export async function lookAtOwn({ db, due, config }: Context, tx?: Tx): Promise<void> {
  const rows = await addOwnPublicProfiles(
    db,
    { networks: lookedNetworks({ config }).map(({ network }) => network.network), searchId },
    tx,
  )
  await due.ask(
    rows.map(({ id, network }) => ({ kind: 'look' as const, subject: id, owner: network })),
    tx,
  )
}
