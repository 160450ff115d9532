import type { Role } from '../brand/answers.ts'

/** What somebody may see: null is all of it. */
export interface Limits {
  placeIds: number[] | null
  profileIds: number[] | null
}

/** Somebody who works on the brand, as they are set up. */
export interface ColleagueSetUp extends Limits {
  id: number
  name: string
  email: string
  role: Role
  /** When they were here last; null: not yet. */
  seenAt: string | null
  /** Open threads that are assigned to them. */
  openThreads: number
  /** They sign in with a second factor. */
  secondFactor: boolean
}

/** Somebody who was asked to join, and has not yet. */
export interface Invitation extends Limits {
  id: number
  email: string
  role: Role
  invitedBy: string | null
  at: string
  endsAt: string
  ended: boolean
  /** Whether the mail went out; a sentence where it did not. */
  mail: 'waiting' | 'sent' | 'failed'
  error: string | null
}

export interface ColleaguesAnswer {
  colleagues: ColleagueSetUp[]
  invitations: Invitation[]
}

/** What an invitation is for, as whoever has its link sees it. */
export interface InvitationCard {
  brand: string
  /** Address of the brand's logo; null: none. */
  logo: string | null
  email: string
  role: Role
  invitedBy: string | null
  /** They have an account here already, and join with its password. */
  known: boolean
}

/** A device on which somebody is signed in. */
export interface SessionAnswer {
  id: number
  /** What its browser calls itself. */
  agent: string
  at: string
  seenAt: string | null
  /** The one that asks. */
  own: boolean
}

/** One's own second factor. */
export interface SecondFactorAnswer {
  /** On since then; null: off. */
  since: string | null
  /** Recovery codes that were not used. */
  codesLeft: number
}

/** What an app that makes codes is told: RFC 6238, 6 digits, 30 seconds, SHA-1, which every app knows. */
export interface SecondFactorBegun {
  /** Base 32. */
  secret: string
  /** `otpauth://totp/…`, for a picture that the app reads. */
  uri: string
}

/** Shown once: each signs in once, when the app is lost. */
export interface RecoveryCodes {
  codes: string[]
}
