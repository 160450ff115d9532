import { comparable, likeness, type Comparable } from './likeness.ts'
import { runsOf, runsOfText, wholeOf } from './runs.ts'
import { Shelves } from './shelves.ts'
import { storyPrint, wordOf, type StoryPrint } from './storyPrint.ts'
import { wordsOf, WordPool } from './wordPool.ts'

/** Texts of a story by which others are found: more of the same find no more. */
const mostOfStory = 12
/** Texts that are looked at for the runs they share; of these, those with most of them, whose words are compared; and of these in full. */
const mostLooks = 300
const mostCounted = 16
const mostCompared = 4

interface Near {
  place: number
  shared: number
}

/** Known fingerprints and the story each belongs to. */
export class StoryBook {
  private readonly prints: StoryPrint[] = []
  private readonly story: number[] = []
  private readonly words = new WordPool()
  /** Places of texts by a run of words, and of texts that are the same word for word. */
  private readonly runs = new Shelves()
  private readonly whole = new Shelves()
  private readonly sizes = new Map<number, number>()
  /** Runs that each known text shares with the one in hand; all 0 between. */
  private shared = new Uint8Array(1024)
  /** Texts met while one is in hand: kept, as every look-up needs it. */
  private readonly met = new Int32Array(mostLooks)

  /** The story of the most alike text known; null when there is no copy of it. */
  find(print: StoryPrint): number | null {
    const same = this.same(print)
    if (same !== null) return this.story[same]!
    let best: { story: number; likeness: number } | null = null
    let own: Comparable | undefined
    for (const { place } of this.near(print)) {
      own ??= comparable(print)
      const found = likeness(own, comparable(this.prints[place]!))
      if (found > (best?.likeness ?? 0)) best = { story: this.story[place]!, likeness: found }
    }
    return best?.story ?? null
  }

  /** Texts that share runs of words and most words, those with most words first. */
  private near(print: StoryPrint): Near[] {
    const words = wordsOf(print)
    const near: Near[] = []
    for (const place of this.withRuns(print)) {
      const shared = this.words.shared(words, place)
      if (shared) near.push({ place, shared })
    }
    return near.sort((a, b) => b.shared - a.shared).slice(0, mostCompared)
  }

  /** Texts that share most runs. */
  private withRuns(print: StoryPrint): number[] {
    const { met, shared } = this
    /** How many of those met share so many runs. */
    const sizes = new Int32Array(runsOfText + 1)
    let count = 0
    let looks = 0
    // Rare runs first; of what is common the newest.
    for (const shelf of this.runs.of(runsOf(print)))
      for (let i = shelf.length - 1; i >= 0 && looks < mostLooks; i--, looks++) {
        const place = shelf[i]!
        const runs = shared[place]!
        if (runs === 0) met[count++] = place
        else sizes[runs]!--
        sizes[runs + 1]!++
        shared[place] = runs + 1
      }
    return this.most(count, sizes)
  }

  /** Of those met, the ones with most shared runs; of as many runs those met first. Clears what they share. */
  private most(count: number, sizes: Int32Array): number[] {
    const { met, shared } = this
    let least = runsOfText
    let above = 0
    while (least > 1 && above + sizes[least]! < mostCounted) above += sizes[least--]!
    let left = mostCounted - above
    const most: number[] = []
    for (let i = 0; i < count; i++) {
      const place = met[i]!
      const runs = shared[place]!
      shared[place] = 0
      if (runs > least || (runs === least && left-- > 0)) most.push(place)
    }
    return most
  }

  add(print: StoryPrint, story: number): void {
    if (this.same(print) !== null) return
    const place = this.prints.length
    this.prints.push(print)
    this.story.push(story)
    this.words.add(wordsOf(print))
    if (this.shared.length <= place) {
      const larger = new Uint8Array(2 * this.shared.length)
      larger.set(this.shared)
      this.shared = larger
    }
    this.whole.add(wholeOf(print), place)
    const size = this.sizes.get(story) ?? 0
    if (size >= mostOfStory) return
    this.sizes.set(story, size + 1)
    for (const run of runsOf(print)) this.runs.add(run, place)
  }

  /** Place of the text that says this word for word. */
  private same(print: StoryPrint): number | null {
    for (const shelf of this.whole.of([wholeOf(print)]))
      for (const place of shelf) if (isSame(this.prints[place]!, print)) return place
    return null
  }
}

const isSame = (a: StoryPrint, b: StoryPrint) =>
  a.length === b.length && a.every((value, i) => wordOf(value) === wordOf(b[i]!))

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
