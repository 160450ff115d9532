import pg from 'pg'

const answerMs = 5_000

export interface Listening {
  /** Asks whether it is still there. */
  pulse(): void
  close(): Promise<void>
}

/**
 * One connection that listens to PostgreSQL's notices, until it breaks.
 *
 * @throws when it cannot be opened
 */
export async function openListening(
  url: string,
  channels: readonly string[],
  { told, ended }: { told: (channel: string, payload: string) => void; ended: (error: Error | null) => void },
): Promise<Listening> {
  const client = new pg.Client({
    connectionString: url,
    connectionTimeoutMillis: answerMs,
    query_timeout: answerMs,
    keepAlive: true,
  })
  // What breaks before it stands is told by failing.
  let open = false
  function end(error: Error | null): void {
    if (!open) return
    open = false
    void client.end().catch(() => {})
    ended(error)
  }
  client.on('notification', ({ channel, payload }) => told(channel, payload ?? ''))
  client.on('error', end)
  client.on('end', () => end(null))
  try {
    await client.connect()
    for (const channel of channels) await client.query(`LISTEN ${channel}`)
    open = true
  } catch (error) {
    void client.end().catch(() => {})
    throw error
  }
  return {
    pulse: () => void client.query('SELECT 1').catch(end),
    async close() {
      open = false
      await client.end().catch(() => {})
    },
  }
}
