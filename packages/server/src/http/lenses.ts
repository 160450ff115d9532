import type { Express } from 'express'
import { keptLensSchema, lensOrderSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  changeLens,
  keepLens,
  lensCounts,
  listLenses,
  orderLenses,
  removeLens,
} from '../services/lenses/index.ts'

export function lensRoutes(app: Express, context: Context): void {
  handle(app, routes.lenses, { act: ({ reader }) => listLenses(context, reader) })
  handle(app, routes.lensCounts, { act: ({ reader }) => lensCounts(context, reader) })
  handle(app, routes.keepLens, {
    schema: keptLensSchema,
    act: ({ reader, body }) => keepLens(context, reader, body),
  })
  handle(app, routes.orderLenses, {
    schema: lensOrderSchema,
    act: ({ reader, body }) => orderLenses(context, reader, body),
  })
  handle(app, routes.changeLens, {
    schema: keptLensSchema,
    act: ({ reader, id, body }) => changeLens(context, reader, id(), body),
  })
  handle(app, routes.removeLens, { act: ({ reader, id }) => removeLens(context, reader, id()) })
}
