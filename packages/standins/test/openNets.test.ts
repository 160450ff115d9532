import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, describe, expect, test } from 'vitest'
import { openNets, startOpenNet, type OpenNet, type OpenNetName } from '@murrabel/standins'

const running: OpenNet[] = []
afterEach(() => Promise.all(running.splice(0).map((net) => net.close())))
async function open(name: OpenNetName = 'skimmer', journalFile: string | null = null): Promise<OpenNet> {
  const net = await startOpenNet(name, { journalFile })
  running.push(net)
  return net
}
const author = { id: 'a', name: 'Perrin Oakes', handle: 'p.oakes' }
const post = (net: OpenNet, content: string, more: { title?: string; inReplyTo?: string } = {}) =>
  net.publish({ author, content, published: '2026-11-20T08:00:00.000Z', ...more })

interface Page {
  type: string
  orderedItems: { object: Record<string, unknown> & { content: string; context?: { id: string } } }[]
  cursor: string
  next?: string
}
async function search(net: OpenNet, q: string, after = '0'): Promise<Page> {
  const answer = await fetch(`${net.address}/api/search?${new URLSearchParams({ q, after })}`)
  expect(answer.status).toBe(200)
  return (await answer.json()) as Page
}
const texts = ({ orderedItems }: Page) => orderedItems.map(({ object }) => object.content)

describe('the public search', () => {
  test('finds a phrase whatever its case, accents, signs, and written as one word', async () => {
    const net = await open()
    for (const content of [
      'The STORM PETREL is late',
      'storm-petrel again',
      'all hail #StormPetrel',
      'a storm, and a petrel in it',
      'Stormy petrels',
    ])
      post(net, content)
    expect(texts(await search(net, 'Storm Pétrel'))).toEqual([
      'The STORM PETREL is late',
      'storm-petrel again',
      'all hail #StormPetrel',
    ])
  })
  test('gives pages in the order of arrival, and a cursor that goes on where it ended', async () => {
    const net = await open()
    for (let i = 0; i < 120; i++) post(net, i % 2 ? `skerrivane ${i}` : `nothing ${i}`)
    const first = await search(net, 'skerrivane')
    expect(texts(first)).toHaveLength(50)
    expect(first.next).toContain(`after=${first.cursor}`)
    const rest = await search(net, 'skerrivane', first.cursor)
    expect(rest.next).toBeUndefined()
    expect(new Set([...texts(first), ...texts(rest)]).size).toBe(60)
    post(net, 'skerrivane, since')
    expect(texts(await search(net, 'skerrivane', rest.cursor))).toEqual(['skerrivane, since'])
  })
  test('refuses what is no search, and too many of them, saying how long to wait', async () => {
    const net = await open()
    const status = async (q: string) => {
      const answer = await fetch(`${net.address}/api/search?${new URLSearchParams({ q })}`)
      return { status: answer.status, wait: Number(answer.headers.get('retry-after')) }
    }
    expect((await status(' ')).status).toBe(422)
    expect((await status('x'.repeat(201))).status).toBe(422)
    const answers = await Promise.all(Array.from({ length: 90 }, () => status('skerrivane')))
    const refused = answers.filter((answer) => answer.status === 429)
    // Two tries came before.
    expect(refused).toHaveLength(12)
    expect(refused.every(({ wait }) => wait >= 1 && wait <= 4)).toBe(true)
  })
  test('signs alone find nothing, rather than everything', async () => {
    const net = await open()
    post(net, 'anything')
    expect(texts(await search(net, '#!?'))).toEqual([])
  })
})

describe('what is said', () => {
  test('is an activity of the network’s own type; answers are notes in the thread of their head', async () => {
    for (const [name, kind] of Object.entries(openNets) as [OpenNetName, (typeof openNets)[OpenNetName]][]) {
      const net = await open(name)
      const head = post(net, 'Skerrivane at dawn', kind.titled ? { title: 'Dawn' } : {})
      const answer = post(net, 'skerrivane at dusk', { inReplyTo: head.id })
      post(net, 'skerrivane at night', { inReplyTo: answer.id })
      const { orderedItems } = await search(net, 'skerrivane')
      const address = `${net.address}/posts/${head.id}`
      expect(orderedItems.map(({ object }) => object.type)).toEqual([kind.type, 'Note', 'Note'])
      expect(orderedItems.map(({ object }) => object.context?.id)).toEqual([address, address, address])
      expect(orderedItems[0]!.object.name).toBe(kind.titled ? 'Dawn' : undefined)
    }
  })
  test('comes from anybody by the page, cut at the network’s length, and is shown there without markup', async () => {
    const net = await open('skimmer')
    const given = await fetch(`${net.address}/posts`, {
      method: 'POST',
      body: new URLSearchParams({ name: 'Aoife <b>', content: `<script>${'x'.repeat(400)}` }),
    })
    expect(given.url).toMatch(/\/posts\/p1$/)
    const html = await given.text()
    expect(html).toContain('Aoife &lt;b&gt;')
    expect(html).not.toContain('<script>')
    expect(net.state.posts[0]!.content).toHaveLength(300)
    const answered = await fetch(`${net.address}/posts/p1/answers`, {
      method: 'POST',
      body: new URLSearchParams({ name: 'Perrin', content: 'Quite so' }),
    })
    expect(await answered.text()).toContain('Quite so')
    expect(net.state.posts[1]!.inReplyTo).toBe('p1')
    expect((await fetch(`${net.address}/posts/p99`)).status).toBe(404)
    expect((await fetch(`${net.address}/posts/p99/answers`, { method: 'POST' })).status).toBe(404)
  })
  test('is still there after the network starts again', async () => {
    const file = join(mkdtempSync(join(tmpdir(), 'murrabel-net-')), 'skimmer.jsonl')
    const before = await open('skimmer', file)
    post(before, 'skerrivane, once')
    await before.close()
    running.splice(0)
    const after = await open('skimmer', file)
    expect(texts(await search(after, 'skerrivane'))).toEqual(['skerrivane, once'])
    expect(post(after, 'and again').id).toBe('p2')
  })
})

test('faults that the switch board turns on stand in the way of the search, not of the board', async () => {
  const net = await open()
  await fetch(`${net.address}/switchboard`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ failures: 1 }),
  })
  const ask = async () => (await fetch(`${net.address}/api/search?q=x`)).status
  expect([await ask(), await ask()]).toEqual([503, 200])
})
