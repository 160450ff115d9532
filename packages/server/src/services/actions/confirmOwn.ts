import type { Context } from '../../context.ts'
import type { Tx } from '../../store/database.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { moveAction } from './moveAction.ts'
import { lockAction, actionsByKey } from '../../store/queries/actions/actions.ts'
import { removeTwin, setOutsideId } from '../../store/queries/actions/ownEntries.ts'
import { businessHoursOf, refreshThreads } from '../inbox/index.ts'

/** What came in from a network that may be an answer of ours. */
export interface ComingBack {
  outsideId: string
  /** When it was said, in ms. */
  at: number
  direction: 'in' | 'out'
  replyKey?: string
  /** Of a mail nobody knows by its direction whose it is: by its key. */
  mail?: unknown
  url?: string
}

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
  items: readonly ComingBack[],
  tx: Tx,
): Promise<Set<string>> {
  const keyed = items.filter(
    (item) => (item.direction === 'out' || item.mail) && item.replyKey && isKey.test(item.replyKey),
  )
  if (!keyed.length) return new Set()
  const known = await actionsByKey(
    db,
    { profileId: profile.id, keys: keyed.map((item) => item.replyKey) },
    tx,
  )
  const own = new Set<string>()
  const back: number[] = []
  for (const { id, key } of known) {
    const item = keyed.find((each) => each.replyKey?.toLowerCase() === key)!
    const action = await lockAction(db, id, tx)
    if (!action || action.entryId === null) continue
    if (action.outsideId === item.outsideId) {
      // Confirmed before; what became of it since is not undone by hearing of it again.
      own.add(item.outsideId)
      continue
    }
    const at = new Date(Math.min(item.at, now()))
    await moveAction(db, action, { kind: 'confirm' }, { outsideId: item.outsideId, at }, tx)
    if ((action.state === 'failed' || action.state === 'cancelled') && action.threadId !== null)
      back.push(action.threadId)
    await removeTwin(db, { profileId: profile.id, outsideId: item.outsideId, entryId: action.entryId }, tx)
    await setOutsideId(db, { entryId: action.entryId, outsideId: item.outsideId, url: item.url ?? null }, tx)
    own.add(item.outsideId)
  }
  if (back.length) await refreshThreads(db, back, await businessHoursOf(db, profile.brandId, tx), now(), tx)
  return own
}
