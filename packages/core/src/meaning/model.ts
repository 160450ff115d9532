import { ConceptFeatures, conceptFinder, isOfConcepts } from './concepts.ts'
import {
  eachFeature,
  isMeant,
  sentenceStart,
  standsIn,
  toldWeight,
  wordContexts,
  type FeatureSource,
  type FeatureTaker,
} from './features.ts'
import { PairTable } from './pairTable.ts'
import { isOfSayings, Sayings, type SayingNames, type SayingWord, type Told } from './sayings.ts'
import type { Tokens } from './tokens.ts'
import { wordFinder } from './words.ts'

export const sentiments = ['negative', 'neutral', 'positive'] as const
export const wishes = ['question', 'request', 'complaint', 'praise', 'fault', 'offer', 'none'] as const
export type Wish = (typeof wishes)[number]

/** What a model answers, one number each: log-odds of the sentiments, of the wishes, and that an answer is wanted. */
export const outputs = sentiments.length + wishes.length + 1
export const heads = {
  sentiment: [0, sentiments.length],
  wish: [sentiments.length, sentiments.length + wishes.length],
  answer: [outputs - 1, outputs],
} as const
export type Head = keyof typeof heads

/** Features and what each weighs, as they lie in a file. Numbers are little-endian, in base 64. */
export interface WeightsFile {
  /** Names of features, divided by tabs. */
  features: string
  /** Int16 by feature and output, times `weightScale`. */
  weights: string
  weightScale: number
}

/** What is the same in all languages. */
export interface SharedFile extends WeightsFile, SayingNames {
  /** Names of concepts, divided by spaces. */
  concepts: string
}

/** What a model of one language has of its own; the rest is the same in all. */
export interface ModelFile extends WeightsFile {
  /** Words, divided by spaces: what each leans to by what it means. */
  words: string
  /** Int8 by context, word and output, times the scale of context and output. */
  leans: string
  leanScales: number[]
  /** Int16 by word: which of the shared concepts it is; -1 for none. */
  conceptOfWord: string
  /** The plain phrases of each saying: a line a saying, divided by commas. */
  phrases: string
  /** Log-odds are divided by these, so that a confidence is the share that is right. */
  temperatures: Record<Head, number>
}

/** The numbers by which a word is known; -1 for what is not. */
interface KnownWord {
  /** As a feature or a part of pairs: where it is a feature, its number is the feature's. */
  own: number
  /** Among the words that lean to something by what they mean. */
  meaning: number
  concept: number
  saying: SayingWord
}

/** Words that were looked for are remembered, so many at most. */
const mostRemembered = 20_000

export interface Model {
  /** Those that are looked for by name: how a text is built, and what the lists say. */
  features: Map<string, number>
  know: (key: string) => KnownWord
  /** The features that are pairs of words. */
  pairs: PairTable
  /** The number of what stands before the first word of a sentence. */
  start: number
  /** By feature and output, those that are shared first, times their scale. Short, so that more of them is near at hand. */
  weights: Int16Array
  /** So many features are shared. */
  shared: number
  sharedScale: number
  ownScale: number
  words: Map<string, number>
  concepts: ConceptFeatures
  sayings: Sayings
  /** The features of sayings, by the number of what is told; -1 for none. */
  told: Int32Array
  leans: Int8Array
  leanScales: Float64Array
  /** By feature: the text in which it was counted last. */
  counted: Uint32Array
  texts: number
  temperatures: Record<Head, number>
}

/** Word vectors count as much as one and a half words. */
export const meaningWeight = 1.5

function bytesOf(text: string): ArrayBuffer {
  const letters = atob(text)
  const bytes = new Uint8Array(letters.length)
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i)
  return bytes.buffer
}

const numbered = (names: string, divider: string) =>
  new Map(names ? names.split(divider).map((name, i) => [name, i]) : [])

/**
 * Words by number, and pairs by the numbers of their words: a name put together and looked up costs more.
 *
 * @param features of the language, words and pairs of words; what is shared is no word, even where its name is one
 * @param next the first number that no feature has
 */
function wordsAndPairs(
  features: ReadonlyMap<string, number>,
  next: number,
): Pick<Model, 'pairs' | 'start'> & { numbers: Map<string, number> } {
  const numbers = new Map<string, number>()
  const numberOf = (word: string): number => {
    const number = numbers.get(word) ?? next++
    numbers.set(word, number)
    return number
  }
  for (const [name, number] of features) if (!name.includes(' ')) numbers.set(name, number)
  const start = numberOf(sentenceStart)
  const pairs = [...features].flatMap(([name, number]) => {
    const at = name.indexOf(' ')
    return at < 0 ? [] : [[numberOf(name.slice(0, at)), numberOf(name.slice(at + 1)), number] as const]
  })
  return { numbers, pairs: new PairTable(pairs), start }
}

/** A word is looked for once: few make up most of what is written. */
function remembered(look: (key: string) => KnownWord): Model['know'] {
  const known = new Map<string, KnownWord>()
  return (key) => {
    const before = known.get(key)
    if (before) return before
    if (known.size >= mostRemembered) known.clear()
    const found = look(key)
    known.set(key, found)
    return found
  }
}

const weightsIn = ({ weights }: WeightsFile) => new Int16Array(bytesOf(weights))

/** What the weights of a feature are multiplied by. */
export const scaleOf = ({ shared, sharedScale, ownScale }: Model, feature: number): number =>
  feature < shared ? sharedScale : ownScale

interface Shared {
  weights: Int16Array
  /** By name, without those of concepts and sayings. */
  features: Map<string, number>
  concepts: ConceptFeatures
  sayings: ReadonlyMap<string, number>
}

const opened = new WeakMap<SharedFile, Shared>()

/** Opened once for all languages. */
function openShared(file: SharedFile): Shared {
  const before = opened.get(file)
  if (before) return before
  const all = numbered(file.features, '\t')
  const shared = {
    weights: weightsIn(file),
    features: new Map([...all].filter(([name]) => !isOfConcepts(name) && !isOfSayings(name))),
    sayings: new Map([...all].filter(([name]) => isOfSayings(name))),
    concepts: new ConceptFeatures(file.concepts.split(' '), all),
  }
  opened.set(file, shared)
  return shared
}

/**
 * @param shared what is the same in all languages
 * @param language the one it was trained for
 */
export function openModel(file: ModelFile, shared: SharedFile, language: string): Model {
  const words = numbered(file.words, ' ')
  const common = openShared(shared)
  const before = common.weights.length / outputs
  const own = new Map([...numbered(file.features, '\t')].map(([name, i]) => [name, before + i]))
  const weights = new Int16Array((before + own.size) * outputs)
  weights.set(common.weights)
  weights.set(weightsIn(file), common.weights.length)
  const find = wordFinder(words, language)
  const conceptOf = conceptFinder(find, new Int16Array(bytesOf(file.conceptOfWord)))
  const { numbers, pairs, start } = wordsAndPairs(own, before + own.size)
  const sayings = new Sayings(shared, file.phrases)
  return {
    features: common.features,
    counted: new Uint32Array(before + own.size),
    texts: 0,
    weights,
    shared: before,
    sharedScale: shared.weightScale,
    ownScale: file.weightScale,
    words,
    know: remembered((key) => ({
      own: numbers.get(key) ?? -1,
      meaning: isMeant(key) ? find(key) : -1,
      concept: conceptOf(key),
      saying: sayings.know(key),
    })),
    pairs,
    start,
    concepts: common.concepts,
    sayings,
    told: Int32Array.from(sayings.names, (name) => common.sayings.get(name) ?? -1),
    leans: new Int8Array(bytesOf(file.leans)),
    leanScales: Float64Array.from(file.leanScales),
    temperatures: file.temperatures,
  }
}

/** What features and words of a text add to the outputs. */
export interface Weighed {
  totals: Float64Array
  /** By token and output: the part of the totals that rests on the token. */
  byToken: Float64Array
}

class Weighing implements FeatureTaker, Weighed {
  readonly totals = new Float64Array(outputs)
  readonly byToken: Float64Array
  private readonly text: number

  /** @param known by token */
  constructor(
    private readonly model: Model,
    private readonly known: readonly KnownWord[],
  ) {
    this.byToken = new Float64Array(known.length * outputs)
    this.text = ++model.texts
  }

  word(_key: string, at: number): void {
    const { own } = this.known[at]!
    // A word that is only part of pairs has a number behind those of the features.
    if (own >= 0 && own < this.model.counted.length && this.isFirst(own)) this.add(own, at, at, 1)
  }
  pair(first: string, _second: string, at: number): void {
    const starts = first === sentenceStart
    const before = starts ? this.model.start : this.known[at - 1]!.own
    const { own } = this.known[at]!
    const feature = before < 0 || own < 0 ? -1 : this.model.pairs.get(before, own)
    if (feature >= 0 && this.isFirst(feature)) this.add(feature, starts ? at : at - 1, at, 1)
  }
  concept(concept: number, denied: boolean, at: number, value: number): void {
    const feature = this.model.concepts.of(concept, denied)
    if (feature >= 0 && this.isFirst(feature)) this.add(feature, at, at, value)
  }
  concepts(first: number, second: number, [from, to]: readonly [number, number], value: number): void {
    const feature = this.model.concepts.ofPair(first, second)
    if (feature >= 0 && this.isFirst(feature)) this.add(feature, from, to, value)
  }
  told({ number, parts }: Told): void {
    const feature = this.model.told[number]!
    if (feature < 0) return
    let words = 0
    for (const [first, last] of parts) words += last - first + 1
    for (const [first, last] of parts)
      for (let at = first; at <= last; at++) this.add(feature, at, at, toldWeight / words)
  }
  whole(name: string, value: number): void {
    const feature = this.model.features.get(name)
    if (feature === undefined || !this.isFirst(feature)) return
    const { weights } = this.model
    const factor = value * scaleOf(this.model, feature)
    for (let k = 0; k < outputs; k++) this.totals[k]! += factor * weights[feature * outputs + k]!
  }
  private isFirst(feature: number): boolean {
    const { counted } = this.model
    if (counted[feature] === this.text) return false
    counted[feature] = this.text
    return true
  }
  private add(feature: number, first: number, last: number, value: number): void {
    const { totals, byToken } = this
    const { weights } = this.model
    const factor = value * scaleOf(this.model, feature)
    const from = feature * outputs
    const own = first * outputs
    if (first === last)
      for (let k = 0; k < outputs; k++) {
        const part = factor * weights[from + k]!
        totals[k]! += part
        byToken[own + k]! += part
      }
    else
      for (let k = 0; k < outputs; k++) {
        const part = factor * weights[from + k]!
        totals[k]! += part
        byToken[own + k]! += part / 2
        byToken[last * outputs + k]! += part / 2
      }
  }
  /** What words lean to by what they mean, in each of the places where they are weighed. */
  leans({ tokens, questions }: Tokens): void {
    const { known } = this
    const last = tokens.at(-1)?.sentence ?? 0
    for (const context of wordContexts) {
      const inside: number[] = []
      for (let i = 0; i < tokens.length; i++)
        if (known[i]!.meaning >= 0 && standsIn(context, tokens[i]!, questions, last)) inside.push(i)
      if (inside.length) this.lean(wordContexts.indexOf(context), inside)
    }
  }
  private lean(block: number, inside: readonly number[]): void {
    const { totals, byToken } = this
    const { words, leans, leanScales } = this.model
    const factor = meaningWeight / Math.sqrt(inside.length)
    const scales = new Float64Array(outputs)
    for (let k = 0; k < outputs; k++) scales[k] = leanScales[block * outputs + k]! * factor
    for (const i of inside) {
      const at = (block * words.size + this.known[i]!.meaning) * outputs
      for (let k = 0; k < outputs; k++) {
        const part = leans[at + k]! * scales[k]!
        totals[k]! += part
        byToken[i * outputs + k]! += part
      }
    }
  }
}

/** What a text's features and words add up to. */
export function weigh(model: Model, source: Omit<FeatureSource, 'concepts' | 'told'>): Weighed {
  const { tokens } = source.read
  const known = tokens.map(({ key }) => model.know(key))
  const weighing = new Weighing(model, known)
  const concepts = known.map(({ concept }) => concept)
  const told = model.sayings.in(
    tokens,
    known.map(({ saying }) => saying),
  )
  eachFeature({ ...source, concepts, told }, weighing)
  weighing.leans(source.read)
  return weighing
}

/** Shares of a head's answers, by its calibrated log-odds. */
export function shares(totals: Float64Array, head: Head, temperature: number): number[] {
  const [from, to] = heads[head]
  const parts: number[] = []
  let most = -Infinity
  for (let k = from; k < to; k++) most = Math.max(most, totals[k]! / temperature)
  let sum = 0
  for (let k = from; k < to; k++) {
    const part = Math.exp(totals[k]! / temperature - most)
    sum += part
    parts.push(part)
  }
  for (let k = 0; k < parts.length; k++) parts[k]! /= sum
  return parts
}
