import { blankEntry, type Ending, type WordEntry } from './grammar.ts'

type Lookup = (word: string) => WordEntry | undefined

const englishEndings: readonly Ending[] = [
  ['ly', '', 1],
  ['ily', 'y', 1],
  ['ier', 'y', 0.9],
  ['iest', 'y', 1.2],
  ['er', '', 0.9],
  ['est', '', 1.2],
  ['ness', '', 0.9],
  ['iness', 'y', 0.9],
  ['ies', 'y', 1],
  ['ied', 'y', 1],
  ['es', '', 1],
  ['s', '', 1],
  ['ed', '', 1],
  ['ed', 'e', 1],
  ['ing', '', 1],
  ['ing', 'e', 1],
  ['ish', '', 0.5],
]

/**
 * Reads an English word that no list has from one that a list has: "tastiest" from "tasty", "unhelpful" from
 * "helpful", "sooo" from "so". Opinion only: a form of a negator or of an intensifier is not one itself.
 */
export function derive(word: string, lookup: Lookup): WordEntry | undefined {
  const ended = byEnding(word, englishEndings, { lookup, leastStem: 3 })
  if (ended) return ended
  const prefix = /^(?:un|non|dis|im|in)-?(?=[a-z]{4})/.exec(word)
  if (prefix) {
    const stem = lookup(word.slice(prefix[0].length))
    if (stem && stem.valence > 1) return { ...blankEntry, valence: -0.8 * stem.valence }
  }
  return undefined
}

/** @param leastStem letters that are left when the ending is taken off */
export function byEnding(
  word: string,
  endings: readonly Ending[],
  { lookup, leastStem }: { lookup: Lookup; leastStem: number },
): WordEntry | undefined {
  for (const [suffix, put, factor] of endings) {
    if (!word.endsWith(suffix) || word.length - suffix.length < leastStem) continue
    const stem = lookup(word.slice(0, word.length - suffix.length) + put)
    if (stem && (stem.valence || stem.whenNegated))
      return { ...blankEntry, valence: stem.valence * factor, whenNegated: stem.whenNegated }
  }
  return undefined
}

/** Letters stretched for stress: "sooooo" gives "soo" and "so". Empty when nothing is stretched. */
export function unstretched(word: string): string[] {
  if (!/(\p{L})\1\1/u.test(word)) return []
  return [word.replace(/(\p{L})\1{2,}/gu, '$1$1'), word.replace(/(\p{L})\1{2,}/gu, '$1')]
}
