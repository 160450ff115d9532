import sharp from 'sharp'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { BrandLook, Problem } from '@murrabel/contract'
import { removeUnusedFiles } from '../../src/services/attachments/index.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
beforeAll(async () => {
  world = await startTestWorld()
  owner = await world.signIn('wynn')
}, 150_000)
afterAll(() => world.stop())

const upload = async (bytes: Uint8Array) => {
  const answer = await fetch(`${world.config.publicAddress}/api/set-up/logo`, {
    method: 'POST',
    headers: {
      origin: world.config.publicAddress,
      cookie: owner.cookie,
      'content-type': 'application/octet-stream',
    },
    body: new Uint8Array(bytes),
  })
  return { status: answer.status, body: (await answer.json()) as BrandLook & Problem }
}
const drawn = (width: number) =>
  sharp({ create: { width, height: 80, channels: 3, background: '#27506b' } })
    .withExif({ IFD0: { Copyright: 'somebody' } })
    .png()
    .toBuffer()

test('a colour is one that can be painted with', async () => {
  const set = (colour: unknown) => owner<BrandLook & Problem>('PUT', '/api/set-up/look', { colour })
  for (const colour of ['red', '#fff', '#12345g', 'url(x)', 7])
    expect([colour, (await set(colour)).status]).toEqual([colour, 422])
  expect((await set('#aa3311')).body).toEqual({ colour: '#aa3311', logo: null })
  expect((await set(null)).body.colour).toBeNull()
})

test('a logo is drawn anew, seen by anybody, kept while it is one, and gone then', async () => {
  for (const bytes of [
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>'),
    Buffer.from('MZ not a picture'),
    Buffer.alloc(0),
  ])
    expect((await upload(bytes)).status).toBeGreaterThanOrEqual(400)
  const { body } = await upload(await drawn(900))
  const seen = await fetch(body.logo!)
  expect(seen.headers.get('content-type')).toBe('image/webp')
  expect(seen.headers.get('cross-origin-resource-policy')).toBe('cross-origin')
  const picture = Buffer.from(await seen.arrayBuffer())
  const { width, exif } = await sharp(picture).metadata()
  expect([width! <= 640, exif]).toEqual([true, undefined])
  const later = { ...world.server.context, now: () => Date.now() + 10 * 86_400_000 }
  await removeUnusedFiles(later)
  expect((await fetch(body.logo!)).status).toBe(200)
  const fresh = (await upload(await drawn(200))).body.logo!
  expect((await fetch(body.logo!)).status).toBe(404)
  expect((await owner('DELETE', '/api/set-up/logo')).status).toBe(204)
  expect((await fetch(fresh)).status).toBe(404)
  expect(await removeUnusedFiles(later)).toBe(2)
})

test('an address of a logo leads to nothing else in the store', async () => {
  const { files } = world.server.context
  const secret = await files.put(Buffer.from('a private attachment'))
  for (const key of [secret, '..%2F..%2Fetc%2Fpasswd', 'x', 'a'.repeat(64)])
    expect((await fetch(`${world.config.publicAddress}/logos/${key}`)).status).toBe(404)
})
