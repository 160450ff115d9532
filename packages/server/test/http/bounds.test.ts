import { connect } from 'node:net'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Problem, TeachingAnswer, WatchAnswer, WatchGroupAnswer } from '@murrabel/contract'
import { start } from '@murrabel/server'
import { pruneAll } from '../../src/services/brand/prune.ts'
import { freePort } from '../support/freePort.ts'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { caller, password, settled, type Caller } from '../support/world.ts'

let world: ConnectedWorld
let call: Caller

beforeAll(async () => {
  world = await startConnectedWorld()
  call = world.owner
})
afterAll(() => world.stop())

/** Longest time in which the server answered nothing while something was asked of it. */
async function longestSilence(work: Promise<unknown>): Promise<number> {
  let running = true
  void work.finally(() => (running = false))
  let longest = 0
  while (running) {
    const began = performance.now()
    await fetch(`${world.config.publicAddress}/alive`).then((response) => response.text())
    longest = Math.max(longest, performance.now() - began)
    await new Promise((resolve) => setTimeout(resolve, 5))
  }
  return longest
}
const send = (
  path: string,
  body: string,
  { cookie = call.cookie, type = 'application/json', method = 'POST' } = {},
) =>
  fetch(`${world.config.publicAddress}${path}`, {
    method,
    headers: { origin: world.config.publicAddress, cookie, 'content-type': type },
    body,
  }).then(async (response) => {
    const text = await response.text()
    return { status: response.status, body: (text.startsWith('{') ? JSON.parse(text) : {}) as Problem }
  })

/** Milliseconds; some machines are three times as slow as others. */
const patience = 4000

describe('no request holds up everybody', () => {
  const brackets = '['.repeat(23_000_000)
  test.each(['/api/imports?kind=feed&name=x', '/api/watches/import', '/api/profiles/opml', '/api/watches'])(
    '23 MB of brackets to %s, of nobody and of an owner',
    async (path) => {
      const nobody = send(path, brackets, { cookie: '' }).catch(() => ({ status: 401 }))
      expect(await longestSilence(nobody)).toBeLessThan(patience)
      expect((await nobody).status).toBe(401)
      const owner = send(path, brackets).catch(() => ({ status: 413 }))
      expect(await longestSilence(owner)).toBeLessThan(patience)
      expect([400, 413, 422]).toContain((await owner).status)
    },
    150_000,
  )
  test('a megabyte of empty marks, and of empty words', async () => {
    const watch = (
      await call<WatchAnswer>('POST', '/api/watches', { name: 'x', query: { anyOf: [{ text: 'boat' }] } })
    ).body
    const marks = send(`/api/watches/${watch.id}/marks`, `{"marks":[${'{},'.repeat(90_000)}{}]}`, {
      method: 'PUT',
    })
    expect(await longestSilence(marks)).toBeLessThan(1000)
    expect(await marks).toMatchObject({ status: 422, body: { fields: [{ field: 'marks', code: 'max' }] } })
    const tuner = send('/api/watches/tuner', `{"query":{"anyOf":[${'{},'.repeat(60_000)}{}]}}`)
    expect(await longestSilence(tuner)).toBeLessThan(1000)
    expect((await tuner).status).toBe(422)
  })
  test.each([
    ['line ends', '\n'.repeat(8_000_000)],
    ['100,000 rows', `Date,Text\n${'2026-01-01,some words of a review\n'.repeat(99_000)}`],
    ['open quotes', `Date,Text\n${'"'.repeat(4_000_000)}`],
  ])(
    'a table of %s',
    async (_, csv) => {
      const asked = send('/api/imports?kind=reviews&name=big.csv', csv, { type: 'text/plain' })
      expect(await longestSilence(asked)).toBeLessThan(patience)
      expect([200, 422]).toContain((await asked).status)
    },
    150_000,
  )
  test.each([
    ['open scripts', '<script '.repeat(300_000)],
    ['angle quotes', '‹'.repeat(1_000_000)],
  ])(
    'a feed of %s',
    async (_, inside) => {
      const document = `<rss><channel><title>t</title><item><title>x</title><description>${inside}</description></item></channel></rss>`
      const asked = send('/api/imports?kind=feed&name=big.xml', document, { type: 'text/plain' })
      expect(await longestSilence(asked)).toBeLessThan(patience)
      expect((await asked).status).toBeLessThan(500)
    },
    150_000,
  )
})

test('an export that nobody reads to its end leaves nothing behind', async () => {
  const { hostname, port } = new URL(world.config.publicAddress)
  for (let i = 0; i < 20; i++)
    await new Promise<void>((resolve) => {
      const socket = connect(Number(port), hostname)
      socket.write(
        `GET /api/entries/export.csv?unit=entries HTTP/1.1\r\nHost: ${hostname}\r\nCookie: ${call.cookie}\r\n\r\n`,
      )
      socket.once('data', () => socket.destroy())
      socket.once('close', () => resolve())
    })
  expect((await call('GET', '/api/entries/export.csv?unit=entries')).status).toBe(200)
})

test('a question that takes too long is ended, and the person is told what to do', async () => {
  const port = await freePort()
  const quick = await start({
    ...world.config,
    port,
    publicAddress: `http://127.0.0.1:${port}`,
    jobs: false,
    requestSeconds: 1,
  })
  const { db } = world.server.context
  await db.sequelize.query(
    `CREATE FUNCTION slow(x timestamptz) RETURNS timestamptz LANGUAGE plpgsql VOLATILE AS 'BEGIN PERFORM pg_sleep(3); RETURN x; END'`,
  )
  await db.sequelize.query(
    `ALTER TABLE tags RENAME TO tags_kept; CREATE VIEW tags AS SELECT id, brand_id, name FROM tags_kept WHERE slow(now()) IS NOT NULL UNION ALL SELECT 0, 1, 'x' FROM (SELECT slow(now())) s`,
  )
  const asked = caller(quick.address!, (await signIn(quick.address!)).split(';')[0]!)
  const answer = await asked<Problem>('GET', '/api/brand')
  expect([answer.status, answer.body.code]).toEqual([503, 'tooMuch'])
  await db.sequelize.query('DROP VIEW tags; ALTER TABLE tags_kept RENAME TO tags; DROP FUNCTION slow')
  await quick.stop()
}, 150_000)

const signIn = async (
  address: string,
  headers: Record<string, string> = {},
  word = password,
  who = 'wynn',
) => {
  const response = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { origin: address, 'content-type': 'application/json', ...headers },
    body: JSON.stringify({ email: `${who}@skerrivane.example`, password: word }),
  })
  return response.headers.get('set-cookie') ?? ((await response.json()) as Problem).code
}

describe('signing in', () => {
  test('is limited for an account and an address over all processes, and strangers lock nobody out', async () => {
    const ports = [await freePort(), await freePort()]
    const both = await Promise.all(
      ports.map((port) =>
        start({
          ...world.config,
          port,
          publicAddress: `http://127.0.0.1:${port}`,
          jobs: false,
          trustProxy: 1,
        }),
      ),
    )
    const from = (ip: string) => ({ 'x-forwarded-for': ip })
    const at = (i: number) => both[i % 2]!.address!
    // Known here: Rowan has signed in from this address.
    expect(await signIn(at(0), from('198.51.100.7'), password, 'rowan')).toContain('murrabel_session')
    const codes: string[] = []
    for (let i = 0; i < 14; i++) codes.push(await signIn(at(i), from('203.0.113.5'), 'guess', 'rowan'))
    expect(codes.slice(0, 10).every((code) => code === 'signInFailed')).toBe(true)
    expect(codes.slice(11).every((code) => code === 'tooMany')).toBe(true)
    // Many strangers guess at the account; its owner still comes in from where they always do.
    const { db } = world.server.context
    await db.rows(
      `INSERT INTO sign_in_tries (account, address, succeeded) SELECT account, '203.0.113.' || i, false FROM (SELECT account FROM sign_in_tries WHERE address = '198.51.100.7' LIMIT 1) a, generate_series(6, 250) i`,
    )
    expect(await signIn(at(1), from('203.0.113.251'), password, 'rowan')).toBe('tooMany')
    expect(await signIn(at(1), from('198.51.100.7'), password, 'rowan')).toContain('murrabel_session')
    await Promise.all(both.map((server) => server.stop()))
  }, 150_000)

  test('nobody’s word about an address is believed unless that is set', async () => {
    const { publicAddress } = world.config
    for (let i = 0; i < 12; i++)
      await signIn(publicAddress, { 'x-forwarded-for': `192.0.2.${i}` }, 'guess', 'nobody')
    expect(await signIn(publicAddress, { 'x-forwarded-for': '192.0.2.99' }, 'guess', 'nobody')).toBe(
      'tooMany',
    )
  }, 150_000)
})

describe('what two people can change', () => {
  test('a watch that somebody moved meanwhile is not overwritten', async () => {
    const query = { anyOf: [{ text: 'gannet' }] }
    const watch = (await call<WatchAnswer>('POST', '/api/watches', { name: 'Gannets', query })).body
    const group = (await call<WatchGroupAnswer>('POST', '/api/groups', { name: 'Birds', kind: 'other' })).body
    const put = (more: object) =>
      call<WatchAnswer & Problem>('PUT', `/api/watches/${watch.id}`, { name: watch.name, query, ...more })
    const moved = await put({ groupId: group.id, edition: watch.edition })
    expect(moved.body.edition).toBe(watch.edition + 1)
    const late = await put({ query: { anyOf: [{ text: 'gannets' }] }, edition: watch.edition })
    expect([late.status, late.body.code]).toEqual([409, 'changedMeanwhile'])
    expect((await put({ edition: moved.body.edition })).status).toBe(200)
    const rename = (edition: number) =>
      call<WatchGroupAnswer & Problem>('PUT', `/api/groups/${group.id}`, {
        name: 'Sea birds',
        kind: 'other',
        edition,
      })
    expect((await rename(group.edition)).status).toBe(200)
    expect((await rename(group.edition)).body.code).toBe('changedMeanwhile')
  })
  test.each([
    ['words', { words: [{ term: 'lumpy', valence: -1 }] }],
    ['aspects', { aspects: [{ name: 'Harbour', terms: [{ text: 'quay' }] }] }],
  ])('%s of the brand are not overwritten', async (list, body) => {
    const { edition } = (await call<TeachingAnswer>('GET', '/api/teaching')).body
    const put = () => call<TeachingAnswer & Problem>('PUT', `/api/teaching/${list}`, { ...body, edition })
    expect((await put()).body.edition).toBe(edition + 1)
    const late = await put()
    expect([late.status, late.body.code]).toEqual([409, 'changedMeanwhile'])
  })
})

test('what is needed no longer is removed when its time is over, and nothing else', async () => {
  await settled(world)
  const { context } = world.server
  const { db } = context
  const old = `now() - interval '400 days'`
  await db.rows(
    `INSERT INTO sessions (token_hash, colleague_id, brand_id, expires_at) SELECT decode(md5(i::text), 'hex'), 1, 1, ${old} FROM generate_series(1, 6000) i`,
  )
  await db.rows(
    `INSERT INTO oauth_flows (state, brand_id, colleague_id, network, verifier, created_at) VALUES ('s', 1, 1, 'x', 'v', ${old})`,
  )
  await db.rows(`UPDATE raw_items SET received_at = ${old} WHERE outside_id = 'n2'`)
  await db.rows(`INSERT INTO deliveries SELECT id, 'd', ${old} FROM profiles LIMIT 1`)
  await db.rows(
    `INSERT INTO events (brand_id, subject, actor, kind, at) VALUES (1, 'brand', 'system', 'old', ${old})`,
  )
  const sessions = (await db.one<{ n: number }>(
    'SELECT count(*) AS n FROM sessions WHERE expires_at > now()',
  ))!.n
  const entries = (await db.one<{ n: number }>('SELECT count(*) AS n FROM entries'))!.n
  const removed = await pruneAll({
    ...context,
    config: { ...context.config, keepDays: { ...context.config.keepDays, log: 365 } },
  })
  expect(removed).toMatchObject({ sessions: 6000, oauthFlows: 1, rawItems: 1, deliveries: 1, log: 1 })
  expect(await db.one('SELECT count(*) AS n FROM sessions')).toEqual({ n: sessions })
  expect(await db.one('SELECT count(*) AS n FROM entries')).toEqual({ n: entries })
})

test('answers are kept by nobody on the way, and an asset of an older build is not there', async () => {
  const { publicAddress } = world.config
  const answer = await fetch(`${publicAddress}/api/brand`, { headers: { cookie: call.cookie } })
  expect(answer.headers.get('cache-control')).toBe('no-store')
  expect(answer.headers.get('etag')).toBeNull()
})
