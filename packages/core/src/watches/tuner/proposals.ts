import {
  hasContentWord,
  keyOfWords,
  distinctivePhrases,
  WordNumbers,
  wordsOfKey,
  countPhrases,
  type PhraseDoc,
} from '../../phrases/index.ts'

export interface TunerDoc extends PhraseDoc {
  /** What a person said of it; undefined: not marked. */
  onTopic?: boolean
}

export interface Exclusion {
  /** Folded words: the term to leave out. */
  words: string[]
  /** Of the marked hits: off topic ones it removes, on topic ones it would lose. */
  offTopicRemoved: number
  onTopicLost: number
  /** Of all hits, marked or not. */
  removed: number
  /** Ids of unmarked hits it would remove, some of them, to look at. */
  unmarked: number[]
}

export interface Addition {
  words: string[]
  /** Marked on-topic hits that hold it, and all hits. */
  onTopicWith: number
  hitsWith: number
  /** Entries that hold it and are no hits yet: what it would bring. */
  fresh: number
  /** Some of them, to look at. */
  sample: number[]
}

const shownUnmarked = 8
/** A word in one of a hundred other entries counts half. */
const commonWeight = 100
const exclusionLimit = 8
const additionLimit = 5

/**
 * Terms that separate hits marked off topic from those marked on topic, best first. Each is measured on what the ones
 * before it leave: a person who applies them in order gets what is promised. A term that would lose more than one in
 * twenty of the marked on-topic hits is not proposed. Words that are common in what the watch does not catch belong to
 * nobody's topic and come later: "anyone" after "wool".
 *
 * @param without folded words of the watch's own terms: leaving those out would empty it
 * @param elsewhere entries that are no hits
 */
export function proposeExclusions(
  hits: readonly TunerDoc[],
  { without, elsewhere = [] }: { without: readonly string[]; elsewhere?: readonly PhraseDoc[] },
): Exclusion[] {
  const numbers = new WordNumbers()
  const docs = hits.map((hit) => ({ hit, words: numbers.number(hit.text) }))
  const off = docs.filter(({ hit }) => hit.onTopic === false)
  const on = docs.filter(({ hit }) => hit.onTopic === true)
  if (!off.length) return []
  const own = new Set(without)
  const candidates = [...countPhrases(off.map((d) => d.words)).keys()].filter((key) => {
    const words = wordsOfKey(key, numbers.words)
    return hasContentWord(words) && !words.every((word) => own.has(word))
  })
  const has = index(
    docs.map((d) => d.words),
    new Set(candidates),
  )
  const common = index(
    elsewhere.map(({ text }) => numbers.number(text)),
    new Set(candidates),
  )
  const special = (key: number) =>
    1 / (1 + (commonWeight * (common.get(key)?.length ?? 0)) / Math.max(1, elsewhere.length))
  const mark = docs.map(({ hit }) => hit.onTopic)
  const bearable = Math.floor(on.length / 20)
  const left = new Set(docs.keys())
  const chosen: Exclusion[] = []
  while (chosen.length < exclusionLimit) {
    let best: { key: number; worth: number; docs: number[] } | null = null
    for (const key of candidates) {
      const held = (has.get(key) ?? []).filter((d) => left.has(d))
      const offCount = held.filter((d) => mark[d] === false).length
      const onCount = held.filter((d) => mark[d] === true).length
      if (!offCount || onCount > bearable) continue
      // On-topic hits weigh more than off-topic ones; of equals, the term that reaches more of the unmarked, then the shorter.
      const rest = held.length - offCount - onCount
      const fair = offCount / (offCount + onCount)
      const worth =
        offCount * special(key) -
        5 * onCount +
        Math.min(0.9, (fair * rest * special(key)) / (hits.length + 1)) -
        0.01 * wordsOfKey(key, numbers.words).length
      if (worth > 0 && (!best || worth > best.worth)) best = { key, worth, docs: held }
    }
    if (!best) break
    const gone = best.docs
    chosen.push({ words: wordsOfKey(best.key, numbers.words), ...effectOf(gone, docs) })
    for (const d of gone) left.delete(d)
  }
  return chosen
}

/** What leaving these hits out would do. */
function effectOf(gone: readonly number[], docs: readonly { hit: TunerDoc }[]): Omit<Exclusion, 'words'> {
  const hits = gone.map((d) => docs[d]!.hit)
  return {
    offTopicRemoved: hits.filter((hit) => hit.onTopic === false).length,
    onTopicLost: hits.filter((hit) => hit.onTopic === true).length,
    removed: hits.length,
    unmarked: hits
      .filter((hit) => hit.onTopic === undefined)
      .slice(0, shownUnmarked)
      .map((hit) => hit.id),
  }
}

/** Documents that hold each of these phrases. */
function index(docs: readonly Uint32Array[], wanted: ReadonlySet<number>): Map<number, number[]> {
  const found = new Map<number, number[]>()
  docs.forEach((doc, d) => {
    const meet = (key: number) => {
      if (!wanted.has(key)) return
      const list = found.get(key)
      if (!list) found.set(key, [d])
      else if (list[list.length - 1] !== d) list.push(d)
    }
    for (let i = 0; i < doc.length; i++) {
      const a = doc[i]!
      if (!a) continue
      const b = doc[i + 1] ?? 0
      const c = b ? (doc[i + 2] ?? 0) : 0
      meet(keyOfWords(a))
      if (b) meet(keyOfWords(a, b))
      if (c) meet(keyOfWords(a, b, c))
    }
  })
  return found
}

/**
 * Terms that often go with hits on topic and are said elsewhere without them: what the watch may be missing.
 *
 * @param hits the watch's hits; those marked off topic are left aside
 * @param others entries that are no hits
 */
export function proposeAdditions(
  hits: readonly TunerDoc[],
  others: readonly PhraseDoc[],
  { without }: { without: readonly string[] },
): Addition[] {
  const good = hits.filter((hit) => hit.onTopic !== false)
  const marked = new Set(hits.filter((hit) => hit.onTopic === true).map((hit) => hit.id))
  const telling = distinctivePhrases(good, others, { limit: 60, without })
  const found: Addition[] = []
  const numbers = new WordNumbers()
  const rest = others.map((doc) => ({ doc, words: numbers.number(doc.text) }))
  const wanted = new Map<number, number>()
  telling.forEach(({ words }, t) => {
    const ids = words.map((word) => numbers.find(word))
    if (ids.every((id) => id > 0)) wanted.set(keyOfWords(ids[0]!, ids[1], ids[2]), t)
  })
  const held = index(
    rest.map((d) => d.words),
    new Set(wanted.keys()),
  )
  for (const [key, t] of wanted) {
    const phrase = telling[t]!
    const fresh = held.get(key) ?? []
    // Named things and set phrases go on; a word that most people use about anything would flood the watch.
    const carried = phrase.count / Math.max(1, phrase.count + fresh.length)
    if (!fresh.length || carried < 0.1 || phrase.count < 3) continue
    found.push({
      words: phrase.words,
      onTopicWith: phrase.entries.filter((id) => marked.has(id)).length,
      hitsWith: phrase.count,
      fresh: fresh.length,
      sample: fresh.slice(0, shownUnmarked).map((d) => rest[d]!.doc.id),
    })
  }
  return found.sort((a, b) => b.hitsWith / b.fresh - a.hitsWith / a.fresh).slice(0, additionLimit)
}
