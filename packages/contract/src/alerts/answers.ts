import type { AlertCondition, Firing, FiringMessage } from '@murrabel/core/alerts'

export interface AlertAnswer {
  id: number
  name: string
  lens: string
  condition: AlertCondition
  quietMinutes: number
  inApp: boolean
  emails: string[]
  webhook: string | null
  /** Shown to those who may change the alert: what the receiver checks signatures with. */
  webhookSecret: string | null
  active: boolean
  open: boolean
  firedAt: string | null
  firings: number
  /** Addresses of its feeds, secret; null when they are switched off, or for those who may not change it. */
  atom: string | null
  json: string | null
  edition: number
  lastFailure: string | null
}

export interface AlertTrialAnswer {
  days: number
  /** Begins only, newest last. */
  firings: (Firing & { phrase: FiringMessage })[]
  begins: number
  /** How often a month it would begin though nothing happens; null where that cannot be told. */
  falseAMonth: number | null
  aDay: number
  tooOften: boolean
}

export interface AlertEventAnswer {
  id: number
  alertId: number
  alert: string
  kind: 'begin' | 'end'
  at: string
  /** In English. */
  text: string
  /** The same as figures, for the reader's language; null in events of earlier versions. */
  phrase: FiringMessage | null
  /** Where its entries are: the path and query of a page. */
  link: string
}

export interface BellAnswer {
  unseen: number
  events: AlertEventAnswer[]
  /** Answers of ours that did not go out: they stay until somebody decides. */
  notSent: {
    id: number
    threadId: number
    profile: string
    network: string
    channel: string
    text: string
    error: string | null
    uncertain: boolean
    at: string
  }[]
}

export interface FeedAddresses {
  /** Null: switched off. */
  atom: string | null
  json: string | null
}
