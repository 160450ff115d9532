import type { Looks } from '@murrabel/core/today'
import type { ColleagueNow, SetUpGap, TodayAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { accessOf, addAccess, Where } from '../shared/where.ts'

type Whose = Pick<Reader, 'brandId' | 'colleagueId'>

/** When somebody looked, locked until the transaction ends. */
export const lockLooks = async (db: Database, { brandId, colleagueId }: Whose, tx: Tx): Promise<Looks> => {
  const row = await db.one<{ since: Date | null; seen: Date | null }>(
    `SELECT looks_since AS since, looked_at AS seen FROM memberships
     WHERE brand_id = $1 AND colleague_id = $2 FOR NO KEY UPDATE`,
    [brandId, colleagueId],
    tx,
  )
  return { since: row?.since?.getTime() ?? null, seen: row?.seen?.getTime() ?? null }
}

export const setLooks = async (
  db: Database,
  { brandId, colleagueId }: Whose,
  { since, seen }: { since: number; seen: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE memberships SET looks_since = $3, looked_at = $4 WHERE brand_id = $1 AND colleague_id = $2',
    [brandId, colleagueId, new Date(since), new Date(seen)],
    tx,
  )
}

/** Entries from outside since an instant, of all that a reader may see. */
export const arrivedSince = async (db: Database, reader: Reader, since: Date): Promise<number> => {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in' AND e.at >= ${where.bind(since)}`)
  return (await db.one<{ n: number }>(
    `SELECT count(*)::int AS n FROM entries e WHERE ${where.toString()}`,
    where.values,
  ))!.n
}

/** When somebody answered lately, epoch milliseconds. */
export const answerTimes = async (db: Database, { brandId, colleagueId }: Whose): Promise<number[]> =>
  (
    await db.rows<{ at: Date }>(
      `SELECT created_at AS at FROM outside_actions
       WHERE brand_id = $1 AND colleague_id = $2 AND kind = 'reply'
       ORDER BY id DESC LIMIT 300`,
      [brandId, colleagueId],
    )
  ).map(({ at }) => at.getTime())

export const endedKeys = (db: Database, reader: Reader): Promise<TodayAnswer['keys']> => {
  const values: unknown[] = []
  const bind = (value: unknown) => `$${values.push(value)}`
  const { placeIds, profileIds } = reader
  return db.rows<TodayAnswer['keys'][number]>(
    `SELECT p.id AS "profileId", p.name, p.network FROM profiles p
     WHERE p.brand_id = ${bind(reader.brandId)} AND p.status = 'expired'
       ${placeIds ? `AND p.place_id = ANY(${bind(placeIds)}::int[])` : ''}
       ${profileIds ? `AND p.id = ANY(${bind(profileIds)}::int[])` : ''}
     ORDER BY p.name`,
    values,
  )
}

/** What is not set up yet, of the brand as a whole. */
export const setUpGaps = async (db: Database, brandId: number): Promise<SetUpGap[]> => {
  const [places, has] = await Promise.all([
    db.rows<{ placeId: number; name: string }>(
      `SELECT id AS "placeId", name FROM places WHERE brand_id = $1 AND coalesce(week, 'null') = 'null' ORDER BY name`,
      [brandId],
    ),
    db.one<Record<'patterns' | 'signOffs' | 'mail' | 'watches', boolean>>(
      `SELECT EXISTS (SELECT FROM patterns WHERE brand_id = $1) AS patterns,
         EXISTS (SELECT FROM sign_offs WHERE brand_id = $1) AS "signOffs",
         EXISTS (SELECT FROM profiles WHERE brand_id = $1 AND channel = 'email' AND status <> 'disconnected') AS mail,
         EXISTS (SELECT FROM watches WHERE brand_id = $1 AND deleted_at IS NULL) AS watches`,
      [brandId],
    ),
  ])
  return [
    ...places.map((place) => ({ kind: 'placeHours' as const, ...place })),
    ...(has!.watches ? [] : [{ kind: 'noWatches' as const }]),
    ...(has!.mail ? [] : [{ kind: 'noMailProfile' as const }]),
    ...(has!.patterns ? [] : [{ kind: 'noPatterns' as const }]),
    ...(has!.signOffs ? [] : [{ kind: 'noSignOffs' as const }]),
  ]
}

/** Those who answer, and what each has open, of all that a reader may see. */
export const colleaguesNow = (db: Database, reader: Reader, now: Date): Promise<ColleagueNow[]> => {
  const values: unknown[] = [reader.brandId, now]
  const bind = (value: unknown) => `$${values.push(value)}`
  return db.rows<ColleagueNow>(
    `SELECT c.id, c.name, w.open, w."pastDue", to_char(a.until, 'YYYY-MM-DD') AS "awayUntil"
     FROM memberships m
     JOIN colleagues c ON c.id = m.colleague_id
     CROSS JOIN LATERAL (
       SELECT count(*)::int AS open, count(*) FILTER (WHERE t.due_at < $2)::int AS "pastDue"
       FROM threads t
       WHERE t.given_to = c.id AND t.state = 'open' AND ${accessOf(bind, reader, 't')}
     ) w
     CROSS JOIN LATERAL (
       SELECT max(x.until_day) AS until
       FROM absences x
       WHERE x.brand_id = m.brand_id AND x.colleague_id = c.id AND x.from_at <= $2 AND x.until_at > $2
     ) a
     WHERE m.brand_id = $1 AND m.role <> 'reader'
     ORDER BY w.open DESC, c.name`,
    values,
  )
}

export interface PlaceWeek {
  placeId: number
  name: string
  /** Weeks before now, 0: the last seven days. */
  ago: number
  positive: number
  neutral: number
  negative: number
}

/** What was said at each place in each of the last weeks, of all that a reader may see. */
export const placeWeeks = (
  db: Database,
  reader: Reader,
  { now, weeks }: { now: Date; weeks: number },
): Promise<PlaceWeek[]> => {
  const values: unknown[] = [now, weeks]
  const bind = (value: unknown) => `$${values.push(value)}`
  return db.replica.rows<PlaceWeek>(
    `SELECT p.id AS "placeId", p.name, w.ago, w.positive, w.neutral, w.negative
     FROM (
       SELECT e.place_id, floor(extract(epoch FROM $1::timestamptz - e.at) / 604800)::int AS ago,
         count(*) FILTER (WHERE e.sentiment = 'positive')::int AS positive,
         count(*) FILTER (WHERE e.sentiment = 'neutral')::int AS neutral,
         count(*) FILTER (WHERE e.sentiment = 'negative')::int AS negative
       FROM entries e
       WHERE ${accessOf(bind, reader, 'e')} AND e.direction = 'in' AND e.place_id IS NOT NULL
         AND e.at > $1::timestamptz - $2::int * interval '7 days' AND e.at <= $1::timestamptz
       GROUP BY 1, 2
     ) w
     JOIN places p ON p.id = w.place_id
     ORDER BY p.id, w.ago DESC`,
    values,
  )
}
