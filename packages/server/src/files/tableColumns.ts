import { cleanLine } from '@murrabel/core/text'
import { fieldProblem, type FieldReason, type ImportPreview, type ReasonValues } from '@murrabel/contract'
import { Refusal } from '../problem.ts'
import { orderOf } from './readDate.ts'
import { readTable, type Table } from './readTable.ts'

/** What a table holds, before it is brought in: its columns, and which holds what by the look of its heading. */
export function previewTable(csv: string, guesses: Readonly<Record<string, RegExp>>): ImportPreview {
  const table = readTable(csv)
  const { header, rows, separator } = table
  const taken = new Set<string>()
  const mapping: Record<string, string | null> = {}
  for (const [field, pattern] of Object.entries(guesses)) {
    const found = header.find((h) => pattern.test(h) && !taken.has(h)) ?? null
    if (found) taken.add(found)
    mapping[field] = found
  }
  return {
    columns: header.map((name, i) => ({
      name: cleanLine(name, 200),
      sample: rows.slice(0, 3).map((r) => cleanLine(r.cells[i] ?? '', 120)),
    })),
    rows: rows.length,
    separator,
    mapping,
    dates: datesOf(table, mapping.at ?? null),
    swallowed: rows
      .filter((row) => row.swallowed)
      .map(({ line, to }) => ({ line, to }))
      .slice(0, 50),
  }
}

/** What a column of dates says of the order of day and month; it answers for all of its rows. */
export function datesOf({ header, rows }: Table, column: string | null): ImportPreview['dates'] {
  const at = column === null ? -1 : header.indexOf(column)
  const cells = at < 0 ? [] : rows.map((row) => (row.cells[at] ?? '').trim())
  const orders = cells.map(orderOf)
  const told = new Set(orders.filter((order) => order === 'dayFirst' || order === 'monthFirst'))
  const either = cells.filter((_, i) => orders[i] === 'either')
  return {
    ambiguous: either.length,
    order: told.size === 1 ? [...told][0]! : null,
    sample: [...new Set(either)].slice(0, 3),
  }
}

/** A field of an import that is refused. */
export const invalid = (field: string, reason: FieldReason, values?: ReasonValues) =>
  new Refusal('invalid', { fields: [fieldProblem(field, reason, { values })] })

/** The places of the columns that are mapped; -1 for what is none. @throws Refusal invalid for a column that is not there */
export function columnsOf<Field extends string>(
  header: readonly string[],
  mapping: Readonly<Record<Field, string | null>>,
  of: string,
): Record<Field, number> {
  const columns = {} as Record<Field, number>
  for (const [field, name] of Object.entries(mapping) as [Field, string | null][]) {
    columns[field] = name ? header.indexOf(name) : -1
    if (name && columns[field] < 0) throw invalid(`${of}.${field}`, 'noColumn', { name })
  }
  return columns
}
