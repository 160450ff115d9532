import { afterAll, beforeAll, expect, test } from 'vitest'
import type { ThreadAnswer } from '@murrabel/contract'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let tamsin: Caller
let profile: IngestProfile
const hour = 3_600_000
beforeAll(async () => {
  world = await startTestWorld()
  tamsin = await world.signIn('tamsin')
  profile = (await world.server.context.db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token, connected_at)
     VALUES (1, 'photos', 'framelet', 'x', 'x', 'expired', 'x', now() - interval '90 days')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
}, 150_000)
afterAll(() => world.stop())

async function say(thread: string, text: string, hoursAgo: number): Promise<number> {
  await ingest(world.server.context, profile, [
    {
      outsideId: `${thread}/${hoursAgo}`,
      threadId: thread,
      kind: 'message',
      direction: 'in',
      author: { outsideId: 'a', name: 'Hester Quill' },
      text,
      at: Date.now() - hoursAgo * hour,
      raw: {},
    },
  ])
  await settled(world)
  return (await world.server.context.db.one<{ id: number }>('SELECT id FROM threads WHERE outside_id = $1', [
    thread,
  ]))!.id
}
const look = async (id: number) => (await tamsin<ThreadAnswer>('GET', `/api/threads/${id}`)).body

test('what was finished without an answer is not waited for once they write again', async () => {
  const id = await say('thanks', 'Thank you, lovely crossing!', 700)
  await tamsin('POST', `/api/threads/${id}/events`, { kind: 'finish' })
  await say('thanks', 'When does the first boat leave on Sunday?', 0.2)
  const { state, dueAt } = await look(id)
  expect(state).toBe('open')
  expect(new Date(dueAt!).getTime()).toBeGreaterThan(Date.now() - hour)
  await say('thanks', 'And the last one?', 0.1)
  expect((await look(id)).dueAt).toBe(dueAt)
})

test('what was not finished is waited for since its beginning, also where somebody opens it again', async () => {
  const id = await say('slow', 'Where is my bag?', 300)
  await say('slow', 'Hello?', 200)
  const before = (await look(id)).dueAt!
  expect(new Date(before).getTime()).toBeLessThan(Date.now() - 200 * hour)
  await tamsin('POST', `/api/threads/${id}/events`, { kind: 'finish' })
  await tamsin('POST', `/api/threads/${id}/events`, { kind: 'reopen' })
  await say('slow', 'Is anybody there?', 1)
  expect((await look(id)).dueAt).toBe(before)
})
