import type { PersonStanding, Sentiment } from '@murrabel/core/lens'
import type { BelongingReason, LikenessReason, VisitState } from '@murrabel/core/people'
import type { FollowUp } from '../followUps/answers.ts'
import type { AttachmentAnswer } from '../attachments/answers.ts'
import type { EntryRow } from '../entries/answers.ts'

/** Somebody in a list: who they are, and what they said under its lens. */
export interface PersonRow {
  id: number
  name: string
  standing: PersonStanding | null
  note: string
  /** Networks they wrote on, by name, as far as the reader may see. */
  networks: string[]
  /** Entries under the lens, and when the latest was said; null: none was. */
  said: number
  last: string | null
  visits: VisitSummary
  /** How the latest of them felt, latest last, ten at most. */
  sentiments: Sentiment[]
  openThreads: number
}

/** Visits of somebody, as far as the reader may see them. */
export interface VisitSummary {
  /** That took place. */
  done: number
  /** The latest that is not ahead. */
  latest: Pick<Visit, 'at' | 'state'> | null
  /** The next that is booked. */
  next: Pick<Visit, 'at' | 'party'> | null
}

/** One occasion on which a person used the brand, or is to. */
export interface Visit {
  id: number
  edition: number
  /** How a till or a booking system calls it. */
  reference: string | null
  at: string
  route: string
  ship: string
  placeId: number | null
  party: number | null
  price: number | null
  /** ISO 4217. */
  currency: string | null
  state: VisitState
  source: VisitSource
}

export const visitStates = ['booked', 'done', 'failed', 'cancelled'] as const satisfies readonly VisitState[]

/** Where a visit is known from: a file, a signed message, a call of the interface for programs, or a colleague. */
export const visitSources = ['file', 'hook', 'call', 'hand'] as const
export type VisitSource = (typeof visitSources)[number]

/** A visit that a thread may be about, with what speaks for it. */
export interface VisitProposal {
  visit: Visit
  /** How much speaks for it, 0 to 1. */
  weight: number
  reasons: BelongingReason[]
}

export interface ThreadVisitsAnswer {
  /** The visit that a colleague said it is about. */
  visit: Visit | null
  /** While none is said: those it may be about, the best first. */
  proposals: VisitProposal[]
}

/** What became of customers that were brought in. */
export interface TakenCustomers {
  /** New, changed or with a new visit. */
  added: number
  /** As they were. */
  known: number
  /** Their data was erased, and what came is older. */
  erased: number
}

export interface PeopleAnswer {
  rows: PersonRow[]
  /** Where the list goes on; null at its end. */
  next: string | null
}

/** People under a lens. */
export interface PeopleCount {
  count: number
}

export const wayKinds = ['email', 'phone'] as const
export type WayKind = (typeof wayKinds)[number]

/** An address or number they can be reached by. */
export interface PersonWay {
  id: number
  kind: WayKind
  /** An address in small letters, or a number as E.164. */
  value: string
  /** Whether they may be written to this way; null: they have not said. */
  consent: boolean | null
  consentAt: string | null
  consentHow: string
}

/** Why two are one: an address or number they share, or what spoke for it when a colleague joined them. */
export type JoinReason = { kind: WayKind; value: string } | LikenessReason

/** One of those who were joined. */
export interface PersonMember {
  id: number
  name: string
  networks: string[]
}

export interface PersonJoin {
  id: number
  one: number
  other: number
  reasons: JoinReason[]
  /** Null: it was certain, and nobody was asked. */
  by: string | null
  at: string
}

export interface PersonCard {
  id: number
  edition: number
  /** Their data was erased then; null: it was not. */
  erasedAt: string | null
  name: string
  /** A colleague named them; otherwise they are called as on the network. */
  named: boolean
  language: string | null
  standing: PersonStanding | null
  note: string
  /** Ids of tags. */
  tags: number[]
  accounts: { id: number; name: string; handle: string | null; network: string; url: string | null }[]
  ways: PersonWay[]
  /** Those who were joined into this one; alone, it is one. */
  members: PersonMember[]
  joins: PersonJoin[]
  said: number
  since: string | null
  openThreads: number
  pastDue: number
  /** What they said, newest first, with the files that came with it. */
  entries: (Pick<
    EntryRow,
    | 'id'
    | 'threadId'
    | 'kind'
    | 'channel'
    | 'network'
    | 'placeId'
    | 'title'
    | 'text'
    | 'rating'
    | 'at'
    | 'sentiment'
    | 'wish'
    | 'state'
  > & { files: Pick<AttachmentAnswer, 'id' | 'name'>[] })[]
  /** How each of the latest felt, oldest first: score from -1 to 1. */
  course: { at: string; score: number; sentiment: Sentiment }[]
  proposals: Proposal[]
  /** The latest first. */
  visits: Visit[]
  visitCount: number
  /** Open ones first. */
  followUps: FollowUp[]
}

/** Two who may be the same. */
export interface Proposal {
  one: PersonMember
  other: PersonMember
  /** How alike their names are, 0 to 1. */
  likeness: number
  reasons: LikenessReason[]
}

export interface ProposalsAnswer {
  proposals: Proposal[]
  total: number
}
