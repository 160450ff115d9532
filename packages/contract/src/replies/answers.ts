import type { KnownInThread } from '@murrabel/core/replies'
import type { EntryKind } from '@murrabel/core/lens'

/** What followed answers that were begun with a pattern, of those sent in the last 180 days. */
export interface PatternUse {
  /** Answers sent. */
  sent: number
  /** Of them, those after which the customer wrote again in the thread. */
  wroteAgain: number
  /** Of those who wrote again, by the first thing they said: those who praised, and those who complained. */
  praised: number
  complained: number
  lastUsedAt: string | null
}

/** A text with slots, used to start a reply; one for each language. */
export interface PatternAnswer {
  id: number
  edition: number
  name: string
  /** Empty: none. */
  folder: string
  texts: { language: string; text: string }[]
  /** Who wrote it last; null where they are no longer here. */
  by: string | null
  changedAt: string
  use: PatternUse
}

export interface SignOffAnswer {
  id: number
  edition: number
  text: string
  /** Whose it is; null: everybody's. */
  whose: { id: number; name: string } | null
  /** They are no longer on the team, so nobody may sign with it. */
  left: boolean
  /** Whoever asks signed with it last. */
  last: boolean
}

/** An earlier thread like this one, and how it was answered. */
export interface NearThread {
  threadId: number
  kind: EntryKind
  network: string
  author: string
  asked: string
  askedAt: string
  answer: string
  /** A colleague; null: it was answered outside. */
  by: string | null
  language: string | null
  /** Words of what is asked now that stand in it as well. */
  shared: string[]
  /** How near it is, 0 to 1. */
  nearness: number
  /** What they said after the answer; null: nothing. */
  after: 'praised' | 'complained' | 'wrote' | null
  /** So many near threads were answered in these words. */
  times: number
}

/** What an answer in one thread can begin with. */
export interface ReplyStarts {
  known: KnownInThread
  /** Of what is asked; null: it cannot be told. */
  language: string | null
  nearest: NearThread[]
  /** Of so many threads that share words with it. */
  lookedAt: number
}
