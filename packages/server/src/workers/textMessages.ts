import type { Term } from '@murrabel/core/watches'
import type { AskedElsewhere } from '../store/queries/shared/askedElsewhere.ts'
import type { AlikeAspectLearning, AnswersLearning, Learning } from '@murrabel/core/learning'

export interface PhrasesQuestion {
  kind: 'phrases'
  /** Rows of id, text and sentiment, the newest first; of the background, id and text. */
  front: AskedElsewhere
  back: AskedElsewhere
  /** Words not to be told. */
  without: string[]
  limit: number
}

export interface FoundPhrase {
  words: string[]
  /** As written in most of the entries looked at for it. */
  written: string
  count: number
  before: number
  z: number
  positive: number
  neutral: number
  negative: number
  unread: number
}

export interface PhrasesFound {
  phrases: FoundPhrase[]
  front: number
  back: number
  /** Ids of the foreground, the most distinctive first. */
  ranked: number[]
}

export interface TunerQuestion {
  kind: 'tuner'
  /** Rows of id, title, text, language, channel, voice and at, the newest first. */
  entries: AskedElsewhere
  /** A watch without its id. */
  query: unknown
  /** Ids and what was said of them. */
  marks: [number, boolean][]
  others: { id: number; query: unknown }[]
  sample: number
  /** Ids that stay in the sample. */
  keep: number[]
}

export interface TunerFound {
  hits: number
  searched: number
  /** Times of the hits, epoch milliseconds. */
  times: number[]
  channels: [string, number][]
  languages: [string, number][]
  overlap: [number, number][]
  onTopic: number
  marked: number
  missing: number
  exclusions: {
    term: string
    offTopicRemoved: number
    onTopicLost: number
    removed: number
    unmarked: number[]
  }[]
  additions: { term: string; onTopicWith: number; hitsWith: number; fresh: number; sample: number[] }[]
  sample: { id: number; spans: { start: number; end: number }[] }[]
}

export interface LessonsQuestion {
  kind: 'lessons'
  /** What was judged: text, language, kind, rating, author, sentiment, and how it came to be judged, the newest first. */
  corrections: AskedElsewhere
  /** What a colleague answered or finished and left as it was read. */
  left: AskedElsewhere
  /** How sure readings are: drawn ones count by how many of all are as sure. */
  confidences: AskedElsewhere
  ownWords: readonly { term: string; valence: number }[]
  /** Changes with the corrections: the same question is answered from memory. */
  stamp: number
}

export interface LessonsFound extends Learning {
  contradicting: number
}

/** Learns which things are answered. */
export interface AnswersQuestion {
  kind: 'answers'
  /** Rows of thread, title, text, language, kind, rating, at and answered. */
  threads: AskedElsewhere
  ownWords: readonly { term: string; valence: number }[]
  stamp: number
}

/** Learns which words tell an aspect where none of its terms stands. */
export interface AspectsQuestion {
  kind: 'aspects'
  /** Rows of title and text, the newest first. */
  texts: AskedElsewhere
  aspects: { id: number; terms: Term[] }[]
  stamp: string
}

/** Chooses among readings in doubt those whose settling tells most. */
export interface DoubtsQuestion {
  kind: 'doubts'
  /** Rows of id, title, text and confidence. */
  doubts: AskedElsewhere
  most: number
}

export interface DoubtsFound {
  chosen: { id: number; alike: number }[]
  /** How many were looked at. */
  n: number
}

/** Reads texts ahead of the first question about their phrases. */
export interface KnowQuestion {
  kind: 'know'
  /** Rows of id and text. */
  texts: AskedElsewhere
}

export interface Known {
  texts: number
}

export type TextQuestion =
  | PhrasesQuestion
  | TunerQuestion
  | LessonsQuestion
  | AnswersQuestion
  | AspectsQuestion
  | DoubtsQuestion
  | KnowQuestion
interface Answers {
  phrases: PhrasesFound
  tuner: TunerFound
  lessons: LessonsFound
  answers: AnswersLearning
  aspects: AlikeAspectLearning[]
  doubts: DoubtsFound
  know: Known
}
export type TextAnswer<Q extends TextQuestion> = Answers[Q['kind']]
