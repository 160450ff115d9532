import type { Sentiment } from '../sentiment/index.ts'
import type { Wish } from '../meaning/model.ts'
import type {
  EntryKind,
  EntryOrigin,
  FollowUpKind,
  LogSubject,
  PersonStanding,
  ThreadState,
} from './values.ts'

/** What a lens looks at in an entry. */
export interface LensEntry {
  /** The latest incoming entry of its thread. */
  lead: boolean
  state: ThreadState
  kind: EntryKind
  origin: EntryOrigin
  channel: string
  place: number | null
  sentiment: Sentiment
  /** What is wanted of us; null where it is not told. */
  wish: Wish | null
  /** Of the sentiment, 0 to 1; 1 when a person judged it. */
  confidence: number
  givenTo: number | null
  /** The team whose it is until somebody of it takes it. */
  team: number | null
  priority: 0 | 1 | 2
  /** Its thread was put aside as spam. */
  spam: boolean
  watches: readonly number[]
  language: string
  /** Ids of account and story. */
  voice: number | null
  story: number | null
  aspects: readonly { id: number; sentiment: Sentiment }[]
  /** Ids of the thread's tags. */
  tags: readonly number[]
  kept: boolean
  /** As `placedWords` gave them. */
  words: readonly { word: string; position: number }[]
  /** Epoch milliseconds. */
  at: number
}

/** What a lens over people looks at in a person, beside what they said. */
export interface LensPerson {
  /** The words they are found by: of their name, handles, addresses and numbers, folded. */
  words: readonly string[]
  standing: PersonStanding | null
  /** Ids of the tags on any of those they are joined with. */
  tags: readonly number[]
  /** Their visits; epoch milliseconds. */
  visits: readonly { at: number; place: number | null }[]
  /** What they said, each entry as the lens looks at it. */
  said: readonly LensEntry[]
}

/** What a lens over follow-ups looks at in one. */
export interface LensFollowUp {
  kind: FollowUpKind
  givenTo: number | null
  place: number | null
  /** Epoch milliseconds; null while it is not done. */
  dueAt: number
  doneAt: number | null
}

/** What a lens over the log looks at in one of its lines. */
export interface LensLogLine {
  /** Epoch milliseconds. */
  at: number
  /** A colleague, or nobody of the team. */
  by: number | 'itself'
  subject: LogSubject
}

/** What a lens is over, where that is not what was said. */
export interface LensSubject {
  person?: LensPerson
  followUp?: LensFollowUp
  logLine?: LensLogLine
}

export interface LensContext {
  /** Epoch milliseconds. */
  now: number
  /** IANA zone of the brand. */
  zone: string
  /** Id of the colleague who looks. */
  me: number
  /** Ids of the teams whoever looks is in. */
  myTeams?: readonly number[]
  /** Readings of sentiment with less confidence are in doubt, 0 to 1. */
  doubtBelow?: number
  /** When the first entry of all was written, epoch milliseconds: where "at any time" begins. */
  since?: number | null
  /** Ids of the watches of a group and of the groups in it. */
  watchesOf(group: number): readonly number[]
  /** The lenses that whoever looks keeps, their own and the team's. */
  keptLenses?: readonly LensTest[]
}

/** A lens as one condition among others. */
export interface LensTest {
  matches(entry: LensEntry): boolean
  /** True or false, never null. */
  sql(query: { bind(value: unknown): string }): string
}
