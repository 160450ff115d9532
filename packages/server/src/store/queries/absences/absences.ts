import type { Absence, Role } from '@murrabel/contract'
import type { Database, Tx } from '../../database.ts'

const columns = `a.colleague_id AS "colleagueId", to_char(a.from_day, 'YYYY-MM-DD') AS "from", to_char(a.until_day, 'YYYY-MM-DD') AS until,
  a.taker_id AS "takeOver", a.team_id AS team, a.began_at IS NOT NULL AS begun`

/** Those of a brand that are not over, by day. */
export const absencesOf = (db: Database, brandId: number): Promise<Absence[]> =>
  db.rows<Absence>(
    `SELECT ${columns} FROM absences a WHERE a.brand_id = $1 ORDER BY a.from_day, a.colleague_id`,
    [brandId],
  )

export interface StoredAbsence extends Absence {
  fromAt: Date
  untilAt: Date
}
type Key = { brandId: number; colleagueId: number }

/** Somebody's, and nobody else changes it meanwhile. */
export const lockAbsence = (
  db: Database,
  { brandId, colleagueId }: Key,
  tx: Tx,
): Promise<StoredAbsence | undefined> =>
  db.one<StoredAbsence>(
    `SELECT ${columns}, a.from_at AS "fromAt", a.until_at AS "untilAt" FROM absences a
     WHERE a.brand_id = $1 AND a.colleague_id = $2 FOR UPDATE`,
    [brandId, colleagueId],
    tx,
  )

/** Begin and end of whole days in the brand's zone. */
export const spanOfDays = async (
  db: Database,
  { brandId, from, until }: { brandId: number; from: string; until: string },
  tx: Tx,
): Promise<{ fromAt: Date; untilAt: Date }> =>
  (await db.one<{ fromAt: Date; untilAt: Date }>(
    `SELECT $2::date::timestamp AT TIME ZONE zone AS "fromAt", ($3::date + 1)::timestamp AT TIME ZONE zone AS "untilAt"
     FROM brands WHERE id = $1`,
    [brandId, from, until],
    tx,
  ))!

export const upsertAbsence = async (
  db: Database,
  a: Key &
    Pick<StoredAbsence, 'from' | 'until' | 'fromAt' | 'untilAt' | 'takeOver' | 'team'> & { begun: boolean },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO absences (brand_id, colleague_id, from_day, until_day, from_at, until_at, taker_id, team_id, began_at)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, CASE WHEN $9 THEN now() END)
     ON CONFLICT (brand_id, colleague_id) DO UPDATE SET from_day = excluded.from_day, until_day = excluded.until_day,
       from_at = excluded.from_at, until_at = excluded.until_at, taker_id = excluded.taker_id, team_id = excluded.team_id,
       began_at = CASE WHEN $9 THEN coalesce(absences.began_at, now()) END`,
    [a.brandId, a.colleagueId, a.from, a.until, a.fromAt, a.untilAt, a.takeOver, a.team, a.begun],
    tx,
  )
}

export const setBegun = async (db: Database, { brandId, colleagueId }: Key, tx: Tx): Promise<void> => {
  await db.rows(
    'UPDATE absences SET began_at = now() WHERE brand_id = $1 AND colleague_id = $2',
    [brandId, colleagueId],
    tx,
  )
}

export const deleteAbsence = async (db: Database, { brandId, colleagueId }: Key, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM absences WHERE brand_id = $1 AND colleague_id = $2', [brandId, colleagueId], tx)
}

/** Whose absence has begun. */
export const awayNow = (
  db: Database,
  brandId: number,
  tx?: Tx,
): Promise<(Key & Pick<Absence, 'takeOver' | 'team'>)[]> =>
  db.rows<Key & Pick<Absence, 'takeOver' | 'team'>>(
    `SELECT brand_id AS "brandId", colleague_id AS "colleagueId", taker_id AS "takeOver", team_id AS team
     FROM absences WHERE brand_id = $1 AND began_at IS NOT NULL`,
    [brandId],
    tx,
  )

/** Whether somebody is away at any time of a span. */
export const isAwayWithin = async (
  db: Database,
  { brandId, colleagueId, fromAt, untilAt }: Key & { fromAt: Date; untilAt: Date },
  tx: Tx,
): Promise<boolean> =>
  (await db.one(
    'SELECT 1 AS away FROM absences WHERE brand_id = $1 AND colleague_id = $2 AND from_at < $4 AND until_at > $3',
    [brandId, colleagueId, fromAt, untilAt],
    tx,
  )) !== undefined

/** Somebody who answers here, with what they may see and how much they have. */
export interface Answerer {
  colleagueId: number
  brandId: number
  role: Role
  placeIds: number[] | null
  profileIds: number[] | null
  open: number
  /** They are in this team. */
  inTeam: boolean
}

/** Those who answer and are not away, the least laden first. @param team whose members are told apart */
export const answerersThere = (
  db: Database,
  { brandId, team }: { brandId: number; team: number | null },
  tx: Tx,
): Promise<Answerer[]> =>
  db.rows<Answerer>(
    `SELECT m.colleague_id AS "colleagueId", m.brand_id AS "brandId", m.role, m.place_ids AS "placeIds", m.profile_ids AS "profileIds",
       (SELECT count(*) FROM threads t WHERE t.brand_id = m.brand_id AND t.given_to = m.colleague_id AND t.state <> 'done')::int AS open,
       EXISTS (SELECT 1 FROM team_members x JOIN teams g ON g.id = x.team_id
               WHERE x.team_id = $2 AND x.colleague_id = m.colleague_id AND g.brand_id = m.brand_id) AS "inTeam"
     FROM memberships m
     WHERE m.brand_id = $1 AND m.role IN ('owner', 'lead', 'specialist', 'placeManager')
       AND NOT EXISTS (SELECT 1 FROM absences a WHERE a.brand_id = m.brand_id AND a.colleague_id = m.colleague_id
                       AND a.from_at <= now() AND a.until_at > now())
     ORDER BY open, m.colleague_id`,
    [brandId, team],
    tx,
  )

export interface OpenThread {
  id: number
  placeId: number | null
  profileId: number
}

/** Open threads of somebody, the most pressing first, held until the end. @param among these alone; null: all of them */
export const openThreadsOf = (
  db: Database,
  { brandId, colleagueId, among }: Key & { among: readonly number[] | null },
  tx: Tx,
): Promise<OpenThread[]> =>
  db.rows<OpenThread>(
    `SELECT id, place_id AS "placeId", profile_id AS "profileId" FROM threads
     WHERE brand_id = $1 AND given_to = $2 AND state <> 'done' AND ($3::bigint[] IS NULL OR id = ANY($3))
     ORDER BY pressing_at DESC NULLS LAST, id FOR NO KEY UPDATE`,
    [brandId, colleagueId, among],
    tx,
  )

export const setGiven = async (
  db: Database,
  moves: readonly { id: number; to: number | null }[],
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE threads t SET given_to = n.to, edition = t.edition + 1
     FROM unnest($1::bigint[], $2::int[]) AS n (id, "to") WHERE t.id = n.id`,
    [moves.map(({ id }) => id), moves.map(({ to }) => to)],
    tx,
  )
}

export const keepCovers = async (
  db: Database,
  awayId: number,
  covers: readonly { id: number; to: number }[],
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO covers (thread_id, away_id, taker_id) SELECT n.id, $1, n.taker FROM unnest($2::bigint[], $3::int[]) AS n (id, taker)
     ON CONFLICT (thread_id) DO UPDATE SET taker_id = excluded.taker_id`,
    [awayId, covers.map(({ id }) => id), covers.map(({ to }) => to)],
    tx,
  )
}

/** Ends the covers of somebody; answers the threads that are still open and still with whoever took them. */
export const takeCovers = async (db: Database, { brandId, colleagueId }: Key, tx: Tx): Promise<number[]> =>
  (
    await db.rows<{ id: number; back: boolean }>(
      `DELETE FROM covers c USING threads t
       WHERE c.away_id = $2 AND t.id = c.thread_id AND t.brand_id = $1
       RETURNING t.id, t.state <> 'done' AND t.given_to = c.taker_id AS back`,
      [brandId, colleagueId],
      tx,
    )
  ).flatMap(({ id, back }) => (back ? [id] : []))
