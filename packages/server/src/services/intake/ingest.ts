import { createHash } from 'node:crypto'
import type { CollectedItem, UnreadPart } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Database, Tx } from '../../store/database.ts'
import { isOfTheData } from '../../store/failures.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { cleanItem, cleanJson, type CleanItem } from './cleanItem.ts'
import { apartOf, noLongerApart, setApart, type Apart } from './setApart.ts'
import { joinOrphans, resolveThreads, threadIds } from './ingestThreads.ts'
import { holdProfileEntries } from '../../store/queries/actions/ownEntries.ts'
import {
  keepRawItems,
  type KnownEntry,
  entriesByOutsideId,
  insertEntries,
  updateEntries,
  knownAccounts,
  putAccounts,
} from '../../store/queries/intake/ingest.ts'
import { confirmOwn } from '../actions/index.ts'

export type { IngestProfile }

export interface IngestResult {
  /** Entries that were not there before. */
  added: number
  /** Entries whose text, title or rating is another than before. */
  changed: number
  /** Items that could not be taken and were set apart. */
  apart: number
}

/** Runs in the transaction that stores the last of the items: what must be true together with them, such as the cursor. */
export type Together = (tx: Tx, result: IngestResult) => Promise<void>

type Parts = Pick<Context, 'db' | 'now' | 'due'>

/**
 * Stores a page of items in one transaction: raw items kept, accounts and threads found or made, entries put in under
 * their (profile, outside id) key. Anything repeated changes nothing. One page of a profile is stored at a time. When
 * something among them cannot be stored, the page is halved until the culprit stands alone; that one is set apart with its
 * reason, everything else goes in.
 */
export async function ingest(
  parts: Parts,
  profile: IngestProfile,
  given: readonly CollectedItem[],
  together: Together = async () => {},
  unread: readonly UnreadPart[] = [],
): Promise<IngestResult> {
  const { items, apart } = cleanAll(given, parts.now())
  const aside = [...unread.map(apartOf), ...apart]
  const none: IngestResult = { added: 0, changed: 0, apart: aside.length }
  const last = (tx: Tx, result: IngestResult) =>
    setApart(parts.db, profile, aside, tx).then(() => together(tx, result))
  try {
    return await storeTogether(parts, profile, items, none, last)
  } catch (error) {
    if (!isOfTheData(error)) throw error
    const result = await storeHalves(parts, profile, items, error)
    return storeTogether(parts, profile, [], { ...result, apart: result.apart + aside.length }, last)
  }
}

function cleanAll(given: readonly CollectedItem[], now: number): { items: CleanItem[]; apart: Apart[] } {
  // Later ones win: a network may name the same thing twice on a page.
  const items = new Map<string, CleanItem>()
  const apart: Apart[] = []
  for (const item of given)
    try {
      const clean = cleanItem(item, now)
      items.delete(clean.outsideId)
      items.set(clean.outsideId, clean)
    } catch (error) {
      const outsideId =
        typeof item.outsideId === 'string' && item.outsideId ? item.outsideId : hashOf(item.raw)
      apart.push({ outsideId, stage: 'read', raw: item.raw, reason: (error as Error).message })
    }
  return { items: [...items.values()], apart }
}

const hashOf = (raw: unknown) =>
  createHash('sha256')
    .update(cleanJson(raw, 10_000_000) ?? '')
    .digest('hex')

async function storeHalves(
  parts: Parts,
  profile: IngestProfile,
  items: readonly CleanItem[],
  reason: unknown,
): Promise<IngestResult> {
  const none: IngestResult = { added: 0, changed: 0, apart: 0 }
  if (!items.length) throw reason
  if (items.length === 1) {
    const { outsideId, raw } = items[0]!
    const { message, original } = reason as Error & { original?: Error }
    await setApart(parts.db, profile, [
      { outsideId, stage: 'store', raw, reason: original?.message ?? message },
    ])
    return { ...none, apart: 1 }
  }
  const middle = items.length >> 1
  let sum = none
  for (const half of [items.slice(0, middle), items.slice(middle)]) {
    const stored = await storeTogether(parts, profile, half, none, async () => {}).catch((error: unknown) => {
      if (!isOfTheData(error)) throw error
      return storeHalves(parts, profile, half, error)
    })
    sum = {
      added: sum.added + stored.added,
      changed: sum.changed + stored.changed,
      apart: sum.apart + stored.apart,
    }
  }
  return sum
}

function storeTogether(
  { db, due, now }: Parts,
  profile: IngestProfile,
  items: readonly CleanItem[],
  base: IngestResult,
  together: Together,
): Promise<IngestResult> {
  return db.inTransaction(async (tx) => {
    await holdProfileEntries(db, profile.id, tx)
    let { added, changed } = base
    if (items.length) {
      await keepRaw(db, profile, items, tx)
      const own = await confirmOwn({ db, now }, profile, items, tx)
      const known = await knownEntries(db, profile, items, tx)
      const fresh = items.filter((item) => !known.has(item.outsideId) && !own.has(item.outsideId))
      const altered = items.filter((item) => isChanged(item, known.get(item.outsideId)))
      if (altered.length) await changeEntries(db, profile, altered, tx)
      if (fresh.length) await addEntries(db, profile, fresh, tx)
      await noLongerApart(
        db,
        profile.id,
        items.map((item) => item.outsideId),
        tx,
      )
      added += fresh.length
      changed += altered.length
    }
    const result = { added, changed, apart: base.apart }
    await together(tx, result)
    if (added || changed)
      await due.ask({ kind: 'analyse', subject: profile.brandId, owner: brandOwner(profile.brandId) }, tx)
    return result
  })
}

async function keepRaw(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<void> {
  await keepRawItems(
    db,
    {
      profileId: profile.id,
      outsideIds: items.map((i) => i.outsideId),
      payloads: items.map((i) => i.kept ?? 'null'),
    },
    tx,
  )
}

async function knownEntries(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<Map<string, KnownEntry>> {
  const rows = await entriesByOutsideId(
    db,
    { profileId: profile.id, outsideIds: items.map((i) => i.outsideId) },
    tx,
  )
  return new Map(rows.map((r) => [r.outsideId, r]))
}

/** Whether a person changed what they wrote; what the network leaves out stays as it was. */
const isChanged = (item: CleanItem, known: KnownEntry | undefined): boolean =>
  known !== undefined &&
  (item.text !== known.text ||
    (item.title ?? known.title) !== known.title ||
    (item.rating !== undefined && Math.fround(item.rating) !== Math.fround(known.rating ?? 0)))

async function changeEntries(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<void> {
  await updateEntries(
    db,
    {
      profileId: profile.id,
      outsideIds: items.map((i) => i.outsideId),
      texts: items.map((i) => i.text),
      titles: items.map((i) => i.title ?? null),
      ratings: items.map((i) => i.rating ?? null),
    },
    tx,
  )
}

async function addEntries(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<void> {
  const accounts = await accountIds(db, profile, items, tx)
  const resolved = await resolveThreads(db, profile, items, tx)
  const { threadNames } = resolved
  const threads = await threadIds(db, profile, items, resolved, tx)
  await insertEntries(
    db,
    profile,
    items.map((item) => ({
      threadId: threads.get(threadNames.get(item.outsideId)!),
      accountId: accounts.get(item.author.outsideId) ?? null,
      outsideId: item.outsideId,
      direction: item.direction,
      kind: item.kind,
      title: item.title ?? null,
      text: item.text,
      rating: item.rating ?? null,
      at: new Date(item.at),
      url: item.url ?? null,
      reach: item.reach ?? 0,
      isPrivate: item.private ?? false,
      paid: item.paid ?? false,
      undated: item.undated,
    })),
    tx,
  )
  await joinOrphans(db, profile, resolved.orphans, tx)
}

async function accountIds(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<Map<string, number>> {
  const authors = new Map(items.map((i) => [i.author.outsideId, i.author]))
  const known = await knownAccounts(
    db,
    { brandId: profile.brandId, network: profile.network, outsideIds: [...authors.keys()] },
    tx,
  )
  const ids = new Map(known.map((r) => [r.outsideId, r.id]))
  const named = new Map(known.map((r) => [r.outsideId, r.name]))
  // Most are known and as they were: only what is new or renamed is written, in one order for all.
  const fresh = [...authors.values()]
    .filter((a) => named.get(a.outsideId) !== a.name)
    .sort((a, b) => (a.outsideId < b.outsideId ? -1 : 1))
  if (!fresh.length) return ids
  const rows = await putAccounts(
    db,
    {
      brandId: profile.brandId,
      network: profile.network,
      outsideIds: fresh.map((a) => a.outsideId),
      names: fresh.map((a) => a.name),
      handles: fresh.map((a) => a.handle ?? null),
      urls: fresh.map((a) => a.url ?? null),
    },
    tx,
  )
  for (const row of rows) ids.set(row.outsideId, row.id)
  return ids
}
