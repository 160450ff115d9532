import type { Logger } from 'pino'
import type { Config } from './config.ts'
import type { NetworkHttp } from './connectors/index.ts'
import type { FileStore } from './attachments/fileStore.ts'
import type { DueWork } from './jobs/due/dueWork.ts'
import type { Live } from './live/live.ts'
import type { Database } from './store/database.ts'
import type { FileWorker } from './workers/startFileWorker.ts'
import type { ReadingWorker } from './workers/startReadingWorker.ts'
import type { TextWorker } from './workers/startTextWorker.ts'
import type { KeptCounts } from './keptCounts.ts'
import type { SharedRuns } from './sharedRuns.ts'
import type { Models } from './store/models/index.ts'

/** What every use case may reach for. */
export interface Context {
  config: Config
  db: Database
  models: Models
  live: Live
  /** Asks for work in the background. */
  due: DueWork
  log: Logger
  /** Counts texts beside the server's own thread. */
  textWorker: TextWorker
  /** Reads entries beside the server's own thread. */
  readingWorker: ReadingWorker
  /** Reads outside documents beside the server's own thread. */
  fileWorker: FileWorker
  /** Attachments and pictures. */
  files: FileStore
  /** The same question of several readers is asked once. */
  sharedRuns: SharedRuns
  /** Counts of the lenses on screens, changed by what notices name. */
  keptCounts: KeptCounts
  /** Requests to a network or feed, one budget for each. */
  httpFor(network: string): NetworkHttp
  now(): number
}
