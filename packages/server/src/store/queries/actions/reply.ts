import type { Database, Tx } from '../../database.ts'
import { answeringId, answeringPlace, answeringProfile, answeringStatus } from '../shared/answering.ts'
import type { EntryKind } from '@murrabel/core/lens'

export interface Answered {
  /** Who answers: the profile itself, or an account of ours on the network that was searched; null: nobody can. */
  profileId: number | null
  profilePlace: number | null
  channel: string
  status: string
  kind: EntryKind
  private: boolean
  outsideThread: string
  outsideEntry: string | null
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
  }: { threadId: number; channel: string; kind: string; text: string; at: Date; isPrivate: boolean },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, direction, kind, text, at,
       private, analysed_at)
     SELECT brand_id, profile_id, place_id, $2, id, 'out', $3, $4, $5, $6, $5
     FROM threads
     WHERE id = $1
     RETURNING id`,
    [threadId, channel, kind, text, at, isPrivate],
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
  }: {
    brandId: number
    profileId: number
    threadId: number
    entryId: number
    key: string
    target: object
    payload: object
    colleagueId: number
  },
  tx?: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload,
       cause, colleague_id)
     VALUES ($1, $2, $3, $4, 'reply', $5, $6, $7, 'colleague', $8)
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
    ],
    tx,
  )

/** What a reply in a thread answers: its newest entry from outside. */
export const entryToAnswer = (db: Database, threadId: number, tx?: Tx): Promise<Answered | undefined> =>
  db.one<Answered>(
    `SELECT ${answeringId} AS "profileId", ${answeringPlace} AS "profilePlace", p.channel, ${answeringStatus} AS status, e.kind, e.private, t.outside_id AS "outsideThread",
       e.outside_id AS "outsideEntry"
     FROM threads t
     JOIN profiles p ON p.id = t.profile_id
     ${answeringProfile}
     JOIN entries e ON e.id = t.lead_entry_id
     WHERE t.id = $1 AND e.deleted_at IS NULL`,
    [threadId],
    tx,
  )
