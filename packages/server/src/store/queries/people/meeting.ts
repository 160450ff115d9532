import type { LikenessReason } from '@murrabel/core/people'
import type { Database, Tx } from '../../database.ts'
import { callTogether } from './called.ts'

/** One change of who is who at a time. */
export const holdPeople = async (db: Database, brandId: number, tx: Tx): Promise<void> => {
  await db.rows('SELECT pg_advisory_xact_lock(42, $1)', [brandId], tx)
}

export interface UnmetPerson {
  id: number
  /** What a colleague named them, or what they were called so far. */
  name: string
  named: boolean
  accounts: {
    name: string
    handle: string | null
    outsideId: string
    /** Where it was heard last; null while nothing of it stands here. */
    channel: string | null
  }[]
  ways: { kind: 'email' | 'phone'; value: string }[]
}

/** People who have not been read yet for who else they may be. */
export const unmetPeople = (
  db: Database,
  { brandId, limit }: { brandId: number; limit: number },
  tx?: Tx,
): Promise<UnmetPerson[]> =>
  db.rows<UnmetPerson>(
    `SELECT p.id, p.name, p.named_by IS NOT NULL AS named,
       coalesce((
         SELECT jsonb_agg(jsonb_build_object('name', a.name, 'handle', a.handle, 'outsideId', a.outside_id, 'channel', (
           SELECT channel FROM entries WHERE account_id = a.id AND direction = 'in' ORDER BY at DESC LIMIT 1
         )) ORDER BY a.id)
         FROM accounts a WHERE a.person_id = p.id
       ), '[]') AS accounts,
       coalesce((
         SELECT jsonb_agg(jsonb_build_object('kind', w.kind, 'value', w.value)) FROM person_ways w WHERE w.person_id = p.id
       ), '[]') AS ways
     FROM people p
     WHERE p.brand_id = $1 AND p.unmet
     ORDER BY p.id
     LIMIT $2`,
    [brandId, limit],
    tx,
  )

/** Brands with people who have not been read, or not compared. */
export const brandsWithUnmet = async (db: Database): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      'SELECT brand_id AS id FROM people WHERE unmet UNION SELECT brand_id FROM people_to_compare',
    )
  ).map(({ id }) => id)

export interface Met {
  personId: number
  name: string
  /** Words they are found by. */
  words: readonly string[]
  keys: readonly string[]
  ways: readonly { kind: 'email' | 'phone'; value: string }[]
}

/** What was read of people: name (unless a colleague gave one), words, keys and ways. They are to be compared then. */
export async function storeMet(
  db: Database,
  { brandId, met }: { brandId: number; met: readonly Met[] },
  tx: Tx,
): Promise<void> {
  await db.rows(
    `UPDATE people p
     SET unmet = false, name = CASE WHEN p.named_by IS NULL THEN n.name ELSE p.name END,
       search = array_to_tsvector(ARRAY(SELECT jsonb_array_elements_text(n.words)))
     FROM unnest($1::bigint[], $2::text[], $3::jsonb[]) AS n(id, name, words)
     WHERE p.id = n.id`,
    [met.map((m) => m.personId), met.map((m) => m.name), met.map((m) => JSON.stringify(m.words))],
    tx,
  )
  await db.rows(
    'INSERT INTO people_to_compare (brand_id, person_id) SELECT $1, unnest($2::bigint[]) ON CONFLICT DO NOTHING',
    [brandId, met.map((m) => m.personId)],
    tx,
  )
  const keys = met.flatMap(({ personId, keys: own }) => own.map((key) => ({ key, personId })))
  const keyed = [keys.map(({ key }) => key), keys.map(({ personId }) => personId)]
  await db.rows(
    `DELETE FROM person_keys k WHERE k.person_id = ANY($3::bigint[])
       AND NOT EXISTS (SELECT 1 FROM unnest($1::text[], $2::bigint[]) AS n(key, id) WHERE n.key = k.key AND n.id = k.person_id)`,
    [...keyed, met.map((m) => m.personId)],
    tx,
  )
  await db.rows(
    `INSERT INTO person_keys (brand_id, key, person_id) SELECT $1, * FROM unnest($2::text[], $3::bigint[])
     ON CONFLICT DO NOTHING`,
    [brandId, ...keyed],
    tx,
  )
  await callTogether(
    db,
    met.map((m) => m.personId),
    tx,
  )
  const ways = met.flatMap(({ personId, ways: own }) => own.map((way) => ({ ...way, personId })))
  if (ways.length)
    await db.rows(
      `INSERT INTO person_ways (brand_id, person_id, kind, value)
       SELECT $1, * FROM unnest($2::bigint[], $3::text[], $4::text[])
       ON CONFLICT (person_id, kind, value) DO NOTHING`,
      [brandId, ways.map((w) => w.personId), ways.map((w) => w.kind), ways.map((w) => w.value)],
      tx,
    )
}

export interface SharedWay {
  one: number
  other: number
  kind: 'email' | 'phone'
  value: string
}

/** People with an address or number of one of these, each with the first who had it; who was told apart is left out. */
export const sharedWays = (
  db: Database,
  { brandId, people }: { brandId: number; people: readonly number[] },
  tx?: Tx,
): Promise<SharedWay[]> =>
  db.rows<SharedWay>(
    `SELECT DISTINCT ON (f.first, w.person_id) f.first AS one, w.person_id AS other, w.kind, w.value
     FROM person_ways own
     JOIN LATERAL (
       SELECT min(person_id) AS first FROM person_ways f
       WHERE f.brand_id = own.brand_id AND f.kind = own.kind AND f.value = own.value
     ) f ON true
     JOIN person_ways w ON w.brand_id = own.brand_id AND w.kind = own.kind AND w.value = own.value AND w.person_id > f.first
     WHERE own.brand_id = $1 AND own.person_id = ANY($2::bigint[])
       AND NOT EXISTS (SELECT 1 FROM person_apart x WHERE x.one = f.first AND x.other = w.person_id)
       AND NOT EXISTS (SELECT 1 FROM person_joins j WHERE j.one = f.first AND j.other = w.person_id)
     ORDER BY f.first, w.person_id, w.kind, w.value`,
    [brandId, people],
    tx,
  )

export interface Meeting {
  one: number
  other: number
  /** How many meet under the rarest key that the two share. */
  bearers: number
}

/** People who were read and have not been compared, by number. */
export const peopleToCompare = async (
  db: Database,
  { brandId, after = 0, limit }: { brandId: number; after?: number; limit: number },
): Promise<number[]> =>
  (
    await db.rows<{ id: number }>(
      'SELECT person_id AS id FROM people_to_compare WHERE brand_id = $1 AND person_id > $2 ORDER BY person_id LIMIT $3',
      [brandId, after, limit],
    )
  ).map(({ id }) => id)

/** So many people are looked up one by one; the keys of more are taken all at once. */
export const fewPeople = 2000

/** The people under each key of somebody: one index look-up a key. */
const keysOneByOne = `JOIN LATERAL (
       SELECT array_agg(m.person_id) AS ids
       FROM (SELECT person_id FROM person_keys o WHERE o.brand_id = $1 AND o.key = k.key LIMIT $3 + 1) m
     ) met ON cardinality(met.ids) <= $3`
/** The same from all keys of the brand, put together once. */
const keysAtOnce = `JOIN (
       SELECT key, array_agg(person_id) AS ids FROM person_keys WHERE brand_id = $1
       GROUP BY key HAVING count(*) BETWEEN 2 AND $3
     ) met ON met.key = k.key`

/**
 * People who meet these under a key that few have. Who is compared after the last of these will meet them then. Both tables that are
 * looked into for each pair fill and empty within minutes: they are asked by index, whatever is believed of their size. Joined with
 * as if one was empty, 300,000 people took ten times as long.
 *
 * @param people in the order of their numbers
 */
export const meetings = (
  db: Database,
  { brandId, people, most }: { brandId: number; people: readonly number[]; most: number },
): Promise<Meeting[]> =>
  db.rows<Meeting>(
    `SELECT least(k.person_id, o.person_id) AS one, greatest(k.person_id, o.person_id) AS other, min(cardinality(met.ids)) AS bearers
     FROM person_keys k
     ${people.length > fewPeople ? keysAtOnce : keysOneByOne}
     CROSS JOIN unnest(met.ids) AS o(person_id)
     WHERE k.brand_id = $1 AND k.person_id = ANY($2::bigint[]) AND o.person_id <> k.person_id
       AND (SELECT NOT EXISTS (
         SELECT 1 FROM people_to_compare c
         WHERE c.brand_id = $1 AND c.person_id = o.person_id AND c.person_id > $4
       ))
       AND (SELECT NOT EXISTS (
         SELECT 1 FROM person_apart x
         WHERE x.one = least(k.person_id, o.person_id) AND x.other = greatest(k.person_id, o.person_id)
       ))
     GROUP BY 1, 2`,
    [brandId, people, most, people.at(-1) ?? 0],
  )

export interface NamedRow {
  id: number
  name: string
  handles: string[]
  shownAs: number
  /** Not read yet as they are now. */
  unmet: boolean
}

/** What people are called and known by, and as whom they are shown. */
export const namesOf = (db: Database, people: readonly number[]): Promise<NamedRow[]> =>
  db.rows<NamedRow>(
    `SELECT p.id, p.name, p.shown_as AS "shownAs", p.unmet,
       ARRAY(SELECT handle FROM accounts a WHERE a.person_id = p.id AND handle IS NOT NULL)
         || ARRAY(SELECT value FROM person_ways w WHERE w.person_id = p.id AND w.kind = 'email') AS handles
     FROM people p
     WHERE p.id = ANY($1::bigint[])`,
    [people],
  )

export interface Speaker {
  id: number
  places: number[]
  /** The words of what they said last, entry by entry; epoch milliseconds. */
  said: { at: number; words: string[] }[]
}

/**
 * What the core compares of people beside their names: places, and the words of what they said last.
 *
 * @param without words that tell no occasion
 */
export const speakers = (
  db: Database,
  {
    people,
    entries,
    letters,
    without,
  }: { people: readonly number[]; entries: number; letters: number; without: ReadonlySet<string> },
): Promise<Speaker[]> =>
  db.rows<Speaker>(
    `SELECT p.id, coalesce(said.places, '{}') AS places, coalesce(said.said, '[]') AS said
     FROM unnest($1::bigint[]) AS p(id)
     LEFT JOIN LATERAL (
       SELECT array_agg(DISTINCT e.place_id) FILTER (WHERE e.place_id IS NOT NULL) AS places,
         json_agg(json_build_object('at', (extract(epoch FROM e.at) * 1000)::bigint, 'words', ARRAY(
           SELECT w.word FROM unnest(tsvector_to_array(e.search)) AS w(word)
           WHERE length(w.word) >= $3 AND w.word NOT IN (SELECT unnest($4::text[]))
         ))) AS said
       FROM (
         SELECT e.place_id, e.at, e.search FROM accounts a JOIN entries e ON e.account_id = a.id
         WHERE a.person_id = p.id AND e.direction = 'in' ORDER BY e.at DESC LIMIT $2
       ) e
     ) said ON true`,
    [people, entries, letters, [...without]],
  )

/** Words that are too common to tell an occasion: those of more than a share of what was said last. */
export const commonWords = async (
  db: Database,
  { brandId, entries, share }: { brandId: number; entries: number; share: number },
): Promise<Set<string>> => {
  const rows = await db.rows<{ word: string }>(
    `WITH said AS (
       SELECT search FROM entries WHERE brand_id = $1 AND direction = 'in' AND search IS NOT NULL ORDER BY at DESC LIMIT $2
     )
     SELECT word FROM said CROSS JOIN LATERAL unnest(tsvector_to_array(search)) AS w(word)
     GROUP BY word HAVING count(*) > greatest($3::float8 * (SELECT count(*) FROM said), 3)`,
    [brandId, entries, share],
  )
  return new Set(rows.map(({ word }) => word))
}

/** Puts what is proposed of these people in the place of what was: they have been compared. Who was erased meanwhile is not named. */
export async function replaceProposals(
  db: Database,
  {
    brandId,
    people,
    proposals,
  }: {
    brandId: number
    people: readonly number[]
    proposals: readonly { one: number; other: number; likeness: number; reasons: readonly LikenessReason[] }[]
  },
  tx: Tx,
): Promise<void> {
  await db.rows(
    'DELETE FROM person_proposals WHERE one = ANY($1::bigint[]) OR other = ANY($1::bigint[])',
    [people],
    tx,
  )
  await db.rows(
    `INSERT INTO person_proposals (brand_id, one, other, likeness, reasons)
     SELECT $1, n.* FROM unnest($2::bigint[], $3::bigint[], $4::real[], $5::jsonb[]) AS n(one, other, likeness, reasons)
     JOIN people a ON a.id = n.one AND a.erased_at IS NULL
     JOIN people b ON b.id = n.other AND b.erased_at IS NULL
     ON CONFLICT (one, other) DO UPDATE SET likeness = excluded.likeness, reasons = excluded.reasons`,
    [
      brandId,
      proposals.map((p) => p.one),
      proposals.map((p) => p.other),
      proposals.map((p) => p.likeness),
      proposals.map((p) => JSON.stringify(p.reasons)),
    ],
    tx,
  )
  await db.rows(
    'DELETE FROM people_to_compare WHERE brand_id = $1 AND person_id = ANY($2::bigint[])',
    [brandId, people],
    tx,
  )
}
