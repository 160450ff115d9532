import type { NetworkHttp, ReplyAction } from '../contract.ts'
import { NetworkFailure } from './outcome.ts'

/** As many pictures as networks show with an answer, and their bytes together. */
export const pictureFiles = { most: 4, bytes: 8_000_000, pictures: true } as const

export interface Placed {
  type: 'Image'
  url: string
}

/**
 * Puts the pictures of an answer where the network takes them; they are shown by whatever names their addresses. Done twice,
 * some lie there unnamed.
 *
 * @throws NetworkFailure
 */
export async function putPictures(
  files: ReplyAction['files'] = [],
  { address, token }: { address: string; token: string },
  http: NetworkHttp,
): Promise<Placed[]> {
  const placed: Placed[] = []
  for (const { bytes, type } of files) {
    const { url } = await http.upload<{ url?: unknown }>(address, { bytes, type, token })
    if (typeof url !== 'string')
      throw new NetworkFailure('transient', 'the network did not say where a picture lies')
    placed.push({ type: 'Image', url })
  }
  return placed
}
