import type { ReportDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { actionByKey } from '../../store/queries/actions/actions.ts'
import { insertChange, standingEntry } from '../../store/queries/actions/changes.ts'
import { lockThread } from '../inbox/index.ts'
import { profileOwner } from './profileOwner.ts'

/**
 * Tells a network that a review should not stand there; a job does it, and the network decides. What is removed then comes
 * back as a deletion like any other.
 *
 * @throws Refusal notFound, reportNotPossible
 */
export function reportEntry(
  { db, due, live }: Context,
  reader: Reader,
  entryId: number,
  { reason, text, key }: ReportDraft,
): Promise<void> {
  const { brandId, colleagueId } = reader
  return db.inTransaction(async (tx) => {
    const entry = await standingEntry(db, { id: entryId, brandId, direction: 'in' }, tx)
    if (!entry) throw new Refusal('notFound')
    await lockThread(db, reader, entry.threadId, tx)
    const able = entry.kind === 'review' && accountConnectorOf(entry.channel)?.capabilities.reports
    if (!able || entry.status === 'disconnected') throw new Refusal('reportNotPossible')
    const repeated = await actionByKey(db, { brandId, key }, tx)
    if (repeated) {
      if (repeated.threadId !== entry.threadId) throw new Refusal('keyUsed')
      return
    }
    const action = await insertChange(
      db,
      { brandId, entry, kind: 'report', key, payload: { text, reason }, colleagueId },
      tx,
    )
    if (!action) throw new Refusal('keyUsed')
    await due.ask({ kind: 'act', subject: action.id, owner: profileOwner(entry.profileId) }, tx)
    await live.tell(brandId, { kind: 'thread', threads: [entry.threadId] }, tx)
  })
}
