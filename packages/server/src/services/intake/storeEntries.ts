import type { Database, Tx } from '../../store/database.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { isSaidAnew } from '@murrabel/core/inbox'
import { insertFiles, insertMails } from '../../store/queries/intake/mails.ts'
import { cleanJson, type CleanItem } from './cleanItem.ts'
import { takeOverStrays } from './siblings.ts'
import { joinOrphans, resolveThreads, threadIds } from './ingestThreads.ts'
import { insertPictures } from '../../store/queries/attachments/pictures.ts'
import { linkPosts } from '../../store/queries/intake/threads.ts'
import {
  keepRawItems,
  type KnownEntry,
  entriesByOutsideId,
  insertEntries,
  updateEntries,
  knownAccounts,
  putAccounts,
} from '../../store/queries/intake/ingest.ts'

export async function keepRaw(
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

export async function knownEntries(
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

/**
 * Whether a person changed what they wrote; what the network leaves out stays as it was, what is older than what is known
 * changes nothing, and what was taken away does not come back.
 */
export const isChanged = (item: CleanItem, known: KnownEntry | undefined): boolean =>
  known !== undefined &&
  known.deletedAt === null &&
  (item.changedAt === undefined || item.changedAt >= (known.editedAt?.getTime() ?? -Infinity)) &&
  (item.text !== known.text || (item.title ?? known.title) !== known.title || otherRating(item, known))

const otherRating = (item: CleanItem, known: KnownEntry): boolean =>
  item.rating !== undefined && Math.fround(item.rating) !== Math.fround(known.rating ?? 0)

export async function changeEntries(
  { db, now }: { db: Database; now: () => number },
  profile: IngestProfile,
  { items, known }: { items: readonly CleanItem[]; known: ReadonlyMap<string, KnownEntry> },
  tx: Tx,
): Promise<void> {
  const entries = items.map((item) => {
    const before = known.get(item.outsideId)!
    // A network that tells no changes gives the time of what was said, which is not when it was changed.
    const told = item.changedAt !== undefined && item.changedAt > item.at ? item.changedAt : now()
    return {
      outsideId: item.outsideId,
      text: item.text,
      title: item.title ?? null,
      rating: item.rating ?? null,
      at: new Date(told),
      anew: item.direction === 'in' && (otherRating(item, before) || isSaidAnew(before.text, item.text)),
    }
  })
  await updateEntries(db, { profileId: profile.id, entries }, tx)
}

export async function addEntries(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  strays: ReadonlyMap<string, number>,
  tx: Tx,
): Promise<void> {
  const accounts = await accountIds(db, profile, items, tx)
  const resolved = await resolveThreads(db, profile, items, tx)
  const { threadNames, postIds } = resolved
  const { ids: threads, fresh } = await threadIds(db, profile, items, resolved, tx)
  const placed = items.map((item) => ({
    item,
    threadId: threads.get(threadNames.get(item.outsideId)!),
    accountId: accounts.get(item.author.outsideId) ?? null,
    direction: item.direction,
    kind: item.kind,
    origin: item.origin ?? (item.kind === 'mention' ? ('heard' as const) : ('sent' as const)),
    isPrivate: item.private ?? false,
    paid: item.paid ?? false,
  }))
  await insertEntries(
    db,
    profile,
    placed
      .filter(({ item }) => !strays.has(item.outsideId))
      .map(({ item, ...entry }) => ({
        ...entry,
        outsideId: item.outsideId,
        title: item.title ?? null,
        text: item.text,
        rating: item.rating ?? null,
        at: new Date(item.at),
        url: item.url ?? null,
        reach: item.reach ?? 0,
        undated: item.undated,
        likes: item.likes ?? null,
        shares: item.shares ?? null,
      })),
    tx,
  )
  await addMails(db, profile, items, tx)
  await linkToPosts(db, profile, items, { threadNames, postIds, fresh }, tx)
  await takeOverStrays(
    db,
    profile,
    placed.flatMap(({ item, ...entry }) => {
      const id = strays.get(item.outsideId)
      return id === undefined ? [] : [{ ...entry, id, outsideId: item.outsideId }]
    }),
    tx,
  )
  const pictures = items.flatMap(({ outsideId, pictures: shown = [] }) =>
    shown.map((picture, position) => ({ ...picture, outsideId, position })),
  )
  if (pictures.length) await insertPictures(db, profile.id, pictures, tx)
  await joinOrphans(db, profile, resolved.orphans, tx)
}

/** A comment that opens a thread stands under the post it answers; one that came before its post waits for it there. */
async function linkToPosts(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  {
    threadNames,
    postIds,
    fresh,
  }: {
    threadNames: ReadonlyMap<string, string>
    postIds: ReadonlyMap<string, number>
    fresh: ReadonlySet<string>
  },
  tx: Tx,
): Promise<void> {
  const links = items.filter(
    ({ outsideId, threadId, parentId }) =>
      parentId !== undefined &&
      fresh.has(threadId) &&
      threadNames.get(outsideId) === threadId &&
      !postIds.has(threadId),
  )
  const late = items.filter(({ outsideId, threadId }) => threadId === `post/${outsideId}`)
  if (links.length || late.length)
    await linkPosts(
      db,
      {
        profileId: profile.id,
        threads: [
          ...links.map(({ threadId }) => threadId),
          ...late.map(({ outsideId }) => `comment/${outsideId}`),
        ],
        posts: [...links.map(({ parentId }) => parentId!), ...late.map(({ outsideId }) => outsideId)],
      },
      tx,
    )
}

/** What is beside the words of mails, and the files of any entry. */
async function addMails(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<void> {
  const mails = items.flatMap(({ outsideId, mail, answerTo }) =>
    mail
      ? [
          {
            ...mail,
            outsideId,
            envelope: JSON.stringify({ from: mail.from, to: mail.to, cc: mail.cc }),
            answerTo: cleanJson(answerTo, 100_000),
          },
        ]
      : [],
  )
  if (mails.length) await insertMails(db, profile.id, mails, tx)
  const files = items.flatMap(({ outsideId, keptFiles }) =>
    keptFiles.map((file, position) => ({ ...file, outsideId, position })),
  )
  if (files.length) await insertFiles(db, profile, files, tx)
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
