import { leadOrder } from '../shared/leadId.ts'
import type { Database, Tx } from '../../database.ts'
import type { DuePolicy, Waiting } from '@murrabel/core/inbox'
import type { BusinessHours } from '@murrabel/core/places'
import type { ThreadState, EntryKind, EntryOrigin, Sentiment } from '@murrabel/core/lens'

export interface ThreadFacts {
  id: number
  state: ThreadState
  setAsideUntil: Date | null
  edition: number
  priority: 0 | 1 | 2
  /** Put aside as spam. */
  spam: boolean
  channel: string
  oldLead: number | null
  placeId: number | null
  connectedAt: Date
  leadId: number | null
  kind: EntryKind | null
  origin: EntryOrigin | null
  rating: number | null
  sentiment: Sentiment | null
  reach: number | null
  leadAt: Date | null
  /** When the lead was changed so much that it is said anew; and the last such change that was met. */
  saidAnewAt: Date | null
  metAnewAt: Date | null
  leadDeleted: boolean
  /** All it says is whether they want to hear from us. */
  leadIsWish: boolean
  answeredAt: Date | null
  /** The latest of theirs that somebody finished with or without an answer; what came up to it waits no longer. */
  settledAt: Date | null
  firstWaitingAt: Date | null
  waiting: number
  /** What those that wait want. */
  wants: Waiting[]
  /** Answers of ours that failed and wait for somebody to decide. */
  notSent: number
}

export const duePolicyOf = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ zone: string; policy: Partial<DuePolicy> } | undefined> =>
  db.one<{ zone: string; policy: Partial<DuePolicy> }>(
    `SELECT zone, due_policy AS policy
     FROM brands
     WHERE id = $1`,
    [brandId],
    tx,
  )

export const placeHours = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<(Pick<BusinessHours, 'week' | 'specialDays'> & { id: number })[]> =>
  db.rows<Pick<BusinessHours, 'week' | 'specialDays'> & { id: number }>(
    `SELECT id, week, (SELECT coalesce(jsonb_object_agg(d->>'date', d->'hours'), '{}') FROM jsonb_array_elements(special_days) d) AS "specialDays"
     FROM places
     WHERE brand_id = $1
     ORDER BY id`,
    [brandId],
    tx,
  )

/** The entry each thread is shown by: the newest that was said to us, or the newest from outside where none was. */
export const latestFromOutside = (
  db: Database,
  threadIds: readonly number[],
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `SELECT l.id
     FROM unnest($1::bigint[]) AS t (id)
     CROSS JOIN LATERAL (
       SELECT e.id
       FROM entries e
       WHERE e.thread_id = t.id AND e.direction <> 'out'
       ORDER BY ${leadOrder}
       LIMIT 1
     ) l`,
    [threadIds],
    tx,
  )

/** Holds threads until the transaction ends, so that what somebody does meanwhile is not written over by what was read before. */
export const holdThreads = async (db: Database, threadIds: readonly number[], tx: Tx): Promise<void> => {
  await db.rows(
    'SELECT id FROM threads WHERE id = ANY($1::bigint[]) ORDER BY id FOR NO KEY UPDATE',
    [threadIds],
    tx,
  )
}

/**
 * The entry each thread is shown by, our latest answer to it that stands, and how many of theirs came since. Laterals,
 * so that each thread is looked up by index also while the tables are so new that the planner knows nothing of their size; and
 * not "in" but "not out", so that it does not take the indexes of incoming entries for a help, which hold all of them.
 */
export const threadFacts = (db: Database, threadIds: readonly number[], tx?: Tx): Promise<ThreadFacts[]> =>
  db.rows<ThreadFacts>(
    `SELECT t.id, t.state, t.set_aside_until AS "setAsideUntil", t.edition, t.priority, t.spam_at IS NOT NULL AS spam, p.channel,
       t.lead_entry_id AS "oldLead", t.place_id AS "placeId", p.connected_at AS "connectedAt",
       l.id AS "leadId", l.kind, l.origin, l.rating, l.sentiment, l.reach, greatest(l.at, l.said_anew_at) AS "leadAt",
       l.said_anew_at AS "saidAnewAt", t.lead_said_anew_at AS "metAnewAt", l.deleted_at IS NOT NULL AS "leadDeleted",
       coalesce(b.contact_wish_at = l.at, false) AS "leadIsWish",
       CASE WHEN f.first_in IS NULL OR f.last_out >= f.first_in THEN f.last_out END AS "answeredAt", s.at AS "settledAt",
       w.first AS "firstWaitingAt", coalesce(w.n, 0) AS waiting, coalesce(w.wants, '[]') AS wants,
       (SELECT count(*) FROM outside_actions a WHERE a.thread_id = t.id AND a.kind = 'reply' AND a.state = 'failed')::int AS "notSent"
     FROM threads t
     JOIN profiles p ON p.id = t.profile_id
     LEFT JOIN LATERAL (
       SELECT *
       FROM entries e
       WHERE e.thread_id = t.id AND e.direction <> 'out'
       ORDER BY ${leadOrder}
       LIMIT 1
     ) l ON true
     LEFT JOIN accounts b ON b.id = l.account_id
     LEFT JOIN LATERAL (
       SELECT min(e.at) FILTER (WHERE e.direction = 'in') AS first_in,
         max(e.at) FILTER (WHERE e.direction = 'out' AND NOT e.withdrawn) AS last_out
       FROM entries e
       WHERE e.thread_id = t.id
     ) f ON true
     CROSS JOIN LATERAL (
       SELECT CASE WHEN t.state = 'done' AND (l.id, l.said_anew_at) IS DISTINCT FROM (t.lead_entry_id, t.lead_said_anew_at)
         THEN (SELECT greatest(e.at, t.lead_said_anew_at, t.settled_at) FROM entries e WHERE e.id = t.lead_entry_id)
         ELSE t.settled_at END AS at
     ) s
     LEFT JOIN LATERAL (
       SELECT count(*) AS n, min(greatest(e.at, e.said_anew_at)) AS first,
         jsonb_agg(DISTINCT jsonb_build_object('wish', e.wish, 'wantsAnswer', e.wants_answer)) AS wants
       FROM entries e
       WHERE e.thread_id = t.id
         AND e.direction <> 'out'
         AND e.origin <> 'heard'
         AND e.deleted_at IS NULL
         AND (f.last_out IS NULL OR f.last_out < f.first_in OR greatest(e.at, e.said_anew_at) > f.last_out)
         AND (s.at IS NULL OR greatest(e.at, e.said_anew_at) > s.at)
     ) w ON true
     WHERE t.id = ANY($1::bigint[])
     ORDER BY t.id`,
    [threadIds],
    tx,
  )

export const markLeads = async (db: Database, threadIds: readonly number[], tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE entries e
     SET lead = (e.id = t.lead_entry_id)
     FROM threads t
     WHERE t.id = e.thread_id
       AND e.thread_id = ANY($1::bigint[])
       AND e.lead <> (e.id IS NOT DISTINCT FROM t.lead_entry_id)`,
    [threadIds],
    tx,
  )
}

export interface ThreadRefresh {
  id: number
  lead: number | null
  state: ThreadState
  due: Date | null
  pressing: Date | null
  /** Whether it is another thread now for whoever looks at it. */
  moved: boolean
  saidAnewAt: Date | null
  settledAt: Date | null
}

export const refreshRows = async (
  db: Database,
  threads: readonly ThreadRefresh[],
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads t
     SET lead_entry_id = n.lead, lead_said_anew_at = n.said_anew, settled_at = n.settled, state = n.state, due_at = n.due, pressing_at = n.pressing,
       set_aside_until = CASE WHEN n.state = 'aside' THEN t.set_aside_until END,
       edition = t.edition + n.moved::int
     FROM unnest($1::bigint[], $2::bigint[], $3::text[], $4::timestamptz[], $5::timestamptz[], $6::bool[], $7::timestamptz[], $8::timestamptz[])
       AS n (id, lead, state, due, pressing, moved, said_anew, settled)
     WHERE t.id = n.id`,
    [
      threads.map((n) => n.id),
      threads.map((n) => n.lead),
      threads.map((n) => n.state),
      threads.map((n) => n.due),
      threads.map((n) => n.pressing),
      threads.map((n) => n.moved),
      threads.map((n) => n.saidAnewAt),
      threads.map((n) => n.settledAt),
    ],
    tx,
  )
}
