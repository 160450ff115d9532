import type { ApprovalAnswer, ApprovalDraft, DecisionDraft, LogKind } from '@murrabel/contract'
import { may, type Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { giveBackToDraft, giveToApproval } from '../../store/queries/attachments/attachments.ts'
import * as stored from '../../store/queries/approvals/approvals.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { dropDraft } from '../../store/queries/together/drafts.ts'
import { checkReplyFor, filesFor, replyWithin } from '../actions/index.ts'
import { lockThread } from '../inbox/index.ts'
import { record } from '../log/index.ts'
import { notify } from '../together/index.ts'

/** Those whose word may be asked in a thread: owners and leads who may see it, its writer left out. */
async function leadsFor(
  { db }: Pick<Context, 'db'>,
  { brandId, colleagueId }: Reader,
  thread: number,
  tx: Tx,
): Promise<number[]> {
  const leads: number[] = []
  for (const id of await stored.leadsOfBrand(db, brandId, tx)) {
    const member = id === colleagueId ? null : await readerOfMember(db, id, brandId, tx)
    if (member && (await visibleThreads(db, member, [thread], tx)).length) leads.push(id)
  }
  return leads
}

/** What happened stands in the log without a word of the answer, and is told to whoever looks at the thread. */
async function told(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  { kind, thread, id }: { kind: LogKind; thread: number; id: number },
  tx: Tx,
): Promise<ApprovalAnswer> {
  await record(db, reader, { kind, on: ['thread', thread], detail: { approval: id } }, tx)
  await live.tell(reader.brandId, { kind: 'thread', threads: [thread] }, tx)
  return (await stored.approvalsOfThread(db, thread, tx)).find((each) => each.id === id)!
}

/** Keeps an answer until a lead has decided, and tells them. The same key twice asks once. @throws Refusal noLead, approvalWaits, and those of a reply */
export function askApproval(
  context: Context,
  reader: Reader,
  threadId: number,
  draft: ApprovalDraft,
): Promise<ApprovalAnswer> {
  const { db, now } = context
  const { brandId, colleagueId } = reader
  const { text, private: isPrivate = false, finish = true, pattern = null, signOff = null, key } = draft
  return db.inTransaction(async (tx) => {
    const thread = await lockThread(db, reader, threadId, tx)
    const repeated = await stored.approvalByKey(db, { brandId, key }, tx)
    if (repeated) {
      const known = (await stored.approvalsOfThread(db, threadId, tx)).find(({ id }) => id === repeated.id)
      if (!known || known.text !== text) throw new Refusal('keyUsed')
      return known
    }
    const leads = await leadsFor(context, reader, threadId, tx)
    const of = draft.of ?? null
    if (of === null ? !leads.length : !leads.includes(of)) throw new Refusal('noLead')
    await checkReplyFor(context, reader, { threadId, text, isPrivate, signOff, pattern, key }, tx)
    const asked = await stored.insertApproval(
      db,
      {
        brandId,
        thread: threadId,
        by: colleagueId,
        of,
        text,
        private: isPrivate,
        finish,
        pattern,
        signOff,
        comment: draft.comment ?? '',
        key,
        at: new Date(now()),
      },
      tx,
    )
    if (!asked) throw new Refusal('approvalWaits')
    const ids = [...new Set(draft.attachments)]
    await filesFor(context, reader, { threadId, ids }, tx)
    await giveToApproval(db, { ids, approval: asked.id }, tx)
    await dropDraft(db, { thread: threadId, colleagueId }, tx)
    const to = (of === null ? leads : [of]).map((whom) => ({ whom, thread: thread.id }))
    await notify(context, { brandId, kind: 'asked', to, by: colleagueId }, tx)
    return told(context, reader, { kind: 'askApproval', thread: threadId, id: asked.id }, tx)
  })
}

/** One of a thread that the reader may see, which nobody has decided about. @throws Refusal notFound, approvalDecided */
async function waiting({ db }: Context, reader: Reader, id: number, tx: Tx): Promise<stored.Approval> {
  const approval = await stored.lockApproval(db, { id, brandId: reader.brandId }, tx)
  if (!approval || !(await visibleThreads(db, reader, [approval.threadId], tx)).length)
    throw new Refusal('notFound')
  if (approval.state !== 'asked') throw new Refusal('approvalDecided')
  return approval
}

/**
 * Approves an answer, which goes out in its writer's name, with other words or as it is; or returns it with a word. Nobody approves
 * their own.
 *
 * @throws Refusal notFound, approvalDecided, notAllowed, and those of a reply
 */
export function decideApproval(
  context: Context,
  reader: Reader,
  id: number,
  { approve, text = '', word = '' }: DecisionDraft,
): Promise<ApprovalAnswer> {
  const { db, now } = context
  return db.inTransaction(async (tx) => {
    const approval = await waiting(context, reader, id, tx)
    if (approval.by === reader.colleagueId) throw new Refusal('notAllowed')
    const { threadId, by } = approval
    const sent = text || approval.text
    if (approve)
      await replyWithin(
        context,
        { ...reader, colleagueId: by ?? reader.colleagueId },
        threadId,
        {
          text: sent,
          key: approval.key,
          edition: 0,
          finish: approval.finish,
          private: approval.private,
          attachments: approval.files.map((file) => file.id),
          // Whoever approves has the thread before them.
          anyway: true,
          pattern: approval.pattern,
          signOff: approval.signOff,
          sendAt: null,
        },
        tx,
        { approval: id },
      )
    else await giveBackToDraft(db, { approval: id, thread: threadId }, tx)
    const state = approve ? 'approved' : 'returned'
    const sentText = approve && sent !== approval.text ? sent : null
    await stored.settleApproval(
      db,
      { id, state, by: reader.colleagueId, at: new Date(now()), sentText, word },
      tx,
    )
    if (by !== null)
      await notify(
        context,
        {
          brandId: reader.brandId,
          kind: state,
          to: [{ whom: by, thread: threadId }],
          by: reader.colleagueId,
        },
        tx,
      )
    return told(context, reader, { kind: approve ? 'approveReply' : 'returnReply', thread: threadId, id }, tx)
  })
}

/** Its writer, or a lead, takes it back: nobody need decide any more. @throws Refusal notFound, approvalDecided, notAllowed */
export function takeBackApproval(context: Context, reader: Reader, id: number): Promise<undefined> {
  const { db, now } = context
  return db.inTransaction(async (tx) => {
    const approval = await waiting(context, reader, id, tx)
    if (approval.by !== reader.colleagueId && !may(reader, 'setUp')) throw new Refusal('notAllowed')
    await stored.settleApproval(
      db,
      { id, state: 'takenBack', by: reader.colleagueId, at: new Date(now()), sentText: null, word: '' },
      tx,
    )
    await giveBackToDraft(db, { approval: id, thread: approval.threadId }, tx)
    await told(context, reader, { kind: 'takeBackApproval', thread: approval.threadId, id }, tx)
    return undefined
  })
}
