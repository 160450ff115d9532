import type { EntryKind, Sentiment } from '@murrabel/core/lens'
import type { Team } from '../absences/answers.ts'
import type { TideBucket } from '../entries/answers.ts'
import type { TagAnswer } from '../inbox/answers.ts'
import type { WatchAnswer, WatchGroupAnswer } from '../watches/answers.ts'

export type Role = 'owner' | 'lead' | 'specialist' | 'placeManager' | 'reader'

export interface ColleagueAnswer {
  id: number
  name: string
  role: Role
  /** The last day on which they are away now; null: they are there. */
  awayUntil: string | null
}

export interface PlaceAnswer {
  id: number
  name: string
  /** It has opening hours; without, due times run day and night. */
  hours: boolean
}

export interface BrandAnswer {
  /** `limited`: to some places or profiles. */
  me: Omit<ColleagueAnswer, 'awayUntil'> & { email: string; limited: boolean }
  brand: { id: number; name: string; zone: string }
  /** All brands one works on, by name. */
  brands: { id: number; name: string }[]
  places: PlaceAnswer[]
  colleagues: ColleagueAnswer[]
  teams: Team[]
  watches: WatchAnswer[]
  groups: WatchGroupAnswer[]
  aspects: { id: number; name: string }[]
  tags: TagAnswer[]
  channels: string[]
  /** Kinds of entries that can be answered, by channel. */
  answers: Record<string, EntryKind[]>
  profileCount: number
}

/** What the page for signing in shows; a demo shows what it holds, anything else nothing of anybody. */
export interface WelcomeAnswer {
  demo: {
    brand: string
    entries: number
    channels: number
    days: TideBucket[]
    said: { id: number; text: string; author: string; network: string; at: string; sentiment: Sentiment }[]
  } | null
}

/** How far back the stream of events tells what was missed, in milliseconds. */
export const missedLimitMs = 15_000

export type LiveEvent =
  /** Something may have happened that was not told: load again. */
  | { kind: 'afresh' }
  | { kind: 'entries'; threads: number[]; count: number }
  | { kind: 'thread'; threads: number[] }
  /** A visitor of a site is there, writes, or has gone: nothing that a lens holds. */
  | { kind: 'visitor'; threads: number[]; typing: boolean; present: boolean }
  /** Somebody of the team writes an answer. */
  | { kind: 'writing'; threads: number[] }
  | { kind: 'profiles' }
  /** Who is who has changed. */
  | { kind: 'people' }
  | { kind: 'followUps' }
  /** A colleague is somewhere else, begins to write, or has gone. */
  | { kind: 'presence'; colleague: number; threads: number[]; writing: boolean; here: boolean }
  /** A colleague was told of something, or has seen it. */
  | { kind: 'notices'; colleague: number }
  /** Lenses that are kept. */
  | { kind: 'lenses' }
  /** Patterns and sign-offs. */
  | { kind: 'patterns' }
  /** The brand or its places are set up otherwise. */
  | { kind: 'brand' }
  /** A message to another program has arrived, or has not. */
  | { kind: 'hooks' }
  | { kind: 'watches' }
  | { kind: 'teaching' }
  | { kind: 'alerts' }
