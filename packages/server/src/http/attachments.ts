import type { Response } from 'express'
import type { Express } from 'express'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { routes } from '@murrabel/contract'
import type { Context } from '../context.ts'
import { Refusal } from '../problem.ts'
import {
  addAttachment,
  dropAttachment,
  mailHtml,
  mailPicture,
  openAttachment,
  openPicture,
  openPreview,
} from '../services/attachments/index.ts'
import { handle } from './handle.ts'

/** What somebody sent is never a page of ours: nothing in it runs, whatever it says that it is. */
function setSafe(res: Response): void {
  res.setHeader('Content-Security-Policy', "default-src 'none'; sandbox")
  res.setHeader('X-Content-Type-Options', 'nosniff')
  res.setHeader('Cross-Origin-Resource-Policy', 'same-origin')
}

/** A picture as the store keeps it to be shown. */
async function sendPreview(res: Response, stream: Readable): Promise<void> {
  setSafe(res)
  res.type('image/webp')
  await pipeline(stream, res)
}

/** @throws Refusal notFound */
function threadOf(text: string): number {
  const id = Number(text)
  if (!/^\d{1,15}$/.test(text)) throw new Refusal('notFound')
  return id
}

const textOf = (value: unknown): string => (typeof value === 'string' ? value : '')

export function attachmentRoutes(app: Express, context: Context): void {
  handle(app, routes.addAttachment, {
    bytes: true,
    act: ({ reader, req }) => {
      const bytes: unknown = req.body
      if (!Buffer.isBuffer(bytes) || !bytes.length) throw new Refusal('unreadableBody')
      const { name, thread } = req.query
      return addAttachment(context, reader, {
        name: textOf(name),
        bytes,
        thread: thread === undefined ? null : threadOf(textOf(thread)),
      })
    },
  })
  handle(app, routes.dropAttachment, {
    act: ({ reader, id }) => dropAttachment(context, reader, id()).then(() => undefined),
  })
  handle(app, routes.attachment, {
    async act({ reader, res, id }) {
      const file = await openAttachment(context, reader, id())
      setSafe(res)
      // Always saved, never opened here. RFC 6266 names it in any script.
      res.attachment(file.name)
      res.type(file.type)
      res.setHeader('Content-Length', file.bytes)
      await pipeline(file.stream, res)
      return undefined
    },
  })
  handle(app, routes.attachmentPreview, {
    async act({ reader, res, id }) {
      await sendPreview(res, await openPreview(context, reader, id()))
      return undefined
    },
  })
  handle(app, routes.picture, {
    async act({ reader, res, id }) {
      await sendPreview(res, await openPicture(context, reader, id()))
      return undefined
    },
  })
  handle(app, routes.mailHtml, { act: ({ reader, id }) => mailHtml(context, reader, id()) })
  handle(app, routes.mailPicture, {
    async act({ reader, req, res, id }) {
      const { preview } = await mailPicture(context, reader, { id: id(), address: textOf(req.query.address) })
      setSafe(res)
      res.type('image/webp')
      res.end(preview)
      return undefined
    },
  })
}
