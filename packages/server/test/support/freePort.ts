import { createServer } from 'node:net'

/** A free port below those that the system gives to outgoing connections, so that none of them takes it meanwhile. */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = 10_000 + Math.floor(Math.random() * 20_000)
    const free = await new Promise<boolean>((resolve) => {
      const server = createServer()
      server.once('error', () => resolve(false))
      server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
    })
    if (free) return port
  }
}
