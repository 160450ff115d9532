import type { ChatVisitor } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

export interface Visit {
  id: number
  name: string | null
  email: string | null
  /** Lines since the minute and the day began that are counted now. */
  minuteAt: Date
  minuteLines: number
  dayAt: Date
  dayLines: number
}

const columns = `id, name, email, minute_at AS "minuteAt", minute_lines AS "minuteLines", day_at AS "dayAt", day_lines AS "dayLines"`

export const visitByToken = (
  db: Database,
  { profileId, tokenHash }: { profileId: number; tokenHash: Buffer },
  tx?: Tx,
): Promise<Visit | undefined> =>
  db.one<Visit>(
    `SELECT ${columns} FROM chat_visits WHERE profile_id = $1 AND token_hash = $2`,
    [profileId, tokenHash],
    tx,
  )

/** How many visits began from an address lately. */
export const visitsFrom = async (
  db: Database,
  { profileId, addressHash, minutes }: { profileId: number; addressHash: Buffer; minutes: number },
  tx?: Tx,
): Promise<number> => {
  const row = await db.one<{ n: number }>(
    `SELECT count(*) AS n FROM chat_visits
     WHERE profile_id = $1 AND address_hash = $2 AND began_at > now() - $3 * interval '1 minute'`,
    [profileId, addressHash, minutes],
    tx,
  )
  return row?.n ?? 0
}

/**
 * The visit as its newest line tells it, that line counted; held until the transaction ends, so that lines at the same
 * moment count each other.
 */
export const countLine = (
  db: Database,
  visit: {
    profileId: number
    tokenHash: Buffer
    addressHash: Buffer
    name: string | null
    language: string | null
    page: { url: string | null; title: string | null }
    at: Date
    presentUntil: Date
  },
  tx?: Tx,
): Promise<Visit | undefined> =>
  db.one<Visit>(
    `INSERT INTO chat_visits AS v (profile_id, token_hash, address_hash, name, language, page_url, page_title, began_at,
       present_until, minute_at, minute_lines, day_at, day_lines)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $8, 1, $8, 1)
     ON CONFLICT (profile_id, token_hash) DO UPDATE SET name = coalesce(excluded.name, v.name),
       language = coalesce(excluded.language, v.language), page_url = coalesce(excluded.page_url, v.page_url),
       page_title = coalesce(excluded.page_title, v.page_title),
       present_until = greatest(excluded.present_until, v.present_until),
       minute_lines = CASE WHEN v.minute_at > $8 - interval '1 minute' THEN v.minute_lines + 1 ELSE 1 END,
       minute_at = CASE WHEN v.minute_at > $8 - interval '1 minute' THEN v.minute_at ELSE $8 END,
       day_lines = CASE WHEN v.day_at > $8 - interval '1 day' THEN v.day_lines + 1 ELSE 1 END,
       day_at = CASE WHEN v.day_at > $8 - interval '1 day' THEN v.day_at ELSE $8 END
     RETURNING ${columns}`,
    [
      visit.profileId,
      visit.tokenHash,
      visit.addressHash,
      visit.name,
      visit.language,
      visit.page.url,
      visit.page.title,
      visit.at,
      visit.presentUntil,
    ],
    tx,
  )

/** When a line came in; undefined: it has not. */
export const lineAt = (
  db: Database,
  { profileId, outsideId }: { profileId: number; outsideId: string },
): Promise<{ at: Date } | undefined> =>
  db.one<{ at: Date }>('SELECT at FROM entries WHERE profile_id = $1 AND outside_id = $2', [
    profileId,
    outsideId,
  ])

export const setVisitEmail = async (
  db: Database,
  { id, email, name }: { id: number; email: string; name: string | null },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE chat_visits SET email = $2, name = coalesce($3, name) WHERE id = $1',
    [id, email, name],
    tx,
  )
}

/** The box is open in the visitor's browser until then, unless it is heard of again; or has been closed just now. */
export const setPresent = async (
  db: Database,
  { id, thread, profileId, until }: { id: number; thread: string; profileId: number; until: Date },
  tx?: Tx,
): Promise<void> => {
  await db.rows('UPDATE chat_visits SET present_until = $2 WHERE id = $1', [id, until], tx)
  await db.rows(
    `UPDATE handoffs h SET present_until = $3
     FROM threads t
     WHERE t.profile_id = $1 AND t.outside_id = $2 AND h.thread_id = t.id`,
    [profileId, thread, until],
    tx,
  )
}

/** From now on the thread is answered by another profile, when the customer is not where it began. */
export const handOff = (
  db: Database,
  given: {
    profileId: number
    thread: string
    byProfile: number
    address: string
    name: string
    subject: string
    presentUntil: Date
  },
  tx?: Tx,
): Promise<{ threadId: number } | undefined> =>
  db.one<{ threadId: number }>(
    `INSERT INTO handoffs (thread_id, profile_id, address, name, subject, present_until)
     SELECT t.id, $3, $4, $5, $6, $7 FROM threads t WHERE t.profile_id = $1 AND t.outside_id = $2
     ON CONFLICT (thread_id) DO UPDATE SET profile_id = excluded.profile_id, address = excluded.address, name = excluded.name
     RETURNING thread_id AS "threadId"`,
    [
      given.profileId,
      given.thread,
      given.byProfile,
      given.address,
      given.name,
      given.subject,
      given.presentUntil,
    ],
    tx,
  )

export const threadOfVisit = (
  db: Database,
  { profileId, thread }: { profileId: number; thread: string },
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>('SELECT id FROM threads WHERE profile_id = $1 AND outside_id = $2', [
    profileId,
    thread,
  ])

export interface LineRow {
  id: number
  outsideId: string | null
  direction: 'in' | 'out'
  name: string | null
  text: string
  at: Date
  byMail: boolean
}

/** What a visitor may see of a conversation, oldest first: their own lines, and answers that are outside. */
export const linesOfVisit = (
  db: Database,
  { threadId, profileId, limit }: { threadId: number; profileId: number; limit: number },
): Promise<LineRow[]> =>
  db.rows<LineRow>(
    `SELECT * FROM (
       SELECT e.id, e.outside_id AS "outsideId", e.direction, split_part(c.name, ' ', 1) AS name, e.text, e.at,
         e.profile_id <> $2 AS "byMail"
       FROM entries e
       LEFT JOIN outside_actions o ON o.entry_id = e.id AND o.kind = 'reply'
       LEFT JOIN colleagues c ON c.id = o.colleague_id
       WHERE e.thread_id = $1 AND e.outside_id IS NOT NULL AND e.deleted_at IS NULL AND NOT e.withdrawn
       ORDER BY e.at DESC, e.id DESC
       LIMIT $3
     ) newest
     ORDER BY at, id`,
    [threadId, profileId, limit],
  )

/** Who writes in a thread that is a visit; null for any other. */
export const visitorOfThread = async (
  db: Database,
  { profileId, thread, now }: { profileId: number; thread: string; now: Date },
): Promise<ChatVisitor | null> => {
  const row = await db.one<Omit<ChatVisitor, 'page'> & { url: string | null; title: string | null }>(
    `SELECT name, email, language, page_url AS url, page_title AS title, present_until > $3 AS present
     FROM chat_visits
     WHERE profile_id = $1 AND $2 = 'visit/' || id`,
    [profileId, thread, now],
  )
  if (!row) return null
  const { url, title, ...visitor } = row
  return { ...visitor, page: url ? { url, title: title || url } : null }
}
