import type { LogSubject } from '@murrabel/core/lens'
import type { LogKind } from './kinds.ts'

/** Something that was done. */
export interface LogLine {
  id: number
  at: string
  /** A colleague, by name; null: nobody of the team. */
  by: string | null
  actor: 'colleague' | 'rule' | 'ask' | 'network' | 'system'
  kind: LogKind
  subject: LogSubject
  subjectId: number | null
  threadId: number | null
  /** What the subject is called, where it is still there. */
  about: string | null
  /** More of it, as it was written down. */
  detail: Record<string, unknown>
  /** It was taken back later. */
  undone: boolean
}

export interface LogPage {
  rows: LogLine[]
  /** How many there are, up to `atLeast`. */
  total: number
  /** There are more than are counted. */
  more: boolean
  /** Where the next page begins; null: this is the last. */
  next: string | null
}
