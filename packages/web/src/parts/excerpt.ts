import type { Span } from '@murrabel/contract'

/** Characters that two lines of a row show for certain, and those shown before a mark that would be cut off. */
const shown = 72
const before = 28

/**
 * The part of a text that a row shows: from its beginning, or from a word or so before the first mark where that would be
 * cut off.
 *
 * @returns the text with the marks in it
 * @example excerpt('a b c', [{ start: 2, end: 3 }]) // { text: 'a b c', marks: [{ start: 2, end: 3 }] }
 */
export function excerpt(text: string, marks: readonly Span[]): { text: string; marks: Span[] } {
  const first = marks[0]
  if (!first || first.end <= shown) return { text, marks: [...marks] }
  // As much as fills the lines, also where the mark stands near the end.
  const wanted = Math.min(first.start - before, Math.max(0, text.length - shown))
  const from = text.indexOf(' ', wanted) + 1
  const cut = from > 0 && from <= first.start ? from : first.start
  const lead = '… '
  const moved = marks.map(({ start, end }) => ({
    start: start - cut + lead.length,
    end: end - cut + lead.length,
  }))
  return { text: lead + text.slice(cut), marks: moved }
}
