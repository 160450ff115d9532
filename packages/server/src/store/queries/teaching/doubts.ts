import type { Reader } from '../../../access/reader.ts'
import type { DoubtRow } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'
import type { AskedElsewhere } from '../shared/askedElsewhere.ts'
import { addAccess, Where } from '../shared/where.ts'

export const doubtBelow = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<{ below: number; total: number; done: number } | undefined> =>
  db.one<{ below: number; total: number; done: number }>(
    `SELECT b.doubt_below AS below, t.history_total AS total, t.history_done AS done
     FROM brands b
     JOIN teaching t ON t.brand_id = b.id
     WHERE b.id = $1`,
    [brandId],
    tx,
  )

export const setDoubtBelow = async (
  db: Database,
  { brandId, below }: { brandId: number; below: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows('UPDATE brands SET doubt_below = $2 WHERE id = $1', [brandId, below], tx)
}

/** What nobody judged and the reader may see. */
function unjudged(reader: Reader, { shown = true } = {}): Where {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in' AND e.sentiment <> 'unread' AND e.corrected_by IS NULL`)
  // What was taken away has no words left to judge.
  if (shown) where.add('e.deleted_at IS NULL')
  return where
}

/** The latest readings in doubt, for the worker that chooses among them. */
export function latestDoubts(
  reader: Reader,
  { below, limit }: { below: number; limit: number },
): AskedElsewhere {
  const where = unjudged(reader)
  where.add(`e.confidence < ${where.bind(below)}::real`)
  return {
    sql: `SELECT e.id, e.title, left(e.text, 2000) AS text, e.confidence
      FROM entries e
      WHERE ${where.toString()}
      ORDER BY e.at DESC, e.id DESC
      LIMIT ${limit}`,
    values: where.values,
  }
}

/** Some of what was read lately, as many of each stretch of confidence, by chance that stays the same for a day. */
export function sampleToJudge(
  db: Database,
  reader: Reader,
  { salt, latest, limit }: { salt: string; latest: number; limit: number },
): Promise<{ id: number }[]> {
  const where = unjudged(reader)
  return db.rows<{ id: number }>(
    `WITH lately AS (
       SELECT e.id, e.confidence
       FROM entries e
       WHERE ${where.toString()}
       ORDER BY e.at DESC, e.id DESC
       LIMIT ${latest}
     )
     SELECT id
     FROM (
       SELECT id, row_number() OVER (
         PARTITION BY width_bucket(confidence, ARRAY[0.5, 0.6, 0.7, 0.8, 0.9]::real[])
         ORDER BY md5(id || ${where.bind(salt)})
       ) AS n
       FROM lately
     ) numbered
     ORDER BY n, md5(id || ${where.bind(salt)})
     LIMIT ${limit}`,
    where.values,
  )
}

/** As many as the lens of them counts. */
export const countDoubts = (
  db: Database,
  reader: Reader,
  below: number,
): Promise<{ n: number } | undefined> => {
  const where = unjudged(reader, { shown: false })
  where.add(`e.confidence < ${where.bind(below)}::real`)
  return db.one<{ n: number }>(`SELECT count(*) AS n FROM entries e WHERE ${where.toString()}`, where.values)
}

/** Entries to judge, in the order of their ids as given; what the reader may not see is left out. */
export function entriesToJudge(
  db: Database,
  reader: Reader,
  ids: readonly number[],
): Promise<Omit<DoubtRow, 'alike'>[]> {
  const where = unjudged(reader)
  const list = where.bind([...ids])
  where.add(`e.id = ANY(${list}::bigint[])`)
  return db.rows<Omit<DoubtRow, 'alike'>>(
    `SELECT e.id, e.thread_id AS "threadId", e.channel, e.kind, e.title, left(e.text, 600) AS text, e.at, e.rating, e.sentiment,
       e.confidence, e.spans
     FROM entries e
     WHERE ${where.toString()}
     ORDER BY array_position(${list}::bigint[], e.id)`,
    where.values,
  )
}

/** Readings that somebody was shown and judged; and how many were judged elsewhere, where people put right what is wrong. */
export const judgedReadings = (
  db: Database,
  brandId: number,
  limit: number,
): Promise<{ confidence: number; right: boolean }[]> =>
  db.rows<{ confidence: number; right: boolean }>(
    `SELECT c.read_confidence AS confidence, c.read_as = c.sentiment AS right
     FROM corrections c
     JOIN entries e ON e.id = c.entry_id
     WHERE e.brand_id = $1 AND c.shown AND c.read_confidence IS NOT NULL
     ORDER BY c.at DESC
     LIMIT ${limit}`,
    [brandId],
  )

export const countJudgedElsewhere = (db: Database, brandId: number): Promise<{ n: number } | undefined> =>
  db.one<{ n: number }>(
    `SELECT count(*) AS n
     FROM corrections c
     JOIN entries e ON e.id = c.entry_id
     WHERE e.brand_id = $1 AND NOT (c.shown AND c.read_confidence IS NOT NULL)`,
    [brandId],
  )
