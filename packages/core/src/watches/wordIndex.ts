import { deletions, withinOneEdit } from './misspelling.ts'
import { slackLetters } from './term.ts'

const none: readonly number[] = []

/**
 * Finds the patterns a word fulfils: equal, by prefix, or with one misspelling. The cost of a look-up grows with the
 * word, not with the number of patterns: a hash for equality, one for each length of prefix, and an index of
 * deletions for misspellings (after Garbe's symmetric delete spelling correction).
 */
export class WordIndex {
  private readonly exact = new Map<string, number[]>()
  private readonly prefixes = new Map<string, number[]>()
  private readonly prefixLengths = new Set<number>()
  private readonly near = new Map<string, { word: string; id: number }[]>()

  add(
    word: string,
    id: number,
    { prefix = false, slack = false }: { prefix?: boolean; slack?: boolean } = {},
  ): void {
    push(this.exact, word, id)
    if (prefix) {
      push(this.prefixes, word, id)
      this.prefixLengths.add(word.length)
    }
    if (slack && word.length >= slackLetters)
      for (const key of [word, ...deletions(word)]) push(this.near, key, { word, id })
  }

  /** Ids of the patterns that `word` fulfils, each once. */
  find(word: string): readonly number[] {
    const exact = this.exact.get(word)
    if (!this.prefixLengths.size && !this.near.size) return exact ?? none
    const found = new Set(exact)
    for (const length of this.prefixLengths) {
      if (length >= word.length) continue
      for (const id of this.prefixes.get(word.slice(0, length)) ?? none) found.add(id)
    }
    if (this.near.size && word.length >= slackLetters - 1)
      for (const key of [word, ...deletions(word)])
        for (const { word: target, id } of this.near.get(key) ?? [])
          if (withinOneEdit(word, target)) found.add(id)
    return found.size ? [...found] : none
  }
}

function push<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const list = map.get(key)
  if (list) list.push(value)
  else map.set(key, [value])
}
