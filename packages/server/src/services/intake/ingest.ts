import { createHash } from 'node:crypto'
import type { CollectedItem, UnreadPart } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { Database, Tx } from '../../store/database.ts'
import { isOfTheData } from '../../store/failures.ts'
import type { IngestProfile } from './ingestProfile.ts'
import { confirmOwn } from '../actions/confirmOwn.ts'
import { cleanItem, cleanJson, type CleanItem } from './cleanItem.ts'
import { apartOf, noLongerApart, setApart, type Apart } from './setApart.ts'
import { joinOrphans, resolveThreads, threadIds } from './ingestThreads.ts'

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
    await db.rows('SELECT pg_advisory_xact_lock(41, $1)', [profile.id], tx)
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
  await db.rows(
    `INSERT INTO raw_items AS r (profile_id, outside_id, payload) SELECT $1, * FROM unnest($2::text[], $3::jsonb[])
     ON CONFLICT (profile_id, outside_id) DO UPDATE SET payload = excluded.payload WHERE r.payload IS DISTINCT FROM excluded.payload`,
    [profile.id, items.map((i) => i.outsideId), items.map((i) => i.kept ?? 'null')],
    tx,
  )
}

interface KnownEntry {
  outsideId: string
  text: string
  title: string | null
  rating: number | null
}

async function knownEntries(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<Map<string, KnownEntry>> {
  const rows = await db.rows<KnownEntry>(
    `SELECT outside_id AS "outsideId", text, title, rating FROM entries WHERE profile_id = $1 AND outside_id = ANY($2::text[])`,
    [profile.id, items.map((i) => i.outsideId)],
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
  await db.rows(
    `UPDATE entries e SET text = n.text, title = coalesce(n.title, e.title), rating = coalesce(n.rating, e.rating), analysed_at = NULL
     FROM unnest($2::text[], $3::text[], $4::text[], $5::real[]) AS n (outside_id, text, title, rating) WHERE e.profile_id = $1 AND e.outside_id = n.outside_id`,
    [
      profile.id,
      items.map((i) => i.outsideId),
      items.map((i) => i.text),
      items.map((i) => i.title ?? null),
      items.map((i) => i.rating ?? null),
    ],
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
  const column = <T>(of: (item: CleanItem) => T) => items.map(of)
  await db.rows(
    `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, account_id, outside_id, direction, kind, title, text, rating, at, url, reach, private, paid, undated)
     SELECT $1, $2, $3, $4, * FROM unnest($5::bigint[], $6::bigint[], $7::text[], $8::text[], $9::text[], $10::text[], $11::text[], $12::real[], $13::timestamptz[], $14::text[], $15::int[], $16::bool[], $17::bool[], $18::bool[])
     ON CONFLICT (profile_id, outside_id) DO NOTHING`,
    [
      profile.brandId,
      profile.id,
      profile.placeId,
      profile.channel,
      column((i) => threads.get(threadNames.get(i.outsideId)!)),
      column((i) => accounts.get(i.author.outsideId) ?? null),
      column((i) => i.outsideId),
      column((i) => i.direction),
      column((i) => i.kind),
      column((i) => i.title ?? null),
      column((i) => i.text),
      column((i) => i.rating ?? null),
      column((i) => new Date(i.at)),
      column((i) => i.url ?? null),
      column((i) => i.reach ?? 0),
      column((i) => i.private ?? false),
      column((i) => i.paid ?? false),
      column((i) => i.undated),
    ],
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
  const known = await db.rows<{ id: number; outsideId: string; name: string }>(
    `SELECT id, outside_id AS "outsideId", name FROM accounts WHERE brand_id = $1 AND network = $2 AND outside_id = ANY($3::text[])`,
    [profile.brandId, profile.network, [...authors.keys()]],
    tx,
  )
  const ids = new Map(known.map((r) => [r.outsideId, r.id]))
  const named = new Map(known.map((r) => [r.outsideId, r.name]))
  // Most are known and as they were: only what is new or renamed is written, in one order for all.
  const fresh = [...authors.values()]
    .filter((a) => named.get(a.outsideId) !== a.name)
    .sort((a, b) => (a.outsideId < b.outsideId ? -1 : 1))
  if (!fresh.length) return ids
  const rows = await db.rows<{ id: number; outsideId: string }>(
    `INSERT INTO accounts AS a (brand_id, network, outside_id, name, handle, url) SELECT $1, $2, * FROM unnest($3::text[], $4::text[], $5::text[], $6::text[])
     ON CONFLICT (brand_id, network, outside_id) DO UPDATE SET name = excluded.name, handle = coalesce(excluded.handle, a.handle)
     RETURNING id, outside_id AS "outsideId"`,
    [
      profile.brandId,
      profile.network,
      fresh.map((a) => a.outsideId),
      fresh.map((a) => a.name),
      fresh.map((a) => a.handle ?? null),
      fresh.map((a) => a.url ?? null),
    ],
    tx,
  )
  for (const row of rows) ids.set(row.outsideId, row.id)
  return ids
}
