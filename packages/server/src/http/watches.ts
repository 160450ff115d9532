import type { Express } from 'express'
import { object } from 'yup'
import { routes, watchQuerySchema, watchSchema } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { tryWatch } from '../services/watches/trial.ts'
import {
  createWatch,
  deleteWatch,
  listWatches,
  restoreWatch,
  updateWatch,
} from '../services/watches/watches.ts'
import { handle } from './handle.ts'

export function watchRoutes(app: Express, context: Context): void {
  handle(app, routes.watches, { act: ({ reader }) => listWatches(context, reader) })
  handle(app, routes.tryWatch, {
    schema: object({ query: watchQuerySchema.required() }),
    act: ({ reader, body }) => tryWatch(context, reader, body.query),
  })
  handle(app, routes.createWatch, {
    schema: watchSchema,
    right: 'watch',
    act: ({ reader, body }) => createWatch(context, reader, body),
  })
  handle(app, routes.updateWatch, {
    schema: watchSchema,
    right: 'watch',
    act: ({ reader, id, body }) => updateWatch(context, reader, id(), body),
  })
  handle(app, routes.restoreWatch, {
    right: 'watch',
    act: ({ reader, id }) => restoreWatch(context, reader, id()),
  })
  handle(app, routes.deleteWatch, {
    right: 'watch',
    act: async ({ reader, id }) => {
      await deleteWatch(context, reader, id())
      return undefined
    },
  })
}
