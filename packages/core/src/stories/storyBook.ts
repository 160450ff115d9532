import { mixed } from './hash32.ts'
import { comparable, likeness, longest, sharedWords, type Comparable } from './likeness.ts'
import { storyPrint, wordOf, type StoryPrint } from './storyPrint.ts'

/**
 * Runs of words by which a text is found, so many of each length: those whose numbers are the least, so that two texts mostly choose
 * the same. Short runs outlast changes; long ones are rare where everybody says much the same.
 */
const runLengths = [5, 3]
const runsOfText = 8
/** Texts of a story by which others are found: more of the same find no more. */
const mostOfStory = 12
/** Texts that are looked at for the runs they share; of these, those with most of them, whose words are compared; and of these in full. */
const mostLooks = 1000
const mostCounted = 16
const mostCompared = 4

interface Known {
  print: StoryPrint
  /** Its words once each, rising. */
  words: Int32Array
  story: number
}

/** Known fingerprints and the story each belongs to. */
export class StoryBook {
  private readonly known: Known[] = []
  /** Places in `known` by a run of words. */
  private readonly shelves = new Map<number, number[]>()
  /** The same of texts that are the same word for word. */
  private readonly whole = new Map<number, number[]>()
  private readonly sizes = new Map<number, number>()
  /** Runs that each known text shares with the one in hand; all 0 between. */
  private shared = new Uint8Array(1024)

  /** The story of the most alike text known; null when there is no copy of it. */
  find(print: StoryPrint): number | null {
    const same = this.same(print)
    if (same) return same.story
    const words = wordsOf(print)
    let own: Comparable | undefined
    for (const length of runLengths) {
      let best: { story: number; likeness: number } | null = null
      for (const { print: other, story } of this.near(print, words, length)) {
        own ??= comparable(print)
        const found = likeness(own, comparable(other))
        if (found > (best?.likeness ?? 0)) best = { story, likeness: found }
      }
      if (best) return best.story
    }
    return null
  }

  /** Texts that share runs of words and most words, those with most words first. */
  private near(print: StoryPrint, words: Int32Array, length: number): Known[] {
    const near: { known: Known; shared: number }[] = []
    for (const place of this.withRuns(print, length)) {
      const known = this.known[place]!
      const shared = sharedOf(words, known.words)
      if (shared) near.push({ known, shared })
    }
    return near
      .sort((a, b) => b.shared - a.shared)
      .slice(0, mostCompared)
      .map(({ known }) => known)
  }

  /** Texts that share most of the runs of this length. */
  private withRuns(print: StoryPrint, length: number): number[] {
    const shelves = keysOf(print, length).flatMap((key) => [this.shelves.get(key) ?? []])
    const met: number[] = []
    // Rare runs first; of what is common the newest.
    let looks = 0
    for (const shelf of shelves.sort((a, b) => a.length - b.length))
      for (let i = shelf.length - 1; i >= 0 && looks < mostLooks; i--, looks++)
        if (this.shared[shelf[i]!]!++ === 0) met.push(shelf[i]!)
    const most = this.most(met)
    for (const place of met) this.shared[place] = 0
    return most
  }

  /** Those with most shared runs; of as many runs those met first. */
  private most(met: readonly number[]): number[] {
    const sizes = new Int32Array(runsOfText + 1)
    for (const place of met) sizes[this.shared[place]!]!++
    let least = runsOfText
    let above = 0
    while (least > 1 && above + sizes[least]! < mostCounted) above += sizes[least--]!
    let left = mostCounted - above
    const most: number[] = []
    for (const place of met) {
      const shared = this.shared[place]!
      if (shared > least || (shared === least && left-- > 0)) most.push(place)
    }
    return most
  }

  add(print: StoryPrint, story: number): void {
    if (this.same(print)) return
    const place = this.known.length
    this.known.push({ print, words: wordsOf(print), story })
    if (this.shared.length <= place) {
      const larger = new Uint8Array(2 * this.shared.length)
      larger.set(this.shared)
      this.shared = larger
    }
    push(this.whole, wholeOf(print), place)
    const size = this.sizes.get(story) ?? 0
    if (size >= mostOfStory) return
    this.sizes.set(story, size + 1)
    for (const length of runLengths) for (const key of keysOf(print, length)) push(this.shelves, key, place)
  }

  private same(print: StoryPrint): Known | undefined {
    for (const place of this.whole.get(wholeOf(print)) ?? [])
      if (isSame(this.known[place]!.print, print)) return this.known[place]
    return undefined
  }
}

const isSame = (a: StoryPrint, b: StoryPrint) =>
  a.length === b.length && a.every((value, i) => wordOf(value) === wordOf(b[i]!))

const wholeOf = (print: StoryPrint) =>
  print.reduce((hash, value) => mixed(Math.imul(hash, 31) ^ wordOf(value)), 7)

function keysOf(print: StoryPrint, length: number): number[] {
  const runs = new Set<number>()
  for (let end = length; end <= print.length; end++) {
    let run = length
    for (let i = end - length; i < end; i++)
      run = Math.imul(run ^ wordOf(print[i]!), 0x9e3779b1) ^ (run >>> 15)
    runs.add(mixed(run))
  }
  return [...runs].sort((a, b) => a - b).slice(0, runsOfText)
}

function wordsOf(print: StoryPrint): Int32Array {
  const sorted = print.map(wordOf).sort()
  return sorted.filter((word, i) => !i || word !== sorted[i - 1])
}

/** Words two texts share, as a part of those of the shorter one; 0 when these are too few for copies. */
function sharedOf(a: Int32Array, b: Int32Array): number {
  const [less, more] = a.length <= b.length ? [a, b] : [b, a]
  if (more.length > longest * less.length) return 0
  const most = Math.floor((1 - sharedWords) * less.length)
  let missing = 0
  for (let i = 0, j = 0; i < less.length; i++) {
    while (j < more.length && more[j]! < less[i]!) j++
    // Most texts are other ones, and that shows in the first words.
    if (more[j] !== less[i] && ++missing > most) return 0
  }
  return 1 - missing / less.length
}

function push(map: Map<number, number[]>, key: number, place: number): void {
  const list = map.get(key)
  if (list) list.push(place)
  else map.set(key, [place])
}

export interface StoryEntry {
  id: number
  text: string
}

/** Groups of near copies among entries in their order of time: one list of ids a story, first copy first; loners left out. */
export function stories(entries: readonly StoryEntry[]): number[][] {
  const book = new StoryBook()
  const groups = new Map<number, number[]>()
  for (const { id, text } of entries) {
    const print = storyPrint(text)
    if (!print) continue
    const story = book.find(print) ?? id
    book.add(print, story)
    const group = groups.get(story)
    if (group) group.push(id)
    else groups.set(story, [id])
  }
  return [...groups.values()].filter((group) => group.length > 1)
}
