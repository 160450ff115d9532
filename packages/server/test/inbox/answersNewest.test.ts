import { afterAll, beforeAll, expect, test } from 'vitest'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { entryToAnswer } from '../../src/store/queries/actions/reply.ts'
import { startTestWorld, type TestWorld } from '../support/world.ts'

let world: TestWorld
beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
})
afterAll(() => world.stop())

test('an answer goes to what was said last, also in the moment before that is read', async () => {
  const { context } = world.server
  const profile = (await context.db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token)
     VALUES (1, 'photos', 'framelet', 'x', 'x', 'connected', 'x')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
  const say = (outsideId: string, minutesAgo: number) =>
    ingest(context, profile, [
      {
        outsideId,
        threadId: 'conversation/1',
        kind: 'message',
        direction: 'in',
        author: { outsideId: 'a', name: 'Hester Quill' },
        text: outsideId,
        at: Date.now() - minutesAgo * 60_000,
        raw: {},
      },
    ])
  await say('first', 9)
  const { id } = (await context.db.one<{ id: number }>('SELECT id FROM threads'))!
  await context.db.rows('UPDATE threads SET lead_entry_id = (SELECT id FROM entries)')
  await say('second', 3)
  expect(await entryToAnswer(context.db, id)).toMatchObject({ outsideEntry: 'second' })
})
