import fc from 'fast-check'
import { DateTime } from 'luxon'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { blankLens, instantsOf, peopleOrders, visitedValues, type Lens } from '@murrabel/core/lens'
import type { Database } from '@murrabel/server'
import type { Reader } from '../../src/access/reader.ts'
import { countPeople } from '../../src/store/queries/people/count.ts'
import { peoplePage, type PeopleRow } from '../../src/store/queries/people/page.ts'
import { shortest } from '../support/shortest.ts'
import { totalsApart } from '../support/totals.ts'
import { until } from '../support/until.ts'
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
}, 150_000)
afterAll(() => world.stop())

const someone = fc.constantFrom(...accounts)
const sentiment = fc.constantFrom('positive', 'neutral', 'negative', 'unread')
const place = fc.constantFrom(null, 1, 2)
const say = fc.record({
  do: fc.constant('say' as const),
  who: someone,
  n: fc.integer({ min: 1, max: 4 }),
  apart: fc.constantFrom(1, 15, 40),
  place,
  sentiment,
})
/** What may happen to entries and accounts, each as one statement over several rows. */
const step = fc.oneof(
  { arbitrary: say, weight: 6 },
  fc.record({ do: fc.constant('shift' as const), who: someone, place }),
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
type FcValue<A> = A extends fc.Arbitrary<infer V> ? V : never
type Step = FcValue<typeof step>

async function apply(each: Step): Promise<void> {
  const half = 'account_id = $1 AND id % 2 = 0'
  if (each.do === 'say')
    await db.rows(
      `INSERT INTO entries (brand_id, profile_id, thread_id, account_id, direction, kind, channel, text, at, sentiment, place_id)
       SELECT 1, (SELECT max(id) FROM profiles), (SELECT max(id) FROM threads), $1::bigint, CASE WHEN n = 4 THEN 'out' ELSE 'in' END, 'comment', 'posts', 'x',
         now() - n * $4 * interval '1 hour', $3::text, CASE WHEN n = 3 THEN 1 ELSE $5::int END FROM generate_series(1, $2::int) n`,
      [each.who, each.n, each.sentiment, each.apart, each.place],
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
  if (each.do === 'shift')
    await db.rows(`UPDATE entries SET place_id = $2 WHERE ${half}`, [each.who, each.place])
  if (each.do === 'gone') await db.rows(`DELETE FROM entries WHERE ${half}`, [each.who])
  const visit = 'shown_as = $1 AND id % 2 = 0'
  if (each.do === 'visit')
    await db.rows(
      `INSERT INTO visits (brand_id, person_id, shown_as, at, state, source, told_at, place_id)
       SELECT 1, $1, $1, now() - n * interval '30 hours', 'done', 'hand', now(), nullif(n % 3, 0) FROM generate_series(1, $2::int) n`,
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

const asked = fc.record({
  range: fc.oneof(
    fc.constant(null),
    fc.constantFrom(1, 2, 4, 7).map((last) => ({ last })),
    // Whole days, and whole hours, from so long ago to so long ago.
    fc.tuple(
      fc.integer({ min: 1, max: 6 }),
      fc.constantFrom(0, 1),
      fc.constantFrom<'days' | 'hours'>('days', 'hours'),
    ),
  ),
  places: fc.constantFrom<number[]>([], [], [1], [2], [1, 2]),
  visited: fc.constantFrom(...visitedValues),
  peopleOrder: fc.constantFrom(...peopleOrders),
  mine: fc.constantFrom<number[] | null>(null, null, [1], [1, 2]),
  limit: fc.integer({ min: 1, max: 3 }),
  manyNames: fc.constantFrom(0, 2, 5000),
})

/** Whoever a list must show, in its order, from each entry and visit. */
async function shouldBeListed(
  { places, visited, peopleOrder }: Lens,
  mine: number[] | null,
  window: { from: number; to: number } | null,
) {
  const counts = ({ at, place }: { at: Date; place: number | null }) =>
    (!window || (at.getTime() >= window.from && at.getTime() < window.to)) &&
    (!places.length || (place !== null && places.includes(place))) &&
    (!mine || (place !== null && mine.includes(place)))
  const said = await db.rows<{ who: number; at: Date; place: number | null; sentiment: string }>(
    `SELECT a.shown_as AS who, e.at, e.place_id AS place, e.sentiment FROM entries e JOIN accounts a ON a.id = e.account_id WHERE direction = 'in'`,
  )
  const visits = await db.rows<{ who: number; at: Date; place: number | null }>(
    'SELECT shown_as AS who, at, place_id AS place FROM visits',
  )
  return accounts
    .map((id) => {
      const theirs = said.filter((each) => each.who === id && counts(each))
      const felt = (sentiment: string) => theirs.filter((each) => each.sentiment === sentiment).length
      const latestOf = (all: { at: Date }[]) => Math.max(-Infinity, ...all.map(({ at }) => at.getTime()))
      const visit = latestOf(visits.filter((each) => each.who === id && counts(each)))
      const last = latestOf(theirs)
      return { id, said: theirs.length, unhappy: felt('negative') - felt('positive'), last, visit }
    })
    .filter(({ said, visit }) =>
      visited === 'yes' ? visit > -Infinity : said > 0 && (visited === 'any' || visit === -Infinity),
    )
    .map(({ id, said, unhappy, last, visit }) => {
      const latest = Math.max(last, visited === 'yes' ? visit : -Infinity)
      const keys = {
        said: [said, last > -Infinity ? last : visit],
        latest: [latest],
        unhappiest: [unhappy, said],
        name: [],
      }
      return { id, said, keys: [...keys[peopleOrder], -id] }
    })
    .sort((a, b) => a.keys.map((key, i) => b.keys[i]! - key).find((apart) => apart !== 0)!)
    .map(({ id, said }) => ({ id, said }))
}

const between = ([from, to, unit]: [number, number, 'days' | 'hours'], zone: string) => {
  const ago = (n: number) =>
    DateTime.now()
      .setZone(zone)
      .minus({ [unit]: n * (unit === 'days' ? 1 : 20) })
      .toFormat(unit === 'days' ? 'yyyy-MM-dd' : "yyyy-MM-dd'T'HH")
  return { from: ago(from), to: ago(Math.min(from, to)) }
}

async function listIsRight({
  range: given,
  visited,
  places,
  peopleOrder,
  mine,
  ...part
}: FcValue<typeof asked>) {
  const zone = (await db.one<{ zone: string }>('SELECT zone FROM brands WHERE id = 1'))!.zone
  const range = Array.isArray(given) ? between(given, zone) : given
  const lens: Lens = { ...blankLens, unit: 'people', range, visited, places, peopleOrder }
  const context = { now: Date.now(), zone, me: 1, myTeams: [], doubtBelow: 0.5, watchesOf: () => [] }
  const reader: Reader = { colleagueId: 1, brandId: 1, role: 'owner', placeIds: mine, profileIds: null }
  const rows: PeopleRow[] = []
  for (let after = null, page; !page || page.length === part.limit; after = rows.at(-1)?.key ?? null) {
    page = await peoplePage(db, { lens, context, reader }, { ...part, after })
    rows.push(...page)
  }
  const wanted = await shouldBeListed(lens, mine, instantsOf(range, context))
  expect(rows.map(({ id, said }) => ({ id, said }))).toEqual(wanted)
  expect(await countPeople(db, { lens, context, reader })).toBe(wanted.length)
  const atMost = part.manyNames
  expect(await countPeople(db, { lens, context, reader }, { atMost })).toBe(Math.min(wanted.length, atMost))
}

test('what is kept of each person is what a count of their entries gives, whatever happens, and so are lists', async () => {
  let said = 0
  await fc.assert(
    fc.asyncProperty(
      fc.array(step, { minLength: 6, maxLength: 16 }),
      fc.array(asked, { minLength: 12, maxLength: 12 }),
      async (steps, lists) => {
        await db.rows('DELETE FROM entries')
        await db.rows('DELETE FROM visits')
        for (const each of steps) {
          await apply(each)
          expect(await totalsApart(db)).toEqual([])
        }
        for (const each of lists) await listIsRight(each)
        said += (await db.one<{ n: number }>('SELECT count(*)::int AS n FROM person_totals'))!.n
      },
    ),
    { numRuns: 80 },
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

const oneWord = { do: 'say', n: 1, apart: 1, place: null, sentiment: 'neutral' } as const

test('who said good things on two days does not come before who felt neither way', async () => {
  await db.rows('DELETE FROM entries')
  await apply({ do: 'say', who: 4, n: 2, apart: 40, place: null, sentiment: 'positive' })
  await apply({ ...oneWord, who: 3 })
  const asked = { range: { last: 7 }, places: [], visited: 'any', peopleOrder: 'unhappiest' } as const
  await listIsRight({ ...asked, places: [], mine: null, limit: 1, manyNames: 5000 })
})

test('who comes to somebody who just then has nothing left to show is counted with them', async () => {
  await db.rows('DELETE FROM entries')
  await db.rows('DELETE FROM visits')
  await db.rows('UPDATE accounts SET shown_as = id')
  for (const who of [3, 4, 5]) await apply({ ...oneWord, who })
  const waiting = (n: number) =>
    until(async () => {
      const row = await db.one<{ n: number }>(
        `SELECT count(*)::int AS n FROM pg_stat_activity WHERE datname = current_database() AND wait_event_type = 'Lock'`,
      )
      return row?.n === n
    })
  let joins: Promise<unknown>[] = []
  // Whoever counts the third anew holds their row, and waits for their day; who comes meanwhile waits for the row, which then goes.
  await db.inTransaction(async (tx) => {
    await db.rows('SELECT 1 FROM person_days WHERE person_id = 3 FOR UPDATE', [], tx)
    joins = [apply({ do: 'join', who: 3, to: 4 })]
    await waiting(1)
    joins.push(apply({ do: 'join', who: 5, to: 3 }))
    await waiting(2)
  })
  await Promise.all(joins)
  expect(await totalsApart(db)).toEqual([])
})

test('many that are read at once take as long as their number says', async () => {
  await db.rows('DELETE FROM entries')
  for (const who of [3, 4, 5])
    await apply({ do: 'say', who, n: 800, apart: 1, place: null, sentiment: 'unread' })
  await db.inTransaction(async (tx) => {
    const read = (n: number, sentiment: string) =>
      db.rows(
        'UPDATE entries SET sentiment = $2 WHERE id IN (SELECT id FROM entries ORDER BY id LIMIT $1)',
        [n, sentiment],
        tx,
      )
    // What is planned is planned for one, as where a day begins.
    for (let i = 0; i < 10; i++) await read(1, i % 2 ? 'positive' : 'negative')
    const timeOf = (n: number) =>
      shortest(async () => {
        await read(n, 'positive')
        await read(n, 'negative')
      })
    expect((await timeOf(2400)) / (await timeOf(600))).toBeLessThan(9)
  })
  expect(await totalsApart(db)).toEqual([])
})
