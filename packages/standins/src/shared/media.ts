import express, { type RequestHandler, type Router } from 'express'
import { problem } from './faults.ts'

/** A picture that an owner has put there, to be shown by a note that names it. */
export interface MediaRecord {
  op: 'media'
  id: string
  type: string
  /** Base64. */
  bytes: string
}

const mostBytes = 8_000_000
export const mostMedia = 4
const taken = new Set(['image/jpeg', 'image/png', 'image/webp', 'image/gif'])

/** Pictures that owners have put there. */
export class Media {
  private readonly records = new Map<string, MediaRecord>()

  add(record: MediaRecord): void {
    this.records.set(record.id, record)
  }

  nextId(): string {
    return `m${this.records.size + 1}`
  }

  /** Ids of an object's attachments; null where one of them is none of ours, or there are too many. */
  idsOf({ attachment = [] }: { attachment?: { url?: unknown }[] }): string[] | null {
    const ids = attachment.map(({ url }) => String(url).split('/').pop() ?? '')
    return ids.length <= mostMedia && ids.every((id) => this.records.has(id)) ? ids : null
  }

  /** As ActivityStreams 2.0 puts them beside a note. */
  objects(ids: readonly string[], address: string) {
    return ids.map((id) => ({
      type: 'Image',
      mediaType: this.records.get(id)?.type,
      url: `${address}/media/${id}`,
    }))
  }

  /** What everybody may see. */
  serve(router: Router): void {
    router.get('/media/:id', (req, res, next) => {
      const found = this.records.get(req.params.id)
      if (!found) return next()
      res.type(found.type).send(Buffer.from(found.bytes, 'base64'))
    })
  }

  /** Takes a picture from an owner. @param path such as `/pages/:page/media` */
  take(
    api: Router,
    path: string,
    {
      mayUse,
      add,
      address,
    }: { mayUse: RequestHandler; add: (record: MediaRecord) => void; address: () => string },
  ): void {
    api.post(path, mayUse, express.raw({ type: () => true, limit: mostBytes }), (req, res) => {
      const type = req.get('content-type') ?? ''
      const bytes = req.body as Buffer
      if (!taken.has(type) || !Buffer.isBuffer(bytes) || !bytes.length)
        return problem(res, 422, 'Pictures are JPEG, PNG, WebP or GIF')
      const record: MediaRecord = { op: 'media', id: this.nextId(), type, bytes: bytes.toString('base64') }
      add(record)
      res.status(201).json(this.objects([record.id], address())[0])
    })
  }
}
