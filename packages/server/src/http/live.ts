import type { Express } from 'express'
import { routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'

/** Proxies close silent connections after a minute. */
const heartbeatMs = 25_000

/** Server-sent events: what changes on the reader's brand. */
export function liveRoutes(app: Express, context: Context): void {
  handle(app, routes.live, {
    async act({ req, res, reader }) {
      res.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store',
        'X-Accel-Buffering': 'no',
      })
      res.write('retry: 1000\n\n')
      const stop = context.live.listen(reader.brandId, (event) =>
        res.write(`data: ${JSON.stringify(event)}\n\n`),
      )
      const heartbeat = setInterval(() => res.write(': \n\n'), heartbeatMs)
      req.on('close', () => {
        stop()
        clearInterval(heartbeat)
      })
      return undefined
    },
  })
}
