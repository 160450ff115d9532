import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { Webhook } from 'standardwebhooks'
import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest'
import type {
  EventHook,
  HookDeliveries,
  HookDelivery,
  MadeHook,
  Problem,
  ProfileAnswer,
} from '@murrabel/contract'
import { startConnectedWorld, key, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { settled, type Caller } from '../support/world.ts'

interface Heard {
  id: string
  body: string
  headers: Record<string, string>
}
let world: ConnectedWorld
let owner: Caller
let made: MadeHook
const heard: Heard[] = []
/** What the receiver answers to each message that comes; then 204. */
let answers: number[] = []
const receiver = createServer((req, res) => {
  let body = ''
  req.on('data', (part) => (body += String(part)))
  req.on('end', () => {
    const headers = req.headers as Record<string, string>
    heard.push({ id: headers['webhook-id']!, body, headers })
    res.writeHead(answers.shift() ?? 204).end()
  })
})
const target = () => `http://127.0.0.1:${(receiver.address() as AddressInfo).port}/hear`
const parsed = ({ body }: Heard) => JSON.parse(body) as { type: string; data: Record<string, unknown> }
const ofType = (type: string) => heard.filter((each) => parsed(each).type === type)

beforeAll(async () => {
  await new Promise<void>((resolve) => receiver.listen(0, '127.0.0.1', resolve))
  world = await startConnectedWorld()
  world.config.allowedInnerAddresses.push(new URL(target()).host)
  owner = await world.signIn('wynn')
}, 150_000)
afterAll(async () => {
  await world.stop()
  receiver.close()
})
beforeEach(() => {
  heard.length = 0
  answers = []
})

const draft = (more: object = {}) => ({
  name: 'Board',
  target: target(),
  events: ['thread.finished', 'thread.reopened', 'answer.sent', 'entries.read'],
  active: true,
  ...more,
})
const listed = async () => (await owner<EventHook[]>('GET', '/api/event-hooks')).body
const messages = async (id = made.hook.id) =>
  (await owner<HookDeliveries>('GET', `/api/event-hooks/${id}/deliveries`)).body

test('an address inside our own network, or no address, is refused at its field', async () => {
  for (const [more, field] of [
    [{ target: 'http://127.0.0.1:1/x' }, 'target'],
    [{ target: 'http://169.254.169.254/' }, 'target'],
    [{ target: 'ftp://board.example/' }, 'target'],
    [{ target: 'nowhere' }, 'target'],
    [{ events: [] }, 'events'],
    [{ events: ['thread.exploded'] }, 'events[0]'],
    [{ name: ' ' }, 'name'],
  ] as const) {
    const { status, body } = await owner<Problem>('POST', '/api/event-hooks', draft(more))
    expect([status, body.fields?.[0]?.field]).toEqual([422, field])
  }
  expect(await listed()).toEqual([])
})

test('what happens is told, signed, without a word that somebody wrote', async () => {
  made = (await owner<MadeHook>('POST', '/api/event-hooks', draft())).body
  const thread = await world.threadOf('lost a green rucksack')
  const { me } = (await world.specialist<{ me: { id: number } }>('GET', '/api/brand')).body
  const lost = { name: 'Lost property', members: [me.id] }
  const team = (await owner<{ id: number }>('POST', '/api/set-up/teams', lost)).body
  expect((await owner('PUT', `/api/threads/${thread.id}/given`, { to: null, team: team.id })).status).toBe(
    200,
  )
  await owner('PUT', `/api/threads/${thread.id}/priority`, { priority: 2 })
  thread.edition += 2
  await world.specialist('POST', `/api/threads/${thread.id}/events`, {
    kind: 'finish',
    edition: thread.edition,
  })
  await until(() => Promise.resolve(ofType('thread.finished').length > 0))
  const [message] = ofType('thread.finished')
  const read = new Webhook(made.secret).verify(message!.body, message!.headers) as {
    timestamp: string
    data: { by: string; brand: { name: string }; thread: Record<string, unknown> }
  }
  expect(read.data).toMatchObject({
    brand: { name: 'Skerrivane Ferries' },
    by: 'Tamsin Kerr',
    thread: {
      id: thread.id,
      state: 'done',
      assignedTo: null,
      team: 'Lost property',
      priority: 2,
      spam: false,
      tags: [],
      link: `${world.config.publicAddress}/inbox/${thread.id}`,
    },
  })
  expect(message!.body).not.toContain('rucksack')
  expect(() => new Webhook('whsec_AAAA').verify(message!.body, message!.headers)).toThrow()
  await until(async () => (await messages()).rows.every(({ state }) => state === 'sent'))
  expect((await listed())[0]).toMatchObject({ waiting: 0, failed: 0, failingSince: null })
  // Assigning is nothing this hook hears of.
  const kinds = (await messages()).rows.map(({ event }) => event)
  expect(new Set(kinds)).toEqual(new Set(['thread.finished']))
})

test('new entries come in one message; an answer is told when it has arrived', async () => {
  world.lanternpage.state.add({
    op: 'note',
    id: 'otters',
    page: 'skerrivane',
    author: { id: 'otter', name: 'Bastian Otter', handle: 'otter' },
    content: 'A boat full of otters',
    published: new Date().toISOString(),
    conversation: 'skerrivane-otter',
  })
  const profiles = (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body
  const page = profiles.find(({ network }) => network === 'lanternpage')!
  await owner('POST', `/api/profiles/${page.id}/collect`)
  await settled(world)
  await until(() => Promise.resolve(ofType('entries.read').length > 0))
  const { entries } = parsed(ofType('entries.read')[0]!).data as { entries: { id: number; kind: string }[] }
  expect(entries).toHaveLength(1)
  expect(ofType('entries.read')[0]!.body).not.toContain('otters')
  const { id, edition } = await world.threadOf('boat full of otters')
  await world.specialist('POST', `/api/threads/${id}/replies`, {
    text: 'We have seen it',
    key: key(),
    edition,
  })
  await until(() => Promise.resolve(ofType('answer.sent').length > 0))
  expect(parsed(ofType('answer.sent')[0]!).data).toMatchObject({ thread: { id } })
})

test('what does not arrive is sent again with the same id and the same words', async () => {
  answers = [503, 500, 500, 503]
  const tried = (await owner<HookDelivery>('POST', `/api/event-hooks/${made.hook.id}/test`)).body
  expect(tried).toMatchObject({ event: 'test', state: 'waiting' })
  await until(async () => (await messages()).rows[0]!.state === 'sent')
  const own = ofType('test')
  expect(own.length).toBeGreaterThan(1)
  expect(new Set(own.map(({ id, body }) => id + body)).size).toBe(1)
  expect((await listed())[0]!.failingSince).toBeNull()
  const again = await owner<HookDelivery>('POST', `/api/hook-deliveries/${tried.id}/again`)
  expect(again.status).toBe(200)
  await until(() => Promise.resolve(ofType('test').length > own.length))
  expect(new Set(ofType('test').map(({ id, body }) => id + body)).size).toBe(1)
})

test('a receiver that is gone switches the address off; nothing is kept for it meanwhile', async () => {
  answers = [410]
  await owner('POST', `/api/event-hooks/${made.hook.id}/test`)
  await until(async () => !(await listed())[0]!.active)
  expect((await messages()).rows[0]).toMatchObject({ state: 'failed' })
  expect((await owner<Problem>('POST', `/api/event-hooks/${made.hook.id}/test`)).body.code).toBe('hookOff')
  const before = (await messages()).rows.length
  const thread = await world.threadOf('lost a green rucksack')
  await world.specialist('POST', `/api/threads/${thread.id}/events`, {
    kind: 'reopen',
    edition: thread.edition,
  })
  expect((await messages()).rows).toHaveLength(before)
  const on = await owner<EventHook>('PUT', `/api/event-hooks/${made.hook.id}`, draft())
  expect(on.body).toMatchObject({ active: true, failingSince: null })
})

test('what waits when an address is switched off is given up, and can be sent again later', async () => {
  answers = Array.from({ length: 40 }, () => 503)
  const tried = (await owner<HookDelivery>('POST', `/api/event-hooks/${made.hook.id}/test`)).body
  await until(() => Promise.resolve(ofType('test').length > 0))
  await owner('PUT', `/api/event-hooks/${made.hook.id}`, draft({ active: false }))
  const { db, due } = world.server.context
  await due.ask({ kind: 'hook', subject: tried.id, owner: `hook ${made.hook.id}` })
  await until(async () => (await messages()).rows[0]!.state === 'failed', { seconds: 60 })
  expect((await listed())[0]).toMatchObject({ waiting: 0, active: false })
  answers = []
  await owner('PUT', `/api/event-hooks/${made.hook.id}`, draft())
  await owner('POST', `/api/hook-deliveries/${tried.id}/again`)
  await until(async () => (await messages()).rows[0]!.state === 'sent', { seconds: 60 })
  expect(await db.rows(`SELECT 1 FROM hook_deliveries WHERE state = 'waiting'`)).toEqual([])
})

test('with another secret the old one checks nothing any more', async () => {
  const fresh = (await owner<MadeHook>('POST', `/api/event-hooks/${made.hook.id}/secret`)).body
  await owner('POST', `/api/event-hooks/${made.hook.id}/test`)
  await until(() => Promise.resolve(ofType('test').length > 0))
  const { body, headers } = ofType('test')[0]!
  expect(() => new Webhook(made.secret).verify(body, headers)).toThrow()
  expect(new Webhook(fresh.secret).verify(body, headers)).toMatchObject({ type: 'test' })
})

test('a page of messages goes on where the last one ended', async () => {
  const { db } = world.server.context
  await db.rows(
    `INSERT INTO hook_deliveries (hook_id, event, state) SELECT $1, 'test', 'sent' FROM generate_series(1, 120)`,
    [made.hook.id],
  )
  const seen: number[] = []
  for (let next: number | null | undefined; next !== null;) {
    const { body } = await owner<HookDeliveries>(
      'GET',
      `/api/event-hooks/${made.hook.id}/deliveries${next ? `?before=${next}` : ''}`,
    )
    seen.push(...body.rows.map(({ id }) => id))
    next = body.next
  }
  const all = await db.rows<{ id: number }>(
    'SELECT id FROM hook_deliveries WHERE hook_id = $1 ORDER BY id DESC',
    [made.hook.id],
  )
  expect(seen).toEqual(all.map(({ id }) => id))
})
