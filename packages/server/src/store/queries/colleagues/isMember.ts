import type { Database, Tx } from '../../database.ts'

export const isMember = async (
  db: Database,
  { brandId, colleagueId }: { brandId: number; colleagueId: number },
  tx?: Tx,
): Promise<boolean> =>
  (await db.one(
    'SELECT 1 FROM memberships WHERE brand_id = $1 AND colleague_id = $2',
    [brandId, colleagueId],
    tx,
  )) !== undefined

export const colleagueName = async (db: Database, id: number): Promise<string> =>
  (await db.one<{ name: string }>('SELECT name FROM colleagues WHERE id = $1', [id]))?.name ?? ''
