import type { Database, Tx } from '../../store/database.ts'
import type { CleanItem } from './cleanItem.ts'
import type { IngestProfile } from './ingestProfile.ts'

/** Characters of a post that are kept beside the comments on it. */
const postLength = 240

export interface ResolvedThreads {
  /** Thread by the item's outside id. */
  threadNames: Map<string, string>
  /** Text of the post a thread of comments stands under. */
  posts: Map<string, string>
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
  const stored = await db.rows<{ outsideId: string; thread: string; text: string }>(
    `SELECT e.outside_id AS "outsideId", t.outside_id AS thread, left(e.text, ${postLength}) AS text FROM entries e JOIN threads t ON t.id = e.thread_id
     WHERE e.profile_id = $1 AND e.outside_id = ANY($2::text[])`,
    [profile.id, parents],
    tx,
  )
  const threadOf = new Map(stored.map((r) => [r.outsideId, r.thread]))
  const texts = new Map([...stored, ...items].map((r) => [r.outsideId, r.text.slice(0, postLength)]))
  const posts = new Map<string, string>()
  const orphans = new Map<string, string>()
  const here = new Map(items.map((item) => [item.outsideId, item]))
  const open = new Set<string>()
  const resolve = (item: CleanItem): void => {
    // Parents on the same page come first; one that answers itself in a ring is taken as it stands.
    if (threadOf.has(item.outsideId) || open.has(item.outsideId)) return
    open.add(item.outsideId)
    const parent = item.parentId === undefined ? undefined : here.get(item.parentId)
    if (parent) resolve(parent)
    const thread = threadFor(item, threadOf)
    threadOf.set(item.outsideId, thread)
    const post =
      item.parentId !== undefined && thread === item.threadId ? texts.get(item.parentId) : undefined
    if (post !== undefined) posts.set(thread, post)
    if (thread !== item.threadId && item.threadId.startsWith('comment/')) orphans.set(item.threadId, thread)
  }
  items.forEach(resolve)
  return { threadNames: threadOf, posts, orphans }
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
  const found = await db.rows<{ lost: number; home: number }>(
    `SELECT l.id AS lost, h.id AS home FROM unnest($2::text[], $3::text[]) AS p (lost, home)
     JOIN threads l ON l.profile_id = $1 AND l.outside_id = p.lost JOIN threads h ON h.profile_id = $1 AND h.outside_id = p.home`,
    [profile.id, [...orphans.keys()], [...orphans.values()].map((home) => lastHome(home, orphans))],
    tx,
  )
  for (const { lost, home } of found) {
    await db.rows(
      'UPDATE entries SET thread_id = $2, analysed_at = NULL WHERE thread_id = $1',
      [lost, home],
      tx,
    )
    await db.rows('UPDATE outside_actions SET thread_id = $2 WHERE thread_id = $1', [lost, home], tx)
    // They belonged to the other thread's versions: told here, but not to be undone.
    await db.rows(
      `UPDATE events SET thread_id = $2, before = NULL, subject_id = CASE WHEN subject = 'thread' THEN $2 ELSE subject_id END WHERE thread_id = $1`,
      [lost, home],
      tx,
    )
    await db.rows(
      'INSERT INTO thread_tags (thread_id, tag_id) SELECT $2, tag_id FROM thread_tags WHERE thread_id = $1 ON CONFLICT DO NOTHING',
      [lost, home],
      tx,
    )
    await db.rows(
      // The thread that stays is not touched without need: analysis writes it at the same time.
      'UPDATE threads h SET given_to = l.given_to FROM threads l WHERE l.id = $1 AND h.id = $2 AND h.given_to IS NULL AND l.given_to IS NOT NULL',
      [lost, home],
      tx,
    )
    await db.rows('DELETE FROM threads WHERE id = $1', [lost], tx)
  }
}

export async function threadIds(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  { threadNames, posts }: ResolvedThreads,
  tx: Tx,
): Promise<Map<string, number>> {
  const threads = new Map<string, { title: string | null; url: string | null }>()
  for (const item of items) {
    const name = threadNames.get(item.outsideId)!
    const known = threads.get(name)
    threads.set(name, {
      title: known?.title ?? item.threadTitle ?? posts.get(name) ?? null,
      url: known?.url ?? item.url ?? null,
    })
  }
  const known = await db.rows<{ id: number; outsideId: string; title: string | null }>(
    'SELECT id, outside_id AS "outsideId", title FROM threads WHERE profile_id = $1 AND outside_id = ANY($2::text[])',
    [profile.id, [...threads.keys()]],
    tx,
  )
  const ids = new Map(known.map((t) => [t.outsideId, t.id]))
  // Threads that are there are left alone, but for a title that was not known: analysis writes them at the same time, and
  // two transactions that each hold what the other wants would end in a deadlock.
  const titled = known.filter((t) => t.title === null && threads.get(t.outsideId)?.title)
  if (titled.length)
    await db.rows(
      'UPDATE threads t SET title = n.title FROM unnest($1::bigint[], $2::text[]) AS n (id, title) WHERE t.id = n.id',
      [titled.map((t) => t.id), titled.map((t) => threads.get(t.outsideId)!.title)],
      tx,
    )
  const fresh = [...threads].filter(([name]) => !ids.has(name)).sort(([a], [b]) => (a < b ? -1 : 1))
  if (!fresh.length) return ids
  const found = await db.rows<{ id: number; outsideId: string }>(
    `INSERT INTO threads (brand_id, profile_id, place_id, outside_id, title, url)
     SELECT $1, $2, $3, * FROM unnest($4::text[], $5::text[], $6::text[]) RETURNING id, outside_id AS "outsideId"`,
    [
      profile.brandId,
      profile.id,
      profile.placeId,
      fresh.map(([name]) => name),
      fresh.map(([, t]) => t.title),
      fresh.map(([, t]) => t.url),
    ],
    tx,
  )
  for (const row of found) ids.set(row.outsideId, row.id)
  return ids
}
