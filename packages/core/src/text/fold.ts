/** What is not seen: joiners, soft hyphens, marks of direction, variants of pictures. */
const unseen = /\p{DI}+/gu
/** Marks that are accents of Latin and Greek letters, or stand on no letter: readers leave them out. */
const accents = /([\p{Script=Latin}\p{Script=Greek}]|[^\p{L}\p{M}]|^)\p{M}+/gu
/** The points of Hebrew; the short vowels of Arabic, its hamza over another letter and its stretched line. */
// eslint-disable-next-line no-misleading-character-class -- the marks themselves are meant
const points = /[\u0591-\u05c7\u0640\u064b-\u065f\u0670]+/g
/** Of Cyrillic, only the two dots of "ё" and the mark of stress: "й" is no "и". */
const stress = /е\u0308|([аеиоуыэюяіє])[\u0300\u0301]/g
// eslint-disable-next-line no-control-regex -- the ASCII range is what is meant
const ascii = /^[\x00-\x7f]*$/

/**
 * NFKC and full case folding of a short piece of text; what is not seen (zero width, direction) dropped, accents kept.
 *
 * @example foldCase('CAFÉ') // "café"
 */
export function foldCase(piece: string): string {
  if (ascii.test(piece)) return piece.toLowerCase()
  return piece
    .replace(unseen, '')
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
 * `foldCase`, and accents taken off where readers of the script leave them out; marks that make another letter stay ("バス"
 * is no "ハス", "й" no "и").
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
    .replace(accents, '$1')
    .replace(points, '')
    .replace(stress, (pair) => pair[0]!)
    .replace(/ø/g, 'o')
    .replace(/ł/g, 'l')
    .replace(/ı/g, 'i')
    .replace(/œ/g, 'oe')
    .replace(/æ/g, 'ae')
    .normalize('NFC')
}
