import { cleanText } from '../../text/index.ts'
import type { LensPhrase } from '../part.ts'
import { searchWords } from '../searchWords.ts'
import { lensLimits } from '../values.ts'

/** Ids of small tables are 4-byte integers; those of accounts and stories may be larger. */
export const isId = (text: string) => /^[1-9]\d{0,9}$/.test(text) && Number(text) <= 2_147_483_647
export const isLargeId = (text: string) => /^[1-9]\d{0,14}$/.test(text)

export const printList = (values: readonly (string | number)[]) => values.join(',') || 'all'
export const printId = (value: number | null) => String(value ?? 'all')

/** A list of known values; undefined when one of them is none. */
export function parseList<T extends string>(
  text: string,
  known: (value: string) => boolean,
): T[] | undefined {
  if (text === 'all') return []
  const values = [...new Set(text.split(','))]
  return values.length <= lensLimits.list && values.every(known) ? (values as T[]) : undefined
}

export const parseIds = (text: string): number[] | undefined => parseList(text, isId)?.map(Number)

export function parseId(text: string, fits = isId): number | null | undefined {
  if (text === 'all') return null
  return fits(text) ? Number(text) : undefined
}

/** Words that can be looked for: not too long, and nothing that no text holds. */
export const parseWords = (text: string): string | undefined =>
  text.length <= lensLimits.words && cleanText(text, lensLimits.words) === text ? text : undefined

export const listPhrase = (values: readonly (string | number)[]): LensPhrase => ({
  message: values.length === 0 ? 'all' : values.length === 1 ? 'one' : 'some',
  values: [...values],
  narrows: values.length > 0,
})

export const onePhrase = (value: string | number | null): LensPhrase => ({
  message: value === null ? 'all' : 'one',
  values: value === null ? [] : [value],
  narrows: value !== null,
})

/** A word as a quoted lexeme of PostgreSQL. */
export const lexeme = (word: string) => `'${word.replace(/\\/g, '\\\\').replace(/'/g, "''")}'`

/** Words that must all be there, each as the start of a word, as a condition on a column of search words; null for none. */
export function wordsCondition(
  column: string,
  value: string,
  bind: (value: unknown) => string,
): string | null {
  const wanted = searchWords(value)
  if (!wanted.length) return null
  return `${column} @@ ${bind(wanted.map((word) => `${lexeme(word)}:*`).join(' & '))}::tsquery`
}

/** Somebody by a word that is known, or a colleague by id; undefined for neither. */
export function parseWho<Word extends string>(
  text: string,
  words: readonly Word[],
): Word | number | undefined {
  return words.find((word) => word === text) ?? (isId(text) ? Number(text) : undefined)
}

/** Who, as the sentence names them; "anybody" narrows nothing. */
export const whoPhrase = (value: string | number): LensPhrase =>
  typeof value === 'number'
    ? { message: 'colleague', values: [value], narrows: true }
    : { message: value, values: [], narrows: value !== 'anybody' }
