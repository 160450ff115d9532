const zeroWidth = /[\u200b\u200c]|\u200d|\ufeff|\u00ad|\u2060|\ufe0f/g
const marks = /\p{M}+/gu
// eslint-disable-next-line no-control-regex -- the ASCII range is what is meant
const ascii = /^[\x00-\x7f]*$/

/**
 * NFKC and full case folding of a short piece of text; zero-width characters dropped, accents kept.
 *
 * @example foldCase('CAFÉ') // "café"
 */
export function foldCase(piece: string): string {
  if (ascii.test(piece)) return piece.toLowerCase()
  return piece
    .replace(zeroWidth, '')
    .normalize('NFKC')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/ς/g, 'σ')
    .normalize('NFKC')
}

/** Words of everyday length and what they fold to; emptied when full. Few words make up most of what is written. */
const folded = new Map<string, string>()
const foldedLimit = 20_000
const foldedLength = 24

/**
 * `foldCase`, and accents taken off: `foldAccents('Café') === 'cafe'`.
 *
 * @example foldAccents('café') // "cafe"
 */
export function foldAccents(piece: string): string {
  if (piece.length > foldedLength) return withoutAccents(piece)
  const known = folded.get(piece)
  if (known !== undefined) return known
  if (folded.size >= foldedLimit) folded.clear()
  const fresh = withoutAccents(piece)
  folded.set(piece, fresh)
  return fresh
}

function withoutAccents(piece: string): string {
  if (ascii.test(piece)) return piece.toLowerCase()
  return foldCase(piece)
    .normalize('NFD')
    .replace(marks, '')
    .replace(/ø/g, 'o')
    .replace(/ł/g, 'l')
    .replace(/œ/g, 'oe')
    .replace(/æ/g, 'ae')
    .normalize('NFC')
}
