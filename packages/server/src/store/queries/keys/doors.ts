import type { CustomerDoor } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

type DoorRow = Omit<CustomerDoor, 'madeAt' | 'lastAt' | 'address'> & {
  madeAt: Date
  lastAt: Date | null
  token: string
}
export type StoredDoor = Omit<CustomerDoor, 'address'> & { token: string }

const columns = `d.id, d.name, d.token, (SELECT name FROM colleagues c WHERE c.id = d.made_by) AS "madeBy", d.made_at AS "madeAt",
  d.last_at AS "lastAt", d.taken, d.refused, d.problem`
const doorOf = ({ madeAt, lastAt, ...row }: DoorRow): StoredDoor => ({
  ...row,
  madeAt: madeAt.toISOString(),
  lastAt: lastAt?.toISOString() ?? null,
})

export const doorsOf = async (db: Database, brandId: number, tx?: Tx): Promise<StoredDoor[]> =>
  (
    await db.rows<DoorRow>(
      `SELECT ${columns} FROM customer_doors d WHERE d.brand_id = $1 ORDER BY d.id`,
      [brandId],
      tx,
    )
  ).map(doorOf)

export const insertDoor = async (
  db: Database,
  door: { brandId: number; name: string; token: string; sealed: Buffer; madeBy: number },
  tx: Tx,
): Promise<StoredDoor> =>
  doorOf(
    (await db.one<DoorRow>(
      `INSERT INTO customer_doors AS d (brand_id, name, token, secret_sealed, made_by) VALUES ($1, $2, $3, $4, $5)
       RETURNING ${columns}`,
      [door.brandId, door.name, door.token, door.sealed, door.madeBy],
      tx,
    ))!,
  )

export async function setDoorSecret(
  db: Database,
  { id, brandId, sealed }: { id: number; brandId: number; sealed: Buffer },
  tx: Tx,
): Promise<StoredDoor | undefined> {
  const row = await db.one<DoorRow>(
    `UPDATE customer_doors d SET secret_sealed = $3 WHERE d.id = $1 AND d.brand_id = $2 RETURNING ${columns}`,
    [id, brandId, sealed],
    tx,
  )
  return row && doorOf(row)
}

export const deleteDoor = async (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<string | undefined> =>
  (
    await db.one<{ name: string }>(
      'DELETE FROM customer_doors WHERE id = $1 AND brand_id = $2 RETURNING name',
      [id, brandId],
      tx,
    )
  )?.name

export const doorByToken = (
  db: Database,
  token: string,
): Promise<{ id: number; brandId: number; sealed: Buffer } | undefined> =>
  db.one<{ id: number; brandId: number; sealed: Buffer }>(
    'SELECT id, brand_id AS "brandId", secret_sealed AS sealed FROM customer_doors WHERE token = $1',
    [token],
  )

/** What came through a door: customers, or what was wrong. */
export const noteAtDoor = async (
  db: Database,
  { id, taken, problem }: { id: number; taken: number; problem: string | null },
): Promise<void> => {
  await db.rows(
    `UPDATE customer_doors SET last_at = now(), taken = taken + $2, refused = refused + $3, problem = $4 WHERE id = $1`,
    [id, taken, problem === null ? 0 : 1, problem],
  )
}
