import { isSaidAnew } from '@murrabel/core/inbox'
import type { Database, Tx } from '../../store/database.ts'
import { entriesAtAddresses, renameEntries } from '../../store/queries/intake/identity.ts'
import type { IngestProfile, KnownEntry } from '../../store/queries/intake/ingest.ts'
import type { CleanItem } from './cleanItem.ts'
import type { Apart } from './setApart.ts'

/**
 * Whether an item under a known id is something else, said by somebody else: another author by id and by name, and other
 * words. A person who is renamed, or who changes what they said, is none.
 */
export const isOfSomebodyElse = (item: CleanItem, known: KnownEntry | undefined): boolean =>
  known !== undefined &&
  known.author !== null &&
  item.author.outsideId !== known.author &&
  item.author.name !== known.authorName &&
  isSaidAnew(known.text, item.text)

/** Where such an item stands among those that are apart: its id is taken. */
export const apartId = ({ outsideId, author }: CleanItem): string => `${outsideId} ${author.outsideId}`

export const takenId = (item: CleanItem): Apart => ({
  outsideId: apartId(item),
  stage: 'store',
  raw: item.raw,
  reason: `the network gives it the id of something that somebody else said (${item.outsideId})`,
})

/**
 * Which items are known under another id: the same public address, the same author and the same instant. An id that another
 * item of the page has is not free to be changed.
 *
 * @returns by the id an item has now, the entry
 */
export async function knownByAddress(
  db: Database,
  { profileIds, brandId }: { profileIds: readonly number[]; brandId: number },
  { fresh, all }: { fresh: readonly CleanItem[]; all: readonly CleanItem[] },
  tx: Tx,
): Promise<Map<string, number>> {
  const found = new Map<string, number>()
  const asked = fresh.filter(({ url, undated, direction }) => url && !undated && direction === 'in')
  if (!asked.length || !profileIds.length) return found
  const there = await entriesAtAddresses(
    db,
    { brandId, profileIds, items: asked.map(({ url, at }) => ({ url: url!, at: new Date(at) })) },
    tx,
  )
  const told = new Set(all.map(({ outsideId }) => outsideId))
  for (const item of asked) {
    const same = there.findIndex(
      (entry) =>
        entry.url === item.url &&
        entry.at.getTime() === item.at &&
        !told.has(entry.outsideId) &&
        (entry.author === item.author.outsideId || entry.authorName === item.author.name),
    )
    if (same >= 0) found.set(item.outsideId, there.splice(same, 1)[0]!.id)
  }
  return found
}

/** Entries whose network calls them something else now are called so here; threads that are named by them as well. */
export async function takeNewIds(
  db: Database,
  profile: IngestProfile,
  { fresh, all }: { fresh: readonly CleanItem[]; all: readonly CleanItem[] },
  tx: Tx,
): Promise<Set<string>> {
  const { id, brandId } = profile
  const known = await knownByAddress(db, { brandId, profileIds: [id] }, { fresh, all }, tx)
  const changes = fresh.flatMap(({ outsideId, threadId }) => {
    const entry = known.get(outsideId)
    return entry === undefined ? [] : [{ id: entry, outsideId, threadId }]
  })
  if (changes.length) await renameEntries(db, changes, tx)
  return new Set(known.keys())
}
