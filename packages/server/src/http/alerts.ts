import type { Express } from 'express'
import { alertSchema, alertTrialSchema, bellSeenSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { handle } from './handle.ts'
import {
  alertEvents,
  listAlerts,
  restoreAlert,
  saveAlert,
  setAlertDeleted,
  tryAlert,
  bell,
  bellSeen,
  alertFeedAddresses,
  feedOf,
  watchFeed,
  watchFeedState,
} from '../services/alerts/index.ts'

export function alertRoutes(app: Express, context: Context): void {
  handle(app, routes.alerts, { act: ({ reader }) => listAlerts(context, reader) })
  handle(app, routes.tryAlert, {
    schema: alertTrialSchema,
    act: ({ reader, body }) => tryAlert(context, reader, body),
  })
  handle(app, routes.createAlert, {
    schema: alertSchema,
    act: ({ reader, body }) => saveAlert(context, reader, null, body),
  })
  handle(app, routes.updateAlert, {
    schema: alertSchema,
    act: ({ reader, id, body }) => saveAlert(context, reader, id(), body),
  })
  handle(app, routes.deleteAlert, {
    async act({ reader, id }) {
      await setAlertDeleted(context, reader, id(), true)
      return undefined
    },
  })
  handle(app, routes.restoreAlert, {
    act: ({ reader, id }) => restoreAlert(context, reader, id()),
  })
  handle(app, routes.alertEvents, { act: ({ reader, id }) => alertEvents(context, reader, id()) })
  handle(app, routes.bell, { act: ({ reader }) => bell(context, reader) })
  handle(app, routes.bellSeen, {
    schema: bellSeenSchema,
    async act({ reader, body }) {
      await bellSeen(context, reader, body.upTo)
      return undefined
    },
  })
  handle(app, routes.watchFeedState, { act: ({ reader, id }) => watchFeedState(context, reader, id()) })
  for (const [route, off, change] of [
    [routes.watchFeed, routes.watchFeedOff, watchFeed],
    [routes.alertFeed, routes.alertFeedOff, alertFeedAddresses],
  ] as const) {
    handle(app, route, { act: ({ reader, id }) => change(context, reader, id(), true) })
    handle(app, off, { act: ({ reader, id }) => change(context, reader, id(), false) })
  }
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
