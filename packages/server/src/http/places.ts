import type { Express } from 'express'
import { brandSetUpSchema, placeSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import {
  addPlace,
  brandSetUp,
  changeBrand,
  changePlace,
  listPlaces,
  removePlace,
} from '../services/places/index.ts'
import { handle } from './handle.ts'

export function placeRoutes(app: Express, context: Context): void {
  handle(app, routes.brandSetUp, { act: ({ reader }) => brandSetUp(context, reader) })
  handle(app, routes.changeBrand, {
    schema: brandSetUpSchema,
    act: ({ reader, body }) => changeBrand(context, reader, body),
  })
  handle(app, routes.places, { act: ({ reader }) => listPlaces(context, reader) })
  handle(app, routes.addPlace, {
    schema: placeSchema,
    act: ({ reader, body }) => addPlace(context, reader, body),
  })
  handle(app, routes.readHolidays, {
    text: true,
    act: ({ body }) => context.fileWorker.ask({ kind: 'holidays', document: body, now: context.now() }),
  })
  handle(app, routes.changePlace, {
    schema: placeSchema,
    act: ({ reader, id, body }) => changePlace(context, reader, id(), body),
  })
  handle(app, routes.removePlace, { act: ({ reader, id }) => removePlace(context, reader, id()) })
}
