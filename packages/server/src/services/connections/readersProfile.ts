import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Profile } from '../../store/models/index.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'

/** A profile that the reader may see. @throws Refusal notFound */
export async function readersProfile(
  { models }: Pick<Context, 'models'>,
  reader: Reader,
  id: number,
): Promise<Profile> {
  const profile = await models.Profile.findOne({ where: { id, brandId: reader.brandId } })
  if (!profile || !mayAccess(reader, { placeId: profile.placeId, profileId: profile.id }))
    throw new Refusal('notFound')
  return profile
}
