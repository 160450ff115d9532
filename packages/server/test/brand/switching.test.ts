import { afterAll, beforeAll, expect, test } from 'vitest'
import type { BrandAnswer, PeopleAnswer, ThreadAnswer } from '@murrabel/contract'
import { twoBrands, type TwoBrands } from '../support/twoBrands.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let things: TwoBrands
let both: Caller
let stranger: Caller

beforeAll(async () => {
  world = await startTestWorld()
  things = await twoBrands(world)
  both = await world.signIn('ivo' as never)
  stranger = await world.signIn('bryn' as never)
  const { db } = world.server.context
  // Ivo works on the other brand as well, as somebody who looks.
  await db.rows(
    `INSERT INTO memberships (colleague_id, brand_id, role)
     SELECT c.id, m.brand_id, 'reader' FROM colleagues c, memberships m JOIN colleagues b ON b.id = m.colleague_id
     WHERE c.email LIKE 'ivo@%' AND b.email LIKE 'bryn@%'`,
  )
}, 120_000)
afterAll(() => world.stop())

test('whoever works on two brands goes over and back; each shows its own and nothing of the other', async () => {
  const { body: first } = await both<BrandAnswer>('GET', '/api/brand')
  const other = first.brands.find(({ name }) => name.startsWith('Orrin Sound Kayaks'))!
  expect(first.brand.id).not.toBe(other.id)
  const thread = async (id: number) => (await both<ThreadAnswer>('GET', `/api/threads/${id}`)).status
  expect([await thread(things.own.thread), await thread(things.other.thread)]).toEqual([200, 404])
  const people = async () => (await both<PeopleAnswer>('GET', '/api/people')).body.rows.map(({ id }) => id)
  const before = await people()
  expect((await both('PUT', '/api/session/brand', { brandId: other.id })).status).toBe(204)
  const { body: second } = await both<BrandAnswer>('GET', '/api/brand')
  expect(second).toMatchObject({ brand: other, me: { role: 'reader' } })
  expect([await thread(things.own.thread), await thread(things.other.thread)]).toEqual([404, 200])
  expect((await people()).filter((id) => before.includes(id))).toEqual([])
  // The role is that of this brand.
  expect((await both('POST', `/api/people`, { name: 'x' })).status).toBe(403)
  await both('PUT', '/api/session/brand', { brandId: first.brand.id })
  expect((await both<BrandAnswer>('GET', '/api/brand')).body.me.role).toBe('lead')
})

test('nobody goes over to a brand they do not work on', async () => {
  const { body } = await stranger<BrandAnswer>('GET', '/api/brand')
  expect(body.brands).toEqual([{ id: body.brand.id, name: body.brand.name }])
  expect((await stranger('PUT', '/api/session/brand', { brandId: 1 })).status).toBe(404)
  expect((await stranger<BrandAnswer>('GET', '/api/brand')).body.brand.id).toBe(body.brand.id)
})
