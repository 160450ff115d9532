import nodemailer from 'nodemailer'
import { Webhook } from 'standardwebhooks'
import { unseal } from '../../access/seal.ts'
import { backoffMs, InnerAddressError, NetworkFailure } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import type { EventDetail } from './alerts.ts'

const maxAttempts = 8

interface Delivery {
  id: number
  eventId: number
  way: 'email' | 'webhook'
  target: string
  attempts: number
  kind: 'begin' | 'end'
  at: Date
  detail: EventDetail
  alertId: number
  alert: string
  brand: string
  secret: Buffer | null
}

/** Sends what alerts have to tell, under a lease; a mail keeps its id when it is tried again. Returns how many were tried. */
export async function deliverAlerts(context: Context): Promise<number> {
  for (let tried = 0; ; tried++) {
    const delivery = await claim(context)
    if (!delivery) return tried
    await deliver(context, delivery)
  }
}

function claim({ db, config }: Context): Promise<Delivery | undefined> {
  return db.one<Delivery>(
    `WITH due AS MATERIALIZED (SELECT id FROM alert_deliveries WHERE state IN ('waiting', 'sending') AND next_at <= now() ORDER BY next_at, id LIMIT 1 FOR UPDATE SKIP LOCKED)
     UPDATE alert_deliveries d SET state = 'sending', attempts = d.attempts + 1, next_at = now() + $1::int * interval '1 second'
     FROM due, alert_events v, alerts a, brands b WHERE d.id = due.id AND v.id = d.event_id AND a.id = v.alert_id AND b.id = v.brand_id
     RETURNING d.id, d.event_id AS "eventId", d.way, d.target, d.attempts, v.kind, v.at, v.detail, a.id AS "alertId", a.name AS alert, b.name AS brand,
       a.webhook_secret_sealed AS secret`,
    [config.leaseSeconds],
  )
}

async function deliver(context: Context, delivery: Delivery): Promise<void> {
  const { db, log } = context
  try {
    if (delivery.way === 'email') await mail(context, delivery)
    else await hook(context, delivery)
    await db.rows("UPDATE alert_deliveries SET state = 'sent', sent_at = now(), error = NULL WHERE id = $1", [
      delivery.id,
    ])
  } catch (error) {
    const final = isFinal(error) || delivery.attempts >= maxAttempts
    const reason = error instanceof Error ? error.message : String(error)
    log.warn({ err: error, delivery: delivery.id }, 'alert not delivered')
    await db.rows(
      `UPDATE alert_deliveries SET state = $2, error = $3, next_at = now() + $4::int * interval '1 millisecond' WHERE id = $1`,
      [
        delivery.id,
        final ? 'failed' : 'waiting',
        `${delivery.target}: ${reason}`.slice(0, 500),
        Math.round(backoffMs(delivery.attempts, Math.random(), { baseMs: 1000 })),
      ],
    )
  }
}

/** Refused for good: trying again would change nothing. */
function isFinal(error: unknown): boolean {
  if (error instanceof InnerAddressError) return true
  if (error instanceof NetworkFailure) return error.kind === 'refused' || error.kind === 'gone'
  // RFC 5321: replies of 500 to 599 are permanent.
  const { responseCode } = error as { responseCode?: number }
  return responseCode !== undefined && responseCode >= 500
}

async function mail({ config }: Context, delivery: Delivery): Promise<void> {
  const { detail, alert, brand, kind, eventId, id } = delivery
  if (!config.smtpUrl) throw new NetworkFailure('refused', 'no mail server is set')
  const transport = nodemailer.createTransport(config.smtpUrl)
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
  const at = new Date()
  const secret = delivery.secret ? unseal(delivery.secret, config.sealingKey) : ''
  const signature = new Webhook(secret).sign(id, at, body)
  // An address that somebody typed: fetched through the guard.
  await context.httpFor(new URL(delivery.target).host).post(delivery.target, body, {
    'content-type': 'application/json',
    'webhook-id': id,
    'webhook-timestamp': String(Math.floor(at.getTime() / 1000)),
    'webhook-signature': signature,
  })
}
