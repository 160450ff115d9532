import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  BrandAnswer,
  ColleaguesAnswer,
  ColleagueSetUp,
  Invitation,
  InvitationCard,
  Problem,
  SessionAnswer,
} from '@murrabel/contract'
import { until } from '../support/until.ts'
import { caller, password, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let lead: Caller
let nobody: Caller

beforeAll(async () => {
  world = await startTestWorld()
  owner = await world.signIn('wynn')
  const { db } = world.server.context
  await db.rows(
    `WITH ivo AS (
       INSERT INTO colleagues (email, name, password_hash)
       SELECT 'ivo@skerrivane.example', 'Ivo Oduya', password_hash FROM colleagues WHERE email LIKE 'wynn@%' RETURNING id
     )
     INSERT INTO memberships (colleague_id, brand_id, role) SELECT id, 1, 'lead' FROM ivo`,
  )
  lead = await world.signIn('ivo' as never)
  nobody = caller(world.config.publicAddress, '')
}, 150_000)
afterAll(() => world.stop())

const listed = async () => (await owner<ColleaguesAnswer>('GET', '/api/set-up/colleagues')).body
const idOf = async (email: string) => (await listed()).colleagues.find((each) => each.email === email)!.id
const invite = (email: string, more: object = {}, call = owner) =>
  call<Invitation & Problem>('POST', '/api/set-up/invitations', {
    email,
    role: 'specialist',
    placeIds: null,
    profileIds: null,
    ...more,
  })
/** The link of the latest mail to an address. */
const linkTo = (address: string): Promise<string> =>
  until(async () => {
    const { db } = world.server.context
    const sent = await db.one<{ id: number }>(
      'SELECT id FROM letters WHERE address = $1 AND sent_at IS NOT NULL ORDER BY id DESC LIMIT 1',
      [address],
    )
    const mails = world.mailroom.mails.filter(({ to }) => to.includes(address))
    const found = /\/(?:join|new-password)\/([\w-]+)/.exec(mails.at(-1)?.text ?? '')?.[1]
    return sent && found
  })
const signIn = async (email: string, word: string) => {
  const answer = await fetch(`${world.config.publicAddress}/api/session`, {
    method: 'POST',
    headers: {
      origin: world.config.publicAddress,
      'content-type': 'application/json',
      'user-agent': 'A browser of Orrin',
    },
    body: JSON.stringify({ email, password: word }),
  })
  return {
    status: answer.status,
    call: caller(world.config.publicAddress, answer.headers.get('set-cookie')?.split(';')[0] ?? ''),
  }
}

describe('an invitation', () => {
  const email = 'maren@skerrivane.example'

  test('goes by mail, works once, and its text is not kept', async () => {
    expect((await invite('tamsin@skerrivane.example')).body.code).toBe('memberAlready')
    expect((await invite(email, { placeIds: [999] })).status).toBe(404)
    const made = await invite(email, { placeIds: [1] })
    expect(made.body).toMatchObject({
      email,
      role: 'specialist',
      placeIds: [1],
      invitedBy: 'Wynn Adair',
      ended: false,
    })
    expect((await invite(email)).body.code).toBe('invitedAlready')
    const token = await linkTo(email)
    const { db } = world.server.context
    expect(await db.rows(`SELECT 1 FROM letters WHERE text LIKE '%' || $1 || '%'`, [token])).toEqual([])
    expect((await nobody<InvitationCard>('GET', `/api/invitations/${token}`)).body).toEqual({
      brand: 'Skerrivane Ferries',
      logo: null,
      email,
      role: 'specialist',
      invitedBy: 'Wynn Adair',
      known: false,
    })
    const join = (body: object) => nobody<Problem>('POST', `/api/invitations/${token}`, body)
    const short = await join({ name: '', password: 'short' })
    expect(short.body.fields?.map(({ field }) => field)).toEqual(['name', 'password'])
    const both = await Promise.all(
      [1, 2].map(() => join({ name: 'Maren Holt', password: 'a long password' })),
    )
    expect(both.map(({ status }) => status).sort()).toEqual([204, 410])
    expect((await nobody<Problem>('GET', `/api/invitations/${token}`)).body.code).toBe('linkEnded')
    const { status, call } = await signIn(email, 'a long password')
    expect(status).toBe(200)
    expect((await call<BrandAnswer>('GET', '/api/brand')).body).toMatchObject({
      me: { name: 'Maren Holt', role: 'specialist', limited: true },
      places: [{ id: 1 }],
    })
  })

  test('that has ended or was taken back opens nothing; one can be sent again then', async () => {
    const other = 'torquil@skerrivane.example'
    const { id } = (await invite(other)).body
    const token = await linkTo(other)
    const { db } = world.server.context
    await db.rows(`UPDATE invitations SET ends_at = now() - interval '1 second' WHERE id = $1`, [id])
    expect((await nobody<Problem>('GET', `/api/invitations/${token}`)).body.code).toBe('linkEnded')
    expect(
      (await nobody<Problem>('POST', `/api/invitations/${token}`, { name: 'T', password: 'a long password' }))
        .body.code,
    ).toBe('linkEnded')
    const again = (await invite(other)).body
    expect(again.id).not.toBe(id)
    expect((await owner('DELETE', `/api/set-up/invitations/${again.id}`)).status).toBe(204)
    expect((await listed()).invitations).toEqual([])
  })

  test('somebody with an account joins with its password', async () => {
    const { db } = world.server.context
    await db.rows(
      `INSERT INTO colleagues (email, name, password_hash) SELECT 'ailith@skerrivane.example', 'Ailith Rowe', password_hash FROM colleagues WHERE email LIKE 'wynn@%'`,
    )
    await invite('ailith@skerrivane.example')
    const token = await linkTo('ailith@skerrivane.example')
    expect((await nobody<InvitationCard>('GET', `/api/invitations/${token}`)).body.known).toBe(true)
    const join = (password: string) =>
      nobody<Problem>('POST', `/api/invitations/${token}`, { name: 'Other', password })
    expect((await join('another password')).body.code).toBe('passwordWrong')
    expect((await join(password)).status).toBe(204)
    expect((await listed()).colleagues.find(({ email: each }) => each.startsWith('ailith'))?.name).toBe(
      'Ailith Rowe',
    )
  })
})

describe('roles', () => {
  const change = (id: number, body: object, call = owner) =>
    call<ColleagueSetUp & Problem>('PUT', `/api/set-up/colleagues/${id}`, {
      placeIds: null,
      profileIds: null,
      ...body,
    })

  test('a change counts from the next request on', async () => {
    const tamsin = await world.signIn('tamsin')
    const id = await idOf('tamsin@skerrivane.example')
    expect((await tamsin('GET', '/api/set-up/colleagues')).status).toBe(403)
    expect((await change(id, { role: 'lead' })).body.role).toBe('lead')
    expect((await tamsin('GET', '/api/set-up/colleagues')).status).toBe(200)
    await change(id, { role: 'specialist' })
  })

  test('only owners make owners, and the last one stays', async () => {
    const wynn = await idOf('wynn@skerrivane.example')
    const ivo = await idOf('ivo@skerrivane.example')
    expect((await change(ivo, { role: 'owner' }, lead)).body.code).toBe('onlyOwners')
    expect((await change(wynn, { role: 'reader' }, lead)).body.code).toBe('onlyOwners')
    expect((await invite('x@skerrivane.example', { role: 'owner' }, lead)).body.code).toBe('onlyOwners')
    expect((await change(wynn, { role: 'lead' })).body.code).toBe('lastOwner')
    expect((await change(wynn, { role: 'owner', placeIds: [1] })).body.code).toBe('lastOwner')
    expect(
      (await owner<Problem>('POST', `/api/set-up/colleagues/${wynn}/leave`, { takeOver: null })).body.code,
    ).toBe('lastOwner')
    expect((await change(ivo, { role: 'owner' })).status).toBe(200)
    // Two owners who take each other's right at the same moment: one of them stays.
    const both = await Promise.all([change(wynn, { role: 'lead' }, lead), change(ivo, { role: 'lead' })])
    expect(both.map(({ status }) => status).filter((status) => status === 200)).toHaveLength(1)
    const { db } = world.server.context
    await db.rows(
      `UPDATE memberships SET role = CASE WHEN colleague_id = $1 THEN 'owner' ELSE 'lead' END WHERE brand_id = 1 AND colleague_id IN ($1, $2)`,
      [wynn, ivo],
    )
  })

  test('whoever leaves is signed out, and their open threads are shared out', async () => {
    const { db } = world.server.context
    const email = 'maren@skerrivane.example'
    const id = await idOf(email)
    const { call } = await signIn(email, 'a long password')
    const profile = (await db.one<{ id: number }>(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token) VALUES (1, 1, 'maps', 'wherabout', 'l', 'l', 'expired', 'l') RETURNING id`,
    ))!.id
    await db.rows(
      `INSERT INTO threads (brand_id, profile_id, place_id, outside_id, state, given_to) SELECT 1, $1, 1, 'l' || n, CASE WHEN n = 9 THEN 'done' ELSE 'open' END, $2 FROM generate_series(1, 9) n`,
      [profile, id],
    )
    expect((await owner('POST', `/api/set-up/colleagues/${id}/leave`, { takeOver: id })).status).toBe(404)
    expect((await owner('POST', `/api/set-up/colleagues/${id}/leave`, { takeOver: null })).status).toBe(204)
    expect((await call('GET', '/api/brand')).status).toBe(401)
    expect((await signIn(email, 'a long password')).status).toBe(401)
    const shares = await db.rows<{ n: number }>(
      `SELECT count(*)::int AS n FROM threads WHERE profile_id = $1 AND state = 'open' GROUP BY given_to ORDER BY 1`,
      [profile],
    )
    expect(shares.reduce((sum, { n }) => sum + n, 0)).toBe(8)
    expect(shares.at(-1)!.n - shares[0]!.n).toBeLessThanOrEqual(1)
    expect(
      await db.one('SELECT given_to AS id FROM threads WHERE profile_id = $1 AND outside_id = $2', [
        profile,
        'l9',
      ]),
    ).toEqual({ id })
  })
})

describe('passwords and devices', () => {
  test('another password signs every other device out, and a wrong one changes nothing', async () => {
    const one = (await signIn('ness@skerrivane.example', password)).call
    const other = (await signIn('ness@skerrivane.example', password)).call
    const change = (old: string, password: string) =>
      one<Problem>('PUT', '/api/me/password', { old, password })
    expect((await change('wrong', 'another password')).body.code).toBe('passwordWrong')
    expect((await change(password, 'short')).status).toBe(422)
    const { body: sessions } = await one<SessionAnswer[]>('GET', '/api/me/sessions')
    expect(sessions.filter(({ own }) => own)).toMatchObject([{ agent: 'A browser of Orrin' }])
    expect((await change(password, 'another password')).status).toBe(204)
    expect((await one('GET', '/api/brand')).status).toBe(200)
    expect((await other('GET', '/api/brand')).status).toBe(401)
    const third = (await signIn('ness@skerrivane.example', 'another password')).call
    const { body: now } = await one<SessionAnswer[]>('GET', '/api/me/sessions')
    const [away] = now.filter(({ own }) => !own)
    expect((await owner('DELETE', `/api/me/sessions/${away!.id}`)).status).toBe(404)
    expect((await one('DELETE', `/api/me/sessions/${away!.id}`)).status).toBe(204)
    expect((await third('GET', '/api/brand')).status).toBe(401)
  })

  test('a forgotten one is chosen anew by a link that works once; nobody learns who has an account', async () => {
    const email = 'rowan@skerrivane.example'
    const forgot = (address: string) => nobody('POST', '/api/password-resets', { email: address })
    expect((await forgot('stranger@skerrivane.example')).status).toBe(204)
    expect((await forgot(email.toUpperCase())).status).toBe(204)
    const token = await linkTo(email)
    const before = (await signIn(email, password)).call
    const reset = (password: string) => nobody<Problem>('POST', `/api/password-resets/${token}`, { password })
    expect((await reset('short')).status).toBe(422)
    expect((await reset('a wholly new one')).status).toBe(204)
    expect((await reset('and once more so')).body.code).toBe('linkEnded')
    expect((await before('GET', '/api/brand')).status).toBe(401)
    expect((await signIn(email, password)).status).toBe(401)
    expect((await signIn(email, 'a wholly new one')).status).toBe(200)
    for (let i = 0; i < 5; i++) await forgot(email)
    const { db } = world.server.context
    expect(await db.one(`SELECT count(*)::int AS n FROM letters WHERE address = $1`, [email])).toEqual({
      n: 3,
    })
    expect(await db.rows(`SELECT 1 FROM letters WHERE address LIKE 'stranger%'`)).toEqual([])
  })
})
