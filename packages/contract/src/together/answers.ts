/** A colleague who has Murrabel open, and what they are at; of several pages the one they came to last. */
export interface Presence {
  colleague: number
  /** The thread they have open; null: none, or one that whoever asks may not see. */
  thread: number | null
  /** They are writing an answer there. */
  writing: boolean
}

/** A note for colleagues; customers never see it. */
export interface NoteAnswer {
  id: number
  edition: number
  /** Null: somebody who is no longer here. */
  by: number | null
  text: string
  at: string
  editedAt: string | null
  /** Colleagues whom it names. */
  mentions: number[]
}

/** What one began to answer, as it was last kept. */
export interface KeptDraft {
  text: string
  private: boolean
  /** The thread's edition as it was when it was begun. */
  edition: number
  at: string
}

export const noticeKinds = [
  'mention',
  'given',
  'givenTeam',
  'asked',
  'approved',
  'returned',
  'notSent',
] as const
export type NoticeKind = (typeof noticeKinds)[number]

/** Something a colleague did that concerns one. */
export interface NoticeAnswer {
  id: number
  kind: NoticeKind
  thread: number
  /** Who wrote there. */
  author: string
  /** Who did it; null: somebody who is no longer here, or Murrabel. */
  by: number | null
  at: string
  /** The note, where there is one. */
  text: string | null
  seen: boolean
}

/** How somebody hears of what concerns them. */
export interface NoticeChoices {
  /** Kinds the bell leaves out. */
  silent: NoticeKind[]
  /** Kinds that show on the desktop, as far as the browser was allowed to. */
  desktop: NoticeKind[]
  /** Kinds that come by mail when they were not seen within some minutes. */
  mail: NoticeKind[]
  /** Nothing shows or is mailed then; hours and minutes where the brand is. */
  quiet: { from: string; until: string } | null
}
