import Papa from 'papaparse'
import { cleanUrl } from '@murrabel/core/text'
import type { Lens } from '@murrabel/core/lens'
import { limits, type EntryRow } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { entryPage, type PageKey } from '../../store/queries/entries/entryPage.ts'
import { parseKey } from '../../store/queries/entries/entryPage.ts'
import { lensContext, lensOf } from '../lens/index.ts'

/** All rows of a lens, page by page, up to the limit of one export. */
export async function* exportRows(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: Record<string, unknown>,
): AsyncGenerator<EntryRow[]> {
  const asked = lensOf(query)
  // Ranked by how distinctive it is, a list would have to be ranked anew for every page.
  const lens: Lens = asked.order === 'distinctive' ? { ...asked, order: 'newest' } : asked
  const context = await lensContext(parts, reader)
  let after: PageKey | null = null
  for (let count = 0; count < limits.exportRows;) {
    const page = await entryPage(parts.db, { lens, context, reader, after, limit: 1000 })
    count += page.rows.length
    yield page.rows
    if (!page.next) return
    after = parseKey(page.next, lens.order)
  }
}

export const exportColumns = [
  'id',
  'at',
  'channel',
  'network',
  'profile',
  'kind',
  'author',
  'rating',
  'sentiment',
  'state',
  'title',
  'text',
  'url',
] as const

/**
 * Spreadsheets run cells that begin so as formulas, also after a separator that they take for the end of a cell, and in
 * their full-width forms; an apostrophe before them makes them text.
 */
const formula = /(^|[;\t|])(?=[\s"']*[=+\-@\uff1d\uff0b\uff0d\uff20])/g
// A number may have its sign.
const signedNumber = /^[+-]?\d+(?:[.,]\d+)?$/

export const safeCell = (value: unknown): unknown =>
  typeof value !== 'string' || signedNumber.test(value)
    ? value
    : value.replace(/\r/g, '').replace(formula, "$1'")

function cellOf(row: EntryRow, name: (typeof exportColumns)[number]): unknown {
  if (name === 'at') return new Date(row.at).toISOString()
  return (name === 'url' ? cleanUrl(row.url) : row[name]) ?? ''
}

export function csvOf(rows: readonly EntryRow[], { header }: { header: boolean }): string {
  const data = rows.map((row) => exportColumns.map((name) => safeCell(cellOf(row, name))))
  const lines = header ? [[...exportColumns], ...data] : data
  return lines.length ? `${Papa.unparse(lines, { newline: '\r\n' })}\r\n` : ''
}

/** One entry as an item of a JSON Feed 1.1. */
export function feedItemOf(row: EntryRow): Record<string, unknown> {
  return {
    id: String(row.id),
    url: cleanUrl(row.url),
    title: row.title ?? undefined,
    content_text: row.text,
    date_published: new Date(row.at).toISOString(),
    authors: row.author ? [{ name: row.author }] : undefined,
    tags: [row.kind, row.sentiment],
    _murrabel: {
      channel: row.channel,
      network: row.network,
      profile: row.profile,
      rating: row.rating,
      state: row.state,
    },
  }
}
