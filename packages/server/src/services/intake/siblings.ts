import { searchId } from '../../connectors/index.ts'
import type { Database, Tx } from '../../store/database.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import {
  emptiedThreads,
  entriesHeldBy,
  holdNetworkEntries,
  markSent,
  siblingProfiles,
  takeOverEntries,
  takeOverThreads,
  threadsHeldBy,
  type EntryToMove,
  type Sibling,
} from '../../store/queries/intake/siblings.ts'
import type { CleanItem } from './cleanItem.ts'
import { knownByAddress } from './identity.ts'
import { joinThread } from './ingestThreads.ts'

/**
 * What a search of a network heard and what an account there collected is one entry, by its id or by its public address. An account's stream knows more of
 * it: what it brings goes over from the search, and the search leaves it alone.
 */
export async function agreeWithSiblings(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<{ items: readonly CleanItem[]; strays: Map<string, number> }> {
  const isSearch = profile.outsideId === searchId
  const siblings = await siblingProfiles(
    db,
    { brandId: profile.brandId, network: profile.network, isSearch, searchId },
    tx,
  )
  if (!siblings.length) return { items, strays: new Map() }
  await holdNetworkEntries(db, profile, tx)
  if (isSearch)
    return {
      items: await withoutHeld(db, { brandId: profile.brandId, accounts: siblings }, items, tx),
      strays: new Map(),
    }
  const from = siblings.map(({ id }) => id)
  const threads = items.map(({ threadId }) => threadId).filter((name) => name.startsWith('thread/'))
  await takeOverThreads(
    db,
    { profileId: profile.id, placeId: profile.placeId, from, outsideIds: [...new Set(threads)] },
    tx,
  )
  const sent = items.filter(({ origin }) => origin === 'sent').map(({ outsideId }) => outsideId)
  await markSent(db, { profileId: profile.id, outsideIds: sent }, tx)
  const left = await entriesHeldBy(
    db,
    { profileIds: from, outsideIds: items.map(({ outsideId }) => outsideId) },
    tx,
  )
  const strays = new Map(left.map(({ outsideId, id }) => [outsideId, id]))
  const fresh = items.filter(({ outsideId }) => !strays.has(outsideId))
  const alike = await knownByAddress(
    db,
    { brandId: profile.brandId, profileIds: from },
    { fresh, all: items },
    tx,
  )
  return { items, strays: new Map([...strays, ...alike]) }
}

/** What a search found without what an account has, or will bring: anything in a thread that concerns it. */
async function withoutHeld(
  db: Database,
  { brandId, accounts }: { brandId: number; accounts: readonly Sibling[] },
  items: readonly CleanItem[],
  tx: Tx,
): Promise<CleanItem[]> {
  const held = await entriesHeldBy(
    db,
    { profileIds: accounts.map(({ id }) => id), outsideIds: items.map(({ outsideId }) => outsideId) },
    tx,
  )
  const asPost = (thread: string) => thread.replace(/^thread\//, 'post/')
  const threads = await threadsHeldBy(
    db,
    {
      profileIds: accounts.filter(({ on }) => on).map(({ id }) => id),
      outsideIds: [...new Set(items.flatMap(({ threadId }) => [threadId, asPost(threadId)]))],
    },
    tx,
  )
  const entries = new Set(held.map(({ outsideId }) => outsideId))
  const covered = new Set(threads.map(({ outsideId }) => outsideId))
  const left = items.filter(
    ({ outsideId, threadId }) =>
      !entries.has(outsideId) && !covered.has(threadId) && !covered.has(asPost(threadId)),
  )
  const alike = await knownByAddress(
    db,
    { brandId, profileIds: accounts.map(({ id }) => id) },
    { fresh: left, all: left },
    tx,
  )
  return left.filter(({ outsideId }) => !alike.has(outsideId))
}

/** Entries of the search that belong into other threads here; a thread that is empty then is joined to where they went. */
export async function takeOverStrays(
  db: Database,
  profile: IngestProfile,
  entries: readonly EntryToMove[],
  tx: Tx,
): Promise<void> {
  if (!entries.length) return
  const moves = await takeOverEntries(db, { profileId: profile.id, placeId: profile.placeId }, entries, tx)
  const homes = new Map(moves.map(({ lost, home }) => [lost, home]))
  for (const lost of await emptiedThreads(db, [...homes.keys()], tx))
    await joinThread(db, { lost, home: homes.get(lost)! }, tx)
}
