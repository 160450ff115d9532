import type { Token } from './tokenise.ts'
import { tokenise } from './tokenise.ts'

export interface Sentence {
  /** UTF-16 offsets into the original text, end exclusive. */
  start: number
  end: number
  /** The number of the paragraph, from 0; paragraphs are divided by an empty line. */
  paragraph: number
  /** Range of tokens, end exclusive. */
  firstToken: number
  lastToken: number
}

const abbreviations = new Set(
  'mr mrs ms dr st prof sr jr vs etc approx no nr tel mme mlle m z b bzw ca sra srta ud uds fig e.g i.e a.m p.m'.split(
    ' ',
  ),
)

function endsSentence(text: string, tokens: readonly Token[], i: number): boolean {
  const token = tokens[i]!
  if (token.kind === 'emoji') return false
  if (token.kind !== 'punctuation') return false
  const mark = text[token.start]!
  if (!'.!?…。！？'.includes(mark)) return false
  const next = tokens[i + 1]
  if (!next) return true
  if (mark !== '.' && mark !== '…') return true
  const spaced = next.start > token.end
  if (!spaced && next.kind === 'word') return false
  const before = tokens[i - 1]
  if (
    mark === '.' &&
    token.end - token.start === 1 &&
    before?.kind === 'word' &&
    before.end === token.start
  ) {
    const word = text.slice(before.start, before.end).toLowerCase()
    if (abbreviations.has(word)) return false
    // An initial: "P. Oakes".
    if (word.length === 1 && word !== 'i') return false
  }
  const first = text[next.start] ?? ''
  const isLower = next.kind === 'word' && first === first.toLowerCase() && first !== first.toUpperCase()
  return !isLower || token.end - token.start === 1
}

const openers = '([{（【'
const closers = ')]}）】'
/** An aside is short; a bracket that is closed further on is rather a slip. */
const longestAside = 60

/** For each token whether it lies in brackets opened within a sentence: an end mark in there ends nothing outside. */
function insideBrackets(text: string, tokens: readonly Token[]): Uint8Array {
  const inside = new Uint8Array(tokens.length)
  const open: { at: number; mark: string }[] = []
  for (let i = 0; i < tokens.length; i++) {
    const { kind, start } = tokens[i]!
    if (kind === 'newline') open.length = 0
    if (kind !== 'punctuation') continue
    const mark = text[start]!
    if (openers.includes(mark)) open.push({ at: i, mark })
    if (!closers.includes(mark)) continue
    const last = open.pop()
    if (!last || openers.indexOf(last.mark) !== closers.indexOf(mark) || i - last.at > longestAside) continue
    if (beginsSentence(text, tokens, last.at)) continue
    inside.fill(1, last.at + 1, i)
  }
  return inside
}

function beginsSentence(text: string, tokens: readonly Token[], at: number): boolean {
  const before = tokens[at - 1]
  return !before || before.kind === 'newline' || '.!?…。！？'.includes(text[before.end - 1]!)
}

/** A line of this length was rather broken by a program than by its writer. */
const wrappedFrom = 55

/** Whether a line end is one that a mail program set: the line is long, and the next goes on in a small letter. */
function isWrapped(text: string, tokens: readonly Token[], i: number, lineStart: number): boolean {
  const before = tokens[i - 1]
  const next =
    tokens[i + 1]?.kind === 'newline' && text[tokens[i]!.start] === '\r' ? tokens[i + 2] : tokens[i + 1]
  if (!before || before.end - lineStart < wrappedFrom || next?.kind !== 'word') return false
  return /^\p{Ll}/u.test(text.slice(next.start, next.start + 2))
}

/**
 * Sentence boundaries over tokens already made, with the paragraph each sentence is in. A sentence ends with its mark, not
 * with one in brackets inside of it, and with its line, unless a mail program broke that.
 *
 * @example splitSentences('Late again. Kind crew.').length // 2
 * @example splitSentences('Maren (late again!) was kind.').length // 1
 */
export function splitSentences(text: string, tokens: readonly Token[] = tokenise(text)): Sentence[] {
  const sentences: Sentence[] = []
  const inside = insideBrackets(text, tokens)
  let paragraph = 0
  let first = 0
  let lineStart = 0
  const close = (last: number) => {
    let from = first
    let to = last
    while (from < to && tokens[from]!.kind === 'newline') from++
    while (to > from && tokens[to - 1]!.kind === 'newline') to--
    if (to > from)
      sentences.push({
        start: tokens[from]!.start,
        end: tokens[to - 1]!.end,
        paragraph,
        firstToken: from,
        lastToken: to,
      })
    first = last
  }
  for (let i = 0; i < tokens.length; i++) {
    if (tokens[i]!.kind === 'newline') {
      const wrapped = isWrapped(text, tokens, i, lineStart)
      if (!wrapped) close(i)
      let lines = 0
      while (i < tokens.length && tokens[i]!.kind === 'newline') {
        if (text[tokens[i]!.start] !== '\r' || text[tokens[i]!.end] !== '\n') lines++
        i++
      }
      lineStart = tokens[i - 1]!.end
      if (!wrapped) first = i
      if (lines > 1) paragraph++
      i--
    } else if (!inside[i] && endsSentence(text, tokens, i)) {
      // Closing quotes and brackets belong to the sentence that ends.
      let last = i + 1
      while (
        last < tokens.length &&
        tokens[last]!.kind === 'punctuation' &&
        '"”’\')]»'.includes(text[tokens[last]!.start]!)
      )
        last++
      close(last)
      i = last - 1
    }
  }
  close(tokens.length)
  return sentences
}
