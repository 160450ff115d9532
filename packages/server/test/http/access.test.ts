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
    const { id, version } = await threadOf('lost a green rucksack')
    expect(
      (await rowan<Problem>('POST', `/api/threads/${id}/replies`, { text: 'x', key: key(), version })).body
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
})
