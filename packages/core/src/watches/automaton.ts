import { foldAccents, isSoftGap, tokenise, type Token } from '../text/index.ts'
import { splitApostrophes, squash, termKey, type ParsedTerm } from './term.ts'
import { WordIndex } from './wordIndex.ts'

/** An occurrence of a term: UTF-16 offsets into the text, and word positions for distances. */
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
  private readonly names = new WordIndex()
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
    const sign = term.kind === 'handle' ? '@' : '#'
    const { prefix, slack } = term
    if (term.kind !== 'phrase') this.names.add(sign + term.squashed, id, { prefix, slack })
    else for (const each of ['#', '@']) this.names.add(each + term.squashed, id, { prefix, slack })
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
      ? { parts: [], terms: this.names.find((kind === 'tag' ? '#' : '@') + squash(raw.slice(1))), isName }
      : {
          parts: splitApostrophes(raw).map(({ text, offset }) => ({
            offset,
            length: text.length,
            patterns: this.words.find(foldAccents(text)),
          })),
          terms: [],
          isName,
        }
    this.memory.set(raw, fresh)
    return fresh
  }

  /** All occurrences of all terms in a text. */
  occurrences(text: string, tokens: readonly Token[] = tokenise(text)): Map<number, Occurrence[]> {
    const found = new Map<number, Occurrence[]>()
    const starts: number[] = []
    const ends: number[] = []
    const patterns: (readonly number[])[] = []
    for (const token of tokens) {
      const { kind } = token
      if (
        kind === 'punctuation' ||
        kind === 'newline' ||
        kind === 'link' ||
        kind === 'email' ||
        kind === 'emoticon'
      )
        continue
      const spelling = this.spelling(text.slice(token.start, token.end), kind)
      if (spelling.isName) {
        this.nameHits(text, token, spelling, starts.length, found)
        starts.push(token.start)
        ends.push(token.end)
        patterns.push([])
      }
      for (const part of spelling.parts) {
        starts.push(token.start + part.offset)
        ends.push(token.start + part.offset + part.length)
        patterns.push(part.patterns)
      }
    }
    for (let i = 0; i < starts.length; i++)
      if (patterns[i]!.length)
        this.walk({ text, starts, ends, patterns, found, from: i }, this.root, i, false)
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
      if (term.exactCase && !sameCase(written, term.written.join('').replace(/[_-]/g, ''), term.prefix))
        continue
      record(found, id, { start: token.start, end: token.end, firstWord: word, lastWord: word })
    }
  }

  private walk(walk: Walk, node: Node, at: number, broken: boolean): void {
    for (const pattern of walk.patterns[at]!) {
      const next = node.next.get(pattern)
      if (!next) continue
      for (const id of next.terms) {
        const term = this.terms[id]!
        if (broken && !term.punctuated) continue
        if (term.exactCase && !this.isExact(walk, term, at)) continue
        record(walk.found, id, {
          start: walk.starts[walk.from]!,
          end: walk.ends[at]!,
          firstWord: walk.from,
          lastWord: at,
        })
      }
      if (next.next.size === 0 || at + 1 >= walk.starts.length) continue
      const gapStart = walk.ends[at]!
      const gapEnd = walk.starts[at + 1]!
      if (isSoftGap(walk.text, gapStart, gapEnd)) this.walk(walk, next, at + 1, broken)
      else if (/^\s*[.,&+:/]\s*$/.test(walk.text.slice(gapStart, gapEnd))) this.walk(walk, next, at + 1, true)
    }
  }

  private isExact(walk: Walk, term: ParsedTerm, last: number): boolean {
    return term.written.every((word, i) => {
      const at = last - term.written.length + 1 + i
      const isLast = i === term.written.length - 1
      return sameCase(walk.text.slice(walk.starts[at], walk.ends[at]), word, term.prefix && isLast)
    })
  }
}

interface Walk {
  text: string
  starts: number[]
  ends: number[]
  patterns: (readonly number[])[]
  found: Map<number, Occurrence[]>
  from: number
}

function sameCase(text: string, wanted: string, prefix: boolean): boolean {
  const a = text.normalize('NFC')
  const b = wanted.normalize('NFC')
  return prefix ? a.startsWith(b) : a === b
}

function record(found: Map<number, Occurrence[]>, id: number, occurrence: Occurrence): void {
  const list = found.get(id)
  if (!list) found.set(id, [occurrence])
  else if (list[list.length - 1]!.start !== occurrence.start || list[list.length - 1]!.end !== occurrence.end)
    list.push(occurrence)
}
