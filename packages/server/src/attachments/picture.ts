import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'

export interface SniffedFile {
  /** What its bytes are, not what somebody says; application/octet-stream or text/plain where they tell nothing. */
  type: string
  /** Of a picture that can be shown. */
  picture: { width: number; height: number; preview: Uint8Array } | null
}

/** Longest edge of what is shown in a thread, pixels. */
const previewEdge = 640
/** Pictures of more pixels are not opened: a file of some kilobytes can hold a billion. */
const mostPixels = 50_000_000

/** What is drawn from dots and can do nothing else. */
const shown = new Set(['image/png', 'image/jpeg', 'image/gif', 'image/webp', 'image/avif', 'image/tiff'])

/**
 * Looks into a file: its type by its first bytes, and a preview of a picture, turned as the camera says and without what
 * the camera noted (place, owner).
 */
export async function sniffFile(bytes: Uint8Array): Promise<SniffedFile> {
  const type =
    (await fileTypeFromBuffer(bytes))?.mime ?? (isText(bytes) ? 'text/plain' : 'application/octet-stream')
  return { type, picture: shown.has(type) ? await previewOf(bytes) : null }
}

async function previewOf(bytes: Uint8Array): Promise<SniffedFile['picture']> {
  try {
    const image = sharp(bytes, {
      limitInputPixels: mostPixels,
      failOn: 'error',
      animated: false,
    }).autoOrient()
    const { data, info } = await image
      .resize({ width: previewEdge, height: previewEdge, fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .timeout({ seconds: 10 })
      .toBuffer({ resolveWithObject: true })
    return { width: info.width, height: info.height, preview: new Uint8Array(data) }
  } catch {
    // Broken, too large, or no picture behind its first bytes: a file to be downloaded, and nothing to be shown.
    return null
  }
}

/** Nothing but UTF-8 without control characters in its beginning. */
function isText(bytes: Uint8Array): boolean {
  const head = bytes.subarray(0, 4096)
  return !/[^\P{Cc}\s]|\ufffd/u.test(new TextDecoder().decode(head.subarray(0, Math.max(0, head.length - 3))))
}
