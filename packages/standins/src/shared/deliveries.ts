import { randomUUID } from 'node:crypto'
import { Webhook } from 'standardwebhooks'
import type { SwitchBoard } from './faults.ts'

export interface Subscription {
  resource: string
  callback: string
  /** As in Standard Webhooks: "whsec_" and base64. */
  secret: string
}

/** Sends signed webhooks (Standard Webhooks) with a few tries, doubled or out of order when the switch board says so. */
export class Deliveries {
  readonly subscriptions: Subscription[] = []
  private readonly held: (() => void)[] = []
  private closed = false

  constructor(private readonly board: SwitchBoard) {}

  subscribe(subscription: Subscription): void {
    const at = this.subscriptions.findIndex(
      (s) => s.resource === subscription.resource && s.callback === subscription.callback,
    )
    if (at >= 0) this.subscriptions[at] = subscription
    else this.subscriptions.push(subscription)
  }

  unsubscribe(resource: string): void {
    for (let i = this.subscriptions.length - 1; i >= 0; i--)
      if (this.subscriptions[i]!.resource === resource) this.subscriptions.splice(i, 1)
  }

  send(resource: string, data: unknown): void {
    for (const subscription of this.subscriptions.filter((s) => s.resource === resource)) {
      const id = `msg_${randomUUID()}`
      const go = () => void this.deliver(subscription, id, data)
      if (this.board.faults.reorderDeliveries && this.held.length === 0) {
        // Held back until the next one has gone, or for two seconds.
        this.held.push(go)
        setTimeout(() => this.release(), 2000).unref()
        continue
      }
      go()
      if (this.board.faults.doubleDeliveries) go()
      this.release()
    }
  }

  private release(): void {
    for (const go of this.held.splice(0)) go()
  }

  private async deliver(subscription: Subscription, id: string, data: unknown, attempt = 0): Promise<void> {
    if (this.closed) return
    const timestamp = new Date()
    const payload = JSON.stringify({ type: 'created', timestamp: timestamp.toISOString(), data })
    const signature = new Webhook(subscription.secret).sign(id, timestamp, payload)
    try {
      const answer = await fetch(subscription.callback, {
        method: 'POST',
        headers: {
          'content-type': 'application/json',
          'webhook-id': id,
          'webhook-timestamp': String(Math.floor(timestamp.getTime() / 1000)),
          'webhook-signature': signature,
        },
        body: payload,
        signal: AbortSignal.timeout(5000),
      })
      if (answer.status < 500) return
    } catch {
      // Tried again below: the receiver may be starting.
    }
    if (attempt < 5)
      setTimeout(() => void this.deliver(subscription, id, data, attempt + 1), 500 * 2 ** attempt).unref()
  }

  close(): void {
    this.closed = true
  }
}
