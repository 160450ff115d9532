import express, { type Express } from 'express'
import { connectSchema, emailSchema, feedSchema, fileSchema, routes } from '@murrabel/contract'
import { may, type Reader } from '../access/reader.ts'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import { handle } from './handle.ts'
import { headersOf } from './headers.ts'
import { receiveHook, listApart, tryApartAgain } from '../services/intake/index.ts'
import { callbackPath, finishOAuth, startOAuth } from '../services/connections/index.ts'
import {
  collectNow,
  connectEmail,
  connectFeed,
  connectSearch,
  disconnectProfile,
  listNetworks,
  listProfiles,
  takeGranted,
  exportOpml,
  importOpml,
} from '../services/profiles/index.ts'

export function profileRoutes(app: Express, context: Context): void {
  handle(app, routes.networks, { act: ({ reader }) => listNetworks(context, reader) })
  handle(app, routes.profiles, { act: ({ reader }) => listProfiles(context, reader) })
  handle(app, routes.connect, {
    schema: connectSchema,
    act: async ({ reader, body }) => ({ redirect: await startOAuth(context, reader, body.network) }),
  })
  handle(app, routes.connectFeed, {
    schema: feedSchema,
    act: ({ reader, body }) => connectFeed(context, reader, body),
  })
  handle(app, routes.exportFeeds, {
    async act({ reader, res }) {
      res.setHeader('Content-Type', 'text/x-opml; charset=utf-8')
      res.setHeader('Content-Disposition', 'attachment; filename="murrabel-feeds.opml"')
      res.send(await exportOpml(context, reader))
      return undefined
    },
  })
  handle(app, routes.importFeeds, {
    schema: fileSchema,
    act: ({ reader, body }) => importOpml(context, reader, body.file),
  })
  handle(app, routes.connectSearch, {
    schema: connectSchema,
    act: ({ reader, body }) => connectSearch(context, reader, body.network),
  })
  handle(app, routes.connectEmail, {
    schema: emailSchema,
    act: ({ reader, body }) => connectEmail(context, reader, body),
  })
  handle(app, routes.disconnect, {
    act: ({ reader, id }) => disconnectProfile(context, reader, id()),
  })
  handle(app, routes.collectNow, {
    act: async ({ reader, id }) => {
      await collectNow(context, reader, id())
      return undefined
    },
  })
  handle(app, routes.itemsApart, { act: ({ reader, id }) => listApart(context, reader, id()) })
  handle(app, routes.tryApartAgain, { act: ({ reader, id }) => tryApartAgain(context, reader, id()) })
  // The browser's way back from a network: it ends on a page in either case.
  app.get(callbackPath, async (req, res) => {
    const reader = res.locals.reader as Reader | undefined
    if (!reader) return res.redirect('/sign-in')
    if (!may(reader, 'setUp', 'brand')) throw new Refusal('notAllowed')
    try {
      const granted = await finishOAuth(
        context,
        reader,
        new URL(req.url, context.config.publicAddress).searchParams,
      )
      const ids = await takeGranted(context, reader, granted)
      res.redirect(`/set-up/profiles?connected=${ids.join(',')}`)
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
      context.log.warn({ err: error.cause, code: error.code }, 'connecting failed')
      res.redirect(`/set-up/profiles?problem=${error.code}`)
    }
  })
}

/** Webhooks come from networks, not from our pages: they are known by their signature. */
export function hookRoutes(app: Express, context: Context): void {
  app.post('/hooks/:token', express.text({ type: () => true, limit: '1mb' }), async (req, res) => {
    await receiveHook(context, {
      token: String(req.params.token),
      body: typeof req.body === 'string' ? req.body : '',
      headers: headersOf(req),
    })
    res.status(204).end()
  })
}
