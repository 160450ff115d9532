import { DateTime } from 'luxon'
import { changeOfCount, changeOfRating, meanRating } from '@murrabel/core/measures'
import type { PublicProfile, PublicSide } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { listPublicProfiles } from './publicProfiles.ts'
import { daysOf, type Period } from './shownRange.ts'
import { type PublicSums, publicSums } from '../../store/queries/watches/publicProfiles.ts'

/** What public profiles show: ours first, then each rival that has any. */
export async function publicFigures(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  {
    period,
    before,
    zone,
    names,
    brandName,
  }: {
    period: Period
    /** Start of the period before. */
    before: number
    zone: string
    /** Rivals by their watch. */
    names: ReadonlyMap<number, string>
    brandName: string
  },
): Promise<PublicSide[]> {
  const day = (at: number) => DateTime.fromMillis(at, { zone }).toISODate()!
  const [profiles, rows] = await Promise.all([
    listPublicProfiles({ db }, reader),
    publicSums(db, {
      brandId: reader.brandId,
      from: day(period.from),
      to: day(period.to),
      before: day(before),
    }),
  ])
  const byId = new Map(rows.map((row) => [row.id, row]))
  const length = daysOf(period)
  const side = (watchId: number | null, name: string) => {
    const own = profiles.filter((profile) => profile.watchId === watchId)
    const seen = own.flatMap((profile) => byId.get(profile.id) ?? [])
    return sideOf({ watchId, name }, own, { seen, days: length })
  }
  const ours = side(null, brandName)
  const theirs = [...names].map(([id, name]) => side(id, name))
  return [
    ours,
    ...theirs.map((each) => ({ ...each, ratingToOurs: changeOfRating(ours.rating, each.rating) })),
  ].filter(({ profiles: some }) => some.length)
}

/** One side's public profiles taken together. */
function sideOf(
  { watchId, name }: { watchId: number | null; name: string },
  own: PublicProfile[],
  { seen, days }: { seen: readonly PublicSums[]; days: number },
): PublicSide {
  const posting = own.some((profile) => profile.channel === 'pages')
  const [posts, postsBefore] = [sumOf(seen, 'posts'), sumOf(seen, 'postsBefore')]
  const stars = [0, 1, 2, 3, 4].map((i) => seen.reduce((sum, row) => sum + row.stars[i]!, 0))
  return {
    watchId,
    name,
    ours: watchId === null,
    profiles: own,
    stars,
    rating: meanRating(stars),
    ratingToOurs: null,
    followers: audience(own, seen),
    growth: growth(seen, 'followersAtStart', 'followers'),
    growthBefore: growth(seen, 'followersBefore', 'followersAtStart'),
    posts: posting ? posts : null,
    postsChange: posting ? changeOfCount({ count: postsBefore, days }, { count: posts, days }) : null,
  }
}

const sumOf = (rows: readonly PublicSums[], key: 'posts' | 'postsBefore') =>
  rows.reduce((sum, row) => sum + row[key], 0)

function audience(profiles: readonly PublicProfile[], rows: readonly PublicSums[]): number | null {
  const known = rows.flatMap(({ followers }) => followers ?? [])
  return profiles.length && known.length ? known.reduce((sum, n) => sum + n, 0) : null
}

type FollowersAt = 'followers' | 'followersAtStart' | 'followersBefore'

/** Of the profiles whose followers are known at both ends, as a part of the earlier count. */
function growth(rows: readonly PublicSums[], from: FollowersAt, to: FollowersAt): number | null {
  const both = rows.filter((row) => row[from] !== null && row[to] !== null)
  const start = both.reduce((sum, row) => sum + row[from]!, 0)
  return start ? both.reduce((sum, row) => sum + row[to]!, 0) / start - 1 : null
}
