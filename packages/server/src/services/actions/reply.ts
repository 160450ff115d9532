import { transition } from '@murrabel/core/inbox'
import { type ReplyDraft, type ThreadChangeAnswer, fieldProblem } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'
import { countText } from '@murrabel/core/texting'
import { accountConnectorOf, type Capabilities } from '../../connectors/index.ts'
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
import { giveToEntry, lockWaiting } from '../../store/queries/attachments/attachments.ts'
import type { Tx } from '../../store/database.ts'
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
    const { channel, kind, outsideThread, outsideEntry, profileId, answerTo, author } = answered
    const entry = await insertReplyEntry(
      db,
      {
        threadId,
        channel,
        kind,
        text: draft.text,
        at: new Date(now()),
        isPrivate: answered.private || draft.private,
        // Its own copy in the other profile's mailbox is the same entry.
        profileId: answered.handedOff ? profileId : null,
      },
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
        target: {
          threadId: outsideThread,
          entryId: outsideEntry,
          kind,
          answerTo: answerTo ?? undefined,
          ...(draft.private && author !== null ? { privatelyTo: author } : {}),
        },
        payload: { text: draft.text },
        colleagueId: reader.colleagueId,
      },
      tx,
    )
    await attach(context, reader, { draft, channel, entryId: entry!.id }, tx)
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

/** The files go with the entry. @throws Refusal attachmentsNotTaken, attachmentsTooLarge, attachmentLost */
async function attach(
  { db }: Context,
  reader: Reader,
  { draft, channel, entryId }: { draft: ReplyDraft; channel: string; entryId: number },
  tx: Tx,
): Promise<void> {
  const ids = [...new Set(draft.attachments)]
  if (!ids.length) return
  const taken = accountConnectorOf(channel)?.capabilities.files
  if (!taken) throw new Refusal('attachmentsNotTaken')
  const files = await lockWaiting(db, { ids, ...reader }, tx)
  if (files.length < ids.length) throw new Refusal('attachmentLost')
  const bytes = files.reduce((sum, file) => sum + file.bytes, 0)
  if (taken.pictures && files.some(({ type }) => !type.startsWith('image/')))
    throw new Refusal('attachmentsNotTaken')
  if (files.length > taken.most || bytes > taken.bytes) throw new Refusal('attachmentsTooLarge')
  await giveToEntry(db, { ids, entryId }, tx)
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
    target.status === 'disconnected' ||
    // What is private already is answered like that anyway.
    (draft.private && (target.private || target.author === null || !capabilities.answersPrivately))
  )
    throw new Refusal('replyNotPossible')
  if (target.stopped) throw new Refusal('contactStopped')
  checkSize(capabilities, draft.text)
}

function checkSize({ replyLength, replyParts }: Capabilities, text: string): void {
  const { parts } = replyParts === undefined ? { parts: 0 } : countText(text)
  if (replyParts !== undefined && parts > replyParts)
    throw new Refusal('replyTooLong', {
      fields: [fieldProblem('text', 'replyParts', { values: { most: replyParts, n: parts } })],
    })
  if (text.length > replyLength)
    throw new Refusal('replyTooLong', {
      fields: [
        fieldProblem('text', 'replyLong', {
          values: { most: replyLength, n: text.length },
        }),
      ],
    })
}
