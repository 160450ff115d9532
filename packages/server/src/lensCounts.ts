import { changesLenses } from './live/live.ts'
import type { CountAnswer, LiveEvent } from '@murrabel/contract'
import type { ThreadCount } from './store/queries/entries/entryCount.ts'

/** Entries of a lens that are kept by thread; larger lenses are counted anew, mostly from roll-ups. */
const mostKept = 20_000
/** Lenses whose threads are kept, over all brands. A kept thread takes about 100 bytes: at most 130 MB, usually far less. */
const mostLenses = 64
/** Touched threads that are looked at one by one; more of them are counted anew. */
const mostTouched = 500
/** Milliseconds after which a lens is counted anew all the same, for what no notice names. */
const keptMs = 60_000

export interface CountQuestion {
  /** The lens as this reader may see it. */
  key: string
  brandId: number
  now: number
  /** Counts everything. */
  whole(): Promise<CountAnswer>
  /** Counts by thread. @param threads null: all that the lens holds */
  byThread(threads: readonly number[] | null): Promise<ThreadCount[]>
}

interface Kept {
  brandId: number
  since: number
  /** Null: the lens was counted once, and is kept when it is asked for again. */
  threads: Map<number, ThreadCount> | null
  /** Threads that a notice has named since they were looked at. */
  touched: Set<number>
}

/**
 * Counts of the lenses that are on screens. A lens that is asked for again is kept by thread: after a notice only the
 * threads it names are counted again, and the rest is added up from what is known.
 */
export class LensCounts {
  /** Oldest use first. */
  private readonly kept = new Map<string, Kept>()

  /** Takes in what was told to a brand. Must hear everything that changes what a lens holds. */
  hear(brandId: number, event: LiveEvent): void {
    if (!changesLenses(event)) return
    const named = 'threads' in event && event.threads.length > 0 ? event.threads : null
    for (const [key, kept] of this.kept) {
      if (kept.brandId !== brandId) continue
      if (!named || kept.touched.size + named.length > mostTouched) this.kept.delete(key)
      else for (const thread of named) kept.touched.add(thread)
    }
  }

  /** After notices were missed. */
  clear(): void {
    this.kept.clear()
  }

  /** One key at a time: two questions of one key that overlap are the caller's to prevent. */
  async ask(question: CountQuestion): Promise<CountAnswer> {
    const known = this.kept.get(question.key)
    const kept = known && question.now - known.since < keptMs ? known : null
    if (!kept) return this.countWhole(question)
    try {
      return await this.countTouched(question, kept)
    } catch (error) {
      this.kept.delete(question.key)
      throw error
    }
  }

  private async countWhole({ key, brandId, now, whole }: CountQuestion): Promise<CountAnswer> {
    this.keep(key, { brandId, since: now, threads: null, touched: new Set() })
    const answer = await whole()
    if (answer.count > mostKept) this.kept.delete(key)
    return answer
  }

  private async countTouched({ key, now, byThread }: CountQuestion, kept: Kept): Promise<CountAnswer> {
    this.keep(key, kept)
    // What is named from here on was perhaps not seen by this question, and is looked at by the next.
    const touched = [...kept.touched]
    kept.touched = new Set()
    if (!kept.threads) {
      const all = await byThread(null)
      kept.threads = new Map(all.map((count) => [count.thread, count]))
    } else if (touched.length) {
      const fresh = await byThread(touched)
      for (const thread of touched) kept.threads.delete(thread)
      for (const count of fresh) kept.threads.set(count.thread, count)
    }
    const answer = sumOf(kept.threads.values(), now)
    if (answer.count > mostKept) this.kept.delete(key)
    return answer
  }

  private keep(key: string, kept: Kept): void {
    this.kept.delete(key)
    this.kept.set(key, kept)
    const [oldest] = this.kept.keys()
    if (this.kept.size > mostLenses && oldest !== undefined) this.kept.delete(oldest)
  }
}

function sumOf(counts: Iterable<ThreadCount>, now: number): CountAnswer {
  const answer = { count: 0, pastDue: 0, notSent: 0 }
  for (const { count, dueAt, notSent } of counts) {
    answer.count += count
    if (dueAt !== null && dueAt.getTime() < now) answer.pastDue++
    if (notSent) answer.notSent++
  }
  return answer
}
