import type { Context } from '../../context.ts'
import type { Tx } from '../../store/database.ts'
import type { CleanItem } from '../intake/cleanItem.ts'
import type { IngestProfile } from '../intake/ingestProfile.ts'
import { hoursOf, refreshThreads } from '../inbox/refresh.ts'
import { lockAction, moveAction } from './store.ts'

const isKey = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

/**
 * Our own answers that come back from the network: what stands there is sent, also where its confirmation never came, it
 * was given up, or somebody called it back. Their entries get their outside ids.
 *
 * @returns outside ids of items that are entries of ours already
 */
export async function confirmOwn(
  { db, now }: Pick<Context, 'db' | 'now'>,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<Set<string>> {
  const keyed = items.filter((item) => item.direction === 'out' && item.replyKey && isKey.test(item.replyKey))
  if (!keyed.length) return new Set()
  const known = await db.rows<{ id: number; key: string }>(
    'SELECT id, key FROM outside_actions WHERE profile_id = $1 AND key = ANY($2::uuid[]) ORDER BY id',
    [profile.id, keyed.map((item) => item.replyKey)],
    tx,
  )
  const own = new Set<string>()
  const back: number[] = []
  for (const { id, key } of known) {
    const item = keyed.find((each) => each.replyKey?.toLowerCase() === key)!
    const action = await lockAction(db, id, tx)
    if (!action || action.entryId === null) continue
    await moveAction(db, action, { kind: 'confirm' }, { outsideId: item.outsideId }, tx)
    if ((action.state === 'failed' || action.state === 'cancelled') && action.threadId !== null)
      back.push(action.threadId)
    await db.rows(
      'DELETE FROM entries WHERE profile_id = $1 AND outside_id = $2 AND id <> $3',
      [profile.id, item.outsideId, action.entryId],
      tx,
    )
    await db.rows(
      'UPDATE entries SET outside_id = $2, url = coalesce($3, url) WHERE id = $1 AND outside_id IS DISTINCT FROM $2',
      [action.entryId, item.outsideId, item.url ?? null],
      tx,
    )
    own.add(item.outsideId)
  }
  if (back.length) await refreshThreads(db, back, await hoursOf(db, profile.brandId, tx), now(), tx)
  return own
}
