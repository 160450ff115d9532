import { randomUUID } from 'node:crypto'
import type { Logger } from 'pino'
import type { Database } from '../../store/database.ts'
import * as store from '../../store/queries/jobs/dueWork.ts'
import { workKinds, workRules, type WorkKind, type WorkRules } from './kinds.ts'
import { nextStep, type WorkOutcome } from './next.ts'

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
  keep(progress: unknown, tx?: Parameters<Database['rows']>[2]): Promise<void>
}

export type Work = (piece: Piece) => Promise<WorkOutcome>
export type Works = Record<WorkKind, Work>

export interface Runner {
  /** Looks now whether something is due. */
  look(): void
  stop(): Promise<void>
}

export interface RunnerOptions {
  db: Database
  works: Works
  leaseSeconds: number
  log: Pick<Logger, 'warn' | 'error'>
  rules?: Record<WorkKind, WorkRules>
  /** How often it looks without being told. */
  everyMs?: number
}

interface Held {
  kind: WorkKind
  doubtful: boolean
  stop: AbortController
  ended: Promise<void>
}

/** How long a stopping process waits for what it has in hand. */
const graceMs = 5_000

/**
 * Works on what is due: each piece by itself, under a lease that is kept alive, so that one that hangs, fails or dies is
 * nobody else's affair. Without the database it waits and goes on when that is back.
 */
export function startRunner({
  db,
  works,
  leaseSeconds,
  log,
  rules = workRules,
  everyMs = 1_000,
}: RunnerOptions): Runner {
  const worker = randomUUID()
  const held = new Map<string, Held>()
  let stopped = false
  let looking = false
  let lookAgain = false
  let timer: NodeJS.Timeout | undefined

  async function take(kind: WorkKind): Promise<void> {
    const { atOnce, perOwner, recurring = false } = rules[kind]
    const mine = [...held.values()].filter((each) => each.kind === kind)
    const free = atOnce - mine.length
    if (free <= 0) return
    const half = Math.max(1, Math.floor(atOnce / 2))
    const doubtful = Math.max(0, half - mine.filter((each) => each.doubtful).length)
    const claimed = await store.claimWork(db, { kind, free, doubtful, perOwner, recurring, leaseSeconds })
    for (const piece of claimed) hold(kind, piece)
    // There may be more of other owners, or of the same after these.
    if (claimed.length) lookAgain = true
  }

  function hold(kind: WorkKind, piece: store.ClaimedWork): void {
    const stop = new AbortController()
    const ended = carryOut(kind, piece, stop).finally(() => {
      held.delete(piece.lease)
      look()
    })
    held.set(piece.lease, { kind, doubtful: piece.attempts > 1, stop, ended })
  }

  async function carryOut(kind: WorkKind, claimed: store.ClaimedWork, stop: AbortController): Promise<void> {
    const { lease, attempts } = claimed
    const outcome = await attempt(kind, claimed, stop)
    try {
      // A stopping process gives its work back; whoever took over a lost lease says what becomes of it.
      if (stop.signal.aborted && stop.signal.reason !== tooLong) return
      const again = await store.askedAgain(db, lease)
      if (again === null) return
      const next = nextStep(outcome, { attempts, askedAgain: again, rules: rules[kind] }, Math.random())
      if (next.kind === 'remove') await store.removeWork(db, lease)
      else if (next.kind === 'later') await store.postponeWork(db, lease, next)
      else await store.failWork(db, lease, next.error)
    } catch (error) {
      // The database is away: the lease ends by itself and the piece is done again.
      log.warn({ err: error, kind, subject: claimed.subject }, 'the end of work could not be noted')
    }
  }

  async function attempt(
    kind: WorkKind,
    claimed: store.ClaimedWork,
    stop: AbortController,
  ): Promise<WorkOutcome | { error: unknown }> {
    const { subject, attempts, progress, lease } = claimed
    const late = setTimeout(() => stop.abort(tooLong), rules[kind].longestMs)
    // A process that stops lets its work come to a halt by itself; otherwise nobody waits for work that does not listen.
    const ended = new Promise<never>((_, reject) =>
      stop.signal.addEventListener(
        'abort',
        () => {
          if (stop.signal.reason !== stopping) reject(stop.signal.reason as Error)
        },
        { once: true },
      ),
    )
    ended.catch(() => {})
    const piece: Piece = {
      subject,
      id: Number(subject),
      attempts,
      progress,
      signal: stop.signal,
      async keep(value, tx) {
        if (!(await store.keepProgress(db, lease, value, tx))) throw lost
      },
    }
    try {
      return await Promise.race([works[kind](piece), ended])
    } catch (error) {
      if (!stop.signal.aborted) log.warn({ err: error, kind, subject, attempts }, 'work failed')
      return { error }
    } finally {
      clearTimeout(late)
    }
  }

  async function beat(): Promise<void> {
    await store.beat(db, worker)
    if (!held.size) return
    const kept = await store.keepLeases(db, [...held.keys()], leaseSeconds)
    for (const [lease, { stop }] of held) if (!kept.has(lease)) stop.abort(lost)
  }

  async function lookOnce(): Promise<void> {
    for (const kind of await store.kindsDue(db))
      if (workKinds.includes(kind as WorkKind) && !stopped) await take(kind as WorkKind)
  }

  function look(): void {
    lookAgain = true
    if (looking || stopped) return
    looking = true
    void (async () => {
      while (lookAgain && !stopped) {
        lookAgain = false
        await lookOnce()
      }
    })()
      .catch((error: unknown) => log.warn({ err: error }, 'looking for work failed'))
      .finally(() => {
        looking = false
        if (stopped) return
        clearTimeout(timer)
        timer = setTimeout(look, lookAgain ? 0 : everyMs)
      })
  }

  const quiet = (error: unknown) => log.warn({ err: error }, 'heartbeat failed')
  const pulse = setInterval(() => void beat().catch(quiet), (leaseSeconds * 1000) / 3)
  void beat().catch(quiet)
  look()

  return {
    look,
    async stop() {
      stopped = true
      clearTimeout(timer)
      clearInterval(pulse)
      const leases = [...held.keys()]
      const all = Promise.allSettled([...held.values()].map(({ ended }) => ended))
      for (const { kind, stop } of held.values())
        if (rules[kind].longestMs > graceMs * 100) stop.abort(stopping)
      await Promise.race([all, new Promise((resolve) => setTimeout(resolve, graceMs).unref())])
      for (const { stop } of held.values()) stop.abort(stopping)
      await store.releaseWork(db, leases).catch(() => {})
      await store.endBeat(db, worker).catch(() => {})
    },
  }
}

const tooLong = new Error('it took longer than it may')
const lost = new Error('another worker has taken over')
const stopping = new Error('the process stops')
