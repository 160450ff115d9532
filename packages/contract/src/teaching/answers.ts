import type { Sentiment } from '@murrabel/core/lens'
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
    learnt: number
    base: number
    gained: number
    lost: number
    better: boolean
    contradicting: number
    needed: number
    learntAt: string | null
    /** Words with the strongest pull. */
    strongest: { word: string; toward: 'positive' | 'neutral' | 'negative' }[]
  }
  history: { done: number; total: number }
}

/** A reading tried on a sentence, with the words it rests on. */
export interface ReadingAnswer {
  sentiment: Sentiment
  language: string
  raw: number
  spans: (Span & { contribution: number })[]
}
