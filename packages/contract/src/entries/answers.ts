import type { EntryKind, Sentiment, ThreadState } from '@murrabel/core/lens'
import type { Wish } from '@murrabel/core/meaning'
import type { Span } from '../shared/span.ts'

export interface SentimentSpanAnswer extends Span {
  contribution: number
}

export interface EntryRow {
  id: number
  threadId: number
  kind: EntryKind
  channel: string
  network: string
  profile: string
  placeId: number | null
  author: string
  title: string | null
  text: string
  /** It was taken away outside, and its text with it. */
  deleted: boolean
  rating: number | null
  at: string
  sentiment: Sentiment
  /** What is wanted of us; null where it is not told. */
  wish: Wish | null
  /** The reading of sentiment is in doubt, and nobody judged it. */
  doubt: boolean
  state: ThreadState
  givenTo: number | null
  teamId: number | null
  priority: 0 | 1 | 2
  spam: boolean
  dueAt: string | null
  /** By which the order "most pressing" goes. */
  pressingAt: string | null
  private: boolean
  paid: boolean
  url: string | null
  reach: number
  language: string | null
  /** Account of who wrote it. */
  voiceId: number | null
  storyId: number | null
  /** A person's judgement stands over the machine's. */
  corrected: boolean
  /** Ids of the thread's tags. */
  tags: number[]
  kept: boolean
  /** An answer of ours in its thread did not go out. */
  notSent: boolean
  /** Near copies in the lens that this row stands for, beside itself; when copies are folded. */
  copies?: number
  /** Matched words, when the lens has a watch or group. */
  hits?: Span[]
  spans: SentimentSpanAnswer[]
}

export interface EntryPage {
  rows: EntryRow[]
  /** To be given back for the next page; null at the end. */
  next: string | null
}

export interface CountAnswer {
  count: number
  pastDue: number
  /** Threads with an answer of ours that did not go out. */
  notSent: number
}

export interface TideBucket {
  /** Start of the bucket. */
  at: string
  positive: number
  neutral: number
  negative: number
  unread: number
}

export interface TideAnswer {
  unit: 'hour' | 'day' | 'week' | 'month'
  buckets: TideBucket[]
  usual: { low: number; high: number; periods: number } | null
}

export interface SentimentCounts {
  positive: number
  neutral: number
  negative: number
  unread: number
}
