import { createHash, randomBytes } from 'node:crypto'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { mkdtempSync, readFileSync, appendFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Webhook } from 'standardwebhooks'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import {
  demoClient,
  startLanternpage,
  startPress,
  startReviewSite,
  type Lanternpage,
} from '@murrabel/standins'

let network: Lanternpage
beforeAll(async () => {
  network = await startLanternpage()
  network.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  network.state.add({ op: 'page', id: 'other', name: 'Another page' })
})
afterAll(() => network.close())

const verifier = randomBytes(32).toString('base64url')
const challenge = createHash('sha256').update(verifier).digest('base64url')

/** The browser's part of the grant: consent for one page; gives the code. */
async function code(resource = 'skerrivane'): Promise<string> {
  const granted = await fetch(`${network.address}/oauth/authorize`, {
    method: 'POST',
    redirect: 'manual',
    body: new URLSearchParams({
      redirect_uri: 'http://127.0.0.1/back',
      state: 's',
      code_challenge: challenge,
      resource,
      answer: 'grant',
    }),
  })
  const back = new URL(granted.headers.get('location')!)
  expect([back.searchParams.get('state'), back.searchParams.get('iss')]).toEqual(['s', network.address])
  return back.searchParams.get('code')!
}
const exchange = async (part: Record<string, string>) => {
  const answer = await fetch(`${network.address}/oauth/token`, {
    method: 'POST',
    body: new URLSearchParams({
      client_id: demoClient.clientId,
      client_secret: demoClient.clientSecret,
      grant_type: 'authorization_code',
      redirect_uri: 'http://127.0.0.1/back',
      code_verifier: verifier,
      ...part,
    }),
  })
  return { status: answer.status, body: (await answer.json()) as Record<string, string> }
}
const api = (token: string, path: string, init: RequestInit = {}) =>
  fetch(`${network.address}/api${path}`, {
    ...init,
    headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json', ...init.headers },
  })

describe('the authorization server', () => {
  test('gives a key for a code once, and only to the verifier of its challenge', async () => {
    expect((await exchange({ code: await code(), code_verifier: 'x'.repeat(43) })).body.error).toBe(
      'invalid_grant',
    )
    expect((await exchange({ code: await code(), client_secret: 'wrong' })).status).toBe(401)
    const once = await code()
    const { body } = await exchange({ code: once })
    expect(body.token_type).toBe('bearer')
    expect((await exchange({ code: once })).status).toBe(400)
    const renewed = await exchange({ grant_type: 'refresh_token', refresh_token: body.refresh_token! })
    expect(renewed.status).toBe(200)
    expect((await exchange({ grant_type: 'refresh_token', refresh_token: body.refresh_token! })).status).toBe(
      400,
    )
  })
  test('a key opens what was ticked and nothing else', async () => {
    const { body } = await exchange({ code: await code() })
    const pages = (await (await api(body.access_token!, '/pages')).json()) as { items: { name: string }[] }
    expect(pages.items.map((p) => p.name)).toEqual(['Skerrivane Ferries'])
    expect((await api(body.access_token!, '/pages/other/stream')).status).toBe(403)
    expect((await api('nonsense', '/pages')).status).toBe(401)
  })
})

describe('publishing', () => {
  const post = (token: string, content: string, key: string) =>
    api(token, '/pages/skerrivane/stream', {
      method: 'POST',
      headers: { 'idempotency-key': key },
      body: JSON.stringify({ type: 'Create', object: { type: 'Note', content } }),
    })

  test('the same key twice publishes once; too long and empty are refused', async () => {
    const token = (await exchange({ code: await code() })).body.access_token!
    expect((await post(token, 'Calm seas', 'k1')).status).toBe(201)
    expect((await post(token, 'Calm seas', 'k1')).status).toBe(200)
    expect((await post(token, '', 'k2')).status).toBe(422)
    expect((await post(token, 'x'.repeat(2001), 'k3')).status).toBe(422)
    expect(network.state.notesOf('skerrivane').filter((n) => n.content === 'Calm seas')).toHaveLength(1)
  })

  test('subscribers are told with a signature that Standard Webhooks accepts', async () => {
    const token = (await exchange({ code: await code() })).body.access_token!
    const secret = `whsec_${randomBytes(24).toString('base64')}`
    const received = new Promise<{ body: string; headers: Record<string, string> }>((resolve) => {
      const server = createServer((req, res) => {
        let body = ''
        req.on('data', (chunk) => (body += chunk))
        req.on('end', () => {
          res.end()
          server.close()
          resolve({ body, headers: req.headers as Record<string, string> })
        })
      }).listen(0, '127.0.0.1', () => {
        const callback = `http://127.0.0.1:${(server.address() as AddressInfo).port}/`
        void api(token, '/pages/skerrivane/subscriptions', {
          method: 'POST',
          body: JSON.stringify({ callback, secret }),
        }).then(() =>
          fetch(`${network.address}/pages/skerrivane/messages`, {
            method: 'POST',
            body: new URLSearchParams({ name: 'Hester Quill', content: 'Hello' }),
            redirect: 'manual',
          }),
        )
      })
    })
    const { body, headers } = await received
    expect(new Webhook(secret).verify(body, headers)).toMatchObject({
      type: 'created',
      data: { object: { content: 'Hello' } },
    })
  })
})

describe('faults', () => {
  test('rate limits answer 429 with Retry-After, failures 503', async () => {
    const token = (await exchange({ code: await code() })).body.access_token!
    network.board.faults.requestsPerWindow = 1
    const answers = await Promise.all([1, 2, 3].map(() => api(token, '/pages')))
    expect(answers.map((a) => a.status).sort()).toEqual([200, 429, 429])
    expect(answers.find((a) => a.status === 429)!.headers.get('retry-after')).toBe('1')
    network.board.faults.requestsPerWindow = null
    network.board.faults.failures = 1
    expect((await api(token, '/pages')).status).toBe(503)
    expect((await api(token, '/pages')).status).toBe(200)
  })
})

test('what was written is still there after a kill, but for a half-written last line', async () => {
  const file = join(mkdtempSync(join(tmpdir(), 'standin-')), 'w.jsonl')
  const first = await startReviewSite('wherabout', { journalFile: file })
  first.state.add({ op: 'business', id: 'b', name: 'Skerrivane Ferries', street: '', town: '', phone: '' })
  await fetch(`${first.address}/businesses/b`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Iva', rating: '4', text: 'Good' }),
    redirect: 'manual',
  })
  await first.close()
  appendFileSync(file, '{"op":"review","id"')
  const second = await startReviewSite('wherabout', { journalFile: file })
  expect([...second.state.items.values()].map((i) => i.text)).toEqual(['Good'])
  expect(await (await fetch(`${second.address}/businesses/b`)).text()).toContain('Good')
  await second.close()
  expect(readFileSync(file, 'utf8')).toContain('"Good"')
})

test('the press answers conditional requests', async () => {
  const press = await startPress()
  press.feeds.set('f', { op: 'feed', id: 'f', title: 'Sound Courier', format: 'rss' })
  press.publish({
    op: 'article',
    id: 'a',
    feed: 'f',
    title: 'A & B',
    text: 'One',
    author: 'M',
    published: '2026-11-24T09:00:00.000Z',
  })
  const once = await fetch(`${press.address}/f/feed`)
  expect(await once.text()).toContain('<rss version="2.0"')
  expect(
    (await fetch(`${press.address}/f/feed`, { headers: { 'if-none-match': once.headers.get('etag')! } }))
      .status,
  ).toBe(304)
  expect((await fetch(`${press.address}/nothing/feed`)).status).toBe(404)
  await press.close()
})
