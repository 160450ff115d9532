import { transition } from '@murrabel/core/inbox'
import type { EntryKind } from '@murrabel/core/lens'
import type { ReplyDraft, ThreadChangeAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { connectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { lockThread, writeChange, type LockedThread } from '../threads/change.ts'

interface ReplyTarget {
  channel: string
  status: string
  kind: EntryKind
  private: boolean
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
  const { db, jobs, now } = context
  const answer = await db.inTransaction(async (tx) => {
    const thread = await lockThread(db, reader, threadId, tx)
    const repeated = await db.one<{ threadId: number }>(
      'SELECT thread_id AS "threadId" FROM outbox WHERE key = $1',
      [draft.key],
      tx,
    )
    if (repeated) return answerOf(thread)
    if (thread.version !== draft.version && !draft.anyway) throw new Refusal('threadChanged')
    const target = await db.one<ReplyTarget>(
      `SELECT p.channel, p.status, e.kind, e.private FROM threads t JOIN profiles p ON p.id = t.profile_id JOIN entries e ON e.id = t.lead_entry_id WHERE t.id = $1`,
      [threadId],
      tx,
    )
    checkReply(target, draft)
    const entry = await db.one<{ id: number }>(
      `INSERT INTO entries (brand_id, profile_id, place_id, channel, thread_id, direction, kind, text, at, private, analysed_at)
       SELECT brand_id, profile_id, place_id, $2, id, 'out', $3, $4, $5, $6, $5 FROM threads WHERE id = $1 RETURNING id`,
      [threadId, target!.channel, target!.kind, draft.text, new Date(now()), target!.private],
      tx,
    )
    await db.rows(
      'INSERT INTO outbox (brand_id, profile_id, thread_id, entry_id, key, text, created_by) VALUES ($1, $2, $3, $4, $5, $6, $7)',
      [reader.brandId, thread.profileId, threadId, entry!.id, draft.key, draft.text, reader.colleagueId],
      tx,
    )
    const position = { state: thread.state, setAsideUntil: thread.setAsideUntil?.getTime() ?? null }
    const moved = transition(position, { kind: draft.finish ? 'finish' : 'replied' }, now())
    const state = moved.changed ? moved.next.state : thread.state
    const change = await writeChange(
      context,
      reader,
      thread,
      {
        kind: draft.finish ? 'replyAndFinish' : 'reply',
        state,
        setAsideUntil: null,
        detail: { entry: entry!.id },
      },
      tx,
    )
    await jobs.send(tx)
    return change
  })
  jobs.nudge('send')
  return answer
}

function checkReply(target: ReplyTarget | undefined, draft: ReplyDraft): void {
  const capabilities = target && connectorOf(target.channel)?.capabilities
  if (!target || !capabilities?.repliesTo.includes(target.kind) || target.status === 'disconnected')
    throw new Refusal('replyNotPossible')
  if (draft.text.length > capabilities.replyLength)
    throw new Refusal('replyTooLong', {
      fields: [
        {
          field: 'text',
          code: 'tooLong',
          message: `At most ${capabilities.replyLength} characters fit here; the reply has ${draft.text.length}.`,
        },
      ],
    })
}

const answerOf = (thread: LockedThread): ThreadChangeAnswer => ({
  thread: {
    id: thread.id,
    state: thread.state,
    version: thread.version,
    setAsideUntil: thread.setAsideUntil?.toISOString() ?? null,
    givenTo: thread.givenTo,
  },
  eventId: null,
})
