import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { Database } from '@murrabel/server'
import { totalsApart } from '../support/totals.ts'
import { startTestWorld, type TestWorld } from '../support/world.ts'

let world: TestWorld
let db: Database
const accounts = [1, 2, 3, 4, 5]
beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
  db = world.server.context.db
  await db.rows(
    `WITH f AS (INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token)
       VALUES (1, 'posts', 'skimmer', 'x', 'x', 'connected', 'x') RETURNING id),
     t AS (INSERT INTO threads (brand_id, profile_id, outside_id) SELECT 1, id, 'x' FROM f RETURNING id),
     p AS (INSERT INTO people (id, brand_id, shown_as, name) SELECT n, 1, n, 'P' || n FROM generate_series(1, 5) n)
     INSERT INTO accounts (id, brand_id, network, outside_id, name, handle, person_id, shown_as)
     SELECT n, 1, 'skimmer', 'a' || n, 'A' || n, 'a' || n, n, n FROM generate_series(1, 5) n`,
  )
}, 60_000)
afterAll(() => world.stop())

const someone = fc.constantFrom(...accounts)
const sentiment = fc.constantFrom('positive', 'neutral', 'negative', 'unread')
/** What may happen to entries and accounts, each as one statement over several rows. */
const step = fc.oneof(
  fc.record({ do: fc.constant('say' as const), who: someone, n: fc.integer({ min: 1, max: 4 }), sentiment }),
  fc.record({ do: fc.constant('read' as const), who: someone, sentiment }),
  fc.record({ do: fc.constant('date' as const), who: someone, hours: fc.integer({ min: -50, max: 50 }) }),
  fc.record({ do: fc.constant('move' as const), who: someone, to: someone }),
  fc.record({ do: fc.constant('turn' as const), who: someone, sentiment }),
  fc.record({ do: fc.constant('gone' as const), who: someone }),
  fc.record({ do: fc.constant('join' as const), who: someone, to: someone }),
  fc.record({ do: fc.constant('visit' as const), who: someone, n: fc.integer({ min: 1, max: 3 }) }),
  fc.record({
    do: fc.constant('reschedule' as const),
    who: someone,
    hours: fc.integer({ min: -50, max: 50 }),
  }),
  fc.record({ do: fc.constant('unvisit' as const), who: someone }),
  fc.record({ do: fc.constant('pass' as const), who: someone, to: someone }),
  fc.record({ do: fc.constant('zone' as const), zone: fc.constantFrom('Europe/London', 'Pacific/Chatham') }),
)
/** What several may do at once. */
const together = step.filter((each) => !['move', 'zone', 'pass', 'reschedule', 'unvisit'].includes(each.do))
type Step = typeof step extends fc.Arbitrary<infer S> ? S : never

async function apply(each: Step): Promise<void> {
  const half = 'account_id = $1 AND id % 2 = 0'
  if (each.do === 'say')
    await db.rows(
      `INSERT INTO entries (brand_id, profile_id, thread_id, account_id, direction, kind, channel, text, at, sentiment)
       SELECT 1, (SELECT max(id) FROM profiles), (SELECT max(id) FROM threads), $1::bigint, CASE WHEN n = 4 THEN 'out' ELSE 'in' END, 'comment', 'posts', 'x',
         now() - n * interval '1 hour', $3::text FROM generate_series(1, $2::int) n`,
      [each.who, each.n, each.sentiment],
    )
  if (each.do === 'read')
    await db.rows(`UPDATE entries SET sentiment = $2 WHERE ${half}`, [each.who, each.sentiment])
  if (each.do === 'date')
    await db.rows(`UPDATE entries SET at = at + $2 * interval '1 hour' WHERE ${half}`, [each.who, each.hours])
  if (each.do === 'move')
    await db.rows(`UPDATE entries SET account_id = $2 WHERE ${half}`, [each.who, each.to])
  // All at once: whose it is, which way it went, and how it felt.
  if (each.do === 'turn')
    await db.rows(
      `UPDATE entries SET direction = CASE direction WHEN 'in' THEN 'out' ELSE 'in' END, sentiment = $2 WHERE ${half}`,
      [each.who, each.sentiment],
    )
  if (each.do === 'gone') await db.rows(`DELETE FROM entries WHERE ${half}`, [each.who])
  const visit = 'shown_as = $1 AND id % 2 = 0'
  if (each.do === 'visit')
    await db.rows(
      `INSERT INTO visits (brand_id, person_id, shown_as, at, state, source, told_at)
       SELECT 1, $1, $1, now() - n * interval '30 hours', 'done', 'hand', now() FROM generate_series(1, $2::int) n`,
      [each.who, each.n],
    )
  if (each.do === 'reschedule')
    await db.rows(`UPDATE visits SET at = at + $2 * interval '1 hour' WHERE ${visit}`, [each.who, each.hours])
  if (each.do === 'unvisit') await db.rows(`DELETE FROM visits WHERE ${visit}`, [each.who])
  if (each.do === 'pass') await db.rows(`UPDATE visits SET shown_as = $2 WHERE ${visit}`, [each.who, each.to])
  if (each.do === 'zone') await db.rows('UPDATE brands SET zone = $1 WHERE id = 1', [each.zone])
  // As joining does it.
  if (each.do === 'join')
    await db.inTransaction(async (tx) => {
      await db.rows('SELECT 1 FROM accounts WHERE id = $1 FOR UPDATE', [each.who], tx)
      await db.rows('UPDATE accounts SET shown_as = $2 WHERE id = $1', [each.who, each.to], tx)
    })
}

test('what is kept of each person is what a count of their entries gives, whatever happens', async () => {
  let said = 0
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 12 }), async (steps) => {
      for (const each of steps) {
        await apply(each)
        expect(await totalsApart(db)).toEqual([])
      }
      said += (await db.one<{ n: number }>('SELECT count(*)::int AS n FROM person_totals'))!.n
    }),
    { numRuns: 60 },
  )
  expect(said).toBeGreaterThan(100)
  for (let round = 0; round < 40; round++) {
    const steps = fc.sample(together, 8)
    await Promise.all(steps.map(apply))
    expect(await totalsApart(db), JSON.stringify(steps)).toEqual([])
  }
  await db.rows('DELETE FROM accounts WHERE id IN (1, 2)')
  expect(await totalsApart(db)).toEqual([])
}, 120_000)
