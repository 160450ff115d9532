import { cleanInstant, cleanText } from '@murrabel/core/text'
import type { GoneItem } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Database, Tx } from '../../store/database.ts'
import { eraseEntries, goneOf, keepGone } from '../../store/queries/intake/gone.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import type { CleanItem } from './cleanItem.ts'

/**
 * What was taken away outside: its text is erased here, with what stood before it and the item as it came; that it was
 * there, and when it went, stays. Told before the entry itself came, it is remembered.
 *
 * @returns entries that were erased
 */
export async function eraseGone(
  { db, due, now }: Pick<Context, 'db' | 'due' | 'now'>,
  profile: IngestProfile,
  given: readonly GoneItem[],
  tx: Tx,
): Promise<number> {
  if (!given.length) return 0
  const gone = new Map(
    given.map(({ outsideId, at }) => [cleanText(outsideId, 300), new Date(cleanInstant(at, now()) ?? now())]),
  )
  const items = { profileId: profile.id, outsideIds: [...gone.keys()], ats: [...gone.values()] }
  await keepGone(db, items, tx)
  const erased = await eraseEntries(db, items, tx)
  if (erased.length)
    await due.ask({ kind: 'analyse', subject: profile.brandId, owner: brandOwner(profile.brandId) }, tx)
  return erased.length
}

/** Of these items, those whose words were not erased here: what was is not taken in again. */
export async function unlessErased(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<CleanItem[]> {
  const outsideIds = items.map(({ outsideId }) => outsideId)
  const gone = await goneOf(db, { profileId: profile.id, outsideIds }, tx)
  const erased = new Set(gone.filter((each) => each.erased).map(({ outsideId }) => outsideId))
  return erased.size ? items.filter(({ outsideId }) => !erased.has(outsideId)) : [...items]
}

/** Of these items, those that are known to have been taken away. */
export async function goneAlready(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<Set<string>> {
  const rows = await goneOf(
    db,
    { profileId: profile.id, outsideIds: items.map(({ outsideId }) => outsideId) },
    tx,
  )
  return new Set(rows.map(({ outsideId }) => outsideId))
}
