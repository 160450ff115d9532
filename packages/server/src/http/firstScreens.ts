import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { parse as parseQuery } from 'node:querystring'
import { pathToFileURL } from 'node:url'
import compression from 'compression'
import { parse as parseCookies } from 'cookie'
import type { Request, RequestHandler, Response } from 'express'
import { knownElement, routes, type FirstScreen, type PageDrawer, type Route } from '@murrabel/contract'
import { may, type Reader } from '../access/reader.ts'
import type { Context } from '../context.ts'
import { brandAnswer } from '../services/brand/index.ts'
import { countEntries, listEntries, tideOf } from '../services/entries/index.ts'

/** Milliseconds that a page waits for what it is to show; what is not there by then is asked for by the page itself. */
const longestMs = 500
/** Where the application is put. */
const emptyPlace = '<div id="app"></div>'

type Query = ReturnType<typeof parseQuery>
type Answering = (context: Context, reader: Reader, query: Query) => Promise<unknown>

/** What a first screen may ask for. */
const answering: [Route<undefined, unknown>, Answering][] = [
  [routes.brand, (context, reader) => brandAnswer(context, reader)],
  [routes.entries, listEntries],
  [routes.entryCount, countEntries],
  [routes.tide, tideOf],
]

/** Built beside the application; without it pages come empty, and draw themselves. */
const drawerFile = (webFolder: string) => join(webFolder, '../drawn/dist/draw.js')

/**
 * Pages that come with their first screen drawn, for whoever is signed in: a slow machine shows it long before it has read the
 * application, which then puts the same in its place.
 */
export function firstScreens(context: Context, webFolder: string) {
  const file = drawerFile(webFolder)
  if (!existsSync(file)) return (): RequestHandler => (_req, _res, next) => next()
  const drawing = (import(pathToFileURL(file).href) as Promise<{ drawer: PageDrawer }>).then(
    ({ drawer }) => drawer,
  )
  drawing.catch((error: unknown) => context.log.error({ error }, 'first screens cannot be drawn'))
  const [head = '', tail = ''] = readFileSync(join(webFolder, 'index.html'), 'utf8').split(emptyPlace)
  const compressed = compression({ level: 4 })

  async function screenOf(req: Request): Promise<FirstScreen | null> {
    const drawer = await drawing
    return drawer.firstScreen({
      path: req.originalUrl,
      cookie: parseCookies(req.headers.cookie ?? '')[drawer.cookie] ?? null,
      languages: req.acceptsLanguages(),
    })
  }
  async function send(
    res: Response,
    { reader, screen, links }: { reader: Reader; screen: FirstScreen; links: string[] },
  ): Promise<void> {
    const answers = answersOf(context, reader, screen)
    // It holds what only this reader may see.
    res.setHeader('Cache-Control', 'no-store')
    res.setHeader('Link', links.join(', '))
    res.type('html')
    // The browser asks for the application while the answers are on their way.
    res.write(head.replace('<html lang="en">', `<html lang="${screen.language}">`) + '<div id="app">')
    res.flush()
    res.end((await drawn(screen, await answers, context)) + tail)
  }
  return (links: string[]): RequestHandler =>
    async (req, res, next) => {
      const reader = res.locals.reader as Reader | undefined
      const screen = reader && !reader.keyRights ? await screenOf(req).catch(() => null) : null
      if (!reader || !screen) return next()
      compressed(req, res, () => void send(res, { reader, screen, links }).catch(next))
    }
}

/** What the reader is answered at these addresses, as far as they may and it comes in time. */
async function answersOf(
  context: Context,
  reader: Reader,
  { addresses }: FirstScreen,
): Promise<Record<string, unknown>> {
  const answers: Record<string, unknown> = {}
  const asked = addresses.map(async (address) => {
    const [path, query = ''] = address.split('?')
    const found = answering.find(([route]) => route.path === path)
    if (!found || !may(reader, found[0].access.right, found[0].access.scope)) return
    // What is refused is refused to the page, when it asks.
    const answer = await found[1](context, reader, parseQuery(query)).catch(() => undefined)
    if (answer !== undefined) answers[address] = answer
  })
  let timer: NodeJS.Timeout | undefined
  const late = new Promise((resolve) => (timer = setTimeout(resolve, longestMs)))
  await Promise.race([Promise.all(asked), late])
  clearTimeout(timer)
  return { ...answers }
}

/** The screen in its place, and what it was drawn from; an empty place where it cannot be drawn. */
async function drawn(
  screen: FirstScreen,
  answers: Record<string, unknown>,
  { log }: Context,
): Promise<string> {
  const markup = await screen.draw(answers).catch((error: unknown) => {
    log.error({ error }, 'a first screen could not be drawn')
    return null
  })
  if (markup === null) return '</div>'
  const known = JSON.stringify(answers).replaceAll('<', '\\u003c')
  return `${markup}</div><script id="${knownElement}" type="application/json">${known}</script>`
}
