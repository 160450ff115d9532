import { afterAll, beforeAll, expect, test } from 'vitest'
import type { ManyChangeAnswer, ManyUndoAnswer, Problem, ThreadAnswer } from '@murrabel/contract'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let tamsin: Caller
let ness: Caller
let profile: IngestProfile
let threads: number[]
const n = 60

const say = (from: number, count: number, more: (i: number) => object = () => ({})) =>
  ingest(
    world.server.context,
    profile,
    Array.from({ length: count }, (_, i) => ({
      outsideId: `${from + i}/${JSON.stringify(more(i)).length}`,
      threadId: `t${from + i}`,
      kind: 'message' as const,
      direction: 'in' as const,
      author: { outsideId: `a${from + i}`, name: `Author ${from + i}` },
      text: 'Where is my bag?',
      at: Date.now() - 60_000,
      raw: {},
      ...more(i),
    })),
  )
beforeAll(async () => {
  world = await startTestWorld()
  ;[tamsin, ness] = (await Promise.all((['tamsin', 'ness'] as const).map((who) => world.signIn(who)))) as [
    Caller,
    Caller,
  ]
  const { db } = world.server.context
  profile = (await db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token)
     VALUES (1, 'photos', 'framelet', 'x', 'x', 'connected', 'x')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
  await say(0, n)
  // A thread is acted on once it is shown, and shown once it is read.
  await settled(world)
  threads = (await db.rows<{ id: number }>('SELECT id FROM threads ORDER BY id')).map(({ id }) => id)
}, 150_000)
afterAll(() => world.stop())

const states = async () => {
  const rows = await world.server.context.db.rows<{ state: string; n: number }>(
    'SELECT state, count(*)::int AS n FROM threads GROUP BY 1',
  )
  return Object.fromEntries(rows.map((row) => [row.state, row.n]))
}
const change = (call: Caller, body: object) =>
  call<ManyChangeAnswer & Problem>('POST', '/api/threads/changes', body)
const undo = (call: Caller, changes: ManyChangeAnswer['changed']) =>
  call<ManyUndoAnswer>('POST', '/api/threads/undo', { changes })

test('many are finished at once while others come in, and all of it is taken back', async () => {
  const [answer] = await Promise.all([
    change(tamsin, { threads: [...threads, threads[0]], kind: 'finish' }),
    say(n, 20),
    say(n + 20, 20),
  ])
  expect(answer.body.changed.map(({ thread }) => thread).sort((a, b) => a - b)).toEqual(threads)
  expect(await states()).toEqual({ done: n, open: 40 })
  // Finished already: nothing changes, and nothing of it is taken back.
  expect((await change(tamsin, { threads, kind: 'finish' })).body).toEqual({ changed: [], refused: [] })
  const back = await undo(tamsin, answer.body.changed)
  expect(back.body.undone).toHaveLength(n)
  expect(await states()).toEqual({ open: n + 40 })
})

test('what a colleague has done since stays, and is told', async () => {
  const { changed } = (await change(tamsin, { threads: threads.slice(0, 5), kind: 'setAside', until: null }))
    .body
  await tamsin('POST', `/api/threads/${threads[2]}/events`, { kind: 'finish' })
  const { undone, refused } = (await undo(tamsin, changed)).body
  expect(undone).toHaveLength(4)
  expect(refused).toEqual([{ thread: threads[2], code: 'undoTooLate' }])
  expect((await tamsin<ThreadAnswer>('GET', `/api/threads/${threads[2]}`)).body.state).toBe('done')
})

test('what one may not see is passed over and told; a time that is over changes nothing', async () => {
  const { changed, refused } = (await change(ness, { threads: threads.slice(0, 3), kind: 'finish' })).body
  expect([changed, refused.map(({ code }) => code)]).toEqual([[], ['notFound', 'notFound', 'notFound']])
  const past = await change(tamsin, {
    threads: threads.slice(3, 6),
    kind: 'setAside',
    until: '2020-01-01T00:00:00Z',
  })
  expect(past.body.changed).toEqual([])
  expect(past.body.refused.map(({ code }) => code)).toEqual(['invalid', 'invalid', 'invalid'])
  expect((await change(tamsin, { threads: [], kind: 'finish' })).status).toBe(422)
})

test('many are assigned to a colleague, who is told of them', async () => {
  const { db } = world.server.context
  const wynn = (await db.one<{ id: number }>(`SELECT id FROM colleagues WHERE name = 'Wynn Adair'`))!.id
  const { changed } = (await change(tamsin, { threads: threads.slice(10, 20), kind: 'give', to: wynn })).body
  expect(changed).toHaveLength(10)
  expect(
    (await db.one<{ n: number }>('SELECT count(*)::int AS n FROM notices WHERE colleague_id = $1', [wynn]))!
      .n,
  ).toBe(10)
})
