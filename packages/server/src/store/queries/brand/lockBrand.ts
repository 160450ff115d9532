import type { Database, Tx } from '../../database.ts'

/** Holds a brand until the transaction ends, for changes of which only one at a time is sound. */
export async function lockBrand(db: Database, brandId: number, tx: Tx): Promise<void> {
  await db.rows('SELECT 1 FROM brands WHERE id = $1 FOR UPDATE', [brandId], tx)
}
