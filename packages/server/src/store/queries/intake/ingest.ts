import type { Database, Tx } from '../../database.ts'

/** What storing needs to know of a profile. */
export interface IngestProfile {
  id: number
  brandId: number
  placeId: number | null
  channel: string
  network: string
  outsideId: string
}

export interface KnownEntry {
  outsideId: string
  text: string
  title: string | null
  rating: number | null
  editedAt: Date | null
  deletedAt: Date | null
  /** Who said it, as the network knows them; null while it has not told. */
  author: string | null
  authorName: string | null
}

export const keepRawItems = async (
  db: Database,
  {
    profileId,
    outsideIds,
    payloads,
  }: { profileId: number; outsideIds: readonly string[]; payloads: readonly string[] },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO raw_items AS r (profile_id, outside_id, payload)
     SELECT $1, *
     FROM unnest($2::text[], $3::jsonb[])
     ON CONFLICT (profile_id, outside_id) DO UPDATE SET payload = excluded.payload
     WHERE r.payload IS DISTINCT FROM excluded.payload`,
    [profileId, outsideIds, payloads],
    tx,
  )
}

export const entriesByOutsideId = (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: readonly string[] },
  tx?: Tx,
): Promise<KnownEntry[]> =>
  db.rows<KnownEntry>(
    `SELECT e.outside_id AS "outsideId", e.text, e.title, e.rating, e.edited_at AS "editedAt",
       e.deleted_at AS "deletedAt", a.outside_id AS author, a.name AS "authorName"
     FROM entries e
     LEFT JOIN accounts a ON a.id = e.account_id
     WHERE e.profile_id = $1 AND e.outside_id = ANY($2::text[])`,
    [profileId, outsideIds],
    tx,
  )

export interface ChangedEntry {
  outsideId: string
  text: string
  title: string | null
  rating: number | null
  at: Date
  /** So much else that it is said anew. */
  anew: boolean
}

/** Changes what was said; what stood before is kept beside it. */
export const updateEntries = async (
  db: Database,
  { profileId, entries }: { profileId: number; entries: readonly ChangedEntry[] },
  tx?: Tx,
): Promise<void> => {
  const column = <T>(of: (entry: ChangedEntry) => T) => entries.map(of)
  await db.rows(
    `WITH given AS (
       SELECT e.id, e.title AS old_title, e.text AS old_text, e.rating AS old_rating, n.*
       FROM unnest($2::text[], $3::text[], $4::text[], $5::real[], $6::timestamptz[], $7::bool[])
         AS n (outside_id, text, title, rating, at, anew)
       JOIN entries e ON e.profile_id = $1 AND e.outside_id = n.outside_id
     ), kept AS (
       INSERT INTO entry_edits (entry_id, title, text, rating, until)
       SELECT id, old_title, old_text, old_rating, at FROM given
     )
     UPDATE entries e
     SET text = g.text, title = coalesce(g.title, e.title), rating = coalesce(g.rating, e.rating), edited_at = g.at,
       said_anew_at = CASE WHEN g.anew THEN g.at ELSE e.said_anew_at END, analysed_at = NULL
     FROM given g
     WHERE e.id = g.id`,
    [
      profileId,
      column((e) => e.outsideId),
      column((e) => e.text),
      column((e) => e.title),
      column((e) => e.rating),
      column((e) => e.at),
      column((e) => e.anew),
    ],
    tx,
  )
}

export const knownAccounts = (
  db: Database,
  { brandId, network, outsideIds }: { brandId: number; network: string; outsideIds: string[] },
  tx?: Tx,
): Promise<{ id: number; outsideId: string; name: string }[]> =>
  db.rows<{ id: number; outsideId: string; name: string }>(
    `SELECT id, outside_id AS "outsideId", name
     FROM accounts
     WHERE brand_id = $1 AND network = $2 AND outside_id = ANY($3::text[])`,
    [brandId, network, outsideIds],
    tx,
  )

/** New accounts are somebody each; those that are known and called otherwise are read anew for whose they are. */
export const putAccounts = async (
  db: Database,
  {
    brandId,
    network,
    outsideIds,
    names,
    handles,
    urls,
  }: {
    brandId: number
    network: string
    outsideIds: readonly string[]
    names: readonly string[]
    handles: readonly (string | null)[]
    urls: readonly (string | null)[]
  },
  tx?: Tx,
): Promise<{ id: number; outsideId: string }[]> => {
  const rows = await db.rows<{ id: number; outsideId: string; person: number | null }>(
    `INSERT INTO accounts AS a (brand_id, network, outside_id, name, handle, url)
     SELECT $1, $2, *
     FROM unnest($3::text[], $4::text[], $5::text[], $6::text[])
     ON CONFLICT (brand_id, network, outside_id) DO UPDATE SET name = excluded.name,
       handle = coalesce(excluded.handle, a.handle)
     RETURNING id, outside_id AS "outsideId", person_id AS person`,
    [brandId, network, outsideIds, names, handles, urls],
    tx,
  )
  const known = rows.flatMap(({ person }) => (person === null ? [] : [person]))
  if (known.length) await db.rows('UPDATE people SET unmet = true WHERE id = ANY($1::bigint[])', [known], tx)
  const strangers = rows.filter(({ person }) => person === null).map(({ id }) => id)
  if (strangers.length)
    await db.rows(
      `WITH fresh AS (
         SELECT id, name, nextval('people_id_seq') AS person FROM accounts WHERE id = ANY($2::bigint[])
       ), made AS (
         INSERT INTO people (id, brand_id, shown_as, name) SELECT person, $1, person, name FROM fresh
       )
       UPDATE accounts a
       SET person_id = f.person, shown_as = f.person
       FROM fresh f
       WHERE a.id = f.id`,
      [brandId, strangers],
      tx,
    )
  return rows
}

export interface EntryToAdd {
  threadId: number | undefined
  accountId: number | null
  outsideId: string
  direction: string
  kind: string
  title: string | null
  text: string
  rating: number | null
  at: Date
  url: string | null
  reach: number
  isPrivate: boolean
  paid: boolean
  undated: boolean
  origin: string
  likes: number | null
  shares: number | null
}

/** Entries that are there already, by their outside id, stay as they are. */
export const insertEntries = async (
  db: Database,
  profile: IngestProfile,
  entries: readonly EntryToAdd[],
  tx?: Tx,
): Promise<void> => {
  const column = <T>(of: (entry: EntryToAdd) => T) => entries.map(of)
  await db.rows(
    `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, account_id, outside_id,
       direction, kind, title, text, rating, at, url, reach, private, paid, undated, origin, likes, shares)
     SELECT $1, $2, $3, $4, *
     FROM unnest(
       $5::bigint[], $6::bigint[], $7::text[], $8::text[], $9::text[], $10::text[], $11::text[], $12::real[],
       $13::timestamptz[], $14::text[], $15::int[], $16::bool[], $17::bool[], $18::bool[], $19::text[],
       $20::int[], $21::int[]
     )
     ON CONFLICT (profile_id, outside_id) DO NOTHING`,
    [
      profile.brandId,
      profile.id,
      profile.placeId,
      profile.channel,
      column((e) => e.threadId),
      column((e) => e.accountId),
      column((e) => e.outsideId),
      column((e) => e.direction),
      column((e) => e.kind),
      column((e) => e.title),
      column((e) => e.text),
      column((e) => e.rating),
      column((e) => e.at),
      column((e) => e.url),
      column((e) => e.reach),
      column((e) => e.isPrivate),
      column((e) => e.paid),
      column((e) => e.undated),
      column((e) => e.origin),
      column((e) => e.likes),
      column((e) => e.shares),
    ],
    tx,
  )
}
