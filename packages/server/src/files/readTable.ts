import { parse } from 'csv-parse/sync'
import { cleanLine } from '@murrabel/core/text'
import { limits, fieldProblem, type FieldReason, type ReasonValues } from '@murrabel/contract'
import { Refusal } from '../problem.ts'

export interface TableRow {
  /** The line of the file it begins at, from 1, and the one it ends at. */
  line: number
  to: number
  cells: string[]
  /** Lines of the file that a quotation mark without its end seems to have taken into a cell. */
  swallowed: boolean
}

export interface Table {
  /** Each name once. */
  header: string[]
  rows: TableRow[]
  separator: string
}

const separators = [',', ';', '\t', '|']
/** Characters that are looked at to find the separator. */
const headLength = 20_000

const refused = (reason: FieldReason, values?: ReasonValues) =>
  new Refusal('csvUnreadable', { fields: [fieldProblem('document', reason, { values })] })

interface Parsed {
  record: string[]
  info: { lines: number; records: number }
}

const options = (delimiter: string) => ({
  delimiter,
  bom: true,
  info: true as const,
  relax_quotes: true,
  relax_column_count: true,
  skip_empty_lines: true,
})

/** Reads a table with a heading; the separator is the one that gives the most even columns. Linear in its length. */
export function readTable(csv: string): Table {
  const separator = bestSeparator(csv)
  const parsed = parseAll(csv, separator)
  const filled = parsed.filter(({ record }) => record.some((cell) => cell.trim() !== ''))
  const header = uniqueNames(filled[0]?.record ?? [])
  if (header.length < 2) throw refused('fewColumns')
  if (header.length > limits.importColumns)
    throw refused('manyColumns', { n: header.length, most: limits.importColumns })
  const rows = filled.slice(1)
  if (rows.length > limits.importRows) throw refused('manyRows', { n: rows.length, most: limits.importRows })
  if (!rows.length) throw refused('noRows')
  return {
    header,
    separator,
    rows: rows.map(({ record, info: { lines } }) => {
      const height = record.reduce((sum, cell) => sum + lineEnds(cell), 0)
      const swallowed = record.some((cell) => holdsRows(cell, separator, header.length))
      return { cells: record, line: Math.max(1, lines - height), to: lines, swallowed }
    }),
  }
}

function parseAll(csv: string, separator: string): Parsed[] {
  try {
    return parse(csv, options(separator)) as unknown as Parsed[]
  } catch (error) {
    const { code, message, lines } = error as { code?: string; message: string; lines?: number }
    if (code === 'CSV_QUOTE_NOT_CLOSED') {
      throw refused('quoteOpen', { line: openedAt(csv, separator) })
    }
    throw refused('lineUnreadable', { line: lines ?? '?', said: message })
  }
}

/** The line in which a quotation mark opens that is never closed. */
function openedAt(csv: string, separator: string): number {
  const parsed: Parsed[] = []
  try {
    parse(csv, {
      ...options(separator),
      onRecord: (each: unknown) => {
        parsed.push(each as Parsed)
        return null
      },
    })
  } catch {
    // What came before it is what is wanted.
  }
  return (parsed[parsed.length - 1]?.info.lines ?? 0) + 1
}

function uniqueNames(cells: readonly string[]): string[] {
  const seen = new Map<string, number>()
  return cells.map((cell, i) => {
    const name = cleanLine(cell, 150) || `column ${i + 1}`
    const n = (seen.get(name) ?? 0) + 1
    seen.set(name, n)
    return n === 1 ? name : `${name} (${n})`
  })
}

function bestSeparator(text: string): string {
  const cut = text.slice(0, headLength)
  // Whole lines only: a line cut in two would look uneven.
  const head = text.length > headLength ? cut.slice(0, cut.lastIndexOf('\n') + 1) || cut : cut
  const score = (separator: string) => {
    let rows: string[][]
    try {
      rows = (parse(head, { ...options(separator), to: 20 }) as unknown as Parsed[]).map(
        ({ record }) => record,
      )
    } catch {
      rows = head
        .split(/\r\n|\n|\r/, 20)
        .filter(Boolean)
        .map((line) => line.split(separator))
    }
    const width = rows[0]?.length ?? 0
    return width < 2 ? 0 : rows.filter((r) => r.length === width).length * 10 + Math.min(width, 9)
  }
  return separators.reduce((best, each) => (score(each) > score(best) ? each : best), ',')
}

const lineEnds = (cell: string): number => {
  let count = 0
  for (let i = 0; i < cell.length; i++) {
    const code = cell.charCodeAt(i)
    if (code === 10 || (code === 13 && cell.charCodeAt(i + 1) !== 10)) count++
  }
  return count
}

/** Whether a cell of several lines looks like rows of the table: most of its lines have the table's separators. */
function holdsRows(cell: string, separator: string, width: number): boolean {
  if (!cell.includes('\n')) return false
  const lines = cell.split('\n').slice(1)
  const like = lines.filter((line) => line.split(separator).length >= width).length
  return like >= (width > 3 ? 1 : 3) && like * 2 >= lines.length
}
