import { foldAccents, tokenise } from '../text/index.ts'
import type { Term } from './query.ts'

export interface ParsedTerm {
  kind: 'phrase' | 'tag' | 'handle'
  /** The words, folded. For a tag or handle: one, without its sign. */
  words: string[]
  /** The words as written, for exact case. */
  written: string[]
  /** The words run together: how a #tag or @handle spells the phrase. */
  squashed: string
  exactCase: boolean
  prefix: boolean
  slack: boolean
  /** The term has marks between its words ("St. Orrin", "B & B"), so the text may have one there, too. */
  punctuated: boolean
}

/** Letters a word needs before a misspelling of it can be told from another word. */
export const slackLetters = 6

export const squash = (name: string) => foldAccents(name).replace(/[_\-'’\s]/g, '')

/** Splits a word at its apostrophes, so that "Skerrivane's" holds "skerrivane" and "l'eau" holds "eau". */
export function splitApostrophes(word: string): { text: string; offset: number }[] {
  const parts: { text: string; offset: number }[] = []
  const pattern = /[^'’ʼ]+/g
  for (const found of word.matchAll(pattern)) parts.push({ text: found[0], offset: found.index })
  return parts
}

/** Reads a term; null when it holds nothing that could be found (no letter, digit or emoji). */
export function parseTerm(term: Term | string): ParsedTerm | null {
  const {
    text,
    exactCase = false,
    prefix = false,
    slack = false,
  } = typeof term === 'string' ? { text: term } : term
  const trimmed = text.trim()
  const starred = trimmed.endsWith('*')
  const body = starred ? trimmed.slice(0, -1) : trimmed
  const tokens = tokenise(body)
  const shared = { exactCase, prefix: prefix || starred, slack: Boolean(slack) }
  const first = tokens[0]
  if (tokens.length === 1 && first && (first.kind === 'tag' || first.kind === 'handle')) {
    const name = body.slice(first.start + 1, first.end)
    const squashed = squash(name)
    if (!squashed) return null
    return { ...shared, kind: first.kind, words: [squashed], written: [name], squashed, punctuated: false }
  }
  const written: string[] = []
  let punctuated = false
  for (const token of tokens) {
    const raw = body.slice(token.start, token.end)
    if (token.kind === 'punctuation') punctuated ||= !/^[-‐‑'"’]+$/.test(raw)
    else if (token.kind === 'tag' || token.kind === 'handle') written.push(raw.slice(1))
    else if (token.kind !== 'newline') written.push(...splitApostrophes(raw).map((p) => p.text))
  }
  const words = written.map(foldAccents)
  if (!words.some((w) => w.length > 0)) return null
  return { ...shared, kind: 'phrase', words, written, squashed: words.join(''), punctuated }
}

/** One key for terms that find the same things. */
export function termKey(term: ParsedTerm): string {
  const options = `${term.prefix ? 'p' : ''}${term.slack ? 's' : ''}${term.punctuated ? '.' : ''}`
  return `${term.kind}|${options}|${term.exactCase ? `=${term.written.join(' ')}` : term.words.join(' ')}`
}

/**
 * The plain words of a term, as a search outside takes them: no signs, no stars; null when nothing is left.
 *
 * @example parseTermWords('#StormPetrel') // "StormPetrel"
 */
export function parseTermWords(text: string): string | null {
  const parsed = parseTerm(text)
  return parsed && parsed.written.join(' ').trim().slice(0, 120)
}
