import type { NextFunction, Request, Response, Router } from 'express'
import express from 'express'

/** Faults of the outside world, switched on at the switch board. */
export interface Faults {
  /** Requests answered before a 429 with Retry-After; null: no limit. */
  requestsPerWindow: number | null
  windowSeconds: number
  /** The next so many requests hang until the caller gives up. */
  timeouts: number
  /** The next so many requests are answered by a 503. */
  failures: number
  /** The next so many changes are carried out but their answer is lost. */
  lostAnswers: number
  /** The next so many changes are refused for good. */
  refusals: number
  /** Every access token given so far is refused. */
  expireKeys: boolean
  doubleDeliveries: boolean
  reorderDeliveries: boolean
}

export const noFaults: Faults = {
  requestsPerWindow: null,
  windowSeconds: 1,
  timeouts: 0,
  failures: 0,
  lostAnswers: 0,
  refusals: 0,
  expireKeys: false,
  doubleDeliveries: false,
  reorderDeliveries: false,
}

export class SwitchBoard {
  /** Told of every request to the network's interface, when it comes in and when its answer has gone out. */
  observe: (request: { method: string; path: string }, moment: 'arrived' | 'answered') => void = () => {}
  faults: Faults = { ...noFaults }
  private windowStart = 0
  private inWindow = 0

  /** Puts the faults in the way of the network's own answers. */
  readonly middleware = (req: Request, res: Response, next: NextFunction): void => {
    const { faults } = this
    const request = { method: req.method, path: req.path }
    this.observe(request, 'arrived')
    res.once('finish', () => this.observe(request, 'answered'))
    if (faults.timeouts > 0) {
      faults.timeouts--
      req.socket.setTimeout(60_000, () => req.socket.destroy())
      return
    }
    if (faults.failures > 0) {
      faults.failures--
      problem(res, 503, 'The network is having trouble')
      return
    }
    if (faults.requestsPerWindow !== null && this.overLimit(faults)) {
      res.setHeader('Retry-After', String(faults.windowSeconds))
      problem(res, 429, 'Too many requests')
      return
    }
    if (faults.refusals > 0 && req.method !== 'GET') {
      faults.refusals--
      problem(res, 403, 'The network does not take this')
      return
    }
    if (faults.lostAnswers > 0 && req.method !== 'GET') {
      faults.lostAnswers--
      // The change happens; the caller never hears of it.
      res.json = () => {
        req.socket.destroy()
        return res
      }
    }
    next()
  }

  private overLimit({ requestsPerWindow, windowSeconds }: Faults): boolean {
    const now = Date.now()
    if (now - this.windowStart > windowSeconds * 1000) {
      this.windowStart = now
      this.inWindow = 0
    }
    this.inWindow++
    return this.inWindow > (requestsPerWindow ?? Infinity)
  }

  router(onChange: (faults: Faults) => void = () => {}): Router {
    const router = express.Router()
    router.get('/switchboard', (_req, res) => res.json(this.faults))
    router.post('/switchboard', express.json(), (req, res) => {
      this.faults = { ...this.faults, ...(req.body as Partial<Faults>) }
      onChange(this.faults)
      res.json(this.faults)
    })
    return router
  }
}

/** Problem details, RFC 9457. */
export function problem(
  res: Response,
  status: number,
  title: string,
  more: Record<string, unknown> = {},
): void {
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, ...more }))
}
