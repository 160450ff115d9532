import type { AskedElsewhere } from '../shared/askedElsewhere.ts'
import type { Reader } from '../../../access/reader.ts'
import { addAccess, Where } from '../shared/where.ts'
import type { Database, Tx } from '../../database.ts'

export const removeMarks = async (
  db: Database,
  { watchId, entryIds }: { watchId: number; entryIds: readonly number[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM marks
     WHERE watch_id = $1 AND entry_id = ANY($2::bigint[])`,
    [watchId, entryIds],
    tx,
  )
}

export const putMarks = async (
  db: Database,
  {
    watchId,
    colleagueId,
    entryIds,
    onTopic,
    brandId,
  }: {
    watchId: number
    colleagueId: number
    entryIds: readonly number[]
    onTopic: readonly (boolean | null)[]
    brandId: number
  },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO marks (watch_id, entry_id, on_topic, colleague_id)
     SELECT $1::int, e.id, n.on_topic, $2::int
     FROM unnest($3::bigint[], $4::boolean[]) AS n (entry, on_topic)
     JOIN entries e ON e.id = n.entry AND e.brand_id = $5
     ON CONFLICT (watch_id, entry_id) DO UPDATE SET on_topic = excluded.on_topic,
       colleague_id = excluded.colleague_id, at = now()`,
    [watchId, colleagueId, entryIds, onTopic, brandId],
    tx,
  )
}

/** Marks of a watch, on entries that the reader may see. */
export function marksSeenBy(
  db: Database,
  reader: Reader,
  watchId: number,
): Promise<{ entryId: number; onTopic: boolean }[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`k.watch_id = ${where.bind(watchId)}`)
  return db.rows<{ entryId: number; onTopic: boolean }>(
    `SELECT k.entry_id AS "entryId", k.on_topic AS "onTopic"
     FROM marks k
     JOIN watches w ON w.id = k.watch_id AND w.brand_id = ${where.bind(reader.brandId)}
     JOIN entries e ON e.id = k.entry_id
     WHERE ${where.toString()}`,
    where.values,
  )
}

/** Which of these entries the reader may see. */
export function entriesSeenBy(
  db: Database,
  reader: Reader,
  ids: readonly number[],
  tx?: Tx,
): Promise<{ id: number }[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.id = ANY(${where.bind([...ids])}::bigint[])`)
  return db.rows<{ id: number }>(
    `SELECT e.id
     FROM entries e
     WHERE ${where.toString()}`,
    where.values,
    tx,
  )
}

/** How many mentions of a watch are marked, and as what, among those that the reader may see. */
export function markCounts(
  db: Database,
  reader: Reader,
  watchId: number,
): Promise<{ marked: number; onTopic: number } | undefined> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`k.watch_id = ${where.bind(watchId)} AND w.brand_id = ${where.bind(reader.brandId)}`)
  return db.one<{ marked: number; onTopic: number }>(
    `SELECT count(*) AS marked, count(*) FILTER (WHERE k.on_topic) AS "onTopic"
     FROM marks k
     JOIN watches w ON w.id = k.watch_id
     JOIN mentions m ON m.watch_id = k.watch_id AND m.entry_id = k.entry_id
     JOIN entries e ON e.id = k.entry_id
     WHERE ${where.toString()}`,
    where.values,
  )
}

/** A question for a worker of its own: what a watch reads on trial, newest first. */
export function entriesOnTrial(
  reader: Reader,
  { since, limit }: { since: Date; limit: number },
): AskedElsewhere {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in' AND e.at >= ${where.bind(since)}`)
  return {
    sql: `SELECT e.id, e.title, e.text, e.language, e.channel, e.at, coalesce(a.handle, a.name) AS voice
      FROM entries e
      LEFT JOIN accounts a ON a.id = e.account_id
      WHERE ${where.toString()}
      ORDER BY e.at DESC, e.id DESC
      LIMIT ${limit}`,
    values: where.values,
  }
}
