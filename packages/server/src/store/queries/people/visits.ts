import type { Visit, VisitSource, VisitSummary } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

/** What is known without a reference of its own goes by what it is, under this sign. */
export const nameless = '~'

const columns = `v.id, v.edition, CASE WHEN v.outside_id NOT LIKE '${nameless}%' THEN v.outside_id END AS reference, v.at, v.route, v.ship, v.place_id AS "placeId", v.party,
  v.price::float8 AS price, v.currency, v.state, v.source`

type VisitRow = Omit<Visit, 'at'> & { at: Date }
const visitOf = ({ at, ...row }: VisitRow): Visit => ({ ...row, at: at.toISOString() })

/** Visits at other places than the reader's are not there for them. */
const placesOf = (reader: Reader, bound: string) =>
  `(${bound}::int[] IS NULL OR v.place_id = ANY(${bound}::int[]))`

/** Visits of somebody, the latest first, and how many there are. */
export async function visitsOfPerson(
  db: Database,
  reader: Reader,
  { person, limit }: { person: number; limit: number },
): Promise<{ visits: Visit[]; visitCount: number }> {
  const rows = await db.rows<VisitRow & { visitCount: number }>(
    `SELECT ${columns}, count(*) OVER ()::int AS "visitCount" FROM visits v
     WHERE v.shown_as = $1 AND v.brand_id = $2 AND ${placesOf(reader, '$3')}
     ORDER BY v.at DESC, v.id DESC LIMIT $4`,
    [person, reader.brandId, reader.placeIds, limit],
  )
  return {
    visits: rows.map(({ visitCount: _count, ...row }) => visitOf(row)),
    visitCount: rows[0]?.visitCount ?? 0,
  }
}

/** What rows of people say of their visits. */
export const visitSummaries = async (
  db: Database,
  reader: Reader,
  { people, now }: { people: readonly number[]; now: Date },
): Promise<Map<number, VisitSummary>> =>
  new Map(
    (
      await db.replica.rows<VisitSummary & { id: number }>(
        `SELECT v.shown_as AS id, count(*) FILTER (WHERE v.state = 'done')::int AS done,
           (array_agg(jsonb_build_object('at', v.at, 'state', v.state) ORDER BY v.at DESC) FILTER (WHERE v.at <= $4))[1] AS latest,
           (array_agg(jsonb_build_object('at', v.at, 'party', v.party) ORDER BY v.at) FILTER (WHERE v.at > $4 AND v.state = 'booked'))[1] AS next
         FROM visits v
         WHERE v.shown_as = ANY($1::bigint[]) AND v.brand_id = $2 AND ${placesOf(reader, '$3')}
         GROUP BY 1`,
        [people, reader.brandId, reader.placeIds, now],
      )
    ).map(({ id, ...summary }) => [id, summary]),
  )

/** A visit of somebody, as the reader may see it. */
export async function visitOfPerson(
  db: Database,
  reader: Reader,
  { id, person }: { id: number; person: number },
  tx?: Tx,
): Promise<Visit | undefined> {
  const row = await db.one<VisitRow>(
    `SELECT ${columns} FROM visits v
     WHERE v.id = $1 AND v.shown_as = $2 AND v.brand_id = $3 AND ${placesOf(reader, '$4')}`,
    [id, person, reader.brandId, reader.placeIds],
    tx,
  )
  return row && visitOf(row)
}

export type StoredVisit = Omit<Visit, 'id' | 'edition'>

/** Notes a visit. Undefined where its reference is known already. */
export async function insertVisit(
  db: Database,
  { brandId, person, visit, toldAt }: { brandId: number; person: number; visit: StoredVisit; toldAt: Date },
  tx: Tx,
): Promise<Visit | undefined> {
  const row = await db.one<VisitRow>(
    `INSERT INTO visits AS v (brand_id, person_id, shown_as, outside_id, at, route, ship, place_id, party, price, currency, state, source, told_at)
     VALUES ($1, $2, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
     ON CONFLICT (brand_id, outside_id) DO NOTHING RETURNING ${columns}`,
    [brandId, person, ...valuesOf(visit), toldAt],
    tx,
  )
  return row && visitOf(row)
}

const valuesOf = (visit: StoredVisit): unknown[] => [
  visit.reference,
  visit.at,
  visit.route,
  visit.ship,
  visit.placeId,
  visit.party,
  visit.price,
  visit.currency,
  visit.state,
  visit.source,
]

/** @returns undefined where another visit has this reference */
export async function setVisit(
  db: Database,
  { id, brandId, visit, toldAt }: { id: number; brandId: number; visit: StoredVisit; toldAt: Date },
  tx: Tx,
): Promise<Visit | undefined> {
  const row = await db.one<VisitRow>(
    `UPDATE visits v SET outside_id = CASE WHEN $3::text IS NULL AND outside_id LIKE '${nameless}%' THEN outside_id ELSE $3 END, at = $4, route = $5, ship = $6, place_id = $7, party = $8, price = $9, currency = $10,
       state = $11, source = $12, told_at = greatest(told_at, $13), edition = edition + 1
     WHERE v.id = $1 AND v.brand_id = $2
       AND NOT EXISTS (SELECT 1 FROM visits o WHERE o.brand_id = $2 AND o.outside_id = $3 AND o.id <> $1)
     RETURNING ${columns}`,
    [id, brandId, ...valuesOf(visit), toldAt],
    tx,
  )
  return row && visitOf(row)
}

export const deleteVisit = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM visits WHERE id = $1', [id], tx)
}

export interface TakenVisit extends StoredVisit {
  reference: string
  personId: number
}

/**
 * Puts visits from outside in, or changes those that are known: what was told later counts, and what is as it was stays. Of one
 * reference there is one row here. Answers the references of those that are new or changed.
 */
export const putVisits = async (
  db: Database,
  {
    brandId,
    toldAt,
    source,
    visits,
  }: { brandId: number; toldAt: Date; source: VisitSource; visits: readonly TakenVisit[] },
  tx: Tx,
): Promise<Set<string>> => {
  const rows = await db.rows<{ reference: string }>(
    `INSERT INTO visits AS v (brand_id, person_id, shown_as, outside_id, at, route, ship, place_id, party, price, currency, state, source, told_at)
     SELECT $1, p.id, p.shown_as, n.reference, n.at, n.route, n.ship, n.place, n.party, n.price, n.currency, n.state, $2, $3
     FROM unnest($4::bigint[], $5::text[], $6::timestamptz[], $7::text[], $8::text[], $9::int[], $10::int[], $11::numeric[], $12::text[], $13::text[])
       AS n(person, reference, at, route, ship, place, party, price, currency, state)
     JOIN people p ON p.id = n.person
     ON CONFLICT (brand_id, outside_id) DO UPDATE SET
       person_id = excluded.person_id, shown_as = excluded.shown_as, at = excluded.at, route = excluded.route, ship = excluded.ship,
       place_id = excluded.place_id, party = excluded.party, price = excluded.price, currency = excluded.currency,
       state = excluded.state, source = excluded.source, told_at = excluded.told_at, edition = v.edition + 1
     WHERE v.told_at <= excluded.told_at
       AND (v.person_id, v.at, v.route, v.ship, v.place_id, v.party, v.price, v.currency, v.state)
         IS DISTINCT FROM (excluded.person_id, excluded.at, excluded.route, excluded.ship, excluded.place_id, excluded.party, excluded.price, excluded.currency, excluded.state)
     RETURNING v.outside_id AS reference`,
    [
      brandId,
      source,
      toldAt,
      visits.map((v) => v.personId),
      visits.map((v) => v.reference),
      visits.map((v) => v.at),
      visits.map((v) => v.route),
      visits.map((v) => v.ship),
      visits.map((v) => v.placeId),
      visits.map((v) => v.party),
      visits.map((v) => v.price),
      visits.map((v) => v.currency),
      visits.map((v) => v.state),
    ],
    tx,
  )
  return new Set(rows.map(({ reference }) => reference))
}

export interface ThreadOfPerson {
  person: number
  /** When it began, and what the person said in it. */
  at: Date
  placeId: number | null
  text: string
}

/** Who began a thread, and what they said in it. */
export const threadOfPerson = (
  db: Database,
  { id, letters }: { id: number; letters: number },
  tx?: Tx,
): Promise<ThreadOfPerson | undefined> =>
  db.one<ThreadOfPerson>(
    `SELECT a.shown_as AS person, f.at, t.place_id AS "placeId", (
         SELECT left(string_agg(concat_ws(' ', e.title, e.text), ' ' ORDER BY e.at), $2) FROM entries e JOIN accounts o ON o.id = e.account_id
         WHERE e.thread_id = t.id AND e.direction = 'in' AND o.shown_as = a.shown_as AND e.deleted_at IS NULL
       ) AS text
     FROM threads t
     CROSS JOIN LATERAL (
       SELECT e.account_id, e.at FROM entries e
       WHERE e.thread_id = t.id AND e.direction = 'in' AND e.account_id IS NOT NULL ORDER BY e.at, e.id LIMIT 1
     ) f
     JOIN accounts a ON a.id = f.account_id
     WHERE t.id = $1`,
    [id, letters],
    tx,
  )

/** Visits near a time, or named by a reference; with what was said of each and the thread. */
export async function visitsNear(
  db: Database,
  reader: Reader,
  {
    thread,
    person,
    at,
    daysBefore,
    daysAfter,
    most,
  }: { thread: number; person: number; at: Date; daysBefore: number; daysAfter: number; most: number },
): Promise<{ visit: Visit; belongs: boolean | null }[]> {
  const rows = await db.rows<VisitRow & { belongs: boolean | null }>(
    `SELECT ${columns}, x.belongs FROM visits v
     LEFT JOIN thread_visits x ON x.visit_id = v.id AND x.thread_id = $1
     WHERE v.shown_as = $2 AND v.brand_id = $3 AND ${placesOf(reader, '$4')}
       AND (x.belongs IS NOT NULL OR v.outside_id IS NOT NULL OR v.at BETWEEN $5::timestamptz - $6 * interval '1 day' AND $5::timestamptz + $7 * interval '1 day')
     ORDER BY x.belongs DESC NULLS LAST, abs(extract(epoch FROM v.at - $5::timestamptz)) LIMIT $8`,
    [thread, person, reader.brandId, reader.placeIds, at, daysBefore, daysAfter, most],
  )
  return rows.map(({ belongs, ...row }) => ({ visit: visitOf(row), belongs }))
}

/** What a colleague says of a thread and a visit; null takes it back. Of one thread one visit is said. */
export async function setBelongs(
  db: Database,
  {
    thread,
    visit,
    belongs,
    colleagueId,
  }: { thread: number; visit: number; belongs: boolean | null; colleagueId: number },
  tx: Tx,
): Promise<void> {
  await db.rows(
    'DELETE FROM thread_visits WHERE thread_id = $1 AND (visit_id = $2 OR (belongs AND $3))',
    [thread, visit, belongs === true],
    tx,
  )
  if (belongs !== null)
    await db.rows(
      'INSERT INTO thread_visits (thread_id, visit_id, belongs, colleague_id) VALUES ($1, $2, $3, $4)',
      [thread, visit, belongs, colleagueId],
      tx,
    )
}
