import type { ColleagueAnswer, PlaceAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'

/** Brands somebody works on, by name. */
export const brandsOf = (db: Database, colleagueId: number): Promise<{ id: number; name: string }[]> =>
  db.rows<{ id: number; name: string }>(
    `SELECT b.id, b.name FROM memberships m JOIN brands b ON b.id = m.brand_id
     WHERE m.colleague_id = $1 ORDER BY b.name COLLATE "und-x-icu", b.id`,
    [colleagueId],
  )

/** Who works on a brand, by name. */
export const colleaguesOfBrand = (db: Database, brandId: number): Promise<ColleagueAnswer[]> =>
  db.rows<ColleagueAnswer>(
    `SELECT c.id, c.name, m.role, to_char(a.until_day, 'YYYY-MM-DD') AS "awayUntil"
     FROM memberships m
     JOIN colleagues c ON c.id = m.colleague_id
     LEFT JOIN absences a ON a.brand_id = m.brand_id AND a.colleague_id = c.id AND a.from_at <= now() AND a.until_at > now()
     WHERE m.brand_id = $1
     ORDER BY c.name COLLATE "und-x-icu"`,
    [brandId],
  )

export const visiblePlaces = (db: Database, { brandId, placeIds }: Reader): Promise<PlaceAnswer[]> =>
  db.rows<PlaceAnswer>(
    `SELECT id, name, week IS NOT NULL AS hours
     FROM places
     WHERE brand_id = $1 AND ($2::int[] IS NULL OR id = ANY($2))
     ORDER BY id`,
    [brandId, placeIds],
  )

/** Channels on which the reader sees profiles, with how many. */
export const visibleChannels = (
  db: Database,
  { brandId, profileIds, placeIds }: Reader,
): Promise<{ channel: string; n: number; accounts: boolean }[]> =>
  db.rows<{ channel: string; n: number; accounts: boolean }>(
    `SELECT channel, count(*) AS n, bool_or(outside_id <> 'search') AS accounts
     FROM profiles
     WHERE brand_id = $1
       AND ($2::int[] IS NULL OR id = ANY($2))
       AND ($3::int[] IS NULL OR place_id = ANY($3))
     GROUP BY 1
     ORDER BY 1`,
    [brandId, profileIds, placeIds],
  )

export const aspectsOfBrand = (db: Database, brandId: number): Promise<{ id: number; name: string }[]> =>
  db.rows<{ id: number; name: string }>('SELECT id, name FROM aspects WHERE brand_id = $1 ORDER BY id', [
    brandId,
  ])

export interface Place {
  id: number
  name: string
}

export const placeNames = (db: Database, brandId: number): Promise<Place[]> =>
  db.rows<Place>(
    `SELECT id, name
     FROM places
     WHERE brand_id = $1
     ORDER BY id`,
    [brandId],
  )

export const zoneOfBrand = (
  db: Database,
  brandId: number,
): Promise<{ zone: string; doubtBelow: number } | undefined> =>
  db.one<{ zone: string; doubtBelow: number }>(
    `SELECT zone, doubt_below AS "doubtBelow"
     FROM brands
     WHERE id = $1`,
    [brandId],
  )

export const nameOfBrand = (db: Database, brandId: number): Promise<{ name: string } | undefined> =>
  db.one<{ name: string }>(
    `SELECT name
     FROM brands
     WHERE id = $1`,
    [brandId],
  )

export const brandIds = (db: Database): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(`SELECT id
     FROM brands
     ORDER BY id`)
