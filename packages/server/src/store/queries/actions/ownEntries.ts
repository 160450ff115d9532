import type { Database, Tx } from '../../database.ts'

/** One page of a profile's entries is stored at a time; so is the confirmation of an own one. */
export const holdProfileEntries = async (db: Database, profileId: number, tx?: Tx): Promise<void> => {
  await db.rows('SELECT pg_advisory_xact_lock(41, $1)', [profileId], tx)
}

/** The same entry that came in by itself. */
export const removeTwin = async (
  db: Database,
  { profileId, outsideId, entryId }: { profileId: number; outsideId: string; entryId: number },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `DELETE FROM entries
     WHERE profile_id = $1 AND outside_id = $2 AND id <> $3`,
    [profileId, outsideId, entryId],
    tx,
  )
}

/** A row that says so already is not written. */
export const setOutsideId = async (
  db: Database,
  { entryId, outsideId, url }: { entryId: number; outsideId: string; url: string | null },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET outside_id = $2, url = coalesce($3, url)
     WHERE id = $1 AND (outside_id, url) IS DISTINCT FROM ($2, coalesce($3, url))`,
    [entryId, outsideId, url],
    tx,
  )
}

export const setWithdrawn = async (
  db: Database,
  { entryId, withdrawn }: { entryId: number; withdrawn: boolean },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE entries
     SET withdrawn = $2
     WHERE id = $1`,
    [entryId, withdrawn],
    tx,
  )
}
