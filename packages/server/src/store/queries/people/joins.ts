import type { LikenessReason } from '@murrabel/core/people'
import type { Database, Tx } from '../../database.ts'
import { callTogether } from './called.ts'

/** Why two are one: an address or number they share, or what a colleague saw when they joined them. */
export type JoinReason = { kind: 'email' | 'phone'; value: string } | LikenessReason

export interface StandingJoin {
  id: number
  one: number
  other: number
  /** Null: it was certain. */
  colleagueId: number | null
}

/** Everybody who is shown as one of these, or as whom one of these is shown. */
export const membersOf = async (db: Database, people: readonly number[], tx?: Tx): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      `SELECT id FROM people
       WHERE shown_as IN (SELECT shown_as FROM people WHERE id = ANY($1::bigint[])) ORDER BY id`,
      [people],
      tx,
    )
  ).map(({ id }) => id)

export const standingJoins = (db: Database, people: readonly number[], tx?: Tx): Promise<StandingJoin[]> =>
  db.rows<StandingJoin>(
    `SELECT id, one, other, colleague_id AS "colleagueId" FROM person_joins
     WHERE undone_at IS NULL AND one = ANY($1::bigint[]) AND other = ANY($1::bigint[]) ORDER BY id`,
    [people],
    tx,
  )

export const insertJoins = async (
  db: Database,
  {
    brandId,
    colleagueId,
    joins,
  }: {
    brandId: number
    colleagueId: number | null
    joins: readonly { one: number; other: number; reasons: readonly JoinReason[] }[]
  },
  tx: Tx,
): Promise<{ id: number; one: number; other: number }[]> =>
  db.rows<{ id: number; one: number; other: number }>(
    `INSERT INTO person_joins (brand_id, colleague_id, one, other, reasons)
     SELECT $1, $2, least(one, other), greatest(one, other), reasons
     FROM unnest($3::bigint[], $4::bigint[], $5::jsonb[]) AS j(one, other, reasons)
     ON CONFLICT (one, other) WHERE undone_at IS NULL DO NOTHING
     RETURNING id, one, other`,
    [
      brandId,
      colleagueId,
      joins.map((j) => j.one),
      joins.map((j) => j.other),
      joins.map((j) => JSON.stringify(j.reasons)),
    ],
    tx,
  )

export const undoJoins = async (db: Database, ids: readonly number[], tx: Tx): Promise<void> => {
  await db.rows('UPDATE person_joins SET undone_at = now() WHERE id = ANY($1::bigint[])', [ids], tx)
}

export const setShownAs = async (
  db: Database,
  shown: readonly { id: number; as: number }[],
  tx: Tx,
): Promise<void> => {
  const columns = [shown.map(({ id }) => id), shown.map(({ as }) => as)]
  await db.rows(
    `UPDATE people p SET shown_as = n.shown, edition = edition + 1
     FROM unnest($1::bigint[], $2::bigint[]) AS n(id, shown) WHERE p.id = n.id AND p.shown_as <> n.shown`,
    columns,
    tx,
  )
  // What is being said by them now is kept first, so that what each person said in all is counted with it.
  await db.rows(
    'SELECT 1 FROM accounts WHERE person_id = ANY($1::bigint[]) ORDER BY id FOR UPDATE',
    [columns[0]],
    tx,
  )
  await db.rows(
    `UPDATE accounts a SET shown_as = n.shown
     FROM unnest($1::bigint[], $2::bigint[]) AS n(id, shown) WHERE a.person_id = n.id AND a.shown_as IS DISTINCT FROM n.shown`,
    columns,
    tx,
  )
  await db.rows(
    `UPDATE visits v SET shown_as = n.shown
     FROM unnest($1::bigint[], $2::bigint[]) AS n(id, shown) WHERE v.person_id = n.id AND v.shown_as <> n.shown`,
    columns,
    tx,
  )
  await callTogether(
    db,
    shown.map(({ id }) => id),
    tx,
  )
}

export const keepApart = async (
  db: Database,
  { brandId, colleagueId, one, other }: { brandId: number; colleagueId: number; one: number; other: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO person_apart (brand_id, colleague_id, one, other) VALUES ($1, $2, least($3::bigint, $4), greatest($3::bigint, $4))
     ON CONFLICT DO NOTHING`,
    [brandId, colleagueId, one, other],
    tx,
  )
}

export const noLongerApart = async (
  db: Database,
  { people, others }: { people: readonly number[]; others: readonly number[] },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM person_apart
     WHERE (one = ANY($1::bigint[]) AND other = ANY($2::bigint[])) OR (one = ANY($2::bigint[]) AND other = ANY($1::bigint[]))`,
    [people, others],
    tx,
  )
}

export const joinById = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<(StandingJoin & { undoneAt: Date | null }) | undefined> =>
  db.one<StandingJoin & { undoneAt: Date | null }>(
    `SELECT id, one, other, colleague_id AS "colleagueId", undone_at AS "undoneAt" FROM person_joins
     WHERE id = $1 AND brand_id = $2`,
    [id, brandId],
    tx,
  )

/** Of pairs of these people, whether they are one person already. */
export const shownAsOf = async (
  db: Database,
  { brandId, people }: { brandId: number; people: readonly number[] },
  tx?: Tx,
): Promise<Map<number, number>> =>
  new Map(
    (
      await db.rows<{ id: number; shownAs: number }>(
        'SELECT id, shown_as AS "shownAs" FROM people WHERE brand_id = $1 AND id = ANY($2::bigint[])',
        [brandId, people],
        tx,
      )
    ).map(({ id, shownAs }) => [id, shownAs]),
  )
