import { phrasePlaces, placedWords } from '../text/index.ts'

/**
 * The different words of a text by which it can be found, folded. Kept beside the entry, so that the predicate in memory and the index in the database agree to the letter.
 *
 * @example searchWords('Cafés, late!') // ["cafes","late"]
 */
export function searchWords(text: string): string[] {
  return [...new Set(placedWords(text).map(({ word }) => word))]
}

/** The words of a phrase, to be found side by side. */
export const phraseWords = (text: string) => placedWords(text).map(({ word }) => word)

/** Whether the words of a phrase stand side by side somewhere. */
export function foundByPhrase(
  words: readonly { word: string; position: number }[],
  phrase: readonly string[],
): boolean {
  return words.some((first) =>
    phrase.every((word, k) =>
      words.some((other) => other.word === word && other.position === first.position + k),
    ),
  )
}

/**
 * Whether every word of `wanted` starts one of `words`.
 *
 * @example foundByWords(['the', 'late', 'ferry'], ['late']) // true
 */
export function foundByWords(words: readonly string[], wanted: readonly string[]): boolean {
  return wanted.every((want) => words.some((word) => word.startsWith(want)))
}

/**
 * Where a text holds what is looked for: words that begin with one of the wanted, and the phrase.
 *
 * @returns UTF-16 offsets, in order
 * @example searchPlaces('Refunds? No refund.', { words: 'refund', phrase: '' }) // [{ start: 0, end: 7 }, { start: 12, end: 18 }]
 */
export function searchPlaces(
  text: string,
  { words, phrase }: { words: string; phrase: string },
): { start: number; end: number }[] {
  if (!words && !phrase) return []
  const placed = placedWords(text)
  const wanted = searchWords(words)
  return [
    ...placed.filter(({ word }) => wanted.some((each) => word.startsWith(each))),
    ...phrasePlaces(placed, phraseWords(phrase)),
  ]
    .map(({ start, end }) => ({ start, end }))
    .sort((a, b) => a.start - b.start)
}
