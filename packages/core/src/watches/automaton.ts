import { foldAccents, isSoftGap, tokenise, type Token } from '../text/index.ts'
import { withinOneEdit } from './misspelling.ts'
import { signsAt, slackLetters, splitApostrophes, squash, termKey, type ParsedTerm } from './term.ts'
import { WordIndex } from './wordIndex.ts'

/**
 * An occurrence of a term: UTF-16 offsets into the text, and the numbers of its first and last word, for distances. What is
 * written as one counts as one word ("don't", "l'eau", a link, an emoji); marks count for nothing.
 */
export interface Occurrence {
  start: number
  end: number
  firstWord: number
  lastWord: number
}

interface Node {
  next: Map<number, Node>
  terms: number[]
}

/** What is known of one spelling: the patterns each of its parts fulfils, or the terms a tag or handle spells. */
interface Spelling {
  parts: { offset: number; length: number; patterns: readonly number[] }[]
  terms: readonly number[]
  isName: boolean
}

/** Spellings remembered; beyond this the memory is emptied, which bounds it and is cheap. */
const memoryLimit = 60_000

const newNode = (): Node => ({ next: new Map(), terms: [] })

/**
 * One automaton over all terms of all watches. A text is walked once; each spelling met is looked up once and then
 * remembered, so that the cost of a text grows with its length and its hits and hardly with the number of terms.
 */
export class Automaton {
  readonly terms: ParsedTerm[] = []
  private readonly ids = new Map<string, number>()
  private readonly root = newNode()
  private readonly words = new WordIndex()
  private readonly tags = new WordIndex()
  private readonly handles = new WordIndex()
  private readonly patterns = new Map<string, number>()
  private readonly memory = new Map<string, Spelling>()

  /** The id of a term, added when it is new. */
  add(term: ParsedTerm): number {
    const key = termKey(term)
    const known = this.ids.get(key)
    if (known !== undefined) return known
    const id = this.terms.push(term) - 1
    this.ids.set(key, id)
    if (term.kind === 'phrase') this.addPhrase(term, id)
    const { squashed, kind, prefix, slack } = term
    // A name has no signs: "#c" is not how anybody writes "C++".
    if (kind === 'phrase' && (term.before || term.after || term.gaps.some(({ must }) => must))) return id
    // The sign is no letter that may be a slip, so that tags and handles are apart.
    if (kind !== 'handle') this.tags.add(squashed, id, { prefix, slack })
    if (kind !== 'tag') this.handles.add(squashed, id, { prefix, slack })
    return id
  }

  private addPhrase(term: ParsedTerm, id: number): void {
    let node = this.root
    term.words.forEach((word, i) => {
      const prefix = term.prefix && i === term.words.length - 1
      const pattern = this.pattern(word, prefix, term.slack)
      let next = node.next.get(pattern)
      if (!next) node.next.set(pattern, (next = newNode()))
      node = next
    })
    node.terms.push(id)
  }

  private pattern(word: string, prefix: boolean, slack: boolean): number {
    const key = `${word}|${prefix ? 1 : 0}${slack ? 1 : 0}`
    const known = this.patterns.get(key)
    if (known !== undefined) return known
    const id = this.patterns.size
    this.patterns.set(key, id)
    this.words.add(word, id, { prefix, slack })
    return id
  }

  private spelling(raw: string, kind: Token['kind']): Spelling {
    const known = this.memory.get(raw)
    if (known) return known
    if (this.memory.size >= memoryLimit) this.memory.clear()
    const isName = kind === 'tag' || kind === 'handle'
    const fresh: Spelling = isName
      ? { parts: [], terms: (kind === 'tag' ? this.tags : this.handles).find(squash(raw.slice(1))), isName }
      : { parts: this.partsOf(raw, kind), terms: [], isName }
    this.memory.set(raw, fresh)
    return fresh
  }

  private partsOf(raw: string, kind: Token['kind']): Spelling['parts'] {
    const whole = (patterns: readonly number[]) => [{ offset: 0, length: raw.length, patterns }]
    if (kind === 'link' || kind === 'email') return whole([])
    if (kind === 'emoticon') return whole(this.words.find(foldAccents(raw)))
    if (kind === 'emoji') {
      // Without a skin tone a term finds every tone, with one only that.
      const folded = foldAccents(raw)
      const toneless = folded.replace(skinTones, '')
      const found = this.words.find(folded)
      return whole(toneless === folded ? found : [...new Set([...found, ...this.words.find(toneless)])])
    }
    return splitApostrophes(raw).map(({ text, offset }) => ({
      offset,
      length: text.length,
      patterns: this.words.find(foldAccents(text)),
    }))
  }

  /** All occurrences of all terms in a text. */
  occurrences(text: string, tokens: readonly Token[] = tokenise(text)): Map<number, Occurrence[]> {
    const found = new Map<number, Occurrence[]>()
    const starts: number[] = []
    const ends: number[] = []
    const patterns: (readonly number[])[] = []
    const counts: number[] = []
    let count = 0
    for (const token of tokens) {
      if (token.kind === 'punctuation' || token.kind === 'newline') continue
      const spelling = this.spelling(text.slice(token.start, token.end), token.kind)
      if (spelling.isName) {
        this.nameHits(text, token, spelling, count, found)
        starts.push(token.start)
        ends.push(token.end)
        patterns.push([])
        counts.push(count)
      }
      for (const part of spelling.parts) {
        starts.push(token.start + part.offset)
        ends.push(token.start + part.offset + part.length)
        patterns.push(part.patterns)
        counts.push(count)
      }
      count++
    }
    for (let i = 0; i < starts.length; i++)
      if (patterns[i]!.length)
        this.walk({ text, starts, ends, patterns, counts, found, from: i }, this.root, i, false)
    return found
  }

  private nameHits(
    text: string,
    token: Token,
    spelling: Spelling,
    word: number,
    found: Map<number, Occurrence[]>,
  ) {
    for (const id of spelling.terms) {
      const term = this.terms[id]!
      const written = text.slice(token.start + 1, token.end).replace(/[_-]/g, '')
      if (term.exactCase && !sameCase(written, term.written.join('').replace(/[_-]/g, ''), term)) continue
      record(found, id, { start: token.start, end: token.end, firstWord: word, lastWord: word })
    }
  }

  private walk(walk: Walk, node: Node, at: number, broken: boolean): void {
    for (const pattern of walk.patterns[at]!) {
      const next = node.next.get(pattern)
      if (!next) continue
      for (const id of next.terms) {
        const term = this.terms[id]!
        const place = placeOf(walk, term, at, broken)
        if (!place || (term.exactCase && !isExact(walk, term, at))) continue
        record(walk.found, id, {
          ...place,
          firstWord: walk.counts[walk.from]!,
          lastWord: walk.counts[at]!,
        })
      }
      if (next.next.size === 0 || at + 1 >= walk.starts.length) continue
      const gapStart = walk.ends[at]!
      const gapEnd = walk.starts[at + 1]!
      if (isSoftGap(walk.text, gapStart, gapEnd)) this.walk(walk, next, at + 1, broken)
      else if (gapEnd - gapStart <= longestGap) this.walk(walk, next, at + 1, true)
    }
  }
}

/** Units between two words of a phrase that has a mark there. */
const longestGap = 6
const skinTones = /[\u{1f3fb}-\u{1f3ff}]/gu

function isExact(walk: Walk, term: ParsedTerm, last: number): boolean {
  return term.written.every((word, i) => {
    const at = last - term.written.length + 1 + i
    const isLast = i === term.written.length - 1
    const written = walk.text.slice(walk.starts[at], walk.ends[at])
    return sameCase(written, word, { prefix: term.prefix && isLast, slack: term.slack })
  })
}

/** Where a phrase stands, its signs included; null when a mark breaks it or a sign is missing. */
function placeOf(
  { text, starts, ends, from }: Walk,
  term: ParsedTerm,
  last: number,
  broken: boolean,
): { start: number; end: number } | null {
  const start = starts[from]!
  const end = ends[last]!
  if (term.isPlain && !broken && !term.before && !term.after) return { start, end }
  const fits = term.gaps.every(({ mark, must }, i) => {
    const [gapStart, gapEnd] = [ends[from + i]!, starts[from + i + 1]!]
    if (!must && isSoftGap(text, gapStart, gapEnd)) return true
    const between = text.slice(gapStart, gapEnd).trim()
    return mark !== '' && (between === mark || (!must && /^[.,&+:/]$/.test(between)))
  })
  if (!fits) return null
  const { before, after } = term
  if (before || after) {
    const signs = signsAt(text, start, end)
    if ((before && signs.before !== before) || (after && signs.after !== after)) return null
  }
  return { start: start - before.length, end: end + after.length }
}

interface Walk {
  text: string
  starts: number[]
  ends: number[]
  patterns: (readonly number[])[]
  /** Which word of the text each part belongs to. */
  counts: number[]
  found: Map<number, Occurrence[]>
  from: number
}

/** Whether a word has the capitals and accents of a term. Where a slip is allowed, another capital is none. */
function sameCase(
  text: string,
  wanted: string,
  { prefix, slack }: Pick<ParsedTerm, 'prefix' | 'slack'>,
): boolean {
  const a = text.normalize('NFC').replace(unseen, '')
  const b = wanted.normalize('NFC').replace(unseen, '')
  if (prefix ? a.startsWith(b) : a === b) return true
  return slack && b.length >= slackLetters && foldAccents(a) !== foldAccents(b) && withinOneEdit(a, b)
}

const unseen = /\p{DI}/gu

function record(found: Map<number, Occurrence[]>, id: number, occurrence: Occurrence): void {
  const list = found.get(id)
  if (!list) found.set(id, [occurrence])
  else if (list[list.length - 1]!.start !== occurrence.start || list[list.length - 1]!.end !== occurrence.end)
    list.push(occurrence)
}
