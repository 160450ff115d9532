import type { Database } from '../../database.ts'
import { Where } from '../shared/where.ts'
import type { LensQuestion } from './lensSlices.ts'
import { lensWhere, timeColumn } from './lensWhere.ts'
import { rollupWhere } from './rollupWhere.ts'

interface Between {
  from: number
  to: number
}

interface ProfileCount {
  profileId: number
  n: number
}

/** Entries of a lens by the account they came from, between two hours of the brand's clock; the lens's own time is left aside. */
export async function lensProfiles(
  db: Database,
  { lens, context, reader }: LensQuestion,
  between: Between,
): Promise<ProfileCount[]> {
  const rollups = rollupWhere(lens, context, reader, between)
  if (rollups)
    return db.replica.rows<ProfileCount>(
      `SELECT r.profile_id AS "profileId", sum(r.n)::int AS n
       FROM ${rollups.table} r JOIN profiles p ON p.id = r.profile_id
       WHERE ${rollups.where.toString()} GROUP BY 1`,
      rollups.where.values,
    )
  const { from, where } = lensWhere({ ...lens, range: null }, context, reader)
  const at = timeColumn(lens)
  where.add(`${at} >= ${where.bind(new Date(between.from))} AND ${at} < ${where.bind(new Date(between.to))}`)
  return db.replica.rows<ProfileCount>(
    `SELECT e.profile_id AS "profileId", count(*)::int AS n FROM ${from} WHERE ${where.toString()} GROUP BY 1`,
    where.values,
  )
}

/** Mentions of watches by the account they came from. */
export function watchProfiles(
  db: Database,
  { watches, from, to }: Between & { watches: readonly number[] },
): Promise<(ProfileCount & { watch: number })[]> {
  const where = new Where()
  where.add(`watch_id = ANY(${where.bind(watches)}::int[])`)
  where.add(`hour >= ${where.bind(new Date(from))} AND hour < ${where.bind(new Date(to))}`)
  return db.replica.rows(
    `SELECT watch_id AS watch, profile_id AS "profileId", sum(n)::int AS n FROM mention_rollups
     WHERE ${where.toString()} GROUP BY 1, 2`,
    where.values,
  )
}
