import type { FollowUpKind } from '@murrabel/core/lens'

/** Something to be done after a thread, or a lead that came from it. */
export interface FollowUp {
  id: number
  edition: number
  threadId: number
  /** Who wrote the thread. */
  person: { id: number; name: string } | null
  placeId: number | null
  channel: string
  kind: FollowUpKind
  what: string
  /** Of a lead: what it may bring, and what comes next. */
  worth: number | null
  currency: string | null
  nextStep: string
  dueAt: string
  late: boolean
  givenTo: number | null
  madeBy: string | null
  madeAt: string
  doneAt: string | null
  doneBy: string | null
  outcome: string
}

export interface FollowUpsAnswer {
  rows: FollowUp[]
  /** Of the lens; the list may be shorter. */
  total: number
  late: number
  next: string | null
}

/** The secret address of a calendar; null: it is off. */
export interface CalendarAddress {
  address: string | null
}
