import type { StoredReading } from '../services/analysis/readEntry.ts'
import type { ReadableEntry } from '../services/analysis/readEntry.ts'
import type { TeachingSource } from '../services/analysis/teaching.ts'

/** Entries of a brand to be read with what it has taught. */
export interface ReadingQuestion {
  brandId: number
  teaching: TeachingSource
  entries: readonly ReadableEntry[]
}
/** One for each entry, in the same order. */
export type ReadingAnswer = StoredReading[]
