import { cutText } from './clean.ts'
import { foldAccents } from './fold.ts'
import { tokenise } from './tokenise.ts'

export interface PlacedWord {
  /** Folded: no case, no accents. */
  word: string
  /** Neighbours differ by 1; a mark between two words leaves a gap, so that no phrase runs over it. */
  position: number
  /** UTF-16 offsets into the text. */
  start: number
  end: number
}

/** Longer words are cut; PostgreSQL's lexemes may have 2 kB. */
const wordLength = 60
/** Words of one entry that are looked at; positions above 16,383 would not fit into PostgreSQL's tsvector. */
const wordCount = 3000

const inner = /['’ʼ_]/
const cut = (word: string) => cutText(word, wordLength)
const ending = /[.!?;:,…()[\]—–|]/

/**
 * The words of a text in their order, as search and phrases see them: parts at apostrophes and signs are words of their own.
 *
 * @example placedWords('Late again').map(({ word }) => word) // ["late","again"]
 */
export function placedWords(text: string): PlacedWord[] {
  const words: PlacedWord[] = []
  let broken = false
  for (const { kind, start, end } of tokenise(text)) {
    if (words.length >= wordCount) break
    if (kind === 'punctuation' || kind === 'newline' || kind === 'emoticon') {
      broken ||= kind !== 'punctuation' || ending.test(text.slice(start, end))
      continue
    }
    const raw = text.slice(start, end)
    if (kind === 'link' || kind === 'email') {
      // An address stands for itself: no phrase runs into it.
      put(words, { word: foldAccents(raw), start, end, broken: true })
      broken = true
      continue
    }
    if ((kind === 'word' || kind === 'number') && !inner.test(raw)) {
      put(words, { word: foldAccents(raw), start, end, broken })
      broken = false
      continue
    }
    for (const part of raw.matchAll(/[^'’ʼ@#_]+/g)) {
      const word = foldAccents(part[0])
      put(words, { word, start: start + part.index, end: start + part.index + part[0].length, broken })
      broken = false
    }
  }
  return words
}

function put(
  words: PlacedWord[],
  { word, start, end, broken }: { word: string; start: number; end: number; broken: boolean },
): void {
  // What folds to nothing cannot be searched for, and no index would take it.
  if (!word.trim()) return
  const last = words.length ? words[words.length - 1]!.position : 0
  words.push({ word: cut(word), position: last + (broken && words.length ? 2 : 1), start, end })
}

/**
 * Offsets of each place where the words of a phrase stand side by side.
 *
 * @example phrasePlaces(placedWords('late, so late'), ['late']) // [{"start":0,"end":4},{"start":9,"end":13}]
 */
export function phrasePlaces(
  words: readonly PlacedWord[],
  phrase: readonly string[],
): { start: number; end: number }[] {
  const found: { start: number; end: number }[] = []
  if (!phrase.length) return found
  for (let i = 0; i + phrase.length <= words.length; i++) {
    const first = words[i]!
    const fits = phrase.every((word, k) => {
      const at = words[i + k]!
      return at.word === word && at.position === first.position + k
    })
    if (fits) found.push({ start: first.start, end: words[i + phrase.length - 1]!.end })
  }
  return found
}
