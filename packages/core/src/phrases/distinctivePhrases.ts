import {
  countPhrases,
  isGlue,
  hasContentWord,
  keyOf,
  Tally,
  WordNumbers,
  wordsOfKey,
  type NumberedDoc,
  type PhraseDoc,
} from './countPhrases.ts'
import { chanceOf, distinctiveness, heldByRate, type Share } from './distinctiveness.ts'

export interface DistinctivePhrase {
  /** Folded words, as search takes them. */
  words: string[]
  /** Entries of the foreground that hold it, and of the background. */
  count: number
  before: number
  /** How distinctive, in standard deviations: see `distinctiveness`. */
  z: number
  /** Ids of the foreground's entries that hold it. */
  entries: number[]
}

export interface PhraseOptions {
  /** Phrases at most. Default 40. */
  limit?: number
  /** Entries a phrase needs. Default: 3, or 1 in 500 of the foreground. */
  minimum?: number
  /** Of the phrases told, at most this share may be told by accident. Default 0.1. */
  falseRate?: number
  /** Words not to be told: those that were asked for. */
  without?: readonly string[]
}

/** A phrase that covers this part of another's entries says the same. */
const overlap = 0.6

/**
 * Phrases of one to three words that tell the foreground from the background, by the number of entries that hold each, so
 * that one who repeats himself counts once. Only as many are told as keep the share of accidents under `falseRate`; where
 * nothing tells, nothing is told. Of phrases that say the same the more telling one stays.
 */
export function distinctivePhrases(
  foreground: readonly PhraseDoc[],
  background: readonly PhraseDoc[],
  options: PhraseOptions = {},
): DistinctivePhrase[] {
  const numbers = new WordNumbers()
  return distinctiveNumbered(
    { docs: foreground.map(({ text }) => numbers.number(text)), ids: foreground.map(({ id }) => id) },
    { docs: background.map(({ text }) => numbers.number(text)) },
    numbers,
    options,
  )
}

/** `distinctivePhrases` on texts that were numbered before. */
export function distinctiveNumbered(
  foreground: { docs: readonly NumberedDoc[]; ids: readonly number[] },
  background: { docs: readonly NumberedDoc[] },
  { words }: WordNumbers,
  options: PhraseOptions = {},
): DistinctivePhrase[] {
  const front = foreground.docs
  const minimum = options.minimum ?? Math.max(3, Math.ceil(front.length / 500))
  const counts = countPhrases(front, { minimum })
  const before = countOf(background.docs, counts)
  const ranked = rank(
    [...counts].map(([key, n]) => ({
      key,
      front: n,
      fronts: front.length,
      back: before.get(key) ?? 0,
      backs: background.docs.length,
    })),
    { docs: front, words, minimum, options },
  )
  const chosen = withoutOverlap(ranked, front, options.limit ?? 40)
  return chosen.map(({ key, count, z, docs }) => ({
    words: wordsOfKey(key, words),
    count,
    before: before.get(key) ?? 0,
    z,
    entries: docs.map((d) => foreground.ids[d]!),
  }))
}

/** Counts, in the background, of the phrases that matter in the foreground. */
function countOf(docs: readonly NumberedDoc[], wanted: ReadonlyMap<number, number>): Map<number, number> {
  const tally = new Tally()
  docs.forEach((doc, d) => {
    for (let i = 0; i < doc.length; i++) {
      const a = doc[i]!
      if (!a || !wanted.has(a)) continue
      tally.meet(a, d)
      const b = doc[i + 1]
      if (!b || !wanted.has(b)) continue
      const pair = keyOf(a, b)
      if (!wanted.has(pair)) continue
      tally.meet(pair, d)
      const triple = keyOf(a, b, doc[i + 2] ?? 0)
      if (triple !== pair && wanted.has(triple)) tally.meet(triple, d)
    }
  })
  const counts = new Map<number, number>()
  tally.into(counts)
  return counts
}

/** Where each of these phrases is met first. */
function firstPlaces(docs: readonly NumberedDoc[], wanted: ReadonlySet<number>): Map<number, number> {
  const places = new Map<number, number>()
  let place = 0
  for (const doc of docs)
    for (let i = 0; i < doc.length && places.size < wanted.size; i++, place++) {
      const a = doc[i]!
      const b = doc[i + 1]
      if (!a) continue
      for (const key of b ? [a, keyOf(a, b), keyOf(a, b, doc[i + 2] ?? 0)] : [a])
        if (wanted.has(key) && !places.has(key)) places.set(key, place)
    }
  return places
}

interface Ranked {
  key: number
  count: number
  z: number
}

function rank(
  counted: readonly (Share & { key: number })[],
  {
    docs,
    words,
    minimum,
    options,
  }: { docs: readonly NumberedDoc[]; words: readonly string[]; minimum: number; options: PhraseOptions },
): Ranked[] {
  const asked = new Set(options.without)
  const looked = counted
    .filter(({ key, front, back }) => {
      // Held by so few in all, it could not stand out (Tarone 1990): it is not looked at, and makes no accident likelier.
      if (front + back <= minimum) return false
      const phrase = wordsOfKey(key, words)
      return hasContentWord(phrase) && !phrase.every((word) => asked.has(word))
    })
    .map((share) => {
      const z = distinctiveness(share)
      // What is said less here than elsewhere is looked at as well, and cannot tell.
      return { key: share.key, count: share.front, z, chance: z > 0 ? chanceOf(share, minimum) : 1 }
    })
    .sort((a, b) => a.chance - b.chance)
  const told = looked.slice(
    0,
    heldByRate(
      looked.map(({ chance }) => chance),
      options.falseRate ?? 0.1,
    ),
  )
  // Of phrases as distinctive as each other the one with more words of its own says more.
  const worth = ({ z, key }: Ranked) =>
    z * (0.9 + 0.1 * wordsOfKey(key, words).filter((word) => !isGlue(word)).length)
  // Numbers of words follow the order of reading, which says nothing: what is equal stands as it is met in the foreground.
  const places = firstPlaces(docs, new Set(told.map(({ key }) => key)))
  return told.sort(
    (a, b) =>
      worth(b) - worth(a) || b.count - a.count || places.get(a.key)! - places.get(b.key)! || a.key - b.key,
  )
}

/** Takes phrases best first; one that shares a word with a taken one and most of its entries is left out. */
function withoutOverlap(
  ranked: readonly Ranked[],
  docs: readonly NumberedDoc[],
  limit: number,
): (Ranked & { docs: number[] })[] {
  const candidates = ranked.slice(0, limit * 6)
  const places = placesOf(candidates, docs)
  const taken: (Ranked & { docs: number[]; set: Set<number>; parts: Set<number> })[] = []
  for (const candidate of candidates) {
    if (taken.length >= limit) break
    const own = places.get(candidate.key) ?? []
    const parts = new Set(partsOf(candidate.key))
    const same = taken.some((other) => {
      if (![...parts].some((part) => other.parts.has(part))) return false
      const shared = own.reduce((sum, d) => sum + (other.set.has(d) ? 1 : 0), 0)
      return shared >= overlap * Math.min(own.length, other.docs.length)
    })
    if (!same) taken.push({ ...candidate, docs: own, set: new Set(own), parts })
  }
  return taken.map(({ key, count, z, docs: list }) => ({ key, count, z, docs: list }))
}

const partsOf = (key: number) => {
  const bits = 131_072
  return [key % bits, Math.floor(key / bits) % bits, Math.floor(key / (bits * bits))].filter((n) => n > 0)
}

function placesOf(candidates: readonly Ranked[], docs: readonly NumberedDoc[]): Map<number, number[]> {
  const places = new Map<number, number[]>(candidates.map(({ key }) => [key, []]))
  docs.forEach((doc, d) => {
    const meet = (key: number) => {
      const list = places.get(key)
      if (list && list[list.length - 1] !== d) list.push(d)
    }
    for (let i = 0; i < doc.length; i++) {
      const a = doc[i]!
      const b = doc[i + 1] ?? 0
      const c = doc[i + 2] ?? 0
      if (!a) continue
      meet(a)
      if (b) meet(keyOf(a, b))
      if (b && c) meet(keyOf(a, b, c))
    }
  })
  return places
}
