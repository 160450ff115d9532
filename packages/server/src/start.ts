import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { pino } from 'pino'
import type { Config } from './config.ts'
import { networkHttp, RateBudget, type NetworkHttp } from './connectors/index.ts'
import type { Context } from './context.ts'
import { createApp } from './http/app.ts'
import { startJobs } from './jobs/start.ts'
import { startLive } from './live/live.ts'
import { openDatabase } from './store/database.ts'
import { migrate } from './store/migrate.ts'
import { defineModels } from './store/models/index.ts'
import { startTextWorker } from './workers/startTextWorker.ts'

export interface Server {
  context: Context
  /** Null in a process that serves no browsers. */
  address: string | null
  stop(): Promise<void>
}

/** Requests a second to one network, and how many may go at once: below what the strictest of them allows. */
const budget = { perSecond: 50, burst: 50 }

/** Starts one process: migrates under a lock, then serves browsers, works on jobs, or both. */
export async function start(
  config: Config,
  { now = Date.now }: { now?: () => number } = {},
): Promise<Server> {
  const log = pino({ level: config.logLevel, redact: ['req.headers.cookie', 'req.headers.authorization'] })
  const db = openDatabase(config.databaseUrl)
  await migrate(db)
  const models = defineModels(db.sequelize)
  const live = await startLive(db, log)
  const { jobs, work } = await startJobs(db, { onError: (error) => log.error({ err: error }, 'job failed') })
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
  const context: Context = { config, db, models, live, jobs, log, textWorker, httpFor, now }
  const server = config.web ? createServer(createApp(context)) : null
  if (server)
    await new Promise<void>((resolve, reject) => {
      server.once('error', reject)
      server.listen(config.port, '127.0.0.1', resolve)
    })
  if (config.jobs) await work(context)
  return {
    context,
    address: server ? `http://127.0.0.1:${(server.address() as AddressInfo).port}` : null,
    async stop() {
      await new Promise<void>((resolve) => {
        if (!server) return resolve()
        server.close(() => resolve())
        server.closeAllConnections()
      })
      await jobs.stop()
      await live.close()
      await textWorker.stop()
      await db.close()
    },
  }
}
