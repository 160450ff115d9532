import type { NoticeAnswer, NoticeKind } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { authorName } from '../people/called.ts'
import { addAccess, Where } from '../shared/where.ts'

export interface NoticeTo {
  whom: number
  thread: number
  note?: number
}

/** Tells colleagues of something; what they have been told and not seen yet is not told again. */
export async function insertNotices(
  db: Database,
  {
    brandId,
    kind,
    to,
    by,
  }: { brandId: number; kind: NoticeKind; to: readonly NoticeTo[]; by: number | null },
  tx: Tx,
): Promise<void> {
  await db.rows(
    `INSERT INTO notices (brand_id, colleague_id, kind, thread_id, note_id, by_id, at)
     SELECT $1, n.whom, $2, n.thread, n.note, $6, now() FROM unnest($3::int[], $4::bigint[], $5::bigint[]) AS n(whom, thread, note)
     ON CONFLICT (colleague_id, kind, thread_id, coalesce(note_id, 0)) WHERE seen_at IS NULL
       DO UPDATE SET by_id = excluded.by_id, at = excluded.at`,
    [
      brandId,
      kind,
      to.map(({ whom }) => whom),
      to.map(({ thread }) => thread),
      to.map(({ note }) => note ?? null),
      by,
    ],
    tx,
  )
}

/** What somebody was told lately, newest first; of threads they may no longer see nothing, nor of notes that were removed. */
export async function noticesOf(db: Database, reader: Reader): Promise<NoticeAnswer[]> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(
    `n.colleague_id = ${where.bind(reader.colleagueId)} AND n.brand_id = ${where.bind(reader.brandId)}`,
  )
  const rows = await db.rows<Omit<NoticeAnswer, 'at'> & { at: Date }>(
    `SELECT n.id, n.kind, n.thread_id AS thread, coalesce(${authorName('a')}, '') AS author, n.by_id AS by, n.at, left(o.text, 200) AS text,
       n.seen_at IS NOT NULL AS seen
     FROM notices n
     JOIN threads t ON t.id = n.thread_id
     LEFT JOIN entries e ON e.id = t.lead_entry_id
     LEFT JOIN accounts a ON a.id = e.account_id
     LEFT JOIN notes o ON o.id = n.note_id
     WHERE ${where.toString()} AND (n.note_id IS NULL OR o.removed_at IS NULL)
       AND NOT EXISTS (
         SELECT FROM notice_choices c
         WHERE c.brand_id = n.brand_id AND c.colleague_id = n.colleague_id AND n.kind = ANY(c.silent)
       )
     ORDER BY n.id DESC LIMIT 50`,
    where.values,
  )
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString() }))
}

/** What somebody, or anybody, has not seen yet of a thread is theirs no more. Answers whose it was. */
export const dropUnseen = async (
  db: Database,
  { whom, thread, kind }: { whom: number | null; thread: number; kind: NoticeKind },
  tx: Tx,
): Promise<number[]> =>
  (
    await db.rows<{ whom: number }>(
      `DELETE FROM notices
       WHERE ($1::int IS NULL OR colleague_id = $1) AND thread_id = $2 AND kind = $3 AND seen_at IS NULL
       RETURNING colleague_id AS whom`,
      [whom, thread, kind],
      tx,
    )
  ).map((row) => row.whom)

/** Answers how many had not been seen. */
export const setNoticesSeen = async (
  db: Database,
  {
    brandId,
    colleagueId,
    ids,
    thread,
    at,
  }: { brandId: number; colleagueId: number; ids: readonly number[]; thread: number | null; at: Date },
): Promise<number> =>
  (
    await db.rows(
      `UPDATE notices SET seen_at = $5
       WHERE brand_id = $1 AND colleague_id = $2 AND seen_at IS NULL AND (id = ANY($3::bigint[]) OR thread_id = $4::bigint) RETURNING 1`,
      [brandId, colleagueId, ids, thread, at],
    )
  ).length
