import { dropDraft } from '../../store/queries/together/drafts.ts'
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
import { escapeMarkup, plainOf } from '@murrabel/core/markup'
import { signed } from '@murrabel/core/replies'
import { rememberSignOff, signOffById } from '../../store/queries/replies/signOffs.ts'
import { ownPattern } from '../../store/queries/replies/patterns.ts'
import { lockThread, positionOf, unchanged, writeChange } from '../inbox/index.ts'

/**
 * Keeps a reply and the intent to send it in one transaction; a job carries it out. The same key twice is one reply.
 *
 * @throws Refusal threadChanged when a colleague or the customer acted since the writer looked, unless `anyway`
 */
export const reply = (
  context: Context,
  reader: Reader,
  threadId: number,
  draft: ReplyDraft,
): Promise<ThreadChangeAnswer> =>
  context.db.inTransaction((tx) => replyWithin(context, reader, threadId, draft, tx))

/** The same as part of something else. @param approval it waited for a lead's word, and its files with it @throws Refusal as `reply` does */
export async function replyWithin(
  context: Context,
  reader: Reader,
  threadId: number,
  draft: ReplyDraft,
  tx: Tx,
  { approval = null }: { approval?: number | null } = {},
): Promise<ThreadChangeAnswer> {
  const { db, due, now } = context
  const thread = await lockThread(db, reader, threadId, tx)
  const answered = await entryToAnswer(db, threadId, tx)
  const text = await signedText(context, reader, { ...draft, markup: hasMarkup(answered) }, tx)
  const repeated = await actionByKey(db, { brandId: reader.brandId, key: draft.key }, tx)
  if (repeated) {
    if (repeated.threadId !== threadId || repeated.text !== text) throw new Refusal('keyUsed')
    return unchanged(thread)
  }
  if (thread.edition !== draft.edition && !draft.anyway) throw new Refusal('threadChanged')
  checkReply(reader, answered, { ...draft, text })
  const sendAt = timeToSend(draft, now())
  const { channel, kind, outsideThread, outsideEntry, profileId, answerTo, author } = answered
  const entry = await insertReplyEntry(
    db,
    {
      threadId,
      channel,
      kind,
      text: hasMarkup(answered) ? plainOf(text) : text,
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
      payload: { text },
      colleagueId: reader.colleagueId,
      pattern: await ownPattern(db, { brandId: reader.brandId, id: draft.pattern }, tx),
      sendAt,
    },
    tx,
  )
  const ids = [...new Set(draft.attachments)]
  await checkFiles(context, reader, { ids, channel, approval }, tx)
  await giveToEntry(db, { ids, entryId: entry!.id }, tx)
  await dropDraft(db, { thread: threadId, colleagueId: reader.colleagueId }, tx)
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
      detail: { entry: entry!.id, action: action.id, ...(sendAt && { until: sendAt.toISOString() }) },
    },
    tx,
  )
  await due.ask(
    {
      kind: 'act',
      subject: action.id,
      owner: profileOwner(profileId),
      ...(sendAt && { at: sendAt.getTime() }),
    },
    tx,
  )
  return change
}

const hasMarkup = (target: Answered | undefined): boolean =>
  target !== undefined && accountConnectorOf(target.channel)?.capabilities.replyMarkup === true

/** What goes out: the answer with the sign-off under it, which is offered first the next time. @throws Refusal signOffGone */
async function signedText(
  { db }: Context,
  reader: Reader,
  { text, signOff, markup }: Pick<ReplyDraft, 'text' | 'signOff'> & { markup: boolean },
  tx: Tx,
): Promise<string> {
  const { brandId, colleagueId } = reader
  const found = signOff === null ? null : await signOffById(db, reader, signOff, tx)
  if (found === undefined || found?.left) throw new Refusal('signOffGone')
  await rememberSignOff(db, { brandId, colleagueId, signOff }, tx)
  return signed(text, found && markup ? escapeMarkup(found.text) : (found?.text ?? null))
}

/** Furthest ahead that an answer can be sent, milliseconds. */
const sendAtMostMs = 90 * 86_400_000
/** Null: at once. @throws Refusal sendAtPast; a browser's clock may be a minute behind */
function timeToSend({ sendAt }: ReplyDraft, now: number): Date | null {
  if (sendAt === null) return null
  const at = Date.parse(sendAt)
  if (at < now - 60_000 || at > now + sendAtMostMs) throw new Refusal('sendAtPast')
  return at <= now ? null : new Date(at)
}

/** Whether an answer could go out as it is. @throws Refusal as `reply` does */
export async function checkReplyFor(
  context: Context,
  reader: Reader,
  of: {
    threadId: number
    text: string
    isPrivate: boolean
    signOff: number | null
    pattern: number | null
    key: string
  },
  tx: Tx,
): Promise<void> {
  const { text, isPrivate, signOff, pattern, key } = of
  const draft: ReplyDraft = {
    text,
    key,
    signOff,
    pattern,
    private: isPrivate,
    edition: 0,
    finish: true,
    attachments: [],
    anyway: true,
    sendAt: null,
  }
  const answered = await entryToAnswer(context.db, of.threadId, tx)
  const whole = await signedText(context, reader, { ...draft, markup: hasMarkup(answered) }, tx)
  checkReply(reader, answered, { ...draft, text: whole })
}

/** Whether files can go with an answer in a channel; they are held until the transaction ends. @throws Refusal attachmentsNotTaken, attachmentsTooLarge, attachmentLost */
async function checkFiles(
  { db }: Context,
  reader: Reader,
  { ids, channel, approval }: { ids: readonly number[]; channel: string; approval: number | null },
  tx: Tx,
): Promise<void> {
  if (!ids.length) return
  const taken = accountConnectorOf(channel)?.capabilities.files
  if (!taken) throw new Refusal('attachmentsNotTaken')
  const files = await lockWaiting(db, { ids, ...reader, approval }, tx)
  if (files.length < ids.length) throw new Refusal('attachmentLost')
  const bytes = files.reduce((sum, file) => sum + file.bytes, 0)
  if (taken.pictures && files.some(({ type }) => !type.startsWith('image/')))
    throw new Refusal('attachmentsNotTaken')
  if (files.length > taken.most || bytes > taken.bytes) throw new Refusal('attachmentsTooLarge')
}

/** Files that are to go with an answer in a thread, held until the transaction ends. @throws Refusal as `reply` does */
export async function filesFor(
  context: Context,
  reader: Reader,
  { threadId, ids }: { threadId: number; ids: readonly number[] },
  tx: Tx,
): Promise<void> {
  const answered = await entryToAnswer(context.db, threadId, tx)
  if (answered) await checkFiles(context, reader, { ids, channel: answered.channel, approval: null }, tx)
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
