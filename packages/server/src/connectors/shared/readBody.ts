import type { fetch } from 'undici'

export type NetworkResponse = Awaited<ReturnType<typeof fetch>>

export class TooLargeError extends Error {
  override readonly name = 'TooLargeError'
}

/** Reads a body up to a limit, and stops reading there. @throws TooLargeError */
export async function readBytes(response: NetworkResponse, maxBytes: number): Promise<Buffer> {
  if (Number(response.headers.get('content-length') ?? 0) > maxBytes) throw new TooLargeError('too large')
  const chunks: Uint8Array[] = []
  let size = 0
  for await (const chunk of response.body ?? []) {
    const bytes = chunk as Uint8Array
    size += bytes.length
    if (size > maxBytes) throw new TooLargeError('too large')
    chunks.push(bytes)
  }
  return Buffer.concat(chunks)
}

/** The same as text; its encoding is the document's own affair. @throws TooLargeError */
export const readLimited = async (response: NetworkResponse, maxBytes: number): Promise<string> =>
  decodeBody(await readBytes(response, maxBytes), response.headers.get('content-type') ?? '')

/** The text of a document in the encoding that its header, its byte-order mark or its XML declaration names; UTF-8 otherwise. */
export function decodeBody(bytes: Uint8Array, contentType: string): string {
  const head = Buffer.from(bytes.subarray(0, 200)).toString('latin1')
  const named =
    /charset=["']?([\w-]+)/i.exec(contentType)?.[1] ??
    /<\?xml[^>]*encoding=["']([\w-]+)/i.exec(head)?.[1] ??
    'utf-8'
  try {
    return new TextDecoder(byMark(bytes) ?? named).decode(bytes)
  } catch {
    return new TextDecoder('utf-8').decode(bytes)
  }
}

/** What the byte-order mark says. */
function byMark(bytes: Uint8Array): string | null {
  if (bytes[0] === 0xef && bytes[1] === 0xbb) return 'utf-8'
  return bytes[0] === 0xff && bytes[1] === 0xfe ? 'utf-16le' : null
}
