import { transition } from '@murrabel/core/inbox'
import { fieldProblem, type ChangeReplyDraft, type TakeBackDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { actionByKey, lockAction, type OutsideAction } from '../../store/queries/actions/actions.ts'
import {
  insertChange,
  openChanges,
  setOwnText,
  setTakenBack,
  standingEntry,
  type StandingEntry,
} from '../../store/queries/actions/changes.ts'
import { lockThreadById } from '../../store/queries/inbox/change.ts'
import { lockThread, positionOf, writeChange } from '../inbox/index.ts'
import { profileOwner } from './profileOwner.ts'
import { moveAction } from './moveAction.ts'

/** Puts other words in the place of an answer that has gone out; a job does it outside. @throws Refusal replyNotPossible */
export function changeReply(
  context: Context,
  reader: Reader,
  entryId: number,
  { text, key }: ChangeReplyDraft,
): Promise<void> {
  return askForChange(context, reader, entryId, { kind: 'edit', text, key })
}

/** Takes an answer back that has gone out; a job does it outside. @throws Refusal replyNotPossible */
export function takeBackReply(
  context: Context,
  reader: Reader,
  entryId: number,
  { key }: TakeBackDraft,
): Promise<void> {
  return askForChange(context, reader, entryId, { kind: 'remove', key })
}

interface Change {
  kind: 'edit' | 'remove'
  key: string
  text?: string
}

function askForChange(context: Context, reader: Reader, entryId: number, change: Change): Promise<void> {
  const { db, due, live } = context
  const { brandId, colleagueId } = reader
  return db.inTransaction(async (tx) => {
    const seen = await standingEntry(db, { id: entryId, brandId, direction: 'out' }, tx)
    if (!seen) throw new Refusal('notFound')
    await lockThread(db, reader, seen.threadId, tx)
    const own = await standingEntry(db, { id: entryId, brandId, direction: 'out' }, tx)
    if (!own) throw new Refusal('notFound')
    checkChange(own, change)
    const repeated = await actionByKey(db, { brandId, key: change.key }, tx)
    if (repeated) {
      if (repeated.threadId !== own.threadId) throw new Refusal('keyUsed')
      return
    }
    await dropOpenChanges(context, own, tx)
    const action = await insertChange(
      db,
      {
        brandId,
        entry: own,
        kind: change.kind,
        key: change.key,
        payload: { text: change.text ?? own.text },
        colleagueId,
      },
      tx,
    )
    if (!action) throw new Refusal('keyUsed')
    await due.ask({ kind: 'act', subject: action.id, owner: profileOwner(own.profileId) }, tx)
    await live.tell(brandId, { kind: 'thread', threads: [own.threadId] }, tx)
  })
}

function checkChange(own: StandingEntry, { kind, text = '' }: Change): void {
  const connector = accountConnectorOf(own.channel)
  const able = kind === 'edit' ? connector?.change : connector?.takeBack
  if (!connector || !able || own.status === 'disconnected') throw new Refusal('replyNotPossible')
  const most = connector.capabilities.replyLength
  if (text.length > most)
    throw new Refusal('replyTooLong', {
      fields: [fieldProblem('text', 'replyLong', { values: { most, n: text.length } })],
    })
}

/** The newest decision counts; one that is on its way right now is waited for. */
async function dropOpenChanges({ db, due }: Context, own: StandingEntry, tx: Tx): Promise<void> {
  for (const { id } of await openChanges(db, own.id, tx)) {
    const action = await lockAction(db, id, tx)
    const moved = action && (await moveAction(db, action, { kind: 'cancel', anyway: true }, {}, tx))
    if (moved && !moved.changed && moved.reason === 'sending') throw new Refusal('beingSent')
    await due.drop('act', [id], tx)
  }
}

/** What a change that stands outside means here; an answer that was taken back leaves its thread open. */
export async function confirmChange(
  parts: Pick<Context, 'db' | 'live' | 'now' | 'due'>,
  action: OutsideAction,
  tx: Tx,
): Promise<void> {
  const { db, now } = parts
  // What becomes of a report is the network's decision.
  if (action.entryId === null || action.kind === 'report') return
  const at = new Date(now())
  if (action.kind === 'edit')
    return setOwnText(db, { entryId: action.entryId, text: action.payload.text, at }, tx)
  await setTakenBack(db, { entryId: action.entryId, at }, tx)
  const thread = action.threadId === null ? undefined : await lockThreadById(db, action.threadId, tx)
  if (!thread) return
  const moved = transition(positionOf(thread), { kind: 'reopen' }, now())
  const actor =
    action.colleagueId === null
      ? ({ brandId: action.brandId, actor: 'system' } as const)
      : { brandId: action.brandId, colleagueId: action.colleagueId }
  await writeChange(
    parts,
    actor,
    thread,
    {
      kind: 'takenBack',
      next: moved.changed ? moved.next : undefined,
      detail: { action: action.id },
      final: true,
    },
    tx,
  )
}
