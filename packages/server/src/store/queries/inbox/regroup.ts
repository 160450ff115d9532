import type { Mergeable } from '@murrabel/contract'
import type { ThreadState } from '@murrabel/core/lens'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { authorName } from '../people/called.ts'
import { newestId } from '../shared/leadId.ts'
import { addAccess, Where } from '../shared/where.ts'

/** What moved from one thread to another: ids; of tags and of visits it belongs to, those the other did not have. */
export interface Moved {
  entries: number[]
  actions: number[]
  notes: number[]
  followUps: number[]
  approvals: number[]
  tags: number[]
  visits: number[]
}

interface Way {
  from: number
  to: number
}

const idsOf = async (db: Database, sql: string, values: unknown[], tx: Tx): Promise<number[]> =>
  (await db.rows<{ id: number }>(sql, values, tx)).map(({ id }) => id)

/** Everything of a thread goes into another. */
export async function moveAll(db: Database, { from, to }: Way, tx: Tx): Promise<Moved> {
  const move = (table: string) =>
    idsOf(db, `UPDATE ${table} SET thread_id = $2 WHERE thread_id = $1 RETURNING id`, [from, to], tx)
  const tags = await idsOf(
    db,
    `INSERT INTO thread_tags (thread_id, tag_id)
     SELECT $2, tag_id FROM thread_tags WHERE thread_id = $1
     ON CONFLICT DO NOTHING
     RETURNING tag_id AS id`,
    [from, to],
    tx,
  )
  const visits = await idsOf(
    db,
    `INSERT INTO thread_visits (thread_id, visit_id, belongs, colleague_id, at)
     SELECT $2, v.visit_id, v.belongs, v.colleague_id, v.at
     FROM thread_visits v
     WHERE v.thread_id = $1
       AND NOT (v.belongs AND EXISTS (SELECT FROM thread_visits o WHERE o.thread_id = $2 AND o.belongs))
     ON CONFLICT DO NOTHING
     RETURNING visit_id AS id`,
    [from, to],
    tx,
  )
  // What is being typed is found again in the thread that stays, where nothing is being typed yet.
  await db.rows(
    `UPDATE drafts d SET thread_id = $2
     WHERE thread_id = $1
       AND NOT EXISTS (SELECT FROM drafts o WHERE o.thread_id = $2 AND o.colleague_id = d.colleague_id)`,
    [from, to],
    tx,
  )
  await db.rows('UPDATE attachments SET draft_thread_id = $2 WHERE draft_thread_id = $1', [from, to], tx)
  return {
    entries: await move('entries'),
    actions: await move('outside_actions'),
    notes: await move('notes'),
    followUps: await move('follow_ups'),
    approvals: await move('approvals'),
    tags,
    visits,
  }
}

/** An entry and what came after it goes into another thread, with what was done outside by them. */
export async function moveSince(db: Database, { from, to }: Way, entry: number, tx: Tx): Promise<Moved> {
  const entries = await idsOf(
    db,
    `UPDATE entries e SET thread_id = $2
     FROM entries f
     WHERE f.id = $3 AND f.thread_id = $1 AND e.thread_id = $1 AND (e.at, e.id) >= (f.at, f.id)
     RETURNING e.id`,
    [from, to, entry],
    tx,
  )
  const actions = await idsOf(
    db,
    'UPDATE outside_actions SET thread_id = $2 WHERE thread_id = $1 AND entry_id = ANY($3::bigint[]) RETURNING id',
    [from, to, entries],
    tx,
  )
  return { entries, actions, notes: [], followUps: [], approvals: [], tags: [], visits: [] }
}

/** What moved goes back; what has gone elsewhere since, or was removed, is left. */
export async function moveBack(db: Database, { from, to }: Way, moved: Moved, tx: Tx): Promise<void> {
  const { entries, actions, notes, followUps, approvals, tags, visits } = moved
  for (const [table, ids] of [
    ['entries', entries],
    ['outside_actions', actions],
    ['notes', notes],
    ['follow_ups', followUps],
    ['approvals', approvals],
  ] as const)
    await db.rows(
      `UPDATE ${table} SET thread_id = $1 WHERE thread_id = $2 AND id = ANY($3::bigint[])`,
      [from, to, ids],
      tx,
    )
  await db.rows('DELETE FROM thread_tags WHERE thread_id = $1 AND tag_id = ANY($2::int[])', [to, tags], tx)
  await db.rows(
    'DELETE FROM thread_visits WHERE thread_id = $1 AND visit_id = ANY($2::bigint[])',
    [to, visits],
    tx,
  )
}

/** The thread is shown by the newest of what it holds now; nothing of that is new. */
export const setNewestLead = async (db: Database, ids: readonly number[], tx: Tx): Promise<void> => {
  await db.rows(`UPDATE threads t SET lead_entry_id = ${newestId} WHERE t.id = ANY($1::bigint[])`, [ids], tx)
}

export const setMergedInto = async (
  db: Database,
  { id, into }: { id: number; into: number | null },
  tx: Tx,
): Promise<void> => {
  await db.rows('UPDATE threads SET merged_into = $2 WHERE id = $1', [id, into], tx)
}

/** What was brought into these threads has no subject any more. */
export const forgetMerged = async (db: Database, into: readonly number[], tx: Tx): Promise<void> => {
  await db.rows(
    'UPDATE threads SET title = NULL, url = NULL WHERE merged_into = ANY($1::bigint[])',
    [into],
    tx,
  )
}

/** A thread of its own beside another, in the same hands. */
export const insertBeside = async (
  db: Database,
  { beside, entry }: { beside: number; entry: number },
  tx: Tx,
): Promise<number> =>
  (await db.one<{ id: number }>(
    `INSERT INTO threads (brand_id, profile_id, place_id, outside_id, title, state, given_to, team_id, priority)
     SELECT t.brand_id, t.profile_id, t.place_id, 'split/' || e.id || '/' || gen_random_uuid(), coalesce(e.title, t.title),
       t.state, t.given_to, t.team_id, t.priority
     FROM threads t JOIN entries e ON e.id = $2
     WHERE t.id = $1
     RETURNING id`,
    [beside, entry],
    tx,
  ))!.id

export const removeThread = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM threads WHERE id = $1', [id], tx)
}

/** Whether an entry stands in a thread with something before it. */
export const comesLater = async (
  db: Database,
  { thread, entry }: { thread: number; entry: number },
  tx: Tx,
): Promise<boolean> =>
  (await db.one<{ later: boolean }>(
    `SELECT EXISTS (
       SELECT FROM entries f JOIN entries e ON e.thread_id = f.thread_id AND (e.at, e.id) < (f.at, f.id)
       WHERE f.id = $2 AND f.thread_id = $1
     ) AS later`,
    [thread, entry],
    tx,
  ))!.later

/** The channel of a thread. */
export const channelOfThread = async (db: Database, id: number, tx: Tx): Promise<string> =>
  (await db.one<{ channel: string }>(
    'SELECT p.channel FROM threads t JOIN profiles p ON p.id = t.profile_id WHERE t.id = $1',
    [id],
    tx,
  ))!.channel

export interface Regrouping extends Moved {
  from: number
  to: number
  before: {
    state: ThreadState
    setAsideUntil: string | null
    givenTo: number | null
    teamId: number | null
  } | null
  edition: number
}

export const keepRegrouping = async (
  db: Database,
  { event, ...of }: Regrouping & { event: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO regroupings (event_id, from_id, to_id, entries, actions, notes, follow_ups, approvals, tags, visits, before, edition)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11::jsonb, $12)`,
    [
      event,
      of.from,
      of.to,
      of.entries,
      of.actions,
      of.notes,
      of.followUps,
      of.approvals,
      of.tags,
      of.visits,
      of.before === null ? null : JSON.stringify(of.before),
      of.edition,
    ],
    tx,
  )
}

export const regroupingOf = (db: Database, event: number, tx: Tx): Promise<Regrouping | undefined> =>
  db.one<Regrouping>(
    `SELECT from_id AS "from", to_id AS "to", entries, actions, notes, follow_ups AS "followUps", approvals, tags, visits, before, edition
     FROM regroupings WHERE event_id = $1`,
    [event],
    tx,
  )

/** Threads of the same address that may belong together with one: of the same person or about the same subject, newest first. */
export async function mergeableWith(db: Database, reader: Reader, id: number): Promise<Mergeable[]> {
  const where = new Where()
  addAccess(where, reader, 't')
  const mine = where.bind(id)
  const rows = await db.rows<Omit<Mergeable, 'at'> & { at: Date }>(
    `WITH here AS (
       SELECT t.id, t.profile_id, t.title, a.shown_as FROM threads t
       JOIN entries l ON l.id = t.lead_entry_id LEFT JOIN accounts a ON a.id = l.account_id
       WHERE t.id = ${mine}
     )
     SELECT t.id, coalesce(${authorName('a')}, '') AS author, t.title, left(l.text, 200) AS text, l.at, t.state,
       coalesce(a.shown_as = here.shown_as, false) AS "samePerson"
     FROM here
     JOIN threads t ON t.profile_id = here.profile_id AND t.id <> here.id AND t.spam_at IS NULL
     JOIN entries l ON l.id = t.lead_entry_id
     LEFT JOIN accounts a ON a.id = l.account_id
     WHERE ${where.toString()} AND (a.shown_as = here.shown_as OR t.title = here.title)
     ORDER BY l.at DESC, t.id DESC
     LIMIT 30`,
    where.values,
  )
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString() }))
}
