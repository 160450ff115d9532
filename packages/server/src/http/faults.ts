import type { Express } from 'express'
import { rateLimit } from 'express-rate-limit'
import { faultSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { sessionHash, tokenOf } from './brand.ts'
import { handle } from './handle.ts'

/** Faults a session may tell in a minute; a page that fails in a circle fills no log. */
const faultsAMinute = 20

/** Faults of the application in somebody's browser go into the server's log, under the number the person was told. */
export function faultRoutes(app: Express, context: Context): void {
  app.use(
    routes.tellFault.path,
    rateLimit({
      windowMs: 60_000,
      limit: faultsAMinute,
      keyGenerator: (req) => sessionHash(tokenOf(req) ?? ''),
      // What is too much is left out without a word: the page has nothing to do about it.
      handler: (_req, res) => void res.status(204).end(),
      legacyHeaders: false,
    }),
  )
  handle(app, routes.tellFault, {
    schema: faultSchema,
    act: async ({ body, reader }) => {
      context.log.error({ fault: body, colleagueId: reader.colleagueId }, 'fault in a browser')
    },
  })
}
