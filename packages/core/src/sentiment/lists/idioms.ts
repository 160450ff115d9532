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
  let best: Found | null = null
  const walk = (node: IdiomNode, at: number, skipped: number) => {
    if (node.valence !== null && (!best || at - 1 > best.last)) best = { last: at - 1, valence: node.valence }
    const item = items[at]
    if (!item || item.kind !== 'word') return
    const next = node.next.get(idiomKey(item.key))
    if (next) walk(next, at + 1, 0)
    const gap = skipped === 0 ? node.next.get('_') : undefined
    if (gap) {
      walk(gap, at + 1, 0)
      if (items[at + 1]?.kind === 'word') walk(gap, at + 2, 1)
    }
  }
  const first = root.next.get(idiomKey(items[i]!.key))
  if (first) walk(first, i + 1, 0)
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
    items[k]!.taken = true
    items[k]!.valence = 0
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
