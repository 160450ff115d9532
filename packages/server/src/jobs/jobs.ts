import type { Tx } from '../store/database.ts'

export type Nudge = 'analyse' | 'send' | 'watchHistory' | 'reread'

export interface WatchHistoryJob {
  brandId: number
}

/** What use cases ask of the background. With a transaction, the work is asked for when it commits. */
export interface Jobs {
  collect(profileIds: readonly number[]): Promise<void>
  send(tx?: Tx): Promise<void>
  watchHistory(job: WatchHistoryJob, tx?: Tx): Promise<void>
  /** Begins at once if this process does jobs; otherwise the queue's own rhythm serves. */
  nudge(what: Nudge): void
  stop(): Promise<void>
}
