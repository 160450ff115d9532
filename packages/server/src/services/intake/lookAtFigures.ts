import { connectorOf, NetworkFailure } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Profile } from '../../store/models/index.ts'
import { growingEntries, setFigures } from '../../store/queries/intake/figures.ts'
import { withProfileKey } from '../connections/index.ts'
import { cleanCount } from './cleanItem.ts'

/** Likes and views come in the first days; later ones are not asked for. */
const days = 14
/** Entries asked for in one round, in one request, whose address takes so many characters of ids. */
const most = 100
const idsLength = 4000

/** Asks the network how often what was said lately has been liked, shared and seen since. */
export async function lookAtFigures(context: Context, profile: Profile): Promise<void> {
  const { db, live, log } = context
  const connector = connectorOf(profile)
  if (!connector?.figures) return
  const entries = await growingEntries(db, {
    brandId: profile.brandId,
    profileId: profile.id,
    days,
    limit: most,
  })
  if (!entries.length) return
  let length = 0
  const ids = entries
    .map(({ outsideId }) => outsideId)
    .filter((id) => (length += encodeURIComponent(id).length + 1) <= idsLength)
  try {
    const told = await withProfileKey(context, profile.id, (p, http) => connector.figures!(p, ids, http))
    const figures = told.map(({ outsideId, likes, shares, reach }) => ({
      outsideId,
      likes: cleanCount(likes),
      shares: cleanCount(shares),
      reach: cleanCount(reach),
    }))
    const changed = await setFigures(db, { profileId: profile.id, figures })
    if (changed.length)
      await live.tell(profile.brandId, {
        kind: 'thread',
        threads: [...new Set(changed.map(({ threadId }) => threadId))],
      })
  } catch (error) {
    // What was said is in; how often it was liked comes with the next round.
    if (!(error instanceof NetworkFailure)) throw error
    log.info({ profile: profile.id, message: error.message }, 'figures were not told')
  }
}
