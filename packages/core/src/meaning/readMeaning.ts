import { readSentiment, type Sentiment, type SentimentSpan } from '../sentiment/index.ts'
import type { OwnWord } from '../sentiment/index.ts'
import { featuresOf, wordPlaces, type TextKind } from './features.ts'
import {
  heads,
  openModel,
  outputs,
  sentiments,
  shares,
  weigh,
  wishes,
  type Model,
  type Wish,
} from './model.ts'
import { modelFiles } from './models/index.ts'
import { tokensOf, type Token } from './tokens.ts'

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
}

const opened = new Map<string, Model>()

function modelOf(language: string): { code: string; model: Model } | null {
  const code = language.toLowerCase().split('-')[0]!
  const known = opened.get(code)
  if (known) return { code, model: known }
  if (!Object.hasOwn(modelFiles, code)) return null
  const model = openModel(modelFiles[code]!, code)
  opened.set(code, model)
  return { code, model }
}

/** Languages whose texts are read by a model. */
export const meaningLanguages = Object.keys(modelFiles)

/** Log-odds of negative, neutral, positive that stars add to what the words say. */
const byStars: readonly (readonly [number, number, number])[] = [
  [2.5, -1.5, -2.5],
  [1.8, -0.8, -1.5],
  [0, 1, 0],
  [-1.5, -0.8, 1.8],
  [-2.5, -1.5, 2.5],
]

/**
 * Reads what a text means: how it feels, what is wanted, and whether an answer is. A linear model over words, pairs of words,
 * what words mean, what the word lists say and how the text is built; trained on texts of our own
 * (`packages/core/training`). Deterministic; time grows with the length of the text.
 *
 * @returns `unread` and no wish when the language has no model or the text no word
 * @example readMeaning('Where can I collect my ticket?').wish.label // "question"
 */
export function readMeaning(
  text: string,
  { language = 'en', stars = null, kind, ownWords = [] }: MeaningOptions = {},
): MeaningReading {
  const found = modelOf(language)
  const lists = readSentiment(text, { language, ownWords })
  if (!found || lists.sentiment === 'unread') return withoutModel(lists)
  const { code, model } = found
  const read = tokensOf(text, code)
  const { totals, byToken } = weigh(model, read, featuresOf(text, read, lists, kind), wordPlaces(read))
  spreadLists(model, lists, read.tokens, byToken)
  const { temperatures } = model
  if (stars !== null)
    byStars[clampStars(stars) - 1]!.forEach((x, k) => (totals[k]! += x * temperatures.sentiment))
  return {
    sentiment: sentimentIn(totals, byToken, read.tokens, temperatures.sentiment),
    wish: wishIn(totals, byToken, read.tokens, temperatures.wish),
    wantsAnswer: 1 / (1 + Math.exp(-totals[outputs - 1]! / temperatures.answer)),
  }
}

const clampStars = (stars: number) => Math.min(5, Math.max(1, Math.round(stars)))

const withoutModel = ({
  score,
  sentiment,
  confidence,
  spans,
}: ReturnType<typeof readSentiment>): MeaningReading => ({
  sentiment: { score, label: sentiment, confidence, spans },
  wish: { label: 'none', confidence: 0, spans: [] },
  wantsAnswer: 0.5,
})

/** What the word lists add stands on the words they found, by their part of it. */
function spreadLists(
  model: Model,
  { raw, spans }: ReturnType<typeof readSentiment>,
  tokens: readonly Token[],
  byToken: Float64Array,
): void {
  const at = model.features.get('lists=raw')
  if (at === undefined || raw === 0) return
  const whole = 3 * Math.tanh(raw / 3)
  for (const { start, end, contribution } of spans) {
    const inside = tokens.flatMap((token, i) => (token.start < end && token.end > start ? [i] : []))
    for (const i of inside)
      for (let k = 0; k < outputs; k++)
        byToken[i * outputs + k]! +=
          ((whole * contribution) / raw / inside.length) *
          model.weights[at * outputs + k]! *
          model.weightScale
  }
}

/** Tokens whose part is less are not shown. */
const leastShown = 0.15

/** What each token adds to one output against another; neighbours that pull the same way are one span. */
function spansOf(
  tokens: readonly Token[],
  byToken: Float64Array,
  { of, against }: { of: number; against: number },
  temperature: number,
): SentimentSpan[] {
  const spans: SentimentSpan[] = []
  tokens.forEach(({ start, end, sentence }, i) => {
    const contribution = (byToken[i * outputs + of]! - byToken[i * outputs + against]!) / temperature
    if (Math.abs(contribution) < leastShown) return
    const before = spans.at(-1)
    const joins =
      before !== undefined &&
      i > 0 &&
      tokens[i - 1]!.end === before.end &&
      tokens[i - 1]!.sentence === sentence &&
      before.contribution * contribution > 0
    if (joins) {
      before.end = end
      before.contribution += contribution
    } else spans.push({ start, end, contribution })
  })
  return spans
}

function sentimentIn(
  totals: Float64Array,
  byToken: Float64Array,
  tokens: readonly Token[],
  temperature: number,
): MeaningReading['sentiment'] {
  const parts = shares(totals, 'sentiment', temperature)
  const best = parts.indexOf(Math.max(...parts))
  return {
    score: parts[2]! - parts[0]!,
    label: sentiments[best]!,
    confidence: parts[best]!,
    spans: spansOf(tokens, byToken, { of: 2, against: 0 }, temperature),
  }
}

function wishIn(
  totals: Float64Array,
  byToken: Float64Array,
  tokens: readonly Token[],
  temperature: number,
): MeaningReading['wish'] {
  const parts = shares(totals, 'wish', temperature)
  const order = parts.map((_, i) => i).sort((a, b) => parts[b]! - parts[a]!)
  const [first, second] = order as [number, number]
  const from = heads.wish[0]
  return {
    label: wishes[first]!,
    confidence: parts[first]!,
    spans: spansOf(tokens, byToken, { of: from + first, against: from + second }, temperature),
  }
}
