import {
  connectorOf,
  FeedError,
  InnerAddressError,
  NetworkFailure,
  TooLargeError,
} from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { ingest } from '../entries/ingest.ts'
import { withProfileKey } from './keys.ts'

export interface CollectHooks {
  /** Called when a page is stored, so that analysis can begin. */
  onStored(): void
}

export type CollectOutcome = 'done' | 'waiting' | 'expired' | 'failing' | 'gone'

/**
 * Fetches everything that is new of one profile, page by page. Each page is stored together with its cursor, so a crash
 * loses at most the page in hand, which is then fetched again and changes nothing twice.
 */
export async function collectProfile(
  context: Context,
  profileId: number,
  { onStored }: CollectHooks,
): Promise<CollectOutcome> {
  const { models, db, live, log } = context
  const profile = await models.Profile.findByPk(profileId)
  const connector = profile && connectorOf(profile.channel)
  if (!profile || !connector || profile.status === 'disconnected') return 'gone'
  const fetchPage = (cursor: string | null) => {
    const page = withProfileKey(context, profileId, (p, http) => connector.collect(p, cursor, http))
    // Its failure is met where the page is waited for, which may be after the page before it failed to be stored.
    page.catch(() => {})
    return page
  }
  let { cursor } = profile
  let coming = fetchPage(cursor)
  try {
    for (;;) {
      const page = await coming
      // The next page is on its way while this one is stored.
      if (page.more) coming = fetchPage(page.cursor)
      const result = await ingest(context, profile, page.items, async (tx, { added }) => {
        await db.rows(
          `UPDATE profiles SET cursor = $2, history_done = CASE WHEN $6 THEN least(history_done + $3, coalesce($4, history_done + $3)) ELSE history_done END,
             history_total = CASE WHEN status = 'collecting' OR $6 THEN coalesce($4, history_total) ELSE history_total END,
             collected_at = now(), error = NULL, status = CASE WHEN status = 'disconnected' THEN status WHEN $5 THEN 'collecting' ELSE 'connected' END WHERE id = $1`,
          [profileId, page.cursor, page.items.length, page.total ?? null, page.more, page.cursor !== cursor],
          tx,
        )
        if (added || page.more || profile.status !== 'connected')
          await live.tell(profile.brandId, { kind: 'profiles' }, tx)
      })
      cursor = page.cursor
      if (result.added || result.changed) onStored()
      if (!page.more) return 'done'
    }
  } catch (error) {
    const outcome = outcomeOf(error)
    log.warn({ profile: profileId, outcome, message: (error as Error).message }, 'collecting stopped')
    if (outcome === 'waiting' || outcome === 'expired') {
      await db.rows('UPDATE profiles SET error = $2 WHERE id = $1', [profileId, (error as Error).message])
      return outcome
    }
    await db.rows(
      `UPDATE profiles SET status = 'failing', error = $2 WHERE id = $1 AND status <> 'disconnected'`,
      [profileId, (error as Error).message],
    )
    await live.tell(profile.brandId, { kind: 'profiles' })
    return outcome
  }
}

/** What an error means for the profile: wait and go on, ask for a key, or say that it does not work. */
export function outcomeOf(error: unknown): CollectOutcome {
  if (error instanceof NetworkFailure) {
    if (error.kind === 'transient' || error.kind === 'rateLimited') return 'waiting'
    return error.kind === 'keyExpired' ? 'expired' : 'failing'
  }
  if (error instanceof FeedError || error instanceof InnerAddressError || error instanceof TooLargeError)
    return 'failing'
  throw error
}
