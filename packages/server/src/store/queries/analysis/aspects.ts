import type { Sentiment } from '@murrabel/core/lens'
import type { Database, Tx } from '../../database.ts'

export const removeAspectReadings = async (
  db: Database,
  entryIds: readonly number[],
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM aspect_readings
     WHERE entry_id = ANY($1::bigint[])`,
    [entryIds],
    tx,
  )
}

/** An aspect deleted since the teaching was read is no more. */
export const addAspectReadings = async (
  db: Database,
  {
    aspectIds,
    entryIds,
    sentiments,
  }: { aspectIds: readonly number[]; entryIds: readonly number[]; sentiments: readonly Sentiment[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO aspect_readings (aspect_id, entry_id, sentiment)
     SELECT n.aspect, n.entry, n.sentiment
     FROM unnest($1::int[], $2::bigint[], $3::text[]) AS n (aspect, entry, sentiment)
     JOIN aspects a ON a.id = n.aspect`,
    [aspectIds, entryIds, sentiments],
    tx,
  )
}
