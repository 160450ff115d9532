import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import type { Config } from './config.ts'
import { networkHttp, RateBudget, type NetworkHttp } from './connectors/index.ts'
import type { Context } from './context.ts'
import { createApp } from './http/app.ts'
import { startJobs } from './jobs/start.ts'
import { dueWork } from './jobs/due/dueWork.ts'
import { liveChannel, startLive } from './live/live.ts'
import { startListener } from './store/listener.ts'
import { dueChannel } from './store/queries/jobs/dueWork.ts'
import { openDatabase, type Database } from './store/database.ts'
import { migrate } from './store/migrate.ts'
import { defineModels } from './store/models/index.ts'
import { startFileWorker } from './workers/startFileWorker.ts'
import { startTextWorker } from './workers/startTextWorker.ts'

export interface Server {
  /** The connections of what browsers ask; null for a process that serves none. */
  asked: Database | null
  context: Context
  /** Null in a process that serves no browsers. */
  address: string | null
  stop(): Promise<void>
}

/** Requests a second to one network, and how many may go at once: below what the strictest of them allows. */
const budget = { perSecond: 50, burst: 50 }

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
  const https = new Map<string, NetworkHttp>()
  const httpFor = (network: string) => {
    let http = https.get(network)
    if (!http) {
      // What is no network of the settings is an address that somebody typed.
      const guard = config.networks.some((n) => n.network === network)
        ? undefined
        : { allowed: config.allowedInnerAddresses }
      http = networkHttp({
        budget: new RateBudget(budget.perSecond, budget.burst),
        guard,
        log: (message, detail) => log.info(detail, message),
      })
      https.set(network, http)
    }
    return http
  }
  const textWorker = startTextWorker(config.databaseUrl)
  live.onAny(({ kind }) => {
    if (kind !== 'profiles' && kind !== 'alerts') textWorker.forget()
  })
  const fileWorker = startFileWorker(config.databaseUrl)
  const context: Context = {
    config,
    db,
    models,
    live,
    due: dueWork(db),
    log,
    textWorker,
    fileWorker,
    httpFor,
    now,
  }
  // Browsers do not wait for ever: what they ask has connections of its own, whose statements end in time.
  const asked = config.web
    ? openDatabase(config.databaseUrl, {
        statementMs: config.requestSeconds * 1000,
        replicaUrl: config.replicaUrl,
      })
    : null
  const server = asked ? createServer(createApp(askedContext(context, asked))) : null
  if (server)
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject)
      server.listen(config.port, config.host, resolve)
    })
  const jobs = config.jobs ? await startJobs(context, listener) : null
  return {
    context,
    asked,
    address: server
      ? `http://${config.host.includes(':') ? `[${config.host}]` : config.host}:${(server.address() as AddressInfo).port}`
      : null,
    async stop() {
      await new Promise<void>((resolve) => {
        if (!server) return resolve()
        server.close(() => resolve())
        server.closeAllConnections()
      })
      await jobs?.stop()
      await listener.close()
      await Promise.all([textWorker.stop(), fileWorker.stop()])
      await asked?.close()
      await db.close()
    },
  }
}
