import { InnerAddressError } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { cleanText } from '@murrabel/core/text'
import { workRules } from '../../jobs/due/kinds.ts'
import { errorText, type WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import {
  type Delivery,
  claimDelivery,
  setDeliveryFailed,
  setDeliverySent,
} from '../../store/queries/alerts/deliveries.ts'
import { sendSigned } from '../hooks/index.ts'
import { isRefusedForGood, smtpTransport } from '../letters/index.ts'

/** Sends one thing that an alert has to tell; a mail keeps its id when it is tried again. */
export async function deliverAlert(context: Context, { id, attempts }: Piece): Promise<WorkOutcome> {
  const { db } = context
  const delivery = await claimDelivery(db, id)
  if (!delivery) return 'done'
  try {
    if (delivery.way === 'email') await mail(context, delivery)
    else await hook(context, delivery)
  } catch (error) {
    const final = isFinal(error) || attempts >= workRules.deliver.tries
    await setDeliveryFailed(db, {
      id,
      state: final ? 'failed' : 'waiting',
      error: cleanText(`${delivery.target}: ${errorText(error)}`, 500),
    })
    if (final) return 'done'
    throw error
  }
  await setDeliverySent(db, id)
  return 'done'
}

const isFinal = (error: unknown): boolean => error instanceof InnerAddressError || isRefusedForGood(error)

async function mail({ config }: Context, delivery: Delivery): Promise<void> {
  const { detail, alert, brand, kind, eventId, id } = delivery
  const transport = smtpTransport(config)
  const link = config.publicAddress + detail.link
  const lines = [
    detail.text,
    ...(detail.phrases?.length ? [`What is said: ${detail.phrases.join(', ')}.`] : []),
    `Read it: ${link}`,
    `Change or switch off this alert: ${config.publicAddress}/watch/alerts`,
  ]
  try {
    await transport.sendMail({
      from: config.mailFrom,
      to: delivery.target,
      subject: `${alert}: ${kind === 'begin' ? detail.text : 'over'} (${brand})`,
      text: lines.join('\n\n'),
      messageId: `<alert-${eventId}-${id}@${new URL(config.publicAddress).hostname}>`,
      headers: { 'Auto-Submitted': 'auto-generated' },
    })
  } finally {
    transport.close()
  }
}

async function hook(context: Context, delivery: Delivery): Promise<void> {
  const { config } = context
  const body = JSON.stringify({
    type: delivery.kind === 'begin' ? 'alert.began' : 'alert.ended',
    timestamp: delivery.at.toISOString(),
    data: {
      alert: { id: delivery.alertId, name: delivery.alert },
      brand: delivery.brand,
      text: delivery.detail.text,
      phrases: delivery.detail.phrases ?? [],
      link: config.publicAddress + delivery.detail.link,
    },
  })
  const id = `alert-${delivery.eventId}-${delivery.id}`
  if (!delivery.secret) throw new Error('an alert tells by a hook without a secret')
  await sendSigned(context, { target: delivery.target, secret: delivery.secret, id, body })
}
