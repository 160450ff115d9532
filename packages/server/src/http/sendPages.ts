import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Response } from 'express'

interface Shape<Page> {
  type: string
  /** Under which name it is kept. */
  file: string
  first: string
  page(page: Page): string
  last: string
}

/**
 * Sends a long answer page by page. The first page is read before anything is sent, so that a question that cannot be
 * answered is refused; what fails later cuts the connection, so that nobody takes a part for the whole. Whoever leaves
 * ends it.
 */
export async function sendPages<Page>(
  res: Response,
  pages: AsyncGenerator<Page>,
  { type, file, first, page, last }: Shape<Page>,
): Promise<undefined> {
  const begin = await pages.next()
  res.setHeader('Content-Type', type)
  res.setHeader('Content-Disposition', `attachment; filename="${file}"`)
  async function* texts() {
    yield first
    if (!begin.done) yield page(begin.value)
    for await (const each of pages) yield page(each)
    yield last
  }
  try {
    await pipeline(Readable.from(texts()), res)
  } catch {
    // The reader left, or a later page failed: the broken connection says so.
    res.destroy()
  }
  return undefined
}
