import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { type Express, type RequestHandler, type Response } from 'express'
import staticGzip from 'express-static-gzip'
import { routes, versionHeader } from '@murrabel/contract'
import { tokenOf } from './brand.ts'

interface PageFiles {
  version: string
  fonts: string[]
  pages: Record<string, { scripts: string[]; styles: string[] }>
}
const noFiles: PageFiles = { version: '', fonts: [], pages: {} }

/** What the build says about its files; a folder without it is served all the same. */
function pageFilesOf(folder: string): PageFiles {
  const file = join(folder, 'pages.json')
  return existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as PageFiles) : noFiles
}

/** Every answer says which version of the application it belongs to, so that an open page learns of a newer one. */
export function tellVersion(app: Express, folder: string): void {
  const { version } = pageFilesOf(folder)
  if (!version) return
  app.use('/api', (_req, res, next) => {
    res.setHeader(versionHeader, version)
    next()
  })
}

/**
 * The built application: files under names with a hash for ever, its page fresh each time.
 *
 * @param drawn answers with a page that comes with its first screen drawn, where it can
 */
export function webPages(
  app: Express,
  folder: string,
  drawn: (links: string[]) => RequestHandler = () => (_req, _res, next) => next(),
): void {
  // Compressed by the build, at a level that would take too long while somebody waits.
  const compressed = { enableBrotli: true, orderPreference: ['br', 'gzip'], index: false }
  app.use(
    '/assets',
    staticGzip(join(folder, 'assets'), {
      ...compressed,
      serveStatic: { immutable: true, maxAge: '365d', fallthrough: false },
    }),
  )
  app.use(staticGzip(folder, { ...compressed, serveStatic: { maxAge: '1h' } }))
  const { fonts, pages } = pageFilesOf(folder)
  const sendPage = (res: Response, links: string[]) => {
    res.setHeader('Cache-Control', 'no-cache')
    if (links.length) res.setHeader('Link', links.join(', '))
    res.sendFile(join(folder, 'index.html'))
  }
  const fontLinks = fonts.map((file) => `</${file}>; rel=preload; as=font; type="font/woff2"; crossorigin`)
  for (const [path, { scripts, styles }] of Object.entries(pages)) {
    const links = [
      ...scripts.map((file) => `</${file}>; rel=modulepreload`),
      ...styles.map((file) => `</${file}>; rel=preload; as=style; crossorigin`),
      ...fontLinks,
    ]
    const brand = `<${routes.brand.path}>; rel=preload; as=fetch; crossorigin`
    app.get(path, drawn(links), (req, res) => sendPage(res, tokenOf(req) ? [brand, ...links] : links))
  }
  app.get('/{*path}', (_req, res) => sendPage(res, fontLinks))
}
