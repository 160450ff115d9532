import type { ListReading } from '../sentiment/lists/readByLists.ts'
import { conceptFeature, conceptsFeature } from './concepts.ts'
import type { Told } from './sayings.ts'
import type { Token, Tokens } from './tokens.ts'

/** What a text may be; a model is told it where it is known. */
export type TextKind = 'review' | 'comment' | 'message' | 'mention' | 'headline' | 'post'

/** A property of a text that a model weighs. */
export interface Feature {
  name: string
  value: number
  /** The first and the last token it rests on; none for a property of the whole. */
  first?: number
  last?: number
}

/** What a word may be weighed as: anywhere, denied, in a question, in the last of several sentences. */
export const wordContexts = ['any', 'denied', 'asked', 'last'] as const
export type WordContext = (typeof wordContexts)[number]

const asking =
  /^(?:please|could|can|kindly|do|does|did|is|are|may|what|how|where|when|which|who|why|bitte|können|könnten|kann|gibt|wann|wie|wo|was|welche|ist|sind|darf|por favor|podría|podrían|pueden|puede|cuándo|cómo|dónde|qué|cuál|hay|es|s'il|pouvez|pourriez|est-ce|quand|comment|où|quel|quelle|combien|puis|peut)\b/iu

/** Whether a word begins questions and requests. */
export const isAskingWord = (key: string): boolean => asking.test(key)

/** Stands before the first word of a sentence. */
export const sentenceStart = '<s>'

/** Takes the features of a text one by one; the same one may come again, and counts once. */
export interface FeatureTaker {
  /** @param at the token */
  word(key: string, at: number): void
  /** @param at the second token; the first is the one before, or `sentenceStart` */
  pair(first: string, second: string, at: number): void
  /** What a word means, whatever language it is of. */
  concept(concept: number, denied: boolean, at: number, value: number): void
  /** Two of them near each other in a sentence. */
  concepts(first: number, second: number, tokens: readonly [number, number], value: number): void
  /** A saying, or a pair of them. */
  told(told: Told): void
  /** A property of the whole text. */
  whole(name: string, value: number): void
}

/** What a text's features are taken from. */
export interface FeatureSource {
  text: string
  read: Tokens
  lists: ListReading
  kind: TextKind | undefined
  /** The concept of each token; -1 for none. */
  concepts: ArrayLike<number>
  told: readonly Told[]
}

/** How much a concept counts, and two near each other, beside a word. */
const conceptWeight = 0.9
const conceptsWeight = 0.8
/** How much a saying counts. */
export const toldWeight = 1
/** More glad or unhappy sayings than this say no more. */
const mostCounted = 3
/** Where a text has more concepts than this, each counts less, so that many that say little do not drown those that say much. */
const usualConcepts = 16

/**
 * Words, pairs of neighbours, what they mean, what the word lists say, and how the text is built. Values are about 1, so that
 * all are weighed alike.
 */
export function eachFeature(
  { text, read, lists, kind, concepts, told }: FeatureSource,
  taker: FeatureTaker,
): void {
  const { tokens, questions } = read
  for (let i = 0; i < tokens.length; i++) {
    const { key, sentence } = tokens[i]!
    taker.word(key, i)
    const before = i > 0 ? tokens[i - 1]! : null
    taker.pair(before?.sentence === sentence ? before.key : sentenceStart, key, i)
  }
  addConcepts(taker, tokens, concepts)
  addTold(taker, told)
  addLists(taker, lists, read)
  addBuild(taker, text, questions, tokens)
  if (kind) taker.whole(`kind=${kind}`, 1)
}

/** The features by name, each once. @param names of the concepts */
export function featuresOf(source: FeatureSource, names: readonly string[]): Feature[] {
  const found = new Map<string, Feature>()
  const put = (feature: Feature) => void (found.has(feature.name) || found.set(feature.name, feature))
  eachFeature(source, {
    word: (key, at) => put({ name: key, value: 1, first: at, last: at }),
    pair: (first, second, at) =>
      put({
        name: `${first} ${second}`,
        value: 1,
        first: first === sentenceStart ? at : at - 1,
        last: at,
      }),
    concept: (concept, denied, at, value) =>
      put({ name: conceptFeature(names[concept]!, denied), value, first: at, last: at }),
    concepts: (first, second, [from, to], value) =>
      put({ name: conceptsFeature(names[first]!, names[second]!), value, first: from, last: to }),
    told: ({ name, parts }) => put({ name, value: toldWeight, first: parts[0]![0], last: parts.at(-1)![1] }),
    whole: (name, value) => put({ name, value }),
  })
  return [...found.values()]
}

/** What words mean, alone and with the two before them: learnt from texts of all languages, and known in all. */
function addConcepts(taker: FeatureTaker, tokens: readonly Token[], concepts: ArrayLike<number>): void {
  let count = 0
  for (let i = 0; i < tokens.length; i++) if (concepts[i]! >= 0) count++
  const share = Math.min(1, Math.sqrt(usualConcepts / Math.max(1, count)))
  const alone = conceptWeight * share
  const together = conceptsWeight * share
  let last = -1
  let lastAt = -1
  let before = -1
  let beforeAt = -1
  for (let i = 0; i < tokens.length; i++) {
    const { denied, sentence } = tokens[i]!
    const concept = concepts[i]!
    if (concept < 0) continue
    taker.concept(concept, denied, i, alone)
    if (lastAt >= 0 && tokens[lastAt]!.sentence === sentence) {
      taker.concepts(last, concept, [lastAt, i], together)
      if (beforeAt >= 0 && tokens[beforeAt]!.sentence === sentence)
        taker.concepts(before, concept, [beforeAt, i], together)
    }
    before = last
    beforeAt = lastAt
    last = concept
    lastAt = i
  }
}

/** Sayings, one by one, and how many of them are glad or unhappy. */
function addTold(taker: FeatureTaker, told: readonly Told[]): void {
  let glad = 0
  let unhappy = 0
  for (const each of told) {
    taker.told(each)
    if (each.denied) continue
    if (each.sign > 0) glad++
    if (each.sign < 0) unhappy++
  }
  if (glad) taker.whole('sayings=glad', Math.min(mostCounted, glad))
  if (unhappy) taker.whole('sayings=unhappy', Math.min(mostCounted, unhappy))
  if (glad !== unhappy) taker.whole('sayings=all', Math.tanh((glad - unhappy) / 2))
}

/** What the lists say is trusted more the further it goes, and where all of it pulls one way. */
function addLists(taker: FeatureTaker, { raw, sentiment, spans }: ListReading, { tokens }: Tokens): void {
  taker.whole('lists=raw', 3 * Math.tanh(raw / 3))
  taker.whole(`lists=about ${Math.round(Math.max(-6, Math.min(6, raw)) / 1.5)}`, 1)
  let glad = 0
  let unhappy = 0
  for (const { contribution } of spans) {
    if (contribution > 0) glad++
    if (contribution < 0) unhappy++
  }
  taker.whole('lists=glad', Math.min(8, glad))
  taker.whole('lists=unhappy', Math.min(8, unhappy))
  taker.whole(`lists=${sentiment}`, 2)
  if (glad && unhappy) taker.whole('lists=both ways', 1)
  else if (glad) taker.whole('lists=all glad', 1)
  else if (unhappy) taker.whole('lists=all unhappy', 1)
  else taker.whole('lists=silent', 1)
  const last = tokens.at(-1)
  if (!last || last.sentence === 0) return
  const from = tokens.find(({ sentence }) => sentence === last.sentence)!.start
  const atEnd = spans
    .filter(({ start }) => start >= from)
    .reduce((sum, { contribution }) => sum + contribution, 0)
  if (atEnd) taker.whole('lists=at the end', 2 * Math.tanh(atEnd / 2))
}

function addBuild(
  taker: FeatureTaker,
  text: string,
  questions: readonly boolean[],
  tokens: Tokens['tokens'],
): void {
  taker.whole('bias', 1)
  const shown = text.trimEnd()
  if (shown.endsWith('?')) taker.whole('build=ends asking', 2)
  if (questions.some(Boolean)) taker.whole('build=asks', 1)
  if (tokens.some(({ key }) => key === '!')) taker.whole('build=calls', 1)
  if (!/[.!?…]$/.test(shown)) taker.whole('build=open end', 1)
  if (asking.test(text.trimStart().replace(/^¿/, ''))) taker.whole('build=begins asking', 2)
  if (tokens.some(({ key }) => key === '<n>')) taker.whole('build=number', 1)
  taker.whole('build=length', Math.log(Math.max(8, Math.min(2000, text.length)) / 60))
}

/** Whether a token is a word that means something by itself. */
export const isMeant = (key: string): boolean => key.length > 1 && key !== '<n>'

/** @param last the last sentence of the text */
export const standsIn = (
  context: WordContext,
  { denied, sentence }: Token,
  questions: readonly boolean[],
  last: number,
): boolean =>
  context === 'any' ||
  (context === 'denied' && denied) ||
  (context === 'asked' && questions[sentence]!) ||
  (context === 'last' && last > 0 && sentence === last)

/** For each word: where it is weighed, and by how much. */
export function wordPlaces({ tokens, questions }: Tokens): { context: WordContext; indices: number[] }[] {
  const last = tokens.at(-1)?.sentence ?? 0
  return wordContexts.map((context) => ({
    context,
    indices: tokens.flatMap((token, i) =>
      isMeant(token.key) && standsIn(context, token, questions, last) ? [i] : [],
    ),
  }))
}
