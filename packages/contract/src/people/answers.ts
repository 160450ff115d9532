import type { PersonStanding, Sentiment } from '@murrabel/core/lens'
import type { LikenessReason } from '@murrabel/core/people'
import type { FollowUp } from '../followUps/answers.ts'
import type { EntryRow } from '../entries/answers.ts'

/** Somebody in a list: who they are, and what they said under its lens. */
export interface PersonRow {
  id: number
  name: string
  standing: PersonStanding | null
  note: string
  /** Networks they wrote on, by name, as far as the reader may see. */
  networks: string[]
  /** Entries under the lens, and when the latest was said. */
  said: number
  last: string
  /** How the latest of them felt, latest last, ten at most. */
  sentiments: Sentiment[]
  openThreads: number
}

export interface PeopleAnswer {
  rows: PersonRow[]
  /** People under the lens. */
  total: number
  /** Where the list goes on; null at its end. */
  next: string | null
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
  name: string
  /** A colleague named them; otherwise they are called as on the network. */
  named: boolean
  language: string | null
  standing: PersonStanding | null
  note: string
  accounts: { id: number; name: string; handle: string | null; network: string; url: string | null }[]
  ways: PersonWay[]
  /** Those who were joined into this one; alone, it is one. */
  members: PersonMember[]
  joins: PersonJoin[]
  said: number
  since: string | null
  openThreads: number
  pastDue: number
  /** What they said, newest first. */
  entries: Pick<
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
  >[]
  /** How each of the latest felt, oldest first: score from -1 to 1. */
  course: { at: string; score: number; sentiment: Sentiment }[]
  proposals: Proposal[]
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
