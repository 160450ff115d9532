import {
  arrivalEvent,
  defaultDuePolicy,
  dueAt,
  historyDays,
  pressingAt,
  transition,
  type BusinessHours,
  type DayHours,
  type DuePolicy,
} from '@murrabel/core/inbox'
import type { EntryKind, Sentiment, ThreadState } from '@murrabel/core/lens'
import type { Database, Tx } from '../../store/database.ts'
import { recordAll } from '../log/record.ts'

interface ThreadFacts {
  id: number
  state: ThreadState
  setAsideUntil: Date | null
  version: number
  priority: 0 | 1 | 2
  oldLead: number | null
  placeId: number | null
  connectedAt: Date
  leadId: number | null
  kind: EntryKind | null
  rating: number | null
  sentiment: Sentiment | null
  reach: number | null
  leadAt: Date | null
  answeredAt: Date | null
  firstWaitingAt: Date | null
  waiting: number
  /** Answers of ours that failed and wait for somebody to decide. */
  notSent: number
}

/** Opening hours by place; a place without runs day and night. What belongs to no place goes by the first that has hours. */
export interface HoursTable {
  brandId: number
  zone: string
  policy: DuePolicy
  byPlace: Map<number, BusinessHours>
  withoutPlace: BusinessHours
}

export async function hoursOf(db: Database, brandId: number, tx?: Tx): Promise<HoursTable> {
  const brand = await db.one<{ zone: string; policy: Partial<DuePolicy> }>(
    'SELECT zone, due_policy AS policy FROM brands WHERE id = $1',
    [brandId],
    tx,
  )
  const places = await db.rows<{ id: number; week: DayHours[] | null; closedDays: string[] }>(
    'SELECT id, week, closed_days AS "closedDays" FROM places WHERE brand_id = $1 ORDER BY id',
    [brandId],
    tx,
  )
  const zone = brand?.zone ?? 'UTC'
  const main = places.find((p) => p.week)
  return {
    brandId,
    zone,
    withoutPlace: { week: main?.week ?? null, closedDays: main?.closedDays ?? [], zone },
    policy: { ...defaultDuePolicy, ...brand?.policy },
    byPlace: new Map(places.map(({ id, week, closedDays }) => [id, { week, closedDays, zone }])),
  }
}

/**
 * The latest incoming entry of each thread, our latest answer to it that stands, and how many of theirs came since. Laterals, so that
 * each thread is looked up by index also while the tables are so new that the planner knows nothing of their size; and not
 * "in" but "not out", so that it does not take the indexes of incoming entries for a help, which hold all of them.
 */
const factsSql = `
  SELECT t.id, t.state, t.set_aside_until AS "setAsideUntil", t.version, t.priority, t.lead_entry_id AS "oldLead", t.place_id AS "placeId", p.connected_at AS "connectedAt",
    l.id AS "leadId", l.kind, l.rating, l.sentiment, l.reach, l.at AS "leadAt",
    CASE WHEN f.first_in IS NULL OR f.last_out >= f.first_in THEN f.last_out END AS "answeredAt",
    w.first AS "firstWaitingAt", coalesce(w.n, 0) AS waiting,
    (SELECT count(*) FROM outside_actions a WHERE a.thread_id = t.id AND a.state = 'failed')::int AS "notSent"
  FROM threads t JOIN profiles p ON p.id = t.profile_id
  LEFT JOIN LATERAL (SELECT * FROM entries e WHERE e.thread_id = t.id AND e.direction <> 'out' ORDER BY e.at DESC, e.id DESC LIMIT 1) l ON true
  LEFT JOIN LATERAL (SELECT min(e.at) FILTER (WHERE e.direction = 'in') AS first_in, max(e.at) FILTER (WHERE e.direction = 'out' AND NOT e.withdrawn) AS last_out
      FROM entries e WHERE e.thread_id = t.id) f ON true
  LEFT JOIN LATERAL (SELECT count(*) AS n, min(e.at) AS first FROM entries e WHERE e.thread_id = t.id AND e.direction <> 'out'
      AND (f.last_out IS NULL OR f.last_out < f.first_in OR e.at > f.last_out)) w ON true
  WHERE t.id = ANY($1::bigint[]) ORDER BY t.id`

/** Ids of the latest incoming entries of these threads: written with what was read, a row is not written twice. */
export async function leadsOf(db: Database, threads: readonly number[], tx: Tx): Promise<number[]> {
  const rows = await db.rows<{ id: number }>(
    `SELECT l.id FROM unnest($1::bigint[]) AS t (id)
     CROSS JOIN LATERAL (SELECT e.id FROM entries e WHERE e.thread_id = t.id AND e.direction <> 'out' ORDER BY e.at DESC, e.id DESC LIMIT 1) l`,
    [threads],
    tx,
  )
  return rows.map(({ id }) => id)
}

/**
 * Brings lead, state, due time and order of threads up to date after entries arrived, were read anew, or answers failed.
 *
 * @param now epoch milliseconds
 */
export async function refreshThreads(
  db: Database,
  ids: readonly number[],
  hours: HoursTable,
  now: number,
  tx: Tx,
): Promise<void> {
  if (!ids.length) return
  const facts = await db.rows<ThreadFacts>(factsSql, [ids], tx)
  const next = facts.map((fact) => nextOf(fact, hours, now))
  await db.rows(
    `UPDATE threads t SET lead_entry_id = n.lead, state = n.state, due_at = n.due, pressing_at = n.pressing,
       set_aside_until = CASE WHEN n.state = 'aside' THEN t.set_aside_until END, version = t.version + n.moved::int
     FROM unnest($1::bigint[], $2::bigint[], $3::text[], $4::timestamptz[], $5::timestamptz[], $6::bool[]) AS n (id, lead, state, due, pressing, moved)
     WHERE t.id = n.id`,
    [
      next.map((n) => n.id),
      next.map((n) => n.lead),
      next.map((n) => n.state),
      next.map((n) => n.due),
      next.map((n) => n.pressing),
      next.map((n) => n.moved),
    ],
    tx,
  )
  await db.rows(
    `UPDATE entries e SET lead = (e.id = t.lead_entry_id) FROM threads t
     WHERE t.id = e.thread_id AND e.thread_id = ANY($1::bigint[]) AND e.lead <> (e.id IS NOT DISTINCT FROM t.lead_entry_id)`,
    [ids],
    tx,
  )
  // What moved by arriving is told like any other change; a thread's first entries are its beginning and no change.
  await recordAll(
    db,
    { brandId: hours.brandId, actor: 'network' },
    next.flatMap(({ id, event, known, version }) =>
      event && known ? [{ kind: event, on: ['thread', id] as const, version }] : [],
    ),
    tx,
  )
}

/** Where the core's state machine leads from here. */
function moved(fact: ThreadFacts, leadIsNew: boolean, now: number) {
  const event = arrivalEvent({
    state: fact.state,
    kind: fact.kind,
    leadAt: fact.leadAt?.getTime() ?? null,
    answeredAt: fact.answeredAt?.getTime() ?? null,
    leadIsNew,
    connectedAt: fact.connectedAt.getTime(),
    historyMs: historyDays * 86_400_000,
  })
  const position = { state: fact.state, setAsideUntil: fact.setAsideUntil?.getTime() ?? null }
  const result = event && transition(position, event, now)
  return result?.changed
    ? { state: result.next.state, event: event!.kind }
    : { state: fact.state, event: null }
}

function nextOf(fact: ThreadFacts, { policy, byPlace, withoutPlace }: HoursTable, now: number) {
  const leadIsNew = fact.leadId !== fact.oldLead
  const { state, event } = moved(fact, leadIsNew, now)
  const isMoved = leadIsNew || event !== null
  const base = {
    id: fact.id,
    state,
    event,
    known: fact.oldLead !== null,
    moved: isMoved,
    version: fact.version + (isMoved ? 1 : 0),
  }
  if (fact.leadId === null || fact.leadAt === null || fact.kind === null)
    return { ...base, lead: null, due: null, pressing: null }
  const hours = (fact.placeId !== null && byPlace.get(fact.placeId)) || withoutPlace
  // The answer has been owed since the first of theirs that we did not answer.
  const since = (fact.firstWaitingAt ?? fact.leadAt).getTime()
  const due =
    fact.waiting > 0 ? dueAt({ kind: fact.kind, rating: fact.rating, at: since }, policy, hours) : null
  const pressing = pressingAt(
    {
      kind: fact.kind,
      sentiment: fact.sentiment ?? 'unread',
      rating: fact.rating,
      reach: fact.reach ?? 0,
      priority: fact.priority,
      waitingMessages: fact.waiting,
      dueAt: due,
      notSent: fact.notSent,
    },
    fact.leadAt.getTime(),
  )
  return {
    ...base,
    lead: fact.leadId,
    due: due === null ? null : new Date(due),
    pressing: new Date(pressing),
  }
}
