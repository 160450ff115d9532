import { randomUUID } from 'node:crypto'
import type { Logger } from 'pino'
import type { Database } from '../../store/database.ts'
import {
  beat,
  claimWork,
  endBeat,
  keepLeases,
  kindsDue,
  releaseWork,
  workersAlive,
  type ClaimedWork,
} from '../../store/queries/jobs/dueWork.ts'
import { carryOut } from './carryOut.ts'
import { workKinds, workRules, type WorkKind, type WorkRules } from './kinds.ts'
import { startLooking } from './looking.ts'
import { endings, type Works } from './piece.ts'

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
  /** Told with every heartbeat how many processes work, this one among them. */
  onWorkers?: (workers: number) => void
}

interface Held {
  kind: WorkKind
  doubtful: boolean
  stop: AbortController
  ended: Promise<void>
}

/** How long a stopping process waits for what it has in hand. */
const graceMs = 5_000

/** How much of a kind may be taken: of what has failed before, half the places at most. */
function placesFor(kind: WorkKind, { atOnce }: WorkRules, held: Iterable<Held>) {
  const mine = [...held].filter((each) => each.kind === kind)
  const half = Math.max(1, Math.floor(atOnce / 2))
  return {
    free: atOnce - mine.length,
    doubtful: Math.max(0, half - mine.filter((each) => each.doubtful).length),
  }
}

/**
 * Works on what is due: each piece by itself, under a lease that is kept alive, so that one that hangs, fails or dies is
 * nobody else's affair. Without the database it waits and goes on when that is back.
 */
export function startRunner(options: RunnerOptions): Runner {
  const { db, leaseSeconds, log, works, rules = workRules, everyMs = 1_000, onWorkers } = options
  const worker = randomUUID()
  const held = new Map<string, Held>()
  let stopped = false

  async function take(kind: WorkKind): Promise<void> {
    const { perOwner, recurring = false } = rules[kind]
    const places = placesFor(kind, rules[kind], held.values())
    if (places.free <= 0) return
    const claimed = await claimWork(db, { kind, ...places, perOwner, recurring, leaseSeconds })
    for (const piece of claimed) hold(kind, piece)
    // There may be more of other owners, or of the same after these.
    if (claimed.length) looking.lookOnceMore()
  }
  function hold(kind: WorkKind, piece: ClaimedWork): void {
    const stop = new AbortController()
    const ended = carryOut({ db, works, rules, log }, kind, piece, stop).finally(() => {
      held.delete(piece.lease)
      looking.look()
    })
    held.set(piece.lease, { kind, doubtful: piece.attempts > 1, stop, ended })
  }
  const looking = startLooking(
    async () => {
      for (const kind of await kindsDue(db))
        if (workKinds.includes(kind as WorkKind) && !stopped) await take(kind as WorkKind)
    },
    { everyMs, failed: (error) => log.warn({ err: error }, 'looking for work failed') },
  )
  const pulse = startPulse({ db, worker, held, leaseSeconds, log, onWorkers })
  looking.look()
  return {
    look: looking.look,
    async stop() {
      stopped = true
      looking.stop()
      clearInterval(pulse)
      await giveBack({ db, held, rules })
      await endBeat(db, worker).catch(() => {})
    },
  }
}

/** Says that the worker lives and keeps its leases; what another worker has taken over is let go. */
function startPulse({
  db,
  worker,
  held,
  leaseSeconds,
  log,
  onWorkers,
}: Pick<RunnerOptions, 'db' | 'leaseSeconds' | 'log' | 'onWorkers'> & {
  worker: string
  held: ReadonlyMap<string, Held>
}): NodeJS.Timeout {
  async function beatOnce(): Promise<void> {
    await beat(db, worker)
    onWorkers?.(await workersAlive(db))
    if (!held.size) return
    const kept = await keepLeases(db, [...held.keys()], leaseSeconds)
    for (const [lease, { stop }] of held) if (!kept.has(lease)) stop.abort(endings.lost)
  }
  const tell = (error: unknown) => log.warn({ err: error }, 'heartbeat failed')
  void beatOnce().catch(tell)
  return setInterval(() => void beatOnce().catch(tell), (leaseSeconds * 1000) / 3)
}

/** Waits a moment for what is in hand, and gives back what is left. */
async function giveBack({
  db,
  held,
  rules,
}: {
  db: Database
  held: ReadonlyMap<string, Held>
  rules: Record<WorkKind, WorkRules>
}): Promise<void> {
  const leases = [...held.keys()]
  const all = Promise.allSettled([...held.values()].map(({ ended }) => ended))
  for (const { kind, stop } of held.values())
    if (rules[kind].longestMs > graceMs * 100) stop.abort(endings.stopping)
  await Promise.race([all, new Promise((resolve) => setTimeout(resolve, graceMs).unref())])
  for (const { stop } of held.values()) stop.abort(endings.stopping)
  await releaseWork(db, leases).catch(() => {})
}
