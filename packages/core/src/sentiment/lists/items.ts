import { tokenise } from '../../text/index.ts'
import { valenceOfEmoji, valenceOfEmoticon } from './emoji.ts'
import { blankEntry, wordKey, type Grammar, type WordEntry } from './grammar.ts'
import { byEnding, derive, unstretched } from './morphology.ts'

/** One word, emoji or mark of a text, as the reader sees it. */
export interface Item {
  kind: 'word' | 'emoji' | 'break' | 'stop'
  start: number
  end: number
  /** The word in lower case; for marks, the mark. */
  key: string
  entry: WordEntry
  /** Written in capitals or stretched: weighs more. */
  stressed: boolean
  /** Part of a set phrase already counted. */
  taken: boolean
  /** A set phrase starts here that denies by itself ("toujours pas"): what denies before it is a part of it. */
  denies?: boolean
  /** The end of the brand's own word or phrase that starts here. */
  ownEnd?: number
  /** What the reader makes of it: the contribution before the sentence is weighed. */
  valence: number
}

interface Known {
  key: string
  entry: WordEntry
  stressed: boolean
}

const memories = new WeakMap<Grammar, Map<string, Known>>()
const memoryLimit = 50_000

function lookUp(raw: string, grammar: Grammar): Known {
  let memory = memories.get(grammar)
  if (!memory) memories.set(grammar, (memory = new Map()))
  const known = memory.get(raw)
  if (known) return known
  if (memory.size >= memoryLimit) memory.clear()
  const fresh = resolve(raw, grammar)
  memory.set(raw, fresh)
  return fresh
}

/** What is left of a word when its ending is taken off; shorter is chance. */
const leastLetters = 4

function resolve(raw: string, grammar: Grammar): Known {
  const key = wordKey(raw.toLowerCase())
  const capitals = raw.length > 2 && raw === raw.toUpperCase() && raw !== raw.toLowerCase()
  const direct = grammar.words.get(key) ?? grammar.words.get(key.replace(/'s$/, ''))
  if (direct) return { key, entry: direct, stressed: capitals }
  for (const shorter of unstretched(key)) {
    const entry = grammar.words.get(shorter)
    if (entry) return { key: shorter, entry, stressed: true }
  }
  if (grammar.elision && key.includes("'")) {
    const parts = key.split("'")
    const last = grammar.words.get(parts[parts.length - 1]!)
    const negator = parts[0] === 'n'
    if (last || negator)
      return {
        key,
        entry: { ...(last ?? blankEntry), negator: negator || (last?.negator ?? false) },
        stressed: capitals,
      }
  }
  const lookup = (word: string) => grammar.words.get(word)
  const derived = grammar.english
    ? derive(key, lookup)
    : byEnding(key, grammar.endings, { lookup, leastStem: leastLetters })
  return { key, entry: derived ?? blankEntry, stressed: capitals && derived !== undefined }
}

const breaks = new Set([',', ';', ':', '(', ')', '–', '—', '-', '[', ']', '/', '"', '“', '”'])

/** The items of a text, in its order. Without a grammar only emoji and emoticons are read. */
export function readItems(text: string, grammar: Grammar | null): Item[] {
  const items: Item[] = []
  for (const token of tokenise(text)) {
    const { start, end, kind } = token
    if (kind === 'link' || kind === 'email' || kind === 'handle') continue
    const raw = text.slice(start, end)
    const item: Item = {
      kind: 'word',
      start,
      end,
      key: raw,
      entry: blankEntry,
      stressed: false,
      taken: false,
      valence: 0,
    }
    if (kind === 'emoji' || kind === 'emoticon') {
      item.kind = 'emoji'
      item.valence = kind === 'emoji' ? valenceOfEmoji(raw) : valenceOfEmoticon(raw)
    } else if (kind === 'newline') {
      item.kind = 'stop'
      item.key = '\n'
    } else if (kind === 'punctuation') {
      const mark = raw[0]!
      if ('.!?…¡¿'.includes(mark)) item.kind = mark === '¡' || mark === '¿' ? 'break' : 'stop'
      else if (breaks.has(mark) && !isHyphen(text, token)) item.kind = 'break'
      else continue
    } else if (grammar) {
      const known = lookUp(kind === 'tag' ? raw.slice(1) : raw, grammar)
      item.key = known.key
      item.entry = known.entry
      item.stressed = known.stressed
    }
    items.push(item)
  }
  return items
}

/** A hyphen inside a word joins; one with space around it divides. */
function isHyphen(text: string, { start, end }: { start: number; end: number }): boolean {
  if (text[start] !== '-' && text[start] !== '/') return false
  return /\S/.test(text[start - 1] ?? ' ') && /\S/.test(text[end] ?? ' ') && end - start === 1
}
