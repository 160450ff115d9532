import { type PublicProfile, fieldProblem, type FieldReason, type ReasonValues } from '@murrabel/contract'
import { cleanLine } from '@murrabel/core/text'
import type { Reader } from '../../access/reader.ts'
import { NetworkFailure } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  deletePublicProfile,
  insertPublicProfile,
  publicProfilesSeenBy,
} from '../../store/queries/watches/publicProfiles.ts'
import { watchExists } from '../../store/queries/watches/watches.ts'
import { keepLook, lookAgainInMs, lookedNetworks } from '../intake/index.ts'
import { record } from '../log/index.ts'

export async function listPublicProfiles(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
): Promise<PublicProfile[]> {
  const rows = await publicProfilesSeenBy(db, {
    brandId: reader.brandId,
    profileIds: reader.profileIds,
    placeIds: reader.placeIds,
  })
  return rows.map((row) => ({ ...row, lookedAt: row.lookedAt?.toISOString() ?? null }))
}

/**
 * Keeps an eye on a rival's public profile: looked at once before it is kept, so that a wrong address is told here.
 *
 * @throws Refusal publicProfile when the address is none of a known network's, known already, or does not answer as one
 */
export async function addPublicProfile(
  context: Context,
  reader: Reader,
  { address, watchId }: { address: string; watchId: number },
): Promise<PublicProfile> {
  const { db } = context
  const refuse = (reason: FieldReason, values?: ReasonValues, cause?: unknown) =>
    new Refusal(
      'publicProfile',
      { fields: [fieldProblem('address', reason, { values, value: address })] },
      { cause },
    )
  const watch = await watchExists(db, { id: watchId, brandId: reader.brandId })
  if (!watch) throw new Refusal('notFound')
  const url = URL.canParse(address) ? new URL(address) : null
  const known = lookedNetworks(context)
  const found = known.find(({ network }) => new URL(network.address).origin === url?.origin)
  if (!found) throw refuse('otherNetwork', { networks: known.map(({ network }) => network.name).join(', ') })
  const seen = await found
    .look(found.network.address, url!.href, context.httpFor(found.network.network))
    .catch((error: unknown) => {
      if (!(error instanceof NetworkFailure)) throw error
      throw refuse('lookFailed', { said: error.message }, error)
    })
  const row = await insertPublicProfile(db, {
    brandId: reader.brandId,
    watchId,
    channel: found.network.channel,
    network: found.network.network,
    name: cleanLine(seen.name, 120) || url!.href,
    url: seen.url,
  })
  if (!row) throw refuse('lookedAtAlready')
  await keepLook(context, row.id, seen)
  await context.due.ask({
    kind: 'look',
    subject: row.id,
    owner: found.network.network,
    at: context.now() + lookAgainInMs,
  })
  await record(db, reader, {
    kind: 'addPublicProfile',
    on: ['publicProfile', row.id],
    detail: { url: seen.url },
  })
  return (await listPublicProfiles(context, reader)).find(({ id }) => id === row.id)!
}

export async function removePublicProfile(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
): Promise<void> {
  const gone = await deletePublicProfile(db, { id, brandId: reader.brandId })
  if (!gone) throw new Refusal('notFound')
  await record(db, reader, { kind: 'removePublicProfile', on: ['publicProfile', id] })
}
