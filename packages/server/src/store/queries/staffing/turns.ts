import type { EntryKind, Sentiment } from '@murrabel/core/lens'
import type { Wish } from '@murrabel/core/meaning'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { accessOf } from '../shared/where.ts'

/** Turns that are looked at, the newest. */
export const turnsAtMost = 12_000

/** What somebody said that was to be answered: the first since our last answer; and the answer. */
export interface Turn {
  threadId: number
  at: Date
  kind: EntryKind
  channel: string
  placeId: number | null
  rating: number | null
  sentiment: Sentiment
  wish: Wish | null
  wantsAnswer: number | null
  priority: 0 | 1 | 2
  state: string
  answeredAt: Date | null
  /** Who answered; null: nobody we know, or nobody. */
  by: number | null
}

/** What came in since an instant and was to be answered, of all that a reader may see, newest first. */
export const turnsSince = (db: Database, reader: Reader, since: Date): Promise<Turn[]> => {
  const values: unknown[] = [since]
  const bind = (value: unknown) => `$${values.push(value)}`
  return db.replica.rows<Turn>(
    `SELECT e.thread_id AS "threadId", e.at, e.kind, e.channel, e.place_id AS "placeId", e.rating, e.sentiment, e.wish,
       e.wants_answer AS "wantsAnswer", t.priority, t.state, o.at AS "answeredAt", o.by
     FROM entries e
     JOIN threads t ON t.id = e.thread_id
     LEFT JOIN LATERAL (
       SELECT p.direction FROM entries p
       WHERE p.thread_id = e.thread_id AND (p.at, p.id) < (e.at, e.id)
         AND (p.direction = 'out' AND NOT p.withdrawn OR p.direction = 'in' AND p.origin <> 'heard')
       ORDER BY p.at DESC, p.id DESC
       LIMIT 1
     ) before ON true
     LEFT JOIN LATERAL (
       SELECT o.at, x.colleague_id AS by FROM entries o
       LEFT JOIN outside_actions x ON x.entry_id = o.id AND x.kind = 'reply'
       WHERE o.thread_id = e.thread_id AND o.direction = 'out' AND NOT o.withdrawn AND o.at > e.at
       ORDER BY o.at, o.id
       LIMIT 1
     ) o ON true
     WHERE ${accessOf(bind, reader, 'e')} AND e.direction = 'in' AND e.origin <> 'heard' AND e.deleted_at IS NULL AND t.spam_at IS NULL
       AND e.at >= $1 AND before.direction IS DISTINCT FROM 'in'
     ORDER BY e.at DESC
     LIMIT ${turnsAtMost}`,
    values,
  )
}

export interface OpenWork {
  /** Both null: nobody's. */
  givenTo: number | null
  teamId: number | null
  open: number
  pastDue: number
  oldestAt: Date | null
}

/** Open threads by who has them, of all that a reader may see. */
export const openByColleague = (db: Database, reader: Reader, now: Date): Promise<OpenWork[]> => {
  const values: unknown[] = [now]
  const bind = (value: unknown) => `$${values.push(value)}`
  return db.replica.rows<OpenWork>(
    `SELECT t.given_to AS "givenTo", t.team_id AS "teamId", count(*)::int AS open, count(*) FILTER (WHERE t.due_at < $1)::int AS "pastDue", min(e.at) AS "oldestAt"
     FROM threads t JOIN entries e ON e.id = t.lead_entry_id
     WHERE ${accessOf(bind, reader, 't')} AND t.state = 'open' AND t.due_at IS NOT NULL
     GROUP BY t.given_to, t.team_id`,
    values,
  )
}

/** When what is open is due, of all that a reader may see; the first due first. */
export const openDueTimes = async (db: Database, reader: Reader): Promise<number[]> => {
  const values: unknown[] = []
  const bind = (value: unknown) => `$${values.push(value)}`
  const rows = await db.replica.rows<{ dueAt: Date }>(
    `SELECT t.due_at AS "dueAt" FROM threads t
     WHERE ${accessOf(bind, reader, 't')} AND t.state = 'open' AND t.due_at IS NOT NULL
     ORDER BY t.due_at
     LIMIT 5000`,
    values,
  )
  return rows.map(({ dueAt }) => dueAt.getTime())
}

export interface Answering {
  id: number
  name: string
  awayFrom: Date | null
  awayTo: Date | null
  awayUntil: string | null
}

/** Those who answer for a brand, with their next absence. */
export const whoAnswers = (db: Database, brandId: number, now: Date): Promise<Answering[]> =>
  db.rows<Answering>(
    `SELECT c.id, c.name, a.from_at AS "awayFrom", a.until_at AS "awayTo",
       CASE WHEN a.from_at <= $2 THEN to_char(a.until_day, 'YYYY-MM-DD') END AS "awayUntil"
     FROM memberships m
     JOIN colleagues c ON c.id = m.colleague_id
     LEFT JOIN absences a ON a.brand_id = m.brand_id AND a.colleague_id = c.id AND a.until_at > $2
     WHERE m.brand_id = $1 AND m.role <> 'reader'
     ORDER BY c.name`,
    [brandId, now],
  )
