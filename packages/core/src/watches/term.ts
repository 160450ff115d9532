import { foldAccents, isSoftGap, tokenise, type Token } from '../text/index.ts'
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
  /**
   * The marks between its words i and i + 1, '' for none: where the term has one ("St. Orrin"), the text may have one, too. Signs
   * that belong to a word ("C++ course") must be there.
   */
  gaps: { mark: string; must: boolean }[]
  /** Whether no gap holds a mark. */
  isPlain: boolean
  /** Signs that belong to the first and to the last word ("£5", "C++", "100%"): they must stand there in the text. */
  before: string
  after: string
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

const signsBefore = /[$£€¥]+$/
const signsAfter = /^(?:\+{1,3}|#|[$£€¥]|[%‰])/

/**
 * The signs that belong to a word: money before or after it, "+", "#" and per cent after it, without a space between.
 *
 * @returns the longest run on either side, '' for none
 */
export function signsAt(text: string, start: number, end: number): { before: string; after: string } {
  return {
    before: signsBefore.exec(text.slice(Math.max(0, start - 4), start))?.[0] ?? '',
    after: signsAfter.exec(text.slice(end, end + 4))?.[0] ?? '',
  }
}

/** Reads a term; null when it holds nothing that could be found (no letter, digit, emoji or emoticon). */
export function parseTerm(term: Term | string): ParsedTerm | null {
  const given: Term = typeof term === 'string' ? { text: term } : term
  const { text, exactCase = false, prefix = false, slack = false } = given
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
    const plain = { gaps: [], isPlain: true, before: '', after: '' }
    return { ...shared, ...plain, kind: first.kind, words: [squashed], written: [name], squashed }
  }
  return readPhrase(body, tokens, shared)
}

function readPhrase(
  body: string,
  tokens: readonly Token[],
  shared: Pick<ParsedTerm, 'exactCase' | 'prefix' | 'slack'>,
): ParsedTerm | null {
  const written: string[] = []
  const gaps: ParsedTerm['gaps'] = []
  let [start, end] = [-1, -1]
  for (const token of tokens) {
    if (token.kind === 'punctuation' || token.kind === 'newline') continue
    const raw = body.slice(token.start, token.end)
    const isName = token.kind === 'tag' || token.kind === 'handle'
    const parts =
      token.kind === 'emoticon' ? [raw] : isName ? [raw.slice(1)] : splitApostrophes(raw).map((p) => p.text)
    parts.forEach((part, i) => {
      if (written.length) gaps.push(i || isName ? noMark : gapOf(body, end, token.start))
      written.push(part)
    })
    if (start < 0) start = token.start
    end = token.end
  }
  const words = written.map(foldAccents)
  if (!words.some((w) => w.length > 0)) return null
  const { before, after } = signsAt(body, start, end)
  return {
    ...shared,
    kind: 'phrase',
    words,
    written,
    squashed: words.join(''),
    gaps,
    isPlain: gaps.every(({ mark }) => !mark),
    before,
    // The last word may go on, so that no sign can follow it.
    after: shared.prefix ? '' : after,
  }
}

const noMark = { mark: '', must: false }

function gapOf(body: string, from: number, to: number): ParsedTerm['gaps'][number] {
  const between = body.slice(from, to)
  if (isSoftGap(body, from, to)) return noMark
  return { mark: between.trim(), must: signsAfter.test(between) || signsBefore.test(between) }
}

/** One key for terms that find the same things. */
export function termKey(term: ParsedTerm): string {
  const options = `${term.prefix ? 'p' : ''}${term.slack ? 's' : ''}`
  const marks = term.isPlain ? '' : term.gaps.map(({ mark }) => mark).join('\n')
  return `${term.kind}|${options}|${term.before}|${term.after}|${marks}|${term.exactCase ? `=${term.written.join(' ')}` : term.words.join(' ')}`
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
