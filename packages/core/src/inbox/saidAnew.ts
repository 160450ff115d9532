/** Share of words that two texts must have in common to count as the same with something mended. */
const sameShare = 0.7

const wordsOf = (text: string) => new Set(text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [])

/**
 * Whether a changed text says something else, so that an answer to the first one is none to it: fewer than seven of ten
 * different words are in both. A slip that was mended is not said anew.
 *
 * @example isSaidAnew('The boat was lat', 'The boat was late') // false
 * @example isSaidAnew('Lovely crew', 'Still no refund after six weeks') // true
 */
export function isSaidAnew(before: string, after: string): boolean {
  const [one, other] = [wordsOf(before), wordsOf(after)]
  // A slip of typing is another word: one of each is let pass.
  const shared = [...other].filter((word) => one.has(word)).length + 1
  const all = new Set([...one, ...other]).size - 1
  return shared / Math.max(1, all) < sameShare
}
