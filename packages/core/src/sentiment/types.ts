import type { Term } from '../watches/index.ts'

export type Sentiment = 'positive' | 'neutral' | 'negative' | 'unread'

export interface SentimentSpan {
  /** UTF-16 offsets into the text, end exclusive. */
  start: number
  end: number
  /** Above 0 for positive, below for negative. */
  contribution: number
}

export interface SentimentReading {
  /** -1 to 1: the share of positive less that of negative. */
  score: number
  sentiment: Sentiment
  /** 0 to 1: of the readings with this confidence, that share is right. */
  confidence: number
  /** What it rests on; contributions are log-odds of positive against negative. */
  spans: SentimentSpan[]
  /** How likely negative, neutral and positive are; together 1. */
  shares: readonly [negative: number, neutral: number, positive: number]
}

/** What people judge separately, with the terms that name it. */
export interface Aspect {
  id: string | number
  terms: readonly Term[]
}
