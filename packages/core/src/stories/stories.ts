import { bands, distance, simHash, storyDistance, type SimHash } from './simHash.ts'

export interface StoryEntry {
  id: number
  /** Folded words in order. */
  words: readonly string[]
}

/** Known fingerprints and the story each belongs to, found by their bands. */
export class StoryBook {
  private readonly shelves = new Map<number, { hash: SimHash; story: number }[]>()

  /**
   * The story a text belongs to: that of the nearest copy known, or a new one under the entry's own id.
   *
   * @returns null when the text is too short to be a story
   */
  place(entry: StoryEntry): number | null {
    const hash = simHash(entry.words)
    if (!hash) return null
    const known = this.find(hash)
    const story = known ?? entry.id
    this.add(hash, story)
    return story
  }

  /** The story of the nearest known copy; null when there is none. */
  find(hash: SimHash): number | null {
    let best: { story: number; away: number } | null = null
    for (const band of bands(hash))
      for (const known of this.shelves.get(band) ?? []) {
        const away = distance(hash, known.hash)
        if (away <= storyDistance && (!best || away < best.away)) best = { story: known.story, away }
      }
    return best?.story ?? null
  }

  add(hash: SimHash, story: number): void {
    for (const band of bands(hash)) {
      const shelf = this.shelves.get(band)
      if (shelf) shelf.push({ hash, story })
      else this.shelves.set(band, [{ hash, story }])
    }
  }
}

/** Groups of near copies among entries in their order of time: one list of ids a story, first copy first; loners left out. */
export function stories(entries: readonly StoryEntry[]): number[][] {
  const book = new StoryBook()
  const groups = new Map<number, number[]>()
  for (const entry of entries) {
    const story = book.place(entry)
    if (story === null) continue
    const group = groups.get(story)
    if (group) group.push(entry.id)
    else groups.set(story, [entry.id])
  }
  return [...groups.values()].filter((group) => group.length > 1)
}
