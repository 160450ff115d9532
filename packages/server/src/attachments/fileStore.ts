import { createHash, randomUUID } from 'node:crypto'
import { createReadStream } from 'node:fs'
import { access, mkdir, readdir, rename, rm, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { Readable } from 'node:stream'

/**
 * Where attachments and pictures lie. A file is known by the SHA-256 of its bytes, so the same file twice is kept once, and
 * what somebody calls a file is never part of a path. Another backend implements the same four.
 */
export interface FileStore {
  /** Keeps bytes and says by which key they are found. */
  put(bytes: Uint8Array): Promise<string>
  /** @throws Error with code ENOENT when it is not there */
  read(key: string): Promise<Readable>
  remove(key: string): Promise<void>
  /** Keys of everything that was put before `before`, epoch milliseconds. */
  olderThan(before: number): AsyncIterable<string>
}

const isKey = /^[0-9a-f]{64}$/

/** Files in a folder of this machine, or one that all processes share; written whole or not at all. */
export function diskStore(folder: string): FileStore {
  const pathOf = (key: string): string => {
    if (!isKey.test(key)) throw new Error('no key of a file')
    return join(folder, key.slice(0, 2), key)
  }
  return {
    async put(bytes) {
      const key = createHash('sha256').update(bytes).digest('hex')
      const path = pathOf(key)
      if (
        await access(path).then(
          () => true,
          () => false,
        )
      )
        return key
      await mkdir(join(folder, key.slice(0, 2)), { recursive: true })
      const part = `${path}.${randomUUID()}.part`
      try {
        await writeFile(part, bytes)
        await rename(part, path)
      } finally {
        await rm(part, { force: true })
      }
      return key
    },
    async read(key) {
      const path = pathOf(key)
      await access(path)
      return createReadStream(path)
    },
    remove: (key) => rm(pathOf(key), { force: true }),
    async *olderThan(before) {
      for (const part of await readdir(folder).catch(() => []))
        for (const key of await readdir(join(folder, part)).catch(() => [])) {
          if (!isKey.test(key)) continue
          const found = await stat(join(folder, part, key)).catch(() => null)
          if (found && found.mtimeMs < before) yield key
        }
    },
  }
}
