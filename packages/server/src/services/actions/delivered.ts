import { cleanInstant, cleanLine, cleanText } from '@murrabel/core/text'
import type { DeliveryReport } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Tx } from '../../store/database.ts'
import { lockAction } from '../../store/queries/actions/actions.ts'
import { keepReports, reportedActions } from '../../store/queries/actions/deliveryReports.ts'
import { moveAction } from './moveAction.ts'
import { owedAgain } from './owedAgain.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** What the network tells of answers that it took: kept, also of those that are not confirmed yet. */
export async function takeReports(
  parts: Parts,
  profile: { id: number; brandId: number },
  given: readonly DeliveryReport[],
  tx: Tx,
): Promise<void> {
  const reports = given
    .filter(({ outsideId }) => typeof outsideId === 'string' && outsideId)
    .map(({ outsideId, state, reason, at }) => ({
      outsideId: cleanText(outsideId, 300),
      state,
      reason: typeof reason === 'string' ? cleanLine(reason, 300) : null,
      at: new Date(cleanInstant(at, parts.now()) ?? parts.now()),
    }))
  if (!reports.length) return
  await keepReports(parts.db, { profileId: profile.id, reports }, tx)
  await settleReports(
    parts,
    profile,
    reports.map(({ outsideId }) => outsideId),
    tx,
  )
}

/** An answer that did not arrive is one that was not sent: its thread is open again, and it can be tried again. */
export async function settleReports(
  parts: Parts,
  { id: profileId, brandId }: { id: number; brandId: number },
  outsideIds: readonly string[],
  tx: Tx,
): Promise<void> {
  const reported = await reportedActions(parts.db, { profileId, outsideIds }, tx)
  for (const { id, outsideId, failed, reason } of reported) {
    if (!failed) continue
    const action = await lockAction(parts.db, id, tx)
    // Tried again meanwhile, it is another text outside, of which this says nothing.
    if (action?.outsideId !== outsideId) continue
    const error = `undelivered: ${reason ?? ''}`
    const moved = await moveAction(parts.db, action, { kind: 'undelivered' }, { error }, tx)
    if (moved.changed) await owedAgain(parts, { ...action, error }, 'sendFailed', tx)
  }
  const threads = [...new Set(reported.map(({ threadId }) => threadId))]
  if (threads.length) await parts.live.tell(brandId, { kind: 'thread', threads }, tx)
}
