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

/**
 * Sentence boundaries over tokens already made, with the paragraph each sentence is in.
 *
 * @example splitSentences('Late again. Kind crew.').length // 2
 */
export function splitSentences(text: string, tokens: readonly Token[] = tokenise(text)): Sentence[] {
  const sentences: Sentence[] = []
  let paragraph = 0
  let first = 0
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
      close(i)
      let lines = 0
      while (i < tokens.length && tokens[i]!.kind === 'newline') {
        if (text[tokens[i]!.start] !== '\r') lines++
        i++
      }
      first = i
      if (lines > 1) paragraph++
      i--
    } else if (endsSentence(text, tokens, i)) {
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
