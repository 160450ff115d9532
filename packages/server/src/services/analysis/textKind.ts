import type { EntryKind } from '@murrabel/core/lens'
import type { TextKind } from '@murrabel/core/meaning'

const textKinds: Record<EntryKind, TextKind> = {
  review: 'review',
  comment: 'comment',
  message: 'message',
  question: 'message',
  mention: 'mention',
}

/** What a model of texts calls an entry. */
export const textKindOf = (kind: EntryKind): TextKind => textKinds[kind]
