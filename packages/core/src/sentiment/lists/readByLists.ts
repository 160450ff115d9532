import { englishGrammar } from './en/index.ts'
import { french } from './fr/words.ts'
import { german } from './de/words.ts'
import { spanish } from './es/words.ts'
import { compileGrammar, type Grammar } from './grammar.ts'
import { readItems, type Item } from './items.ts'
import { markIdioms, markOwnWords, type OwnWord } from './idioms.ts'
import {
  factorBefore,
  isLost,
  lesserThanThis,
  negated,
  negationOf,
  onlyWished,
  spoiltByToo,
  sufficiency,
  valenceInContext,
} from './modifiers.ts'
import { passOverNames } from './names.ts'
import { weighSentences } from './weigh.ts'
import type { Sentiment, SentimentSpan } from '../types.ts'

/** What the word lists say of a text. */
export interface ListReading {
  /** -1 to 1. */
  score: number
  sentiment: Sentiment
  /** 0 to 1: how much there is to go by, and how far it agrees. */
  confidence: number
  /** What each span adds to the raw value. */
  spans: SentimentSpan[]
  /** Spans of the brand's own words, also of those that have no say. */
  own: SentimentSpan[]
  /** The sum of the contributions, of which `score` is raw / sqrt(raw² + 15). */
  raw: number
}

export interface ListOptions {
  /** BCP 47; en, fr, es and de are read in full, of any other only emoji. Default en. */
  language?: string
  /** The brand's own words, over every list. */
  ownWords?: readonly OwnWord[]
}

const makers: Record<string, () => Grammar> = {
  en: englishGrammar,
  fr: () => compileGrammar(french),
  es: () => compileGrammar(spanish),
  de: () => compileGrammar(german),
}
const grammars = new Map<string, Grammar>()

/** Languages that have lists. */
export const listLanguages = Object.keys(makers)

function grammarOf(language: string): Grammar | null {
  const code = language.toLowerCase().split('-')[0]!
  const known = grammars.get(code)
  if (known) return known
  const make = makers[code]
  if (!make) return null
  const fresh = make()
  grammars.set(code, fresh)
  return fresh
}

/** Below this a text that has words of opinion is called neutral: they weigh too little, or level out. */
const neutralBand = 0.45
/** Softens the sum into a score; the constant of Hutto and Gilbert 2014. */
const softening = 15

/**
 * Reads the mood of a text from its words: valences of words, emoji and set phrases, changed by negation, degree,
 * wishes, comparison, contrast, questions and stress. Deterministic; time grows with the length of the text.
 *
 * @returns score, sentiment, confidence and the spans it rests on. `unread` when the language is not read and no emoji
 *   says anything, or there is no word at all; that is not `neutral`.
 * @example readByLists('Not bad at all').sentiment === 'positive'
 */
export function readByLists(text: string, { language = 'en', ownWords = [] }: ListOptions = {}): ListReading {
  const grammar = grammarOf(language)
  const items = readItems(text, grammar)
  if (!items.some((item) => item.kind === 'word' || item.kind === 'emoji')) return unread
  if (grammar) {
    if (!grammar.nounsCapitalised) passOverNames(items, text)
    markIdioms(items, grammar)
    markOwnWords(items, ownWords)
    for (let i = 0; i < items.length; i++) items[i]!.valence = valueOf(items, i, grammar)
  }
  weighSentences(items, grammar)
  if (grammar) plainDenial(items)
  return sumUp(items, grammar !== null)
}

const unread: ListReading = Object.freeze({
  score: 0,
  sentiment: 'unread',
  confidence: 0,
  spans: [],
  own: [],
  raw: 0,
}) as ListReading

function valueOf(items: readonly Item[], i: number, grammar: Grammar): number {
  const item = items[i]!
  if (item.kind !== 'word') return item.valence
  if (item.taken) return item.valence === 0 ? 0 : inContext(items, i, item.valence, grammar)
  const valence = grammar.english ? valenceInContext(items, i) : item.entry.valence
  const enough = grammar.english ? sufficiency(items, i, grammar) : 0
  if (enough !== 0) return enough
  if (spoiltByToo(items, i)) return negationOf(items, i, grammar) ? 0.4 : -1.8
  if (valence === 0) {
    // "not the last time": after "the" a word is a thing, not what somebody failed to do.
    if (!item.entry.whenNegated || items[i - 1]?.key === 'the') return 0
    const negation = negationOf(items, i, grammar)
    return negation && !negation.stresses ? item.entry.whenNegated : 0
  }
  // A word that serves as an intensifier of the next ("awfully good") has no say of its own.
  if (item.entry.factor !== 1 && items[i + 1]?.kind === 'word' && items[i + 1]!.entry.valence !== 0) return 0
  return inContext(items, i, valence, grammar)
}

function inContext(items: readonly Item[], i: number, valence: number, grammar: Grammar): number {
  const item = items[i]!
  let value = valence * factorBefore(items, i) * (item.stressed ? 1.2 : 1)
  const negation = item.taken && item.denies ? null : negationOf(items, i, grammar)
  if (negation) {
    if (negation.stresses) value *= 1.2
    else value = valence > 0 && item.entry.whenNegated ? item.entry.whenNegated : negated(value)
  } else if (grammar.english && value > 0) {
    if (onlyWished(items, i)) value = -0.6 * value
    else if (lesserThanThis(items, i) || isLost(items, i)) value = negated(value)
  }
  return value
}

/** "without" and "less" deny a thing, not the whole. */
const exempt = new Set(['without', 'less', 'sans', 'sin', 'ohne'])

/** A plain denial with no word of opinion anywhere ("nobody came to the gate") leans to the negative. */
function plainDenial(items: Item[]): void {
  if (items.some((item) => item.valence !== 0)) return
  let asked = false
  for (let i = items.length - 1; i >= 0; i--) {
    const item = items[i]!
    if (item.kind === 'stop') asked = item.key.startsWith('?')
    const denies =
      item.kind === 'word' && item.entry.negator && !item.taken && !asked && !exempt.has(item.key)
    if (denies && items[i + 1]?.kind === 'word') item.valence = -0.7
  }
}

/** The sentiment of a raw value that rests on some word. */
export const sentimentOfRaw = (raw: number): Sentiment =>
  raw > neutralBand ? 'positive' : raw < -neutralBand ? 'negative' : 'neutral'

function sumUp(items: readonly Item[], read: boolean): ListReading {
  const spans: SentimentSpan[] = []
  const own: SentimentSpan[] = []
  let raw = 0
  let size = 0
  for (const { start, end, valence, ownEnd } of items) {
    if (ownEnd !== undefined) own.push({ start, end: ownEnd, contribution: valence })
    if (valence === 0) continue
    spans.push({ start, end, contribution: valence })
    raw += valence
    size += Math.abs(valence)
  }
  if (!spans.length)
    return read ? { score: 0, sentiment: 'neutral', confidence: 0.3, spans, own, raw: 0 } : unread
  const score = raw / Math.sqrt(raw * raw + softening)
  const sentiment = sentimentOfRaw(raw)
  const agreement = Math.abs(raw) / size
  const amount = 1 - Math.exp(-size / 2.5)
  const confidence =
    sentiment === 'neutral' ? 0.3 + 0.3 * (1 - agreement) : amount * (0.35 + 0.65 * agreement)
  return { score, sentiment, confidence, spans, own, raw }
}
