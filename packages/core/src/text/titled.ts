const gap = '\n\n'

/**
 * Title and text as one, as they are read: a title is a paragraph of its own. Offsets of spans count in this.
 *
 * @example joinTitle('Fine trip', 'Kind crew.') // "Fine trip\n\nKind crew."
 */
export function joinTitle(title: string | null | undefined, text: string): string {
  return title ? `${title}${gap}${text}` : text
}

/** Marks before a subject that say that it is another's: of an answer, of something passed on, of an absence. */
const answered =
  /^\s*(?:(?:re|fwd?|aw|wg|antw|r[ée]p|tr|rv|i|rif|enc|res|away|out of office|absence|abwesenheit)\s*(?:\[\d+\])?\s*:\s*)+/iu

/** Whether a subject says that it is another's. */
export const isAnswerSubject = (subject: string): boolean => answered.test(subject)

/** A subject without "Re:" and its sisters. */
export const subjectCore = (subject: string): string => subject.replace(answered, '').trim()

/**
 * As `joinTitle`, for what is read for its meaning: the subject of an answer says what the first mail was about and nothing of
 * this one, so blanks stand in its place. Offsets of spans count alike.
 *
 * @example joinOwnTitle('Re: Lost', 'Here!').trim() // "Here!"
 */
export function joinOwnTitle(title: string | null | undefined, text: string): string {
  const own = title && isAnswerSubject(title) ? ' '.repeat(title.length) : title
  return joinTitle(own, text)
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
