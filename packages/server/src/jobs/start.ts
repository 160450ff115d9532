import PgBoss from 'pg-boss'
import type { Context } from '../context.ts'
import { checkAlerts } from '../services/alerts/checkAlerts.ts'
import { deliverAlerts } from '../services/alerts/deliverAlerts.ts'
import { createAnalysis } from '../services/analysis/analyse.ts'
import { brandsWithUnfinishedHistory, runWatchHistories } from '../services/analysis/watchHistory.ts'
import { collectProfile } from '../services/profiles/collect.ts'
import { drainOutbox } from '../services/sending/outbox.ts'
import { rereadHistory, brandsToReread } from '../services/teaching/rereadHistory.ts'
import { lookAtPublicProfiles } from '../services/watches/publicProfiles.ts'
import { brandsToLearn, learnFromCorrections } from '../services/teaching/teaching.ts'
import { wakeThreads } from '../services/threads/change.ts'
import type { Database, Tx } from '../store/database.ts'
import type { Jobs, Nudge, WatchHistoryJob } from './jobs.ts'

const queues = { collect: 'collect', send: 'send', watchHistory: 'watch-history' } as const

/** How often each kind of profile is looked at without being told: where no webhook comes, and in case one was lost. */
const feedMinutes = 5
const profileMinutes = 10
const sweepMs = 2_000
const collectedAtOnce = 20

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
  private readonly histories = new Set<number>()
  private readonly running = new Set<Promise<unknown>>()
  private sending: Promise<unknown> | null = null
  private timer: NodeJS.Timeout | undefined
  private stopped = false
  private teaching = false
  private looking = false

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
    else if (what === 'watchHistory') void this.track(this.sweepWatches())
    else void this.track(this.sweepTeaching())
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

  async watchHistory({ brandId }: WatchHistoryJob): Promise<void> {
    if (this.stopped || this.histories.has(brandId)) return
    this.histories.add(brandId)
    try {
      await runWatchHistories(this.context, brandId)
    } finally {
      this.histories.delete(brandId)
    }
  }

  private async sweep(): Promise<void> {
    this.analyse()
    await this.send()
    await wakeThreads(this.context)
    await checkAlerts(this.context)
    await deliverAlerts(this.context)
    await this.sweepWatches()
    await this.sweepTeaching()
    void this.track(this.lookAtPublicProfiles())
    const due = await this.context.db.rows<{ id: number }>(
      `SELECT id FROM profiles WHERE network <> 'file' AND (
         (status = 'collecting' AND coalesce(collected_at, '-infinity') < now() - $3::int * interval '1 second')
         OR (status = 'connected' AND collected_at < now() - CASE WHEN network = 'feed' THEN $1::int ELSE $2::int END * interval '1 minute')) ORDER BY collected_at NULLS FIRST LIMIT $4::int`,
      // So many at a time: a list of dead addresses keeps nobody else waiting.
      [
        feedMinutes,
        profileMinutes,
        this.context.config.leaseSeconds,
        Math.max(0, collectedAtOnce - this.collecting.size),
      ],
    )
    for (const { id } of due) void this.track(this.collect(id))
  }

  private async sweepWatches(): Promise<void> {
    for (const brandId of await brandsWithUnfinishedHistory(this.context.db))
      await this.watchHistory({ brandId })
  }

  /** Networks may be slow: the sweep does not wait for them. */
  private async lookAtPublicProfiles(): Promise<void> {
    if (this.looking) return
    this.looking = true
    await lookAtPublicProfiles(this.context).finally(() => (this.looking = false))
  }

  /** What was taught is learnt from, and the history read again with it. */
  private async sweepTeaching(): Promise<void> {
    if (this.teaching) return
    this.teaching = true
    try {
      for (const brandId of await brandsToLearn(this.context.db))
        await learnFromCorrections(this.context, brandId)
      for (const brandId of await brandsToReread(this.context.db)) await rereadHistory(this.context, brandId)
    } finally {
      this.teaching = false
    }
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
