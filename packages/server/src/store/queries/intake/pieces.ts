import type { Database, Tx } from '../../database.ts'

/** A piece of what its author wrote as one, as it was taken in. */
export interface StoredPiece<Item> {
  whole: string
  number: number
  of: number
  item: Item
}

/** All pieces of these wholes, in their order. */
export const piecesOf = <Item>(
  db: Database,
  { profileId, wholes }: { profileId: number; wholes: readonly string[] },
  tx?: Tx,
): Promise<StoredPiece<Item>[]> =>
  db.rows<StoredPiece<Item>>(
    `SELECT whole, number, of, item
     FROM item_pieces
     WHERE profile_id = $1 AND whole = ANY($2::text[])
     ORDER BY whole, number`,
    [profileId, wholes],
    tx,
  )

/** Keeps pieces; one that is there already stays as it is. */
export const keepPieces = async (
  db: Database,
  { profileId, pieces }: { profileId: number; pieces: readonly StoredPiece<object>[] },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO item_pieces (profile_id, whole, number, of, item)
     SELECT $1, *
     FROM unnest($2::text[], $3::int[], $4::int[], $5::jsonb[])
     ON CONFLICT DO NOTHING`,
    [
      profileId,
      pieces.map(({ whole }) => whole),
      pieces.map(({ number }) => number),
      pieces.map(({ of }) => of),
      pieces.map(({ item }) => JSON.stringify(item)),
    ],
    tx,
  )
}

/** Wholes of the last days of which something is still missing. */
export const incompleteWholes = (db: Database, profileId: number, tx?: Tx): Promise<{ whole: string }[]> =>
  db.rows<{ whole: string }>(
    `SELECT whole
     FROM item_pieces
     WHERE profile_id = $1 AND at > now() - interval '3 days'
     GROUP BY whole, of
     HAVING count(*) < of`,
    [profileId],
    tx,
  )
