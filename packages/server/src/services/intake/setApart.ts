import { cleanText } from '@murrabel/core/text'
import type { UnreadPart } from '../../connectors/index.ts'
import type { Database, Tx } from '../../store/database.ts'
import { cleanJson } from './cleanItem.ts'
import type { IngestProfile } from './ingestProfile.ts'

const reasonLength = 300
const rawBytes = 400_000

export interface Apart {
  outsideId: string
  stage: 'read' | 'store' | 'analyse'
  entryId?: number
  raw: unknown
  reason: string
}

/** Sets items apart with their reason; the same one again only has its reason renewed. */
export async function setApart(
  db: Database,
  profile: Pick<IngestProfile, 'id' | 'brandId'>,
  items: readonly Apart[],
  tx?: Tx,
): Promise<void> {
  for (const { outsideId, stage, entryId = null, raw, reason } of items)
    await db.rows(
      `INSERT INTO items_apart (brand_id, profile_id, outside_id, stage, entry_id, raw, reason) VALUES ($1, $2, $3, $4, $5, $6, $7)
       ON CONFLICT (profile_id, outside_id) DO UPDATE SET stage = excluded.stage, entry_id = excluded.entry_id, raw = coalesce(excluded.raw, items_apart.raw),
         reason = excluded.reason, at = now()`,
      [
        profile.brandId,
        profile.id,
        cleanText(outsideId, 300),
        stage,
        entryId,
        raw === undefined ? null : cleanJson(raw, rawBytes),
        cleanText(reason, reasonLength),
      ],
      tx,
    )
}

/** Items that were set apart once and came in well now are apart no more. */
export async function noLongerApart(
  db: Database,
  profileId: number,
  outsideIds: readonly string[],
  tx?: Tx,
): Promise<void> {
  await db.rows(
    `DELETE FROM items_apart WHERE profile_id = $1 AND outside_id = ANY($2::text[]) AND stage <> 'analyse'`,
    [profileId, outsideIds],
    tx,
  )
}

export const apartOf = ({ outsideId, raw, reason }: UnreadPart): Apart => ({
  outsideId,
  raw,
  reason,
  stage: 'read',
})
