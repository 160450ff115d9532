import PgBoss from 'pg-boss'
import type { Context } from '../context.ts'
import { createAnalysis } from '../services/analysis/analyse.ts'
import { runWatchHistory } from '../services/analysis/watchHistory.ts'
import { collectProfile } from '../services/profiles/collect.ts'
import { drainOutbox } from '../services/sending/outbox.ts'
import { wakeThreads } from '../services/threads/change.ts'
import type { Database, Tx } from '../store/database.ts'
import type { Jobs, Nudge, WatchHistoryJob } from './jobs.ts'

const queues = { collect: 'collect', send: 'send', watchHistory: 'watch-history' } as const

/** How often each kind of profile is looked at without being told: where no webhook comes, and in case one was lost. */
const feedMinutes = 5
const profileMinutes = 10
const sweepMs = 2_000

interface Started {
  jobs: Jobs
  /** Begins to work, when this process is to. */
  work(context: Context): Promise<void>
}

/**
 * Jobs on pg-boss in the same database, so that work and state commit together. Whatever a killed process left behind is
 * found again by the sweep: unread entries, replies whose lease ran out, profiles in the middle of their history, watches
 * in the middle of theirs.
 */
export async function startJobs(
  db: Database,
  { onError }: { onError: (error: unknown) => void },
): Promise<Started> {
  const boss = new PgBoss({
    connectionString: db.url,
    max: 3,
    maintenanceIntervalSeconds: 60,
    deleteAfterHours: 24,
  })
  boss.on('error', onError)
  await boss.start()
  for (const name of Object.values(queues)) await boss.createQueue(name)
  const inTx = (tx: Tx) =>
    tx
      ? {
          db: {
            executeSql: async (text: string, values: unknown[]) => ({
              // Sequelize refuses undefined among bound values.
              rows: await db.rows(
                text,
                values.map((value) => value ?? null),
                tx,
              ),
            }),
          },
        }
      : {}
  let worker: Worker | null = null

  const jobs: Jobs = {
    async collect(ids) {
      for (const profileId of ids) await boss.send(queues.collect, { profileId }, { retryLimit: 0 })
    },
    async send(tx) {
      await boss.send(queues.send, {}, { retryLimit: 0, ...inTx(tx) })
    },
    async watchHistory(job, tx) {
      await boss.send(queues.watchHistory, job, { retryLimit: 3, ...inTx(tx) })
    },
    nudge(what) {
      worker?.nudge(what)
    },
    async stop() {
      await worker?.stop()
      await boss.stop({ graceful: true, timeout: 5000 })
    },
  }
  return {
    jobs,
    async work(context) {
      worker = new Worker(context, onError)
      const every = { pollingIntervalSeconds: 0.5, batchSize: 1 }
      const active = worker
      await boss.work<{ profileId: number }>(queues.collect, { ...every, batchSize: 4 }, async (list) => {
        for (const { data } of list) await active.collect(data.profileId)
      })
      await boss.work(queues.send, every, () => active.send())
      await boss.work<WatchHistoryJob>(queues.watchHistory, every, async (list) => {
        for (const { data } of list) await active.watchHistory(data)
      })
      active.start()
    },
  }
}

class Worker {
  private readonly analysis
  private readonly collecting = new Set<number>()
  private readonly histories = new Set<string>()
  private readonly running = new Set<Promise<unknown>>()
  private sending: Promise<unknown> | null = null
  private timer: NodeJS.Timeout | undefined
  private stopped = false

  constructor(
    private readonly context: Context,
    private readonly onError: (error: unknown) => void,
  ) {
    this.analysis = createAnalysis(context)
  }

  start(): void {
    const sweep = () =>
      this.track(this.sweep()).finally(() => {
        if (!this.stopped) this.timer = setTimeout(sweep, sweepMs)
      })
    void sweep()
  }

  private track<T>(work: Promise<T>): Promise<T | void> {
    const tracked = work.catch(this.onError).finally(() => this.running.delete(tracked))
    this.running.add(tracked)
    return tracked
  }

  private analyse(): void {
    void this.track(this.analysis.run())
  }

  nudge(what: Nudge): void {
    if (this.stopped) return
    if (what === 'analyse') this.analyse()
    else if (what === 'send') void this.track(this.send())
    else void this.track(this.sweepWatches())
  }

  async send(): Promise<void> {
    // One at a time in this process; a second call in between is served by the loop that is running or the next sweep.
    this.sending ??= drainOutbox(this.context).finally(() => (this.sending = null))
    await this.sending
  }

  async collect(profileId: number): Promise<void> {
    if (this.stopped || this.collecting.has(profileId)) return
    this.collecting.add(profileId)
    try {
      await collectProfile(this.context, profileId, { onStored: () => this.analyse() })
    } finally {
      this.collecting.delete(profileId)
    }
  }

  async watchHistory({ watchId, version }: WatchHistoryJob): Promise<void> {
    const name = `${watchId}.${version}`
    if (this.stopped || this.histories.has(name)) return
    this.histories.add(name)
    try {
      await runWatchHistory(this.context, watchId, version)
    } finally {
      this.histories.delete(name)
    }
  }

  private async sweep(): Promise<void> {
    this.analyse()
    await this.send()
    await wakeThreads(this.context)
    await this.sweepWatches()
    const due = await this.context.db.rows<{ id: number }>(
      `SELECT id FROM profiles WHERE network <> 'file' AND (
         (status = 'collecting' AND coalesce(collected_at, '-infinity') < now() - $3::int * interval '1 second')
         OR (status = 'connected' AND collected_at < now() - CASE WHEN network = 'feed' THEN $1::int ELSE $2::int END * interval '1 minute')) ORDER BY collected_at NULLS FIRST LIMIT 20`,
      [feedMinutes, profileMinutes, this.context.config.leaseSeconds],
    )
    for (const { id } of due) void this.track(this.collect(id))
  }

  private async sweepWatches(): Promise<void> {
    const unfinished = await this.context.db.rows<WatchHistoryJob>(
      'SELECT id AS "watchId", version FROM watches WHERE deleted_at IS NULL AND history_done < history_total',
    )
    for (const job of unfinished) await this.watchHistory(job)
  }

  async stop(): Promise<void> {
    this.stopped = true
    clearTimeout(this.timer)
    await Promise.race([
      Promise.allSettled([...this.running]),
      new Promise((resolve) => setTimeout(resolve, 5000)),
    ])
  }
}
