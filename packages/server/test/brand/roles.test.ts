import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { mayDo, pathOf, routes, type Problem, type RouteName } from '@murrabel/contract'
import { bodyOf } from '../support/bodies.ts'
import {
  hiddenWord,
  otherWord,
  thingOf,
  twoBrands,
  type Things,
  type TwoBrands,
} from '../support/twoBrands.ts'
import { until } from '../support/until.ts'
import { caller, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let things: TwoBrands

const people = {
  reader: { name: 'rowan', role: 'reader', limited: false },
  placeManager: { name: 'ness', role: 'placeManager', limited: true },
  'reader of a profile': { name: 'sorrel', role: 'reader', limited: true },
  specialist: { name: 'tamsin', role: 'specialist', limited: false },
  lead: { name: 'ivo', role: 'lead', limited: false },
  'lead of a place': { name: 'edda', role: 'lead', limited: true },
  owner: { name: 'wynn', role: 'owner', limited: false },
} as const
type Who = keyof typeof people
const calls = new Map<Who, Caller>()
let stranger: Caller
let nobody: Caller

beforeAll(async () => {
  world = await startTestWorld()
  things = await twoBrands(world)
  for (const [who, { name }] of Object.entries(people))
    calls.set(who as Who, await world.signIn(name as never))
  nobody = caller(world.config.publicAddress, '')
  stranger = await world.signIn('bryn' as never)
}, 120_000)
afterAll(() => world.stop())

/** Whoever has no session, or has one of their own, is looked at elsewhere. */
const withoutSession = [
  'signIn',
  'signOut',
  'welcome',
  'live',
  'invitation',
  'join',
  'forgotPassword',
  'resetPassword',
]
const names = Object.keys(routes).filter((name) => !withoutSession.includes(name)) as RouteName[]

const ask = (call: Caller, name: RouteName, of: Things) => {
  const kind = thingOf[name]
  const path = pathOf(routes[name].path, {
    id: kind ? of[kind] : 1,
    event: of.event,
    way: of.way,
    visit: of.visit,
    request: of.request,
  })
  return call<Problem>(
    routes[name].method,
    path + (name === 'importDocument' ? '?kind=feed&name=x' : ''),
    bodyOf(name, of),
  )
}

/** Everything a brand has, but for what counts by itself. */
const stateOf = async (brandId: number) => {
  const { db } = world.server.context
  const tables = [
    'threads',
    'entries',
    'watches',
    'watch_groups',
    'alerts',
    'outside_actions',
    'accounts',
    'people',
    'person_ways',
    'visits',
    'follow_ups',
    'tags',
    'profiles',
    'public_profiles',
    'imports',
    'events',
    'items_apart',
  ]
  const rows = await Promise.all(
    tables.map((table) =>
      db.rows(
        `SELECT md5(coalesce(string_agg(t::text, '|' ORDER BY t::text), '')) AS sum FROM ${table} t WHERE brand_id = $1`,
        [brandId],
      ),
    ),
  )
  return JSON.stringify(rows)
}

test('every route has a name and an address of its own, and is somewhere in this walk', () => {
  const addresses = Object.values(routes).map(({ method, path }) => `${method} ${path}`)
  expect(new Set(addresses).size).toBe(Object.keys(routes).length)
  for (const name of names)
    expect([name, routes[name].path.includes(':id')]).toEqual([name, thingOf[name] !== undefined])
})

test('nobody without a session gets anything', async () => {
  for (const name of names) expect([name, (await ask(nobody, name, things.own)).status]).toEqual([name, 401])
})

describe.each(Object.keys(people) as Who[])('a %s', (who) => {
  const me = people[who]
  test('is refused what the table does not allow', async () => {
    for (const name of names) {
      const { right, scope } = routes[name].access
      if (mayDo(me, right, scope)) continue
      const { status, body } = await ask(calls.get(who)!, name, things.own)
      const code = mayDo({ ...me, limited: false }, right, scope) ? 'limitedAccess' : 'notAllowed'
      expect([name, status, body.code]).toEqual([name, 403, code])
    }
  })
  test('finds nothing under the ids of another brand, and changes nothing there', async () => {
    const before = await stateOf(2)
    for (const name of names) {
      const { right, scope } = routes[name].access
      if (!thingOf[name] || !mayDo(me, right, scope)) continue
      const { status, body } = await ask(calls.get(who)!, name, things.other)
      expect([name, status, body.code]).toEqual([name, 404, 'notFound'])
    }
    expect(await stateOf(2)).toBe(before)
  })
  test('finds nothing under the ids of another place when limited to one', async () => {
    if (!me.limited) return
    const { db } = world.server.context
    const hiddenState = () =>
      db.rows(
        `SELECT (SELECT t::text FROM threads t WHERE id = $1) AS thread, (SELECT e::text FROM entries e WHERE id = $2) AS entry,
           (SELECT a::text FROM outside_actions a WHERE id = $3) AS action, (SELECT p::text FROM profiles p WHERE id = $4) AS profile, (SELECT a::text FROM alerts a WHERE id = $5) AS alert`,
        [
          things.hidden.thread,
          things.hidden.entry,
          things.hidden.action,
          things.hidden.profile,
          things.hidden.alert,
        ],
      )
    const before = await hiddenState()
    for (const name of names) {
      const { right, scope } = routes[name].access
      const kind = thingOf[name]
      if (
        !kind ||
        !['thread', 'entry', 'action', 'profile', 'alert', 'account', 'person', 'followUp', 'note'].includes(
          kind,
        )
      )
        continue
      if (!mayDo(me, right, scope)) continue
      const { status, body } = await ask(calls.get(who)!, name, things.hidden)
      expect([name, status, body.code]).toEqual([name, 404, 'notFound'])
    }
    expect(await hiddenState()).toEqual(before)
  })
  test('is never shown a word of another brand, nor of another place when limited', async () => {
    for (const name of names) {
      const { right, scope } = routes[name].access
      if (routes[name].method !== 'GET' || thingOf[name] || !mayDo(me, right, scope)) continue
      for (const query of [
        'unit=entries&time=all',
        `unit=entries&time=all&watch=${things.own.watch}&with=group%3D${things.own.group}`,
      ]) {
        const { status, body } = await calls.get(who)!('GET', `${routes[name].path}?${query}`)
        const text = JSON.stringify(body)
        expect([name, status < 500]).toEqual([name, true])
        expect([name, text.includes(otherWord)]).toEqual([name, false])
        // Groups are a vocabulary that the brand shares; their names are no word of an entry.
        if (me.limited && !['groups', 'brand', 'exportWatches', 'patterns', 'signOffs'].includes(name))
          expect([name, text.includes(hiddenWord)]).toEqual([name, false])
      }
    }
  })
})

test('of another brand, words and ids asked for by the lens choose nothing', async () => {
  for (const part of [
    `watch=${things.other.watch}`,
    `group=${things.other.group}`,
    `voice=${things.other.account}`,
    `place=3`,
    `tag=${things.other.tag}`,
  ])
    for (const path of ['entries/count?', 'tide?', 'watches/figures?', 'watches/phrases?', 'voices?']) {
      const { status, body } = await calls.get('owner')!('GET', `/api/${path}unit=entries&time=all&${part}`)
      expect([path, part, status]).toEqual([path, part, 200])
      expect(JSON.stringify(body)).not.toContain(otherWord)
      expect(JSON.stringify(body)).not.toMatch(/"(?:count|marked|positive|negative)":[1-9]/)
    }
})

test('figures of a limited reader count what they may see: watches, networks, marks', async () => {
  const ness = calls.get('placeManager')!
  const owner = calls.get('owner')!
  const mentions = async (call: Caller) =>
    (await call<{ id: number; mentions: number }[]>('GET', '/api/watches')).body.find(
      ({ id }) => id === things.hidden.watch,
    )!.mentions
  expect([await mentions(owner), await mentions(ness)]).toEqual([2, 1])
  const lantern = async (call: Caller) =>
    (await call<{ network: string; connectedProfiles: number }[]>('GET', '/api/networks')).body.find(
      ({ network }) => network === 'lanternpage',
    )!.connectedProfiles
  expect([await lantern(owner), await lantern(ness)]).toEqual([2, 1])
  const onTopic = async (call: Caller) =>
    (
      await call<{ onTopic: { n: number } | null }>(
        'GET',
        `/api/watches/figures?unit=entries&time=all&watch=${things.hidden.watch}`,
      )
    ).body.onTopic
  expect([(await onTopic(owner)) !== null, await onTopic(ness)]).toEqual([true, null])
})

test('addresses of feeds and of people are known to those who may change the alert', async () => {
  const alerts = async (who: Who) =>
    (await calls.get(who)!<{ id: number; atom: string | null; emails: string[] }[]>('GET', '/api/alerts'))
      .body
  expect((await alerts('reader')).every(({ atom, emails }) => atom === null && !emails.length)).toBe(true)
  expect((await alerts('placeManager')).map(({ id, atom }) => [id, atom])).toEqual([[things.own.alert, null]])
  expect((await alerts('lead')).some(({ atom, emails }) => atom && emails.length)).toBe(true)
})

test('a thread is given only to somebody who can see it', async () => {
  const owner = calls.get('owner')!
  const give = (thread: number, to: number) => owner<Problem>('PUT', `/api/threads/${thread}/given`, { to })
  expect((await give(things.hidden.thread, things.own.colleague)).body.fields?.[0]).toMatchObject({
    field: 'to',
    code: 'cannotSee',
  })
  expect((await give(things.own.thread, things.own.colleague)).status).toBe(200)
  expect((await give(things.own.thread, things.other.colleague)).status).toBe(404)
})

test('live events carry only threads one may see, and end with the session', async () => {
  const { publicAddress } = world.config
  const ness = await world.signIn('ness')
  const heard: string[] = []
  const stream = await fetch(`${publicAddress}/api/live`, { headers: { cookie: ness.cookie } })
  const reading = (async () => {
    const decoder = new TextDecoder()
    for await (const chunk of stream.body!) heard.push(decoder.decode(chunk as Uint8Array))
    return 'ended'
  })()
  const { live } = world.server.context
  await live.tell(1, { kind: 'thread', threads: [things.hidden.thread] })
  await live.tell(1, { kind: 'entries', threads: [things.hidden.thread, things.own.thread], count: 2 })
  await until(() => heard.join('').includes('"entries"'))
  const events = heard
    .join('')
    .split('\n')
    .filter((line) => line.startsWith('data: '))
    .map((line) => JSON.parse(line.slice(6)) as unknown)
  expect(events).toEqual([{ kind: 'entries', threads: [things.own.thread], count: 1 }])
  expect((await ness('DELETE', '/api/session')).status).toBe(204)
  expect(
    await Promise.race([reading, new Promise((resolve) => setTimeout(() => resolve('still open'), 5000))]),
  ).toBe('ended')
})

test('the owner of another brand sees nothing of this one', async () => {
  for (const name of names) {
    const kind = thingOf[name]
    if (!kind) continue
    expect([name, (await ask(stranger, name, things.own)).status]).toEqual([name, 404])
  }
})
