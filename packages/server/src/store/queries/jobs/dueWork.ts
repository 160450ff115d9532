import type { Database, Tx } from '../../database.ts'

/** A piece of work to be done: on what, and in whose turn. */
export interface Asked {
  kind: string
  subject: string | number
  owner: string
  /** Epoch milliseconds; left out: now. */
  at?: number
}

export interface ClaimedWork {
  id: number
  kind: string
  subject: string
  owner: string
  lease: string
  attempts: number
  progress: unknown
}

/** The channel on which workers are told that something is due. */
export const dueChannel = 'murrabel_due'

/**
 * Puts work in, once for each thing. What waits already is brought forward; what runs is run once more; what was given up
 * begins anew.
 */
export async function askWork(db: Database, asked: readonly Asked[], tx: Tx): Promise<void> {
  if (!asked.length) return
  await db.rows(
    `INSERT INTO due_work AS d (kind, subject, owner, next_at)
     SELECT n.kind, n.subject, n.owner, coalesce(n.at, now())
     FROM unnest($1::text[], $2::text[], $3::text[], $4::timestamptz[]) AS n (kind, subject, owner, at)
     ORDER BY n.kind, n.subject
     ON CONFLICT (kind, subject) DO UPDATE SET
       state = 'due',
       owner = excluded.owner,
       next_at = CASE WHEN d.state = 'failed' THEN excluded.next_at ELSE least(d.next_at, excluded.next_at) END,
       attempts = CASE WHEN d.state = 'failed' THEN 0 ELSE d.attempts END,
       asked_again = d.lease IS NOT NULL,
       changed_at = now()`,
    [
      asked.map(({ kind }) => kind),
      asked.map(({ subject }) => String(subject)),
      asked.map(({ owner }) => owner),
      asked.map(({ at }) => (at === undefined ? null : new Date(at))),
    ],
    tx,
  )
  for (const kind of new Set(asked.map((each) => each.kind)))
    await db.rows('SELECT pg_notify($1, $2)', [dueChannel, kind], tx)
}

/** Takes work out, whether it waits or was given up; what runs ends as it ends. */
export async function dropWork(
  db: Database,
  kind: string,
  subjects: readonly (string | number)[],
  tx?: Tx,
): Promise<void> {
  await db.rows(
    'DELETE FROM due_work WHERE kind = $1 AND subject = ANY($2::text[])',
    [kind, subjects.map(String)],
    tx,
  )
}

const isFree = `state = 'due' AND next_at <= now() AND (lease_until IS NULL OR lease_until <= now())`

/** Kinds with something that can be begun. */
export async function kindsDue(db: Database): Promise<string[]> {
  const rows = await db.rows<{ kind: string }>(`SELECT DISTINCT kind FROM due_work WHERE ${isFree}`)
  return rows.map(({ kind }) => kind)
}

/** How many are looked at to choose from: more of one kind wait for the next look. */
const choice = 5000

/**
 * Takes pieces of a kind under a lease. Owners take turns, none has more than `perOwner` at once; what failed before, and
 * of what recurs what never succeeded, gets `doubtful` places at most, so that it keeps nobody else waiting.
 */
export async function claimWork(
  db: Database,
  {
    kind,
    free,
    doubtful,
    perOwner,
    recurring,
    leaseSeconds,
  }: {
    kind: string
    free: number
    doubtful: number
    perOwner: number
    recurring: boolean
    leaseSeconds: number
  },
): Promise<ClaimedWork[]> {
  return db.inTransaction(async (tx) => {
    // One process chooses at a time, so that an owner's share holds over all of them.
    await db.rows('SELECT pg_advisory_xact_lock(43, hashtext($1))', [kind], tx)
    return db.rows<ClaimedWork>(
      `WITH busy AS (
         SELECT owner, count(*) AS n FROM due_work WHERE kind = $1 AND lease_until > now() GROUP BY owner
       ), waiting AS (
         SELECT id, owner, next_at, attempts > 0 OR ($5 AND NOT proven) AS doubtful FROM due_work
         WHERE kind = $1 AND ${isFree} ORDER BY next_at, id LIMIT ${choice}
       ), turns AS (
         SELECT w.*, coalesce(b.n, 0) + row_number() OVER (PARTITION BY w.owner ORDER BY w.doubtful, w.next_at, w.id) AS turn
         FROM waiting w LEFT JOIN busy b ON b.owner = w.owner
       ), ranked AS (
         SELECT id, doubtful, turn, next_at, row_number() OVER (PARTITION BY doubtful ORDER BY turn, next_at, id) AS place
         FROM turns WHERE turn <= $4
       ), chosen AS (
         SELECT id FROM ranked WHERE NOT doubtful OR place <= $3 ORDER BY doubtful, turn, next_at, id LIMIT $2
       ), taken AS MATERIALIZED (
         SELECT id FROM due_work WHERE id IN (SELECT id FROM chosen) AND ${isFree} FOR UPDATE SKIP LOCKED
       )
       UPDATE due_work d SET lease = gen_random_uuid(), lease_until = now() + $6::int * interval '1 second',
         attempts = d.attempts + 1, asked_again = false, changed_at = now()
       FROM taken WHERE d.id = taken.id
       RETURNING d.id, d.kind, d.subject, d.owner, d.lease, d.attempts, d.progress`,
      [kind, free, doubtful, perOwner, recurring, leaseSeconds],
      tx,
    )
  })
}

/** Keeps leases alive; answers those that are still ours. */
export async function keepLeases(
  db: Database,
  leases: readonly string[],
  leaseSeconds: number,
): Promise<Set<string>> {
  const rows = await db.rows<{ lease: string }>(
    `UPDATE due_work SET lease_until = now() + $2::int * interval '1 second' WHERE lease = ANY($1::uuid[]) RETURNING lease`,
    [leases, leaseSeconds],
  )
  return new Set(rows.map(({ lease }) => lease))
}

/** Keeps how far a piece has come; false when it is no longer ours. */
export async function keepProgress(
  db: Database,
  lease: string,
  progress: unknown,
  tx?: Tx,
): Promise<boolean> {
  const rows = await db.rows(
    'UPDATE due_work SET progress = $2::jsonb, changed_at = now() WHERE lease = $1::uuid RETURNING id',
    [lease, JSON.stringify(progress)],
    tx,
  )
  return rows.length > 0
}

/** Whether it was asked for again since it was claimed; null when it is no longer ours. */
export async function askedAgain(db: Database, lease: string): Promise<boolean | null> {
  const row = await db.one<{ again: boolean }>(
    'SELECT asked_again AS again FROM due_work WHERE lease = $1::uuid',
    [lease],
  )
  return row?.again ?? null
}

/** Removes what is done, unless it was asked for again meanwhile; then it is due at once. */
export async function removeWork(db: Database, lease: string): Promise<void> {
  const gone = await db.rows('DELETE FROM due_work WHERE lease = $1::uuid AND NOT asked_again RETURNING id', [
    lease,
  ])
  if (!gone.length)
    await db.rows(
      `UPDATE due_work SET lease = NULL, lease_until = NULL, next_at = now(), attempts = 0, proven = true, asked_again = false,
         progress = NULL, error = NULL, changed_at = now() WHERE lease = $1::uuid`,
      [lease],
    )
}

export async function postponeWork(
  db: Database,
  lease: string,
  {
    waitMs,
    attempts,
    proven,
    error,
  }: { waitMs: number; attempts: number; proven: boolean; error: string | null },
): Promise<void> {
  await db.rows(
    // Asked for in the last instant: at once.
    `UPDATE due_work SET lease = NULL, lease_until = NULL, attempts = $3, proven = proven OR $4, error = $5, changed_at = now(),
       next_at = CASE WHEN asked_again THEN now() ELSE now() + $2::float8 * interval '1 millisecond' END, asked_again = false,
       progress = CASE WHEN $4 THEN NULL ELSE progress END
     WHERE lease = $1::uuid`,
    [lease, Math.min(waitMs, 30 * 86_400_000), Math.max(0, attempts), proven, error],
  )
}

export async function failWork(db: Database, lease: string, error: string): Promise<void> {
  await db.rows(
    `UPDATE due_work SET state = 'failed', lease = NULL, lease_until = NULL, error = $2, changed_at = now() WHERE lease = $1::uuid`,
    [lease, error],
  )
}

/** Gives back what a process that stops had in hand: the next one need not wait for the lease. */
export async function releaseWork(db: Database, leases: readonly string[]): Promise<void> {
  await db.rows(
    `UPDATE due_work SET lease = NULL, lease_until = NULL, attempts = greatest(0, attempts - 1) WHERE lease = ANY($1::uuid[])`,
    [leases],
  )
}

export interface WorkFigures {
  kind: string
  due: number
  running: number
  failed: number
  /** Seconds the oldest has been due and not begun. */
  oldestSeconds: number
}

export const workFigures = (db: Database): Promise<WorkFigures[]> =>
  db.rows<WorkFigures>(
    `SELECT kind, count(*) FILTER (WHERE ${isFree}) AS due, count(*) FILTER (WHERE lease_until > now()) AS running,
       count(*) FILTER (WHERE state = 'failed') AS failed,
       coalesce(extract(epoch FROM now() - min(greatest(next_at, changed_at)) FILTER (WHERE ${isFree})), 0)::int AS "oldestSeconds"
     FROM due_work GROUP BY kind ORDER BY kind`,
  )

export async function beat(db: Database, worker: string): Promise<void> {
  await db.rows(`INSERT INTO workers (id) VALUES ($1::uuid) ON CONFLICT (id) DO UPDATE SET beat_at = now()`, [
    worker,
  ])
}

export async function endBeat(db: Database, worker: string): Promise<void> {
  await db.rows(`DELETE FROM workers WHERE id = $1::uuid OR beat_at < now() - interval '1 hour'`, [worker])
}

/** Processes heard of in the last half minute. */
export async function workersAlive(db: Database): Promise<number> {
  const row = await db.one<{ n: number }>(
    `SELECT count(*) AS n FROM workers WHERE beat_at > now() - interval '30 seconds'`,
  )
  return row?.n ?? 0
}
