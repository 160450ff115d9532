import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { featuresOf, wordContexts, wordPlaces, type Feature } from '../src/meaning/features.ts'
import { meaningWeight, outputs, sentiments, wishes } from '../src/meaning/model.ts'
import { tokensOf } from '../src/meaning/tokens.ts'
import { readSentiment } from '../src/sentiment/index.ts'
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
  return { words, at: new Map(words.map((word, i) => [word, i])), values }
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

const isOfWords = ({ first }: Feature) => first !== undefined

/**
 * Numbers for lessons; the first numbers belong to the word vectors, context by context. What words mean, what the lists say
 * and how a text is built is weighed alike in all languages; words and pairs of words are each language's own.
 *
 * @returns `names`: the features of a model of `language`, with the numbers they have in the examples
 */
export function buildExamples(
  lessons: readonly Lesson[],
  language: string,
): { examples: Example[]; names: Map<string, number>; features: number } {
  const dense = wordContexts.length * dimensions
  const vectors = new Map([...new Set(lessons.map((l) => l.language))].map((l) => [l, readVectors(l)]))
  const read = lessons.map((lesson, i) => {
    const tokens = tokensOf(lesson.text, lesson.language)
    // Half of the texts do without their kind, so that a reader who does not know it loses little.
    const kind = i % 2 ? lesson.kind : undefined
    const lists = readSentiment(lesson.text, { language: lesson.language })
    const own = lesson.language === language
    const features = featuresOf(lesson.text, tokens, lists, kind).map((feature) => ({
      key: !own && isOfWords(feature) ? `${lesson.language}\n${feature.name}` : feature.name,
      value: feature.value,
    }))
    return {
      features,
      places: wordPlaces(tokens),
      tokens: tokens.tokens,
      vectors: vectors.get(lesson.language)!,
    }
  })
  const counts = new Map<string, number>()
  for (const { features } of read) for (const { key } of features) counts.set(key, (counts.get(key) ?? 0) + 1)
  const kept = [...counts].filter(([, n]) => n >= leastTexts).map(([key]) => key)
  const at = new Map(kept.map((key, i) => [key, dense + i]))
  const examples = read.map(({ features, places, tokens, vectors: known }, n): Example => {
    const ids: number[] = []
    const values: number[] = []
    for (const { key, value } of features) {
      const id = at.get(key)
      if (id === undefined) continue
      ids.push(id)
      values.push(value)
    }
    for (const { context, indices } of places) {
      const words = indices.flatMap((i) => known.at.get(tokens[i]!.key) ?? [])
      const first = wordContexts.indexOf(context) * dimensions
      if (words.length)
        for (let k = 0; k < dimensions; k++) {
          const sum = words.reduce((s, i) => s + known.values[i * dimensions + k]!, 0)
          ids.push(first + k)
          values.push((sum / Math.sqrt(words.length)) * meaningWeight)
        }
    }
    return { ids: Int32Array.from(ids), values: Float32Array.from(values), targets: targetsOf(lessons[n]!) }
  })
  const names = new Map([...at].filter(([key]) => !key.includes('\n')))
  return { examples, names, features: dense + kept.length }
}

function targetsOf({ sentiment, wish, wantsAnswer }: Lesson): Float64Array {
  const targets = new Float64Array(outputs)
  targets[sentiment] = 1
  targets[sentiments.length + wish] = 1
  targets[sentiments.length + wishes.length] = wantsAnswer
  return targets
}
