import { afterAll, beforeAll, expect, test } from 'vitest'
import type { BrandAnswer, CountAnswer, EntryPage, Problem, TagChangeAnswer } from '@murrabel/contract'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let call: Caller
let rows: EntryPage['rows']

beforeAll(async () => {
  world = await startTestWorld()
  call = await world.signIn('wynn')
  for (const [id, name] of [
    ['dunmarrow', 'Dunmarrow'],
    ['port-ellery', 'Port Ellery'],
  ] as const) {
    world.wherabout.state.add({
      op: 'business',
      id,
      name: `Skerrivane Ferries, ${name}`,
      street: '',
      town: name,
      phone: '',
    })
    for (const text of id === 'dunmarrow' ? ['Cold soup'] : ['Warm crew', 'Late boat'])
      await fetch(`${world.wherabout.address}/businesses/${id}`, {
        method: 'POST',
        body: new URLSearchParams({ name: 'A guest', rating: '3', text }),
        redirect: 'manual',
      })
  }
  await world.connect(call, 'wherabout')
  await settled(world)
  rows = (await call<EntryPage>('GET', '/api/entries?unit=entries&limit=3')).body.rows
}, 150_000)
afterAll(() => world.stop())

const tag = (body: { threads: number[]; add?: string[]; remove?: number[] }, who = call) =>
  who<TagChangeAnswer & Problem>('PUT', '/api/threads/tags', body)
const count = async (query: string) =>
  (await call<CountAnswer>('GET', `/api/entries/count?unit=entries&${query}`)).body.count
const tags = async () => (await call<BrandAnswer>('GET', '/api/brand')).body.tags

test('tags are put on many threads, found again by the lens, and taken off again', async () => {
  const threads = rows.slice(0, 2).map((row) => row.threadId)
  const { body } = await tag({ threads, add: ['Galley', 'winter'] })
  expect(body.tags.map(({ name }) => name)).toEqual(['Galley', 'winter'])
  const galley = body.tags[0]!.id
  expect(body.changed.map(({ added }) => added.length)).toEqual([2, 2])
  expect(await count(`tag=${galley}`)).toBe(2)
  const page = await call<EntryPage>('GET', `/api/entries?unit=entries&tag=${galley}`)
  expect(page.body.rows.map((row) => row.tags)).toEqual([
    body.tags.map(({ id }) => id).sort((a, b) => a - b),
    body.tags.map(({ id }) => id).sort((a, b) => a - b),
  ])
  // The same word with other capitals is the same tag; what bears it already does not change.
  expect((await tag({ threads, add: ['GALLEY'] })).body.changed).toEqual([])
  await tag({ threads: threads.slice(0, 1), remove: [galley] })
  expect(await count(`tag=${galley}`)).toBe(1)
  await tag({ threads, remove: body.tags.map(({ id }) => id) })
  expect(await tags()).toEqual([])
})

test('a tag without a name, and one too long, are refused; the reader’s role may not tag', async () => {
  const threads = [rows[0]!.threadId]
  expect((await tag({ threads, add: [' '] })).status).toBe(422)
  expect((await tag({ threads, add: ['x'.repeat(41)] })).status).toBe(422)
  expect((await tag({ threads, add: ['x'] }, await world.signIn('rowan'))).status).toBe(403)
})

test('a place manager tags at the own place only', async () => {
  const ness = await world.signIn('ness')
  const { body } = await tag({ threads: rows.map((row) => row.threadId), add: ['ours'] }, ness)
  const seen = await ness<CountAnswer>('GET', '/api/entries/count?unit=entries')
  expect(body.changed).toHaveLength(seen.body.count)
  expect(seen.body.count).toBeLessThan(rows.length)
})

test('mentions are kept and let go; doing it twice changes nothing', async () => {
  const ids = rows.slice(0, 2).map((row) => row.id)
  const keep = (kept: boolean, some = ids) =>
    call<{ changed: number[] }>('PUT', '/api/entries/kept', { ids: some, kept })
  expect((await keep(true)).body.changed.sort()).toEqual([...ids].sort())
  expect((await keep(true)).body.changed).toEqual([])
  expect(await count('kept=yes')).toBe(2)
  expect((await keep(false, ids.slice(0, 1))).body.changed).toEqual(ids.slice(0, 1))
  expect(await count('kept=yes')).toBe(1)
})
