import type { Database, Tx } from '../../database.ts'
import type { VoiceCard, Standing } from '@murrabel/contract'

export interface VoiceChange {
  standing?: Standing | null
  note?: string
  kept?: boolean
  edition?: number
}

export const watchesOfVoices = (
  db: Database,
  {
    accountIds,
    brandId,
    placeIds,
    profileIds,
  }: {
    accountIds: readonly number[]
    brandId: number
    placeIds: number[] | null
    profileIds: number[] | null
  },
): Promise<{ voice: number; id: number; name: string; n: number }[]> =>
  db.rows<{ voice: number; id: number; name: string; n: number }>(
    `SELECT e.account_id AS voice, w.id, w.name, count(*) AS n
     FROM entries e
     JOIN mentions m ON m.entry_id = e.id
     JOIN watches w ON w.id = m.watch_id
     WHERE e.account_id = ANY($1::bigint[])
       AND e.brand_id = $2
       AND e.direction = 'in'
       AND w.deleted_at IS NULL
       AND ($3::int[] IS NULL OR e.place_id = ANY($3))
       AND ($4::int[] IS NULL OR e.profile_id = ANY($4))
     GROUP BY 1, 2, 3
     ORDER BY 4 DESC`,
    [accountIds, brandId, placeIds, profileIds],
  )

export const voiceById = (
  db: Database,
  {
    id,
    brandId,
    placeIds,
    profileIds,
  }: { id: number; brandId: number; placeIds: number[] | null; profileIds: number[] | null },
): Promise<VoiceCard | undefined> =>
  db.one<VoiceCard>(
    `SELECT a.id, a.name, a.handle, a.network, p.standing, p.note, a.kept, p.edition, p.id AS person
     FROM accounts a
     JOIN people p ON p.id = a.shown_as
     WHERE a.id = $1 AND a.brand_id = $2 AND EXISTS (
       SELECT 1
       FROM entries e
       WHERE e.account_id = a.id
         AND ($3::int[] IS NULL OR e.place_id = ANY($3))
         AND ($4::int[] IS NULL OR e.profile_id = ANY($4))
     )`,
    [id, brandId, placeIds, profileIds],
  )

export const lockVoice = (
  db: Database,
  { id, brandId }: { id: number; brandId: number },
  tx?: Tx,
): Promise<Required<VoiceChange> | undefined> =>
  db.one<Required<VoiceChange>>(
    `SELECT p.standing, p.note, a.kept, p.edition + 1 AS edition
     FROM accounts a
     JOIN people p ON p.id = a.shown_as
     WHERE a.id = $1 AND a.brand_id = $2
     FOR UPDATE`,
    [id, brandId],
    tx,
  )

export const setVoice = async (
  db: Database,
  { id, standing, note, kept }: { id: number; standing: string | null; note: string; kept: boolean },
  tx?: Tx,
): Promise<void> => {
  await db.rows(
    `WITH kept AS (UPDATE accounts SET kept = $4 WHERE id = $1 RETURNING shown_as)
     UPDATE people
     SET standing = $2, note = $3, edition = edition + 1
     WHERE id = (SELECT shown_as FROM kept)`,
    [id, standing, note, kept],
    tx,
  )
}
