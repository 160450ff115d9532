import { mixed } from './hash32.ts'
import { wordOf, type StoryPrint } from './storyPrint.ts'

/** Words of a run by which a text is found: fewer are common where everybody says much the same, more do not outlast changes. */
const runLength = 5
/** So many runs of a text: those whose numbers are the least, so that two long texts mostly choose the same. */
export const runsOfText = 24

/** A number of 30 bits, which is kept without a box of its own. */
const small = (hash: number) => hash >>> 2

/** Runs of words by which a text is found, as numbers of 30 bits, rising. */
export function runsOf(print: StoryPrint): number[] {
  const least: number[] = []
  for (let end = runLength; end <= print.length; end++) {
    let run = runLength
    for (let i = end - runLength; i < end; i++)
      run = Math.imul(run ^ wordOf(print[i]!), 0x9e3779b1) ^ (run >>> 15)
    keepLeast(least, small(mixed(run)))
  }
  return least
}

function keepLeast(least: number[], run: number): void {
  let at = least.length
  while (at > 0 && least[at - 1]! > run) at--
  if (at === runsOfText || (at > 0 && least[at - 1] === run)) return
  if (least.length < runsOfText) least.push(run)
  for (let i = least.length - 1; i > at; i--) least[i] = least[i - 1]!
  least[at] = run
}

/** All words of a text in their order, as a number of 30 bits. */
export function wholeOf(print: StoryPrint): number {
  let hash = 7
  for (const value of print) hash = mixed(Math.imul(hash, 31) ^ wordOf(value))
  return small(hash)
}
