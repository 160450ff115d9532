import type { FieldReason, ReasonValues } from '../shared/fieldReasons.ts'
import type { DateOrder, StartImportDraft } from './schemas.ts'

export interface ImportColumn {
  name: string
  sample: string[]
}

export interface RowProblem {
  /** Line in the file, from 1. */
  line: number
  field: string
  reason: FieldReason
  /** Figures and names of the reason. */
  values?: ReasonValues
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

/** What a file of parts holds: mails (.eml, mbox), lines of conversations (ActivityStreams 2.0), or cards of people (vCard). */
export interface HistoryPreview {
  /** That can be read. */
  entries: number
  unreadable: number
  /** Dates of the oldest and the newest. */
  first: string | null
  last: string | null
  sample: { title: string; from: string }[]
}

/** A file that is brought in: read first, then taken in in the background. */
export interface ImportState {
  id: number
  kind: 'reviews' | 'feed' | 'mail' | 'chat' | 'customers' | 'cards'
  name: string
  state: 'draft' | 'running' | 'done' | 'failed'
  /** What a draft holds. */
  reviews: ImportPreview | null
  customers: ImportPreview | null
  feed: FeedPreview | null
  history: HistoryPreview | null
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
