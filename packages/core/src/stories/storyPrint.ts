import { senseOfWord } from '../sentiment/index.ts'
import { placedWords, type PlacedWord } from '../text/index.ts'
import { hash32 } from './hash32.ts'
import { isDateWord, isNumberWord } from './factWords.ts'

/**
 * What is kept of a text to find its copies: a whole number of 32 bits for each of its words in their order, 28 bits of hash and
 * 4 bits for what the word tells.
 */
export type StoryPrint = Int32Array

/** What a word tells when it is another in a text that is alike otherwise. */
export const tells = { nothing: 0, fact: 1, name: 2, good: 3, bad: 4, negation: 5, beginning: 6 } as const
export type Telling = (typeof tells)[keyof typeof tells]

/** Words a text needs before a likeness says anything: "Thanks, lovely crossing" is said by many. */
export const storyWords = 8
/** So many words of a long text are looked at. */
const mostWords = 160

export const wordOf = (value: number) => value >>> 4
export const tellingOf = (value: number) => (value & 15) as Telling

/**
 * The fingerprint of a text.
 *
 * @param words the text's own, when they are known already
 * @returns null under `storyWords` words
 * @example storyPrint('Thanks, lovely crossing') // null
 */
export function storyPrint(
  text: string,
  words: readonly PlacedWord[] = placedWords(text),
): StoryPrint | null {
  if (words.length < storyWords) return null
  const shown = words.slice(0, mostWords)
  // A text in capitals names nobody by them.
  const capitals = shown.filter(({ start }) => isCapital(text, start)).length
  const names = capitals <= shown.length / 2
  let before = 0
  return Int32Array.from(shown, ({ word, start, end }) => {
    const begins = before === 0 || /[.!?;:\n"“«]/.test(text.slice(before, start))
    before = end
    const capital = names && isCapital(text, start)
    return ((hash32(word, 0x811c9dc5) >>> 4) << 4) | telling(word, capital, begins)
  })
}

const isCapital = (text: string, at: number) => /^\p{Lu}/u.test(text.slice(at, at + 2))

function telling(word: string, capital: boolean, begins: boolean): Telling {
  if (/\p{N}/u.test(word) || isNumberWord(word) || isDateWord(word)) return tells.fact
  const sense = senseOfWord(word)
  if (sense) return tells[sense]
  if (!capital) return tells.nothing
  return begins ? tells.beginning : tells.name
}
