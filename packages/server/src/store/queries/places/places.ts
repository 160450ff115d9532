import type { DuePolicy } from '@murrabel/core/inbox'
import type { BrandSetUp, PlaceSetUp } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

const columns = `p.id, p.edition, p.name, p.address, p.phone, p.url, p.week, p.special_days AS "specialDays",
  (SELECT count(*) FROM profiles f WHERE f.place_id = p.id)::int AS profiles`

export const placesOf = (db: Database, brandId: number): Promise<PlaceSetUp[]> =>
  db.rows<PlaceSetUp>(`SELECT ${columns} FROM places p WHERE p.brand_id = $1 ORDER BY p.id`, [brandId])

export const placeById = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<PlaceSetUp | undefined> =>
  db.one<PlaceSetUp>(`SELECT ${columns} FROM places p WHERE p.id = $1 AND p.brand_id = $2`, [id, brandId], tx)

export type StoredPlace = Omit<PlaceSetUp, 'id' | 'edition' | 'profiles'>

const valuesOf = (place: StoredPlace) => [
  place.name,
  place.address,
  place.phone,
  place.url,
  place.week && JSON.stringify(place.week),
  JSON.stringify(place.specialDays),
]

/** Undefined where there is a place of this name. */
export const insertPlaceSetUp = (
  db: Database,
  { brandId, place }: { brandId: number; place: StoredPlace },
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO places (brand_id, name, address, phone, url, week, special_days) VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (brand_id, name) DO NOTHING RETURNING id`,
    [brandId, ...valuesOf(place)],
    tx,
  )

/** Undefined where another place has this name. */
export const setPlace = (
  db: Database,
  { id, brandId, place }: { id: number; brandId: number; place: StoredPlace },
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `UPDATE places p SET name = $3, address = $4, phone = $5, url = $6, week = $7, special_days = $8, edition = edition + 1
     WHERE p.id = $1 AND p.brand_id = $2
       AND NOT EXISTS (SELECT 1 FROM places o WHERE o.brand_id = $2 AND o.name = $3 AND o.id <> $1)
     RETURNING id`,
    [id, brandId, ...valuesOf(place)],
    tx,
  )

/** Takes a place away that nothing belongs to; colleagues who were limited to it are limited to the others they have. */
export const deletePlace = async (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE memberships SET place_ids = array_remove(place_ids, $1) WHERE brand_id = $2 AND $1 = ANY(place_ids)',
    [id, brandId],
    tx,
  )
  await db.rows('DELETE FROM places WHERE id = $1 AND brand_id = $2', [id, brandId], tx)
}

export type BrandRow = Omit<BrandSetUp, 'due' | 'rules'> & { policy: Partial<DuePolicy> }

export const brandRow = (db: Database, brandId: number, tx?: Tx): Promise<BrandRow | undefined> =>
  db.one<BrandRow>(
    'SELECT edition, name, nicknames, zone, languages, promise_limit AS "promiseLimit", due_policy AS policy FROM brands WHERE id = $1',
    [brandId],
    tx,
  )

export const setBrand = async (
  db: Database,
  brand: {
    id: number
    name: string
    nicknames: readonly string[]
    languages: readonly string[]
    promiseLimit: number | null
    policy: object
  },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE brands SET name = $2, nicknames = $3, languages = $4, due_policy = $5, promise_limit = $6, edition = edition + 1 WHERE id = $1',
    [
      brand.id,
      brand.name,
      brand.nicknames,
      brand.languages,
      JSON.stringify(brand.policy),
      brand.promiseLimit,
    ],
    tx,
  )
}

/** Threads that are owed something or wait for it, after one. */
export const threadsToOweAnew = async (
  db: Database,
  { brandId, after, limit }: { brandId: number; after: number; limit: number },
): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      `SELECT id FROM threads WHERE brand_id = $1 AND id > $2 AND state <> 'done' ORDER BY id LIMIT $3`,
      [brandId, after, limit],
    )
  ).map(({ id }) => id)
