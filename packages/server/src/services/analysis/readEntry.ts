import {
  sentimentOfAspects,
  sentimentOfReview,
  readSentiment,
  type Sentiment,
  type SentimentReading,
} from '@murrabel/core/sentiment'
import { applyModel } from '@murrabel/core/learning'
import { simHash, type SimHash } from '@murrabel/core/stories'
import { detectLanguage, joinTitle, placedWords, type PlacedWord } from '@murrabel/core/text'
import type { Teaching } from './teaching.ts'

export interface ReadableEntry {
  direction: 'in' | 'out'
  title: string | null
  text: string
  rating: number | null
  private: boolean
}

export interface EntrySentiment {
  reading: SentimentReading
  sentiment: Sentiment
  aspects: { aspect: number; sentiment: Sentiment }[]
}

export interface EntryReading extends EntrySentiment {
  language: string
  words: PlacedWord[]
  /** Null for what can be no story: short, private, or our own. */
  print: SimHash | null
}

/** What is kept of a reading, as the database takes it. */
export interface StoredReading {
  language: string
  sentiment: Sentiment
  score: number
  confidence: number
  /** JSON text. */
  spans: string
  /** A tsvector as text. */
  search: string
  print: SimHash | null
  aspects: EntrySentiment['aspects']
}

export const storedReading = ({
  language,
  sentiment,
  reading,
  words,
  print,
  aspects,
}: EntryReading): StoredReading => ({
  language,
  sentiment,
  score: reading.score,
  confidence: reading.confidence,
  spans: storedSpans(reading),
  search: tsvectorText(words),
  print,
  aspects,
})

/** Everything a text tells by itself. */
export function readEntry(entry: ReadableEntry, teaching: Teaching): EntryReading {
  const whole = joinTitle(entry.title, entry.text)
  const language = detectLanguage(whole)
  const words = placedWords(whole)
  return {
    ...readEntrySentiment(entry, language, teaching),
    language,
    words,
    print: printOf(entry, entry.title ? undefined : words),
  }
}

/** The fingerprint by which near copies are found; null for what can be no story: short, private, or our own. */
export function printOf(
  { direction, private: isPrivate, text }: Pick<ReadableEntry, 'direction' | 'private' | 'text'>,
  words: readonly PlacedWord[] = placedWords(text),
): SimHash | null {
  return direction === 'in' && !isPrivate ? simHash(words.map(({ word }) => word)) : null
}

/** Its sentiment: by the word lists, the brand's own words, and what its corrections have taught. */
export function readEntrySentiment(
  entry: Omit<ReadableEntry, 'private'>,
  language: string,
  teaching: Teaching,
): EntrySentiment {
  const whole = joinTitle(entry.title, entry.text)
  const base = readSentiment(whole, { language, ownWords: teaching.ownWords })
  const reading = teaching.model ? applyModel(whole, base, teaching.model) : base
  const aspects =
    entry.direction === 'in'
      ? sentimentOfAspects(teaching.aspects.read(whole, { language, ownWords: teaching.ownWords }))
      : []
  return {
    reading,
    sentiment: entry.direction === 'out' ? 'unread' : sentimentOfReview(entry.rating, reading),
    aspects: aspects.map(({ aspect, sentiment }) => ({ aspect: Number(aspect), sentiment })),
  }
}

export const storedSpans = ({ spans }: SentimentReading): string =>
  JSON.stringify(spans.map((s) => ({ ...s, contribution: Math.round(s.contribution * 100) / 100 })))

/** Words with their places as PostgreSQL writes a tsvector. */
export function tsvectorText(words: readonly PlacedWord[]): string {
  const places = new Map<string, number[]>()
  for (const { word, position } of words) {
    const list = places.get(word)
    if (list) list.push(position)
    else places.set(word, [position])
  }
  return [...places]
    .map(([word, list]) => `'${word.replace(/\\/g, '\\\\').replace(/'/g, "''")}':${list.join(',')}`)
    .join(' ')
}
