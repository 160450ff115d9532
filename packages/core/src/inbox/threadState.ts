import type { ThreadState } from '../lens/index.ts'

export type ThreadEvent =
  | { kind: 'incoming' }
  /** We answered; the customer's turn. */
  | { kind: 'replied' }
  | { kind: 'finish' }
  | { kind: 'reopen' }
  /** @param until epoch milliseconds, later than now */
  | { kind: 'setAside'; until: number }
  /** The time of a thread that was set aside has come. */
  | { kind: 'wake' }

export interface ThreadPosition {
  state: ThreadState
  setAsideUntil: number | null
}

export type Transition =
  | { changed: true; next: ThreadPosition }
  | { changed: false; reason: 'alreadyThere' | 'notAside' | 'pastTime' }

const to = (state: ThreadState, setAsideUntil: number | null = null): Transition => ({
  changed: true,
  next: { state, setAsideUntil },
})

/**
 * The states of a thread: open, waiting (for the customer), aside (until a time) and done. A new incoming entry always
 * opens it again. Names the next state or says why there is none; whoever calls records it.
 */
export function transition(from: ThreadPosition, event: ThreadEvent, now: number): Transition {
  switch (event.kind) {
    case 'incoming':
      return from.state === 'open' ? { changed: false, reason: 'alreadyThere' } : to('open')
    case 'replied':
      return from.state === 'done' || from.state === 'waiting'
        ? { changed: false, reason: 'alreadyThere' }
        : to('waiting')
    case 'finish':
      return from.state === 'done' ? { changed: false, reason: 'alreadyThere' } : to('done')
    case 'reopen':
      return from.state === 'open' ? { changed: false, reason: 'alreadyThere' } : to('open')
    case 'setAside':
      if (event.until <= now) return { changed: false, reason: 'pastTime' }
      return from.state === 'aside' && from.setAsideUntil === event.until
        ? { changed: false, reason: 'alreadyThere' }
        : to('aside', event.until)
    case 'wake':
      return from.state === 'aside' ? to('open') : { changed: false, reason: 'notAside' }
  }
}
