const zeroWidth = /[\u200b\u200c]|\u200d|\ufeff|\u00ad|\u2060|\ufe0f/g
const marks = /\p{M}+/gu
// eslint-disable-next-line no-control-regex -- the ASCII range is what is meant
const ascii = /^[\x00-\x7f]*$/

/** NFKC and full case folding of a short piece of text; zero-width characters dropped, accents kept. */
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

/** `foldCase`, and accents taken off: `foldAccents('Café') === 'cafe'`. */
export function foldAccents(piece: string): string {
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
