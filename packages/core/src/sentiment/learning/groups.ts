import { placedWords } from '../../text/index.ts'

export interface Grouped {
  text: string
  /** Who wrote it, where that is known. */
  author?: number | null
}

/** Texts that share this part of all words of both say the same; figures are left aside: "trip 7" and "trip 12" are one form. */
const alikeFrom = 0.6

const wordsOf = (text: string): string[] => [
  ...new Set(placedWords(text).flatMap(({ word }) => (/\p{N}/u.test(word) ? [] : [word]))),
]

/**
 * Which texts must not be learnt from and judged by each other: what says the same in nearly the same words, and what one person
 * wrote. Time grows with the number of texts that share rare words, not with all pairs.
 *
 * @returns for each text the number of its group, from 0 in the order of their first texts
 * @example groupsOf([{ text: 'Late again at the pier' }, { text: 'Kind crew' }, { text: 'late again, at the pier!' }]) // [0, 1, 0]
 */
export function groupsOf(items: readonly Grouped[]): number[] {
  const parent = items.map((_, i) => i)
  const root = (i: number): number => {
    let at = i
    while (parent[at] !== at) at = parent[at] = parent[parent[at]!]!
    return at
  }
  const join = (a: number, b: number) => {
    const [one, two] = [root(a), root(b)]
    if (one !== two) parent[Math.max(one, two)] = Math.min(one, two)
  }
  const byAuthor = new Map<number, number>()
  items.forEach(({ author }, i) => {
    if (author == null) return
    const first = byAuthor.get(author)
    if (first === undefined) byAuthor.set(author, i)
    else join(first, i)
  })
  for (const [a, b] of alikePairs(items.map(({ text }) => wordsOf(text)))) join(a, b)
  const numbers = new Map<number, number>()
  return items.map((_, i) => {
    const at = root(i)
    const known = numbers.get(at)
    if (known !== undefined) return known
    numbers.set(at, numbers.size)
    return numbers.size - 1
  })
}

/**
 * Pairs of texts that are alike, each text with one before it at most for every word it is filed under: whoever shares enough
 * words shares one of the rarest (prefix filter, after Chaudhuri, Ganti and Kaushik 2006).
 */
function* alikePairs(texts: readonly string[][]): Generator<[number, number]> {
  const counts = new Map<string, number>()
  for (const words of texts) for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1)
  const filed = new Map<string, number[]>()
  const whole = new Map<string, number>()
  const sets = texts.map((words) => new Set(words))
  for (const [i, words] of texts.entries()) {
    const rare = [...words].sort((a, b) => counts.get(a)! - counts.get(b)! || (a < b ? -1 : 1))
    const key = rare.join(' ')
    const same = whole.get(key)
    if (same !== undefined) {
      // What is the same word for word is looked at once.
      if (words.length) yield [same, i]
      continue
    }
    whole.set(key, i)
    const prefix = rare.slice(0, words.length - Math.ceil(alikeFrom * words.length) + 1)
    const met = new Set<number>()
    for (const word of prefix) {
      const shelf = filed.get(word)
      if (!shelf) filed.set(word, [i])
      else {
        for (const j of shelf.slice(-mostFiled)) met.add(j)
        shelf.push(i)
      }
    }
    for (const j of met) if (isAlike(sets[i]!, sets[j]!)) yield [j, i]
  }
}

/** Of what is filed under one word the latest are compared. */
const mostFiled = 400

function isAlike(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  const [less, more] = a.size <= b.size ? [a, b] : [b, a]
  if (less.size < alikeFrom * more.size) return false
  let shared = 0
  for (const word of less) if (more.has(word)) shared++
  return shared >= alikeFrom * (a.size + b.size - shared)
}
