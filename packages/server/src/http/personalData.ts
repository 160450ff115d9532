import { pipeline } from 'node:stream/promises'
import type { Express } from 'express'
import { dataRequestSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { askHandOut, erasePerson, handOut, listRequests } from '../services/personalData/index.ts'
import { handle } from './handle.ts'

export function personalDataRoutes(app: Express, context: Context): void {
  handle(app, routes.dataRequests, { act: ({ reader }) => listRequests(context, reader) })
  handle(app, routes.askHandOut, {
    schema: dataRequestSchema,
    act: ({ reader, id, body }) => askHandOut(context, reader, id(), body),
  })
  handle(app, routes.handOut, {
    act: async ({ reader, id, res }) => {
      const zip = await handOut(context, reader, { id: id(), request: id('request') })
      res.attachment(`murrabel-person-${id()}.zip`).type('application/zip')
      await pipeline(zip, res).catch((error: unknown) => {
        // Whoever asked has gone; what has begun cannot be answered otherwise.
        if (!res.headersSent) throw error
        res.destroy()
      })
    },
  })
  handle(app, routes.erasePerson, {
    schema: dataRequestSchema,
    act: ({ reader, id, body }) => erasePerson(context, reader, id(), body),
  })
}
