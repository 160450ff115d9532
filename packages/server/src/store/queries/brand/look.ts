import type { Database, Tx } from '../../database.ts'

export interface StoredLook {
  colour: string | null
  /** Key of the file in the store. */
  logo: string | null
}

export const lookOf = async (db: Database, brandId: number, tx?: Tx): Promise<StoredLook> =>
  (await db.one<StoredLook>('SELECT colour, logo FROM brands WHERE id = $1', [brandId], tx)) ?? {
    colour: null,
    logo: null,
  }

export const setColour = async (
  db: Database,
  { brandId, colour }: { brandId: number; colour: string | null },
  tx: Tx,
): Promise<void> => {
  await db.rows('UPDATE brands SET colour = $2 WHERE id = $1', [brandId, colour], tx)
}

export const setLogo = async (
  db: Database,
  { brandId, logo }: { brandId: number; logo: string | null },
  tx: Tx,
): Promise<void> => {
  await db.rows('UPDATE brands SET logo = $2 WHERE id = $1', [brandId, logo], tx)
}

/** Whether a file of the store is the logo of some brand: anybody may see it then. */
export const isLogo = async (db: Database, key: string): Promise<boolean> =>
  (await db.one('SELECT 1 AS logo FROM brands WHERE logo = $1 LIMIT 1', [key])) !== undefined
