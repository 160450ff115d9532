/** Classes of UTF-16 units and code points that the scanners tell apart. */
export const CharClass = {
  space: 0,
  letter: 1,
  digit: 2,
  /** Combining marks and what is not seen (joiners, marks of direction): they never start a token but continue a word. */
  mark: 3,
  /** Letters of scripts written without spaces: each is a word of its own. */
  ideograph: 4,
  emoji: 5,
  newline: 6,
  other: 7,
} as const
export type CharClass = (typeof CharClass)[keyof typeof CharClass]

const unset = 255
const table = new Uint8Array(0x10000).fill(unset)

function classify(char: string): CharClass {
  if (char === '\n' || char === '\r' || char === '\u2028' || char === '\u2029') return CharClass.newline
  // The two half-width sound marks of katakana are letters to Unicode.
  if (/^[\p{DI}\uff9e\uff9f]$/u.test(char)) return CharClass.mark
  if (/^\s$/u.test(char)) return CharClass.space
  if (/^\p{M}$/u.test(char)) return CharClass.mark
  if (/^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]$/u.test(char))
    return CharClass.ideograph
  if (/^\p{L}$/u.test(char)) return CharClass.letter
  if (/^\p{N}$/u.test(char)) return CharClass.digit
  if (
    /^[\p{Extended_Pictographic}\p{Regional_Indicator}]$/u.test(char) &&
    !/^[\u00a9\u00ae\u2122]$/.test(char)
  )
    return CharClass.emoji
  return CharClass.other
}

/** The class of the code point at `index` of `text`; constant time, looked up in a table filled on first use. */
export function charClassAt(text: string, index: number): CharClass {
  const unit = text.charCodeAt(index)
  if (unit >= 0xd800 && unit <= 0xdbff) {
    const code = text.codePointAt(index) ?? unit
    return code > 0xffff ? classify(String.fromCodePoint(code)) : CharClass.other
  }
  const known = table[unit]
  if (known !== unset) return known as CharClass
  const fresh = classify(String.fromCharCode(unit))
  table[unit] = fresh
  return fresh
}

/**
 * Length in UTF-16 units of the code point at `index`: 1 or 2.
 *
 * @example unitsAt('🐦', 0) // 2
 */
export function unitsAt(text: string, index: number): 1 | 2 {
  const unit = text.charCodeAt(index)
  if (unit < 0xd800 || unit > 0xdbff) return 1
  const next = text.charCodeAt(index + 1)
  return next >= 0xdc00 && next <= 0xdfff ? 2 : 1
}
