import { mkdtemp, readdir, rm, utimes } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buffer } from 'node:stream/consumers'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { diskStore, type FileStore } from '../../src/attachments/fileStore.ts'
import { sniffFile } from '../../src/attachments/picture.ts'
import { cleanFileName } from '../../src/services/attachments/keepFile.ts'

let folder: string
let store: FileStore
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'murrabel-store-'))
  store = diskStore(folder)
})
afterAll(() => rm(folder, { recursive: true, force: true }))

describe('the store of files', () => {
  test('keeps the same bytes once, also when many put them at the same time', async () => {
    const bytes = Buffer.from('the timetable')
    const keys = await Promise.all(Array.from({ length: 20 }, () => store.put(bytes)))
    expect(new Set(keys).size).toBe(1)
    expect(await buffer(await store.read(keys[0]!))).toEqual(bytes)
    expect(await readdir(join(folder, keys[0]!.slice(0, 2)))).toEqual([keys[0]])
  })
  test('reads nothing but its own', async () => {
    for (const key of ['../../etc/passwd', '', 'x', '/etc/passwd', `${'a'.repeat(63)}/`])
      await expect(store.read(key)).rejects.toThrow('no key')
    await expect(store.read('a'.repeat(64))).rejects.toMatchObject({ code: 'ENOENT' })
  })
  test('tells what is old, and forgets what is removed', async () => {
    const key = await store.put(Buffer.from('old'))
    await utimes(join(folder, key.slice(0, 2), key), new Date(1000), new Date(1000))
    const old: string[] = []
    for await (const each of store.olderThan(5_000_000)) old.push(each)
    expect(old).toEqual([key])
    await store.remove(key)
    await store.remove(key)
    await expect(store.read(key)).rejects.toMatchObject({ code: 'ENOENT' })
  })
})

test.each([
  ['../../etc/passwd', 'passwd'],
  ['C:\\temp\\a.txt', 'a.txt'],
  ['..', 'file'],
  ['.htaccess', 'htaccess'],
  ['a\u202egnp.exe', 'agnp.exe'],
  ['', 'file'],
])('the name %j is shown as %j', (name, clean) => expect(cleanFileName(name)).toBe(clean))

describe('a picture', () => {
  const drawn = (width: number, height: number) =>
    sharp({ create: { width, height, channels: 3, background: '#27506b' } })
  test('is shown small, turned as the camera says, without what the camera noted', async () => {
    const bytes = await drawn(1600, 800)
      .withMetadata({ orientation: 6 })
      .withExif({ IFD0: { Copyright: 'somebody' } })
      .jpeg()
      .toBuffer()
    const { type, picture } = await sniffFile(bytes)
    expect([type, picture?.width, picture?.height]).toEqual(['image/jpeg', 320, 640])
    expect((await sharp(picture!.preview).metadata()).exif).toBeUndefined()
  })
  test('of 12,000 by 12,000 pixels is not opened', async () => {
    const bytes = await drawn(12_000, 12_000).png({ compressionLevel: 9 }).toBuffer()
    expect(bytes.length).toBeLessThan(2_000_000)
    expect(await sniffFile(bytes)).toEqual({ type: 'image/png', picture: null })
  }, 150_000)
  test('that is none, or is broken, is a file to be saved', async () => {
    const png = await drawn(20, 20).png().toBuffer()
    expect(await sniffFile(png.subarray(0, 40))).toMatchObject({ picture: null })
    expect(await sniffFile(Buffer.from('GIF89a<script>alert(1)</script>'))).toMatchObject({ picture: null })
    expect(await sniffFile(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).toMatchObject({
      picture: null,
    })
    expect(await sniffFile(Buffer.alloc(0))).toMatchObject({ picture: null })
  })
})
