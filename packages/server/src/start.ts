import { pino } from 'pino'
import type { Config } from './config.ts'
import type { Context } from './context.ts'
import { diskStore } from './attachments/fileStore.ts'
import { createApp } from './http/app.ts'
import { serve } from './http/serve.ts'
import { networkClients } from './networkClients.ts'
import { startJobs } from './jobs/start.ts'
import { dueWork } from './jobs/due/dueWork.ts'
import { changesLenses, liveChannel, startLive } from './live/live.ts'
import { startListener } from './store/listener.ts'
import { dueChannel } from './store/queries/jobs/dueWork.ts'
import { openDatabase, type Database } from './store/database.ts'
import { KeptCounts } from './keptCounts.ts'
import { SharedRuns } from './sharedRuns.ts'
import { migrate } from './store/migrate.ts'
import { defineModels } from './store/models/index.ts'
import { startFileWorker } from './workers/startFileWorker.ts'
import { startReadingWorker } from './workers/startReadingWorker.ts'
import { startTextWorker } from './workers/startTextWorker.ts'

export interface Server {
  /** The connections of what browsers ask; null for a process that serves none. */
  asked: Database | null
  context: Context
  /** Where other servers bring mail; null where none is taken. */
  mailPort: number | null
  /** Null in a process that serves no browsers. */
  address: string | null
  stop(): Promise<void>
}

const askedContext = (context: Context, db: Database): Context => ({
  ...context,
  db,
  models: defineModels(db.sequelize),
  due: dueWork(db),
})

/** Starts one process: migrates under a lock, then serves browsers, works on jobs, or both. */
export async function start(
  config: Config,
  { now = Date.now }: { now?: () => number } = {},
): Promise<Server> {
  const log = pino({ level: config.logLevel, redact: ['req.headers.cookie', 'req.headers.authorization'] })
  const db = openDatabase(config.databaseUrl)
  await migrate(db)
  const models = defineModels(db.sequelize)
  const listener = await startListener(config.databaseUrl, [liveChannel, dueChannel], log)
  const live = startLive(db, listener)
  const keptCounts = new KeptCounts()
  listener.onReconnect(() => keptCounts.clear())
  const clients = networkClients(config, log)
  const textWorker = startTextWorker(config.databaseUrl)
  live.onAny((event, brandId) => {
    keptCounts.hear(brandId, event)
    if (changesLenses(event)) textWorker.forget()
  })
  const fileWorker = startFileWorker(config.databaseUrl)
  const readingWorker = startReadingWorker()
  const context: Context = {
    config,
    db,
    models,
    live,
    due: dueWork(db),
    log,
    textWorker,
    fileWorker,
    readingWorker,
    files: diskStore(config.filesFolder),
    sharedRuns: new SharedRuns(),
    keptCounts,
    httpFor: clients.httpFor,
    now,
  }
  // Browsers do not wait for ever: what they ask has connections of its own, whose statements end in time.
  const asked = config.web
    ? openDatabase(config.databaseUrl, {
        statementMs: config.requestSeconds * 1000,
        replicaUrl: config.replicaUrl,
      })
    : null
  const web = asked ? await serve(createApp(askedContext(context, asked)), config) : null
  const jobs = config.jobs ? await startJobs(context, listener, { onWorkers: clients.shareAmong }) : null
  return {
    context,
    asked,
    address: web?.address ?? null,
    mailPort: jobs?.mailPort ?? null,
    async stop() {
      await web?.stop()
      await jobs?.stop()
      await listener.close()
      await Promise.all([textWorker.stop(), fileWorker.stop(), readingWorker.stop()])
      await asked?.close()
      await db.close()
    },
  }
}
