import type { Express, Request } from 'express'
import { hookSchema, largestId, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import {
  changeHook,
  deliveriesPage,
  listHooks,
  makeHook,
  removeHook,
  renewHook,
  sendAgain,
  tryHook,
} from '../services/hooks/index.ts'
import { handle } from './handle.ts'

export function eventHookRoutes(app: Express, context: Context): void {
  handle(app, routes.hooks, { act: ({ reader }) => listHooks(context, reader) })
  handle(app, routes.makeHook, {
    schema: hookSchema,
    act: ({ reader, body }) => makeHook(context, reader, body),
  })
  handle(app, routes.changeHook, {
    schema: hookSchema,
    act: ({ reader, id, body }) => changeHook(context, reader, id(), body),
  })
  handle(app, routes.renewHook, { act: ({ reader, id }) => renewHook(context, reader, id()) })
  handle(app, routes.removeHook, { act: ({ reader, id }) => removeHook(context, reader, id()) })
  handle(app, routes.tryHook, { act: ({ reader, id }) => tryHook(context, reader, id()) })
  handle(app, routes.hookDeliveries, {
    act: ({ reader, id, req }) => deliveriesPage(context, reader, id(), beforeOf(req)),
  })
  handle(app, routes.sendAgain, { act: ({ reader, id }) => sendAgain(context, reader, id()) })
}

/** Where a page begins. */
function beforeOf(req: Request): number | null {
  const { before } = req.query
  if (before === undefined) return null
  const at = Number(before)
  if (!Number.isInteger(at) || at < 1 || at > largestId) throw new Refusal('notFound')
  return at
}
