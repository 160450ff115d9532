import { mixed } from './hash32.ts'
import { tellingOf, tells, wordOf, type StoryPrint } from './storyPrint.ts'

/** A fingerprint made ready to be compared. */
export interface Comparable {
  /** Its words once each, with what they tell, and where they stand first. */
  words: ReadonlyMap<number, { tells: number; at: number }>
  pairs: ReadonlySet<number>
}

/** Two neighbours as one number. */
const joined = (first: number, second: number) => mixed(Math.imul(wordOf(first), 0x9e3779b1) ^ wordOf(second))

export function comparable(print: StoryPrint): Comparable {
  const words = new Map<number, { tells: number; at: number }>()
  print.forEach((value, at) => {
    if (!words.has(wordOf(value))) words.set(wordOf(value), { tells: tellingOf(value), at })
  })
  const pairs = new Set<number>()
  for (let i = 1; i < print.length; i++) pairs.add(joined(print[i - 1]!, print[i]!))
  return { words, pairs }
}

/** Of the words of the shorter text so many have to stand in the other, and of its neighbours. */
export const sharedWords = 0.85
const sharedPairs = 0.6
/** A copy with a line in front, or cut, is no longer than this times the other. */
export const longest = 1.75
/**
 * How far two texts are copies of one another: the share of the words of the shorter one that stand in the other, 0.8 to 1; 0 when
 * they are none. Notices of one form with other facts are none: where the words that differ are numbers, dates or names on both sides, or
 * praise on one and blame on the other, each says something of its own.
 */
export function likeness(a: Comparable, b: Comparable): number {
  const [less, more] = a.words.size <= b.words.size ? [a, b] : [b, a]
  if (more.words.size > longest * less.words.size) return 0
  let shared = 0
  for (const word of less.words.keys()) if (more.words.has(word)) shared++
  if (shared < sharedWords * less.words.size) return 0
  let pairs = 0
  for (const pair of less.pairs) if (more.pairs.has(pair)) pairs++
  if (pairs < sharedPairs * Math.min(less.pairs.size, more.pairs.size)) return 0
  return sayOther(a, b) ? 0 : shared / less.words.size
}

function sayOther(a: Comparable, b: Comparable): boolean {
  const [one, two] = [without(a, b), without(b, a)]
  const both = (telling: number) =>
    one.some((w) => w.tells === telling) && two.some((w) => w.tells === telling)
  if (both(tells.fact) || both(tells.name)) return true
  const across = (x: typeof one, y: typeof one) =>
    x.some((w) => w.tells === tells.good) && y.some((w) => w.tells === tells.bad)
  if (across(one, two) || across(two, one)) return true
  // A first word has a capital, name or not: two of them in one place are other names.
  if (
    one.some(
      (w) => w.tells === tells.beginning && two.some((o) => o.tells === tells.beginning && o.at === w.at),
    )
  )
    return true
  // The same but for a "not".
  const [some, none] = one.length ? [one, two] : [two, one]
  return !none.length && some.length > 0 && some.every((w) => w.tells === tells.negation)
}

const without = ({ words }: Comparable, other: Comparable) =>
  [...words].filter(([word]) => !other.words.has(word)).map(([, each]) => each)
