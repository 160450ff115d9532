import type { Role } from '@murrabel/contract'
import { hashPassword } from '../../access/password.ts'
import type { Database } from '../../store/database.ts'

export interface BrandSeed {
  name: string
  zone: string
  languages: string[]
  /** Week: opening spans of each day from Monday, in minutes from midnight. */
  places: { name: string; address: string; phone: string; week: [number, number][][] | null }[]
  colleagues: { email: string; name: string; password: string; role: Role; places?: string[] }[]
}

/** Makes a brand with its places and colleagues in one transaction; a brand of that name is left as it is. */
export async function createBrand(db: Database, seed: BrandSeed): Promise<number> {
  const hashes = await Promise.all(seed.colleagues.map((c) => hashPassword(c.password)))
  return db.inTransaction(async (tx) => {
    const known = await db.one<{ id: number }>('SELECT id FROM brands WHERE name = $1', [seed.name], tx)
    if (known) return known.id
    const brand = await db.one<{ id: number }>(
      'INSERT INTO brands (name, zone, languages) VALUES ($1, $2, $3) RETURNING id',
      [seed.name, seed.zone, seed.languages],
      tx,
    )
    const brandId = brand!.id
    await db.rows('INSERT INTO teaching (brand_id) VALUES ($1)', [brandId], tx)
    const placeIds = new Map<string, number>()
    for (const { name, address, phone, week } of seed.places) {
      const place = await db.one<{ id: number }>(
        'INSERT INTO places (brand_id, name, address, phone, week) VALUES ($1, $2, $3, $4, $5) RETURNING id',
        [brandId, name, address, phone, JSON.stringify(week)],
        tx,
      )
      placeIds.set(name, place!.id)
    }
    for (const [i, { email, name, role, places }] of seed.colleagues.entries()) {
      const colleague = await db.one<{ id: number }>(
        'INSERT INTO colleagues (email, name, password_hash) VALUES ($1, $2, $3) ON CONFLICT (email) DO UPDATE SET name = excluded.name RETURNING id',
        [email.toLowerCase(), name, hashes[i]],
        tx,
      )
      await db.rows(
        'INSERT INTO memberships (colleague_id, brand_id, role, place_ids) VALUES ($1, $2, $3, $4)',
        [colleague!.id, brandId, role, places?.map((p) => placeIds.get(p)) ?? null],
        tx,
      )
    }
    return brandId
  })
}
