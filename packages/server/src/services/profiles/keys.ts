import { NetworkFailure, type ConnectorProfile, type NetworkHttp } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Profile } from '../../store/models/index.ts'
import { refreshKey } from './oauth.ts'
import { sealKey, unsealKey } from './profileKey.ts'
import { searchId, searchTerms } from './searches.ts'

/** Base address of the profile's network; of a feed, its own. */
export function addressOf(
  { config }: Pick<Context, 'config'>,
  { network, outsideId }: Pick<Profile, 'network' | 'outsideId'>,
): string {
  return config.networks.find((n) => n.network === network)?.address ?? outsideId
}

/**
 * Does something with a profile's key. An expired key is renewed once by its refresh token; when that fails, the profile
 * is marked so that a person renews it, and the failure goes on to the caller.
 */
export async function withProfileKey<T>(
  context: Context,
  profileId: number,
  act: (profile: ConnectorProfile, http: NetworkHttp) => Promise<T>,
): Promise<T> {
  const { models, config, live } = context
  const profile = await models.Profile.findByPk(profileId)
  if (!profile || profile.status === 'disconnected')
    throw new NetworkFailure('refused', 'the profile is disconnected')
  const http = context.httpFor(profile.network === 'feed' ? profile.outsideId : profile.network)
  const terms = profile.outsideId === searchId ? await searchTerms(context.db, profile.brandId) : undefined
  const key = unsealKey(profile.keySealed, config.sealingKey)
  const run = (accessToken: string) =>
    act(
      {
        id: profile.id,
        outsideId: profile.outsideId,
        address: addressOf(context, profile),
        accessToken,
        terms,
      },
      http,
    )
  try {
    return await run(key.access)
  } catch (error) {
    if (!(error instanceof NetworkFailure) || error.kind !== 'keyExpired') throw error
    const renewed = key.refresh ? await refreshKey(context, profile.network, key.refresh) : null
    if (!renewed) {
      await profile.update({ status: 'expired', error: 'The network no longer accepts the key.' })
      await live.tell(profile.brandId, { kind: 'profiles' })
      throw error
    }
    await profile.update({ keySealed: sealKey(renewed, config.sealingKey) })
    return run(renewed.access)
  }
}
