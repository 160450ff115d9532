import type { Sureness } from '@murrabel/core/today'
import type { WaitingApproval } from '../approvals/answers.ts'
import type { BellAnswer } from '../alerts/answers.ts'
import type { CountAnswer, EntryRow } from '../entries/answers.ts'
import type { FollowUp } from '../followUps/answers.ts'
import type { NoticeAnswer } from '../together/answers.ts'

/** Since when is told: the last look, or a day or a week ago. */
export const todaySince = ['look', 'day', 'week'] as const
export type TodaySince = (typeof todaySince)[number]

/** A line of one's own list. */
export interface OwnLine {
  id: number
  text: string
  /** ISO 8601; null: it is still to be done. Done ones stay for a day. */
  doneAt: string | null
}

/** Something that is not set up yet, and what is meant where there are several. */
export type SetUpGap =
  | { kind: 'placeHours'; placeId: number; name: string }
  | { kind: 'noPatterns' }
  | { kind: 'noSignOffs' }
  | { kind: 'noMailProfile' }
  | { kind: 'noWatches' }

/** A colleague's work at this moment. */
export interface ColleagueNow {
  id: number
  name: string
  open: number
  pastDue: number
  /** A day, as ISO 8601 writes it; null: they are there. */
  awayUntil: string | null
}

/** What somebody should know, since they looked last. */
export interface TodayAnswer {
  since: string
  /** Entries that came in since, of all that they may see. */
  arrived: number
  /** Open threads that are theirs or nobody's. */
  open: CountAnswer
  /** How long an answer takes them, milliseconds, from so many answers; null: too few to tell. */
  pace: { eachMs: number; answers: number } | null
  /** The most pressing of these threads that are past due or due within a day. */
  due: EntryRow[]
  notSent: BellAnswer['notSent']
  /** Profiles whose key has ended. */
  keys: { profileId: number; name: string; network: string }[]
  /** One's own, due within a day. */
  followUps: FollowUp[]
  /** Answers that wait for one's word. */
  approvals: WaitingApproval[]
  /** What colleagues told one and one has not seen. */
  notices: NoticeAnswer[]
  list: OwnLine[]
  gaps: SetUpGap[]
  colleagues: ColleagueNow[]
  /** When it comes by mail, as "07:30" where the brand is; null: not. */
  mailAt: string | null
}

/** Something that is not as usual, with how sure it is. */
export type Unusual =
  | {
      kind: 'spike'
      sureness: Sureness
      watch: { id: number; name: string }
      from: string
      to: string
      open: boolean
      count: number
      expected: number
      /** Words that tell it apart. */
      words: string[]
      /** Where the first of it was said. */
      network: string | null
    }
  | {
      kind: 'place'
      sureness: Sureness
      placeId: number
      name: string
      /** Points of net sentiment a week; below 0: it goes down. */
      perWeek: number
      weeks: number
    }
  | {
      kind: 'phrase'
      sureness: Sureness
      text: string
      phrase: string
      good: boolean
      count: number
    }
