import type { WatchAnswer } from '@murrabel/contract'
import { isLimited, type Reader } from '../../../access/reader.ts'
import { Where } from '../shared/where.ts'
import type { Database, Tx } from '../../database.ts'
import type { WatchQueryDraft, WatchDraft } from '@murrabel/contract'

export interface Side {
  id: number
  name: string
  ours: boolean
}

/** What the brand has for a watch to read. */
const historySize = `(SELECT count(*) FROM entries WHERE brand_id = $1 AND direction = 'in')`

export const queriesInUse = (db: Database, brandId: number): Promise<{ query: WatchQueryDraft }[]> =>
  db.rows<{ query: WatchQueryDraft }>(
    `SELECT query
     FROM watches
     WHERE brand_id = $1 AND deleted_at IS NULL AND paused_at IS NULL
     ORDER BY id`,
    [brandId],
  )

export const queriesOf = (
  db: Database,
  ids: readonly number[],
  tx?: Tx,
): Promise<{ id: number; query: WatchQueryDraft }[]> =>
  db.rows<{ id: number; query: WatchQueryDraft }>(
    `SELECT id, query
     FROM watches
     WHERE id = ANY($1::int[])`,
    [ids],
    tx,
  )

export const watchIds = (db: Database, brandId: number): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `SELECT id
     FROM watches
     WHERE brand_id = $1 AND deleted_at IS NULL
     ORDER BY id`,
    [brandId],
  )

export const watchExists = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `SELECT id
     FROM watches
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL`,
    [id, brandId],
    tx,
  )

export const watchesInGroups = (db: Database, brandId: number): Promise<Side[]> =>
  db.rows<Side>(
    `SELECT w.id, w.name, g.kind = 'brand' AS ours
     FROM watches w
     JOIN watch_groups g ON g.id = w.group_id
     WHERE w.brand_id = $1 AND w.deleted_at IS NULL AND g.kind IN ('brand', 'rivals')
     ORDER BY g.kind = 'brand' DESC, w.name COLLATE "und-x-icu"`,
    [brandId],
  )

export const countWatches = (db: Database, brandId: number, tx?: Tx): Promise<{ n: number } | undefined> =>
  db.one<{ n: number }>(
    `SELECT count(*) AS n
     FROM watches
     WHERE brand_id = $1 AND deleted_at IS NULL`,
    [brandId],
    tx,
  )

export const insertWatches = (
  db: Database,
  {
    brandId,
    colleagueId,
    names,
    queries,
    groupIds,
    answered,
  }: {
    brandId: number
    colleagueId: number
    names: readonly string[]
    queries: readonly string[]
    groupIds: readonly (number | null)[]
    answered: readonly boolean[]
  },
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `INSERT INTO watches (brand_id, name, query, group_id, created_by, history_total, answered_since)
     SELECT $1, n.name, n.query, n.group_id, $2, ${historySize}, CASE WHEN n.answered THEN now() END
     FROM unnest($3::text[], $4::jsonb[], $5::int[], $6::bool[]) WITH ORDINALITY AS n (name, query, group_id, answered, i)
     ORDER BY n.i
     RETURNING id`,
    [brandId, colleagueId, names, queries, groupIds, answered],
    tx,
  )

export const lockWatch = (
  db: Database,
  { id, brandId, query }: { id: number; brandId: number; query: object },
  tx?: Tx,
): Promise<{ name: string; query: object; groupId: number | null; same: boolean } | undefined> =>
  db.one<{ name: string; query: object; groupId: number | null; same: boolean }>(
    `SELECT name, query, group_id AS "groupId", query = $3::jsonb AS same
     FROM watches
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL
     FOR UPDATE`,
    [id, brandId, JSON.stringify(query)],
    tx,
  )

export const setWatch = async (
  db: Database,
  {
    id,
    name,
    groupId,
    answered,
  }: { id: number; name: string; groupId: number | null; answered: boolean | null },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE watches
     SET name = $2, group_id = $3,
       answered_since = CASE WHEN $4::bool IS NULL THEN answered_since WHEN $4 THEN coalesce(answered_since, now()) END,
       updated_at = now(), edition = edition + 1
     WHERE id = $1`,
    [id, name, groupId, answered],
    tx,
  )
}

export const setWatchQuery = async (
  db: Database,
  { brandId, id, query }: { brandId: number; id: number; query: object },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE watches
     SET query = $3, version = version + 1, history_done = 0, history_total = ${historySize}
     WHERE id = $2`,
    [brandId, id, JSON.stringify(query)],
    tx,
  )
}

/** Its secret addresses are dead from now on, and stay so when it comes back. */
export const setWatchDeleted = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `UPDATE watches
     SET deleted_at = now(), feed_token = NULL, feed_by = NULL, edition = edition + 1
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL
     RETURNING id`,
    [id, brandId],
  )

export const setWatchPaused = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `UPDATE watches
     SET paused_at = now(), edition = edition + 1
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL AND paused_at IS NULL
     RETURNING id`,
    [id, brandId],
  )

export const watchById = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ name: string; query: WatchDraft['query']; groupId: number | null } | undefined> =>
  db.one<{ name: string; query: WatchDraft['query']; groupId: number | null }>(
    `SELECT name, query, group_id AS "groupId"
     FROM watches
     WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL`,
    [id, brandId],
  )

export const otherWatches = (
  db: Database,
  { brandId, id }: { brandId: number; id: number },
): Promise<{ id: number; name: string; query: WatchQueryDraft }[]> =>
  db.rows<{ id: number; name: string; query: WatchQueryDraft }>(
    `SELECT id, name, query
     FROM watches
     WHERE brand_id = $1 AND deleted_at IS NULL AND id <> $2
     ORDER BY id`,
    [brandId, id],
  )

/** The watches a share is counted among: those of rivals in sister groups, and the watch itself. */
export const peersOf = (
  db: Database,
  { watchId, brandId }: { watchId: number; brandId: number },
): Promise<{ id: number; name: string }[]> =>
  db.rows<{ id: number; name: string }>(
    `SELECT w.id, w.name
     FROM watches own
     JOIN watch_groups og ON og.id = own.group_id
     JOIN watch_groups g ON g.brand_id = own.brand_id
       AND CASE WHEN og.kind IN ('brand', 'rivals') THEN g.kind IN ('brand', 'rivals') ELSE g.id = og.id END
     JOIN watches w ON w.group_id = g.id AND w.deleted_at IS NULL
     WHERE own.id = $1 AND own.brand_id = $2
     ORDER BY w.id <> own.id, w.id`,
    [watchId, brandId],
  )

export const watchVersions = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ id: number; version: number }[]> =>
  db.rows<{ id: number; version: number }>(
    `SELECT id, version
     FROM watches
     WHERE brand_id = $1 AND deleted_at IS NULL AND paused_at IS NULL
     ORDER BY id`,
    [brandId],
    tx,
  )

export const watchName = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
): Promise<{ name: string } | undefined> =>
  db.one<{ name: string }>(
    `SELECT name
     FROM watches
     WHERE id = $1 AND brand_id = $2`,
    [id, brandId],
  )

/** How many mentions a watch has that the reader may see: by the day for those who see all, otherwise by their profiles. */
function mentionsSql(where: Where, reader: Reader): string {
  if (!isLimited(reader))
    return `(
         SELECT coalesce(sum(r.positive + r.neutral + r.negative + r.unread), 0)
         FROM mention_days r
         WHERE r.watch_id = w.id
       )`
  const limits = [
    ...(reader.placeIds ? [`p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`] : []),
    ...(reader.profileIds ? [`p.id = ANY(${where.bind(reader.profileIds)}::int[])`] : []),
  ]
  return `(
         SELECT coalesce(sum(r.n), 0)
         FROM mention_rollups r
         JOIN profiles p ON p.id = r.profile_id
         WHERE r.watch_id = w.id AND ${limits.join(' AND ')}
       )`
}

export function watchesSeenBy(
  db: Database,
  reader: Reader,
  { id }: { id: number | null },
  tx?: Tx,
): Promise<WatchAnswer[]> {
  const where = new Where()
  where.add(`w.brand_id = ${where.bind(reader.brandId)} AND w.deleted_at IS NULL`)
  if (id !== null) where.add(`w.id = ${where.bind(id)}`)
  return db.rows<WatchAnswer>(
    `SELECT w.id, w.name, w.query, w.group_id AS "groupId", w.paused_at IS NOT NULL AS paused,
       w.answered_since IS NOT NULL AS answered,
       w.history_done AS "historyDone", w.history_total AS "historyTotal", w.edition,
       ${mentionsSql(where, reader)} AS mentions
     FROM watches w
     WHERE ${where.toString()}
     ORDER BY w.name COLLATE "und-x-icu", w.id`,
    where.values,
    tx,
  )
}

const readAgain = `version = version + 1, edition = edition + 1, history_done = 0, history_total = ${historySize}`

/** Nothing when it is not deleted. */
export const setWatchRestored = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `UPDATE watches
     SET deleted_at = NULL, ${readAgain}
     WHERE id = $2 AND brand_id = $1 AND deleted_at IS NOT NULL
     RETURNING id`,
    [brandId, id],
    tx,
  )

/** Nothing when it is not paused. */
export const setWatchResumed = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `UPDATE watches
     SET paused_at = NULL, ${readAgain}
     WHERE id = $2 AND brand_id = $1 AND deleted_at IS NULL AND paused_at IS NOT NULL
     RETURNING id`,
    [brandId, id],
    tx,
  )

/** All watches of a brand read the history again. */
export const restartWatchHistories = async (db: Database, brandId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `UPDATE watches
     SET history_done = 0, history_total = ${historySize}
     WHERE brand_id = $1 AND deleted_at IS NULL AND paused_at IS NULL`,
    [brandId],
    tx,
  )
}
