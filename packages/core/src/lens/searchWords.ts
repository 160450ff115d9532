import { placedWords } from '../text/index.ts'

/** The different words of a text by which it can be found, folded. Kept beside the entry, so that the predicate in memory and the index in the database agree to the letter. */
export function searchWords(text: string): string[] {
  return [...new Set(placedWords(text).map(({ word }) => word))]
}

/** Whether every word of `wanted` starts one of `words`. */
export function foundByWords(words: readonly string[], wanted: readonly string[]): boolean {
  return wanted.every((want) => words.some((word) => word.startsWith(want)))
}
