import { DateTime } from 'luxon'
import { changeOfCount, changeOfRating, meanRating } from '@murrabel/core/measures'
import type { PublicProfile, PublicSide } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { listPublicProfiles } from './publicProfiles.ts'
import { daysOf, type Period } from './shownRange.ts'

interface Row {
  id: number
  posts: number
  postsBefore: number
  stars: number[]
  /** At the end of the period, at its beginning, and at the beginning of the one before. */
  followers: number | null
  followersAtStart: number | null
  followersBefore: number | null
}

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
    db.rows<Row>(
      `SELECT p.id,
         coalesce(sum(d.posts) FILTER (WHERE d.day >= $2::date AND d.day < $3::date), 0)::int AS posts,
         coalesce(sum(d.posts) FILTER (WHERE d.day >= $4::date AND d.day < $2::date), 0)::int AS "postsBefore",
         ARRAY(SELECT coalesce(sum(s.stars[i]), 0)::int FROM generate_series(1, 5) AS i
           LEFT JOIN public_days s ON s.profile_id = p.id AND s.day >= $2::date AND s.day < $3::date GROUP BY i ORDER BY i) AS stars,
         (SELECT f.followers FROM public_days f WHERE f.profile_id = p.id AND f.followers IS NOT NULL AND f.day < $3::date ORDER BY f.day DESC LIMIT 1) AS followers,
         (SELECT f.followers FROM public_days f WHERE f.profile_id = p.id AND f.followers IS NOT NULL AND f.day <= $2::date ORDER BY f.day DESC LIMIT 1) AS "followersAtStart",
         (SELECT f.followers FROM public_days f WHERE f.profile_id = p.id AND f.followers IS NOT NULL AND f.day <= $4::date ORDER BY f.day DESC LIMIT 1) AS "followersBefore"
       FROM public_profiles p LEFT JOIN public_days d ON d.profile_id = p.id WHERE p.brand_id = $1 GROUP BY p.id`,
      [reader.brandId, day(period.from), day(period.to), day(before)],
    ),
  ])
  const byId = new Map(rows.map((row) => [row.id, row]))
  const length = daysOf(period)
  const side = (watchId: number | null, name: string): PublicSide => {
    const own = profiles.filter((profile) => profile.watchId === watchId)
    const seen = own.flatMap((profile) => byId.get(profile.id) ?? [])
    const posting = own.some((profile) => profile.channel === 'pages')
    const [posts, postsBefore] = [total(seen, 'posts'), total(seen, 'postsBefore')]
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
      postsChange: posting
        ? changeOfCount({ count: postsBefore, days: length }, { count: posts, days: length })
        : null,
    }
  }
  const ours = side(null, brandName)
  const theirs = [...names].map(([id, name]) => side(id, name))
  return [
    ours,
    ...theirs.map((each) => ({ ...each, ratingToOurs: changeOfRating(ours.rating, each.rating) })),
  ].filter(({ profiles: some }) => some.length)
}

const total = (rows: readonly Row[], key: 'posts' | 'postsBefore') =>
  rows.reduce((sum, row) => sum + row[key], 0)

function audience(profiles: readonly PublicProfile[], rows: readonly Row[]): number | null {
  const known = rows.flatMap(({ followers }) => followers ?? [])
  return profiles.length && known.length ? known.reduce((sum, n) => sum + n, 0) : null
}

type FollowersAt = 'followers' | 'followersAtStart' | 'followersBefore'

/** Of the profiles whose followers are known at both ends, as a part of the earlier count. */
function growth(rows: readonly Row[], from: FollowersAt, to: FollowersAt): number | null {
  const both = rows.filter((row) => row[from] !== null && row[to] !== null)
  const start = both.reduce((sum, row) => sum + row[from]!, 0)
  return start ? both.reduce((sum, row) => sum + row[to]!, 0) / start - 1 : null
}
