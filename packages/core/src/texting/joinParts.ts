/** One of the texts that a longer one travelled as. */
export interface TextPiece {
  /** 1 to `of`. */
  number: number
  text: string
}

/** Stands where a piece has not come in. */
export const missingPiece = '[…]'

/**
 * The whole text, and whether all of it is there: pieces in their order whatever order they came in, each once, gaps shown
 * as gaps.
 *
 * @param of pieces in all, 1 to 255
 * @example joinParts([{ number: 2, text: ' at 9' }, { number: 1, text: 'Boat' }], 2) // {"text":"Boat at 9","missing":[]}
 */
export function joinParts(pieces: readonly TextPiece[], of: number): { text: string; missing: number[] } {
  const byNumber = new Map<number, string>()
  for (const { number, text } of pieces) if (!byNumber.has(number)) byNumber.set(number, text)
  const numbers = Array.from({ length: of }, (_, i) => i + 1)
  const missing = numbers.filter((number) => !byNumber.has(number))
  const text = numbers
    .map((number) => byNumber.get(number) ?? (byNumber.has(number - 1) || number === 1 ? missingPiece : ''))
    .join('')
  return { text, missing }
}
