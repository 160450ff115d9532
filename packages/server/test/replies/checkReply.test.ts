import { afterAll, beforeAll, expect, test } from 'vitest'
import type { ReplyDoubt } from '@murrabel/core/replies'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let tamsin: Caller
let thread: number
let before: number

beforeAll(async () => {
  world = await startTestWorld()
  tamsin = await world.signIn('tamsin')
  const { db } = world.server.context
  const profile = (await db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token)
     VALUES (1, 'pages', 'lanternpage', 'x', 'x', 'expired', 'x')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
  const say = async (threadId: string, direction: 'in' | 'out', text: string, minutesAgo: number) => {
    await ingest(world.server.context, profile, [
      {
        outsideId: `${threadId}/${minutesAgo}`,
        threadId,
        kind: 'comment',
        direction,
        author: direction === 'in' ? { outsideId: 'a', name: 'Odile Marchetaux' } : undefined,
        text,
        at: Date.now() - minutesAgo * 60_000,
        raw: {},
      } as never,
    ])
    await settled(world)
    return (await db.one<{ id: number }>('SELECT id FROM threads WHERE outside_id = $1', [threadId]))!.id
  }
  before = await say('t1', 'in', 'Le bateau était en retard dimanche, sans un mot.', 900)
  await say(
    't1',
    'out',
    'Bonjour Odile, nous sommes désolés du retard de dimanche et vous remercions de nous le dire.',
    800,
  )
  thread = await say('t2', 'in', 'Peut-on monter à bord avec deux chiens en janvier ? Quel est le prix ?', 60)
}, 150_000)
afterAll(() => world.stop())

const check = async (text: string, { id = thread, ...more }: { id?: number; public?: boolean } = {}) =>
  (await tamsin<ReplyDoubt[]>('POST', `/api/threads/${id}/replies/check`, { text, public: true, ...more }))
    .body

test('holds an answer against what is known of the thread and of the person', async () => {
  expect(await check('Bonjour Odile, les deux chiens voyagent gratuitement, prix compris.')).toEqual([])
  expect(
    (await check('Dear Perrin, we refund you £80 for booking SK2592, see {page} and do write again.')).map(
      ({ kind }) => kind,
    ),
  ).toEqual(['name', 'personal', 'gap', 'language', 'money', 'question', 'question'])
  expect(
    (
      await check(
        'Bonjour Odile, nous sommes désolés du retard de dimanche et vous remercions de nous le dire. Les chiens : oui, prix 0.',
      )
    ).map(({ kind }) => kind),
  ).toEqual([])
  const same = 'Bonjour Odile, nous sommes désolés du retard de dimanche et vous remercions de nous le dire.'
  expect((await check(same)).map(({ kind }) => kind)).toContain('repeated')
  // What was answered already is asked no more.
  expect((await check('Merci encore, à bientôt à bord.', { id: before })).map(({ kind }) => kind)).toEqual([])
})

test('the limit of promises is the brand’s', async () => {
  const promise = 'Bonjour Odile, nous remboursons 80 euros, les chiens voyagent, prix compris.'
  const limit = async (promiseLimit: number | null) => {
    await world.server.context.db.rows('UPDATE brands SET promise_limit = $1 WHERE id = 1', [promiseLimit])
    return (await check(promise)).map(({ kind }) => kind)
  }
  expect(await limit(50)).toEqual(['money'])
  expect(await limit(80)).toEqual([])
  expect(await limit(null)).toEqual([])
})

test('whoever may not answer, or may not see the thread, is refused', async () => {
  const rowan = await world.signIn('rowan')
  const path = `/api/threads/${thread}/replies/check`
  expect((await rowan('POST', path, { text: 'x' })).status).toBe(403)
  expect((await tamsin('POST', '/api/threads/999999/replies/check', { text: 'x' })).status).toBe(404)
  expect((await tamsin('POST', path, { text: ' ' })).status).toBe(422)
})
