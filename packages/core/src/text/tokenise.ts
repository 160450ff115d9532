import { CharClass, charClassAt, unitsAt } from './charClass.ts'
import { findAddresses, type FoundAddress } from './webAddresses.ts'

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
const emoticon =
  /(?:[:;=][-'^o]?[)(\]D[PpOo/\\|*3]{1,3}|8[-'^o][)(\]DPp]{1,3}|[xX]D{1,3}|<\/?3+|[)(\]][-']?[:;=]|\^_?\^|:'\(|>:\(|-_+-|o_O|O_o)(?![\p{L}\p{N}])/uy

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

/** End of a whole emoji: variation selectors, skin tones, joined sequences and flags (of countries and their parts) kept together. */
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
    else if ((code >= 0x1f3fb && code <= 0x1f3ff) || (code >= 0xe0020 && code <= 0xe007f)) i += 2
    else if (code === 0x200d && charClassAt(text, i + 1) === CharClass.emoji) i += 1 + unitsAt(text, i + 1)
    else break
  }
  return i
}

function nameEnd(text: string, at: number): number {
  let i = at
  while (i < text.length) {
    const c = charClassAt(text, i)
    if (!isWordClass(c) && c !== CharClass.ideograph && text.charCodeAt(i) !== 0x5f) break
    i += unitsAt(text, i)
  }
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
  addresses: readonly FoundAddress[]
  /** Index of the first address that is not yet behind. */
  address: number
}

function mayBeEmail(scan: Scan, at: number): boolean {
  if (scan.nextAt < at) {
    const found = scan.text.indexOf('@', at)
    scan.nextAt = found < 0 ? Infinity : found
  }
  return scan.nextAt - at <= 64
}

/** End of the web address that starts at `at`; -1 when none does. */
function addressEnd(scan: Scan, at: number): number {
  const { addresses } = scan
  while (scan.address < addresses.length && addresses[scan.address]!.start < at) scan.address++
  const next = addresses[scan.address]
  return next?.start === at ? next.end : -1
}

function wordToken(scan: Scan, at: number): Token {
  const { text } = scan
  if (mayBeEmail(scan, at)) {
    const end = stickyEnd(email, text, at)
    if (end > 0) return { kind: 'email', start: at, end }
  }
  const address = addressEnd(scan, at)
  if (address > 0) return { kind: 'link', start: at, end: address }
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
    case CharClass.ideograph: {
      const address = addressEnd(scan, at)
      if (address > 0) return { kind: 'link', start: at, end: address }
      let end = at + unitsAt(text, at)
      while (end < text.length && charClassAt(text, end) === CharClass.mark) end += unitsAt(text, end)
      return { kind: 'word', start: at, end }
    }
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
  const scan: Scan = { text, tokens: [], nextAt: -1, addresses: findAddresses(text), address: 0 }
  let at = 0
  while (at < text.length) {
    const c = charClassAt(text, at)
    if (c === CharClass.space || c === CharClass.mark) {
      at += unitsAt(text, at)
      continue
    }
    const token = tokenAt(scan, at, c)
    scan.tokens.push(token)
    at = token.end
  }
  return scan.tokens
}

/** Quotation marks of all our languages, slash and underscore. */
const softMarks = new Set(Array.from('"/_“”„‘‚«»‹›「」『』', (mark) => mark.charCodeAt(0)))

/** Whether nothing but white space, hyphens, quotation marks, underscores or slashes lies between two words of a phrase. */
export function isSoftGap(text: string, from: number, to: number): boolean {
  for (let i = from; i < to; i += unitsAt(text, i)) {
    const c = charClassAt(text, i)
    if (c === CharClass.space || c === CharClass.mark || c === CharClass.newline) continue
    const unit = text.charCodeAt(i)
    if (isDash(unit) || isApostrophe(unit) || softMarks.has(unit)) continue
    return false
  }
  return true
}
