import { transition } from '@murrabel/core/inbox'
import type { EntryKind } from '@murrabel/core/lens'
import { type ReplyDraft, type ThreadChangeAnswer, fieldProblem } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { connectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { Refusal } from '../../problem.ts'
import { lockThread, positionOf, unchanged, writeChange } from '../inbox/change.ts'
import { profileOwner } from './decide.ts'

interface Answered {
  channel: string
  status: string
  kind: EntryKind
  private: boolean
  outsideThread: string
  outsideEntry: string | null
}

/**
 * Keeps a reply and the intent to send it in one transaction; a job carries it out. The same key twice is one reply.
 *
 * @throws Refusal threadChanged when a colleague or the customer acted since the writer looked, unless `anyway`
 */
export async function reply(
  context: Context,
  reader: Reader,
  threadId: number,
  draft: ReplyDraft,
): Promise<ThreadChangeAnswer> {
  const { db, due, now } = context
  return db.inTransaction(async (tx) => {
    const thread = await lockThread(db, reader, threadId, tx)
    const repeated = await db.one<{ threadId: number; text: string }>(
      `SELECT thread_id AS "threadId", payload->>'text' AS text FROM outside_actions WHERE brand_id = $1 AND key = $2`,
      [reader.brandId, draft.key],
      tx,
    )
    if (repeated) {
      if (repeated.threadId !== threadId || repeated.text !== draft.text) throw new Refusal('keyUsed')
      return unchanged(thread)
    }
    if (thread.version !== draft.version && !draft.anyway) throw new Refusal('threadChanged')
    const answered = await answeredEntry(db, threadId, tx)
    checkReply(answered, draft)
    const { channel, kind, outsideThread, outsideEntry } = answered
    const entry = await db.one<{ id: number }>(
      `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, direction, kind, text, at, private, analysed_at)
       SELECT brand_id, profile_id, place_id, $2, id, 'out', $3, $4, $5, $6, $5 FROM threads WHERE id = $1 RETURNING id`,
      [threadId, channel, kind, draft.text, new Date(now()), answered.private],
      tx,
    )
    const action = await db.one<{ id: number }>(
      `INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload, cause, colleague_id)
       VALUES ($1, $2, $3, $4, 'reply', $5, $6, $7, 'colleague', $8) ON CONFLICT (brand_id, key) DO NOTHING RETURNING id`,
      [
        reader.brandId,
        thread.profileId,
        threadId,
        entry!.id,
        draft.key,
        JSON.stringify({ threadId: outsideThread, entryId: outsideEntry, kind }),
        JSON.stringify({ text: draft.text }),
        reader.colleagueId,
      ],
      tx,
    )
    // The same key in two threads at the same moment.
    if (!action) throw new Refusal('keyUsed')
    const moved = transition(positionOf(thread), { kind: draft.finish ? 'finish' : 'replied' }, now())
    const change = await writeChange(
      context,
      reader,
      thread,
      {
        kind: draft.finish ? 'replyAndFinish' : 'reply',
        next: moved.changed ? moved.next : undefined,
        detail: { entry: entry!.id, action: action.id },
      },
      tx,
    )
    await due.ask({ kind: 'act', subject: action.id, owner: profileOwner(thread.profileId) }, tx)
    return change
  })
}

/** What is answered: the thread's latest incoming entry, by its ids on the network. */
const answeredEntry = (db: Database, threadId: number, tx: Tx): Promise<Answered | undefined> =>
  db.one<Answered>(
    `SELECT p.channel, p.status, e.kind, e.private, t.outside_id AS "outsideThread", e.outside_id AS "outsideEntry"
     FROM threads t JOIN profiles p ON p.id = t.profile_id JOIN entries e ON e.id = t.lead_entry_id WHERE t.id = $1`,
    [threadId],
    tx,
  )

function checkReply(target: Answered | undefined, draft: ReplyDraft): asserts target is Answered {
  const capabilities = target && connectorOf(target.channel)?.capabilities
  if (
    !target?.outsideEntry ||
    !capabilities?.repliesTo.includes(target.kind) ||
    target.status === 'disconnected'
  )
    throw new Refusal('replyNotPossible')
  if (draft.text.length > capabilities.replyLength)
    throw new Refusal('replyTooLong', {
      fields: [
        fieldProblem('text', 'replyLong', {
          values: { most: capabilities.replyLength, n: draft.text.length },
        }),
      ],
    })
}
