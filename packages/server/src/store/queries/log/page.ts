import type { LogLine } from '@murrabel/contract'
import { askingParts, type Lens, type LensContext } from '@murrabel/core/lens'
import type { Database } from '../../database.ts'
import type { TimeKey } from '../shared/timeKey.ts'
import { Where } from '../shared/where.ts'

type Row = Omit<LogLine, 'at'> & { at: Date; exact: string }

/** Lines are counted up to so many. */
export const mostCounted = 10_000

const whoLeads = `(SELECT coalesce(a.name, a.handle) FROM threads t JOIN entries e ON e.id = t.lead_entry_id
  JOIN accounts a ON a.id = e.account_id WHERE t.id = v.thread_id)`

/** What the subject of a line is called, where it is still there. */
const about = `CASE v.subject
  WHEN 'thread' THEN ${whoLeads}
  WHEN 'entry' THEN ${whoLeads}
  WHEN 'action' THEN ${whoLeads}
  WHEN 'person' THEN (SELECT coalesce(p.called, p.name) FROM people p WHERE p.id = v.subject_id)
  WHEN 'watch' THEN (SELECT w.name FROM watches w WHERE w.id = v.subject_id)
  WHEN 'group' THEN (SELECT g.name FROM watch_groups g WHERE g.id = v.subject_id)
  WHEN 'alert' THEN (SELECT l.name FROM alerts l WHERE l.id = v.subject_id)
  WHEN 'profile' THEN (SELECT f.name FROM profiles f WHERE f.id = v.subject_id)
  WHEN 'publicProfile' THEN (SELECT f.name FROM public_profiles f WHERE f.id = v.subject_id)
  WHEN 'import' THEN (SELECT i.name FROM imports i WHERE i.id = v.subject_id)
  WHEN 'colleague' THEN (SELECT c.name FROM colleagues c WHERE c.id = v.subject_id)
END`

export interface LogQuestion {
  lens: Lens
  context: LensContext
  brandId: number
}

function conditionsOf({ lens, context, brandId }: LogQuestion): Where {
  const where = new Where()
  where.add(`v.brand_id = ${where.bind(brandId)}`)
  const query = { bind: (value: unknown) => where.bind(value), context, at: 'v.at', window: null }
  for (const { part, value } of askingParts(lens)) {
    const condition = part.sql(value, query)
    if (condition) where.add(condition)
  }
  return where
}

/** Lines of a lens, the latest first. */
export async function logPage(
  db: Database,
  question: LogQuestion,
  { limit, after }: { limit: number; after: TimeKey | null },
): Promise<{ rows: LogLine[]; last: TimeKey | null }> {
  const where = conditionsOf(question)
  if (after)
    where.add(`(v.at, v.id) < (${where.bind(after.at)}::timestamptz, ${where.bind(after.id)}::bigint)`)
  const rows = await db.replica.rows<Row>(
    `WITH page AS (
       SELECT v.* FROM events v WHERE ${where.toString()} ORDER BY v.at DESC, v.id DESC LIMIT ${where.bind(limit)}
     )
     SELECT v.id, v.at, to_char(v.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') AS exact,
       (SELECT c.name FROM colleagues c WHERE c.id = v.colleague_id) AS by, v.actor, v.kind, v.subject,
       v.subject_id AS "subjectId", v.thread_id AS "threadId", ${about} AS about, v.detail, v.undone_at IS NOT NULL AS undone
     FROM page v ORDER BY v.at DESC, v.id DESC`,
    where.values,
  )
  const last = rows.at(-1)
  return {
    rows: rows.map(({ exact: _, at, ...row }) => ({ ...row, at: at.toISOString() })),
    last: last ? { at: last.exact, id: last.id } : null,
  }
}

/** How many lines there are, up to `mostCounted` and one. */
export async function countLog(db: Database, question: LogQuestion): Promise<number> {
  const where = conditionsOf(question)
  const row = await db.replica.rows<{ n: number }>(
    `SELECT count(*)::int AS n FROM (SELECT 1 FROM events v WHERE ${where.toString()} LIMIT ${mostCounted + 1}) s`,
    where.values,
  )
  return row[0]!.n
}
