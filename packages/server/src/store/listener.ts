import type { Logger } from 'pino'
import { openListening, type Listening } from './listening.ts'

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

/** Listens to PostgreSQL's notices over one connection, which is made again for ever when it breaks. */
export async function startListener(
  url: string,
  channels: readonly string[],
  log: Pick<Logger, 'warn'>,
): Promise<Listener> {
  const listeners = new Map<string, Set<(payload: string) => void>>()
  const again = new Set<() => void>()
  let listening: Listening | null = null
  let closed = false
  let tries = 0
  let timer: NodeJS.Timeout | undefined

  function told(channel: string, payload: string): void {
    for (const tell of listeners.get(channel) ?? [])
      try {
        tell(payload)
      } catch (error) {
        log.warn({ err: error, channel }, 'a notice could not be taken')
      }
  }
  function ended(error: Error | null): void {
    log.warn({ err: error ?? undefined }, 'the connection for notices is lost')
    listening = null
    retry()
  }
  async function connect(): Promise<void> {
    const next = await openListening(url, channels, { told, ended })
    if (closed) return next.close()
    listening = next
    tries = 0
  }
  function retry(): void {
    if (closed) return
    clearTimeout(timer)
    const wait = Math.min(longestWaitMs, firstWaitMs * 2 ** tries++) * (0.5 + 0.5 * Math.random())
    timer = setTimeout(() => {
      connect().then(() => {
        if (!closed) for (const act of again) act()
      }, retry)
    }, wait)
  }

  await connect()
  const pulse = setInterval(() => listening?.pulse(), pulseMs)
  return {
    get connected() {
      return listening !== null
    },
    on: (channel, tell) => void listeners.set(channel, (listeners.get(channel) ?? new Set()).add(tell)),
    onReconnect: (act) => void again.add(act),
    async close() {
      closed = true
      clearTimeout(timer)
      clearInterval(pulse)
      await listening?.close()
    },
  }
}
