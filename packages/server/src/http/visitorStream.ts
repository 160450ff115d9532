import type { Response } from 'express'
import type { ChatEvent } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'

/** Proxies close silent connections after a minute. */
const heartbeatMs = 20_000
/** Bytes that may wait for a browser that does not read. */
const mostWaiting = 256_000
/** Open streams of this process; more are asked to come back later. */
const mostStreams = 5000
let streams = 0
/** Open streams of one visit: a few pages of the site. */
const mostOfVisit = 6
const streamsOf = new Map<number, number>()
/** How often it is told that a visitor writes, whatever their browser sends. */
const typingEveryMs = 2000
const toldLately = new Map<number, number>()

/** Whether it may be told now that this visitor writes. */
export function mayTell(visit: number): boolean {
  const now = performance.now()
  if (now - (toldLately.get(visit) ?? -Infinity) < typingEveryMs) return false
  if (toldLately.size > 10_000) toldLately.clear()
  toldLately.set(visit, now)
  return true
}

/** Streams what a conversation tells to an open box, until that is closed. @throws Refusal chatTooFast */
export async function streamTo(
  res: Response,
  visit: number,
  follow: (tell: (event: ChatEvent) => void) => Promise<() => void>,
  { log }: Context,
): Promise<void> {
  const own = streamsOf.get(visit) ?? 0
  if (streams >= mostStreams || own >= mostOfVisit) throw new Refusal('chatTooFast')
  streams++
  streamsOf.set(visit, own + 1)
  let stop: (() => void) | null = null
  let closed = false
  const heartbeat = setInterval(() => res.write(': \n\n'), heartbeatMs)
  res.on('close', () => {
    closed = true
    streams--
    const left = (streamsOf.get(visit) ?? 1) - 1
    if (left) streamsOf.set(visit, left)
    else streamsOf.delete(visit)
    clearInterval(heartbeat)
    stop?.()
  })
  res.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-store',
    'X-Accel-Buffering': 'no',
  })
  res.flushHeaders()
  try {
    stop = await follow((event) => {
      if (res.writableEnded || closed) return
      res.write(`data: ${JSON.stringify(event)}\n\n`)
      if (res.writableLength > mostWaiting) res.destroy()
    })
  } catch (error) {
    // The box begins anew by itself.
    log.warn({ err: error }, 'a chat could not be followed')
    res.end()
  }
  if (closed) stop?.()
}
