import { jaroWinkler } from '@skyra/jaro-winkler'
import { handleWords, nameWords, type NamedPerson } from './names.ts'

/** Somebody who may be the same person as another, with what they said lately. */
export interface Comparable extends NamedPerson {
  /** Ids of the places they wrote about. */
  places: readonly number[]
  /** Words of weight in what they said, each with when it was said, epoch milliseconds. */
  topics: readonly { word: string; at: number }[]
}

/** Why two people may be one. */
export type LikenessReason =
  | { kind: 'names'; likeness: number; one: string; other: string }
  | { kind: 'place'; place: number }
  /** Both spoke of these within days. */
  | { kind: 'topic'; words: string[]; at: number }

export type NamesReason = Extract<LikenessReason, { kind: 'names' }>

export interface Likeness {
  /** How alike the names are, 0 to 1. */
  likeness: number
  reasons: LikenessReason[]
}

/** Names less alike than this are two people's. */
export const likeNames = 0.9
const day = 86_400_000
/** Two who speak of the same within so many days speak of the same occasion. */
const occasionDays = 3
/** People who may bear a name that, with a place, still points at somebody. */
const mostBearers = 8
/** Words that both must have said. */
const sharedWords = 2

/**
 * How alike two names are: each word of the shorter one has a partner in the longer one, so that they are as alike as can be
 * (Jaro-Winkler); the figure lies between their mean and the worst of them. A lone letter stands for a word that it begins.
 * A name of one word is never told from a name of two: too many bear it.
 *
 * @returns 0 to 1, the same from both sides
 * @example namesAlike(['perrin', 'oakes'], ['oakes', 'perin']) > 0.95 // true
 */
export function namesAlike(one: readonly string[], other: readonly string[]): number {
  if (one.length < 2 || other.length < 2) {
    // Run together, as handles are: long enough to be somebody's own.
    const [a, b] = one.length === other.length ? [one[0], other[0]] : []
    return a && b && Math.min(a.length, b.length) >= runTogetherLetters ? jaroWinkler(a, b) : 0
  }
  const [short, long] = one.length <= other.length ? [one, other] : [other, one]
  return bestPartners(short.slice(0, mostWords), long.slice(0, mostWords), [])
}

/** A word shorter than this may be anybody's. */
const runTogetherLetters = 8
/** Words of a name that are looked at. */
const mostWords = 4

/** The best of all ways to give each word a partner of its own. */
function bestPartners(words: readonly string[], free: readonly string[], so: readonly number[]): number {
  const [word, ...rest] = words
  if (word === undefined) return (so.reduce((sum, each) => sum + each, 0) / so.length + Math.min(...so)) / 2
  let best = 0
  for (const [i, each] of free.entries()) {
    const alike = wordsAlike(word, each)
    best = Math.max(best, bestPartners(rest, free.toSpliced(i, 1), [...so, alike]))
  }
  return best
}

/** A lone letter that begins the other word is worth less than the word. */
const initialWorth = 0.93

function wordsAlike(a: string, b: string): number {
  if (a.length === 1 || b.length === 1) return a[0] === b[0] ? (a === b ? 1 : initialWorth) : 0
  return jaroWinkler(a, b)
}

/**
 * The pair of spellings by which two people are most alike: of a name with a name, a handle, or one with the other.
 *
 * @example closestNames({ name: 'Perrin Oakes', handles: [] }, { name: 'x', handles: ['p_oakes'] }).other // "p_oakes"
 */
export function closestNames(one: NamedPerson, other: NamedPerson): NamesReason {
  let best = { kind: 'names' as const, likeness: 0, one: one.name, other: other.name }
  for (const a of spellingsOf(one))
    for (const b of spellingsOf(other)) {
      const likeness = Math.max(namesAlike(a.words, b.words), runTogether(a.words, b.words))
      if (likeness > best.likeness) best = { kind: 'names', likeness, one: a.text, other: b.text }
    }
  return best
}

interface Spelling {
  text: string
  words: readonly string[]
}
/** Somebody is compared with many: their spellings are taken apart once. */
const spelled = new WeakMap<NamedPerson, readonly Spelling[]>()

function spellingsOf(person: NamedPerson): readonly Spelling[] {
  const known = spelled.get(person)
  if (known) return known
  const spellings = [
    { text: person.name, words: nameWords(person.name) },
    ...person.handles.map((text) => ({ text, words: handleWords(text) })),
  ]
  spelled.set(person, spellings)
  return spellings
}

/** "perrinoakes" and "Perrin Oakes". */
function runTogether(a: readonly string[], b: readonly string[]): number {
  if (a.length < 2 === b.length < 2) return 0
  const [x, y] = [a.join(''), b.join('')]
  return x.length >= runTogetherLetters && x === y ? 0.97 : 0
}

/**
 * Whether two people may be one, and why: alike names together with a place both wrote about, or with an occasion both
 * spoke of. Alike names alone are no reason; nothing here makes it certain.
 *
 * @param names how alike their names are, where that is known already
 * @param bearers how many people meet under the rarest key that the two share (`meetingKeys`), themselves among them: where many
 *   bear such a name, a place that both wrote about tells nobody from anybody
 * @returns null when they are not to be proposed
 */
export function likenessOf(
  one: Comparable,
  other: Comparable,
  { names = closestNames(one, other), bearers = 2 }: { names?: NamesReason; bearers?: number } = {},
): Likeness | null {
  if (names.likeness < likeNames) return null
  const reasons: LikenessReason[] = []
  const topic = sharedTopic(one, other)
  if (topic) reasons.push(topic)
  const place = one.places.find((each) => other.places.includes(each))
  if (place !== undefined && (topic || bearers <= mostBearers)) reasons.push({ kind: 'place', place })
  return reasons.length ? { likeness: names.likeness, reasons: [names, ...reasons] } : null
}

function sharedTopic(one: Comparable, other: Comparable): LikenessReason | null {
  const said = new Map<string, number[]>()
  for (const { word, at } of other.topics) said.set(word, [...(said.get(word) ?? []), at])
  const shared = new Map<string, number>()
  for (const { word, at } of one.topics)
    if (said.get(word)?.some((then) => Math.abs(then - at) <= occasionDays * day)) shared.set(word, at)
  return shared.size >= sharedWords
    ? { kind: 'topic', words: [...shared.keys()].sort().slice(0, 4), at: Math.max(...shared.values()) }
    : null
}
