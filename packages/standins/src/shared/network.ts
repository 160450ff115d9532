import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import express, { type Express } from 'express'

export interface Running {
  address: string
  close(): Promise<void>
}

/** An Express application that gives nothing away and parses nothing by itself. */
export function networkApp(): Express {
  const app = express()
  app.disable('x-powered-by')
  app.set('etag', false)
  return app
}

/** Listens on loopback. */
export async function listen(
  app: Express,
  port: number,
  onAddress: (address: string) => void = () => {},
): Promise<Running> {
  const server: Server = createServer(app)
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject)
    server.listen(port, '127.0.0.1', resolve)
  })
  const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  onAddress(address)
  return {
    address,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      }),
  }
}

export interface StandinOptions {
  /** 0 takes any free port. */
  port?: number
  /** Where it remembers; null keeps everything in memory only. */
  journalFile?: string | null
  clientId?: string
  clientSecret?: string
}

export const demoClient = { clientId: 'murrabel', clientSecret: 'murrabel-at-the-standins' }
