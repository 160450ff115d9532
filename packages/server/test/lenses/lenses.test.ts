import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage, KeptLens, LensCounts, Problem } from '@murrabel/contract'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let tamsin: Caller
let reader: Caller

beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
  ;[owner, tamsin, reader] = (await Promise.all(
    (['wynn', 'tamsin', 'rowan'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller, Caller]
  const { db, now } = world.server.context
  await db.rows(
    `INSERT INTO profiles (id, brand_id, place_id, channel, network, outside_id, name, status, hook_token)
     VALUES (900, 1, 1, 'pages', 'lanternpage', 'x', 'x', 'expired', 'x')`,
  )
  // Six threads: question, review, question and so on; the first two past due, two due within the hour, two next week.
  await db.rows(
    `WITH t AS (
       INSERT INTO threads (brand_id, profile_id, place_id, outside_id, state, due_at, given_to)
       SELECT 1, 900, 1, 't' || n, 'open', $1::timestamptz + (ARRAY[-3600, -1800, 1200, 2400, 600000, 600000])[n] * interval '1 second', NULL
       FROM generate_series(1, 6) n RETURNING id, outside_id
     ), e AS (
       INSERT INTO entries (brand_id, profile_id, thread_id, place_id, outside_id, direction, kind, channel, text, at, lead, origin)
       SELECT 1, 900, id, 1, outside_id, 'in', CASE WHEN id % 2 = 0 THEN 'review' ELSE 'question' END, 'pages', 'x', now() - interval '1 day', true, 'sent'
       FROM t RETURNING id, thread_id
     )
     SELECT 1`,
    [new Date(now())],
  )
  await db.rows('UPDATE threads t SET lead_entry_id = e.id FROM entries e WHERE e.thread_id = t.id')
}, 150_000)
afterAll(() => world.stop())

const keep = (call: Caller, draft: object) => call<KeptLens & Problem>('POST', '/api/lenses', draft)
const lensesOf = async (call: Caller) => (await call<KeptLens[]>('GET', '/api/lenses')).body
const countsOf = async (call: Caller) => (await call<LensCounts>('GET', '/api/lenses/counts')).body

test('one keeps lenses for oneself and for the team, and each has their own order', async () => {
  const mine = (await keep(tamsin, { name: ' Questions ', lens: 'state=open&kind=question' })).body
  expect(mine).toMatchObject({
    name: 'Questions',
    team: false,
    by: 'Tamsin Kerr',
    changeable: true,
    edition: 1,
  })
  const ours = (await keep(tamsin, { name: 'Reviews', lens: 'state=open&kind=review', team: true })).body
  expect((await lensesOf(tamsin)).map(({ name }) => name)).toEqual(['Questions', 'Reviews'])
  expect((await lensesOf(owner)).map(({ name }) => name)).toEqual(['Reviews'])
  const [seen] = await lensesOf(reader)
  expect(seen).toMatchObject({ name: 'Reviews', changeable: false })
  const order = await tamsin<KeptLens[]>('PUT', '/api/lenses/order', { ids: [ours.id, mine.id, 999_999] })
  expect(order.body.map(({ name }) => name)).toEqual(['Reviews', 'Questions'])
  const later = (await keep(tamsin, { name: 'Later', lens: 'state=aside' })).body
  expect((await lensesOf(tamsin)).map(({ name }) => name)).toEqual(['Reviews', 'Questions', 'Later'])
  await tamsin('DELETE', `/api/lenses/${later.id}`)
})

test('nobody changes what is somebody else’s, or the team’s without the right to', async () => {
  const [ours, mine] = await lensesOf(tamsin)
  for (const call of [owner, reader]) {
    expect((await call('PUT', `/api/lenses/${mine!.id}`, { name: 'x', lens: '' })).status).toBe(404)
    expect((await call('DELETE', `/api/lenses/${mine!.id}`)).status).toBe(404)
  }
  expect((await keep(reader, { name: 'x', lens: '', team: true })).body.code).toBe('notAllowed')
  expect((await reader<Problem>('DELETE', `/api/lenses/${ours!.id}`)).body.code).toBe('notAllowed')
  const own = (await keep(reader, { name: 'x', lens: '' })).body
  expect(
    (await reader<Problem>('PUT', `/api/lenses/${own.id}`, { name: 'x', lens: '', team: true })).body.code,
  ).toBe('notAllowed')
  await reader('DELETE', `/api/lenses/${own.id}`)
  // Two who change one at once.
  const renamed = await owner<KeptLens>('PUT', `/api/lenses/${ours!.id}`, { ...ours, name: 'All reviews' })
  expect(renamed.body).toMatchObject({ name: 'All reviews', edition: 2 })
  expect((await tamsin<Problem>('PUT', `/api/lenses/${ours!.id}`, ours)).body.code).toBe('changedMeanwhile')
})

test('what cannot be a lens is refused, and says why', async () => {
  const codes = async (draft: object) => {
    const { body } = await keep(tamsin, draft)
    return [body.code, body.fields?.map(({ field }) => field)]
  }
  expect(await codes({ name: '', lens: '' })).toEqual(['invalid', ['name']])
  expect(await codes({ name: 'x', lens: 'state=asleep' })).toEqual(['lensUnknown', ['state']])
  expect(await codes({ name: 'x', lens: 'caught=none' })).toEqual(['invalid', ['lens']])
  const { db } = world.server.context
  await db.rows(
    `INSERT INTO kept_lenses (brand_id, colleague_id, name, lens)
     SELECT 1, id, 'n', 'state=done' FROM colleagues CROSS JOIN generate_series(1, 99) WHERE name = 'Tamsin Kerr'`,
  )
  expect((await codes({ name: 'x', lens: '' }))[0]).toBe('manyLenses')
  await db.rows(`DELETE FROM kept_lenses WHERE name = 'n'`)
})

test('counts of open work add up, past due and due today as well; what no lens shows can be listed', async () => {
  const [ours] = await lensesOf(tamsin)
  const soon = (await keep(tamsin, { name: 'Reviews, again', lens: 'state=open&origin=sent&kind=review' }))
    .body
  const done = (await keep(tamsin, { name: 'Any', lens: 'kind=review' })).body
  const { db } = world.server.context
  await db.rows(`UPDATE threads SET state = 'done' WHERE outside_id = 't6'`)
  const counts = await countsOf(tamsin)
  const reviews = { count: expect.any(Number), pastDue: 1 }
  const of = (id: number) => counts.lenses.find((each) => each.id === id)!
  expect(of(ours!.id).open).toMatchObject(reviews)
  expect(of(soon.id)).toEqual({ id: soon.id, shown: of(ours!.id).open.count, open: of(ours!.id).open })
  // A lens that asks for more than open threads says so.
  expect(of(done.id).shown).toBe(3)
  expect(counts.whole).toMatchObject({ count: 5, pastDue: 2 })
  for (const key of ['count', 'pastDue', 'dueToday'] as const)
    expect(
      counts.lenses.reduce((sum, { open }) => sum + open[key], 0) - counts.again[key] + counts.none[key],
    ).toBe(counts.whole[key])
  expect(counts.again.pastDue).toBe(2)
  expect(counts.none.count).toBe(0)
  for (const { id } of await lensesOf(tamsin))
    if (id !== ours!.id) await tamsin('DELETE', `/api/lenses/${id}`)
  const left = await countsOf(tamsin)
  expect(left.again.count).toBe(0)
  const query = '/api/entries?unit=threads&state=open&origin=sent,watched&caught=none&order=pressing'
  const page = (await tamsin<EntryPage>('GET', query)).body
  expect(page.rows).toHaveLength(left.none.count)
  expect(page.rows.every(({ kind }) => kind === 'question')).toBe(true)
  // Somebody else keeps other lenses: they see the same here, for the lens is the team's.
  expect((await owner<EntryPage>('GET', query)).body.rows).toHaveLength(left.none.count)
  await owner('DELETE', `/api/lenses/${ours!.id}`)
  expect((await tamsin<EntryPage>('GET', query)).body.rows).toHaveLength(left.whole.count)
})
