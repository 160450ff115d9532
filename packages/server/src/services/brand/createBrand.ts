import { hoursProblem, isZone } from '@murrabel/core/places'
import type { Role } from '@murrabel/contract'
import { hashPassword } from '../../access/password.ts'
import type { Database } from '../../store/database.ts'
import { setStepVersions } from '../../store/queries/analysis/readingSteps.ts'
import { readingStepNames, readingSteps } from '../analysis/index.ts'
import {
  brandByName,
  insertBrand,
  insertTeaching,
  insertPlace,
  putColleague,
  insertMembership,
} from '../../store/queries/brand/createBrand.ts'

export interface BrandSeed {
  name: string
  zone: string
  languages: string[]
  /** Week: opening spans of each day from Monday, in minutes from midnight. */
  places: { name: string; address: string; phone: string; week: [number, number][][] | null }[]
  colleagues: { email: string; name: string; password: string; role: Role; places?: string[] }[]
}

/**
 * Makes a brand with its places and colleagues in one transaction; a brand of that name is left as it is.
 *
 * @throws RangeError for a zone or hours that cannot be
 */
export async function createBrand(db: Database, seed: BrandSeed): Promise<number> {
  if (!isZone(seed.zone))
    throw new RangeError(`${seed.name}: "${seed.zone}" is no time zone, such as "Europe/London".`)
  for (const { name, week } of seed.places)
    for (const day of week ?? []) {
      const problem = hoursProblem(day)
      if (problem) throw new RangeError(`${name}: the hours ${JSON.stringify(day)} cannot be (${problem}).`)
    }
  const hashes = await Promise.all(seed.colleagues.map((c) => hashPassword(c.password)))
  return db.inTransaction(async (tx) => {
    const known = await brandByName(db, seed.name, tx)
    if (known) return known.id
    const brand = await insertBrand(db, { name: seed.name, zone: seed.zone, languages: seed.languages }, tx)
    const brandId = brand!.id
    await insertTeaching(db, brandId, tx)
    await setStepVersions(
      db,
      {
        brandId,
        steps: readingStepNames,
        versions: readingStepNames.map((step) => readingSteps[step].version),
      },
      tx,
    )
    const placeIds = new Map<string, number>()
    for (const { name, address, phone, week } of seed.places) {
      const place = await insertPlace(db, { brandId, name, address, phone, week }, tx)
      placeIds.set(name, place!.id)
    }
    for (const [i, { email, name, role, places }] of seed.colleagues.entries()) {
      const colleague = await putColleague(
        db,
        { email: email.toLowerCase(), name, passwordHash: hashes[i] },
        tx,
      )
      await insertMembership(
        db,
        { colleagueId: colleague!.id, brandId, role, placeIds: places?.map((p) => placeIds.get(p)) ?? null },
        tx,
      )
    }
    return brandId
  })
}
