import type { Database, Tx } from '../../database.ts'

export const deliveryById = (
  db: Database,
  { profileId, deliveryId }: { profileId: number; deliveryId: string },
): Promise<object | undefined> =>
  db.one<object>(
    `SELECT 1
     FROM deliveries
     WHERE profile_id = $1 AND delivery_id = $2`,
    [profileId, deliveryId],
  )

export const keepDelivery = async (
  db: Database,
  { profileId, deliveryId }: { profileId: number; deliveryId: string },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO deliveries (profile_id, delivery_id)
     VALUES ($1, $2)
     ON CONFLICT DO NOTHING`,
    [profileId, deliveryId],
    tx,
  )
}
