import type { Database, Tx } from '../../store/database.ts'
import type { CleanItem } from './cleanItem.ts'
import { knownMailThreads } from './mailThreads.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import {
  parentsOf,
  pairsToJoin,
  moveEntries,
  moveActions,
  moveEvents,
  moveTags,
  moveGiven,
  removeThread,
  threadsByOutsideId,
  setTitles,
  insertThreads,
} from '../../store/queries/intake/threads.ts'

/** Characters of a post that are kept beside the comments on it. */
const postLength = 240

export interface ResolvedThreads {
  /** Thread by the item's outside id. */
  threadNames: Map<string, string>
  /** Text of the post a thread of comments stands under. */
  posts: Map<string, string>
  /** The post a thread stands under, where it is there already: its entry's id. */
  postIds: Map<string, number>
  /** Ids of threads that began on another profile and go on here. */
  elsewhere: Map<string, number>
  /** Threads that turn out to be part of another, if there are such. */
  orphans: Map<string, string>
}

/**
 * The thread each item goes into. An item that answers another goes into the other's thread, unless that is a post, under
 * which every comment opens a thread. A parent that has not come yet is taken for such a comment; when it turns out to lie
 * deeper, `joinOrphans` brings the two together.
 */
export async function resolveThreads(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<ResolvedThreads> {
  const parents = items.flatMap((i) => i.parentId ?? [])
  const stored = await parentsOf(db, { profileId: profile.id, outsideIds: parents }, tx)
  const threadOf = new Map(stored.map((r) => [r.outsideId, r.thread]))
  const texts = new Map([...stored, ...items].map((r) => [r.outsideId, r.text.slice(0, postLength)]))
  const posts = new Map<string, string>()
  const postIds = new Map<string, number>()
  const storedPosts = new Map(
    stored.flatMap(({ id, outsideId, thread }) => (thread.startsWith('post/') ? [[outsideId, id]] : [])),
  )
  const orphans = new Map<string, string>()
  const elsewhere = new Map<string, number>()
  const here = new Map(items.map((item) => [item.outsideId, item]))
  const mails = await knownMailThreads(db, profile, items, tx)
  const mailsHere = new Map(
    items.flatMap((item) => (item.mail?.messageId ? [[item.mail.messageId, item]] : [])),
  )
  const open = new Set<string>()
  /** The thread of the nearest mail that it answers, if one of them is known. */
  const answered = (item: CleanItem): string | undefined => {
    for (const ancestor of item.mail?.ancestors ?? []) {
      const other = mailsHere.get(ancestor)
      if (other && other !== item) resolve(other)
      const known = mails.byMessage.get(ancestor)
      const thread = known?.thread ?? (other && threadOf.get(other.outsideId))
      if (thread === undefined) continue
      if (known?.elsewhere != null) elsewhere.set(thread, known.elsewhere)
      // Clocks differ, and mail dates are whole seconds: an answer is later than what it answers.
      const since = known ? known.at.getTime() : other!.at
      if (other !== item) item.at = Math.max(item.at, since + 1)
      return thread
    }
    return mails.bySubject.get(item.outsideId)
  }
  const resolve = (item: CleanItem): void => {
    // Parents on the same page come first; one that answers itself in a ring is taken as it stands.
    if (threadOf.has(item.outsideId) || open.has(item.outsideId)) return
    open.add(item.outsideId)
    const parent = item.parentId === undefined ? undefined : here.get(item.parentId)
    if (parent) resolve(parent)
    const thread = answered(item) ?? threadFor(item, threadOf)
    threadOf.set(item.outsideId, thread)
    // Answers to it that came before it. A second mail with the id of one that is there brings nothing together.
    const messageId = item.mail?.messageId
    if (messageId && !mails.byMessage.has(messageId) && thread !== `mail/${messageId}`)
      orphans.set(`mail/${messageId}`, thread)
    const post =
      item.parentId !== undefined && thread === item.threadId ? texts.get(item.parentId) : undefined
    if (post !== undefined) posts.set(thread, post)
    const postId = post === undefined ? undefined : storedPosts.get(item.parentId!)
    if (postId !== undefined) postIds.set(thread, postId)
    if (thread !== item.threadId && item.threadId.startsWith('comment/')) orphans.set(item.threadId, thread)
  }
  items.forEach(resolve)
  return { threadNames: threadOf, posts, postIds, orphans, elsewhere }
}

function threadFor(item: CleanItem, threadOf: ReadonlyMap<string, string>): string {
  if (item.parentId === undefined) return item.threadId
  const parent = threadOf.get(item.parentId)
  if (parent === undefined) return `comment/${item.parentId}`
  return parent.startsWith('post/') ? item.threadId : parent
}

/** Where a chain of threads ends that each turned out to be part of the next. */
function lastHome(home: string, orphans: ReadonlyMap<string, string>): string {
  let at = home
  for (let steps = 0; steps < orphans.size; steps++) at = orphans.get(at) ?? at
  return at
}

/**
 * Brings threads together that turned out to be one: entries, replies, what was done, tags, and whom it was given to go to
 * the thread that stays.
 */
export async function joinOrphans(
  db: Database,
  profile: IngestProfile,
  orphans: ReadonlyMap<string, string>,
  tx: Tx,
): Promise<void> {
  if (!orphans.size) return
  const found = await pairsToJoin(
    db,
    {
      profileId: profile.id,
      lost: [...orphans.keys()],
      homes: [...orphans.values()].map((home) => lastHome(home, orphans)),
    },
    tx,
  )
  for (const pair of found) await joinThread(db, pair, tx)
}

/** Brings everything of one thread into another; the first is gone then. */
export async function joinThread(
  db: Database,
  { lost, home }: { lost: number; home: number },
  tx: Tx,
): Promise<void> {
  await moveEntries(db, { lost, home }, tx)
  await moveActions(db, { lost, home }, tx)
  // They belonged to the other thread's editions: told here, but not to be undone.
  await moveEvents(db, { lost, home }, tx)
  await moveTags(db, { lost, home }, tx)
  await moveGiven(db, { lost, home }, tx)
  await removeThread(db, lost, tx)
}

export async function threadIds(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  { threadNames, posts, postIds, elsewhere }: ResolvedThreads,
  tx: Tx,
): Promise<{ ids: Map<string, number>; fresh: Set<string> }> {
  const threads = new Map<string, { title: string | null; url: string | null }>()
  for (const item of items) {
    const name = threadNames.get(item.outsideId)!
    const known = threads.get(name)
    threads.set(name, {
      title: known?.title ?? item.threadTitle ?? posts.get(name) ?? null,
      url: known?.url ?? item.url ?? null,
    })
  }
  const known = await threadsByOutsideId(db, { profileId: profile.id, outsideIds: [...threads.keys()] }, tx)
  const ids = new Map([...known.map((t) => [t.outsideId, t.id] as const), ...elsewhere])
  // Threads that are there are left alone, but for a title that was not known: analysis writes them at the same time, and
  // two transactions that each hold what the other wants would end in a deadlock.
  const titled = known.filter((t) => t.title === null && threads.get(t.outsideId)?.title)
  if (titled.length)
    await setTitles(
      db,
      { ids: titled.map((t) => t.id), titles: titled.map((t) => threads.get(t.outsideId)!.title) },
      tx,
    )
  const fresh = [...threads].filter(([name]) => !ids.has(name)).sort(([a], [b]) => (a < b ? -1 : 1))
  if (!fresh.length) return { ids, fresh: new Set() }
  const found = await insertThreads(
    db,
    {
      brandId: profile.brandId,
      profileId: profile.id,
      placeId: profile.placeId,
      outsideIds: fresh.map(([name]) => name),
      titles: fresh.map(([, t]) => t.title),
      urls: fresh.map(([, t]) => t.url),
      postIds: fresh.map(([name]) => postIds.get(name) ?? null),
    },
    tx,
  )
  for (const row of found) ids.set(row.outsideId, row.id)
  return { ids, fresh: new Set(found.map(({ outsideId }) => outsideId)) }
}
