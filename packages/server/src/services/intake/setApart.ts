import { cleanText } from '@murrabel/core/text'
import type { UnreadPart } from '../../connectors/index.ts'
import type { Database, Tx } from '../../store/database.ts'
import { cleanJson } from './cleanItem.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { insertApart, removeApart } from '../../store/queries/intake/apart.ts'

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
    await insertApart(
      db,
      {
        brandId: profile.brandId,
        profileId: profile.id,
        outsideId: cleanText(outsideId, 300),
        stage,
        entryId,
        raw: raw === undefined ? null : cleanJson(raw, rawBytes),
        reason: cleanText(reason, reasonLength),
      },
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
  await removeApart(db, { profileId, outsideIds }, tx)
}

export const apartOf = ({ outsideId, raw, reason }: UnreadPart): Apart => ({
  outsideId,
  raw,
  reason,
  stage: 'read',
})
