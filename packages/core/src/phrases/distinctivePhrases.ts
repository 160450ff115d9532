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

export interface DistinctivePhrase {
  /** Folded words, as search takes them. */
  words: string[]
  /** Entries of the foreground that hold it, and of the background. */
  count: number
  before: number
  /** How distinctive: the log-odds ratio over its standard error. */
  z: number
  /** Ids of the foreground's entries that hold it. */
  entries: number[]
}

export interface PhraseOptions {
  /** Phrases at most. Default 40. */
  limit?: number
  /** Entries a phrase needs. Default: 3, or 1 in 500 of the foreground. */
  minimum?: number
  /** Phrases under this z are ordinary. Default 1.96. */
  leastZ?: number
  /** Words not to be told: those that were asked for. */
  without?: readonly string[]
}

/** A phrase that covers this part of another's entries says the same. */
const overlap = 0.6

/**
 * Phrases of one to three words that tell the foreground from the background: log-odds ratio with an informative
 * Dirichlet prior drawn from both (Monroe, Colaresi and Quinn 2008, "Fightin' Words", equations 16 to 22), on the number
 * of entries that hold each phrase, so that one who repeats himself counts once. Of phrases that say the same the more
 * telling one stays.
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
  const ranked = rank(counts, before, words, options)
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

interface Ranked {
  key: number
  count: number
  z: number
}

function rank(
  counts: ReadonlyMap<number, number>,
  before: ReadonlyMap<number, number>,
  words: readonly string[],
  { leastZ = 1.96, without = [] }: PhraseOptions,
): Ranked[] {
  let front = 0
  let back = 0
  for (const [key, n] of counts) {
    front += n
    back += before.get(key) ?? 0
  }
  // The prior weighs a tenth of the smaller side: strong enough to tame rare words, too weak to hide real differences.
  const prior = Math.max(10, Math.min(front, back) / 10)
  const asked = new Set(without)
  const ranked: Ranked[] = []
  for (const [key, y] of counts) {
    const phrase = wordsOfKey(key, words)
    if (!hasContentWord(phrase) || phrase.every((word) => asked.has(word))) continue
    const z = logOdds(y, front, before.get(key) ?? 0, back, prior)
    if (z >= leastZ) ranked.push({ key, count: y, z })
  }
  // Of phrases as distinctive as each other the one with more words of its own says more.
  const worth = ({ z, key }: Ranked) =>
    z * (0.9 + 0.1 * wordsOfKey(key, words).filter((word) => !isGlue(word)).length)
  return ranked.sort((a, b) => worth(b) - worth(a) || b.count - a.count || a.key - b.key)
}

/**
 * The z-score of a phrase: its log-odds in the foreground less that in the background, each smoothed by the prior, over
 * the standard error.
 *
 * @param y count in the foreground of n; @param x count in the background of m; @param weight size of the prior
 * @example logOdds(30, 100, 10, 1000, 5) // 10.138
 */
export function logOdds(y: number, n: number, x: number, m: number, weight: number): number {
  const share = (x + y) / Math.max(1, n + m)
  const alpha = weight * share
  const odds = (count: number, size: number) =>
    Math.log((count + alpha) / Math.max(1e-9, size + weight - count - alpha))
  return (odds(y, n) - odds(x, m)) / Math.sqrt(1 / (y + alpha) + 1 / (x + alpha))
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
