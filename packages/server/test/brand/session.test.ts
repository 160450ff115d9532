import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Problem } from '@murrabel/contract'
import { key, startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { type Caller } from '../support/world.ts'

let world: ConnectedWorld
let specialist: Caller
let list: ConnectedWorld['list']
let count: ConnectedWorld['count']
let threadOf: ConnectedWorld['threadOf']

beforeAll(async () => {
  world = await startConnectedWorld()
  ;({ specialist, list, count, threadOf } = world)
})
afterAll(() => world.stop())

describe('access', () => {
  test('a place manager sees only the own place, everywhere', async () => {
    const ness = await world.signIn('ness')
    const rows = await list('unit=entries&limit=100', ness)
    expect(rows.map((r) => r.placeId)).toEqual([2, 2])
    expect((await count('unit=entries', ness)).count).toBe(2)
    const hidden = await threadOf('lost a green rucksack')
    expect((await ness('GET', `/api/threads/${hidden.id}`)).status).toBe(404)
    expect((await ness('POST', `/api/threads/${hidden.id}/events`, { kind: 'finish' })).status).toBe(404)
  })
  test('a reader changes nothing', async () => {
    const rowan = await world.signIn('rowan')
    const { id, edition } = await threadOf('lost a green rucksack')
    expect(
      (await rowan<Problem>('POST', `/api/threads/${id}/replies`, { text: 'x', key: key(), edition })).body
        .code,
    ).toBe('notAllowed')
    expect(
      (await rowan('POST', '/api/watches', { name: 'x', query: { anyOf: [{ text: 'boat' }] } })).status,
    ).toBe(403)
    expect((await specialist('POST', '/api/profiles/connect', { network: 'lanternpage' })).status).toBe(403)
  })
  test('nobody without a session, and no change from another site', async () => {
    const { publicAddress } = world.config
    expect((await fetch(`${publicAddress}/api/entries?unit=entries`)).status).toBe(401)
    const foreign = await fetch(`${publicAddress}/api/watches/1`, {
      method: 'DELETE',
      headers: { cookie: specialist.cookie, origin: 'https://elsewhere.example' },
    })
    expect(((await foreign.json()) as Problem).code).toBe('foreignOrigin')
    const wrong = await fetch(`${publicAddress}/api/session`, {
      method: 'POST',
      headers: { origin: publicAddress, 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'wynn@skerrivane.example', password: 'no' }),
    })
    expect(wrong.status).toBe(401)
  })
  test('headers keep scripts and frames of others out', async () => {
    const response = await fetch(`${world.config.publicAddress}/health`)
    expect(response.headers.get('content-security-policy')).toContain("script-src 'self'")
    expect(response.headers.get('x-powered-by')).toBeNull()
  })
  test('guessing a password is slowed down', async () => {
    const { publicAddress } = world.config
    const guess = () =>
      fetch(`${publicAddress}/api/session`, {
        method: 'POST',
        headers: { origin: publicAddress, 'content-type': 'application/json' },
        body: JSON.stringify({ email: 'wynn@skerrivane.example', password: 'guess' }),
      })
    const answers = await Promise.all(Array.from({ length: 24 }, guess))
    const codes = await Promise.all(answers.map(async (a) => ((await a.json()) as Problem).code))
    expect(codes).toContain('tooMany')
    expect(new Set(codes)).toEqual(new Set(['signInFailed', 'tooMany']))
  })
  test('a body that is no JSON, and one that is too large, are refused without harm', async () => {
    const { publicAddress } = world.config
    const send = (body: string) =>
      fetch(`${publicAddress}/api/watches`, {
        method: 'POST',
        headers: { origin: publicAddress, cookie: specialist.cookie, 'content-type': 'application/json' },
        body,
      }).then(async (a) => [a.status, ((await a.json()) as Problem).code])
    expect(await send('{"name":')).toEqual([400, 'unreadableBody'])
    expect(await send(JSON.stringify({ name: 'x'.repeat(2_000_000) }))).toEqual([413, 'tooLarge'])
    expect(await send('{}')).toEqual([422, 'invalid'])
  })
  test('what is not there is said to be not there, for pages and for the interface', async () => {
    expect((await specialist<Problem>('GET', '/api/nothing')).body.code).toBe('notFound')
    expect((await specialist<Problem>('GET', '/api/threads/99999999')).body.code).toBe('notFound')
    expect((await specialist<Problem>('GET', '/api/threads/abc')).body.code).toBe('notFound')
    expect((await specialist<Problem>('DELETE', '/api/watches/99999')).body.code).toBe('notFound')
  })
  test('signing out ends the session', async () => {
    const once = await world.signIn('tamsin')
    expect((await once('DELETE', '/api/session')).status).toBe(204)
    expect((await once('GET', '/api/brand')).status).toBe(401)
  })
})
