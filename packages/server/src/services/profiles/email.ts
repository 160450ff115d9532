import { type EmailDraft, fieldProblem, type ProfileAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import {
  accountConnectorOf,
  NetworkFailure,
  type MailServer,
  type MailSettings,
} from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addressElsewhere } from '../../store/queries/profiles/profiles.ts'
import { unsealKey } from '../connections/index.ts'
import { profileAnswer, putProfile } from './profiles.ts'

const network = 'email'

/** Which server failed, and how, as fields of the form. */
async function tried(part: 'imap' | 'smtp', check: () => Promise<void>): Promise<void> {
  try {
    await check()
  } catch (error) {
    if (!(error instanceof NetworkFailure)) throw error
    const isKey = error.kind === 'keyExpired'
    throw new Refusal(
      'mailServer',
      {
        fields: [
          fieldProblem(`${part}.${isKey ? 'password' : 'host'}`, isKey ? 'mailSignIn' : 'mailAnswered', {
            values: { said: error.message.slice(0, 200) },
          }),
        ],
      },
      { cause: error },
    )
  }
}

/**
 * Connects an address of the brand, after its servers have let us in; done again it changes them, and a password that is
 * left out stays as it was.
 *
 * @throws Refusal addressTaken, mailServer with the field that is wrong
 */
export async function connectEmail(
  context: Context,
  reader: Reader,
  draft: EmailDraft,
): Promise<ProfileAnswer> {
  // Mail that is brought to us is for one: nobody gets another brand's by naming its address.
  if (await addressElsewhere(context.db, { network, address: draft.address, brandId: reader.brandId }))
    throw new Refusal('addressTaken', { fields: [fieldProblem('address', 'addressElsewhere')] })
  const settings = await withKnownPasswords(context, reader, draft)
  const connector = accountConnectorOf('email')!
  const http = context.httpFor(network)
  const profile = { id: 0, outsideId: draft.address, address: '' }
  const only = (some: Partial<MailSettings>) => JSON.stringify({ imap: null, smtp: null, ...some })
  if (settings.imap)
    await tried('imap', () =>
      connector.check!({ ...profile, accessToken: only({ imap: settings.imap }) }, http),
    )
  await tried('smtp', () =>
    connector.check!({ ...profile, accessToken: only({ smtp: settings.smtp }) }, http),
  )
  const id = await putProfile(context, reader, {
    channel: 'email',
    network,
    outside: { outsideId: draft.address, name: draft.name || draft.address },
    key: { access: JSON.stringify(settings), refresh: null },
  })
  await context.live.tell(reader.brandId, { kind: 'profiles' })
  return profileAnswer(context, reader, id)
}

/** A password is sent once; it goes only to the server and user that it was given for. */
async function withKnownPasswords(
  { models, config }: Context,
  reader: Reader,
  { address, imap, smtp }: EmailDraft,
): Promise<MailSettings> {
  const known = await models.Profile.findOne({
    where: { brandId: reader.brandId, network, outsideId: address },
  })
  const key = unsealKey(known?.keySealed ?? null, config.sealingKey).access
  const before = key ? (JSON.parse(key) as MailSettings) : null
  const filled = (now: MailServer, old: MailServer | null | undefined): MailServer => {
    const isSame = old?.host === now.host && old.port === now.port && old.user === now.user
    return { ...now, password: now.password || (isSame ? old.password : '') }
  }
  return { imap: imap && filled(imap, before?.imap), smtp: filled(smtp, before?.smtp) }
}
