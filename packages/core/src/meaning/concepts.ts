import { PairTable } from './pairTable.ts'
import { isDenial } from './tokens.ts'

/** The number of what a word means, alike in all languages; -1 where that is not known. */
export type ConceptOf = (key: string) => number

/** Stands before the name of a concept, so that none is taken for a word. */
const mark = '~'
/** Concepts that no word of a list stands for; their numbers come first. */
export const plainConcepts = ['no', '<n>', '!'] as const
const [denial, number, call] = [0, 1, 2]

/** Name of the feature. @param name of the concept */
export const conceptFeature = (name: string, denied: boolean): string => `${mark}${name}${denied ? '-' : ''}`

export const conceptsFeature = (first: string, second: string): string => `${mark}${first} ${mark}${second}`

/** The name of the one concept of a feature; null for a pair. */
export const nameOfConcept = (feature: string): string | null =>
  feature.includes(' ') ? null : feature.slice(mark.length).replace(/-$/, '')

/** Whether a feature is a concept or a pair of them. */
export const isOfConcepts = (feature: string): boolean => feature.startsWith(mark)

/**
 * Numbers, calls and words that deny are concepts of their own; every other word is what the word it is found by means.
 *
 * @param find the number of a word, -1 for none
 * @param concepts by the number of a word; -1 for none
 */
export const conceptFinder =
  (find: (word: string) => number, concepts: ArrayLike<number>): ConceptOf =>
  (key) => {
    if (isDenial(key)) return denial
    if (key === '<n>') return number
    if (key === '!') return call
    const word = find(key)
    return word < 0 ? -1 : concepts[word]!
  }

/** The features of concepts, by their numbers. */
export class ConceptFeatures {
  /** By concept, twice: as it is, and denied. */
  private readonly alone: Int32Array
  private readonly pairs: PairTable

  /**
   * @param names of the concepts, in order
   * @param features numbers by name
   */
  constructor(names: readonly string[], features: ReadonlyMap<string, number>) {
    this.alone = Int32Array.from(
      names.flatMap((name) =>
        [false, true].map((denied) => features.get(conceptFeature(name, denied)) ?? -1),
      ),
    )
    const numbers = new Map(names.map((name, i) => [conceptFeature(name, false), i]))
    const pairs: [first: number, second: number, kept: number][] = []
    for (const [feature, kept] of features) {
      const at = isOfConcepts(feature) ? feature.indexOf(' ') : -1
      if (at > 0) pairs.push([numbers.get(feature.slice(0, at))!, numbers.get(feature.slice(at + 1))!, kept])
    }
    this.pairs = new PairTable(pairs)
  }

  /** @returns -1 for none */
  of(concept: number, denied: boolean): number {
    return this.alone[concept * 2 + (denied ? 1 : 0)]!
  }

  /** @returns -1 for none */
  ofPair(first: number, second: number): number {
    return this.pairs.get(first, second)
  }
}
