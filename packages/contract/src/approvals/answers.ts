import type { AttachmentAnswer } from '../attachments/answers.ts'

export type ApprovalState = 'asked' | 'approved' | 'returned' | 'takenBack'

/** An answer for which a lead's word is asked, and what became of it; nothing of it is lost. */
export interface ApprovalAnswer {
  id: number
  state: ApprovalState
  /** Who wrote it; null: somebody who is no longer here. */
  by: number | null
  /** Whose word is asked; null: any lead's. */
  of: number | null
  /** As it was written, without the sign-off. */
  text: string
  private: boolean
  /** What goes with it. */
  files: AttachmentAnswer[]
  /** What its writer says to the lead. */
  comment: string
  askedAt: string
  decidedBy: number | null
  decidedAt: string | null
  /** As it went out, where that is not as it was written. */
  sentText: string | null
  /** What the lead says to its writer. */
  word: string
}

/** One that waits for somebody's word. */
export interface WaitingApproval {
  id: number
  thread: number
  /** Who is to be answered. */
  author: string
  by: number | null
  text: string
  askedAt: string
}
