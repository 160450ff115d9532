import type { EntryKind, Sentiment } from '../lens/index.ts'
import type { Wanted } from './wanted.ts'
import { addBusinessMinutes, type BusinessHours } from '../places/index.ts'

/** How soon an answer is owed to what a brand names: the first rule that fits decides. Empty lists mean "all". */
export interface DueRule {
  kinds: readonly EntryKind[]
  channels: readonly string[]
  sentiments: readonly Sentiment[]
  /** Threads of this priority and above, 0 to 2. */
  priority: 0 | 1 | 2
  /** Opening minutes; null: none is owed. */
  minutes: number | null
}

/** How soon an answer is owed, in opening minutes, by what was said. */
export interface DuePolicy {
  rules?: readonly DueRule[]
  messageMinutes: number
  questionMinutes: number
  commentMinutes: number
  /** Reviews of 3 stars or more, or without stars. */
  reviewMinutes: number
  /** Reviews of 1 or 2 stars. */
  poorReviewMinutes: number
  /** Questions, requests, complaints and faults, wherever they are said, at the latest. */
  askedMinutes: number
  /** Kind words and what else asks for nothing, at the earliest. */
  kindWordMinutes: number
}

export const defaultDuePolicy: DuePolicy = {
  messageMinutes: 120,
  questionMinutes: 240,
  commentMinutes: 360,
  reviewMinutes: 960,
  poorReviewMinutes: 240,
  askedMinutes: 240,
  kindWordMinutes: 2880,
}

export interface DueEntry {
  kind: EntryKind
  channel?: string
  sentiment?: Sentiment
  /** Of the thread. Default 0. */
  priority?: 0 | 1 | 2
  /** 1 to 5, or null. */
  rating: number | null
  /** Whether an answer is wanted, as far as it can be read. Default unknown. */
  wanted?: Wanted
  /** Epoch milliseconds. */
  at: number
}

/**
 * When an answer is owed, in epoch milliseconds, or null where none is: a mention has nobody waiting.
 *
 * @example a message at Friday 16:30 with 120 minutes, open 9 to 17 from Monday to Friday, is due on Monday at 10:30
 */
export function dueAt(entry: DueEntry, policy: DuePolicy, hours: BusinessHours): number | null {
  const { kind, rating, at, wanted = 'unknown' } = entry
  const rule = policy.rules?.find((each) => fits(each, entry))
  if (rule) return rule.minutes === null ? null : addBusinessMinutes(at, rule.minutes, hours)
  const minutes = {
    message: policy.messageMinutes,
    question: policy.questionMinutes,
    comment: policy.commentMinutes,
    review: rating !== null && rating <= 2 ? policy.poorReviewMinutes : policy.reviewMinutes,
    mention: null,
  }[kind]
  if (minutes === null) return null
  const owed =
    wanted === 'answer'
      ? Math.min(minutes, policy.askedMinutes)
      : wanted === 'nothing' && !(rating !== null && rating <= 2)
        ? Math.max(minutes, policy.kindWordMinutes)
        : minutes
  return addBusinessMinutes(at, owed, hours)
}

const fits = (
  { kinds, channels, sentiments, priority: least }: DueRule,
  { kind, channel = '', sentiment = 'unread', priority = 0 }: DueEntry,
): boolean =>
  (!kinds.length || kinds.includes(kind)) &&
  (!channels.length || channels.includes(channel)) &&
  (!sentiments.length || sentiments.includes(sentiment)) &&
  priority >= least
