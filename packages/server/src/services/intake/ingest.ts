import { createHash } from 'node:crypto'
import type { CollectedItem, ReadParts } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Tx } from '../../store/database.ts'
import { isOfTheData } from '../../store/failures.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { keepRaw, knownEntries, isChanged, changeEntries, addEntries } from './storeEntries.ts'
import { cleanItem, cleanJson, type CleanItem } from './cleanItem.ts'
import { apartId, isOfSomebodyElse, takeNewIds, takenId } from './identity.ts'
import { agreeWithSiblings } from './siblings.ts'
import { eraseGone, goneAlready, unlessErased } from './gone.ts'
import { apartOf, noLongerApart, setApart, type Apart } from './setApart.ts'
import { holdProfileEntries } from '../../store/queries/actions/ownEntries.ts'
import { confirmOwn, takeReports } from '../actions/index.ts'
import { keepWishes } from '../../store/queries/shared/contactWishes.ts'
import { joinPieces } from './joinPieces.ts'
import { keepFile } from '../attachments/index.ts'

export type { IngestProfile }

export interface IngestResult {
  /** Entries that were not there before. */
  added: number
  /** Entries whose text, title or rating is another than before, or which are gone. */
  changed: number
  /** Items that could not be taken and were set apart. */
  apart: number
}

const none: IngestResult = { added: 0, changed: 0, apart: 0 }
const sumOf = (one: IngestResult, other: IngestResult): IngestResult => ({
  added: one.added + other.added,
  changed: one.changed + other.changed,
  apart: one.apart + other.apart,
})

/** Runs in the transaction that stores the last of the items: what must be true together with them, such as the cursor. */
export type PageEnd = (tx: Tx, result: IngestResult) => Promise<void>

type Parts = Pick<Context, 'db' | 'now' | 'due' | 'live' | 'files' | 'fileWorker'>

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
  atEnd: PageEnd = async () => {},
  { unread = [], gone = [], reports = [] }: Pick<Partial<ReadParts>, 'unread' | 'gone' | 'reports'> = {},
): Promise<IngestResult> {
  const { batches, apart } = cleanAll(given, parts.now())
  const items = batches.pop() ?? []
  // They lie in the store before anything names them; a file that nothing comes to name is removed later.
  for (const item of items)
    for (const file of item.files ?? []) item.keptFiles.push(await keepFile(parts, file))
  // What was said first goes in before what it was changed into.
  let before = none
  for (const batch of batches) before = sumOf(before, await storeBatch(parts, profile, batch))
  const aside = [...unread.map(apartOf), ...apart]
  const base: IngestResult = { ...none, apart: before.apart + aside.length }
  const last = async (tx: Tx, result: IngestResult) => {
    await setApart(parts.db, profile, aside, tx)
    const erased = await eraseGone(parts, profile, gone, tx)
    await takeReports(parts, profile, reports, tx)
    await atEnd(tx, { ...result, changed: result.changed + erased })
  }
  try {
    return await storePage(parts, profile, items, base, last)
  } catch (error) {
    if (!isOfTheData(error)) throw error
    const result = await storeHalves(parts, profile, items, error)
    return storePage(parts, profile, [], sumOf(base, result), last)
  }
}

/** One of the earlier states of a page: all that can be stored of it. */
async function storeBatch(
  parts: Parts,
  profile: IngestProfile,
  items: readonly CleanItem[],
): Promise<IngestResult> {
  try {
    return await storePage(parts, profile, items, none, async () => {})
  } catch (error) {
    if (!isOfTheData(error)) throw error
    return storeHalves(parts, profile, items, error)
  }
}

/** States of one thing that a page is read for; of more, the last counts. */
const mostStates = 20

const saysTheSame = (one: CleanItem, other: CleanItem) =>
  one.text === other.text && one.title === other.title && one.rating === other.rating

/**
 * What a page holds, cleaned, in batches that name each thing once: a network may tell the same thing again, or what it
 * was changed into.
 */
function cleanAll(given: readonly CollectedItem[], now: number): { batches: CleanItem[][]; apart: Apart[] } {
  const batches: Map<string, CleanItem>[] = [new Map()]
  const apart: Apart[] = []
  for (const item of given)
    try {
      const clean = cleanItem(item, now)
      const before = batches.at(-1)!.get(clean.outsideId)
      if (before && !saysTheSame(before, clean) && batches.length < mostStates) batches.push(new Map())
      batches.at(-1)!.delete(clean.outsideId)
      batches.at(-1)!.set(clean.outsideId, clean)
    } catch (error) {
      const outsideId =
        typeof item.outsideId === 'string' && item.outsideId ? item.outsideId : hashOf(item.raw)
      apart.push({ outsideId, stage: 'read', raw: item.raw, reason: (error as Error).message })
    }
  return { batches: batches.map((batch) => [...batch.values()]), apart }
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
    const stored = await storePage(parts, profile, half, none, async () => {}).catch((error: unknown) => {
      if (!isOfTheData(error)) throw error
      return storeHalves(parts, profile, half, error)
    })
    sum = sumOf(sum, stored)
  }
  return sum
}

function storePage(
  parts: Parts,
  profile: IngestProfile,
  given: readonly CleanItem[],
  base: IngestResult,
  atEnd: PageEnd,
): Promise<IngestResult> {
  const { db, due } = parts
  return db.inTransaction(async (tx) => {
    await holdProfileEntries(db, profile.id, tx)
    const kept = await unlessErased(db, profile, given, tx)
    const whole = await unlessErased(db, profile, await joinPieces(parts, profile, kept, tx), tx)
    const { items, strays } = await agreeWithSiblings(db, profile, whole, tx)
    const result = sumOf(base, items.length ? await storeItems(parts, profile, { items, strays }, tx) : none)
    await atEnd(tx, result)
    if (result.added || result.changed)
      await due.ask({ kind: 'analyse', subject: profile.brandId, owner: brandOwner(profile.brandId) }, tx)
    return result
  })
}

async function storeItems(
  { db, now }: Parts,
  profile: IngestProfile,
  { items: told, strays }: { items: readonly CleanItem[]; strays: ReadonlyMap<string, number> },
  tx: Tx,
): Promise<IngestResult> {
  const own = await confirmOwn({ db, now }, profile, told, tx)
  const known = await knownEntries(db, profile, told, tx)
  const ofOthers = new Set(told.filter((item) => isOfSomebodyElse(item, known.get(item.outsideId))))
  await setApart(db, profile, [...ofOthers].map(takenId), tx)
  const items = told.filter((item) => !ofOthers.has(item))
  await keepRaw(db, profile, items, tx)
  const gone = await goneAlready(db, profile, items, tx)
  const unknown = items.filter(({ outsideId: id }) => !known.has(id) && !own.has(id) && !gone.has(id))
  const placeless = unknown.filter(({ outsideId }) => !strays.has(outsideId))
  const renamed = await takeNewIds(db, profile, { fresh: placeless, all: told }, tx)
  const fresh = unknown.filter(({ outsideId }) => !renamed.has(outsideId))
  const altered = items.filter((item) => isChanged(item, known.get(item.outsideId)))
  if (altered.length) await changeEntries({ db, now }, profile, { items: altered, known }, tx)
  if (fresh.length) await addEntries(db, profile, fresh, strays, tx)
  await noteWishes(db, profile, items, tx)
  await noLongerApart(
    db,
    profile.id,
    items.flatMap((item) => [item.outsideId, apartId(item)]),
    tx,
  )
  return { added: fresh.length, changed: altered.length, apart: ofOthers.size }
}

/** What people say about hearing from us. */
async function noteWishes(
  db: Context['db'],
  { brandId, network }: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<void> {
  const wishes = items.flatMap(({ wish, direction, author, at }) =>
    wish && direction === 'in' ? [{ author: author.outsideId, wish, at: new Date(at) }] : [],
  )
  if (wishes.length) await keepWishes(db, { brandId, network, wishes }, tx)
}
