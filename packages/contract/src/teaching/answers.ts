import type { EntryKind, Sentiment } from '@murrabel/core/lens'
import type { Wish } from '@murrabel/core/meaning'
import type { Span } from '../shared/span.ts'

export interface BrandWord {
  term: string
  valence: number
}

export interface AspectDraft {
  id?: number
  name: string
  terms: { text: string; prefix?: boolean; exactCase?: boolean; slack?: boolean }[]
}

export interface TeachingAnswer {
  /** Raised by every change of words or aspects. */
  edition: number
  words: BrandWord[]
  aspects: Required<AspectDraft>[]
  learning: {
    wanted: boolean
    /** In use: wanted, and measured better. */
    used: boolean
    /** Lessons that were learnt from, and entries corrected by now. */
    n: number
    corrections: number
    /** Readings that came after what was learnt, and were put right, confirmed or left as they were; right of them. */
    tested: number
    learnt: number
    base: number
    gained: number
    lost: number
    better: boolean
    contradicting: number
    needed: number
    /** Readings that were confirmed or left as they were, and how many of them are needed. */
    confirmed: number
    confirmedNeeded: number
    learntAt: string | null
    /** Words with the strongest pull. */
    strongest: { word: string; toward: 'positive' | 'neutral' | 'negative' }[]
  }
  /** What was learnt of which things are answered. */
  answers: {
    used: boolean
    n: number
    answered: number
    needed: number
    byThread: { n: number; learnt: number; base: number }
    byTime: { n: number; learnt: number; base: number }
    better: boolean
  }
  /** By aspect, how it is read where none of its terms stands; `used` where its words tell enough. */
  alikeAspects: {
    aspect: number
    used: boolean
    /** Clauses that hold a term, and of those found among held-back ones with the terms hidden, how many had held one. */
    n: number
    found: number
    right: number
    /** Words that tell it most. */
    words: string[]
  }[]
  history: { done: number; total: number }
}

/** A reading that is worth judging. */
export interface DoubtRow {
  id: number
  threadId: number
  channel: string
  kind: EntryKind
  title: string | null
  text: string
  at: string
  rating: number | null
  sentiment: Sentiment
  confidence: number
  spans: (Span & { contribution: number })[]
  /** How many other readings in doubt are alike. */
  alike: number
}

export interface DoubtsAnswer {
  /** Readings with less confidence are in doubt, 0 to 1. */
  below: number
  inDoubt: number
  rows: DoubtRow[]
  reliability: {
    /** Readings that somebody was shown and judged. */
    n: number
    /** Judged elsewhere, where people put right what is wrong: not counted. */
    elsewhere: number
    /** Mean distance of what was said from what was right; null without a judgement. */
    error: number | null
    bins: { from: number; to: number; n: number; right: number; said: number; low: number; high: number }[]
  }
}

/** A reading tried on a sentence, with the words it rests on. */
export interface ReadingAnswer {
  sentiment: Sentiment
  language: string
  /** -1 to 1. */
  score: number
  confidence: number
  wish: Wish | null
  wantsAnswer: number | null
  spans: (Span & { contribution: number })[]
}
