import type { CollectedItem } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import type { IngestProfile } from './ingestProfile.ts'
import { joinOrphans, resolveThreads, threadIds } from './ingestThreads.ts'

export type { IngestProfile }

export interface IngestResult {
  /** Entries that were not there before. */
  added: number
  /** Entries whose text is another than before. */
  changed: number
}

/** Runs in the transaction that stores the items: what must be true together with them, such as the cursor. */
export type Together = (tx: Tx, result: IngestResult) => Promise<void>

/**
 * Stores a page of items in one transaction: raw items kept, accounts and threads found or made, entries put in under
 * their (profile, outside id) key. Anything repeated changes nothing. One page of a profile is stored at a time.
 */
export async function ingest(
  { db }: Pick<Context, 'db'>,
  profile: IngestProfile,
  given: readonly CollectedItem[],
  together: Together = async () => {},
): Promise<IngestResult> {
  // Later ones win: a network may name the same thing twice on a page.
  const items = [...new Map(given.map((item) => [item.outsideId, item])).values()]
  return db.inTransaction(async (tx) => {
    await db.rows('SELECT pg_advisory_xact_lock(41, $1)', [profile.id], tx)
    await keepRaw(db, profile, items, tx)
    const own = await confirmOwn(db, profile, items, tx)
    const known = await knownTexts(db, profile, items, tx)
    const fresh = items.filter((item) => !known.has(item.outsideId) && !own.has(item.outsideId))
    const altered = items.filter(
      (item) => known.has(item.outsideId) && known.get(item.outsideId) !== item.text,
    )
    if (altered.length) await changeTexts(db, profile, altered, tx)
    if (fresh.length) await addEntries(db, profile, fresh, tx)
    const result = { added: fresh.length, changed: altered.length }
    await together(tx, result)
    return result
  })
}

async function keepRaw(
  db: Database,
  profile: IngestProfile,
  items: readonly CollectedItem[],
  tx: Tx,
): Promise<void> {
  await db.rows(
    `INSERT INTO raw_items AS r (profile_id, outside_id, payload) SELECT $1, * FROM unnest($2::text[], $3::jsonb[])
     ON CONFLICT (profile_id, outside_id) DO UPDATE SET payload = excluded.payload WHERE r.payload IS DISTINCT FROM excluded.payload`,
    [profile.id, items.map((i) => i.outsideId), items.map((i) => JSON.stringify(i.raw))],
    tx,
  )
}

/** Our own replies that come back before their sending was confirmed: the waiting entry gets its outside id. */
async function confirmOwn(
  db: Database,
  profile: IngestProfile,
  items: readonly CollectedItem[],
  tx: Tx,
): Promise<Set<string>> {
  const keyed = items.filter(
    (item) => item.direction === 'out' && item.replyKey && /^[0-9a-f-]{36}$/i.test(item.replyKey),
  )
  if (!keyed.length) return new Set()
  const rows = await db.rows<{ outsideId: string }>(
    `WITH back AS (SELECT * FROM unnest($2::uuid[], $3::text[], $4::text[]) AS b (key, outside_id, url)),
       sent AS (UPDATE outbox o SET state = 'sent', error = NULL, sent_at = coalesce(o.sent_at, now()) FROM back
         WHERE o.key = back.key AND o.profile_id = $1 RETURNING o.entry_id, back.outside_id, back.url)
     UPDATE entries e SET outside_id = sent.outside_id, url = coalesce(sent.url, e.url) FROM sent
     WHERE e.id = sent.entry_id RETURNING sent.outside_id AS "outsideId"`,
    [
      profile.id,
      keyed.map((i) => i.replyKey),
      keyed.map((i) => i.outsideId),
      keyed.map((i) => i.url ?? null),
    ],
    tx,
  )
  return new Set(rows.map((r) => r.outsideId))
}

async function knownTexts(
  db: Database,
  profile: IngestProfile,
  items: readonly CollectedItem[],
  tx: Tx,
): Promise<Map<string, string>> {
  const rows = await db.rows<{ outsideId: string; text: string }>(
    `SELECT outside_id AS "outsideId", text FROM entries WHERE profile_id = $1 AND outside_id = ANY($2::text[])`,
    [profile.id, items.map((i) => i.outsideId)],
    tx,
  )
  return new Map(rows.map((r) => [r.outsideId, r.text]))
}

async function changeTexts(
  db: Database,
  profile: IngestProfile,
  items: readonly CollectedItem[],
  tx: Tx,
): Promise<void> {
  await db.rows(
    `UPDATE entries e SET text = n.text, rating = coalesce(n.rating, e.rating), analysed_at = NULL
     FROM unnest($2::text[], $3::text[], $4::real[]) AS n (outside_id, text, rating) WHERE e.profile_id = $1 AND e.outside_id = n.outside_id`,
    [profile.id, items.map((i) => i.outsideId), items.map((i) => i.text), items.map((i) => i.rating ?? null)],
    tx,
  )
}

async function addEntries(
  db: Database,
  profile: IngestProfile,
  items: readonly CollectedItem[],
  tx: Tx,
): Promise<void> {
  const accounts = await accountIds(db, profile, items, tx)
  const resolved = await resolveThreads(db, profile, items, tx)
  const { threadNames } = resolved
  const threads = await threadIds(db, profile, items, resolved, tx)
  const column = <T>(of: (item: CollectedItem) => T) => items.map(of)
  await db.rows(
    `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, account_id, outside_id, direction, kind, title, text, rating, at, url, reach, private, paid)
     SELECT $1, $2, $3, $4, * FROM unnest($5::bigint[], $6::bigint[], $7::text[], $8::text[], $9::text[], $10::text[], $11::text[], $12::real[], $13::timestamptz[], $14::text[], $15::int[], $16::bool[], $17::bool[])
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
      column((i) => clean(i.text)),
      column((i) => i.rating ?? null),
      column((i) => new Date(i.at)),
      column((i) => i.url ?? null),
      column((i) => Math.min(i.reach ?? 0, 2_000_000_000)),
      column((i) => i.private ?? false),
      column((i) => i.paid ?? false),
    ],
    tx,
  )
  await joinOrphans(db, profile, resolved.orphans, tx)
}

/** PostgreSQL takes no NUL in text. */
// eslint-disable-next-line no-control-regex -- NUL is what is meant
const clean = (text: string) => text.replace(/\u0000/g, '').slice(0, 100_000)

async function accountIds(
  db: Database,
  profile: IngestProfile,
  items: readonly CollectedItem[],
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
