import type { EntryKind } from '@murrabel/core/lens'
import type { Reader } from '../../access/reader.ts'
import { backoffMs, connectorOf, NetworkFailure } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { withProfileKey } from '../profiles/keys.ts'

const maxAttempts = 8

interface OutboxRow {
  id: number
  brandId: number
  profileId: number
  threadId: number
  entryId: number
  key: string
  text: string
  attempts: number
  channel: string
  status: string
  thread: string
  lead: string
  kind: EntryKind
}

export type AfterFailure = { state: 'failed' } | { state: 'waiting'; waitMs: number }

/** What becomes of a reply whose sending failed: a refusal is final, everything else is tried again for a while. */
export function afterFailure(
  failure: Pick<NetworkFailure, 'kind' | 'waitMs'>,
  attempts: number,
  random: number,
): AfterFailure {
  if (failure.kind === 'refused' || failure.kind === 'gone') return { state: 'failed' }
  // An expired key is renewed by a person; the reply waits for that, however long.
  if (failure.kind === 'keyExpired') return { state: 'waiting', waitMs: 300_000 }
  if (attempts >= maxAttempts) return { state: 'failed' }
  return { state: 'waiting', waitMs: failure.waitMs ?? backoffMs(attempts, random, { baseMs: 1000 }) }
}

/** Sends everything that is due; safe to run in several processes. Returns how many were tried. */
export async function drainOutbox(context: Context): Promise<number> {
  for (let tried = 0; ; tried++) {
    const row = await claim(context)
    if (!row) return tried
    await sendOne(context, row)
  }
}

/** Takes the next due row under a lease. What another worker sends right now is passed over. */
function claim({ db, config }: Context): Promise<OutboxRow | undefined> {
  return db.one<OutboxRow>(
    `WITH due AS MATERIALIZED (SELECT id FROM outbox WHERE state IN ('waiting', 'sending') AND next_at <= now() ORDER BY next_at, id LIMIT 1 FOR UPDATE SKIP LOCKED)
     UPDATE outbox o SET state = 'sending', attempts = o.attempts + 1, next_at = now() + $1::int * interval '1 second'
     FROM due, profiles p, threads t, entries l
     WHERE o.id = due.id AND p.id = o.profile_id AND t.id = o.thread_id AND l.id = t.lead_entry_id
     RETURNING o.id, o.brand_id AS "brandId", o.profile_id AS "profileId", o.thread_id AS "threadId", o.entry_id AS "entryId", o.key, o.text, o.attempts,
       p.channel, p.status, t.outside_id AS thread, l.outside_id AS lead, l.kind`,
    [config.leaseSeconds],
  )
}

async function sendOne(context: Context, row: OutboxRow): Promise<void> {
  const { db, live, log } = context
  const connector = connectorOf(row.channel)
  try {
    if (!connector?.send) throw new NetworkFailure('refused', 'this channel takes no replies')
    const send = connector.send.bind(connector)
    const sent = await withProfileKey(context, row.profileId, (profile, http) =>
      send(
        profile,
        { threadId: row.thread, entryId: row.lead, kind: row.kind, text: row.text, key: row.key },
        http,
      ),
    )
    await confirm(context, row, sent)
  } catch (error) {
    const failure =
      error instanceof NetworkFailure ? error : new NetworkFailure('transient', (error as Error).message)
    if (!(error instanceof NetworkFailure)) log.error({ err: error, outbox: row.id }, 'sending broke')
    const next = afterFailure(failure, row.attempts, Math.random())
    await db.rows(
      `UPDATE outbox SET state = $2, error = $3, next_at = now() + $4::int * interval '1 millisecond' WHERE id = $1`,
      [
        row.id,
        next.state,
        `${failure.kind}: ${failure.message}`,
        next.state === 'waiting' ? Math.round(next.waitMs) : 0,
      ],
    )
    await live.tell(row.brandId, { kind: 'thread', threads: [row.threadId] })
  }
}

/** The entry takes its id on the network; when the network's own copy came in first, that copy makes way. */
async function confirm(
  { db, live }: Context,
  row: OutboxRow,
  sent: { outsideId: string; url?: string; at: number },
): Promise<void> {
  await db.inTransaction(async (tx) => {
    await db.rows('SELECT pg_advisory_xact_lock(41, $1)', [row.profileId], tx)
    await db.rows(
      'DELETE FROM entries WHERE profile_id = $1 AND outside_id = $2 AND id <> $3',
      [row.profileId, sent.outsideId, row.entryId],
      tx,
    )
    await db.rows(
      'UPDATE entries SET outside_id = $2, url = $3 WHERE id = $1',
      [row.entryId, sent.outsideId, sent.url ?? null],
      tx,
    )
    await db.rows(
      `UPDATE outbox SET state = 'sent', error = NULL, sent_at = now() WHERE id = $1`,
      [row.id],
      tx,
    )
    await live.tell(row.brandId, { kind: 'thread', threads: [row.threadId] }, tx)
  })
}

/** Tries a failed or waiting reply again at once. */
export async function retrySending(context: Context, reader: Reader, id: number): Promise<void> {
  const rows = await context.db.rows(
    `UPDATE outbox SET state = 'waiting', attempts = 0, next_at = now() WHERE id = $1 AND brand_id = $2 AND state IN ('failed', 'waiting') RETURNING id`,
    [id, reader.brandId],
  )
  if (!rows.length) throw new Refusal('alreadySent')
  context.jobs.nudge('send')
}

/** Calls a reply back that has not gone out; its text stays with the writer. */
export async function cancelSending({ db, live }: Context, reader: Reader, id: number): Promise<void> {
  await db.inTransaction(async (tx) => {
    const row = await db.one<{ threadId: number }>(
      `UPDATE outbox SET state = 'cancelled' WHERE id = $1 AND brand_id = $2 AND state IN ('waiting', 'failed') RETURNING thread_id AS "threadId"`,
      [id, reader.brandId],
      tx,
    )
    if (!row) throw new Refusal('alreadySent')
    await live.tell(reader.brandId, { kind: 'thread', threads: [row.threadId] }, tx)
  })
}
