import type { EntryKind, Sentiment } from '../lens/index.ts'
import type { Wanted } from './wanted.ts'

export type UrgencyPartName =
  | 'notSent'
  | 'pastDue'
  | 'nearDue'
  | 'negative'
  | 'poorRating'
  | 'question'
  | 'asked'
  | 'kindWord'
  | 'reach'
  | 'priority'
  | 'waitingCustomer'

export interface UrgencyPart {
  name: UrgencyPartName
  /** The amount behind the points: minutes, stars, people, messages. */
  amount: number
  points: number
}

export interface UrgencyEntry {
  kind: EntryKind
  sentiment: Sentiment
  rating: number | null
  /** People who saw it or found it useful; 0 when unknown. */
  reach: number
  /** 0 none, 1 raised, 2 high. */
  priority: 0 | 1 | 2
  /** Messages the customer sent since our last answer. */
  waitingMessages: number
  /** Epoch milliseconds, or null when no answer is owed. */
  dueAt: number | null
  /** Answers of ours that did not go out and wait for somebody to decide. Default 0. */
  notSent?: number
  /** Whether an answer is wanted, as far as it can be read. Default unknown. */
  wanted?: Wanted
}

/** What did not go out stands before everything else: more than ten years of waiting weigh. */
const notSentPoints = 2_000_000

/**
 * A kind word stands behind whatever asks for an answer, as long as it is not more than a week longer due: more than all other
 * points together.
 */
const kindWordPoints = -3_400

/** One point is worth this many minutes of waiting: two hours past due weigh 40 points. */
export const minutesPerPoint = 3
/** What is owed to nobody stands as if due this long after now. */
export const nothingOwedMinutes = 60 * 24 * 7

/** The parts that do not change as time goes by. */
export function standingParts(entry: UrgencyEntry): UrgencyPart[] {
  const parts: UrgencyPart[] = []
  const add = (name: UrgencyPartName, amount: number, points: number) => {
    if (points !== 0) parts.push({ name, amount, points: Math.round(points) })
  }
  if (entry.notSent) add('notSent', entry.notSent, notSentPoints)
  if (entry.sentiment === 'negative') add('negative', 1, 15)
  if (entry.rating !== null && entry.rating <= 2)
    add('poorRating', entry.rating, entry.rating === 1 ? 25 : 18)
  if (entry.kind === 'question' || entry.kind === 'message') add('question', 1, 8)
  if (entry.wanted === 'answer') add('asked', 1, 20)
  if (entry.wanted === 'nothing' && !(entry.rating !== null && entry.rating <= 2))
    add('kindWord', 1, kindWordPoints)
  add('reach', entry.reach, Math.min(30, 6 * Math.log10(1 + Math.max(0, entry.reach))))
  add('priority', entry.priority, 30 * entry.priority)
  if (entry.waitingMessages > 1)
    add('waitingCustomer', entry.waitingMessages, Math.min(25, 5 * (entry.waitingMessages - 1)))
  return parts
}

/**
 * The instant by which threads are ordered, most pressing first: the due time, brought forward by the standing points.
 * It does not depend on the time of looking, so the order can be kept in an index; `urgency` orders the same way.
 */
export function pressingAt(entry: UrgencyEntry, receivedAt: number): number {
  const points = standingParts(entry).reduce((sum, part) => sum + part.points, 0)
  const due = entry.dueAt ?? receivedAt + nothingOwedMinutes * 60_000
  return due - points * minutesPerPoint * 60_000
}

/**
 * Why a thread is where it is: named parts that sum to its points. Past due adds a point for each 3 minutes; time that
 * is left takes points off in the same measure.
 */
export function urgency(
  entry: UrgencyEntry,
  { now, receivedAt }: { now: number; receivedAt: number },
): { points: number; parts: UrgencyPart[] } {
  const due = entry.dueAt ?? receivedAt + nothingOwedMinutes * 60_000
  const minutes = (now - due) / 60_000
  const time: UrgencyPart = {
    name: minutes > 0 ? 'pastDue' : 'nearDue',
    amount: Math.round(Math.abs(minutes)),
    points: Math.round(minutes / minutesPerPoint),
  }
  const parts = [time, ...standingParts(entry)]
  return { points: parts.reduce((sum, part) => sum + part.points, 0), parts }
}
