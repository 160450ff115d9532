import type { EntryKind, LensSentiment, ThreadState } from '@murrabel/core/lens'
import type { ActionState } from '@murrabel/core/actions'
import type { UrgencyPart } from '@murrabel/core/inbox'
import type { DateOrder } from './dateOrder.ts'
import type { StartImportDraft, WatchQueryDraft } from './schemas.ts'

export type Role = 'owner' | 'lead' | 'specialist' | 'placeManager' | 'reader'

export interface Span {
  start: number
  end: number
}
export interface SentimentSpanAnswer extends Span {
  contribution: number
}

export interface ColleagueAnswer {
  id: number
  name: string
  role: Role
}

export interface PlaceAnswer {
  id: number
  name: string
}

export interface BrandAnswer {
  /** `limited`: to some places or profiles. */
  me: ColleagueAnswer & { email: string; limited: boolean }
  brand: { id: number; name: string; zone: string }
  places: PlaceAnswer[]
  colleagues: ColleagueAnswer[]
  watches: WatchAnswer[]
  groups: WatchGroupAnswer[]
  aspects: { id: number; name: string }[]
  tags: TagAnswer[]
  channels: string[]
  /** Kinds of entries that can be answered, by channel. */
  answers: Record<string, EntryKind[]>
  profileCount: number
}

export interface WatchAnswer {
  id: number
  name: string
  query: WatchQueryDraft
  /** History read so far and in all; equal when it is done. */
  historyDone: number
  historyTotal: number
  mentions: number
  groupId: number | null
  paused: boolean
  /** Raised by every change; given back with one, so that nobody overwrites another's. */
  edition: number
}

export const groupKinds = [
  'brand',
  'people',
  'places',
  'products',
  'rivals',
  'trade',
  'links',
  'other',
] as const
export type GroupKind = (typeof groupKinds)[number]

/** A folder of watches; folders lie in folders. */
export interface WatchGroupAnswer {
  id: number
  parentId: number | null
  name: string
  kind: GroupKind
  edition: number
}

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
export interface EntryRow {
  id: number
  threadId: number
  kind: EntryKind
  channel: string
  network: string
  profile: string
  placeId: number | null
  author: string
  title: string | null
  text: string
  rating: number | null
  at: string
  sentiment: LensSentiment
  state: ThreadState
  givenTo: number | null
  dueAt: string | null
  private: boolean
  paid: boolean
  url: string | null
  reach: number
  language: string | null
  /** Account of who wrote it. */
  voiceId: number | null
  storyId: number | null
  /** A person's judgement stands over the machine's. */
  corrected: boolean
  /** Ids of the thread's tags. */
  tags: number[]
  kept: boolean
  /** An answer of ours in its thread did not go out. */
  notSent: boolean
  /** Near copies in the lens that this row stands for, beside itself; when copies are folded. */
  copies?: number
  /** Matched words, when the lens has a watch or group. */
  hits?: Span[]
  spans: SentimentSpanAnswer[]
}

export interface EntryPage {
  rows: EntryRow[]
  /** To be given back for the next page; null at the end. */
  next: string | null
}

export interface CountAnswer {
  count: number
  pastDue: number
  /** Threads with an answer of ours that did not go out. */
  notSent: number
}

export interface TideBucket {
  /** Start of the bucket. */
  at: string
  positive: number
  neutral: number
  negative: number
  unread: number
}

export interface TideAnswer {
  unit: 'hour' | 'day' | 'week' | 'month'
  buckets: TideBucket[]
  usual: { low: number; high: number; periods: number } | null
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
  language: string | null
  sentiment: LensSentiment
  /** Name of the colleague who corrected the reading. */
  correctedBy: string | null
  confidence: number
  /** Its stars and its words tell against each other. */
  contradicts: boolean
  spans: SentimentSpanAnswer[]
  url: string | null
  /** The network gave no date that can be: `at` is when it came in. */
  undated: boolean
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
  version: number
  kind: EntryKind
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
      sentiment: LensSentiment
      channel: string
      rating: number | null
    }[]
  } | null
  reply: { possible: boolean; maxLength: number; public: boolean; reason?: string }
  watches: { id: number; name: string; hits: Span[] }[]
}

export interface ThreadChangeAnswer {
  thread: {
    id: number
    state: ThreadState
    version: number
    setAsideUntil: string | null
    givenTo: number | null
  }
  /** To undo it with; null when nothing changed. */
  eventId: number | null
}

export type ProfileStatus = 'collecting' | 'connected' | 'expired' | 'disconnected' | 'failing'

export interface ProfileAnswer {
  id: number
  channel: string
  network: string
  name: string
  placeId: number | null
  url: string | null
  status: ProfileStatus
  /** Entries of the history fetched so far, and in all where the network says it. */
  historyDone: number
  historyTotal: number | null
  entries: number
  /** Items that could not be read and are set apart. */
  apart: number
  collectedAt: string | null
  error: string | null
  capabilities: { reply: boolean; live: boolean; search: boolean }
}

/** An item that could not be read, stored or analysed. */
export interface ItemApart {
  id: number
  stage: 'read' | 'store' | 'analyse'
  reason: string
  at: string
  /** Beginning of its text, where it has one that can be shown. */
  text: string
  threadId: number | null
}

/** What became of a list of feeds. */
export interface OpmlAnswer {
  added: number
  known: number
  refused: number
  problems: { address: string; reason: string }[]
}

export interface NetworkAnswer {
  network: string
  name: string
  channel: string
  /** It is searched, not connected by an account. */
  search: boolean
  connectedProfiles: number
}

export interface ImportColumn {
  name: string
  sample: string[]
}
export interface RowProblem {
  /** Line in the file, from 1. */
  line: number
  field: string
  reason: string
  value: string
}
export interface ImportPreview {
  columns: ImportColumn[]
  rows: number
  separator: string
  mapping: Record<string, string | null>
  /** Dates whose day and month can be taken for each other, and what the column itself says of it. */
  dates: { ambiguous: number; order: DateOrder | null; sample: string[] }
  /** Stretches of lines that a quotation mark without its end has swallowed. */
  swallowed: { line: number; to: number }[]
}

export interface FeedPreview {
  format: 'rss' | 'atom' | 'json'
  title: string
  entries: number
  /** Articles without a date that can be; they count from today. */
  undated: number
  sample: { title: string; at: string | null }[]
}
/** A file that is brought in: read first, then taken in in the background. */
export interface ImportState {
  id: number
  kind: 'reviews' | 'feed'
  name: string
  state: 'draft' | 'running' | 'done' | 'failed'
  /** What a draft holds. */
  reviews: ImportPreview | null
  feed: FeedPreview | null
  /** How it was to be taken in when that was last tried. */
  asked: StartImportDraft | null
  /** Rows taken in so far, and in all. */
  done: number
  total: number | null
  added: number
  known: number
  refused: number
  problems: RowProblem[]
  error: string | null
  at: string
}

/** How far back the stream of events tells what was missed, in milliseconds. */
export const missedLimitMs = 15_000

export type LiveEvent =
  /** Something may have happened that was not told: load again. */
  | { kind: 'afresh' }
  | { kind: 'entries'; threads: number[]; count: number }
  | { kind: 'thread'; threads: number[] }
  | { kind: 'profiles' }
  | { kind: 'watches' }
  | { kind: 'teaching' }
  | { kind: 'alerts' }
