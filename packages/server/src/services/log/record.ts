import type { Database, Tx } from '../../store/database.ts'

/** What something happened to. */
export type EventSubject =
  | 'thread'
  | 'entry'
  | 'person'
  | 'post'
  | 'action'
  | 'watch'
  | 'group'
  | 'alert'
  | 'profile'
  | 'publicProfile'
  | 'import'
  | 'brand'
  | 'colleague'

/** By whom: a colleague, or something that acts by itself. */
export type Actor =
  { brandId: number; colleagueId: number } | { brandId: number; actor: 'rule' | 'ask' | 'network' | 'system' }

export interface Happened {
  kind: string
  /** The thing, and the thread it belongs to where it is not a thread itself. */
  on: readonly [subject: EventSubject, id: number | null, thread?: number]
  detail?: object
  /** What was before, for what can be undone. */
  before?: object
  /** The thread's version after it. */
  version?: number
}

/** Writes lines into the log: everything that happens to a thing leaves one. Answers their ids, in the same order. */
export async function recordAll(
  db: Database,
  actor: Actor,
  happened: readonly Happened[],
  tx?: Tx,
): Promise<number[]> {
  if (!happened.length) return []
  const rows = await db.rows<{ id: number }>(
    `INSERT INTO events (brand_id, actor, colleague_id, subject, subject_id, thread_id, kind, detail, before, version)
     SELECT $1::int, $2::text, $3::int, n.subject, n.id, n.thread, n.kind, n.detail, n.before, n.version
     FROM unnest($4::text[], $5::bigint[], $6::bigint[], $7::text[], $8::jsonb[], $9::jsonb[], $10::int[])
       WITH ORDINALITY AS n (subject, id, thread, kind, detail, before, version, i) ORDER BY n.i RETURNING id`,
    [
      actor.brandId,
      'actor' in actor ? actor.actor : 'colleague',
      'actor' in actor ? null : actor.colleagueId,
      happened.map(({ on: [subject] }) => subject),
      happened.map(({ on: [, id] }) => id),
      happened.map(({ on: [subject, id, thread] }) => (subject === 'thread' ? id : (thread ?? null))),
      happened.map(({ kind }) => kind),
      happened.map(({ detail = {} }) => JSON.stringify(detail)),
      happened.map(({ before }) => (before === undefined ? null : JSON.stringify(before))),
      happened.map(({ version }) => version ?? null),
    ],
    tx,
  )
  return rows.map(({ id }) => id)
}

/** Writes one line into the log. */
export const record = (db: Database, actor: Actor, happened: Happened, tx?: Tx): Promise<number[]> =>
  recordAll(db, actor, [happened], tx)
