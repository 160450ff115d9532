/** What is done outside: waiting for its turn, on its way, done, given up, or called back. */
export const actionStates = ['waiting', 'sending', 'sent', 'failed', 'cancelled'] as const
export type ActionState = (typeof actionStates)[number]

export interface ActionPosition {
  state: ActionState
  /** A try ended without the network's word: it may have been done. */
  uncertain: boolean
}

export type ActionEvent =
  /** A worker takes it up. */
  | { kind: 'begin' }
  /** The network says that it is done, or shows it. */
  | { kind: 'confirm' }
  /** The try did not succeed and there will be another. @param uncertain whether it may have been done nevertheless */
  | { kind: 'defer'; uncertain: boolean }
  /** There will be no other try. */
  | { kind: 'fail'; uncertain: boolean }
  /** What the network had taken did not reach whom it was for. */
  | { kind: 'undelivered' }
  /** A person wants it tried again at once. */
  | { kind: 'retry' }
  /** A person calls it back. @param anyway although it may have been done */
  | { kind: 'cancel'; anyway: boolean }

export type ActionTransition =
  | { changed: true; next: ActionPosition }
  /** Why not: it stands outside, is on its way right now, may stand outside, or was decided otherwise. */
  | { changed: false; reason: 'sent' | 'sending' | 'maybeSent' | 'alreadyThere' | 'ended' }

const to = (state: ActionState, uncertain: boolean): ActionTransition => ({
  changed: true,
  next: { state, uncertain },
})
const no = (reason: Extract<ActionTransition, { changed: false }>['reason']): ActionTransition => ({
  changed: false,
  reason,
})

/** What stands outside stays, unless the network says that it did not arrive. */
function fromSent({ kind }: ActionEvent): ActionTransition {
  if (kind === 'undelivered') return to('failed', false)
  return no(kind === 'confirm' ? 'alreadyThere' : 'sent')
}

/**
 * The states of an outside action. What stands outside is sent, whatever was thought or decided before, and stays so,
 * unless the network says later that it did not arrive; what is uncertain stays uncertain until the network's word.
 */
export function actionTransition(from: ActionPosition, event: ActionEvent): ActionTransition {
  const { state, uncertain } = from
  if (state === 'sent') return fromSent(event)
  switch (event.kind) {
    case 'confirm':
      return to('sent', false)
    case 'undelivered':
      return no('ended')
    case 'begin':
      // Found on its way: the try before ended without anybody's word.
      if (state === 'sending') return to('sending', true)
      return state === 'waiting' ? to('sending', uncertain) : no('ended')
    case 'defer':
      return state === 'sending' ? to('waiting', uncertain || event.uncertain) : no('ended')
    case 'fail':
      return state === 'sending' || state === 'waiting'
        ? to('failed', uncertain || event.uncertain)
        : no('ended')
    case 'retry':
      if (state === 'sending') return no('sending')
      return state === 'cancelled' ? no('ended') : to('waiting', uncertain)
    case 'cancel':
      if (state === 'sending') return no('sending')
      if (state === 'cancelled') return no('alreadyThere')
      return uncertain && !event.anyway ? no('maybeSent') : to('cancelled', uncertain)
  }
}

/**
 * Whether an answer in this state answers anybody: one that failed or was called back does not.
 *
 * @example stands('sent') // true
 * @example stands('failed') // false
 */
export const stands = (state: ActionState): boolean => state !== 'failed' && state !== 'cancelled'
