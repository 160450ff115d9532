import { connect, createServer, type Server, type Socket } from 'node:net'
import { freePort } from './freePort.ts'

export interface CutLine {
  /** The database's address, by way of this line. */
  url: string
  /** Breaks every connection and refuses new ones. */
  cut(): Promise<void>
  /** Lets connections stand, but nothing pass. */
  hang(): void
  restore(): Promise<void>
  close(): Promise<void>
}

/** A line to a database that can be cut, as a server that is stopped, or a network that breaks. */
export async function cutLine(databaseUrl: string): Promise<CutLine> {
  const target = new URL(databaseUrl)
  const port = await freePort()
  const sockets = new Set<Socket>()
  let server: Server | null = null
  let hanging = false

  const forward = (near: Socket) => {
    const far = connect(Number(target.port), target.hostname)
    for (const [from, to] of [
      [near, far],
      [far, near],
    ] as const) {
      sockets.add(from)
      from.on('data', (data) => {
        if (!hanging) to.write(data)
      })
      from.on('error', () => {})
      from.on('close', () => {
        sockets.delete(from)
        to.destroy()
      })
    }
  }
  const listen = () =>
    new Promise<void>((resolve, reject) => {
      const fresh = createServer(forward)
      fresh.once('error', reject)
      fresh.listen(port, '127.0.0.1', () => {
        server = fresh
        resolve()
      })
    })
  const stop = async () => {
    const ended = server && new Promise<void>((resolve) => server!.close(() => resolve()))
    for (const socket of sockets) socket.destroy()
    server = null
    await ended
  }
  await listen()
  const url = new URL(databaseUrl)
  url.hostname = '127.0.0.1'
  url.port = String(port)
  return {
    url: url.href,
    cut: stop,
    hang() {
      hanging = true
    },
    async restore() {
      if (hanging) for (const socket of sockets) socket.destroy()
      hanging = false
      if (!server) await listen()
    },
    close: stop,
  }
}
