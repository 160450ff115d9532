import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Problem, ProfileAnswer, ThreadAnswer } from '@murrabel/contract'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { settled, type Caller } from '../support/world.ts'

let world: ConnectedWorld
let owner: Caller
let specialist: Caller
let list: ConnectedWorld['list']
let count: ConnectedWorld['count']
let threadOf: ConnectedWorld['threadOf']

beforeAll(async () => {
  world = await startConnectedWorld()
  ;({ owner, specialist, list, count, threadOf } = world)
})
afterAll(() => world.stop())

describe('collecting', () => {
  test('everything of every profile is there once', async () => {
    const rows = await list('unit=entries&limit=100')
    expect(rows.map((r) => r.kind).sort()).toEqual([
      'comment',
      'comment',
      'comment',
      'mention',
      'mention',
      'mention',
      'message',
      'message',
      'question',
      'review',
      'review',
      'review',
    ])
    const profiles = (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body
    expect(profiles.map((p) => [p.name, p.status])).toEqual([
      ['Skerrivane Ferries, Port Ellery', 'connected'],
      ['Skerrivane Ferries, Dunmarrow', 'connected'],
      ['Sound Courier', 'connected'],
      ['Orrin Gazette', 'connected'],
      ['The Slow Boat', 'connected'],
      ['Skerrivane Ferries', 'connected'],
    ])
    expect(profiles.every((p) => p.historyDone === p.historyTotal)).toBe(true)
  })

  test('fetching again adds nothing', async () => {
    const before = (await count('unit=entries')).count
    const { db } = world.server.context
    await db.rows('UPDATE profiles SET cursor = NULL')
    for (const { id } of (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body)
      await owner('POST', `/api/profiles/${id}/collect`)
    await until(
      async () =>
        (await db.one<{ n: number }>('SELECT count(*) AS n FROM profiles WHERE cursor IS NULL'))?.n === 0,
    )
    expect((await count('unit=entries')).count).toBe(before)
  })

  test('reads language, mood and place', async () => {
    const rows = await list('unit=entries&limit=100')
    const of = (text: string) => rows.find((r) => r.text.includes(text))!
    expect(of('nobody told us').sentiment).toBe('negative')
    expect(of('Kind crew').sentiment).toBe('positive')
    expect(of('ninety minutes')).toMatchObject({ rating: 1, placeId: 2, network: 'wherabout' })
    const empty = rows.find((r) => r.kind === 'review' && r.text === '')!
    expect(empty).toMatchObject({ rating: 2, sentiment: 'negative' })
    expect(of('Tea, rain')).toMatchObject({ text: 'Tea, rain & a rainbow <3', channel: 'news' })
  })

  test('what is old or answered is not owed an answer, what is new is', async () => {
    const rows = await list('unit=threads&state=open')
    expect(rows.map((r) => r.author).sort()).toEqual([
      'Bastian Feld',
      'Iva Strand',
      'Odile Marchetaux',
      'Perrin Oakes',
      'Visitor w3',
      'Visitor w4',
    ])
    expect((await count('unit=threads&state=done&kind=review')).count).toBe(1)
  })

  test('the most pressing stands first, and each thread says why', async () => {
    const rows = await list('unit=threads&state=open&order=pressing')
    const points = await Promise.all(
      rows.map(
        async (r) =>
          (await specialist<ThreadAnswer>('GET', `/api/threads/${r.threadId}`)).body.urgency!.points,
      ),
    )
    expect(points).toEqual([...points].sort((a, b) => b - a))
    const perrin = (await threadOf('nobody told us')).urgency!
    expect(perrin.parts.map((p) => p.name)).toEqual(['pastDue', 'negative', 'asked', 'reach'])
    expect(perrin.points).toBe(perrin.parts.reduce((sum, p) => sum + p.points, 0))
  })

  test('a comment stands under its post, with what the person said before', async () => {
    const thread = await threadOf('Peut-on monter')
    expect(thread.title).toBe('Calm seas at Port Ellery this morning.')
    expect(thread.person).toMatchObject({ name: 'Odile Marchetaux', count: 2 })
    expect(thread.person?.before.map((b) => b.text)).toEqual(['Wonderful crossing on the Grey Heron!'])
    expect(thread.paid).toBe(true)
  })
})

describe('live arrival', () => {
  test('a comment written on the network is on the stream within a second', async () => {
    const { publicAddress } = world.config
    const stream = await fetch(`${publicAddress}/api/live`, { headers: { cookie: specialist.cookie } })
    const reader = stream.body!.getReader()
    await reader.read()
    const began = Date.now()
    await fetch(`${world.lanternpage.address}/notes/n1/comments`, {
      method: 'POST',
      body: new URLSearchParams({ name: 'Hester Quill', content: 'Torquil is a treasure.' }),
      redirect: 'manual',
    })
    const { value } = await reader.read()
    expect(new TextDecoder().decode(value)).toContain('"kind":"entries"')
    expect(Date.now() - began).toBeLessThan(1000)
    await reader.cancel()
    expect((await list('unit=threads&state=open')).some((r) => r.author === 'Hester Quill')).toBe(true)
  })

  test('what was told while a page was loading is told again when its stream opens, once, to whoever asks', async () => {
    const opened = async (query: string) => {
      const stream = await fetch(`${world.config.publicAddress}/api/live${query}`, {
        headers: { cookie: specialist.cookie },
      })
      const reader = stream.body!.getReader()
      const heard: string[] = []
      const decoder = new TextDecoder()
      void (async () => {
        for (;;) {
          const { value, done } = await reader.read()
          if (done) return
          heard.push(
            ...decoder
              .decode(value)
              .split('\n')
              .filter((line) => line.startsWith('data: ')),
          )
        }
      })().catch(() => {})
      return { heard, close: () => reader.cancel() }
    }
    const { live } = world.server.context
    const teaching = `data: ${JSON.stringify({ kind: 'teaching' })}`
    const first = await opened('')
    for (let i = 0; i < 3; i++) await live.tell(1, { kind: 'teaching' })
    await until(() => first.heard.filter((line) => line === teaching).length === 3)

    const late = await opened('?missed=5000')
    const unasked = await opened('')
    const odd = await opened('?missed=never&missed[]=1')
    await live.tell(1, { kind: 'alerts' })
    const told = `data: ${JSON.stringify({ kind: 'alerts' })}`
    for (const each of [late, unasked, odd]) await until(() => each.heard.includes(told))
    expect(late.heard.filter((line) => line === teaching)).toHaveLength(1)
    // Work that goes on beside this test tells things of its own.
    const ofThis = [...unasked.heard, ...odd.heard].filter((line) => [teaching, told].includes(line))
    expect(ofThis).toEqual([told, told])

    for (let i = 0; i < 201; i++) await live.tell(1, { kind: 'teaching' })
    const swamped = await opened('?missed=15000')
    await until(() => swamped.heard.length > 0)
    expect(swamped.heard[0]).toBe(`data: ${JSON.stringify({ kind: 'afresh' })}`)
    for (const each of [first, late, unasked, odd, swamped]) await each.close()
  })

  test('doubled and reordered deliveries change nothing but once', async () => {
    world.lanternpage.board.faults.doubleDeliveries = true
    world.lanternpage.board.faults.reorderDeliveries = true
    for (const content of ['one of two', 'two of two'])
      await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
        method: 'POST',
        body: new URLSearchParams({ name: 'Sander Strand', content }),
        redirect: 'manual',
      })
    await until(
      async () => (await list('unit=entries')).filter((r) => r.text.endsWith('of two')).length === 2,
    )
    await settled(world)
    expect((await threadOf('one of two')).entries.map((e) => e.text)).toEqual(['one of two', 'two of two'])
    Object.assign(world.lanternpage.board.faults, { doubleDeliveries: false, reorderDeliveries: false })
  })

  test('a delivery with a wrong signature, an old time or a broken body is refused', async () => {
    const { db } = world.server.context
    const hook = await db.one<{ token: string }>(
      `SELECT hook_token AS token FROM profiles WHERE network = 'lanternpage'`,
    )
    const send = (headers: Record<string, string>, body: string) =>
      fetch(`${world.config.publicAddress}/hooks/${hook!.token}`, { method: 'POST', headers, body })
    const time = String(Math.floor(Date.now() / 1000))
    const wrong = await send(
      { 'webhook-id': 'x', 'webhook-timestamp': time, 'webhook-signature': 'v1,AAAA' },
      '{}',
    )
    expect(((await wrong.json()) as Problem).code).toBe('signatureWrong')
    expect(
      (await send({ 'webhook-id': 'x', 'webhook-timestamp': '1', 'webhook-signature': 'v1,AAAA' }, '{}'))
        .status,
    ).toBe(401)
    expect((await send({}, 'not json')).status).toBe(401)
    expect(
      (await fetch(`${world.config.publicAddress}/hooks/unknown`, { method: 'POST', body: '{}' })).status,
    ).toBe(404)
  })
})
