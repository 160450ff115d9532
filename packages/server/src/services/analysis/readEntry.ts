import { applyAnswers, applyModel } from '@murrabel/core/learning'
import type { EntryKind } from '@murrabel/core/lens'
import { readMeaning, textKindOf, type Wish } from '@murrabel/core/meaning'
import { sentimentOfAspects, type Sentiment, type SentimentReading } from '@murrabel/core/sentiment'
import { storyPrint, type StoryPrint } from '@murrabel/core/stories'
import { detectLanguage, joinOwnTitle, joinTitle, placedWords, type PlacedWord } from '@murrabel/core/text'
import type { Teaching } from './teaching.ts'

export interface ReadableEntry {
  direction: 'in' | 'out'
  kind: EntryKind
  title: string | null
  text: string
  rating: number | null
  private: boolean
}

/** What is wanted of us. */
export interface EntryWish {
  /** Null where it is not told with even odds, or the language is not read. */
  wish: Wish | null
  wishConfidence: number | null
  /** 0 to 1. */
  wantsAnswer: number | null
  starsDiffer: boolean
}

export interface EntryMeaning extends EntryWish {
  reading: SentimentReading
  sentiment: Sentiment
  aspects: { aspect: number; sentiment: Sentiment }[]
}

export interface EntryReading extends EntryMeaning {
  language: string
  words: PlacedWord[]
  /** Null for what can be no story: short, private, or our own. */
  print: StoryPrint | null
}

/** What is kept of what an entry means, as the database takes it. */
export interface StoredMeaning extends EntryWish {
  sentiment: Sentiment
  score: number
  confidence: number
  /** JSON text. */
  spans: string
  aspects: EntryMeaning['aspects']
}

/** What is kept of a reading, as the database takes it. */
export interface StoredReading extends StoredMeaning {
  language: string
  /** A tsvector as text. */
  search: string
  print: StoryPrint | null
}

export const storedReading = ({ language, words, print, ...meaning }: EntryReading): StoredReading => ({
  ...storedMeaning(meaning),
  language,
  search: tsvectorText(words),
  print,
})

export const storedMeaning = ({ reading, ...meaning }: EntryMeaning): StoredMeaning => ({
  ...meaning,
  score: reading.score,
  confidence: reading.confidence,
  spans: storedSpans(reading),
})

/** Everything a text tells by itself. */
export function readEntry(entry: ReadableEntry, teaching: Teaching): EntryReading {
  const whole = joinTitle(entry.title, entry.text)
  const language = detectLanguage(whole)
  const words = placedWords(whole)
  return {
    ...readEntryMeaning(entry, language, teaching),
    language,
    words,
    print: printOf(entry, entry.title ? undefined : words),
  }
}

/** The fingerprint by which near copies are found; null for what can be no story: short, private, or our own. */
export function printOf(
  { direction, private: isPrivate, text }: Pick<ReadableEntry, 'direction' | 'private' | 'text'>,
  words: readonly PlacedWord[] = placedWords(text),
): StoryPrint | null {
  return direction === 'in' && !isPrivate ? storyPrint(text, words) : null
}

/** A wish that is less likely than this is not told. */
const leastWish = 0.5

/** Its sentiment, and what is wanted: by the trained models, the brand's own words, and what the brand has taught. */
export function readEntryMeaning(
  { direction, kind, title, text, rating }: Omit<ReadableEntry, 'private'>,
  language: string,
  { ownWords, model, answers, aspects }: Teaching,
): EntryMeaning {
  const whole = joinOwnTitle(title, text)
  const meaning = readMeaning(whole, { language, ownWords, stars: rating, kind: textKindOf(kind) })
  const { label, ...rest } = meaning.sentiment
  const base = { sentiment: label, ...rest }
  const reading = model ? applyModel(whole, base, model) : base
  if (direction === 'out') return { ...ours, reading, sentiment: 'unread' }
  const read = meaning.wish.confidence > 0
  return {
    reading,
    sentiment: reading.sentiment,
    aspects: sentimentOfAspects(aspects.read(whole, { language, ownWords })).map(({ aspect, sentiment }) => ({
      aspect: Number(aspect),
      sentiment,
    })),
    wish: meaning.wish.confidence >= leastWish ? meaning.wish.label : null,
    wishConfidence: read ? meaning.wish.confidence : null,
    wantsAnswer: read
      ? answers
        ? applyAnswers(whole, meaning.wantsAnswer, answers)
        : meaning.wantsAnswer
      : null,
    starsDiffer: meaning.starsDiffer,
  }
}

/** Nothing is wanted of us in what we say. */
const ours = { aspects: [], wish: null, wishConfidence: null, wantsAnswer: null, starsDiffer: false }

const storedSpans = ({ spans }: SentimentReading): string =>
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
