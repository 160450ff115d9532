import { createHash } from 'node:crypto'
import { connectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { Profile } from '../../store/models/index.ts'
import { connectorProfile } from '../connections/index.ts'
import { toolsOf } from './collect.ts'
import { ingest } from './ingest.ts'

const profilesAt = async ({ models }: Context, addresses: readonly string[]): Promise<Profile[]> => {
  const found = await models.Profile.findAll({
    where: { channel: 'email', outsideId: [...new Set(addresses.map((each) => each.toLowerCase()))] },
  })
  return found.filter(({ status }) => status !== 'disconnected')
}

/** Whether mail to this address is for us. */
export const takesMail = async (context: Context, address: string): Promise<boolean> =>
  (await profilesAt(context, [address])).length > 0

/** Stores a mail that another server brought, for each of its addresses that is a profile; the same mail again changes nothing. */
export async function receiveMail(
  context: Context,
  addresses: readonly string[],
  bytes: Uint8Array,
): Promise<void> {
  for (const profile of await profilesAt(context, addresses)) {
    const parts = await connectorOf(profile)!.receiveMail!(
      connectorProfile(context, profile),
      bytes,
      toolsOf(context),
    )
      // What can be read by nobody is set apart, and not sent back and forth.
      .catch((error: unknown) => ({
        items: [],
        unread: [
          {
            outsideId: createHash('sha256').update(bytes).digest('hex'),
            raw: { header: Buffer.from(bytes.subarray(0, 2000)).toString('latin1') },
            reason: (error as Error).message,
          },
        ],
      }))
    await ingest(context, profile, parts.items, undefined, parts)
    if (profile.status !== 'connected') await profile.update({ status: 'connected', error: null })
    await context.live.tell(profile.brandId, { kind: 'profiles' })
  }
}
