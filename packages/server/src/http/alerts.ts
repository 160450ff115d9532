import type { Express } from 'express'
import { number, object } from 'yup'
import { alertSchema, alertTrialSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import {
  alertEvents,
  listAlerts,
  restoreAlert,
  saveAlert,
  setAlertDeleted,
  tryAlert,
} from '../services/alerts/alerts.ts'
import { bell, bellSeen } from '../services/alerts/bell.ts'
import { feedOf, watchFeed } from '../services/alerts/feeds.ts'
import { handle } from './handle.ts'

export function alertRoutes(app: Express, context: Context): void {
  handle(app, routes.alerts, { act: ({ reader }) => listAlerts(context, reader) })
  handle(app, routes.tryAlert, {
    schema: alertTrialSchema,
    act: ({ reader, body }) => tryAlert(context, reader, body),
  })
  handle(app, routes.createAlert, {
    schema: alertSchema,
    right: 'watch',
    act: ({ reader, body }) => saveAlert(context, reader, null, body),
  })
  handle(app, routes.updateAlert, {
    schema: alertSchema,
    right: 'watch',
    act: ({ reader, id, body }) => saveAlert(context, reader, id(), body),
  })
  handle(app, routes.deleteAlert, {
    right: 'watch',
    async act({ reader, id }) {
      await setAlertDeleted(context, reader, id(), true)
      return undefined
    },
  })
  handle(app, routes.restoreAlert, {
    right: 'watch',
    act: ({ reader, id }) => restoreAlert(context, reader, id()),
  })
  handle(app, routes.alertEvents, { act: ({ reader, id }) => alertEvents(context, reader, id()) })
  handle(app, routes.bell, { act: ({ reader }) => bell(context, reader) })
  handle(app, routes.bellSeen, {
    schema: object({ upTo: number().integer().min(0).required() }),
    async act({ reader, body }) {
      await bellSeen(context, reader, body.upTo)
      return undefined
    },
  })
  handle(app, routes.watchFeed, {
    right: 'watch',
    act: ({ reader, id }) => watchFeed(context, reader, id()),
  })
}

/** Feeds are read by readers of feeds, who have no session: the token in the address is the key. */
export function feedRoutes(app: Express, context: Context): void {
  for (const [format, type] of [
    ['atom', 'application/atom+xml'],
    ['json', 'application/feed+json'],
  ] as const)
    app.get(`/feeds/:token.${format}`, async (req, res) => {
      const text = await feedOf(context, String(req.params.token), format)
      res.setHeader('Content-Type', `${type}; charset=utf-8`)
      res.setHeader('Cache-Control', 'private, max-age=60')
      // A secret address is not to be passed on by a click.
      res.setHeader('Referrer-Policy', 'no-referrer')
      res.send(text)
    })
}
