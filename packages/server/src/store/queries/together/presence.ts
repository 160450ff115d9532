import type { Database, Tx } from '../../database.ts'

export interface PresenceRow {
  colleague: number
  thread: number | null
  writing: boolean
}

/** Milliseconds after which a page that said nothing more is taken for closed. */
export const presentMs = 45_000

/** Notes where somebody is. Answers what stood there before; undefined: this page was not here. */
export async function keepPresence(
  db: Database,
  {
    tab,
    brandId,
    colleagueId,
    thread,
    writing,
    at,
  }: { tab: string; brandId: number; colleagueId: number; thread: number | null; writing: boolean; at: Date },
  tx: Tx,
): Promise<Pick<PresenceRow, 'thread' | 'writing'> | undefined> {
  const before = await db.one<Pick<PresenceRow, 'thread' | 'writing'>>(
    `SELECT thread_id AS thread, writing FROM presence WHERE tab = $1 AND colleague_id = $2 AND brand_id = $3 AND at > $4 FOR UPDATE`,
    [tab, colleagueId, brandId, new Date(at.getTime() - presentMs)],
    tx,
  )
  await db.rows(
    `INSERT INTO presence (tab, brand_id, colleague_id, thread_id, writing, at) VALUES ($1, $2, $3, $4, $5, $6)
     ON CONFLICT (tab) DO UPDATE SET thread_id = $4, writing = $5, at = $6
       WHERE presence.brand_id = $2 AND presence.colleague_id = $3`,
    [tab, brandId, colleagueId, thread, writing, at],
    tx,
  )
  return before
}

/** Takes a page out, and those of the brand that said nothing for long. Answers whether the page was there. */
export async function dropPresence(
  db: Database,
  { tab, brandId, colleagueId, at }: { tab: string; brandId: number; colleagueId: number; at: Date },
  tx: Tx,
): Promise<boolean> {
  const gone = await db.rows(
    'DELETE FROM presence WHERE tab = $1 AND brand_id = $2 AND colleague_id = $3 RETURNING 1',
    [tab, brandId, colleagueId],
    tx,
  )
  await db.rows(
    'DELETE FROM presence WHERE brand_id = $1 AND at < $2',
    [brandId, new Date(at.getTime() - 10 * presentMs)],
    tx,
  )
  return gone.length > 0
}

/** Who of a brand is here, each once, with the page they moved on last, writing before reading. */
export const presentOf = (
  db: Database,
  { brandId, at }: { brandId: number; at: Date },
): Promise<PresenceRow[]> =>
  db.rows<PresenceRow>(
    `SELECT DISTINCT ON (colleague_id) colleague_id AS colleague, thread_id AS thread, writing
     FROM presence WHERE brand_id = $1 AND at > $2
     ORDER BY colleague_id, writing DESC, (thread_id IS NULL), at DESC`,
    [brandId, new Date(at.getTime() - presentMs)],
  )
