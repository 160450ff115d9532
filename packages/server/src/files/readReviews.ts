import { createHash } from 'node:crypto'
import { cleanLine, cleanText, cleanUrl, cutText } from '@murrabel/core/text'
import {
  type DateOrder,
  type ImportMapping,
  type ImportPreview,
  type RowProblem,
  type FieldReason,
  type ReasonValues,
} from '@murrabel/contract'
import type { CollectedItem } from '../connectors/index.ts'
import { readDate } from './readDate.ts'
import { readTable, type TableRow } from './readTable.ts'
import { columnsOf, datesOf, invalid, previewTable } from './tableColumns.ts'

const guesses: Record<keyof ImportMapping, RegExp> = {
  text: /^(?:text|review|comment|body|words|content|avis|message)/i,
  rating: /^(?:rating|stars?|score|note|grade)/i,
  at: /^(?:date|at|time|created|published|when)/i,
  author: /^(?:author|name|customer|user|reviewer|auteur|from)/i,
  title: /^(?:title|subject|heading|titre)/i,
  place: /^(?:place|location|branch|harbour|shop|store|lieu)/i,
  outsideId: /^(?:id|number|no|reference|ref)$/i,
  url: /^(?:url|link|address)/i,
}

/** What a table holds, before it is brought in. */
export const previewReviews = (csv: string): ImportPreview => previewTable(csv, guesses)

export interface ReadReview extends CollectedItem {
  place: string | null
}

export interface ReadReviews {
  items: ReadReview[]
  problems: RowProblem[]
}

export interface ReviewQuestion {
  mapping: ImportMapping
  /** Of dates without a zone. */
  zone: string
  places: readonly string[]
  /** Epoch milliseconds. */
  now: number
  /** How dates such as 03/04/2026 are meant, where the column does not say. */
  dateOrder: DateOrder | null
}

/**
 * Rows as reviews: the good ones as items under an id made of their content (so that the same file twice adds nothing),
 * the bad ones by line with the reason. Rows that say the same without author or date are reviews of their own; with both
 * they are copies of one.
 *
 * @throws Refusal invalid when the columns do not fit, or the dates can be read in two ways and nobody has said which
 */
export function readReviews(csv: string, question: ReviewQuestion): ReadReviews {
  const table = readTable(csv)
  const columns = reviewColumns(table.header, question.mapping)
  const dates = datesOf(table, question.mapping.at ?? null)
  const order = question.dateOrder ?? dates.order
  if (dates.ambiguous && !order) throw invalid('dateOrder', 'dateOrder', { date: dates.sample[0] ?? '' })
  const result: ReadReviews = { items: [], problems: [] }
  const times = new Map<string, number>()
  for (const row of table.rows) {
    const cell = (field: keyof ImportMapping) =>
      columns[field] < 0 ? '' : (row.cells[columns[field]] ?? '').trim()
    const read = readRow(row, table.header.length, cell, { ...question, order: order ?? 'dayFirst' })
    if ('reason' in read) result.problems.push({ line: row.line, ...read })
    else result.items.push(withId(read, cell, times))
  }
  return result
}

function reviewColumns(
  header: readonly string[],
  mapping: ImportMapping,
): Record<keyof ImportMapping, number> {
  const columns = columnsOf(header, mapping, 'mapping')
  if (columns.text < 0 && columns.rating < 0) throw invalid('mapping.text', 'noTextOrRating')
  return columns
}

type Cell = (field: keyof ImportMapping) => string
type Bad = Omit<RowProblem, 'line'>

function readRow(
  row: TableRow,
  width: number,
  cell: Cell,
  { zone, places, now, order }: ReviewQuestion & { order: DateOrder },
): Omit<ReadReview, 'outsideId' | 'threadId'> | Bad {
  const bad = (field: keyof ImportMapping | '', reason: FieldReason, values?: ReasonValues): Bad => ({
    field,
    reason,
    values,
    value: field ? cutText(cleanLine(cell(field), 200), 80) : '',
  })
  if (row.swallowed) return bad('', 'rowSwallowed', { to: row.to })
  if (row.cells.length !== width) return bad('', 'rowWidth')
  const rating = ratingOf(cell('rating'))
  if (rating === null) return bad('rating', 'rowRating')
  const text = cleanText(cell('text'), 100_000)
  if (!text && rating === undefined) return bad('text', 'rowEmpty')
  const at = cell('at') === '' ? Number.NaN : readDate(cell('at'), zone, order)
  if (at === null) return bad('at', 'rowDate')
  if (at > now + 86_400_000) return bad('at', 'rowFuture')
  const place = placeOf(cell('place'), places)
  if (place === undefined) return bad('place', 'rowPlace', { places: places.join(', ') })
  const author = cleanLine(cell('author'), 120) || 'A visitor'
  return {
    kind: 'review',
    direction: 'in',
    author: { outsideId: author.toLowerCase(), name: author },
    title: cell('title') || undefined,
    text,
    rating,
    at,
    url: cleanUrl(cell('url')),
    place,
    raw: { author, text, rating, at: cell('at'), title: cell('title'), place },
  }
}

/** Undefined where there is none, null for what is no rating. Figures only: no hexadecimal, no exponents. */
function ratingOf(text: string): number | undefined | null {
  if (text === '') return undefined
  const found = /^([1-5])(?:[.,](\d{1,3}))?$/.exec(text)
  const rating = found ? Number(`${found[1]}.${found[2] ?? 0}`) : Number.NaN
  return rating >= 1 && rating <= 5 ? rating : null
}

const placeOf = (name: string, places: readonly string[]): string | null | undefined =>
  name === '' ? null : places.find((place) => place.toLowerCase() === name.toLowerCase())

function withId(
  item: Omit<ReadReview, 'outsideId' | 'threadId'>,
  cell: Cell,
  times: Map<string, number>,
): ReadReview {
  const own = cleanLine(cell('outsideId'), 300)
  const whole = Boolean(cell('author') && cell('at'))
  const { author, text, rating, place } = item
  const content = hashOf(
    [author.name, text, rating ?? '', cell('at'), cell('title'), place ?? ''].join('\u0001'),
  )
  const nth = times.get(content) ?? 0
  times.set(content, nth + 1)
  const outsideId = own || (whole || nth === 0 ? content : hashOf(`${content} ${nth}`))
  return { ...item, outsideId, threadId: outsideId }
}

const hashOf = (text: string) => createHash('sha256').update(text).digest('hex').slice(0, 32)
