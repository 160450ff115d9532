/** Where an answer is written, whatever it is written with. */
export interface TextEditor {
  /** Where the keys go; null: it is not there yet. */
  field(): HTMLElement | null
  /** The keys go there, to where the cursor was last; at first behind the words. */
  focus(): void
  /** What is said, without marks. */
  words(): string
  /** Puts a plain text where the cursor is, in the place of what is selected; the next gap in brackets is selected. */
  insert(plain: string): void
  /** Puts what was written here before below what is there. */
  append(written: string): void
  /** Selects some of the words. */
  show(span: { start: number; end: number; words: string }): void
}

/** A gap of a pattern that is still to be filled. */
export const gapIn = (text: string): { start: number; end: number; words: string } | null => {
  const gap = /\[\p{L}+\]/u.exec(text)
  return gap && { start: gap.index, end: gap.index + gap[0].length, words: gap[0] }
}
