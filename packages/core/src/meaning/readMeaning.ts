import type { OwnWord } from '../sentiment/lists/idioms.ts'
import { readByLists, type ListReading } from '../sentiment/lists/readByLists.ts'
import { isStopWord } from '../phrases/stopWords.ts'
import { foldAccents } from '../text/index.ts'
import { starsContradict } from '../sentiment/stars.ts'
import type { Sentiment, SentimentSpan } from '../sentiment/types.ts'
import { isAskingWord, type TextKind } from './features.ts'
import {
  heads,
  openModel,
  outputs,
  scaleOf,
  sentiments,
  shares,
  weigh,
  wishes,
  type Model,
  type Wish,
} from './model.ts'
import { modelFiles, sharedWeights } from './models/index.ts'
import { saidUntil } from './signOff.ts'
import { isDenial, tokensOf, type Token } from './tokens.ts'

export interface MeaningOptions {
  /** BCP 47; default en. */
  language?: string
  /** 1 to 5: the stars that stand over a review. */
  stars?: number | null
  /** What the text is, where that is known. */
  kind?: TextKind
  /** The brand's own words, over every list. */
  ownWords?: readonly OwnWord[]
}

export interface MeaningReading {
  sentiment: {
    /** -1 to 1. */
    score: number
    label: Sentiment
    /** 0 to 1: of the readings with this confidence, that share is right. */
    confidence: number
    /** What it rests on; contributions are log-odds of positive against negative. */
    spans: SentimentSpan[]
    /** How likely negative, neutral and positive are; together 1. */
    shares: readonly [negative: number, neutral: number, positive: number]
  }
  /** What is wanted of us. */
  wish: {
    label: Wish
    confidence: number
    /** What it rests on; contributions are log-odds of the label against the next likely one. */
    spans: SentimentSpan[]
  }
  /** 0 to 1. */
  wantsAnswer: number
  /** The stars say one thing and the words clearly the other. */
  starsDiffer: boolean
}

const opened = new Map<string, Model>()

function modelOf(language: string): { code: string; model: Model } | null {
  const code = language.toLowerCase().split('-')[0]!
  const known = opened.get(code)
  if (known) return { code, model: known }
  if (!Object.hasOwn(modelFiles, code)) return null
  const model = openModel(modelFiles[code]!, sharedWeights, code)
  opened.set(code, model)
  return { code, model }
}

/** Languages whose texts are read by a model. */
export const meaningLanguages = Object.keys(modelFiles)

/** Log-odds of negative, neutral, positive that stars add to what the words say. */
const byStars: readonly (readonly [number, number, number])[] = [
  [2.5, -2.5, -2.5],
  [1.8, -1.5, -1.5],
  [0, 1, 0],
  [-1.5, -1.5, 1.8],
  [-2.5, -2.5, 2.5],
]

/**
 * Reads what a text means: how it feels, what is wanted, and whether an answer is. A linear model over words, pairs of words,
 * what words mean, what the word lists say and how the text is built; trained on texts of our own
 * (`packages/core/training`). How it is signed is not read. Deterministic; time grows with the length of the text.
 *
 * @returns `unread` and no wish when the language has no model or the text no word
 * @example readMeaning('Where can I collect my ticket?').wish.label // "question"
 */
export function readMeaning(
  whole: string,
  { language = 'en', stars = null, kind, ownWords = [] }: MeaningOptions = {},
): MeaningReading {
  const found = modelOf(language)
  const text = whole.slice(0, saidUntil(whole))
  const lists = readByLists(text, { language, ownWords })
  if (!found || lists.sentiment === 'unread') return withoutModel(lists, stars)
  const { code, model } = found
  const read = tokensOf(text, code)
  const { totals, byToken } = weigh(model, { text, read, lists, kind })
  spreadLists(model, lists, read.tokens, byToken)
  const { temperatures } = model
  const ownSpans = putOwnWords(lists.own, read.tokens, { totals, byToken })
  const words = stars === null ? null : shares(totals, 'sentiment', temperatures.sentiment)
  if (stars !== null)
    byStars[clampStars(stars) - 1]!.forEach((x, k) => (totals[k]! += x * temperatures.sentiment))
  const sentiment = sentimentIn(totals, byToken, read.tokens, temperatures.sentiment, ownSpans)
  return {
    sentiment,
    wish: wishIn(totals, byToken, read.tokens, {
      temperature: temperatures.wish,
      sentiment: sentiment.label,
    }),
    wantsAnswer: 1 / (1 + Math.exp(-totals[outputs - 1]! / temperatures.answer)),
    starsDiffer: words !== null && starsContradict(clampStars(stars!), labelled(words)),
  }
}

const clampStars = (stars: number) => Math.min(5, Math.max(1, Math.round(stars)))

/** The label of the largest share, which is its confidence. */
function labelled([negative, neutral, positive]: readonly number[]): {
  sentiment: Sentiment
  confidence: number
} {
  const most = Math.max(negative!, neutral!, positive!)
  return {
    sentiment: most === positive ? 'positive' : most === negative ? 'negative' : 'neutral',
    confidence: most,
  }
}

/** Without a model there are emoji, and stars. */
function withoutModel(lists: ListReading, stars: number | null): MeaningReading {
  const { sentiment: ofEmoji, confidence: trust, score, spans } = lists
  const read = ofEmoji !== 'unread'
  const logits = stars === null ? [0, 0, 0] : [...byStars[clampStars(stars) - 1]!]
  if (read) {
    const far = Math.log(
      (2 * Math.min(0.95, Math.max(0.4, trust))) / (1 - Math.min(0.95, Math.max(0.4, trust))),
    )
    logits[sentiments.indexOf(ofEmoji)]! += far
  }
  const sum = logits.reduce((all, x) => all + Math.exp(x), 0)
  const each = logits.map((x) => Math.exp(x) / sum) as [number, number, number]
  const { sentiment, confidence } = labelled(each)
  const silent = !read && stars === null
  return {
    sentiment: {
      score: silent ? 0 : stars === null ? score : each[2] - each[0],
      label: silent ? 'unread' : sentiment,
      confidence: silent ? 0 : confidence,
      spans,
      shares: each,
    },
    wish: { label: 'none', confidence: 0, spans: [] },
    wantsAnswer: 0.5,
    starsDiffer:
      stars !== null && starsContradict(clampStars(stars), { sentiment: ofEmoji, confidence: trust }),
  }
}

/** Log-odds for a point of a brand's own word, which is from -4 to 4. */
const ownWeight = 1.6

/**
 * A brand's own words go over what the model makes of them: nothing of its own about them is left, and their weight is added.
 * Their place in the text (denied, doubled) is in the weight already.
 */
function putOwnWords(
  own: readonly SentimentSpan[],
  tokens: readonly Token[],
  { totals, byToken }: { totals: Float64Array; byToken: Float64Array },
): SentimentSpan[] {
  for (const { start, end, contribution } of own) {
    tokens.forEach((token, i) => {
      if (token.start >= end || token.end <= start) return
      sentiments.forEach((_, k) => {
        totals[k]! -= byToken[i * outputs + k]!
        byToken[i * outputs + k] = 0
      })
    })
    totals[0]! -= (contribution * ownWeight) / 2
    totals[1]! -= (Math.abs(contribution) * ownWeight) / 4
    totals[2]! += (contribution * ownWeight) / 2
  }
  return own
    .filter(({ contribution }) => contribution !== 0)
    .map(({ start, end, contribution }) => ({ start, end, contribution: contribution * ownWeight }))
}

/** What the word lists add stands on the words they found, by their part of it. */
function spreadLists(
  model: Model,
  { raw, spans }: ListReading,
  tokens: readonly Token[],
  byToken: Float64Array,
): void {
  const at = model.features.get('lists=raw')
  if (at === undefined || raw === 0) return
  const scale = scaleOf(model, at)
  const whole = 3 * Math.tanh(raw / 3)
  for (const { start, end, contribution } of spans) {
    let from = 0
    while (from < tokens.length && tokens[from]!.end <= start) from++
    let to = from
    while (to < tokens.length && tokens[to]!.start < end) to++
    const each = (whole * contribution) / raw / (to - from)
    for (let i = from; i < to; i++)
      for (let k = 0; k < outputs; k++)
        byToken[i * outputs + k]! += each * model.weights[at * outputs + k]! * scale
  }
}

/** Tokens whose part is less are not shown. */
const leastShown = 0.3

/** A word that only holds sentences together says nothing to whoever looks; one that denies or asks does. */
const holdsTogether = (key: string): boolean => {
  const known = holding.get(key)
  if (known !== undefined) return known
  const holds = !isDenial(key) && !isAskingWord(key) && isStopWord(foldAccents(key))
  if (holding.size >= mostRemembered) holding.clear()
  holding.set(key, holds)
  return holds
}
/** Few words make up most of what is written: so many are remembered at most. */
const mostRemembered = 10_000
const holding = new Map<string, boolean>()

/** What each token adds to one output against another; neighbours that pull the same way are one span. */
function spansOf(
  tokens: readonly Token[],
  byToken: Float64Array,
  { of, against }: { of: number; against: number },
  temperature: number,
): SentimentSpan[] {
  const spans: SentimentSpan[] = []
  let before: SentimentSpan | undefined
  for (let i = 0; i < tokens.length; i++) {
    const contribution = (byToken[i * outputs + of]! - byToken[i * outputs + against]!) / temperature
    if (Math.abs(contribution) < leastShown) continue
    const { key, start, end, sentence } = tokens[i]!
    if (holdsTogether(key)) continue
    const joins =
      before !== undefined &&
      i > 0 &&
      tokens[i - 1]!.end === before.end &&
      tokens[i - 1]!.sentence === sentence &&
      before.contribution * contribution > 0
    if (joins) {
      before!.end = end
      before!.contribution += contribution
    } else spans.push((before = { start, end, contribution }))
  }
  return spans
}

/** A word that tells less than this, or has fewer letters, is no better than the sentence it stands in. */
const leastTelling = 0.1
const leastLetters = 4

/**
 * What a judgement rests on where no word tells by itself: the one that speaks for it most, else the sentence whose words do so
 * together; nothing where it is only how the text is built.
 */
function faintSpan(
  tokens: readonly Token[],
  byToken: Float64Array,
  { of, against }: { of: number; against: number },
  temperature: number,
): SentimentSpan | undefined {
  let word: SentimentSpan | undefined
  const sentences = new Map<number, SentimentSpan>()
  for (let i = 0; i < tokens.length; i++) {
    const { key, start, end, sentence } = tokens[i]!
    const contribution = (byToken[i * outputs + of]! - byToken[i * outputs + against]!) / temperature
    if (
      contribution > (word?.contribution ?? leastTelling) &&
      key.length >= leastLetters &&
      !holdsTogether(key)
    )
      word = { start, end, contribution }
    const within = sentences.get(sentence)
    if (within) {
      within.end = end
      within.contribution += contribution
    } else sentences.set(sentence, { start, end, contribution })
  }
  if (word) return word
  let most: SentimentSpan | undefined
  for (const each of sentences.values()) if (each.contribution > (most?.contribution ?? 0)) most = each
  return most
}

/** In order; a sentence that tells as a whole stands for the words in it. */
function withFaint(spans: readonly SentimentSpan[], faint: SentimentSpan | undefined): SentimentSpan[] {
  const apart = faint ? spans.filter(({ start, end }) => end <= faint.start || start >= faint.end) : spans
  return [...apart, ...(faint ? [faint] : [])].sort((a, b) => a.start - b.start)
}

function sentimentIn(
  totals: Float64Array,
  byToken: Float64Array,
  tokens: readonly Token[],
  temperature: number,
  ownSpans: readonly SentimentSpan[],
): MeaningReading['sentiment'] {
  const parts = shares(totals, 'sentiment', temperature) as [number, number, number]
  const { sentiment, confidence } = labelled(parts)
  const found = [...spansOf(tokens, byToken, { of: 2, against: 0 }, temperature), ...ownSpans]
  const way = sentiment === 'positive' ? 1 : sentiment === 'negative' ? -1 : 0
  const faint =
    way === 0 || found.some(({ contribution }) => contribution * way > 0)
      ? undefined
      : faintSpan(tokens, byToken, { of: 1 + way, against: 1 - way }, temperature)
  const spans = withFaint(found, faint && { ...faint, contribution: faint.contribution * way })
  return {
    score: parts[2] - parts[0],
    label: sentiment,
    confidence,
    spans,
    shares: parts,
  }
}

/** What is said gladly is no complaint, what is said unhappily no praise. */
function withoutContradiction(parts: readonly number[], sentiment: Sentiment): number[] {
  const barred = sentiment === 'positive' ? 'complaint' : sentiment === 'negative' ? 'praise' : null
  if (barred === null) return [...parts]
  const at = wishes.indexOf(barred)
  return parts.map((share, i) => (i === at ? 0 : share / (1 - parts[at]!)))
}

function wishIn(
  totals: Float64Array,
  byToken: Float64Array,
  tokens: readonly Token[],
  { temperature, sentiment }: { temperature: number; sentiment: Sentiment },
): MeaningReading['wish'] {
  const parts = withoutContradiction(shares(totals, 'wish', temperature), sentiment)
  let first = 0
  for (let i = 1; i < parts.length; i++) if (parts[i]! > parts[first]!) first = i
  let second = first === 0 ? 1 : 0
  for (let i = 0; i < parts.length; i++) if (i !== first && parts[i]! > parts[second]!) second = i
  const from = heads.wish[0]
  const pair = { of: from + first, against: from + second }
  const spans = spansOf(tokens, byToken, pair, temperature)
  const faint = spans.some(({ contribution }) => contribution > 0)
    ? undefined
    : faintSpan(tokens, byToken, pair, temperature)
  return {
    label: wishes[first]!,
    confidence: parts[first]!,
    spans: withFaint(spans, faint),
  }
}
