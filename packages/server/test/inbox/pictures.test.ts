import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, ThreadAnswer } from '@murrabel/contract'
import { noFaults } from '@murrabel/standins'
import { ingest } from '../../src/services/intake/ingest.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
let elsewhere: Server
let asked: string[] = []
let bytes: Buffer

const at = () => `http://127.0.0.1:${(elsewhere.address() as AddressInfo).port}`
const threadOf = async (text: string): Promise<ThreadAnswer> => {
  await settled(world)
  const row = await until(async () => {
    const { body } = await call<EntryPage>('GET', '/api/entries?unit=entries&state=any&limit=200')
    return body.rows.find((each) => each.text === text)
  })
  return (await call<ThreadAnswer>('GET', `/api/threads/${row.threadId}`)).body
}
const look = async (id: number, cookie = call.cookie) => {
  const response = await fetch(`${world.config.publicAddress}/api/pictures/${id}/preview`, {
    headers: { cookie },
  })
  const body = Buffer.from(await response.arrayBuffer())
  return { status: response.status, type: response.headers.get('content-type'), body }
}
const comment = (note: string, content: string) =>
  fetch(`${world.lanternpage.address}/notes/${note}/comments`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Petra Quill', content }),
    redirect: 'manual',
  })

beforeAll(async () => {
  bytes = await sharp({ create: { width: 90, height: 60, channels: 3, background: '#357' } })
    .png()
    .toBuffer()
  elsewhere = createServer((req, res) => {
    asked.push(req.url!)
    if (req.url === '/page') return void res.end('<html><script>alert(1)</script>')
    if (req.url === '/svg')
      return void res.setHeader('content-type', 'image/svg+xml').end('<svg onload="alert(1)"/>')
    if (req.url === '/hang') return
    if (req.url === '/away') return void res.writeHead(500).end()
    res.setHeader('content-type', 'image/png').end(bytes)
  })
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve))
  world = await startTestWorld({ allowed: [at().slice(7)] })
  const { lanternpage } = world
  lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  lanternpage.state.add({
    op: 'note',
    id: 'n1',
    page: 'skerrivane',
    author: { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' },
    content: 'The Little Auk has new paint.',
    published: new Date(Date.now() - 3_600_000).toISOString(),
    reach: 2000,
    paid: true,
  })
  call = await world.signIn('wynn')
  await world.connect(call, 'lanternpage')
  await settled(world)
}, 150_000)
afterAll(async () => {
  elsewhere.closeAllConnections()
  elsewhere.close()
  await world.stop()
})

describe('the post above a comment', () => {
  test('with its picture, its figures, and what others said under it', async () => {
    await comment('n1', 'What a colour!')
    await comment('n1', 'The old one was nicer.')
    const thread = await until(async () => {
      const found = await threadOf('What a colour!')
      return found.post?.said.length ? found : null
    })
    expect(thread.post).toMatchObject({
      text: 'The Little Auk has new paint.',
      author: 'Skerrivane Ferries',
      paid: true,
      others: 1,
      said: [{ author: 'Petra Quill', text: 'The old one was nicer.' }],
    })
    const [picture] = thread.post!.pictures
    expect(picture!.alt).toMatch(/^(A ferry|The quay|Gulls)/)
    const shown = await look(picture!.id)
    expect([shown.status, shown.type]).toEqual([200, 'image/webp'])
    expect((await sharp(shown.body).metadata()).width).toBe(640)
    // Kept: the network is not asked again, and may forget it.
    const { deleted } = world.lanternpage.state
    deleted.add('n1')
    expect((await fetch(`${world.lanternpage.address}/pictures/n1.jpg`)).status).toBe(404)
    expect((await look(picture!.id)).body.equals(shown.body)).toBe(true)
    deleted.delete('n1')
  })

  test('a comment on a post that is erased outside shows neither its words nor its picture', async () => {
    const before = await threadOf('What a colour!')
    const id = before.post!.pictures[0]!.id
    const profile = (await call<{ id: number }[]>('GET', '/api/profiles')).body[0]!
    const row = (await world.server.context.models.Profile.findByPk(profile.id))!
    await ingest(world.server.context, row, [], undefined, { gone: [{ outsideId: 'n1', at: Date.now() }] })
    expect((await threadOf('What a colour!')).post).toBe(null)
    expect((await look(id)).status).toBe(404)
  })
})

describe('pictures of what people say', () => {
  const say = async (text: string, ...addresses: string[]) => {
    const profile = (await call<{ id: number }[]>('GET', '/api/profiles')).body[0]!
    const row = (await world.server.context.models.Profile.findByPk(profile.id))!
    await ingest(world.server.context, row, [
      {
        outsideId: `x-${text}`,
        threadId: `conversation/${text}`,
        kind: 'message',
        direction: 'in',
        author: { outsideId: 'petra', name: 'Petra Quill' },
        text,
        at: Date.now(),
        private: true,
        likes: 3,
        pictures: addresses.map((address) => ({ address, alt: 'A scratch' })),
        raw: null,
      },
    ])
    return (await threadOf(text)).entries[0]!
  }

  test('are fetched when somebody looks, once, and kept', async () => {
    const entry = await say('Look at this', `${at()}/scratch.png`)
    expect(entry).toMatchObject({ likes: 3, shares: null, pictures: [{ alt: 'A scratch' }] })
    expect(asked).toEqual([])
    const { id } = entry.pictures[0]!
    const all = await Promise.all(Array.from({ length: 6 }, () => look(id)))
    expect(all.map(({ status }) => status)).toEqual(Array.from({ length: 6 }, () => 200))
    expect(asked).toEqual(['/scratch.png'])
    await look(id)
    expect(asked.length).toBe(1)
  })

  test.each([
    ['a page instead of a picture', () => `${at()}/page`],
    ['an SVG with a script', () => `${at()}/svg`],
    ['a server that fails', () => `${at()}/away`],
    ['an inner address', () => 'http://127.0.0.1:1/x.png'],
    ['a name that points inside', () => 'http://localhost/x.png'],
  ])('%s is none, and is not asked for again at once', async (name, address) => {
    const entry = await say(name, address())
    asked = []
    const { id } = entry.pictures[0]!
    expect((await look(id)).status).toBe(422)
    const times = asked.length
    expect((await look(id)).status).toBe(422)
    expect(asked.length).toBe(times)
  })

  test('what is no web address is no picture; of many, some are kept', async () => {
    const entry = await say(
      'odd',
      'javascript:alert(1)',
      'data:image/png;base64,AAAA',
      'file:///etc/hosts',
      `${at()}/a.png`,
    )
    expect(entry.pictures.length).toBe(1)
  })

  test('nobody sees those of what they may not see', async () => {
    const entry = await say('Not for everybody', `${at()}/b.png`)
    const ness = await world.signIn('ness')
    expect((await look(entry.pictures[0]!.id, ness.cookie)).status).toBe(404)
    expect((await look(entry.pictures[0]!.id, '')).status).toBe(401)
  })
})

test('likes and shares grow, and open pages are told', async () => {
  const { lanternpage } = world
  const note = {
    op: 'note',
    id: 'n7',
    page: 'skerrivane',
    content: 'Who likes fog?',
    published: new Date().toISOString(),
  } as const
  lanternpage.state.add({
    ...note,
    author: { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' },
  })
  const collect = async () => {
    const profile = (await call<{ id: number }[]>('GET', '/api/profiles')).body[0]!
    await call('POST', `/api/profiles/${profile.id}/collect`)
  }
  await comment('n7', 'I do')
  await collect()
  const post = await until(async () => (await threadOf('I do')).post)
  for (let i = 0; i < 5; i++)
    await fetch(`${lanternpage.address}/notes/n7/like`, { method: 'POST', redirect: 'manual' })
  await collect()
  await until(async () => (await threadOf('I do')).post!.likes === (post.likes ?? 0) + 5)
})

describe('pictures with an answer', () => {
  const attach = async (name: string, body: Buffer) => {
    const response = await fetch(`${world.config.publicAddress}/api/attachments?name=${name}`, {
      method: 'POST',
      headers: {
        cookie: call.cookie,
        origin: world.config.publicAddress,
        'content-type': 'application/octet-stream',
      },
      body: new Uint8Array(body),
    })
    return ((await response.json()) as { id: number }).id
  }
  const answer = async (id: number, attachments: number[]) =>
    call<{ code?: string }>('POST', `/api/threads/${id}/replies`, {
      text: 'This is it.',
      key: crypto.randomUUID(),
      edition: 0,
      anyway: true,
      attachments,
    })

  test('go where the network takes them, once, although its answer was lost; other files do not', async () => {
    await comment('n7', 'How does it look?')
    const profile = (await call<{ id: number }[]>('GET', '/api/profiles')).body[0]!
    await call('POST', `/api/profiles/${profile.id}/collect`)
    const { id, reply } = await threadOf('How does it look?')
    expect(reply.files).toEqual({ most: 4, bytes: 8_000_000, pictures: true })
    expect((await answer(id, [await attach('a.txt', Buffer.from('words'))])).body.code).toBe(
      'attachmentsNotTaken',
    )
    // What its name says is not what it is.
    expect((await answer(id, [await attach('a.png', Buffer.from('words'))])).body.code).toBe(
      'attachmentsNotTaken',
    )
    world.lanternpage.board.faults = { ...noFaults, lostAnswers: 2 }
    expect((await answer(id, [await attach('deck.png', bytes)])).status).toBe(200)
    const note = await until(() =>
      [...world.lanternpage.state.notes.values()].find(({ content }) => content === 'This is it.'),
    )
    await until(async () => (await threadOf('How does it look?')).entries.at(-1)!.action?.state === 'sent')
    expect(
      [...world.lanternpage.state.notes.values()].filter(({ content }) => content === 'This is it.'),
    ).toEqual([note])
    expect(note.media).toHaveLength(1)
    const shown = await fetch(`${world.lanternpage.address}/media/${note.media![0]}`)
    expect(Buffer.from(await shown.arrayBuffer()).equals(bytes)).toBe(true)
    expect((await threadOf('How does it look?')).entries.at(-1)!.attachments).toMatchObject([
      { name: 'deck.png' },
    ])
  })
})
