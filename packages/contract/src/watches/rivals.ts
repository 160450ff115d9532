import type { Change, NetSentiment, RateChange, RatingMean, Share } from '@murrabel/core/measures'
import type { ShownRange, UsualAnswer } from './figures.ts'

export interface RivalRow {
  watch: { id: number; name: string }
  ours: boolean
  total: number
  usual: UsualAnswer
  /** Among the rows of this answer. */
  share: Share | null
  net: NetSentiment | null
  netChange: Change | null
  volumeChange: RateChange | null
  /** Different people who spoke of it, now and in the period before. */
  audience: { voices: number; before: number; change: RateChange }
  reach: number
}

/** A profile that everybody sees: a rival's, or our own beside it. */
export interface PublicProfile {
  id: number
  /** The rival's watch; null for our own. */
  watchId: number | null
  network: string
  channel: string
  name: string
  url: string
  lookedAt: string | null
  problem: string | null
}

/** What the public profiles of one company show in the time asked for. */
export interface PublicSide {
  watchId: number | null
  name: string
  ours: boolean
  profiles: PublicProfile[]
  /** Counts of ratings of 1 to 5 given in that time. */
  stars: number[]
  rating: RatingMean | null
  /** Their mean less ours. */
  ratingToOurs: Change | null
  /** At the end of that time; null when no profile tells it. */
  followers: number | null
  /** Part of the earlier count, over that time and over the one before. */
  growth: number | null
  growthBefore: number | null
  /** Posts of their own; null when no profile has any. */
  posts: number | null
  postsChange: RateChange | null
}

export interface RivalsAnswer {
  range: ShownRange
  rows: RivalRow[]
  sides: PublicSide[]
}
