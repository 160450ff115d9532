import { EventEmitter } from 'node:events'
import pg from 'pg'
import type { Logger } from 'pino'
import type { LiveEvent } from '@murrabel/contract'
import type { Database, Tx } from '../store/database.ts'

const channel = 'murrabel_live'
/** PostgreSQL takes 8000 bytes a notice; a longer list of threads says "look again" instead. */
const threadLimit = 500

export interface Live {
  /** Tells every open browser of the brand, from whichever process; with a transaction, when it commits. */
  tell(brandId: number, event: LiveEvent, tx?: Tx): Promise<void>
  listen(brandId: number, on: (event: LiveEvent) => void): () => void
  close(): Promise<void>
}

/** Live updates across processes by LISTEN and NOTIFY; the listening connection is made again when it breaks. */
export async function startLive(db: Database, log: Logger): Promise<Live> {
  const emitter = new EventEmitter()
  emitter.setMaxListeners(0)
  let client: pg.Client | null = null
  let closed = false

  async function connect(): Promise<void> {
    const next = new pg.Client({ connectionString: db.url })
    next.on('notification', ({ payload }) => {
      const { brandId, event } = JSON.parse(payload ?? '{}') as { brandId: number; event: LiveEvent }
      emitter.emit(String(brandId), event)
    })
    next.on('error', (error) => {
      log.warn({ err: error }, 'live connection lost')
      if (!closed) setTimeout(() => void connect().catch(() => {}), 500).unref()
    })
    await next.connect()
    await next.query(`LISTEN ${channel}`)
    client = next
  }
  await connect()

  return {
    async tell(brandId, event, tx) {
      const short =
        'threads' in event && event.threads.length > threadLimit ? { ...event, threads: [] } : event
      await db.rows('SELECT pg_notify($1, $2)', [channel, JSON.stringify({ brandId, event: short })], tx)
    },
    listen(brandId, on) {
      emitter.on(String(brandId), on)
      return () => emitter.off(String(brandId), on)
    },
    async close() {
      closed = true
      await client?.end()
    },
  }
}
