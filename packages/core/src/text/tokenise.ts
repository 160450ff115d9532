import { isBareHost } from './bareLink.ts'
import { CharClass, charClassAt, unitsAt } from './charClass.ts'

export type TokenKind =
  'word' | 'tag' | 'handle' | 'link' | 'email' | 'number' | 'emoji' | 'emoticon' | 'punctuation' | 'newline'

export interface Token {
  kind: TokenKind
  /** UTF-16 offsets into the original text, end exclusive. */
  start: number
  end: number
}

// Sticky and with bounded repeats (RFC 5321 allows 64 and 255 octets), so that no input makes the scan quadratic.
const email = /[\p{L}\p{N}._%+-]{1,64}@[\p{L}\p{N}-]{1,63}(?:\.[\p{L}\p{N}-]{1,63}){1,8}/uy
const link = /(?:https?:\/\/|www\.)[^\s<>"“”«»]+/iy
/** A name with dots, which may end a sentence, and what follows it. */
const dotted = /[a-z0-9-]{1,63}(?:\.[a-z0-9-]{1,63}){0,6}\.[a-z]{2,24}(?![\p{L}\p{N}@-]|\.[\p{L}\p{N}])/iuy
const path = /\/[^\s<>"“”«»]*/y
const emoticon =
  /(?:[:;=][-'^o]?[)(\]D[PpOo/\\|*3]{1,3}|8[-'^o][)(\]DPp]{1,3}|[xX]D{1,3}|<\/?3+|[)(\]][-']?[:;=]|\^_?\^|:'\(|>:\(|-_+-|o_O|O_o)(?![\p{L}\p{N}])/uy
const linkTail = /[.,;:!?)\]}'’…]+$/

function stickyEnd(pattern: RegExp, text: string, at: number): number {
  pattern.lastIndex = at
  return pattern.test(text) ? pattern.lastIndex : -1
}

const isWordClass = (c: CharClass) => c === CharClass.letter || c === CharClass.digit || c === CharClass.mark
const isApostrophe = (unit: number) => unit === 0x27 || unit === 0x2019 || unit === 0x2bc
const isDash = (unit: number) => unit === 0x2d || unit === 0x2010 || unit === 0x2011

/** End of the word that starts at `at`: letters, digits and marks, with apostrophes between letters. */
function wordEnd(text: string, at: number): { end: number; digitsOnly: boolean } {
  let i = at
  let digitsOnly = true
  while (i < text.length) {
    const c = charClassAt(text, i)
    if (isWordClass(c)) {
      if (c === CharClass.letter) digitsOnly = false
      i += unitsAt(text, i)
      continue
    }
    const unit = text.charCodeAt(i)
    const inner = i > at && i + 1 < text.length
    if (inner && isApostrophe(unit) && !digitsOnly && charClassAt(text, i + 1) === CharClass.letter) {
      i += 1
      continue
    }
    const inNumber = digitsOnly && inner && (unit === 0x2e || unit === 0x2c || unit === 0x3a)
    if (inNumber && charClassAt(text, i + 1) === CharClass.digit) {
      i += 1
      continue
    }
    break
  }
  return { end: i, digitsOnly }
}

/** End of a whole emoji: variation selectors, skin tones, joined sequences and flags kept together. */
function emojiEnd(text: string, at: number): number {
  const isFlag = (i: number) => {
    const code = text.codePointAt(i) ?? 0
    return code >= 0x1f1e6 && code <= 0x1f1ff
  }
  if (isFlag(at)) return isFlag(at + 2) ? at + 4 : at + 2
  let i = at + unitsAt(text, at)
  while (i < text.length) {
    const code = text.codePointAt(i) ?? 0
    if (code === 0xfe0f || code === 0x20e3) i += 1
    else if (code >= 0x1f3fb && code <= 0x1f3ff) i += 2
    else if (code === 0x200d && charClassAt(text, i + 1) === CharClass.emoji) i += 1 + unitsAt(text, i + 1)
    else break
  }
  return i
}

function linkEnd(text: string, at: number, end: number): number {
  const tail = linkTail.exec(text.slice(Math.max(at, end - 16), end))
  return tail ? end - tail[0].length : end
}

/** End of a web address without a scheme; -1 when what stands there is none. */
function bareLinkEnd(text: string, at: number): number {
  const end = stickyEnd(dotted, text, at)
  if (end < 0) return -1
  if (text[end] === '/') return isBareHost(text.slice(at, end), true) ? stickyEnd(path, text, end) : -1
  // "orrin.example.Then": the sentence that begins there is no part of it.
  for (let host = text.slice(at, end); host.includes('.'); host = host.slice(0, host.lastIndexOf('.')))
    if (isBareHost(host, false)) return at + host.length
  return -1
}

function nameEnd(text: string, at: number): number {
  let i = at
  while (i < text.length && (isWordClass(charClassAt(text, i)) || text.charCodeAt(i) === 0x5f))
    i += unitsAt(text, i)
  return i
}

function isBoundaryBefore(text: string, at: number): boolean {
  return at === 0 || !isWordClass(charClassAt(text, at - 1))
}

interface Scan {
  text: string
  tokens: Token[]
  /** Up to here no `@` stands within reach, so no e-mail address can start: saves trying at every word. */
  nextAt: number
  /** The same for the dot of a web address, which something follows. */
  nextDot: number
}

function mayBeEmail(scan: Scan, at: number): boolean {
  if (scan.nextAt < at) {
    const found = scan.text.indexOf('@', at)
    scan.nextAt = found < 0 ? Infinity : found
  }
  return scan.nextAt - at <= 64
}

function mayBeLink(scan: Scan, at: number): boolean {
  if (scan.nextDot < at) {
    let found = scan.text.indexOf('.', at)
    // The full stop of a sentence has a space or nothing behind it.
    while (found >= 0 && !(scan.text.charCodeAt(found + 1) > 0x20)) found = scan.text.indexOf('.', found + 1)
    scan.nextDot = found < 0 ? Infinity : found
  }
  if (scan.nextDot - at <= 63) return true
  return (
    (scan.text.charCodeAt(at) | 32) === 0x68 &&
    scan.text.startsWith('://', at + (scan.text[at + 4] === 's' ? 5 : 4))
  )
}

function wordToken(scan: Scan, at: number): Token {
  const { text } = scan
  if (mayBeEmail(scan, at)) {
    const end = stickyEnd(email, text, at)
    if (end > 0) return { kind: 'email', start: at, end }
  }
  if (mayBeLink(scan, at)) {
    let end = stickyEnd(link, text, at)
    if (end < 0) end = bareLinkEnd(text, at)
    if (end > 0) return { kind: 'link', start: at, end: linkEnd(text, at, end) }
  }
  const { end, digitsOnly } = wordEnd(text, at)
  return { kind: digitsOnly ? 'number' : 'word', start: at, end }
}

function symbolToken(text: string, at: number): Token {
  const unit = text.charCodeAt(at)
  if ((unit === 0x23 || unit === 0x40 || unit === 0xff03) && isBoundaryBefore(text, at)) {
    const end = nameEnd(text, at + 1)
    if (end > at + 1 && charClassAt(text, at + 1) !== CharClass.mark)
      return { kind: unit === 0x40 ? 'handle' : 'tag', start: at, end }
  }
  const smile = isBoundaryBefore(text, at) ? stickyEnd(emoticon, text, at) : -1
  if (smile > 0) return { kind: 'emoticon', start: at, end: smile }
  // Runs of the same mark are one token: "!!!", "...", "--".
  let end = at + unitsAt(text, at)
  while (end < text.length && text.charCodeAt(end) === unit && end - at < 32) end++
  return { kind: 'punctuation', start: at, end }
}

function tokenAt(scan: Scan, at: number, c: CharClass): Token {
  const { text } = scan
  switch (c) {
    case CharClass.newline:
      return { kind: 'newline', start: at, end: at + 1 }
    case CharClass.ideograph:
      return { kind: 'word', start: at, end: at + unitsAt(text, at) }
    case CharClass.emoji:
      return { kind: 'emoji', start: at, end: emojiEnd(text, at) }
    case CharClass.letter:
    case CharClass.digit: {
      const unit = text.charCodeAt(at)
      if (
        (unit === 0x78 || unit === 0x58 || unit === 0x38 || unit === 0x6f || unit === 0x4f) &&
        isBoundaryBefore(text, at)
      ) {
        const smile = stickyEnd(emoticon, text, at)
        if (smile > 0) return { kind: 'emoticon', start: at, end: smile }
      }
      return wordToken(scan, at)
    }
    default:
      return symbolToken(text, at)
  }
}

/**
 * Words, #tags, @handles, links, e-mail addresses, numbers, emoji (whole grapheme clusters), emoticons, runs of
 * punctuation, and line ends. White space is left out. Words keep their apostrophes ("don't") and end at hyphens;
 * letters of scripts without spaces are words of their own. One pass; cost grows with the length alone.
 *
 * @example tokenise('Hi @ness :)').map((t) => t.kind) // ['word', 'handle', 'emoticon']
 */
export function tokenise(text: string): Token[] {
  const scan: Scan = { text, tokens: [], nextAt: -1, nextDot: -1 }
  let at = 0
  while (at < text.length) {
    const c = charClassAt(text, at)
    if (c === CharClass.space || c === CharClass.mark) {
      at += 1
      continue
    }
    const token = tokenAt(scan, at, c)
    scan.tokens.push(token)
    at = token.end
  }
  return scan.tokens
}

/** Whether nothing but white space, hyphens, quotes, underscores or slashes lies between two words of a phrase. */
export function isSoftGap(text: string, from: number, to: number): boolean {
  for (let i = from; i < to; i++) {
    const c = charClassAt(text, i)
    if (c === CharClass.space || c === CharClass.mark || c === CharClass.newline) continue
    const unit = text.charCodeAt(i)
    if (isDash(unit) || isApostrophe(unit)) continue
    if (
      unit === 0x22 ||
      unit === 0x2f ||
      unit === 0x5f ||
      unit === 0x201c ||
      unit === 0x201d ||
      unit === 0x2018
    )
      continue
    return false
  }
  return true
}
