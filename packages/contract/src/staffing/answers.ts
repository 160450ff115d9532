import type { WeekInputs } from '@murrabel/core/staffing'

/** What one colleague has in hand, and has done. */
export interface ColleagueWork {
  /** Null: answered outside, by nobody we know. */
  id: number | null
  name: string
  open: number
  pastDue: number
  /** When the oldest that is open was said; null: none is. */
  oldestAt: string | null
  /** Answers in the last seven days. */
  answered: number
  /** Half of them came within so many minutes of opening time; null: too few. */
  halfWithin: number | null
  /** A day, as ISO 8601 writes it. */
  awayUntil: string | null
}

/** What came in by a channel in the last seven days, and what became of it. */
export interface ChannelWork {
  channel: string
  /** Questions that began: whoever writes after our answer begins anew. */
  asked: number
  answered: number
  /** Of the threads, those that are done. */
  finished: number
  /** Median time of an answer, milliseconds; null: too few. */
  eachMs: number | null
}

/** What the coming week is simulated from, and how the last weeks went. */
export interface WeekAheadAnswer {
  /** A full hour, where the simulation begins. */
  start: string
  /** Weeks that were looked at. */
  weeks: number
  /** Days left out because far more came in than usual, as ISO 8601 writes them. */
  leftOut: string[]
  inputs: WeekInputs
  /** Of each person of the inputs; null: answers of nobody we know. */
  people: { id: number | null; name: string | null }[]
  /** Times that answers took, that were measured; the inputs have at most 2,000 of them. */
  measured: number
  /** Answered within the promise: of what was due in the last seven days, with its interval, and the usual range of weeks. */
  promise: {
    share: number
    low: number
    high: number
    n: number
    usual: { low: number; high: number; weeks: number } | null
  } | null
  /** Minutes of opening time to an answer, in the last seven days. */
  time: { half: number; nineTenths: number; n: number } | null
  colleagues: ColleagueWork[]
  teams: { id: number; name: string; open: number; pastDue: number }[]
  nobodys: { open: number; pastDue: number; oldestAt: string | null }
  channels: ChannelWork[]
}
