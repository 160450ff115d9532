import type { EntryOrigin, ThreadState } from '../lens/index.ts'

export type ThreadEvent =
  | { kind: 'incoming' }
  /** What came in was only heard, is history, or answered long ago: nobody waits for us. */
  | { kind: 'nothingOwed' }
  /** We answered on the network itself; the customer's turn. */
  | { kind: 'answeredOutside' }
  /** We answered from here; the customer's turn. */
  | { kind: 'replied' }
  /** What was to go out did not: the answer is owed again. */
  | { kind: 'sendFailed' }
  | { kind: 'finish' }
  | { kind: 'reopen' }
  /** It is spam: nobody waits for us. */
  | { kind: 'spam' }
  /** It was none after all. */
  | { kind: 'notSpam' }
  /** @param until epoch milliseconds, later than now; null: until they write */
  | { kind: 'setAside'; until: number | null }
  /** The time of a thread that was set aside has come. */
  | { kind: 'wake' }
  /** A change is taken back. */
  | { kind: 'undo'; to: ThreadPosition }

export interface ThreadPosition {
  state: ThreadState
  setAsideUntil: number | null
}

export type Transition =
  | { changed: true; next: ThreadPosition }
  | { changed: false; reason: 'alreadyThere' | 'notAside' | 'tooEarly' | 'pastTime' }

const to = (state: ThreadState, setAsideUntil: number | null = null): Transition => ({
  changed: true,
  next: { state, setAsideUntil },
})
const unless = (here: boolean, there: Transition): Transition =>
  here ? { changed: false, reason: 'alreadyThere' } : there

/**
 * The states of a thread: open, waiting (for the customer), aside (until a time, or until they write) and done. A new incoming entry always
 * opens it again. Names the next state or says why there is none; whoever calls records it. There is no other way in which
 * a thread changes its state.
 *
 * @example transition({ state: 'open', setAsideUntil: null }, { kind: 'finish' }, 0).next // {"state":"done","setAsideUntil":null}
 */
export function transition(from: ThreadPosition, event: ThreadEvent, now: number): Transition {
  switch (event.kind) {
    case 'incoming':
    case 'reopen':
    case 'notSpam':
    case 'sendFailed':
      return unless(from.state === 'open', to('open'))
    case 'nothingOwed':
    case 'finish':
    case 'spam':
      return unless(from.state === 'done', to('done'))
    case 'answeredOutside':
      return unless(from.state === 'waiting', to('waiting'))
    case 'replied':
      return unless(from.state === 'done' || from.state === 'waiting', to('waiting'))
    case 'setAside':
      if (event.until !== null && event.until <= now) return { changed: false, reason: 'pastTime' }
      return unless(from.state === 'aside' && from.setAsideUntil === event.until, to('aside', event.until))
    case 'wake':
      // Without a time it is they who open it again.
      if (from.state !== 'aside' || from.setAsideUntil === null) return { changed: false, reason: 'notAside' }
      return from.setAsideUntil > now ? { changed: false, reason: 'tooEarly' } : to('open')
    case 'undo':
      return unless(
        from.state === event.to.state && from.setAsideUntil === event.to.setAsideUntil,
        to(event.to.state, event.to.setAsideUntil),
      )
  }
}

export interface Arrival {
  state: ThreadState
  /** Of the entry that the thread is shown by; null when none came from outside, or it asks for no answer. */
  origin: EntryOrigin | null
  /** Epoch milliseconds of the latest incoming entry and of our latest answer that stands. */
  leadAt: number | null
  answeredAt: number | null
  /** The latest incoming entry is another than before. */
  leadIsNew: boolean
  /** It was put aside as spam; whoever writes again there is not heard. */
  spam: boolean
  /** When the profile was connected. */
  connectedAt: number
  /** What is older than this before the day of connecting counts as history, in milliseconds. */
  historyMs: number
}

/** What was said longer ago than this before the day of connecting is history: kept and counted, but not owed an answer. */
export const historyDays = 14

/** What it means for a thread that entries arrived or were read anew; null: nothing. */
export function arrivalEvent({
  state,
  origin,
  leadAt,
  answeredAt,
  leadIsNew,
  spam,
  connectedAt,
  historyMs,
}: Arrival): ThreadEvent | null {
  if (spam) return state === 'open' ? { kind: 'nothingOwed' } : null
  if (origin === null || leadAt === null || origin === 'heard') return { kind: 'nothingOwed' }
  const answered = answeredAt !== null && answeredAt >= leadAt
  if (!leadIsNew) return state === 'open' && answered ? { kind: 'answeredOutside' } : null
  if (answered) return { kind: leadAt < connectedAt ? 'nothingOwed' : 'answeredOutside' }
  return { kind: leadAt < connectedAt - historyMs ? 'nothingOwed' : 'incoming' }
}
