import { NetworkFailure, searchId, type ConnectorProfile, type NetworkHttp } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Profile } from '../../store/models/index.ts'
import { refreshKey } from './oauth.ts'
import { sealKey, unsealKey } from './profileKey.ts'
import { searchTerms } from './searches.ts'
import { beginOutage } from '../../store/queries/profiles/outages.ts'
import { holdKey } from '../../store/queries/profiles/profiles.ts'

/** Base address of the profile's network; of a feed, its own. */
export function addressOf(
  { config }: Pick<Context, 'config'>,
  { network, outsideId }: Pick<Profile, 'network' | 'outsideId'>,
): string {
  return config.networks.find((n) => n.network === network)?.address ?? outsideId
}

/** What a connector needs to know of a profile, without its key. */
export const connectorProfile = (
  context: Pick<Context, 'config'>,
  profile: Pick<Profile, 'id' | 'outsideId' | 'network' | 'name'>,
): ConnectorProfile => ({
  id: profile.id,
  name: profile.name,
  outsideId: profile.outsideId,
  address: addressOf(context, profile),
  accessToken: '',
})

/**
 * Does something with a profile's key. An expired key is renewed once by its refresh token; when that fails, the profile
 * is marked so that a person renews it, and the failure goes on to the caller.
 */
export async function withProfileKey<T>(
  context: Context,
  profileId: number,
  act: (profile: ConnectorProfile, http: NetworkHttp, channel: string) => Promise<T>,
): Promise<T> {
  const { models, config } = context
  const profile = await models.Profile.findByPk(profileId)
  if (!profile || profile.status === 'disconnected')
    throw new NetworkFailure('refused', 'the profile is disconnected')
  const http = context.httpFor(profile.network === 'feed' ? profile.outsideId : profile.network)
  const terms = profile.outsideId === searchId ? await searchTerms(context.db, profile.brandId) : undefined
  const key = unsealKey(profile.keySealed, config.sealingKey)
  const run = (accessToken: string) =>
    act({ ...connectorProfile(context, profile), accessToken, terms }, http, profile.channel)
  try {
    return await run(key.access)
  } catch (error) {
    if (!(error instanceof NetworkFailure) || error.kind !== 'keyExpired') throw error
    const access = await renewKey(context, profileId, key.access)
    if (access === null) throw error
    return run(access)
  }
}

/**
 * A key in the place of one that the network refuses; null when there is none. One worker renews at a time, because a
 * refresh token is good for one use: the others take what that one got.
 */
function renewKey(context: Context, profileId: number, refused: string): Promise<string | null> {
  const { db, models, config, live } = context
  return db.inTransaction(async (tx) => {
    await holdKey(db, profileId, tx)
    const profile = await models.Profile.findByPk(profileId, { transaction: tx })
    if (!profile) return null
    const key = unsealKey(profile.keySealed, config.sealingKey)
    if (key.access && key.access !== refused) return key.access
    const renewed = key.refresh ? await refreshKey(context, profile.network, key.refresh) : null
    if (renewed) await profile.update({ keySealed: sealKey(renewed, config.sealingKey) }, { transaction: tx })
    else if (profile.status !== 'disconnected') {
      await profile.update(
        { status: 'expired', error: 'The network no longer accepts the key.' },
        { transaction: tx },
      )
      await beginOutage(db, profileId, tx)
      await live.tell(profile.brandId, { kind: 'profiles' }, tx)
    }
    return renewed?.access ?? null
  })
}
