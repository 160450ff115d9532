import type { Logger } from 'pino'
import type { Database } from '../../store/database.ts'
import {
  askedAgain,
  failWork,
  postponeWork,
  removeWork,
  type ClaimedWork,
} from '../../store/queries/jobs/dueWork.ts'
import type { WorkKind, WorkRules } from './kinds.ts'
import { nextStep, type WorkOutcome } from './next.ts'
import { endings, pieceOf, type Works } from './piece.ts'

export interface CarryingOut {
  db: Database
  works: Works
  rules: Record<WorkKind, WorkRules>
  log: Pick<Logger, 'warn' | 'error'>
}

/** Does one piece and notes what becomes of it. */
export async function carryOut(
  parts: CarryingOut,
  kind: WorkKind,
  claimed: ClaimedWork,
  stop: AbortController,
): Promise<void> {
  const { db, rules, log } = parts
  const { lease, attempts } = claimed
  const outcome = await attempt(parts, kind, claimed, stop)
  try {
    // A stopping process gives its work back; whoever took over a lost lease says what becomes of it.
    if (stop.signal.aborted && stop.signal.reason !== endings.tooLong) return
    const again = await askedAgain(db, lease)
    if (again === null) return
    const next = nextStep(outcome, { attempts, askedAgain: again, rules: rules[kind] }, Math.random())
    if (next.kind === 'remove') await removeWork(db, lease)
    else if (next.kind === 'later') await postponeWork(db, lease, next)
    else await failWork(db, lease, next.error)
  } catch (error) {
    // The database is away: the lease ends by itself and the piece is done again.
    log.warn({ err: error, kind, subject: claimed.subject }, 'the end of work could not be noted')
  }
}

async function attempt(
  { db, works, rules, log }: CarryingOut,
  kind: WorkKind,
  claimed: ClaimedWork,
  stop: AbortController,
): Promise<WorkOutcome | { error: unknown }> {
  const { subject, attempts } = claimed
  const late = setTimeout(() => stop.abort(endings.tooLong), rules[kind].longestMs)
  try {
    return await Promise.race([works[kind](pieceOf(db, claimed, stop.signal)), endOf(stop.signal)])
  } catch (error) {
    if (!stop.signal.aborted) log.warn({ err: error, kind, subject, attempts }, 'work failed')
    return { error }
  } finally {
    clearTimeout(late)
  }
}

/**
 * Fails when the signal ends, so that nobody waits for work that does not listen. A process that stops lets its work come to
 * a halt by itself.
 */
function endOf(signal: AbortSignal): Promise<never> {
  const ended = new Promise<never>((_, reject) => {
    const end = () => {
      if (signal.reason !== endings.stopping) reject(signal.reason as Error)
    }
    signal.addEventListener('abort', end, { once: true })
  })
  ended.catch(() => {})
  return ended
}
