import type { Database, Tx } from '../../database.ts'

/** What a brand hears of one network comes by its accounts and by a search: one of the two stores at a time. */
export const holdNetworkEntries = async (
  db: Database,
  { brandId, network }: { brandId: number; network: string },
  tx: Tx,
): Promise<void> => {
  await db.rows('SELECT pg_advisory_xact_lock(46, hashtext($1))', [`${brandId} ${network}`], tx)
}

export interface Sibling {
  id: number
  /** It still collects. */
  on: boolean
}

/** The other profiles of the network: the search beside an account, the accounts beside a search. */
export const siblingProfiles = (
  db: Database,
  {
    brandId,
    network,
    isSearch,
    searchId,
  }: { brandId: number; network: string; isSearch: boolean; searchId: string },
  tx: Tx,
): Promise<Sibling[]> =>
  db.rows<Sibling>(
    `SELECT id, status <> 'disconnected' AS on
     FROM profiles
     WHERE brand_id = $1 AND network = $2 AND (outside_id = $3) <> $4`,
    [brandId, network, searchId, isSearch],
    tx,
  )

/** Which of these entries some profiles hold. */
export const entriesHeldBy = (
  db: Database,
  { profileIds, outsideIds }: { profileIds: readonly number[]; outsideIds: readonly string[] },
  tx: Tx,
): Promise<{ outsideId: string; id: number }[]> =>
  db.rows<{ outsideId: string; id: number }>(
    `SELECT outside_id AS "outsideId", id
     FROM entries
     WHERE profile_id = ANY($1::int[]) AND outside_id = ANY($2::text[])`,
    [profileIds, outsideIds],
    tx,
  )

/** Which of these threads some profiles hold. */
export const threadsHeldBy = (
  db: Database,
  { profileIds, outsideIds }: { profileIds: readonly number[]; outsideIds: readonly string[] },
  tx: Tx,
): Promise<{ outsideId: string }[]> =>
  db.rows<{ outsideId: string }>(
    `SELECT outside_id AS "outsideId"
     FROM threads
     WHERE profile_id = ANY($1::int[]) AND outside_id = ANY($2::text[])`,
    [profileIds, outsideIds],
    tx,
  )

/** Threads that a search has found go over to the account they turn out to concern, with all that was done in them. */
export const takeOverThreads = (
  db: Database,
  {
    profileId,
    placeId,
    from,
    outsideIds,
  }: { profileId: number; placeId: number | null; from: readonly number[]; outsideIds: readonly string[] },
  tx: Tx,
): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>(
    `WITH moved AS (
       UPDATE threads t
       SET profile_id = $1, place_id = $2
       WHERE t.profile_id = ANY($3::int[]) AND t.outside_id = ANY($4::text[])
         AND NOT EXISTS (SELECT 1 FROM threads h WHERE h.profile_id = $1 AND h.outside_id = t.outside_id)
       RETURNING t.id
     ), entries_moved AS (
       UPDATE entries e
       SET profile_id = $1, place_id = $2
       FROM moved
       WHERE e.thread_id = moved.id
     )
     SELECT id FROM moved`,
    [profileId, placeId, from, outsideIds],
    tx,
  )

/** What an account's stream knows to be said to us is so, whoever heard it first; it is read again. */
export const markSent = async (
  db: Database,
  { profileId, outsideIds }: { profileId: number; outsideIds: readonly string[] },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET origin = 'sent', analysed_at = NULL
     WHERE profile_id = $1 AND outside_id = ANY($2::text[]) AND origin <> 'sent'`,
    [profileId, outsideIds],
    tx,
  )
}

export interface EntryToMove {
  id: number
  /** As the account's stream names it. */
  outsideId: string
  threadId: number | undefined
  accountId: number | null
  direction: string
  kind: string
  origin: string
  isPrivate: boolean
  paid: boolean
}

/**
 * Entries that a search has found go over to an account, each into its own thread there; they keep what was said of them,
 * and are read again.
 *
 * @returns the threads they came from and went to
 */
export const takeOverEntries = (
  db: Database,
  { profileId, placeId }: { profileId: number; placeId: number | null },
  entries: readonly EntryToMove[],
  tx: Tx,
): Promise<{ lost: number; home: number }[]> => {
  const column = <T>(of: (entry: EntryToMove) => T) => entries.map(of)
  return db.rows<{ lost: number; home: number }>(
    `WITH given AS (
       SELECT n.*, e.thread_id AS lost
       FROM unnest($3::bigint[], $4::int[], $5::int[], $6::text[], $7::text[], $8::bool[], $9::bool[], $10::text[], $11::text[])
         AS n (id, home, account, direction, kind, private, paid, origin, outside_id)
       JOIN entries e ON e.id = n.id
     ), moved AS (
       UPDATE entries e
       SET profile_id = $1, place_id = $2, outside_id = g.outside_id, thread_id = g.home, account_id = g.account, direction = g.direction,
         kind = g.kind, origin = CASE WHEN e.origin = 'watched' AND g.origin = 'heard' THEN e.origin ELSE g.origin END,
         private = g.private, paid = g.paid, lead = false, analysed_at = NULL
       FROM given g
       WHERE e.id = g.id
     ), unheard AS (
       DELETE FROM mentions m
       USING given g
       WHERE m.entry_id = g.id AND g.direction = 'out'
     )
     SELECT DISTINCT lost, home FROM given WHERE lost <> home`,
    [
      profileId,
      placeId,
      column((e) => e.id),
      column((e) => e.threadId ?? null),
      column((e) => e.accountId),
      column((e) => e.direction),
      column((e) => e.kind),
      column((e) => e.isPrivate),
      column((e) => e.paid),
      column((e) => e.origin),
      column((e) => e.outsideId),
    ],
    tx,
  )
}

/** Of these threads, those that hold nothing any more; what is left in the others is read again. */
export const emptiedThreads = async (db: Database, ids: readonly number[], tx: Tx): Promise<number[]> => {
  await db.rows('UPDATE entries SET analysed_at = NULL WHERE thread_id = ANY($1::int[])', [ids], tx)
  const rows = await db.rows<{ id: number }>(
    `SELECT t.id
     FROM threads t
     WHERE t.id = ANY($1::int[]) AND NOT EXISTS (SELECT 1 FROM entries e WHERE e.thread_id = t.id)`,
    [ids],
    tx,
  )
  return rows.map(({ id }) => id)
}
