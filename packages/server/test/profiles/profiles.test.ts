import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Problem, ProfileAnswer } from '@murrabel/contract'
import { key, startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { consent, type Caller } from '../support/world.ts'

let world: ConnectedWorld
let owner: Caller
let specialist: Caller
let threadOf: ConnectedWorld['threadOf']

beforeAll(async () => {
  world = await startConnectedWorld()
  ;({ owner, specialist, threadOf } = world)
})
afterAll(() => world.stop())

describe('keys of profiles', () => {
  test('are sealed in the database', async () => {
    const rows = await world.server.context.db.rows<{ sealed: Buffer }>(
      'SELECT key_sealed AS sealed FROM profiles WHERE key_sealed IS NOT NULL',
    )
    const token = world.lanternpage.state.tokens[0]!.access
    expect(rows.length).toBe(3)
    expect(rows.every((r) => !r.sealed.includes(token))).toBe(true)
  })

  test('that expire are told; replies wait until the key is renewed', async () => {
    await fetch(`${world.lanternpage.address}/switchboard`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"expireKeys":true}',
    })
    const { id, edition } = await threadOf('lost a green rucksack')
    await specialist('POST', `/api/threads/${id}/replies`, {
      text: 'Found it, Bastian.',
      key: key(),
      edition,
    })
    const profile = () =>
      owner<ProfileAnswer[]>('GET', '/api/profiles').then((r) =>
        r.body.find((p) => p.network === 'lanternpage'),
      )
    await until(async () => (await profile())?.status === 'expired')
    expect((await threadOf('lost a green rucksack')).entries.at(-1)?.action?.state).toBe('waiting')
    expect(await world.connect(owner, 'lanternpage')).toMatch(/connected=/)
    await until(() =>
      world.lanternpage.state
        .notesOf('skerrivane')
        .some((n) => n.content === 'Found it, Bastian.' && n.conversation),
    )
    await until(async () => (await profile())?.status === 'connected')
  })

  test('consent that is refused or belongs to somebody else connects nothing', async () => {
    const ask = async () =>
      (await owner<{ redirect: string }>('POST', '/api/profiles/connect', { network: 'wherabout' })).body
        .redirect
    expect(await consent(await ask(), owner.cookie, 'refuse')).toBe('/set-up/profiles?problem=oauthRefused')
    const other = await world.signIn('wynn')
    void other
    const redirect = await ask()
    const rowan = await world.signIn('rowan')
    expect(await consent(redirect, rowan.cookie)).toBe('403')
    expect(await consent('', owner.cookie).catch(() => 'none')).toBe('none')
  })

  test('a profile that is disconnected keeps what it collected and takes no reply', async () => {
    const profile = (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body.find((p) =>
      p.name.endsWith('Port Ellery'),
    )!
    const before = profile.entries
    const gone = (await owner<ProfileAnswer>('POST', `/api/profiles/${profile.id}/disconnect`)).body
    expect([gone.status, gone.entries]).toEqual(['disconnected', before])
    const { id, edition, reply } = await threadOf('Is there a lift')
    expect(reply.reason).toBe('disconnected')
    expect(
      (await specialist<Problem>('POST', `/api/threads/${id}/replies`, { text: 'Yes.', key: key(), edition }))
        .body.code,
    ).toBe('replyNotPossible')
  })
})
