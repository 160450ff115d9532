import { newestId } from '../shared/leadId.ts'
import type { Database, Tx } from '../../database.ts'
import {
  answeringChannel,
  answeringId,
  answeringPlace,
  answeringProfile,
  answeringStatus,
} from '../shared/answering.ts'
import type { EntryKind } from '@murrabel/core/lens'

export interface Answered {
  /** Who answers: the profile itself, or an account of ours on the network that was searched; null: nobody can. */
  profileId: number | null
  profilePlace: number | null
  channel: string
  /** By another profile than the thread's, because its customer goes on there. */
  handedOff: boolean
  status: string
  kind: EntryKind
  private: boolean
  outsideThread: string
  outsideEntry: string | null
  /** They want to hear nothing more from us here. */
  stopped: boolean
  /** What the connector gave with it for an answer. */
  answerTo: unknown
  /** Its author's id on the network. */
  author: string | null
}

export const insertReplyEntry = (
  db: Database,
  {
    threadId,
    channel,
    kind,
    text,
    at,
    isPrivate,
    profileId,
  }: {
    threadId: number
    profileId: number | null
    channel: string
    kind: string
    text: string
    at: Date
    isPrivate: boolean
  },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, direction, kind, text, at,
       private, analysed_at)
     SELECT brand_id, coalesce($7, profile_id), place_id, $2, id, 'out', $3, $4, $5, $6, $5
     FROM threads
     WHERE id = $1
     RETURNING id`,
    [threadId, channel, kind, text, at, isPrivate, profileId],
    tx,
  )

export const insertReplyAction = (
  db: Database,
  {
    brandId,
    profileId,
    threadId,
    entryId,
    key,
    target,
    payload,
    colleagueId,
    pattern,
    sendAt,
  }: {
    brandId: number
    profileId: number
    threadId: number
    entryId: number
    key: string
    target: object
    payload: object
    colleagueId: number
    /** That it was begun with. */
    pattern: number | null
    /** Null: at once. */
    sendAt: Date | null
  },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload,
       cause, colleague_id, pattern_id, send_at)
     VALUES ($1, $2, $3, $4, 'reply', $5, $6, $7, 'colleague', $8, $9, $10)
     ON CONFLICT (brand_id, key) DO NOTHING
     RETURNING id`,
    [
      brandId,
      profileId,
      threadId,
      entryId,
      key,
      JSON.stringify(target),
      JSON.stringify(payload),
      colleagueId,
      pattern,
      sendAt,
    ],
    tx,
  )

/** What a reply in a thread answers: its newest entry from outside. */
export const entryToAnswer = (db: Database, threadId: number, tx?: Tx): Promise<Answered | undefined> =>
  db.one<Answered>(
    `SELECT ${answeringId} AS "profileId", ${answeringPlace} AS "profilePlace", ${answeringChannel} AS channel, hp.id IS NOT NULL AS "handedOff", ${answeringStatus} AS status,
       CASE WHEN hp.id IS NULL THEN e.kind ELSE 'message' END AS kind, e.private OR hp.id IS NOT NULL AS private, t.outside_id AS "outsideThread",
       e.outside_id AS "outsideEntry", coalesce(a.contact_wish = 'stop', false) AS stopped,
       CASE
         WHEN hp.id IS NULL OR m.answer_to IS NOT NULL THEN m.answer_to
         -- The first answer elsewhere begins a conversation there; a second goes on with it.
         ELSE jsonb_build_object(
           'to', jsonb_build_array(jsonb_build_object('name', h.name, 'address', h.address)), 'cc', '[]'::jsonb,
           'subject', h.subject, 'quoted', (
             SELECT string_agg(q.text, E'\\n\\n' ORDER BY q.at, q.id)
             FROM entries q
             WHERE q.thread_id = t.id AND q.direction = 'in' AND q.profile_id = t.profile_id AND q.deleted_at IS NULL
               AND q.at > coalesce((SELECT max(o.at) FROM entries o WHERE o.thread_id = t.id AND o.direction = 'out' AND NOT o.withdrawn), '-infinity')
           ), 'messageId', (
             SELECT o.outside_id
             FROM entries o
             WHERE o.thread_id = t.id AND o.profile_id = hp.id AND o.direction = 'out' AND o.outside_id IS NOT NULL
             ORDER BY o.at DESC, o.id DESC
             LIMIT 1
           ), 'references', '[]'::jsonb)
       END AS "answerTo", a.outside_id AS author
     FROM threads t
     JOIN profiles p ON p.id = t.profile_id
     ${answeringProfile}
     JOIN entries e ON e.id = ${newestId}
     LEFT JOIN accounts a ON a.id = e.account_id
     LEFT JOIN mails m ON m.entry_id = e.id
     WHERE t.id = $1 AND (e.deleted_at IS NULL OR hp.id IS NOT NULL)`,
    [threadId],
    tx,
  )
