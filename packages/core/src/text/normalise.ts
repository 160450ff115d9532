import { foldAccents, foldCase } from './fold.ts'

export interface Normalised {
  /** The normalised text. */
  text: string
  /** The [start, end) of the original text that gave the units [start, end) of the normalised one. */
  toOriginal(start: number, end: number): { start: number; end: number }
}

const unified: Record<string, string> = {
  '\u2018': "'",
  '\u2019': "'",
  '\u201a': "'",
  '\u201b': "'",
  '\u02bc': "'",
  '\u00b4': "'",
  '\u201c': '"',
  '\u201d': '"',
  '\u201e': '"',
  '\u00ab': '"',
  '\u00bb': '"',
  '\u2010': '-',
  '\u2011': '-',
  '\u2012': '-',
  '\u2013': '-',
  '\u2014': '-',
  '\u2212': '-',
}

// A base character with the marks that belong to it: the smallest piece that NFKC may join.
const cluster = /\P{M}\p{M}*|\p{M}+/gu

/**
 * NFKC, case folded, quotes and dashes unified, zero-width characters dropped.
 *
 * @param options.accents keep accents (default true) or fold them away
 * @returns the text and a way back to the offsets of the original, so that matches are marked in it
 * @example normalise('“Café”').text === '"café"'
 */
export function normalise(text: string, { accents = true }: { accents?: boolean } = {}): Normalised {
  const starts: number[] = []
  const ends: number[] = []
  let out = ''
  for (const found of text.matchAll(cluster)) {
    const piece = found[0]
    const folded = unified[piece] ?? (accents ? foldCase(piece) : foldAccents(piece))
    for (let i = 0; i < folded.length; i++) {
      starts.push(found.index)
      ends.push(found.index + piece.length)
    }
    out += folded
  }
  return {
    text: out,
    toOriginal(start, end) {
      if (end <= start) {
        const at = starts[start] ?? text.length
        return { start: at, end: at }
      }
      return { start: starts[start] ?? text.length, end: ends[end - 1] ?? text.length }
    },
  }
}
