import express, { type Express, type Request, type RequestHandler, type Response } from 'express'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import staticGzip from 'express-static-gzip'
import type { AnySchema } from 'yup'
import {
  bodyBytes,
  chatLineSchema,
  chatMailSchema,
  chatPaths,
  chatSiteSchema,
  chatStateSchema,
  chatVisitSchema,
  routes,
  type ChatLineDraft,
  type ChatMailDraft,
} from '@murrabel/contract'
import { parseJson } from '../connectors/index.ts'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import {
  addChat,
  changeChat,
  chatOn,
  chatSettings,
  chatState,
  followConversation,
  noteVisitor,
  takeLine,
  takeMail,
  visitOf,
  type ChatSite,
} from '../services/chat/index.ts'
import { tellWriting } from '../services/inbox/index.ts'
import { handle } from './handle.ts'
import { mayTell, streamTo } from './visitorStream.ts'
import { checked } from '../checked.ts'

/** What the team does with chats. */
export function chatRoutes(app: Express, context: Context): void {
  handle(app, routes.addChat, {
    schema: chatSiteSchema,
    act: ({ reader, body }) => addChat(context, reader, body),
  })
  handle(app, routes.chat, { act: ({ reader, id }) => chatSettings(context, reader, id()) })
  handle(app, routes.changeChat, {
    schema: chatSiteSchema,
    act: ({ reader, body, id }) => changeChat(context, reader, id(), body),
  })
  handle(app, routes.writing, {
    act: async ({ reader, id }) => {
      await tellWriting(context, reader, id())
      return undefined
    },
  })
}

/** The box's own script: any site may load it. */
export function chatBox(app: Express, folder: string): void {
  const own = join(folder, 'chat')
  if (!existsSync(own)) return
  app.use(
    '/chat',
    (_req: Request, res: Response, next) => {
      res.setHeader('Cross-Origin-Resource-Policy', 'cross-origin')
      next()
    },
    staticGzip(own, {
      enableBrotli: true,
      orderPreference: ['br', 'gzip'],
      index: false,
      serveStatic: { maxAge: '1h' },
    }),
  )
}

/**
 * What the box asks, from pages of other origins: without cookies, each with the visitor's secret in its body. A body of
 * plain text needs no leave asked in advance; the origin is checked before anything of it is read.
 */
export function visitorRoutes(app: Express, context: Context): void {
  const route = <Body>(
    path: string,
    schema: AnySchema,
    act: (call: { site: ChatSite; body: Body; req: Request; res: Response }) => Promise<unknown>,
  ) =>
    app.post(
      path,
      ofSite(context),
      express.text({ type: () => true, limit: bodyBytes.small }),
      async (req, res) => {
        const site = res.locals.site as ChatSite
        const body = await checked<Body>(schema, bodyOf(req))
        const answer = await act({ site, body, req, res })
        if (res.headersSent) return
        if (answer === undefined) res.status(204).end()
        else res.json(answer)
      },
    )
  route(chatPaths.state, chatStateSchema, ({ site }) => chatState(context, site))
  route<ChatLineDraft>(chatPaths.line, chatLineSchema, ({ site, body, req }) =>
    takeLine(context, site, body, req.ip ?? ''),
  )
  route<{ token: string }>(chatPaths.typing, chatVisitSchema, async ({ site, body }) => {
    const visit = await visitOf(context, site, body.token)
    if (mayTell(visit.id)) await noteVisitor(context, site, visit, { typing: true })
  })
  route<ChatMailDraft>(chatPaths.mail, chatMailSchema, ({ site, body }) => takeMail(context, site, body))
  route<{ token: string }>(chatPaths.events, chatVisitSchema, async ({ site, body, res }) => {
    const visit = await visitOf(context, site, body.token)
    await streamTo(res, visit.id, (tell) => followConversation(context, site, visit, tell), context)
    return undefined
  })
}

const bodyOf = (req: Request): unknown => {
  try {
    return typeof req.body === 'string' && req.body ? parseJson(req.body) : {}
  } catch {
    throw new Refusal('unreadableBody')
  }
}

/** Finds the chat, and lets its pages read what is answered: also why something was refused. */
function ofSite(context: Context): RequestHandler {
  return async (req, res, next) => {
    const origin = req.get('origin')
    res.setHeader('Vary', 'Origin')
    res.setHeader('Cache-Control', 'no-store')
    res.locals.site = await chatOn(context, String(req.params.site), origin)
    res.setHeader('Access-Control-Allow-Origin', origin!)
    next()
  }
}
