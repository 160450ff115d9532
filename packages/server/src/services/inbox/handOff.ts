import type { HandOffDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { dropHandoff, putHandoff } from '../../store/queries/inbox/handoffs.ts'
import { readersProfile } from '../connections/index.ts'
import { record } from '../log/index.ts'
import { lockThread } from './writeChange.ts'

/**
 * From now on the thread is answered by e-mail: what could not be sent where it was said, or should not be, goes there, and
 * what comes back comes into the same thread.
 *
 * @throws Refusal notFound, noMailProfile
 */
export async function handOffThread(
  context: Context,
  reader: Reader,
  threadId: number,
  { profileId, address, name }: HandOffDraft,
): Promise<void> {
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    await lockThread(db, reader, threadId, tx)
    const profile = await readersProfile(context, reader, profileId).catch(() => null)
    if (profile?.channel !== 'email' || profile.status === 'disconnected') throw new Refusal('noMailProfile')
    await putHandoff(db, { threadId, profileId, address, name }, tx)
    await record(db, reader, { kind: 'handOff', on: ['thread', threadId], detail: { address } }, tx)
    await live.tell(reader.brandId, { kind: 'thread', threads: [threadId] }, tx)
  })
}

/** Answers go where it was said again. @throws Refusal notFound */
export async function takeBackHandOff(
  { db, live }: Context,
  reader: Reader,
  threadId: number,
): Promise<void> {
  await db.inTransaction(async (tx) => {
    await lockThread(db, reader, threadId, tx)
    await dropHandoff(db, threadId, tx)
    await live.tell(reader.brandId, { kind: 'thread', threads: [threadId] }, tx)
  })
}
