import { changesLenses } from './live/live.ts'
import type { LiveEvent } from '@murrabel/contract'

/** Threads of one question that are kept; larger ones are counted anew, mostly from roll-ups. */
const mostOfOne = 100_000
/** Kept threads over all questions and brands: at about 100 bytes each, at most 130 MB, usually far less. */
const mostThreads = 1_300_000
/** Questions that are kept, over all brands. */
const mostQuestions = 200
/** Touched threads that are looked at one by one; more of them are counted anew. */
const mostTouched = 500
/** Milliseconds after which everything is counted anew all the same, for what no notice names. */
const keptMs = 60_000

/** What one thread adds to an answer. */
export interface OfThread {
  thread: number
}

export interface CountQuestion<Row extends OfThread, Answer> {
  /** What is asked, as this reader may see it. */
  key: string
  brandId: number
  now: number
  /** Counts everything. */
  whole(): Promise<Answer>
  /** How many threads an answer counts. */
  size(answer: Answer): number
  /** Counts by thread. @param threads null: all of them */
  byThread(threads: readonly number[] | null): Promise<Row[]>
  /** Adds up, as of `now`. */
  sum(rows: Iterable<Row>): Answer
}

interface Kept {
  brandId: number
  since: number
  /** Null: it was counted once, and is kept when it is asked for again. */
  threads: Map<number, OfThread> | null
  /** Threads that a notice has named since they were looked at. */
  touched: Set<number>
}

/**
 * Counts that are on screens. What is asked for again is kept by thread: after a notice only the threads it names are
 * counted again, and the rest is added up from what is known.
 */
export class KeptCounts {
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
  async ask<Row extends OfThread, Answer>(question: CountQuestion<Row, Answer>): Promise<Answer> {
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

  private async countWhole<Row extends OfThread, Answer>(
    question: CountQuestion<Row, Answer>,
  ): Promise<Answer> {
    const { key, brandId, now } = question
    this.keep(key, { brandId, since: now, threads: null, touched: new Set() })
    const answer = await question.whole()
    if (question.size(answer) > mostOfOne) this.kept.delete(key)
    return answer
  }

  private async countTouched<Row extends OfThread, Answer>(
    question: CountQuestion<Row, Answer>,
    kept: Kept,
  ): Promise<Answer> {
    this.keep(question.key, kept)
    // What is named from here on was perhaps not seen by this question, and is looked at by the next.
    const touched = [...kept.touched]
    kept.touched = new Set()
    if (!kept.threads) {
      const all = await question.byThread(null)
      kept.threads = new Map(all.map((row) => [row.thread, row]))
    } else if (touched.length) {
      const fresh = await question.byThread(touched)
      for (const thread of touched) kept.threads.delete(thread)
      for (const row of fresh) kept.threads.set(row.thread, row)
    }
    if (kept.threads.size > mostOfOne) this.kept.delete(question.key)
    this.makeRoom()
    // A key says what its rows are.
    return question.sum(kept.threads.values() as Iterable<Row>)
  }

  private keep(key: string, kept: Kept): void {
    this.kept.delete(key)
    this.kept.set(key, kept)
    this.makeRoom()
  }

  /** Lets go of what was used longest ago. */
  private makeRoom(): void {
    let threads = 0
    for (const kept of this.kept.values()) threads += kept.threads?.size ?? 0
    for (const [key, kept] of this.kept) {
      if (this.kept.size <= mostQuestions && threads <= mostThreads) return
      threads -= kept.threads?.size ?? 0
      this.kept.delete(key)
    }
  }
}
