/** One of so many readings is asked about where somebody meets it. */
const oneOf = 25

/**
 * Whether a reading is one of the few that are asked about, whatever it says: by its number alone, so that those that are judged
 * stand for all.
 *
 * @example [1, 2, 3, 4, 5].filter(isDrawn) // []
 */
export function isDrawn(entryId: number): boolean {
  let h = Math.imul(entryId ^ (entryId >>> 16), 0x45d9f3b)
  h = Math.imul(h ^ (h >>> 16), 0x45d9f3b)
  return ((h ^ (h >>> 16)) >>> 0) % oneOf === 0
}
