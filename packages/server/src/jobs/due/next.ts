import { cleanText } from '@murrabel/core/text'
import { backoffMs } from '../../connectors/index.ts'
import type { WorkRules } from './kinds.ts'

/** What a piece of work says when it ends without a failure. */
export type WorkOutcome =
  | 'done'
  /** To be done again after a while: the rhythm of what recurs, or a wait that is nobody's fault. */
  | { againInMs: number; note?: string }

/** Thrown by work that must not be tried again by itself. */
export class GivenUp extends Error {
  override readonly name = 'GivenUp'
}

/** Thrown by work that was told how long to wait; the try does not count. */
export class Postponed extends Error {
  override readonly name = 'Postponed'
  constructor(
    message: string,
    readonly waitMs: number,
    options?: ErrorOptions,
  ) {
    super(message, options)
  }
}

/** What becomes of the row. */
export type NextStep =
  | { kind: 'remove' }
  | { kind: 'later'; waitMs: number; attempts: number; proven: boolean; error: string | null }
  | { kind: 'fail'; error: string }

const longestError = 500

/** What an error says, as it can be kept: networks put anything into it. */
export const errorText = (error: unknown): string =>
  cleanText(error instanceof Error ? error.message : String(error), longestError)

/**
 * Decides what follows the end of a piece of work. What was asked for again while it ran, runs again at once.
 *
 * @param attempts tries so far, this one included
 * @param random 0 to 1
 */
export function nextStep(
  outcome: WorkOutcome | { error: unknown },
  { attempts, askedAgain, rules }: { attempts: number; askedAgain: boolean; rules: WorkRules },
  random: number,
): NextStep {
  if (outcome === 'done')
    return askedAgain
      ? { kind: 'later', waitMs: 0, attempts: 0, proven: true, error: null }
      : { kind: 'remove' }
  if ('againInMs' in outcome)
    return {
      kind: 'later',
      waitMs: askedAgain ? 0 : outcome.againInMs,
      attempts: 0,
      proven: true,
      error: outcome.note ?? null,
    }
  const { error } = outcome
  if (error instanceof Postponed)
    return {
      kind: 'later',
      waitMs: error.waitMs,
      attempts: attempts - 1,
      proven: false,
      error: errorText(error),
    }
  if (error instanceof GivenUp || attempts >= rules.tries) return { kind: 'fail', error: errorText(error) }
  const waitMs = backoffMs(attempts - 1, random, { baseMs: rules.firstWaitMs, capMs: rules.longestWaitMs })
  return { kind: 'later', waitMs, attempts, proven: false, error: errorText(error) }
}
