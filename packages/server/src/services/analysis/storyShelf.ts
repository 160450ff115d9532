import { StoryBook, type StoryPrint } from '@murrabel/core/stories'
import type { Database, Tx } from '../../store/database.ts'
import { printStored, storedPrint } from '../../store/storedPrint.ts'
import {
  keepStoryChanges,
  nextStoriesVersion,
  printsBetween,
  setOriginals,
  storyChangesBetween,
} from '../../store/queries/analysis/stories.ts'

/** Copies of one text are looked for this far around it. */
const periodDays = 30
const periodMs = periodDays * 86_400_000
/** Stretches of a brand that stay in memory: what comes in now meets three, a history that comes in meets one after the other. */
const periodsKept = 4

const periodOf = (at: Date) => Math.floor(at.getTime() / periodMs)

export interface StoryCandidate {
  id: number
  at: Date
  print: StoryPrint | null
}

/**
 * Puts near copies of one text under one story. Fingerprints of a brand are kept in memory by stretches of a month, read
 * when a month is first met; what another process has placed meanwhile is added. Called under the lock of the brand's
 * mentions.
 */
export class StoryShelf {
  private readonly books = new Map<number, StoryBook>()
  private version = -1

  /** @param options.upTo the highest id that is known: what is read again in its order knows what came before */
  constructor(
    private readonly brandId: number,
    private readonly options: { upTo?: () => number } = {},
  ) {}

  /** The story of each entry that is a copy of another; alone it has none. */
  async place(db: Database, entries: readonly StoryCandidate[], tx: Tx): Promise<Map<number, number>> {
    const placed = new Map<number, number>()
    const candidates = entries.filter((entry) => entry.print !== null)
    if (!candidates.length) return placed
    await this.sync(db, tx)
    const originals = new Set<number>()
    for (const { id, at, print } of candidates) {
      const period = periodOf(at)
      const story = await this.find(db, period, print!, tx)
      // Read again, an entry meets its own fingerprint.
      if (story !== null && story !== id) {
        placed.set(id, story)
        originals.add(story)
      }
      ;(await this.book(db, period, tx)).add(print!, story ?? id)
    }
    await setOriginals(db, [...originals], tx)
    await keepStoryChanges(
      db,
      {
        brandId: this.brandId,
        version: this.version,
        at: candidates.map(({ at }) => at),
        prints: candidates.map(({ print }) => storedPrint(print)),
        stories: candidates.map(({ id }) => placed.get(id) ?? id),
      },
      tx,
    )
    // A story's first copy may stand in this very batch, which is stored after this.
    for (const story of originals) if (candidates.some(({ id }) => id === story)) placed.set(story, story)
    return placed
  }

  private async find(db: Database, period: number, print: StoryPrint, tx: Tx): Promise<number | null> {
    for (const near of [period, period - 1, period + 1]) {
      const story = (await this.book(db, near, tx)).find(print)
      if (story !== null) return story
    }
    return null
  }

  /** Takes over what other processes have placed since; what is too long ago is read anew. */
  private async sync(db: Database, tx: Tx): Promise<void> {
    const row = await nextStoriesVersion(db, this.brandId, tx)
    const version = row?.version ?? 0
    const steps = version - this.version - 1
    // A version that was met already: our own last batch was rolled back.
    if (steps < 0 || (steps > 0 && !(await this.follow(db, { version, steps }, tx)))) this.books.clear()
    this.version = version
  }

  /** Whether every step of the others was there to be followed. */
  private async follow(
    db: Database,
    { version, steps }: { version: number; steps: number },
    tx: Tx,
  ): Promise<boolean> {
    if (!this.books.size) return true
    const placed = await storyChangesBetween(
      db,
      { brandId: this.brandId, after: this.version, before: version },
      tx,
    )
    if (new Set(placed.map((each) => each.version)).size !== steps) return false
    for (const { at, print, story } of placed) this.books.get(periodOf(at))?.add(printStored(print), story)
    return true
  }

  private async book(db: Database, period: number, tx: Tx): Promise<StoryBook> {
    const known = this.books.get(period)
    if (known) {
      // The last used stands last.
      this.books.delete(period)
      this.books.set(period, known)
      return known
    }
    const rows = await printsBetween(
      db,
      {
        brandId: this.brandId,
        from: new Date(period * periodMs),
        to: new Date((period + 1) * periodMs),
        upTo: this.options.upTo?.() ?? null,
      },
      tx,
    )
    const book = new StoryBook()
    for (const { id, story, print } of rows) book.add(printStored(print), story ?? id)
    this.books.set(period, book)
    for (const oldest of this.books.keys()) if (this.books.size > periodsKept) this.books.delete(oldest)
    return book
  }
}
