import type { ReadableEntry, StoredMeaning, StoredReading } from '../services/analysis/readEntry.ts'
import type { TeachingSource } from '../services/analysis/teaching.ts'

/** Entries of a brand to be read with what it has taught. */
export interface ReadingQuestion {
  brandId: number
  teaching: TeachingSource
  entries: readonly ReadableEntry[]
}
/** One for each entry, in the same order. */
export type ReadingAnswer = StoredReading[]

/** Entries whose language is known, to be read again for what they mean alone. */
export interface RereadingQuestion {
  brandId: number
  teaching: TeachingSource
  again: readonly (Omit<ReadableEntry, 'private'> & { language: string | null })[]
}
/** Texts of which the language is asked for alone. */
export interface LanguageQuestion {
  texts: readonly string[]
}
/** BCP 47, one for each. */
export type LanguageAnswer = string[]

/** One for each entry, in the same order; null for one that cannot be read, which stays as it is. */
export type RereadingAnswer = (StoredMeaning | null)[]
