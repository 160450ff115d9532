import type { Database, Tx } from '../../store/database.ts'
import { keepProgress, type ClaimedWork } from '../../store/queries/jobs/dueWork.ts'
import type { WorkKind } from './kinds.ts'
import type { WorkOutcome } from './next.ts'

/** A piece in hand. */
export interface Piece {
  subject: string
  /** The subject where it is an id. */
  id: number
  attempts: number
  /** What an earlier try kept. */
  progress: unknown
  /** Ends when the piece is no longer ours, takes too long, or the process stops. */
  signal: AbortSignal
  /** Keeps how far it has come, with a transaction together with what was done. @throws when it is no longer ours */
  keep(progress: unknown, tx?: Tx): Promise<void>
}

export type Work = (piece: Piece) => Promise<WorkOutcome>
export type Works = Record<WorkKind, Work>

/** Why a piece ends before it is done. */
export const endings = {
  tooLong: new Error('it took longer than it may'),
  lost: new Error('another worker has taken over'),
  stopping: new Error('the process stops'),
}

export const pieceOf = (
  db: Database,
  { subject, attempts, progress, lease }: ClaimedWork,
  signal: AbortSignal,
): Piece => ({
  subject,
  id: Number(subject),
  attempts,
  progress,
  signal,
  async keep(value, tx) {
    if (!(await keepProgress(db, lease, value, tx))) throw endings.lost
  },
})
