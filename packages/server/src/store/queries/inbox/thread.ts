import { inDoubt } from '../shared/inDoubt.ts'
import { leadId } from '../shared/leadId.ts'
import type { Wish } from '@murrabel/core/meaning'
import type { EntryKind, Sentiment, ThreadState } from '@murrabel/core/lens'
import type { PostAnswer, ThreadAnswer, ThreadEntry, ThreadEventAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import {
  answeringChannel,
  answeringId,
  answeringName,
  answeringPlace,
  answeringProfile,
  answeringStatus,
} from '../shared/answering.ts'
import { authorName, called, handleOf } from '../people/called.ts'
import { addAccess, Where } from '../shared/where.ts'

export interface ThreadRow {
  id: number
  edition: number
  title: string | null
  url: string | null
  channel: string
  network: string
  profile: string
  profileId: number
  /** The profile an answer goes out by; null when there is none. */
  answeringId: number | null
  answeringPlace: number | null
  answeringName: string
  answeringChannel: string
  /** The address of another channel at which it is answered. */
  handedTo: string | null
  /** Its id where it is. */
  outsideId: string
  postId: number | null
  profileStatus: string
  placeId: number | null
  state: ThreadState
  setAsideUntil: Date | null
  givenTo: number | null
  teamId: number | null
  /** It was brought into this thread. */
  mergedInto: number | null
  spam: ThreadAnswer['spam']
  dueAt: Date | null
  priority: 0 | 1 | 2
  leadId: number | null
  accountId: number | null
}

/** Pictures of an entry of this alias. */
const picturesOf = (alias: string) => `coalesce((
           SELECT jsonb_agg(jsonb_build_object('id', i.id, 'alt', i.alt) ORDER BY i.position)
           FROM pictures i
           WHERE i.entry_id = ${alias}.id
         ), '[]')`

/** The post that a thread stands under, with what others said there as far as the reader may see it. */
export async function postOfThread(
  db: Database,
  reader: Reader,
  { postId, id }: { postId: number; id: number },
): Promise<PostAnswer | null> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.post_id = ${where.bind(postId)} AND t.id <> ${where.bind(id)}`)
  const [post, sum, said] = await Promise.all([
    db.one<Omit<PostAnswer, 'others' | 'said'>>(
      `SELECT e.id AS "entryId", coalesce(a.name, p.name) AS author, e.title, e.text, e.at, e.url, e.paid, e.likes, e.shares,
         ${picturesOf('e')} AS pictures
       FROM entries e
       JOIN profiles p ON p.id = e.profile_id
       LEFT JOIN accounts a ON a.id = e.account_id
       WHERE e.id = $1 AND e.deleted_at IS NULL`,
      [postId],
    ),
    db.one<{ n: number }>(`SELECT count(*) AS n FROM threads t WHERE ${where.toString()}`, where.values),
    db.rows<PostAnswer['said'][number]>(
      `SELECT t.id AS "threadId", coalesce(${authorName('a')}, '') AS author, left(l.text, 160) AS text, l.at, l.sentiment
       FROM threads t
       JOIN entries l ON l.id = ${leadId} AND l.deleted_at IS NULL
       LEFT JOIN accounts a ON a.id = l.account_id
       WHERE ${where.toString()}
       ORDER BY l.at DESC, l.id DESC
       LIMIT 4`,
      where.values,
    ),
  ])
  // A comment that comes in between the two is in one of them.
  return post ? { ...post, others: Math.max(sum?.n ?? 0, said.length), said } : null
}

/** A thread that the reader may see. */
export function threadById(db: Database, reader: Reader, id: number): Promise<ThreadRow | undefined> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.id = ${where.bind(id)}`)
  return db.one<ThreadRow>(
    `SELECT t.id, t.edition, t.title, t.url, p.channel, p.network, p.name AS profile, p.id AS "profileId",
       ${answeringStatus} AS "profileStatus", ${answeringId} AS "answeringId", ${answeringPlace} AS "answeringPlace",
       ${answeringName} AS "answeringName", ${answeringChannel} AS "answeringChannel", CASE WHEN hp.id IS NOT NULL THEN h.address END AS "handedTo", t.outside_id AS "outsideId", t.post_id AS "postId", t.place_id AS "placeId", t.state, t.set_aside_until AS "setAsideUntil",
       t.given_to AS "givenTo", t.team_id AS "teamId", t.merged_into AS "mergedInto",
       CASE WHEN t.spam_at IS NOT NULL THEN jsonb_build_object('why', t.spam_why, 'like', t.spam_like) END AS spam, t.due_at AS "dueAt", t.priority, l.id AS "leadId", l.account_id AS "accountId"
     FROM threads t
     JOIN profiles p ON p.id = t.profile_id
     ${answeringProfile}
     LEFT JOIN entries l ON l.id = ${leadId}
     WHERE ${where.toString()}`,
    where.values,
  )
}

export type ThreadEntryRow = Omit<ThreadEntry, 'action' | 'changeable' | 'reportable' | 'wish'> & {
  /** It is outside, and was not taken away. */
  stands: boolean
  wish: Wish | null
  wishConfidence: number | null
  channel: string
  actionId: number | null
  actionState: NonNullable<ThreadEntry['action']>['state']
  attempts: number
  error: string | null
  uncertain: boolean
  /** When the network says that it arrived. */
  deliveredAt: Date | null
  sendAt: Date | null
  /** What was given to be sent, where its text here is another. */
  written: string | null
}

/** The newest entries of a thread, oldest first; what was withdrawn before it went out is left out. */
export const entriesOfThread = (
  db: Database,
  threadId: number,
  { limit }: { limit: number },
): Promise<ThreadEntryRow[]> =>
  db.rows<ThreadEntryRow>(
    `SELECT * FROM (
       SELECT e.id, e.channel, e.direction, e.private, e.kind, coalesce(${authorName('a')}, w.name, '') AS author, e.title, e.text, e.rating, e.at,
         e.deleted_at AS "deletedAt", e.erased,
         coalesce((
           SELECT jsonb_agg(jsonb_build_object('title', d.title, 'text', d.text, 'rating', d.rating, 'until', d.until) ORDER BY d.until, d.id)
           FROM entry_edits d
           WHERE d.entry_id = e.id
         ), '[]') AS edits,
         e.likes, e.shares, ${picturesOf('e')} AS pictures,
         e.language, e.sentiment, c.name AS "correctedBy", e.confidence, e.spans,
         ${inDoubt('e')} AS doubt, e.wish, e.wish_confidence AS "wishConfidence",
         e.wants_answer AS "wantsAnswer", e.stars_differ AS contradicts, e.url, e.undated,
         h.change, r.report, e.outside_id IS NOT NULL AND e.deleted_at IS NULL AS stands,
         o.id AS "actionId", o.state AS "actionState", o.attempts, o.error, o.uncertain,
         CASE WHEN b.state = 'delivered' THEN b.at END AS "deliveredAt", o.send_at AS "sendAt",
         CASE WHEN o.payload->>'text' <> e.text THEN o.payload->>'text' END AS written,
         CASE
           WHEN m.entry_id IS NOT NULL THEN m.envelope || jsonb_build_object(
             'folded', m.folded, 'html', m.html IS NOT NULL, 'automatic', m.automatic, 'doubt', m.doubt, 'filesLeftOut', m.files_left_out)
           -- Of an answer of ours: whom it goes to.
           WHEN o.target ? 'answerTo' THEN jsonb_build_object(
             'from', NULL, 'to', o.target->'answerTo'->'to', 'cc', o.target->'answerTo'->'cc',
             'folded', '', 'html', false, 'automatic', NULL, 'doubt', NULL, 'filesLeftOut', 0)
         END AS mail,
         coalesce((
           SELECT jsonb_agg(jsonb_build_object('id', f.id, 'name', f.name, 'type', f.type, 'bytes', f.bytes,
             'width', f.width, 'height', f.height, 'inline', f.cid IS NOT NULL AND f.width IS NOT NULL) ORDER BY f.position, f.id)
           FROM attachments f
           WHERE f.entry_id = e.id
         ), '[]') AS attachments
       FROM entries e
       LEFT JOIN accounts a ON a.id = e.account_id
       LEFT JOIN outside_actions o ON o.entry_id = e.id AND o.kind = 'reply'
       LEFT JOIN LATERAL (
         SELECT jsonb_build_object('id', r.id, 'state', r.state, 'error', r.error, 'reason', r.payload->>'reason', 'at', r.created_at) AS report
         FROM outside_actions r
         WHERE r.entry_id = e.id AND r.kind = 'report' AND r.state <> 'cancelled'
         ORDER BY r.id DESC
         LIMIT 1
       ) r ON true
       LEFT JOIN LATERAL (
         SELECT jsonb_build_object('id', h.id, 'kind', h.kind, 'state', h.state, 'error', h.error, 'text', h.payload->>'text') AS change
         FROM outside_actions h
         WHERE h.entry_id = e.id AND h.kind IN ('edit', 'remove') AND h.state NOT IN ('sent', 'cancelled')
         ORDER BY h.id DESC
         LIMIT 1
       ) h ON true
       LEFT JOIN mails m ON m.entry_id = e.id
       LEFT JOIN delivery_reports b ON b.profile_id = e.profile_id AND b.outside_id = e.outside_id
       LEFT JOIN colleagues c ON c.id = e.corrected_by
       LEFT JOIN colleagues w ON w.id = o.colleague_id
       WHERE e.thread_id = $1 AND (o.state IS NULL OR o.state <> 'cancelled' OR o.uncertain)
       ORDER BY e.at DESC, e.id DESC
       LIMIT $2
     ) newest
     ORDER BY at, id`,
    [threadId, limit],
  )

/** What was done with a thread lately and not undone, newest first. */
export const eventsOfThread = (db: Database, threadId: number): Promise<ThreadEventAnswer[]> =>
  db.rows<ThreadEventAnswer>(
    `SELECT v.id, v.kind, v.actor, c.name AS by, v.at, v.detail
     FROM events v
     LEFT JOIN colleagues c ON c.id = v.colleague_id
     WHERE v.thread_id = $1 AND v.undone_at IS NULL
     ORDER BY v.id DESC
     LIMIT 20`,
    [threadId],
  )

export const tagsOfThread = (db: Database, threadId: number): Promise<{ id: number }[]> =>
  db.rows<{ id: number }>('SELECT tag_id AS id FROM thread_tags WHERE thread_id = $1 ORDER BY 1', [threadId])

export interface LeadRow {
  kind: EntryKind
  sentiment: Sentiment
  rating: number | null
  reach: number
  at: Date
  private: boolean
  paid: boolean
  /** Its author wants to hear nothing more from us there. */
  stopped: boolean
}

/** The entry by which a thread is shown. */
export const leadById = (db: Database, id: number): Promise<LeadRow | undefined> =>
  db.one<LeadRow>(
    `SELECT e.kind, e.sentiment, e.rating, e.reach, e.at, e.private, e.paid, coalesce(a.contact_wish = 'stop', false) AS stopped
     FROM entries e
     LEFT JOIN accounts a ON a.id = e.account_id
     WHERE e.id = $1`,
    [id],
  )

/** The watches that have found an entry, with the words they matched. */
export const watchesOfEntry = (db: Database, id: number): Promise<ThreadAnswer['watches']> =>
  db.rows<ThreadAnswer['watches'][number]>(
    `SELECT w.id, w.name, m.spans AS hits
     FROM mentions m
     JOIN watches w ON w.id = m.watch_id
     WHERE m.entry_id = $1 AND w.deleted_at IS NULL
     ORDER BY w.name`,
    [id],
  )

/** Who is behind an account: their id and name, and the account's own handle, address or number where that is not their name. */
export const personBehind = (db: Database, account: number) =>
  db.one<{ id: number; name: string; handle: string | null }>(
    `SELECT p.id, ${called('p')} AS name, nullif(${handleOf('a')}, ${called('p')}) AS handle
     FROM accounts a
     JOIN people p ON p.id = a.shown_as
     WHERE a.id = $1`,
    [account],
  )

type SaidBefore = NonNullable<ThreadAnswer['person']>['before'][number]

/** What a person has said, as far as the reader may see it: how often and since when, and lately in other threads. */
export async function saidBefore(
  db: Database,
  reader: Reader,
  { person, threadId }: { person: number; threadId: number },
): Promise<{ since: Date | null; count: number; before: SaidBefore[] }> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(
    `e.account_id = ANY(ARRAY(SELECT id FROM accounts WHERE shown_as = ${where.bind(person)})) AND e.direction = 'in'`,
  )
  const [sum, before] = await Promise.all([
    db.one<{ since: Date | null; count: number }>(
      `SELECT min(e.at) AS since, count(*) AS count FROM entries e WHERE ${where.toString()}`,
      [...where.values],
    ),
    db.rows<SaidBefore>(
      `SELECT e.id, e.thread_id AS "threadId", left(e.text, 200) AS text, e.at, e.sentiment, e.channel, e.rating
       FROM entries e
       WHERE ${where.toString()} AND e.thread_id <> ${where.bind(threadId)}
       ORDER BY e.at DESC
       LIMIT 5`,
      where.values,
    ),
  ])
  return { since: sum?.since ?? null, count: sum?.count ?? 0, before }
}

/** Null where there is no such thread. */
export const brandOfThread = async (db: Database, id: number, tx?: Tx): Promise<number | null> =>
  (await db.one<{ brandId: number }>('SELECT brand_id AS "brandId" FROM threads WHERE id = $1', [id], tx))
    ?.brandId ?? null
