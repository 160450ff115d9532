import type { ListReading } from '../sentiment/lists/readByLists.ts'
import {
  eachFeature,
  isMeant,
  sentenceStart,
  standsIn,
  wordContexts,
  type FeatureTaker,
  type TextKind,
} from './features.ts'
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

/** A model as it lies in its file. Numbers are little-endian, in base 64. */
export interface ModelFile {
  /** Names of features, divided by tabs. */
  features: string
  /** Int16 by feature and output, times `weightScale`. */
  weights: string
  weightScale: number
  /** Words, divided by spaces: what each leans to by what it means. */
  words: string
  /** Int8 by context, word and output, times the scale of context and output. */
  leans: string
  leanScales: number[]
  /** Log-odds are divided by these, so that a confidence is the share that is right. */
  temperatures: Record<Head, number>
}

export interface Model {
  features: Map<string, number>
  /** Of the features that are pairs of words: by the first one and the second. */
  pairs: Map<string, Map<string, number>>
  weights: Int16Array
  weightScale: number
  words: Map<string, number>
  /** The number of a word, by its stem if need be; -1 if it is not known. */
  find: (word: string) => number
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

/** A name put together and looked up costs more than two names that are there. */
function pairsOf(features: ReadonlyMap<string, number>): Map<string, Map<string, number>> {
  const pairs = new Map<string, Map<string, number>>()
  for (const [name, number] of features) {
    const at = name.indexOf(' ')
    if (at < 0) continue
    const first = name.slice(0, at)
    const seconds = pairs.get(first) ?? new Map<string, number>()
    pairs.set(first, seconds.set(name.slice(at + 1), number))
  }
  return pairs
}

/** @param language the one it was trained for */
export function openModel(file: ModelFile, language: string): Model {
  const words = numbered(file.words, ' ')
  const features = numbered(file.features, '\t')
  return {
    features,
    pairs: pairsOf(features),
    counted: new Uint32Array(features.size),
    texts: 0,
    weights: new Int16Array(bytesOf(file.weights)),
    weightScale: file.weightScale,
    words,
    find: wordFinder(words, language),
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

  constructor(
    private readonly model: Model,
    tokens: number,
  ) {
    this.byToken = new Float64Array(tokens * outputs)
    this.text = ++model.texts
  }

  word(key: string, at: number): void {
    const feature = this.model.features.get(key)
    if (feature !== undefined && this.isFirst(feature)) this.add(feature, at, at)
  }
  pair(first: string, second: string, at: number): void {
    const feature = this.model.pairs.get(first)?.get(second)
    if (feature !== undefined && this.isFirst(feature))
      this.add(feature, first === sentenceStart ? at : at - 1, at)
  }
  whole(name: string, value: number): void {
    const feature = this.model.features.get(name)
    if (feature === undefined || !this.isFirst(feature)) return
    const { weights, weightScale } = this.model
    const factor = value * weightScale
    for (let k = 0; k < outputs; k++) this.totals[k]! += factor * weights[feature * outputs + k]!
  }
  private isFirst(feature: number): boolean {
    const { counted } = this.model
    if (counted[feature] === this.text) return false
    counted[feature] = this.text
    return true
  }
  private add(feature: number, first: number, last: number): void {
    const { totals, byToken } = this
    const { weights, weightScale } = this.model
    const share = 1 / (last - first + 1)
    for (let k = 0; k < outputs; k++) {
      const part = weightScale * weights[feature * outputs + k]!
      totals[k]! += part
      byToken[first * outputs + k]! += part * share
      if (last !== first) byToken[last * outputs + k]! += part * share
    }
  }
  /** What words lean to by what they mean, in each of the places where they are weighed. */
  leans({ tokens, questions }: Tokens): void {
    const numbers = tokens.map(({ key }) => (isMeant(key) ? this.model.find(key) : -1))
    const last = tokens.at(-1)?.sentence ?? 0
    for (const context of wordContexts) {
      const inside: number[] = []
      for (let i = 0; i < tokens.length; i++)
        if (numbers[i]! >= 0 && standsIn(context, tokens[i]!, questions, last)) inside.push(i)
      if (inside.length) this.lean(wordContexts.indexOf(context), inside, numbers)
    }
  }
  private lean(block: number, inside: readonly number[], numbers: readonly number[]): void {
    const { totals, byToken } = this
    const { words, leans, leanScales } = this.model
    const factor = meaningWeight / Math.sqrt(inside.length)
    for (const i of inside) {
      const at = (block * words.size + numbers[i]!) * outputs
      for (let k = 0; k < outputs; k++) {
        const part = leans[at + k]! * leanScales[block * outputs + k]! * factor
        totals[k]! += part
        byToken[i * outputs + k]! += part
      }
    }
  }
}

/** What a text's features and words add up to. */
export function weigh(
  model: Model,
  text: { text: string; read: Tokens; lists: ListReading; kind: TextKind | undefined },
): Weighed {
  const weighing = new Weighing(model, text.read.tokens.length)
  eachFeature(text, weighing)
  weighing.leans(text.read)
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
