import { foldAccents, tokenise } from '../text/index.ts'

/** Longer words are cut; PostgreSQL's lexemes may have 2 kB. */
const wordLength = 60
/** Words of one entry that can be searched for. */
const wordCount = 3000

/** The different words of a text by which it can be found, folded. Kept beside the entry, so that the predicate in memory and the index in the database agree to the letter. */
export function searchWords(text: string): string[] {
  const words = new Set<string>()
  for (const { kind, start, end } of tokenise(text)) {
    if (words.size >= wordCount) break
    if (kind === 'punctuation' || kind === 'newline' || kind === 'emoticon') continue
    const folded = foldAccents(text.slice(start, end))
    for (const part of kind === 'link' || kind === 'email' ? [folded] : folded.split(/['’ʼ@#_]+/))
      if (part) words.add(part.slice(0, wordLength))
  }
  return [...words]
}

/** Whether every word of `wanted` starts one of `words`. */
export function foundByWords(words: readonly string[], wanted: readonly string[]): boolean {
  return wanted.every((want) => words.some((word) => word.startsWith(want)))
}
