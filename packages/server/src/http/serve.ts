import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import type { Express } from 'express'
import type { Config } from '../config.ts'

export interface Serving {
  address: string
  /** Open connections are cut: a stream of events would never end by itself. */
  stop(): Promise<void>
}

/** @throws when the port is taken */
export async function serve(app: Express, { host, port }: Pick<Config, 'host' | 'port'>): Promise<Serving> {
  const server = createServer(app)
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, host, resolve)
  })
  const name = host.includes(':') ? `[${host}]` : host
  return {
    address: `http://${name}:${(server.address() as AddressInfo).port}`,
    stop: () =>
      new Promise<void>((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      }),
  }
}
