import type { EntryKind } from '../lens/index.ts'
import type { Wanted } from './wanted.ts'
import { addBusinessMinutes, type BusinessHours } from './businessHours.ts'

/** How soon an answer is owed, in opening minutes, by what was said. */
export interface DuePolicy {
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
export function dueAt(
  { kind, rating, at, wanted = 'unknown' }: DueEntry,
  policy: DuePolicy,
  hours: BusinessHours,
): number | null {
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
