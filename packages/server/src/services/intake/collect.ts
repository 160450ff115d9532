import {
  connectorOf,
  FeedError,
  type CollectTools,
  InnerAddressError,
  NetworkFailure,
  TooLargeError,
} from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { errorText, Postponed, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import type { Profile } from '../../store/models/index.ts'
import { ingest } from './ingest.ts'
import { lookAtFigures } from './lookAtFigures.ts'
import { lookAtOwn } from './lookAtProfiles.ts'
import { setCollectFailure, setCollected } from '../../store/queries/profiles/collecting.ts'
import { beginOutage, endOutage } from '../../store/queries/profiles/outages.ts'
import { withProfileKey } from '../connections/index.ts'

/** What connectors have done beside the server's own thread. */
export const toolsOf = ({ fileWorker }: Pick<Context, 'fileWorker'>): CollectTools => ({
  parseFeed: (document) => fileWorker.ask({ kind: 'feed', document }),
  readMail: (bytes) => fileWorker.ask({ kind: 'mail', bytes }),
})

const minute = 60_000
/** How often each kind of profile is looked at without being told: where no webhook comes, and in case one was lost. */
const everyMs = { other: 10 * minute, failing: 6 * 60 * minute }

/** Not looked at for so long, something may have passed by. */
const unseenMs = 60 * minute

/** What an error means for the profile: wait and go on, ask for a key, or say that it does not work. */
export type CollectFailure = 'waiting' | 'expired' | 'failing'

export function failureOf(error: unknown): CollectFailure | null {
  if (error instanceof NetworkFailure) {
    if (error.kind === 'transient' || error.kind === 'rateLimited') return 'waiting'
    return error.kind === 'keyExpired' ? 'expired' : 'failing'
  }
  if (error instanceof FeedError || error instanceof InnerAddressError || error instanceof TooLargeError)
    return 'failing'
  return null
}

/** Whose turn it is when this profile is collected: those of one network share its patience. */
export const collectOwner = ({ network, outsideId }: Pick<Profile, 'network' | 'outsideId'>): string =>
  network === 'feed' && URL.canParse(outsideId) ? new URL(outsideId).host : network

/** Fetches everything that is new of one profile, and says when to look again. */
export async function collectProfile(context: Context, { id, signal }: Piece): Promise<WorkOutcome> {
  const { models, db, live, log } = context
  const profile = await models.Profile.findByPk(id)
  if (!profile || !connectorOf(profile) || profile.status === 'disconnected') return 'done'
  if (profile.status === 'expired') return 'done'
  try {
    const { passesBy } = connectorOf(profile)!.capabilities
    // Where everything comes in afterwards, nothing is lost by looking late.
    if (passesBy && profile.collectedAt && Date.now() - profile.collectedAt.getTime() > unseenMs)
      await beginOutage(db, id)
    await collectPages(context, profile, signal)
    await lookAtFigures(context, profile)
    if (profile.url) await lookAtOwn(context)
    const { lookEverySeconds: seconds } = connectorOf(profile)!.capabilities
    return { againInMs: seconds ? seconds * 1000 : everyMs.other }
  } catch (error) {
    const failure = failureOf(error)
    const message = errorText(error)
    log.warn({ profile: id, failure, message }, 'collecting stopped')
    // Expired keys are noted where they were met.
    if (failure === 'expired') return 'done'
    await setCollectFailure(db, {
      id,
      error: failure === null ? 'Something here could not be done; it is tried again.' : message,
      failing: failure === 'failing',
    })
    await live.tell(profile.brandId, { kind: 'profiles' })
    if (failure === 'failing') return { againInMs: everyMs.failing, note: message }
    if (error instanceof NetworkFailure && error.kind === 'rateLimited')
      throw new Postponed(message, error.waitMs ?? 1000, { cause: error })
    throw error
  }
}

/**
 * Page by page: each is stored together with its cursor, so a crash loses at most the page in hand, which is then fetched
 * again and changes nothing twice.
 */
async function collectPages(context: Context, profile: Profile, signal: AbortSignal): Promise<void> {
  const { db, live } = context
  const connector = connectorOf(profile)!
  const tools = toolsOf(context)
  const fetchPage = (cursor: string | null) => {
    const page = withProfileKey(context, profile.id, (p, http) => connector.collect(p, cursor, http, tools))
    // Its failure is met where the page is waited for, which may be after the page before it failed to be stored.
    page.catch(() => {})
    return page
  }
  let { cursor } = profile
  let coming = fetchPage(cursor)
  for (;;) {
    const page = await coming
    signal.throwIfAborted()
    if (typeof page.cursor !== 'string' || (page.more && page.cursor === cursor))
      throw new NetworkFailure('transient', 'the network answers the same page again and again')
    // The next page is on its way while this one is stored.
    if (page.more) coming = fetchPage(page.cursor)
    await ingest(
      context,
      profile,
      page.items,
      async (tx, { added, apart }) => {
        await setCollected(
          db,
          {
            id: profile.id,
            cursor: page.cursor,
            items: page.items.length,
            total: totalOf(page.total),
            more: page.more,
            moved: page.cursor !== cursor,
          },
          tx,
        )
        // Where one of what is shown was known already, nothing passed by unseen.
        const seenBefore = !page.items.length || added + apart < page.items.length
        const complete = !connector.capabilities.passesBy || seenBefore
        if (!page.more) await endOutage(db, { profileId: profile.id, complete }, tx)
        if (added || apart || page.more || profile.status !== 'connected' || profile.error)
          await live.tell(profile.brandId, { kind: 'profiles' }, tx)
      },
      page,
    )
    cursor = page.cursor
    if (!page.more) return
  }
}

/** What a network says of its size, where that is a size. */
const totalOf = (total: unknown): number | null =>
  typeof total === 'number' && total >= 0 && total <= 2_000_000_000 ? Math.round(total) : null
