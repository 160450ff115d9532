import type { ApprovalAnswer, ApprovalState, WaitingApproval } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { authorName } from '../people/called.ts'
import { addAccess, Where } from '../shared/where.ts'

const columns = `v.id, v.state, v.by_id AS by, v.of_id AS of, v.text, v.private, v.comment, v.asked_at AS "askedAt",
  v.decided_by AS "decidedBy", v.decided_at AS "decidedAt", v.sent_text AS "sentText", v.word,
  coalesce((
    SELECT jsonb_agg(jsonb_build_object('id', f.id, 'name', f.name, 'type', f.type, 'bytes', f.bytes, 'width', f.width,
      'height', f.height, 'inline', false) ORDER BY f.position, f.id)
    FROM attachments f
    WHERE f.approval_id = v.id
  ), '[]') AS files`

export const approvalsOfThread = (db: Database, thread: number, tx?: Tx): Promise<ApprovalAnswer[]> =>
  db.rows(`SELECT ${columns} FROM approvals v WHERE v.thread_id = $1 ORDER BY v.asked_at, v.id`, [thread], tx)

export type Approval = ApprovalAnswer & {
  threadId: number
  finish: boolean
  pattern: number | null
  signOff: number | null
  key: string
}

/** One of a brand, held until the transaction ends. */
export const lockApproval = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<Approval | undefined> =>
  db.one(
    `SELECT ${columns}, v.thread_id AS "threadId", v.finish, v.pattern_id AS pattern, v.sign_off_id AS "signOff", v.key
     FROM approvals v WHERE v.id = $1 AND v.brand_id = $2 FOR UPDATE`,
    [id, brandId],
    tx,
  )

export const approvalByKey = (
  db: Database,
  { brandId, key }: { brandId: number; key: string },
  tx: Tx,
): Promise<{ id: number; threadId: number } | undefined> =>
  db.one(
    'SELECT id, thread_id AS "threadId" FROM approvals WHERE brand_id = $1 AND key = $2',
    [brandId, key],
    tx,
  )

/** Undefined: one waits in this thread already. */
export const insertApproval = (
  db: Database,
  of: {
    brandId: number
    thread: number
    by: number
    of: number | null
    text: string
    private: boolean
    finish: boolean
    pattern: number | null
    signOff: number | null
    comment: string
    key: string
    at: Date
  },
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one(
    `INSERT INTO approvals (brand_id, thread_id, by_id, of_id, text, private, finish, pattern_id, sign_off_id, comment, key, asked_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)
     ON CONFLICT (thread_id) WHERE state = 'asked' DO NOTHING
     RETURNING id`,
    [
      of.brandId,
      of.thread,
      of.by,
      of.of,
      of.text,
      of.private,
      of.finish,
      of.pattern,
      of.signOff,
      of.comment,
      of.key,
      of.at,
    ],
    tx,
  )

export const settleApproval = async (
  db: Database,
  {
    id,
    state,
    by,
    at,
    sentText,
    word,
  }: { id: number; state: ApprovalState; by: number; at: Date; sentText: string | null; word: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE approvals SET state = $2, decided_by = $3, decided_at = $4, sent_text = $5, word = $6 WHERE id = $1',
    [id, state, by, at, sentText, word],
    tx,
  )
}

/** Those that wait for somebody's word, of all that they may see, the oldest first. */
export const approvalsFor = (db: Database, reader: Reader): Promise<WaitingApproval[]> => {
  const where = new Where()
  addAccess(where, reader, 't')
  const me = where.bind(reader.colleagueId)
  where.add(`(v.of_id = ${me} OR v.of_id IS NULL) AND v.by_id IS DISTINCT FROM ${me}`)
  return db.rows<WaitingApproval>(
    `SELECT v.id, v.thread_id AS thread, coalesce(${authorName('a')}, '') AS author, v.by_id AS by, left(v.text, 200) AS text, v.asked_at AS "askedAt"
     FROM approvals v
     JOIN threads t ON t.id = v.thread_id
     LEFT JOIN entries e ON e.id = t.lead_entry_id
     LEFT JOIN accounts a ON a.id = e.account_id
     WHERE v.state = 'asked' AND ${where.toString()}
     ORDER BY v.asked_at
     LIMIT 50`,
    where.values,
  )
}

/** Those who may approve answers of a brand. */
export const leadsOfBrand = async (db: Database, brandId: number, tx: Tx): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      `SELECT colleague_id AS id FROM memberships WHERE brand_id = $1 AND role IN ('owner', 'lead') ORDER BY 1`,
      [brandId],
      tx,
    )
  ).map(({ id }) => id)
