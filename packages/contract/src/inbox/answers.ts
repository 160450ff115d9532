import type { ActionState } from '@murrabel/core/actions'
import type { UrgencyPart } from '@murrabel/core/inbox'
import type { EntryKind, Sentiment, ThreadState } from '@murrabel/core/lens'
import type { SentimentSpanAnswer } from '../entries/answers.ts'
import type { Span } from '../shared/span.ts'

/** One row of a list. */
export interface TagAnswer {
  id: number
  name: string
}

/** What a change of tags did, thread by thread, so that it can be taken back. */
export interface TagChangeAnswer {
  /** All tags of the brand. */
  tags: TagAnswer[]
  changed: { thread: number; added: number[]; removed: number[] }[]
}

export interface ThreadEntry {
  id: number
  direction: 'in' | 'out'
  kind: EntryKind
  author: string
  title: string | null
  text: string
  rating: number | null
  at: string
  /** What stood there before it was changed, oldest first; `until` when. */
  edits: { title: string | null; text: string; rating: number | null; until: string }[]
  /** When it was taken away outside, and its text with it. */
  deletedAt: string | null
  language: string | null
  sentiment: Sentiment
  /** Name of the colleague who corrected the reading. */
  correctedBy: string | null
  confidence: number
  /** Its stars and its words tell against each other. */
  contradicts: boolean
  spans: SentimentSpanAnswer[]
  url: string | null
  /** The network gave no date that can be: `at` is when it came in. */
  undated: boolean
  /** It can be reported to its network. */
  reportable: boolean
  /** That it was reported, and how far that is; whether it goes is the network's decision. */
  report: { id: number; state: ActionState; error: string | null; reason: string; at: string } | null
  /** It can be changed and taken back outside. */
  changeable: boolean
  /** A change that is on its way, or did not get through. */
  change: {
    id: number
    kind: 'edit' | 'remove'
    state: ActionState
    error: string | null
    text: string
  } | null
  /** What is done to bring it out, for an entry of ours. */
  action: {
    id: number
    state: ActionState
    attempts: number
    error: string | null
    uncertain: boolean
  } | null
}

export interface ThreadEventAnswer {
  id: number
  kind: string
  /** A colleague, or what acted by itself. */
  actor: 'colleague' | 'rule' | 'ask' | 'network' | 'system'
  by: string | null
  at: string
  detail: Record<string, unknown>
}

export interface ThreadAnswer {
  id: number
  edition: number
  kind: EntryKind
  /** The entry it is shown by. */
  leadId: number | null
  title: string | null
  url: string | null
  channel: string
  network: string
  profile: string
  profileId: number
  placeId: number | null
  state: ThreadState
  setAsideUntil: string | null
  givenTo: number | null
  dueAt: string | null
  private: boolean
  paid: boolean
  tags: number[]
  urgency: { points: number; parts: UrgencyPart[] } | null
  entries: ThreadEntry[]
  events: ThreadEventAnswer[]
  person: {
    id: number
    name: string
    handle: string | null
    network: string
    since: string
    count: number
    /** What they said before, newest first, this thread left out. */
    before: {
      id: number
      threadId: number
      text: string
      at: string
      sentiment: Sentiment
      channel: string
      rating: number | null
    }[]
  } | null
  /** `as`: the profile that would answer. */
  reply: { possible: boolean; as: string; maxLength: number; public: boolean; reason?: string }
  watches: { id: number; name: string; hits: Span[] }[]
}

export interface ThreadChangeAnswer {
  thread: {
    id: number
    state: ThreadState
    edition: number
    setAsideUntil: string | null
    givenTo: number | null
  }
  /** To undo it with; null when nothing changed. */
  eventId: number | null
}
