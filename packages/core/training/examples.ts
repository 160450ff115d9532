import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { featuresOf, wordContexts, wordPlaces, type Feature } from '../src/meaning/features.ts'
import { meaningWeight, outputs, sentiments, wishes } from '../src/meaning/model.ts'
import { tokensOf } from '../src/meaning/tokens.ts'
import { wordFinder } from '../src/meaning/words.ts'
import { readByLists } from '../src/sentiment/lists/readByLists.ts'
import type { Example } from './fit.ts'
import type { Lesson } from './readTexts.ts'

/** Dimensions of a word vector. */
export const dimensions = 100

export interface Vectors {
  words: string[]
  at: Map<string, number>
  /** Unit length, weighed by how much a word of its frequency tells. */
  values: Float32Array
}

const file = (name: string) => fileURLToPath(new URL(`vectors/${name}`, import.meta.url))

function englishVectors(): Vectors {
  const words = readFileSync(file('en.words'), 'utf8').split('\n')
  const bytes = new Int8Array(readFileSync(file('en.bin')))
  const values = new Float32Array(bytes.length)
  words.forEach((_, i) => {
    const row = bytes.subarray(i * dimensions, (i + 1) * dimensions)
    const size = Math.sqrt(row.reduce((sum, x) => sum + x * x, 0))
    const weight = Math.min(1, Math.log(i + 2) / Math.log(2000))
    row.forEach((x, k) => (values[i * dimensions + k] = (x / size) * weight))
  })
  return withAliases(words, values)
}

/** A word that the vectors lack means what is between the words that `aliases.txt` writes beside it. */
function withAliases(words: string[], values: Float32Array): Vectors {
  const at = new Map(words.map((word, i) => [word, i]))
  const added: number[] = []
  for (const line of readFileSync(file('aliases.txt'), 'utf8').trim().split('\n')) {
    const [word, ...alike] = line.split(' ')
    const known = alike.flatMap((other) => at.get(other) ?? [])
    if (at.has(word!) || !known.length) continue
    at.set(word!, at.size)
    for (let k = 0; k < dimensions; k++)
      added.push(known.reduce((sum, i) => sum + values[i * dimensions + k]!, 0) / known.length)
  }
  return { words: [...at.keys()], at, values: Float32Array.from([...values, ...added]) }
}

const columns = ['en', 'fr', 'es', 'de']

/** Words of another language mean what the English word beside them means; one that means several, their middle. */
function glossedVectors(language: string, english: Vectors): Vectors {
  const column = columns.indexOf(language)
  const meanings = new Map<string, number[]>()
  for (const line of readFileSync(file('glosses.txt'), 'utf8').trim().split('\n')) {
    const parts = line.split('|').map((part) => part.trim().split(/\s+/))
    const meaning = english.at.get(parts[0]![0]!)
    if (meaning === undefined) continue
    for (const word of parts[column]!)
      if (!word.includes('-')) meanings.set(word, [...(meanings.get(word) ?? []), meaning])
  }
  const words = [...meanings.keys()].sort()
  const values = new Float32Array(words.length * dimensions)
  words.forEach((word, i) => {
    const each = meanings.get(word)!
    for (const meaning of each)
      for (let k = 0; k < dimensions; k++)
        values[i * dimensions + k]! += english.values[meaning * dimensions + k]! / each.length
  })
  return { words, at: new Map(words.map((word, i) => [word, i])), values }
}

/** What the words of a language mean, in one space for all languages. */
export function readVectors(language: string): Vectors {
  const english = englishVectors()
  return language === 'en' ? english : glossedVectors(language, english)
}

/** Names that occur in fewer texts are chance. */
const leastTexts = 2

/** A feature of one language. */
const ownKey = (language: string, name: string) => `${language}\n${name}`

/** How a text is built and what the lists say is weighed alike in all languages; words and pairs of words are each language's own. */
const keysOf = (language: string, { name, first }: Feature) =>
  first === undefined ? [name] : [ownKey(language, name)]

export interface Examples {
  examples: Example[]
  features: number
  /** Numbers of features by key. */
  numbers: Map<string, number>
}

/**
 * Numbers for lessons of all languages; the first numbers belong to the word vectors, context by context, which are weighed
 * alike in all languages.
 */
export function buildExamples(lessons: readonly Lesson[]): Examples {
  const dense = wordContexts.length * dimensions
  const languages = [...new Set(lessons.map(({ language }) => language))]
  const vectors = new Map(languages.map((l) => [l, readVectors(l)]))
  const finders = new Map([...vectors].map(([l, { at }]) => [l, wordFinder(at, l)]))
  const read = lessons.map((lesson, i) => {
    const { text, language } = lesson
    const tokens = tokensOf(text, language)
    // Half of the texts do without their kind, so that a reader who does not know it loses little.
    const kind = i % 2 ? lesson.kind : undefined
    const lists = readByLists(text, { language })
    const features = featuresOf(text, tokens, lists, kind).flatMap((feature) =>
      keysOf(language, feature).map((key) => ({ key, value: feature.value })),
    )
    const find = finders.get(language)!
    return {
      features,
      places: wordPlaces(tokens),
      words: tokens.tokens.map(({ key }) => find(key)),
      language,
      listsRight: sentiments[lesson.sentiment] === lists.sentiment,
    }
  })
  const counts = new Map<string, number>()
  for (const { features } of read) for (const { key } of features) counts.set(key, (counts.get(key) ?? 0) + 1)
  const kept = [...counts].filter(([, n]) => n >= leastTexts).map(([key]) => key)
  const numbers = new Map(kept.map((key, i) => [key, dense + i]))
  const weights = weightsByLists(read)
  const examples = read.map(({ features, places, words, language }, n): Example => {
    const ids: number[] = []
    const values: number[] = []
    for (const { key, value } of features) {
      const id = numbers.get(key)
      if (id === undefined) continue
      ids.push(id)
      values.push(value)
    }
    const meanings = vectors.get(language)!.values
    for (const { context, indices } of places) {
      const known = indices.map((i) => words[i]!).filter((word) => word >= 0)
      const first = wordContexts.indexOf(context) * dimensions
      if (known.length)
        for (let k = 0; k < dimensions; k++) {
          const sum = known.reduce((s, word) => s + meanings[word * dimensions + k]!, 0)
          ids.push(first + k)
          values.push((sum / Math.sqrt(known.length)) * meaningWeight)
        }
    }
    return {
      ids: Int32Array.from(ids),
      values: Float32Array.from(values),
      targets: targetsOf(lessons[n]!),
      weight: weights[n],
    }
  })
  return { examples, numbers, features: dense + kept.length }
}

/**
 * How often the word lists alone are right on texts of strangers, measured on fresh ones. Ours are harder: they are weighed so
 * that the lists are right as often.
 */
const listsRightOnFresh: Record<string, number> = { en: 0.7, fr: 0.73, es: 0.62, de: 0.6 }

function weightsByLists(read: readonly { language: string; listsRight: boolean }[]): number[] {
  const shares = new Map<string, number>()
  for (const language of new Set(read.map((each) => each.language))) {
    const own = read.filter((each) => each.language === language)
    shares.set(language, own.filter(({ listsRight }) => listsRight).length / own.length)
  }
  return read.map(({ language, listsRight }) => {
    const fresh = listsRightOnFresh[language]!
    const ours = shares.get(language)!
    return listsRight ? fresh / ours : (1 - fresh) / (1 - ours)
  })
}

/** The features a language knows, by name, with their weights. */
export function weightsOfLanguage(
  { numbers }: Examples,
  weights: Float64Array,
  language: string,
): Map<string, Float64Array> {
  const found = new Map<string, Float64Array>()
  for (const [key, number] of numbers) {
    const [first, second] = key.split('\n') as [string, string?]
    if (second !== undefined && first !== language) continue
    const name = second ?? first
    const sum = found.get(name) ?? new Float64Array(outputs)
    for (let k = 0; k < outputs; k++) sum[k]! += weights[number * outputs + k]!
    found.set(name, sum)
  }
  return found
}

function targetsOf({ sentiment, wish, wantsAnswer }: Lesson): Float64Array {
  const targets = new Float64Array(outputs)
  targets[sentiment] = 1
  targets[sentiments.length + wish] = 1
  targets[sentiments.length + wishes.length] = wantsAnswer
  return targets
}
