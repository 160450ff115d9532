import { blankEntry } from './grammar.ts'
import type { Item } from './items.ts'

/** Begins with a capital and goes on in small letters. */
const titled = /^\p{Lu}[\p{Ll}'’]/u
const small = /^\p{Ll}/u

/**
 * A word of opinion that is part of a name says nothing ("Halder Fast Cats", "the Happy Oyster"): words with capitals beside
 * each other, one of opinion among them, which does not begin the sentence. Where capitals are as many as small letters
 * they are a way of writing, not names; and so is "Very Good Food".
 */
export function passOverNames(items: readonly Item[], text: string): void {
  for (let from = 0; from < items.length;) {
    let to = from
    while (to < items.length && items[to]!.kind !== 'stop') to++
    const starts = items
      .slice(from, to)
      .map(({ kind, start }) => (kind === 'word' ? text.slice(start, start + 2) : ''))
    const later = starts.slice(1)
    const capitals = later.filter((each) => titled.test(each)).length
    if (capitals && later.filter((each) => small.test(each)).length > capitals)
      namesAmong(
        items.slice(from, to),
        starts.map((each) => titled.test(each)),
      )
    from = to + 1
  }
}

/** @param isTitled of each item of the sentence */
function namesAmong(sentence: readonly Item[], isTitled: readonly boolean[]): void {
  for (let first = 0; first < sentence.length;) {
    let end = first
    while (isTitled[end]) end++
    const run = sentence.slice(first, end)
    const said = run.filter(({ entry }) => entry.valence !== 0)
    if (run.length > 1 && said.length === 1 && said[0] !== sentence[0] && !run.some(changesOpinion))
      said[0]!.entry = blankEntry
    first = end + 1
  }
}

const changesOpinion = ({ entry }: Item) => entry.factor !== 1 || entry.negator
