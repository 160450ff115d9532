import type { Database, Tx } from '../../database.ts'

export const brandByName = (db: Database, name: string, tx?: Tx): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `SELECT id
     FROM brands
     WHERE name = $1`,
    [name],
    tx,
  )

export const insertBrand = (
  db: Database,
  { name, zone, languages }: { name: string; zone: string; languages: readonly string[] },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO brands (name, zone, languages)
     VALUES ($1, $2, $3)
     RETURNING id`,
    [name, zone, languages],
    tx,
  )

export const insertTeaching = async (db: Database, brandId: number, tx?: Tx): Promise<void> => {
  await db.rows(
    `INSERT INTO teaching (brand_id)
     VALUES ($1)`,
    [brandId],
    tx,
  )
}

export const insertPlace = (
  db: Database,
  {
    brandId,
    name,
    address,
    phone,
    week,
  }: { brandId: number; name: string; address: string; phone: string; week: object | null },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO places (brand_id, name, address, phone, week)
     VALUES ($1, $2, $3, $4, $5)
     RETURNING id`,
    [brandId, name, address, phone, JSON.stringify(week)],
    tx,
  )

export const putColleague = (
  db: Database,
  { email, name, passwordHash }: { email: string; name: string; passwordHash: string | undefined },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO colleagues (email, name, password_hash)
     VALUES ($1, $2, $3)
     ON CONFLICT (email) DO UPDATE SET name = excluded.name
     RETURNING id`,
    [email, name, passwordHash],
    tx,
  )

export const insertMembership = async (
  db: Database,
  {
    colleagueId,
    brandId,
    role,
    placeIds,
  }: { colleagueId: number; brandId: number; role: string; placeIds: (number | undefined)[] | null },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO memberships (colleague_id, brand_id, role, place_ids)
     VALUES ($1, $2, $3, $4)`,
    [colleagueId, brandId, role, placeIds],
    tx,
  )
}
