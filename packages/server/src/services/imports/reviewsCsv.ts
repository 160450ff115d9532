import { createHash } from 'node:crypto'
import Papa from 'papaparse'
import { DateTime } from 'luxon'
import { limits, type ImportMapping, type ImportPreview, type RowProblem } from '@murrabel/contract'
import type { CollectedItem } from '../../connectors/index.ts'
import { Refusal } from '../../problem.ts'

interface Table {
  header: string[]
  /** Cells of each row; the line of the file it begins at. */
  rows: { line: number; cells: string[] }[]
  separator: string
}

const separators = [',', ';', '\t', '|']

/** Reads a table with a heading; the separator is the one that gives the most even columns. */
export function readTable(csv: string): Table {
  const text = csv.replace(/^\ufeff/, '')
  const separator = bestSeparator(text)
  const parsed = Papa.parse<string[]>(text, { delimiter: separator, skipEmptyLines: 'greedy' })
  const [header, ...body] = parsed.data
  const refuse = (message: string) =>
    new Refusal('csvUnreadable', { fields: [{ field: 'csv', code: 'unreadable', message }] })
  if (!header || header.length < 2)
    throw refuse(
      'The first line must name at least two columns, divided by commas, semicolons, tabs or bars.',
    )
  if (header.length > limits.importColumns)
    throw refuse(
      `The table has ${header.length} columns; at most ${limits.importColumns} can be taken. Is it the right file?`,
    )
  if (body.length > limits.importRows)
    throw refuse(
      `The table has ${body.length} rows; at most ${limits.importRows} can be taken at once. Split it.`,
    )
  if (!body.length) throw refuse('There are no rows under the heading.')
  const lines = linesOf(text, parsed.data, separator)
  return {
    header: header.map((h, i) => h.trim() || `column ${i + 1}`),
    rows: body.map((cells, i) => ({ cells, line: lines[i + 1] ?? i + 2 })),
    separator,
  }
}

function bestSeparator(text: string): string {
  const head = text.slice(0, 20_000)
  const score = (separator: string) => {
    const rows = Papa.parse<string[]>(head, {
      delimiter: separator,
      preview: 20,
      skipEmptyLines: 'greedy',
    }).data.slice(0, 20)
    const width = rows[0]?.length ?? 0
    return width < 2 ? 0 : rows.filter((r) => r.length === width).length * 10 + Math.min(width, 9)
  }
  return separators.reduce((best, each) => (score(each) > score(best) ? each : best), ',')
}

/** The line each row begins at; cells may hold line ends, and empty lines are skipped. */
function linesOf(text: string, rows: readonly string[][], separator: string): number[] {
  const lines: number[] = []
  let line = 1
  const source = text.split(/\r\n|\n|\r/)
  for (const row of rows) {
    while (line <= source.length && source[line - 1]!.replaceAll(separator, '').replace(/["\s]/g, '') === '')
      line++
    lines.push(line)
    line += 1 + row.reduce((sum, cell) => sum + (cell.match(/\r\n|\n|\r/g)?.length ?? 0), 0)
  }
  return lines
}

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

export function previewTable(csv: string): ImportPreview {
  const { header, rows, separator } = readTable(csv)
  const taken = new Set<string>()
  const mapping: Record<string, string | null> = {}
  for (const [field, pattern] of Object.entries(guesses)) {
    const found = header.find((h) => pattern.test(h) && !taken.has(h)) ?? null
    if (found) taken.add(found)
    mapping[field] = found
  }
  return {
    columns: header.map((name, i) => ({
      name,
      sample: rows.slice(0, 3).map((r) => (r.cells[i] ?? '').slice(0, 120)),
    })),
    rows: rows.length,
    separator,
    mapping,
  }
}

export interface ReadReviews {
  items: (CollectedItem & { place: string | null })[]
  problems: RowProblem[]
}

/**
 * Rows as reviews: the good ones as items under an id made of their content (so that the same file twice adds nothing),
 * the bad ones by line with the reason.
 *
 * @param zone of dates without one
 */
export function readReviews(
  csv: string,
  mapping: ImportMapping,
  { zone, places, now }: { zone: string; places: readonly string[]; now: number },
): ReadReviews {
  const { header, rows } = readTable(csv)
  const column = (name: string | null | undefined) => (name ? header.indexOf(name) : -1)
  const columns = Object.fromEntries(
    Object.entries(mapping).map(([field, name]) => [field, column(name)]),
  ) as Record<keyof ImportMapping, number>
  for (const [field, name] of Object.entries(mapping))
    if (name && columns[field as keyof ImportMapping] < 0)
      throw new Refusal('invalid', {
        fields: [
          {
            field: `mapping.${field}`,
            code: 'unknown',
            message: `The table has no column "${name}".`,
            value: name,
          },
        ],
      })
  if (columns.text < 0 && columns.rating < 0)
    throw new Refusal('invalid', {
      fields: [
        {
          field: 'mapping.text',
          code: 'required',
          message: 'Say which column holds the text or the rating.',
        },
      ],
    })
  const result: ReadReviews = { items: [], problems: [] }
  for (const { line, cells } of rows) {
    const cell = (field: keyof ImportMapping) =>
      columns[field] < 0 ? '' : (cells[columns[field]] ?? '').trim()
    const row = readRow({ cell, width: cells.length === header.length, zone, places, now })
    if ('reason' in row) result.problems.push({ line, ...row })
    else result.items.push(row)
  }
  return result
}

interface RowQuestion {
  cell(field: keyof ImportMapping): string
  /** As many cells as the heading. */
  width: boolean
  zone: string
  places: readonly string[]
  now: number
}

function readRow({
  cell,
  width,
  zone,
  places,
  now,
}: RowQuestion): ReadReviews['items'][number] | { field: string; reason: string; value: string } {
  const bad = (field: string, reason: string) => ({
    field,
    reason,
    value: cell(field as keyof ImportMapping).slice(0, 80),
  })
  if (!width) return { field: '', reason: 'the row has another number of cells than the heading', value: '' }
  const text = cell('text')
  const rating = cell('rating') === '' ? undefined : Number(cell('rating').replace(',', '.'))
  if (rating !== undefined && !(rating >= 1 && rating <= 5))
    return bad('rating', 'a rating is a number from 1 to 5')
  if (!text && rating === undefined) return bad('text', 'there is neither text nor a rating')
  const at = cell('at') === '' ? now : readDate(cell('at'), zone)
  if (at === null) return bad('at', 'the date cannot be read; write it as 2026-11-25 or 25.11.2026')
  if (at > now + 86_400_000) return bad('at', 'the date lies in the future')
  const place =
    cell('place') === ''
      ? null
      : (places.find((p) => p.toLowerCase() === cell('place').toLowerCase()) ?? undefined)
  if (place === undefined)
    return bad('place', `there is no place of this name; there are ${places.join(', ')}`)
  const author = cell('author') || 'A visitor'
  const outsideId =
    cell('outsideId') ||
    createHash('sha256')
      .update([author, text, rating ?? '', cell('at'), cell('title'), place ?? ''].join('\u0001'))
      .digest('hex')
      .slice(0, 32)
  return {
    outsideId,
    threadId: outsideId,
    kind: 'review',
    direction: 'in',
    author: { outsideId: author.toLowerCase(), name: author },
    title: cell('title') || undefined,
    text,
    rating,
    at,
    url: /^https?:\/\//.test(cell('url')) ? cell('url') : undefined,
    place,
    raw: { author, text, rating, at: cell('at'), title: cell('title'), place },
  }
}

const dateFormats = [
  'd.M.yyyy',
  'd/M/yyyy',
  'd.M.yyyy H:mm',
  'd/M/yyyy H:mm',
  'yyyy/M/d',
  'd MMM yyyy',
  'd MMMM yyyy',
]

/** ISO 8601 and the common forms with the day first, in the given zone unless one is written. */
export function readDate(text: string, zone: string): number | null {
  const iso = DateTime.fromISO(text.replace(/^(\d{4}-\d{2}-\d{2}) (\d)/, '$1T$2'), { zone })
  if (iso.isValid) return iso.toMillis()
  for (const format of dateFormats) {
    const read = DateTime.fromFormat(text, format, { zone, locale: 'en' })
    if (read.isValid) return read.toMillis()
  }
  return null
}
