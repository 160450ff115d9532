import { Webhook, WebhookVerificationError } from 'standardwebhooks'
import { unseal } from '../../access/seal.ts'
import { connectorOf, parseJson, type ReadParts } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { ingest } from './ingest.ts'
import { deliveryById, keepDelivery } from '../../store/queries/profiles/deliveries.ts'
import { connectorProfile } from '../connections/index.ts'

export interface Delivery {
  token: string
  /** Exactly the bytes that were signed. */
  body: string
  headers: Record<string, string>
}

/**
 * Takes a webhook delivery in: signature and age (5 minutes, Standard Webhooks) are checked, a delivery that came before
 * is let pass without effect.
 */
export async function receiveHook(context: Context, { token, body, headers }: Delivery): Promise<void> {
  const { db, models, config } = context
  const profile = await models.Profile.findOne({ where: { hookToken: token } })
  const connector = profile && connectorOf(profile)
  if (!profile?.hookSecretSealed || !connector?.receive || profile.status === 'disconnected')
    throw new Refusal('notFound')
  try {
    new Webhook(unseal(profile.hookSecretSealed, config.sealingKey)).verify(body, headers)
  } catch (error) {
    if (error instanceof WebhookVerificationError) throw new Refusal('signatureWrong', {}, { cause: error })
    throw new Refusal('unreadableBody', {}, { cause: error })
  }
  const {
    items,
    unread,
    gone = [],
    reports = [],
  } = readBody(() => connector.receive!(connectorProfile(context, profile), parse(body)))
  const id = headers['webhook-id'] ?? ''
  const seen = await deliveryById(db, { profileId: profile.id, deliveryId: id })
  if (seen || !(items.length || unread.length || gone.length || reports.length)) return
  await ingest(
    context,
    profile,
    items,
    async (tx) => {
      await keepDelivery(db, { profileId: profile.id, deliveryId: id }, tx)
    },
    { unread, gone, reports },
  )
}

/** What a delivery holds, whatever its shape is. */
function readBody(read: () => ReadParts): ReadParts {
  try {
    return read()
  } catch (error) {
    if (error instanceof Refusal) throw error
    throw new Refusal('unreadableBody', {}, { cause: error })
  }
}

function parse(body: string): unknown {
  try {
    const read = parseJson(body)
    if (typeof read === 'object' && read !== null) return read
    throw new Error('no object')
  } catch (error) {
    throw new Refusal('unreadableBody', {}, { cause: error })
  }
}
