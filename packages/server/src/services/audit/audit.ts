import Papa from 'papaparse'
import { limits, type LogLine, type LogPage } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { countLog, logPage, mostCounted, type LogQuestion } from '../../store/queries/log/page.ts'
import { printTimeKey, type TimeKey } from '../../store/queries/shared/timeKey.ts'
import { safeCell } from '../entries/index.ts'
import { afterPart, lensContext, lensOf } from '../lens/index.ts'

type Parts = Pick<Context, 'db' | 'now'>
const pageSize = 100

const questionOf = async (
  parts: Parts,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<LogQuestion> => ({
  lens: lensOf(query, 'log'),
  context: await lensContext(parts, reader),
  brandId: reader.brandId,
})

/** Who did what, the latest first, of a lens. @throws Refusal lensUnknown */
export async function readLog(
  parts: Parts,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<LogPage> {
  const after = afterPart(query)
  const question = await questionOf(parts, reader, query)
  const [{ rows, last }, total] = await Promise.all([
    logPage(parts.db, question, { limit: pageSize, after }),
    countLog(parts.db, question),
  ])
  return {
    rows,
    total: Math.min(total, mostCounted),
    more: total > mostCounted,
    next: rows.length === pageSize && last ? printTimeKey(last) : null,
  }
}

/** The lines of a lens, page by page, up to the limit of one export. */
export async function* exportLog(
  parts: Parts,
  reader: Reader,
  query: Record<string, unknown>,
): AsyncGenerator<LogLine[]> {
  const question = await questionOf(parts, reader, query)
  const limit = 1000
  let after: TimeKey | null = null
  for (let count = 0; count < limits.exportRows;) {
    const page: { rows: LogLine[]; last: TimeKey | null } = await logPage(parts.db, question, {
      limit,
      after,
    })
    count += page.rows.length
    yield page.rows
    if (page.rows.length < limit) return
    after = page.last
  }
}

const columns = [
  'id',
  'at',
  'by',
  'actor',
  'kind',
  'subject',
  'subjectId',
  'about',
  'undone',
  'detail',
] as const

/** Lines as a table (RFC 4180), which no spreadsheet reckons with. */
export function logCsv(lines: readonly LogLine[], { header }: { header: boolean }): string {
  const data = lines.map((line) =>
    columns.map((column) =>
      safeCell(column === 'detail' ? JSON.stringify(line.detail) : (line[column] ?? '')),
    ),
  )
  const table = header ? [[...columns], ...data] : data
  return table.length ? `${Papa.unparse(table, { newline: '\r\n' })}\r\n` : ''
}
