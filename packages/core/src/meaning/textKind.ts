import type { EntryKind } from '../lens/index.ts'
import type { TextKind } from './features.ts'

const textKinds: Record<EntryKind, TextKind> = {
  review: 'review',
  comment: 'comment',
  message: 'message',
  question: 'message',
  mention: 'mention',
}

/** What the model of texts calls an entry. */
export const textKindOf = (kind: EntryKind): TextKind => textKinds[kind]
