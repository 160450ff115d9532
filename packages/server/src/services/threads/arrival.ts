import type { EntryKind, ThreadState } from '@murrabel/core/lens'

export interface Arrival {
  state: ThreadState
  /** Kind of the latest incoming entry; null when there is none. */
  kind: EntryKind | null
  /** Epoch milliseconds of the latest incoming entry and of our latest answer. */
  leadAt: number | null
  answeredAt: number | null
  /** The latest incoming entry is another than before. */
  leadIsNew: boolean
  /** When the profile was connected. */
  connectedAt: number
  /** Older entries count as history. */
  historyMs: number
}

/** What was said longer ago than this before the day of connecting is history: kept and counted, but not owed an answer. */
export const historyDays = 14

/** The state of a thread after entries arrived. A mention has nobody waiting; what we answered elsewhere waits for them. */
export function stateOnArrival({
  state,
  kind,
  leadAt,
  answeredAt,
  leadIsNew,
  connectedAt,
  historyMs,
}: Arrival): ThreadState {
  if (kind === null || leadAt === null || kind === 'mention') return 'done'
  const answered = answeredAt !== null && answeredAt >= leadAt
  if (!leadIsNew) return state === 'open' && answered ? 'waiting' : state
  if (answered) return leadAt < connectedAt ? 'done' : 'waiting'
  return leadAt < connectedAt - historyMs ? 'done' : 'open'
}
