import type { Database, Tx } from '../../database.ts'

export interface EventLine {
  subject: string
  subjectId: number | null
  threadId: number | null
  kind: string
  detail: object
  before: object | null
  edition: number | null
}

/** Writes lines into the log; their ids, in the same order. */
export const insertEvents = (
  db: Database,
  { brandId, actor, colleagueId }: { brandId: number; actor: string; colleagueId: number | null },
  lines: readonly EventLine[],
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `INSERT INTO events (brand_id, actor, colleague_id, subject, subject_id, thread_id, kind, detail, before, edition)
     SELECT $1::int, $2::text, $3::int, n.subject, n.id, n.thread, n.kind, n.detail, n.before, n.edition
     FROM unnest($4::text[], $5::bigint[], $6::bigint[], $7::text[], $8::jsonb[], $9::jsonb[], $10::int[])
       WITH ORDINALITY AS n (subject, id, thread, kind, detail, before, edition, i)
     ORDER BY n.i
     RETURNING id`,
    [
      brandId,
      actor,
      colleagueId,
      lines.map((line) => line.subject),
      lines.map((line) => line.subjectId),
      lines.map((line) => line.threadId),
      lines.map((line) => line.kind),
      lines.map((line) => JSON.stringify(line.detail)),
      lines.map((line) => line.before && JSON.stringify(line.before)),
      lines.map((line) => line.edition),
    ],
    tx,
  )
