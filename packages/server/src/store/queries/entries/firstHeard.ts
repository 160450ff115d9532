import type { Database } from '../../database.ts'

/** When the first entry of a brand was written, epoch milliseconds; null when there is none. */
export async function firstHeard(db: Database, brandId: number): Promise<number | null> {
  const row = await db.one<{ first: Date | null }>(
    'SELECT min(hour) AS first FROM rollups WHERE brand_id = $1 AND n > 0',
    [brandId],
  )
  return row?.first?.getTime() ?? null
}
