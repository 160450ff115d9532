import { Webhook } from 'standardwebhooks'
import { unseal } from '../../access/seal.ts'
import type { Context } from '../../context.ts'

/** Sends one message, signed as in Standard Webhooks; an address that somebody typed is fetched through the guard. */
export async function sendSigned(
  { config, httpFor }: Pick<Context, 'config' | 'httpFor'>,
  { target, secret, id, body }: { target: string; secret: Buffer; id: string; body: string },
): Promise<void> {
  const at = new Date()
  await httpFor(new URL(target).host).post(target, body, {
    'content-type': 'application/json',
    'webhook-id': id,
    'webhook-timestamp': String(Math.floor(at.getTime() / 1000)),
    'webhook-signature': new Webhook(unseal(secret, config.sealingKey)).sign(id, at, body),
  })
}
