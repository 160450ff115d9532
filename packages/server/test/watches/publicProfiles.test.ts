import { afterAll, beforeAll, expect, test } from 'vitest'
import type { Problem, PublicProfile, RivalsAnswer, WatchAnswer } from '@murrabel/contract'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const day = 86_400_000
const now = Date.now()
const iso = (days: number) => new Date(now - days * day).toISOString()

let world: TestWorld
let call: Caller
let watch: WatchAnswer

beforeAll(async () => {
  world = await startTestWorld()
  call = await world.signIn('wynn')
  const group = (await call<{ id: number }>('POST', '/api/groups', { name: 'Rivals', kind: 'rivals' })).body
  watch = (
    await call<WatchAnswer>('POST', '/api/watches', {
      name: 'Bluefathom Line',
      query: { anyOf: [{ text: 'bluefathom' }] },
      groupId: group.id,
    })
  ).body
  const { state: pages } = world.lanternpage
  pages.add({ op: 'page', id: 'bluefathom', name: 'Bluefathom Line', others: true })
  for (const [days, followers] of [
    [70, 900],
    [40, 1000],
    [2, 1100],
  ] as const)
    pages.add({ op: 'audience', page: 'bluefathom', day: iso(days).slice(0, 10), followers })
  // More posts than a page of the list holds, of which ten lie in the time asked for.
  for (let i = 0; i < 250; i++)
    pages.add({
      op: 'note',
      id: `b${i}`,
      page: 'bluefathom',
      author: { id: 'bluefathom', name: 'Bluefathom Line', handle: 'bluefathom' },
      content: 'Calm seas.',
      published: iso(i < 10 ? 1 + i : 60 + i / 10),
    })
  const { state: listings } = world.wherabout
  listings.add({
    op: 'business',
    id: 'bluefathom',
    name: 'Bluefathom Line, Port Ellery',
    street: 'Quay',
    town: 'Port Ellery',
    phone: '',
    others: true,
  })
  const ratings = [...Array.from({ length: 30 }, () => 5), ...Array.from({ length: 10 }, () => 3)]
  ratings.forEach((rating, i) =>
    listings.add({
      op: 'review',
      id: `r${i}`,
      business: 'bluefathom',
      author: { id: 'a', name: 'A' },
      rating,
      text: '',
      created: iso(5),
    }),
  )
  listings.add({
    op: 'review',
    id: 'old',
    business: 'bluefathom',
    author: { id: 'a', name: 'A' },
    rating: 1,
    text: '',
    created: iso(200),
  })
}, 150_000)
afterAll(() => world.stop())

const add = <T>(address: string, watchId = watch.id) =>
  call<T>('POST', '/api/public-profiles', { address, watchId })
const sides = async (time = 'last-28') =>
  (await call<RivalsAnswer>('GET', `/api/watches/rivals?unit=entries&time=${time}`)).body.sides

test('what others run is not offered for connecting', async () => {
  world.wherabout.state.add({
    op: 'business',
    id: 'dunmarrow',
    name: 'Skerrivane Ferries, Dunmarrow',
    street: 'Harbour Road 12',
    town: 'Dunmarrow',
    phone: '',
  })
  await world.connect(call, 'wherabout')
  const { body } = await call<{ name: string }[]>('GET', '/api/profiles')
  expect(body.map(({ name }) => name)).toEqual(['Skerrivane Ferries, Dunmarrow'])
})

test('the public profiles of a rival tell ratings, followers and posts of the time asked for', async () => {
  const page = await add<PublicProfile>(`${world.lanternpage.address}/pages/bluefathom`)
  expect(page.body).toMatchObject({ name: 'Bluefathom Line', network: 'lanternpage', problem: null })
  expect((await add(`${world.wherabout.address}/businesses/bluefathom`)).status).toBe(200)
  const [rival] = (await sides()).filter(({ ours }) => !ours)
  expect(rival).toMatchObject({
    watchId: watch.id,
    stars: [0, 0, 10, 0, 30],
    followers: 1100,
    posts: 10,
  })
  expect(rival!.rating).toMatchObject({ mean: 4.5, n: 40 })
  expect(rival!.growth).toBeCloseTo(0.1, 10)
  expect(rival!.growthBefore).toBeCloseTo(1000 / 900 - 1, 10)
  const [ever] = (await sides('last-300')).filter(({ ours }) => !ours)
  expect(ever!.stars).toEqual([1, 0, 10, 0, 30])
  expect(ever!.posts).toBe(250)
})

test.each([
  ['not an address', 'no address on'],
  ['http://10.0.0.1/pages/bluefathom', 'no address on'],
  ['/pages/nobody', 'failed: 404'],
  ['/pages/bluefathom', 'already'],
])('%s is refused with its reason', async (path, reason) => {
  const { status, body } = await add<Problem>(path.startsWith('/') ? world.lanternpage.address + path : path)
  expect(status).toBe(422)
  expect(body.fields?.[0]?.message).toContain(reason)
})

test('a specialist may add, a reader may not; one that is removed is seen no more', async () => {
  const reader = await world.signIn('rowan')
  expect(
    (await reader('POST', '/api/public-profiles', { address: 'http://x.example', watchId: watch.id })).status,
  ).toBe(403)
  for (const side of await sides())
    for (const { id, watchId } of side.profiles)
      expect((await call('DELETE', `/api/public-profiles/${id}`)).status).toBe(watchId === null ? 404 : 204)
  expect((await sides()).filter(({ ours }) => !ours)).toEqual([])
})
