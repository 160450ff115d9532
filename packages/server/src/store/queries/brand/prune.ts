import type { Database } from '../../database.ts'

/** Rows that go in one step: so few that nobody waits for them. */
const step = 5000
const older = (column: string) => `${column} < now() - $1::int * interval '1 day'`
const rowsOf = (table: string, column: string) =>
  `DELETE FROM ${table}
   WHERE ctid = ANY(ARRAY(SELECT ctid FROM ${table} WHERE ${older(column)} LIMIT ${step}))`

/** What is removed of each table when its time is over. `$1` is the number of days. */
const pruneSql = {
  sessions: rowsOf('sessions', 'expires_at'),
  oauthFlows: `DELETE FROM oauth_flows WHERE ${older('created_at')}`,
  signInTries: rowsOf('sign_in_tries', 'at'),
  workers: `DELETE FROM workers WHERE ${older('beat_at')}`,
  deliveries: rowsOf('deliveries', 'received_at'),
  itemPieces: rowsOf('item_pieces', 'at'),
  rawItems: rowsOf('raw_items', 'received_at'),
  alertDeliveries: `DELETE FROM alert_deliveries
    WHERE id IN (
      SELECT d.id
      FROM alert_deliveries d
      JOIN alert_events v ON v.id = d.event_id
      WHERE d.state IN ('sent', 'failed') AND ${older('v.at')}
      LIMIT ${step}
    )`,
  hookDeliveries: rowsOf('hook_deliveries', 'at'),
  // What an entry of ours shows its fate by stays as long as the entry.
  actions: `DELETE FROM outside_actions
    WHERE id IN (
      SELECT id
      FROM outside_actions
      WHERE state IN ('sent', 'cancelled') AND entry_id IS NULL AND ${older('changed_at')}
      LIMIT ${step}
    )`,
  work: `DELETE FROM due_work
    WHERE id IN (SELECT id FROM due_work WHERE state = 'failed' AND ${older('changed_at')} LIMIT ${step})`,
  // Put beside an answer that was never sent; what lies with a draft that somebody may go on with stays for a while longer.
  attachments: `DELETE FROM attachments
    WHERE id IN (
      SELECT f.id
      FROM attachments f
      LEFT JOIN approvals v ON v.id = f.approval_id
      WHERE f.entry_id IS NULL AND ${older('f.at')} AND v.state IS DISTINCT FROM 'asked'
        AND (f.draft_thread_id IS NULL OR f.at < now() - interval '90 days')
      LIMIT ${step}
    )`,
  imports: `UPDATE imports
    SET document = NULL, state = CASE WHEN state = 'draft' THEN 'failed' ELSE state END
    WHERE id IN (
      SELECT id
      FROM imports
      WHERE document IS NOT NULL AND state <> 'running' AND ${older('changed_at')}
      LIMIT 50
    )`,
  log: rowsOf('events', 'at'),
}

export type Prunable = keyof typeof pruneSql

/** Takes one step; how many rows went. */
export const pruneStep = async (db: Database, what: Prunable, days: number): Promise<number> =>
  (await db.rows(`${pruneSql[what]} RETURNING 1`, [days])).length
