import type { NoticeAnswer, NoticeChoices, NoticeKind } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { authorName } from '../people/called.ts'
import { addAccess, Where } from '../shared/where.ts'

const choiceColumns = `c.silent, c.desktop, c.mail,
  CASE WHEN c.quiet_from IS NOT NULL THEN jsonb_build_object('from', c.quiet_from, 'until', c.quiet_until) END AS quiet`

/** Of whoever has chosen nothing: undefined. */
export const choicesOf = (
  db: Database,
  { brandId, colleagueId }: Pick<Reader, 'brandId' | 'colleagueId'>,
): Promise<NoticeChoices | undefined> =>
  db.one<NoticeChoices>(
    `SELECT ${choiceColumns} FROM notice_choices c WHERE c.brand_id = $1 AND c.colleague_id = $2`,
    [brandId, colleagueId],
  )

export const putChoices = async (
  db: Database,
  { brandId, colleagueId }: Reader,
  { silent, desktop, mail, quiet }: NoticeChoices,
): Promise<void> => {
  await db.rows(
    `INSERT INTO notice_choices (brand_id, colleague_id, silent, desktop, mail, quiet_from, quiet_until)
     VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (brand_id, colleague_id) DO UPDATE SET silent = excluded.silent, desktop = excluded.desktop,
       mail = excluded.mail, quiet_from = excluded.quiet_from, quiet_until = excluded.quiet_until`,
    [brandId, colleagueId, silent, desktop, mail, quiet?.from ?? null, quiet?.until ?? null],
  )
}

type Quiet = NoticeChoices['quiet']

/** Those among colleagues who want a kind of notice by mail. */
export const whoIsMailed = (
  db: Database,
  { brandId, kind, whom }: { brandId: number; kind: NoticeKind; whom: readonly number[] },
  tx: Tx,
): Promise<{ id: number; zone: string; quiet: Quiet }[]> =>
  db.rows(
    `SELECT c.id, b.zone, ${choiceColumns}
     FROM notice_choices c JOIN brands b ON b.id = c.brand_id
     WHERE c.brand_id = $1 AND c.colleague_id = ANY($2::int[]) AND $3 = ANY(c.mail)`,
    [brandId, whom, kind],
    tx,
  )

export interface Mailed extends NoticeChoices {
  brandId: number
  colleagueId: number
  brand: string
  zone: string
  name: string
  email: string
}

export const mailedById = (db: Database, id: number): Promise<Mailed | undefined> =>
  db.one<Mailed>(
    `SELECT c.brand_id AS "brandId", c.colleague_id AS "colleagueId", b.name AS brand, b.zone, o.name, o.email, ${choiceColumns}
     FROM notice_choices c
     JOIN brands b ON b.id = c.brand_id
     JOIN colleagues o ON o.id = c.colleague_id
     WHERE c.id = $1`,
    [id],
  )

export type ToMail = Pick<NoticeAnswer, 'id' | 'kind' | 'thread' | 'author' | 'text'> & { by: string | null }

/** What somebody has neither seen nor been mailed, of what they may see, oldest first; it counts as mailed from now on. */
export const takeToMail = (
  db: Database,
  reader: Reader,
  { kinds, at }: { kinds: readonly NoticeKind[]; at: Date },
  tx: Tx,
): Promise<ToMail[]> => {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(
    `n.colleague_id = ${where.bind(reader.colleagueId)} AND n.brand_id = ${where.bind(reader.brandId)}`,
  )
  where.add('n.seen_at IS NULL AND n.mailed_at IS NULL')
  where.add(`n.kind = ANY(${where.bind(kinds)}::text[])`)
  return db.rows<ToMail>(
    `WITH taken AS (
       UPDATE notices u SET mailed_at = ${where.bind(at)}
       FROM notices n JOIN threads t ON t.id = n.thread_id
       LEFT JOIN notes o ON o.id = n.note_id
       WHERE u.id = n.id AND ${where.toString()} AND o.removed_at IS NULL
       RETURNING n.id, n.kind, n.thread_id, n.note_id, n.by_id, t.lead_entry_id
     )
     SELECT n.id, n.kind, n.thread_id AS thread, coalesce(${authorName('a')}, '') AS author, left(o.text, 200) AS text, c.name AS by
     FROM taken n
     LEFT JOIN entries e ON e.id = n.lead_entry_id
     LEFT JOIN accounts a ON a.id = e.account_id
     LEFT JOIN notes o ON o.id = n.note_id
     LEFT JOIN colleagues c ON c.id = n.by_id
     ORDER BY n.id`,
    where.values,
    tx,
  )
}
