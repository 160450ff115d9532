import { placedWords, type PlacedWord } from '../text/index.ts'
import { isStopWord, saysNothingAlone } from './stopWords.ts'

export interface PhraseDoc {
  id: number
  text: string
}

export const phraseLength = 3

export interface PhraseCounts {
  /** Words by number, folded. */
  words: string[]
  /** Documents that hold the phrase, by key. */
  counts: Map<number, number>
  docs: number
}

/** Word numbers of a phrase from its key: up to three of 17 bits (131,071 different words), 0 for none. */
const bits = 131_072

export const keyOf = (a: number, b = 0, c = 0) => (c * bits + b) * bits + a
export function wordsOfKey(key: number, words: readonly string[]): string[] {
  const a = key % bits
  const b = Math.floor(key / bits) % bits
  const c = Math.floor(key / (bits * bits))
  return [a, b, c].filter((n) => n > 0).map((n) => words[n]!)
}

/** A document as word numbers; 0 stands for a break that no phrase runs over. */
export type NumberedDoc = Uint32Array

/** Gives each word a number, rarer words beyond the limit of numbers none. */
export class WordNumbers {
  readonly words: string[] = ['']
  private readonly numbers = new Map<string, number>()

  number(doc: string): NumberedDoc {
    return this.numberWords(placedWords(doc))
  }

  numberWords(placed: readonly PlacedWord[]): NumberedDoc {
    const found: number[] = []
    let last = 0
    for (const { word, position } of placed) {
      if (found.length && position !== last + 1) found.push(0)
      last = position
      found.push(this.of(word))
    }
    return Uint32Array.from(found)
  }

  private of(word: string): number {
    const known = this.numbers.get(word)
    if (known !== undefined) return known
    if (this.words.length >= bits) return 0
    const fresh = this.words.push(word) - 1
    this.numbers.set(word, fresh)
    return fresh
  }

  find(word: string): number {
    return this.numbers.get(word) ?? 0
  }
}

export interface CountOptions {
  /** Phrases in fewer documents are dropped early. Default 1. */
  minimum?: number
}

/**
 * In how many documents each phrase of one to three words stands. Longer phrases are only counted where their parts reach
 * the minimum (Agrawal and Srikant 1994), so that memory grows with what is frequent and not with what was written.
 */
export function countPhrases(
  docs: readonly NumberedDoc[],
  { minimum = 1 }: CountOptions = {},
): Map<number, number> {
  const counts = new Map<number, number>()
  count(docs, 1, () => true).into(counts, minimum)
  const often = new Set(counts.keys())
  count(docs, 2, (a, b) => often.has(a) && often.has(b)).into(counts, minimum)
  count(docs, 3, (a, b, c) => counts.has(keyOf(a, b)) && counts.has(keyOf(b, c))).into(counts, minimum)
  return counts
}

/** Counts each key once a document. */
export class Tally {
  private readonly slots = new Map<number, number>()
  private readonly counts: number[] = []
  private readonly last: number[] = []

  meet(key: number, doc: number): void {
    const slot = this.slots.get(key)
    if (slot === undefined) {
      this.slots.set(key, this.counts.length)
      this.counts.push(1)
      this.last.push(doc)
    } else if (this.last[slot] !== doc) {
      this.last[slot] = doc
      this.counts[slot]!++
    }
  }

  /** Copies the counts of what reached the minimum. */
  into(counts: Map<number, number>, minimum = 1): void {
    for (const [key, slot] of this.slots)
      if (this.counts[slot]! >= minimum) counts.set(key, this.counts[slot]!)
  }
}

function count(
  docs: readonly NumberedDoc[],
  length: number,
  worth: (a: number, b: number, c: number) => boolean,
): Tally {
  const tally = new Tally()
  docs.forEach((doc, d) => {
    for (let i = 0; i + length <= doc.length; i++) {
      const a = doc[i]!
      const b = length > 1 ? doc[i + 1]! : 0
      const c = length > 2 ? doc[i + 2]! : 0
      if (!a || (length > 1 && !b) || (length > 2 && !c) || !worth(a, b, c)) continue
      tally.meet(keyOf(a, b, c), d)
    }
  })
  return tally
}

/**
 * A phrase worth showing begins and ends with a word that says something; a single letter, number or verb of saying says nothing.
 *
 * @example hasContentWord(['of', 'the']) // false
 */
export function hasContentWord(words: readonly string[]): boolean {
  const first = words[0]!
  const last = words[words.length - 1]!
  if (isStopWord(last) || opensPhrase.has(last) || (isStopWord(first) && !opensPhrase.has(first)))
    return false
  return words.length > 1 || (first.length > 1 && !/^\d+$/.test(first) && !saysNothingAlone(first))
}

/** Little words that turn what follows: "not sailing", "nobody told", "no refund", "too late", "so kind". */
const opensPhrase = new Set(
  'not no never nobody nothing without too so very pas jamais trop sans si tres no nunca sin muy nicht kein keine nie ohne sehr zu'.split(
    ' ',
  ),
)

/** Words that only hold a phrase together. */
export const isGlue = (word: string) => isStopWord(word) && !opensPhrase.has(word)
