import type { Express } from 'express'
import { followUpSchema, outcomeSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  addFollowUp,
  calendarAddress,
  calendarOf,
  calendarOff,
  changeFollowUp,
  finishFollowUp,
  followUpsOf,
  listFollowUps,
  makeCalendar,
  removeFollowUp,
  reopenFollowUp,
} from '../services/followUps/index.ts'

export function followUpRoutes(app: Express, context: Context): void {
  handle(app, routes.followUps, { act: ({ reader, req }) => listFollowUps(context, reader, req.query) })
  handle(app, routes.followUpsOf, { act: ({ reader, id }) => followUpsOf(context, reader, id()) })
  handle(app, routes.addFollowUp, {
    schema: followUpSchema,
    act: ({ reader, id, body }) => addFollowUp(context, reader, id(), body),
  })
  handle(app, routes.changeFollowUp, {
    schema: followUpSchema,
    act: ({ reader, id, body }) => changeFollowUp(context, reader, id(), body),
  })
  handle(app, routes.finishFollowUp, {
    schema: outcomeSchema,
    act: ({ reader, id, body }) => finishFollowUp(context, reader, id(), body),
  })
  handle(app, routes.reopenFollowUp, { act: ({ reader, id }) => reopenFollowUp(context, reader, id()) })
  handle(app, routes.removeFollowUp, { act: ({ reader, id }) => removeFollowUp(context, reader, id()) })
  handle(app, routes.calendar, { act: ({ reader }) => calendarAddress(context, reader) })
  handle(app, routes.makeCalendar, { act: ({ reader }) => makeCalendar(context, reader) })
  handle(app, routes.calendarOff, { act: ({ reader }) => calendarOff(context, reader) })
}

/** Calendars are read by programs without a session: the token in the address is the key. */
export function calendarRoutes(app: Express, context: Context): void {
  app.get('/calendars/:token.ics', async (req, res) => {
    const text = await calendarOf(context, String(req.params.token))
    res.setHeader('Content-Type', 'text/calendar; charset=utf-8')
    res.setHeader('Cache-Control', 'private, max-age=60')
    res.setHeader('Referrer-Policy', 'no-referrer')
    res.send(text)
  })
}
