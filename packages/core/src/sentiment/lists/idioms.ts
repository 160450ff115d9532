import { foldAccents } from '../../text/index.ts'
import type { Grammar, IdiomNode } from './grammar.ts'
import type { Item } from './items.ts'

export interface OwnWord {
  /** A word or phrase. */
  term: string
  /** -4 to 4; 0 takes the word's say away. */
  valence: number
}

const idiomKeys = new Map<string, string>()
function idiomKey(key: string): string {
  if (!key.includes("'")) return key
  let plain = idiomKeys.get(key)
  if (plain === undefined) {
    if (idiomKeys.size > 20_000) idiomKeys.clear()
    idiomKeys.set(key, (plain = key.replace(/'/g, '')))
  }
  return plain
}

interface Found {
  last: number
  valence: number
}

/** The longest set phrase that starts at `i`. */
function longest(items: readonly Item[], i: number, root: IdiomNode): Found | null {
  const first = root.next.get(idiomKey(items[i]!.key))
  return first ? longestFrom(items, first, { at: i + 1, skipped: 0 }, null) : null
}

/** The longest that goes on from a node, or the best so far. */
function longestFrom(
  items: readonly Item[],
  node: IdiomNode,
  { at, skipped }: { at: number; skipped: number },
  so: Found | null,
): Found | null {
  let best = so
  if (node.valence !== null && (!best || at - 1 > best.last)) best = { last: at - 1, valence: node.valence }
  const item = items[at]
  if (!item || item.kind !== 'word') return best
  const next = node.next.get(idiomKey(item.key))
  if (next) best = longestFrom(items, next, { at: at + 1, skipped: 0 }, best)
  const gap = skipped === 0 ? node.next.get('_') : undefined
  if (gap) {
    best = longestFrom(items, gap, { at: at + 1, skipped: 0 }, best)
    if (items[at + 1]?.kind === 'word') best = longestFrom(items, gap, { at: at + 2, skipped: 1 }, best)
  }
  return best
}

/** Marks set phrases: the first item carries the phrase's valence and its whole length, the others are used up. */
export function markIdioms(items: Item[], { idioms }: Grammar): void {
  for (let i = 0; i < items.length; i++) {
    const item = items[i]!
    if (item.kind !== 'word' || item.taken) continue
    const found = longest(items, i, idioms)
    if (!found) continue
    take(items, i, found)
    i = found.last
  }
}

function take(items: Item[], first: number, { last, valence }: Found): void {
  const end = items[last]!.end
  for (let k = first; k <= last; k++) {
    const item = items[k]!
    item.taken = true
    item.valence = 0
    if (item.entry.negator) items[first]!.denies = true
  }
  items[first]!.valence = valence
  if (valence !== 0) items[first]!.end = end
}

function takeOwn(items: Item[], first: number, found: Found): void {
  const end = items[found.last]!.end
  take(items, first, found)
  for (let k = first; k <= found.last; k++) items[k]!.ownEnd = undefined
  items[first]!.ownEnd = end
}

/** The brand's own words go over everything read so far. */
export function markOwnWords(items: Item[], ownWords: readonly OwnWord[]): void {
  for (const { term, valence } of ownWords) {
    const words = foldAccents(term).split(/\s+/).filter(Boolean)
    if (!words.length) continue
    for (let i = 0; i + words.length <= items.length; i++)
      if (words.every((word, k) => items[i + k]!.kind === 'word' && foldAccents(items[i + k]!.key) === word))
        takeOwn(items, i, { last: i + words.length - 1, valence })
  }
}
