import type { Database, Tx } from '../../database.ts'

/** Something as it stands outside, with whose key it can be acted on. */
export interface StandingEntry {
  id: number
  threadId: number
  outsideId: string
  outsideThread: string
  kind: string
  text: string
  channel: string
  profileId: number
  status: string
}

/** Ours, or one from outside; nothing for what is not outside, or gone. */
export const standingEntry = (
  db: Database,
  { id, brandId, direction }: { id: number; brandId: number; direction: 'in' | 'out' },
  tx: Tx,
): Promise<StandingEntry | undefined> =>
  db.one<StandingEntry>(
    `SELECT e.id, e.thread_id AS "threadId", e.outside_id AS "outsideId", t.outside_id AS "outsideThread", e.kind, e.text,
       p.channel, p.id AS "profileId", p.status
     FROM entries e
     JOIN threads t ON t.id = e.thread_id
     LEFT JOIN outside_actions o ON o.entry_id = e.id AND o.kind = 'reply'
     JOIN profiles p ON p.id = coalesce(o.profile_id, e.profile_id)
     WHERE e.id = $1 AND e.brand_id = $2 AND e.direction = $3 AND e.outside_id IS NOT NULL AND e.deleted_at IS NULL`,
    [id, brandId, direction],
    tx,
  )

export const insertChange = (
  db: Database,
  {
    brandId,
    entry,
    kind,
    key,
    payload,
    colleagueId,
  }: {
    brandId: number
    entry: StandingEntry
    kind: 'edit' | 'remove' | 'report'
    key: string
    payload: { text: string; reason?: string }
    colleagueId: number
  },
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload, cause, colleague_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, 'colleague', $9)
     ON CONFLICT (brand_id, key) DO NOTHING
     RETURNING id`,
    [
      brandId,
      entry.profileId,
      entry.threadId,
      entry.id,
      kind,
      key,
      JSON.stringify({ threadId: entry.outsideThread, entryId: entry.outsideId, kind: entry.kind }),
      JSON.stringify(payload),
      colleagueId,
    ],
    tx,
  )

/** Changes of an entry that have not been done: a newer one takes their place. */
export const openChanges = (
  db: Database,
  entryId: number,
  tx: Tx,
): Promise<{ id: number; state: string }[]> =>
  db.rows<{ id: number; state: string }>(
    `SELECT id, state
     FROM outside_actions
     WHERE entry_id = $1 AND kind IN ('edit', 'remove') AND state IN ('waiting', 'sending', 'failed')
     ORDER BY id
     FOR UPDATE`,
    [entryId],
    tx,
  )

/** The words that stand outside now; those before are kept. The network's own copy may have come first. */
export const setOwnText = async (
  db: Database,
  { entryId, text, at }: { entryId: number; text: string; at: Date },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `WITH before AS (
       SELECT id, title, text FROM entries WHERE id = $1 AND text <> $2 AND deleted_at IS NULL
     ), kept AS (
       INSERT INTO entry_edits (entry_id, title, text, until) SELECT id, title, text, $3 FROM before
     )
     UPDATE entries e SET text = $2, edited_at = $3 FROM before WHERE e.id = before.id`,
    [entryId, text, at],
    tx,
  )
}

/** Taken back, it answers nobody any more. */
export const setTakenBack = async (
  db: Database,
  { entryId, at }: { entryId: number; at: Date },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET deleted_at = coalesce(deleted_at, $2), withdrawn = true, text = '', title = NULL
     WHERE id = $1`,
    [entryId, at],
    tx,
  )
}
