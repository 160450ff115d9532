import express, { type NextFunction, type Request, type Response, type Router } from 'express'
import type { Deliveries, Subscription } from './deliveries.ts'
import { problem } from './faults.ts'

/** Lets through what a key covers: the resource named in the path must have been ticked at consent. */
export const coveredBy = (name: string) => (req: Request, res: Response, next: NextFunction) => {
  if ((res.locals.resources as string[]).includes(String(req.params[name]))) next()
  else problem(res, 403, `The key does not cover this ${name}`)
}

/** Where a resource's new entries are to be announced: POST sets an address, DELETE takes it away. */
export function subscriptionRoutes(
  path: `/${string}/:${string}`,
  deliveries: Deliveries,
  keep: (subscription: Subscription) => void,
): Router {
  const name = path.split(':')[1] ?? ''
  const router = express.Router()
  router.post(`${path}/subscriptions`, coveredBy(name), express.json(), (req, res) => {
    const { callback, secret } = req.body as { callback: string; secret: string }
    const subscription = { resource: String(req.params[name]), callback, secret }
    deliveries.subscribe(subscription)
    keep(subscription)
    res.status(201).json({})
  })
  router.delete(`${path}/subscriptions`, coveredBy(name), (req, res) => {
    deliveries.unsubscribe(String(req.params[name]))
    res.json({})
  })
  return router
}
