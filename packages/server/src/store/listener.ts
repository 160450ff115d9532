import pg from 'pg'
import type { Logger } from 'pino'

export interface Listener {
  /** Whether notices are heard right now. */
  readonly connected: boolean
  on(channel: string, told: (payload: string) => void): void
  /** Called when the connection stands again after it was lost: what was told meanwhile was not heard. */
  onReconnect(act: () => void): void
  close(): Promise<void>
}

const firstWaitMs = 200
const longestWaitMs = 5_000
/** A connection that says nothing may be dead without having been closed: it is asked now and then. */
const pulseMs = 10_000
const answerMs = 5_000

/** One connection that listens to PostgreSQL's notices, made again for ever when it breaks. */
export async function startListener(
  url: string,
  channels: readonly string[],
  log: Pick<Logger, 'warn'>,
): Promise<Listener> {
  const listeners = new Map<string, Set<(payload: string) => void>>()
  const again = new Set<() => void>()
  let client: pg.Client | null = null
  let closed = false
  let tries = 0
  let timer: NodeJS.Timeout | undefined

  async function connect(): Promise<void> {
    const next = new pg.Client({
      connectionString: url,
      connectionTimeoutMillis: answerMs,
      query_timeout: answerMs,
      keepAlive: true,
    })
    next.on('notification', ({ channel, payload }) => {
      for (const told of listeners.get(channel) ?? [])
        try {
          told(payload ?? '')
        } catch (error) {
          log.warn({ err: error, channel }, 'a notice could not be taken')
        }
    })
    next.on('error', (error) => lose(next, error))
    next.on('end', () => lose(next, null))
    try {
      await next.connect()
      for (const channel of channels) await next.query(`LISTEN ${channel}`)
    } catch (error) {
      void next.end().catch(() => {})
      throw error
    }
    if (closed) return void next.end().catch(() => {})
    client = next
    tries = 0
  }

  function lose(which: pg.Client, error: Error | null): void {
    if (closed || which !== client) return
    log.warn({ err: error ?? undefined }, 'the connection for notices is lost')
    client = null
    void which.end().catch(() => {})
    retry()
  }

  function retry(): void {
    if (closed) return
    clearTimeout(timer)
    const wait = Math.min(longestWaitMs, firstWaitMs * 2 ** tries++) * (0.5 + 0.5 * Math.random())
    timer = setTimeout(() => {
      connect().then(
        () => {
          if (!closed) for (const act of again) act()
        },
        () => retry(),
      )
    }, wait)
  }

  await connect()
  const pulse = setInterval(() => {
    const asked = client
    asked?.query('SELECT 1').catch((error: Error) => lose(asked, error))
  }, pulseMs)

  return {
    get connected() {
      return client !== null
    },
    on(channel, told) {
      listeners.set(channel, (listeners.get(channel) ?? new Set()).add(told))
    },
    onReconnect(act) {
      again.add(act)
    },
    async close() {
      closed = true
      clearTimeout(timer)
      clearInterval(pulse)
      await client?.end().catch(() => {})
    },
  }
}
