import type { GroupKind } from './groupKinds.ts'
import type { Precision, TunerVerdict } from '@murrabel/core/tuner'
import type { EntryRow } from '../entries/answers.ts'
import type { Span } from '../shared/span.ts'
import type { WatchQueryDraft } from './schemas.ts'

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
  /** Its new mentions come into the inbox, where they can be answered. */
  answered: boolean
  /** Raised by every change; given back with one, so that nobody overwrites another's. */
  edition: number
}

/** A folder of watches; folders lie in folders. */
export interface WatchGroupAnswer {
  id: number
  parentId: number | null
  name: string
  kind: GroupKind
  edition: number
}

export interface TunerMark {
  entryId: number
  onTopic: boolean
}

export interface ExclusionAnswer {
  term: string
  offTopicRemoved: number
  onTopicLost: number
  removed: number
  sample: EntryRow[]
}

export interface AdditionAnswer {
  term: string
  onTopicWith: number
  hitsWith: number
  fresh: number
  sample: EntryRow[]
}

export interface TunerAnswer {
  hits: number
  searched: number
  /** More entries than could be looked at: the newest stand for them. */
  cut: boolean
  days: number
  perDay: { at: string; count: number }[]
  channels: { key: string; count: number }[]
  languages: { key: string; count: number }[]
  overlap: { id: number; name: string; both: number }[]
  precision: Precision
  verdict: TunerVerdict
  exclusions: ExclusionAnswer[]
  additions: AdditionAnswer[]
  sample: (EntryRow & { hits: Span[]; onTopic: boolean | null })[]
}

export interface ProposedWatch {
  name: string
  group: GroupKind
  query: WatchQueryDraft
}

/** Watches in a file: our own JSON. */
export interface WatchesFile {
  format: 'murrabel-watches'
  version: 1
  watches: {
    name: string
    query: WatchQueryDraft
    group: { name: string; kind: GroupKind }[]
    paused: boolean
  }[]
}
