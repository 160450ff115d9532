import type { Express } from 'express'
import { missedLimitMs, routes, type LiveEvent } from '@murrabel/contract'
import { readerOf } from '../access/sessions.ts'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import { sessionHash, tokenOf } from './brand.ts'
import { seenBy } from '../services/inbox/index.ts'

/** Proxies close silent connections after a minute. */
const heartbeatMs = 25_000
/** Bytes that may wait for a browser that does not read; it is told to load again when it comes back. */
const mostWaiting = 256_000

/** Server-sent events: what changes on the reader's brand, as far as they may see it. */
export function liveRoutes(app: Express, context: Context): void {
  handle(app, routes.live, {
    async act({ req, res, reader }) {
      const token = tokenOf(req) ?? ''
      res.writeHead(200, {
        'Content-Type': 'text/event-stream',
        'Cache-Control': 'no-store',
        'X-Accel-Buffering': 'no',
      })
      res.write('retry: 1000\n\n')
      let last = Promise.resolve()
      const send = (event: LiveEvent) => {
        // One after the other, as they were told.
        last = last.then(async () => {
          const seen = await seenBy(context, reader, event).catch(() => null)
          if (seen && !res.writableEnded) res.write(`data: ${JSON.stringify(seen)}\n\n`)
          if (res.writableLength > mostWaiting) res.destroy()
        })
      }
      context.live.recent(reader.brandId, missedMs(req.query.missed)).forEach(send)
      const stops = [
        context.live.listen(reader.brandId, send),
        context.live.onEnd(sessionHash(token), () => res.end()),
      ]
      const heartbeat = setInterval(() => {
        res.write(': \n\n')
        // Whoever is signed out, or may see something else now, begins anew.
        void readerOf(context.db, token).then(
          (now) => {
            if (JSON.stringify(now) !== JSON.stringify(reader)) res.end()
          },
          () => {},
        )
      }, heartbeatMs)
      res.on('close', () => {
        for (const stop of stops) stop()
        clearInterval(heartbeat)
      })
      return undefined
    },
  })
}

/** How long ago the reader began to load what is on the screen: what was told since is told again. */
function missedMs(asked: unknown): number {
  const ms = typeof asked === 'string' ? Number(asked) : 0
  return ms > 0 ? Math.min(ms, missedLimitMs) : 0
}
