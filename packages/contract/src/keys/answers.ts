import type { Right } from '../shared/access.ts'

/** A key with which a program acts for a colleague: it may do some of what they may, until it ends. */
export interface AccessKey {
  id: number
  name: string
  /** Its last letters. */
  ending: string
  rights: Right[]
  madeAt: string
  endsAt: string
  /** Null: not yet. */
  usedAt: string | null
}

/** A key that was just made; the key itself is shown this once. */
export interface MadeKey {
  key: AccessKey
  token: string
}

/** An address at which a till or a booking system tells of customers, in signed messages. */
export interface CustomerDoor {
  id: number
  name: string
  address: string
  madeBy: string | null
  madeAt: string
  /** When a message came last; null: none has. */
  lastAt: string | null
  /** Customers taken in, and messages refused, in all. */
  taken: number
  refused: number
  /** What was wrong with the last message; null: nothing. */
  problem: string | null
}

/** A door with the secret by which its messages are signed (Standard Webhooks), shown this once. */
export interface MadeDoor {
  door: CustomerDoor
  secret: string
}
