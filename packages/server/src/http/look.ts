import { pipeline } from 'node:stream/promises'
import type { Express } from 'express'
import { lookSchema, routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import { changeLook, lookOfBrand, openLogo, removeLogo, setLogo } from '../services/brand/index.ts'
import { handle } from './handle.ts'

/** What the team sets of the brand's look. */
export function lookRoutes(app: Express, context: Context): void {
  handle(app, routes.brandLook, { act: ({ reader }) => lookOfBrand(context, reader.brandId) })
  handle(app, routes.changeLook, {
    schema: lookSchema,
    act: ({ reader, body }) => changeLook(context, reader, body),
  })
  handle(app, routes.setLogo, {
    bytes: true,
    act: ({ reader, req }) => {
      const bytes: unknown = req.body
      if (!Buffer.isBuffer(bytes) || !bytes.length) throw new Refusal('unreadableBody')
      return setLogo(context, reader, bytes)
    },
  })
  handle(app, routes.removeLogo, { act: ({ reader }) => removeLogo(context, reader) })
}

/** Logos are for everybody, on any page; each has an address of its own, so that it may be kept. */
export function logoRoutes(app: Express, context: Context): void {
  app.get('/logos/:key', async (req, res) => {
    const stream = await openLogo(context, String(req.params.key))
    res.setHeader('Content-Security-Policy', "default-src 'none'; sandbox")
    res.setHeader('X-Content-Type-Options', 'nosniff')
    res.setHeader('Cross-Origin-Resource-Policy', 'cross-origin')
    res.setHeader('Cache-Control', 'public, max-age=86400, immutable')
    res.type('image/webp')
    await pipeline(stream, res)
  })
}
