const gap = '\n\n'

/**
 * Title and text as one, as they are read: a title is a paragraph of its own. Offsets of spans count in this.
 *
 * @example joinTitle('Fine trip', 'Kind crew.') // "Fine trip\n\nKind crew."
 */
export function joinTitle(title: string | null | undefined, text: string): string {
  return title ? `${title}${gap}${text}` : text
}

interface Span {
  start: number
  end: number
}

/**
 * The spans that lie in the text behind the title, counted from its beginning.
 *
 * @example spansOfText('Hey', [{ start: 6, end: 9 }]) // [{"start":1,"end":4}]
 */
export function spansOfText<T extends Span>(title: string | null | undefined, spans: readonly T[]): T[] {
  const offset = title ? title.length + gap.length : 0
  return spans
    .filter((s) => s.start >= offset)
    .map((s) => ({ ...s, start: s.start - offset, end: s.end - offset }))
}

/** The spans that lie in the title. */
export function spansOfTitle<T extends Span>(title: string | null | undefined, spans: readonly T[]): T[] {
  return title ? spans.filter((s) => s.end <= title.length) : []
}
