import type { ActionEvent } from '@murrabel/core/actions'
import { buffer } from 'node:stream/consumers'
import { accountConnectorOf, NetworkFailure, type ReplyAction, type Sent } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { workRules } from '../../jobs/due/kinds.ts'
import { errorText, Postponed, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import { confirmChange } from './changeReply.ts'
import { settleReports } from './delivered.ts'
import { moveAction } from './moveAction.ts'
import { owedAgain } from './owedAgain.ts'
import { lockAction, profileOfAction, sendingLater } from '../../store/queries/actions/actions.ts'
import { holdProfileEntries, removeTwin, setOutsideId } from '../../store/queries/actions/ownEntries.ts'
import type { OutsideAction } from '../../store/queries/actions/actions.ts'
import { filesOfEntry } from '../../store/queries/attachments/attachments.ts'
import { withProfileKey } from '../connections/index.ts'
import { wantsNothing } from '../../store/queries/shared/contactWishes.ts'
import { businessHoursOf, refreshThreads } from '../inbox/index.ts'

/** How long an action waits for a person to renew the key; renewed, it goes at once. */
const keyWaitMs = 300_000

export type AfterFailure =
  | { kind: 'give up'; uncertain: boolean }
  /** To be tried again; a wait that the network asks for, or that a person has to end, is no try. */
  | { kind: 'wait'; waitMs: number; uncertain: boolean }
  | { kind: 'try again'; uncertain: boolean }

/** What becomes of an action whose try failed: a refusal is final, everything else is tried again for a while. */
export function afterFailure(
  failure: Pick<NetworkFailure, 'kind' | 'waitMs' | 'reached'>,
  { last }: { last: boolean },
): AfterFailure {
  switch (failure.kind) {
    case 'refused':
    case 'gone':
      return { kind: 'give up', uncertain: false }
    case 'keyExpired':
      return { kind: 'wait', waitMs: keyWaitMs, uncertain: false }
    case 'rateLimited':
      return { kind: 'wait', waitMs: failure.waitMs ?? 1000, uncertain: false }
    case 'transient':
      return { kind: last ? 'give up' : 'try again', uncertain: failure.reached }
  }
}

/** Carries out one action; what was decided meanwhile, or stands outside already, is left as it is. */
export async function act(context: Context, { id, attempts }: Piece): Promise<WorkOutcome> {
  const later = await sendingLater(context.db, id, new Date(context.now()))
  if (later && later.waitMs > 0) throw new Postponed('it goes out at a chosen time', later.waitMs)
  // What was written before they wrote again may be no answer any more: a person looks first.
  if (later?.wrote) {
    await failed(context, { id }, { kind: 'fail', uncertain: false }, 'held: ')
    return 'done'
  }
  const action = await begin(context, id)
  if (!action) return 'done'
  if (
    action.kind === 'reply' &&
    action.threadId !== null &&
    (await wantsNothing(context.db, action.threadId))
  ) {
    await failed(context, action, { kind: 'fail', uncertain: false }, 'stopped: ')
    return 'done'
  }
  let sent: Sent
  try {
    sent = await send(context, action)
  } catch (error) {
    return settle(context, action, error, attempts >= workRules.act.tries)
  }
  await confirm(context, action, sent)
  return 'done'
}

function begin({ db, live }: Context, id: number): Promise<OutsideAction | null> {
  return db.inTransaction(async (tx) => {
    const action = await lockAction(db, id, tx)
    const moved = action && (await moveAction(db, action, { kind: 'begin' }, {}, tx))
    if (!action || !moved?.changed) return null
    if (action.threadId !== null)
      await live.tell(action.brandId, { kind: 'thread', threads: [action.threadId] }, tx)
    return { ...action, ...moved.next }
  })
}

/** Files that go with an answer, as they lie in the store. */
async function filesOf({ db, files }: Context, entryId: number | null): Promise<ReplyAction['files']> {
  const rows = entryId === null ? [] : await filesOfEntry(db, entryId)
  return Promise.all(
    rows.map(async ({ name, type, file }) => ({ name, type, bytes: await buffer(await files.read(file)) })),
  )
}

async function send(
  context: Context,
  { profileId, target, payload, key, kind, entryId, uncertain }: OutsideAction,
): Promise<Sent> {
  const files = kind === 'reply' ? await filesOf(context, entryId) : []
  return withProfileKey(context, profileId, (profile, http, channel) => {
    const connector = accountConnectorOf(channel)
    if (kind === 'reply' && connector?.send)
      return connector.send(
        profile,
        { ...target, text: payload.text, key, files, maybeSent: uncertain },
        http,
      )
    const sent = { outsideId: target.entryId, at: context.now() }
    if (kind === 'edit' && connector?.change)
      return connector.change(profile, { entryId: target.entryId, text: payload.text }, http).then(() => sent)
    if (kind === 'remove' && connector?.takeBack)
      return connector.takeBack(profile, { entryId: target.entryId }, http).then(() => sent)
    if (kind === 'report' && connector?.report)
      return connector
        .report(
          profile,
          { entryId: target.entryId, reason: payload.reason ?? '', text: payload.text, key },
          http,
        )
        .then(() => sent)
    throw new NetworkFailure('refused', 'this channel does not take this', null, { reached: false })
  })
}

async function settle(
  context: Context,
  action: OutsideAction,
  error: unknown,
  last: boolean,
): Promise<WorkOutcome> {
  const failure =
    error instanceof NetworkFailure
      ? error
      : new NetworkFailure('transient', errorText(error), null, { cause: error })
  if (!(error instanceof NetworkFailure))
    context.log.error({ err: error, action: action.id }, 'an action broke')
  const next = afterFailure(failure, { last })
  const reason = `${failure.kind}: ${errorText(failure)}`
  await failed(
    context,
    action,
    { kind: next.kind === 'give up' ? 'fail' : 'defer', uncertain: next.uncertain },
    reason,
  )
  if (next.kind === 'give up') return 'done'
  if (next.kind === 'wait') throw new Postponed(reason, next.waitMs)
  throw failure
}

/** Notes a failed try; one that was the last opens the thread again, at its old due time. */
export function failed(
  { db, live, now, due }: Context,
  { id }: Pick<OutsideAction, 'id'>,
  event: ActionEvent,
  error: string,
): Promise<void> {
  return db.inTransaction(async (tx) => {
    const action = await lockAction(db, id, tx)
    const moved = action && (await moveAction(db, action, event, { error }, tx))
    if (!action || !moved?.changed || action.threadId === null) return
    const { brandId, threadId } = action
    if (moved.next.state === 'failed' && action.kind === 'reply')
      await owedAgain({ db, live, now, due }, action, 'sendFailed', tx)
    await live.tell(brandId, { kind: 'thread', threads: [threadId] }, tx)
  })
}

/** The entry takes its id on the network; when the network's own copy came in first, that copy makes way. */
async function confirm({ db, live, now, due }: Context, { id }: OutsideAction, sent: Sent): Promise<void> {
  await db.inTransaction(async (tx) => {
    const { profileId } = (await profileOfAction(db, id, tx)) ?? { profileId: 0 }
    // Like a page of the profile that is stored: one at a time.
    await holdProfileEntries(db, profileId, tx)
    const action = await lockAction(db, id, tx)
    if (!action) return
    const before = action.state
    const at = new Date(now())
    const moved = await moveAction(db, action, { kind: 'confirm' }, { outsideId: sent.outsideId, at }, tx)
    if (action.kind !== 'reply') {
      if (moved.changed) await confirmChange({ db, live, now, due }, action, tx)
    } else if (action.entryId !== null) {
      await removeTwin(db, { profileId, outsideId: sent.outsideId, entryId: action.entryId }, tx)
      await setOutsideId(
        db,
        { entryId: action.entryId, outsideId: sent.outsideId, url: sent.url ?? null },
        tx,
      )
      await settleReports(
        { db, live, now, due },
        { id: profileId, brandId: action.brandId },
        [sent.outsideId],
        tx,
      )
    }
    if (!moved.changed || action.threadId === null) return
    // Somebody called it back, or another worker gave it up, while the network took it.
    if (before === 'failed' || before === 'cancelled')
      await refreshThreads(db, [action.threadId], await businessHoursOf(db, action.brandId, tx), now(), tx)
    await live.tell(action.brandId, { kind: 'thread', threads: [action.threadId] }, tx)
  })
}
