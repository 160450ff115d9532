import { parse } from 'cookie'
import express, { type Express, type NextFunction, type Request, type Response } from 'express'
import { routes, signInSchema, switchSchema, type SignIn } from '@murrabel/contract'
import { closeSession, hashOf, readerOf, readerOfKey, sessionDays } from '../access/sessions.ts'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import { handle } from './handle.ts'
import { checked } from '../checked.ts'
import { brandAnswer, signIn, switchBrand, welcome } from '../services/brand/index.ts'

const cookieName = 'murrabel_session'

/** The session's token; none for a cookie that is broken or can be none of ours. */
export function tokenOf(req: Request): string | null {
  const token = parse(req.headers.cookie ?? '')[cookieName] ?? ''
  return /^[\w-]{20,100}$/.test(token) ? token : null
}

/** By what a session is known to other processes. */
export const sessionHash = (token: string): string => hashOf(token).toString('hex')

/** Puts who asks into `res.locals.reader`. */
export function readSession({ db }: Context) {
  return async (req: Request, res: Response, next: NextFunction): Promise<void> => {
    const token = res.locals.reader ? null : tokenOf(req)
    if (token) res.locals.reader = (await readerOf(db, token)) ?? undefined
    next()
  }
}

/**
 * A program asks with a key instead of a session: `Authorization: Bearer …`. No page of somebody else's can send that for a
 * colleague, so that it need not come from ours.
 */
export function readKey({ db }: Context) {
  return async (req: Request, res: Response, next: NextFunction): Promise<void> => {
    const given = /^Bearer +(\S{20,200})$/i.exec(req.get('authorization') ?? '')?.[1]
    if (given) {
      const reader = await readerOfKey(db, given)
      if (!reader) throw new Refusal('keyWrong')
      res.locals.reader = reader
    }
    next()
  }
}

/** Changes must come from our own pages: the browser names the origin with every one of them. */
export function sameOrigin({ config }: Context) {
  return (req: Request, res: Response, next: NextFunction): void => {
    if (res.locals.reader || ['GET', 'HEAD', 'OPTIONS'].includes(req.method)) return next()
    const origin = req.get('origin')
    const own =
      origin === config.publicAddress || (origin === undefined && req.get('sec-fetch-site') === 'same-origin')
    next(own ? undefined : new Refusal('foreignOrigin'))
  }
}

const cookieOptions = ({ config }: Pick<Context, 'config'>) => ({
  httpOnly: true,
  sameSite: 'lax' as const,
  secure: config.publicAddress.startsWith('https:'),
  path: '/',
})

/** Puts the token of a session into the cookie. */
export function setSession(context: Pick<Context, 'config'>, res: Response, token: string): void {
  res.cookie(cookieName, token, { ...cookieOptions(context), maxAge: sessionDays * 86_400_000 })
}

export function sessionRoutes(app: Express, context: Context): void {
  app.post(routes.signIn.path, express.json({ limit: '10kb' }), async (req, res) => {
    const draft = await checked<SignIn>(signInSchema, req.body)
    const token = await signIn(context, draft, { address: req.ip ?? '', agent: req.get('user-agent') ?? '' })
    setSession(context, res, token)
    const reader = await readerOf(context.db, token)
    res.json(await brandAnswer(context, reader!))
  })
  app.delete(routes.signOut.path, async (req, res) => {
    const token = tokenOf(req)
    if (token)
      await context.db.inTransaction(async (tx) => {
        await closeSession(context.db, token, tx)
        // Streams of this session end with it, in whichever process they are.
        await context.live.end(sessionHash(token), tx)
      })
    res.clearCookie(cookieName, cookieOptions(context))
    res.status(204).end()
  })
  handle(app, routes.switchBrand, {
    schema: switchSchema,
    act: ({ reader, req, body }) => switchBrand(context, reader, body, tokenOf(req) ?? ''),
  })
  const answerWelcome = welcome(context)
  app.get(routes.welcome.path, async (_req, res) => void res.json(await answerWelcome()))
  handle(app, routes.brand, { act: ({ reader }) => brandAnswer(context, reader) })
}
