import type { Express } from 'express'
import { todaySince, morningMailSchema, ownLineChangeSchema, ownLineSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  addOwnLine,
  atPlace,
  changeOwnLine,
  removeOwnLine,
  seeToday,
  setMorningMail,
  today,
  unusual,
} from '../services/today/index.ts'

export function todayRoutes(app: Express, context: Context): void {
  handle(app, routes.today, {
    act: async ({ reader, req }) =>
      today(
        context,
        await atPlace(context, reader, req.query),
        todaySince.find((each) => each === req.query.since),
      ),
  })
  handle(app, routes.seeToday, { act: ({ reader }) => seeToday(context, reader) })
  handle(app, routes.unusual, {
    act: async ({ reader, req }) => unusual(context, await atPlace(context, reader, req.query)),
  })
  handle(app, routes.addOwnLine, {
    schema: ownLineSchema,
    act: ({ reader, body }) => addOwnLine(context, reader, body),
  })
  handle(app, routes.changeOwnLine, {
    schema: ownLineChangeSchema,
    act: ({ reader, id, body }) => changeOwnLine(context, reader, id(), body),
  })
  handle(app, routes.removeOwnLine, { act: ({ reader, id }) => removeOwnLine(context, reader, id()) })
  handle(app, routes.setMorningMail, {
    schema: morningMailSchema,
    act: ({ reader, body }) => setMorningMail(context, reader, body),
  })
}
