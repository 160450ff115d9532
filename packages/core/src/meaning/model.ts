import { wordContexts, type Feature, type WordContext } from './features.ts'
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
  weights: Int16Array
  weightScale: number
  words: Map<string, number>
  /** The number of a word, by its stem if need be; -1 if it is not known. */
  find: (word: string) => number
  leans: Int8Array
  leanScales: readonly number[]
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

/** @param language the one it was trained for */
export function openModel(file: ModelFile, language: string): Model {
  const words = numbered(file.words, ' ')
  return {
    features: numbered(file.features, '\t'),
    weights: new Int16Array(bytesOf(file.weights)),
    weightScale: file.weightScale,
    words,
    find: wordFinder(words, language),
    leans: new Int8Array(bytesOf(file.leans)),
    leanScales: file.leanScales,
    temperatures: file.temperatures,
  }
}

/** What features and words of a text add to the outputs. */
export interface Weighed {
  totals: Float64Array
  /** By token and output: the part of the totals that rests on the token. */
  byToken: Float64Array
}

export function weigh(
  model: Model,
  { tokens }: Tokens,
  features: readonly Feature[],
  places: readonly { context: WordContext; indices: readonly number[] }[],
): Weighed {
  const totals = new Float64Array(outputs)
  const byToken = new Float64Array(tokens.length * outputs)
  const { weights, weightScale } = model
  for (const { name, value, first, last } of features) {
    const at = model.features.get(name)
    if (at === undefined) continue
    const factor = value * weightScale
    const from = at * outputs
    if (first === undefined) {
      for (let k = 0; k < outputs; k++) totals[k]! += factor * weights[from + k]!
      continue
    }
    const share = 1 / (last! - first + 1)
    for (let k = 0; k < outputs; k++) {
      const part = factor * weights[from + k]!
      totals[k]! += part
      byToken[first * outputs + k]! += part * share
      if (last !== first) byToken[last! * outputs + k]! += part * share
    }
  }
  const numbers = tokens.map(({ key }) => model.find(key))
  for (const { context, indices } of places) addLeans(model, { context, indices, numbers }, totals, byToken)
  return { totals, byToken }
}

/** What the words of a place lean to. */
function addLeans(
  { words, leans, leanScales }: Model,
  {
    context,
    indices,
    numbers,
  }: { context: WordContext; indices: readonly number[]; numbers: readonly number[] },
  totals: Float64Array,
  byToken: Float64Array,
): void {
  let known = 0
  for (const i of indices) if (numbers[i]! >= 0) known++
  if (!known) return
  const block = wordContexts.indexOf(context)
  const factor = meaningWeight / Math.sqrt(known)
  for (const i of indices) {
    if (numbers[i]! < 0) continue
    const at = (block * words.size + numbers[i]!) * outputs
    for (let k = 0; k < outputs; k++) {
      const part = leans[at + k]! * leanScales[block * outputs + k]! * factor
      totals[k]! += part
      byToken[i * outputs + k]! += part
    }
  }
}

/** Shares of a head's answers, by its calibrated log-odds. */
export function shares(totals: Float64Array, head: Head, temperature: number): number[] {
  const [from, to] = heads[head]
  const logits = Array.from(totals.subarray(from, to), (x) => x / temperature)
  const most = Math.max(...logits)
  const parts = logits.map((x) => Math.exp(x - most))
  const sum = parts.reduce((a, b) => a + b)
  return parts.map((x) => x / sum)
}
