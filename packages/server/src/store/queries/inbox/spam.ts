import type { SpamMark } from '@murrabel/core/inbox'
import type { SimHash } from '@murrabel/core/inbox'
import type { Database, Tx } from '../../database.ts'

/** So many of the latest marks teach. */
const marksThatTeach = 2000

/** What a person said of a thread; null: nothing. */
export const markOfThread = async (db: Database, threadId: number, tx?: Tx): Promise<boolean | null> =>
  (await db.one<{ spam: boolean }>('SELECT spam FROM spam_marks WHERE thread_id = $1', [threadId], tx))
    ?.spam ?? null

/** Puts down what a person says of a thread; null takes it away. */
export const setMark = async (
  db: Database,
  {
    threadId,
    brandId,
    spam,
    byId,
    print,
  }: { threadId: number; brandId: number; spam: boolean | null; byId: number | null; print: string | null },
  tx: Tx,
): Promise<void> => {
  if (spam === null)
    return void (await db.rows('DELETE FROM spam_marks WHERE thread_id = $1', [threadId], tx))
  await db.rows(
    `INSERT INTO spam_marks (thread_id, brand_id, spam, by_id, entry_id, print)
     SELECT id, $2, $3, $4, lead_entry_id, $5 FROM threads WHERE id = $1
     ON CONFLICT (thread_id) DO UPDATE SET
       spam = excluded.spam, by_id = excluded.by_id, entry_id = excluded.entry_id,
       print = excluded.print, at = now()`,
    [threadId, brandId, spam, byId, print],
    tx,
  )
}

interface PrintRow {
  high: number | null
  low: number | null
}

const printOf = ({ high, low }: PrintRow): SimHash | null =>
  high === null || low === null ? null : { high: high >>> 0, low }

/** What people said of threads, with what these are known by. */
export const marksOfBrand = async (db: Database, brandId: number, tx?: Tx): Promise<SpamMark[]> => {
  const rows = await db.rows<PrintRow & { thread: number; spam: boolean; account: number | null; at: Date }>(
    `SELECT m.thread_id AS thread, m.spam, l.account_id AS account, m.at,
       (m.print >> 32)::int AS high, (m.print & 4294967295) AS low
     FROM spam_marks m
     LEFT JOIN entries l ON l.id = m.entry_id
     WHERE m.brand_id = $1
     ORDER BY m.at DESC
     LIMIT ${marksThatTeach}`,
    [brandId],
    tx,
  )
  return rows.map((row) => ({
    thread: row.thread,
    spam: row.spam,
    account: row.account,
    at: row.at.getTime(),
    print: printOf(row),
  }))
}

/** Open threads of a brand, the most pressing first. */
export const openThreads = async (db: Database, brandId: number, tx: Tx): Promise<number[]> => {
  const rows = await db.rows<{ id: number }>(
    `SELECT id FROM threads WHERE brand_id = $1 AND state = 'open' ORDER BY pressing_at LIMIT 10000`,
    [brandId],
    tx,
  )
  return rows.map(({ id }) => id)
}

/** Threads that were put aside for what was said of this one. */
export const taughtBy = async (db: Database, threadId: number, tx: Tx): Promise<number[]> => {
  const rows = await db.rows<{ id: number }>(
    'SELECT id FROM threads WHERE spam_like = $1 ORDER BY id',
    [threadId],
    tx,
  )
  return rows.map(({ id }) => id)
}

/** Words of what a thread is shown by. */
export interface LeadWords {
  title: string | null
  text: string
}

export const leadWords = (db: Database, threadId: number, tx: Tx): Promise<LeadWords | undefined> =>
  db.one<LeadWords>(
    `SELECT l.title, l.text FROM threads t JOIN entries l ON l.id = t.lead_entry_id WHERE t.id = $1`,
    [threadId],
    tx,
  )

/** What was said in these threads is no longer known by its words. */
export const forgetPrints = async (db: Database, threadIds: readonly number[], tx: Tx): Promise<void> => {
  await db.rows('UPDATE spam_marks SET print = NULL WHERE thread_id = ANY($1::bigint[])', [threadIds], tx)
}

export interface SpamCandidate extends LeadWords {
  id: number
  account: number | null
}

/**
 * Threads among these that may turn out to be spam: open, nobody's, never judged by a person, never answered, and from
 * somebody we have not answered elsewhere.
 */
export const spamCandidates = (
  db: Database,
  threadIds: readonly number[],
  tx: Tx,
): Promise<SpamCandidate[]> =>
  db.rows<SpamCandidate>(
    `SELECT t.id, l.account_id AS account, l.title, l.text
     FROM threads t
     JOIN entries l ON l.id = t.lead_entry_id
     WHERE t.id = ANY($1::bigint[]) AND t.state = 'open' AND t.given_to IS NULL AND t.spam_at IS NULL
       AND NOT EXISTS (SELECT FROM spam_marks m WHERE m.thread_id = t.id)
       AND NOT EXISTS (SELECT FROM entries o WHERE o.thread_id = t.id AND o.direction = 'out' AND NOT o.withdrawn)
       AND NOT EXISTS (
         SELECT FROM entries a
         JOIN entries o ON o.thread_id = a.thread_id AND o.direction = 'out' AND NOT o.withdrawn
         WHERE a.account_id = l.account_id AND a.direction = 'in'
       )`,
    [threadIds],
    tx,
  )
