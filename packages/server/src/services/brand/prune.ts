import type { KeepDays } from '../../config.ts'
import type { Context } from '../../context.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'

/** What is removed of each table when its time is over. `$1` is the number of days; null in the settings keeps for ever. */
const rules = [
  {
    name: 'sessions',
    days: () => 0,
    sql: `DELETE FROM sessions WHERE ctid = ANY(ARRAY(SELECT ctid FROM sessions WHERE expires_at < now() - $1::int * interval '1 day' LIMIT 5000))`,
  },
  {
    name: 'oauthFlows',
    days: () => 1,
    sql: `DELETE FROM oauth_flows WHERE created_at < now() - $1::int * interval '1 day'`,
  },
  {
    name: 'signInTries',
    days: () => 90,
    sql: `DELETE FROM sign_in_tries WHERE id IN (SELECT id FROM sign_in_tries WHERE at < now() - $1::int * interval '1 day' LIMIT 5000)`,
  },
  {
    name: 'workers',
    days: () => 1,
    sql: `DELETE FROM workers WHERE beat_at < now() - $1::int * interval '1 day'`,
  },
  {
    name: 'deliveries',
    days: (keep: KeepDays) => keep.deliveries,
    sql: `DELETE FROM deliveries WHERE ctid = ANY(ARRAY(SELECT ctid FROM deliveries WHERE received_at < now() - $1::int * interval '1 day' LIMIT 5000))`,
  },
  {
    name: 'rawItems',
    days: (keep: KeepDays) => keep.rawItems,
    sql: `DELETE FROM raw_items WHERE ctid = ANY(ARRAY(SELECT ctid FROM raw_items WHERE received_at < now() - $1::int * interval '1 day' LIMIT 5000))`,
  },
  {
    name: 'alertDeliveries',
    days: (keep: KeepDays) => keep.deliveries,
    sql: `DELETE FROM alert_deliveries WHERE id IN (SELECT d.id FROM alert_deliveries d JOIN alert_events v ON v.id = d.event_id WHERE d.state IN ('sent', 'failed') AND v.at < now() - $1::int * interval '1 day' LIMIT 5000)`,
  },
  // What an entry of ours shows its fate by stays as long as the entry.
  {
    name: 'actions',
    days: (keep: KeepDays) => keep.actions,
    sql: `DELETE FROM outside_actions WHERE id IN (SELECT id FROM outside_actions WHERE state IN ('sent', 'cancelled') AND entry_id IS NULL AND changed_at < now() - $1::int * interval '1 day' LIMIT 5000)`,
  },
  {
    name: 'work',
    days: (keep: KeepDays) => keep.actions,
    sql: `DELETE FROM due_work WHERE id IN (SELECT id FROM due_work WHERE state = 'failed' AND changed_at < now() - $1::int * interval '1 day' LIMIT 5000)`,
  },
  {
    name: 'imports',
    days: () => 2,
    sql: `UPDATE imports SET document = NULL, state = CASE WHEN state = 'draft' THEN 'failed' ELSE state END WHERE id IN (SELECT id FROM imports WHERE document IS NOT NULL AND state <> 'running' AND changed_at < now() - $1::int * interval '1 day' LIMIT 50)`,
  },
  {
    name: 'log',
    days: (keep: KeepDays) => keep.log,
    sql: `DELETE FROM events WHERE id IN (SELECT id FROM events WHERE at < now() - $1::int * interval '1 day' LIMIT 5000)`,
  },
] as const

/** Removes what is older than the settings keep, in small steps, so that nobody waits for it. Answers how many of each. */
export async function pruneAll(
  { db, config }: Pick<Context, 'db' | 'config'>,
  signal?: AbortSignal,
): Promise<Record<string, number>> {
  const removed: Record<string, number> = {}
  for (const { name, days, sql } of rules) {
    const keep = days(config.keepDays)
    if (keep === null) continue
    for (let gone = 1; gone; removed[name] = (removed[name] ?? 0) + gone) {
      signal?.throwIfAborted()
      gone = (await db.rows(`${sql} RETURNING 1`, [keep])).length
    }
  }
  return removed
}

export async function prune(context: Context, signal: AbortSignal): Promise<WorkOutcome> {
  const removed = await pruneAll(context, signal)
  context.log.info({ removed }, 'pruned')
  return 'done'
}
