import type { Database, Tx } from '../../database.ts'
import { askWork } from '../jobs/dueWork.ts'

/** Something a hook may hear of. */
export interface Told {
  event: string
  subjectId: number | null
  threadId: number | null
  colleagueId: number | null
  detail: object
}

/** Keeps a message for every hook of the brand that hears of it, and asks that they are sent. Answers how many. */
export async function tellHooks(
  db: Database,
  brandId: number,
  told: readonly Told[],
  tx: Tx | undefined,
): Promise<number> {
  if (!told.length) return 0
  const hooks = await db.rows<{ id: number; events: string[] }>(
    'SELECT id, events FROM event_hooks WHERE brand_id = $1 AND active AND events && $2::text[]',
    [brandId, [...new Set(told.map(({ event }) => event))]],
    tx,
  )
  const messages = hooks.flatMap(({ id, events }) =>
    told.filter(({ event }) => events.includes(event)).map((each) => ({ hookId: id, ...each })),
  )
  if (!messages.length) return 0
  await (tx ? keep(db, messages, tx) : db.inTransaction((own) => keep(db, messages, own)))
  return messages.length
}

async function keep(db: Database, messages: readonly (Told & { hookId: number })[], tx: Tx): Promise<void> {
  const rows = await db.rows<{ id: number; hookId: number }>(
    `INSERT INTO hook_deliveries (hook_id, event, subject_id, thread_id, colleague_id, detail)
     SELECT * FROM unnest($1::int[], $2::text[], $3::bigint[], $4::bigint[], $5::int[], $6::jsonb[])
     RETURNING id, hook_id AS "hookId"`,
    [
      messages.map((m) => m.hookId),
      messages.map((m) => m.event),
      messages.map((m) => m.subjectId),
      messages.map((m) => m.threadId),
      messages.map((m) => m.colleagueId),
      messages.map((m) => JSON.stringify(m.detail)),
    ],
    tx,
  )
  await askWork(
    db,
    rows.map(({ id, hookId }) => ({ kind: 'hook', subject: id, owner: `hook ${hookId}` })),
    tx,
  )
}

/** A message for one hook alone. */
export const insertTest = async (db: Database, hookId: number, tx: Tx): Promise<number> =>
  (await db.one<{ id: number }>(
    `INSERT INTO hook_deliveries (hook_id, event) VALUES ($1, 'test') RETURNING id`,
    [hookId],
    tx,
  ))!.id

export interface MessageToSend extends Told {
  id: number
  hookId: number
  at: Date
  body: string | null
  target: string
  secret: Buffer
  brandId: number
  brand: string
  colleague: string | null
}

/** Nothing where it has gone out, was given up, or its hook is off. */
export const messageToSend = (db: Database, id: number): Promise<MessageToSend | undefined> =>
  db.one<MessageToSend>(
    `UPDATE hook_deliveries d SET attempts = d.attempts + 1
     FROM event_hooks h JOIN brands b ON b.id = h.brand_id
     WHERE d.id = $1 AND d.state = 'waiting' AND h.id = d.hook_id AND h.active
     RETURNING d.id, d.hook_id AS "hookId", d.event, d.subject_id AS "subjectId", d.thread_id AS "threadId",
       d.colleague_id AS "colleagueId", (SELECT name FROM colleagues c WHERE c.id = d.colleague_id) AS colleague,
       d.detail, d.at, d.body, h.target, h.secret_sealed AS secret, b.id AS "brandId", b.name AS brand`,
    [id],
  )

/** A message whose hook was switched off before it went out is given up. */
export const giveUpOfOff = async (db: Database, id: number): Promise<void> => {
  await db.rows(
    `UPDATE hook_deliveries d SET state = 'failed', error = 'the address was switched off'
     FROM event_hooks h WHERE d.id = $1 AND d.state = 'waiting' AND h.id = d.hook_id AND NOT h.active`,
    [id],
  )
}

/** Kept before it is sent: whatever is sent again says the same. Answers what is kept. */
export const keepBody = async (db: Database, { id, body }: { id: number; body: string }): Promise<string> =>
  (
    await db.one<{ body: string }>(
      'UPDATE hook_deliveries SET body = coalesce(body, $2) WHERE id = $1 RETURNING body',
      [id, body],
    )
  )?.body ?? body

export const setArrived = async (
  db: Database,
  { id, hookId }: { id: number; hookId: number },
): Promise<void> => {
  await db.rows(`UPDATE hook_deliveries SET state = 'sent', sent_at = now(), error = NULL WHERE id = $1`, [
    id,
  ])
  await db.rows('UPDATE event_hooks SET failing_since = NULL WHERE id = $1 AND failing_since IS NOT NULL', [
    hookId,
  ])
}

/** A hook that nothing has reached for so many days is switched off; answers whether it was. */
export async function setNotArrived(
  db: Database,
  {
    id,
    hookId,
    error,
    final,
    off,
    days,
  }: { id: number; hookId: number; error: string; final: boolean; off: boolean; days: number },
): Promise<boolean> {
  await db.rows(
    `UPDATE hook_deliveries SET error = $2, state = CASE WHEN $3 THEN 'failed' ELSE state END WHERE id = $1 AND state = 'waiting'`,
    [id, error, final],
  )
  const hook = await db.one<{ active: boolean }>(
    `UPDATE event_hooks SET failing_since = coalesce(failing_since, now()),
       active = active AND NOT $2::boolean AND coalesce(failing_since, now()) > now() - $3 * interval '1 day'
     WHERE id = $1 AND active RETURNING active`,
    [hookId, off, days],
  )
  return hook?.active === false
}

/** What is said of a thread to another program: no word of anybody, which is asked for with a key. */
export const threadFor = (db: Database, id: number): Promise<Record<string, unknown> | undefined> =>
  db.one<Record<string, unknown>>(
    `SELECT t.id, e.kind, e.channel, t.state, t.set_aside_until AS "setAsideUntil", t.due_at AS "dueAt",
       (SELECT name FROM colleagues c WHERE c.id = t.given_to) AS "assignedTo",
       (SELECT name FROM teams m WHERE m.id = t.team_id) AS team, t.priority, t.spam_at IS NOT NULL AS spam,
       (SELECT name FROM places p WHERE p.id = t.place_id) AS place, e.rating, e.sentiment,
       coalesce((SELECT json_agg(g.name ORDER BY g.name) FROM thread_tags x JOIN tags g ON g.id = x.tag_id WHERE x.thread_id = t.id), '[]') AS tags
     FROM threads t LEFT JOIN entries e ON e.id = t.lead_entry_id WHERE t.id = $1`,
    [id],
  )

export const entriesFor = (db: Database, ids: readonly number[]): Promise<Record<string, unknown>[]> =>
  db.rows<Record<string, unknown>>(
    `SELECT e.id, e.thread_id AS thread, e.kind, e.channel, e.at, e.rating, e.sentiment, e.language,
       (SELECT name FROM places p WHERE p.id = e.place_id) AS place
     FROM entries e WHERE e.id = ANY($1::bigint[]) ORDER BY e.id`,
    [ids],
  )
