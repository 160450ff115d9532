import type { HookEvent } from './events.ts'

/** An address of another program that hears what happens here. */
export interface EventHook {
  id: number
  name: string
  target: string
  events: HookEvent[]
  /** Off: nothing is sent, and what happens meanwhile is not kept for it. */
  active: boolean
  madeBy: string | null
  madeAt: string
  /** When a message arrived last; null: none has. */
  lastAt: string | null
  /** Messages on their way, and those given up. */
  waiting: number
  failed: number
  /** Since when nothing has arrived; null: the last message has. */
  failingSince: string | null
}

/** A hook with the secret by which its messages are signed (Standard Webhooks), shown this once. */
export interface MadeHook {
  hook: EventHook
  secret: string
}

/** One message to a hook. */
export interface HookDelivery {
  id: number
  event: HookEvent | 'test'
  at: string
  state: 'waiting' | 'sent' | 'failed'
  attempts: number
  /** What was wrong with the last try; null: nothing. */
  error: string | null
  sentAt: string | null
  /** What is or was sent; null: not made yet. */
  body: string | null
}

export interface HookDeliveries {
  rows: HookDelivery[]
  /** Where the next page begins; null: this is the last. */
  next: number | null
}
