import { transition } from '@murrabel/core/inbox'
import { type ReplyDraft, type ThreadChangeAnswer, fieldProblem } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { profileOwner } from './profileOwner.ts'
import { actionByKey } from '../../store/queries/actions/actions.ts'
import {
  insertReplyEntry,
  insertReplyAction,
  type Answered,
  entryToAnswer,
} from '../../store/queries/actions/reply.ts'
import { lockThread, positionOf, unchanged, writeChange } from '../inbox/index.ts'

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
    const repeated = await actionByKey(db, { brandId: reader.brandId, key: draft.key }, tx)
    if (repeated) {
      if (repeated.threadId !== threadId || repeated.text !== draft.text) throw new Refusal('keyUsed')
      return unchanged(thread)
    }
    if (thread.edition !== draft.edition && !draft.anyway) throw new Refusal('threadChanged')
    const answered = await entryToAnswer(db, threadId, tx)
    checkReply(reader, answered, draft)
    const { channel, kind, outsideThread, outsideEntry, profileId } = answered
    const entry = await insertReplyEntry(
      db,
      { threadId, channel, kind, text: draft.text, at: new Date(now()), isPrivate: answered.private },
      tx,
    )
    const action = await insertReplyAction(
      db,
      {
        brandId: reader.brandId,
        profileId,
        threadId,
        entryId: entry!.id,
        key: draft.key,
        target: { threadId: outsideThread, entryId: outsideEntry, kind },
        payload: { text: draft.text },
        colleagueId: reader.colleagueId,
      },
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
    await due.ask({ kind: 'act', subject: action.id, owner: profileOwner(profileId) }, tx)
    return change
  })
}

function checkReply(
  reader: Reader,
  target: Answered | undefined,
  draft: ReplyDraft,
): asserts target is Answered & { profileId: number } {
  const capabilities = target && accountConnectorOf(target.channel)?.capabilities
  if (
    !target?.outsideEntry ||
    target.profileId === null ||
    // An account that answers for a search may be closed to whoever sees what the search found.
    !mayAccess(reader, { placeId: target.profilePlace, profileId: target.profileId }) ||
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
