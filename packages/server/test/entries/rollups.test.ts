import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { migrate, openDatabase, type Database } from '@murrabel/server'
import type { Reader } from '../../src/access/reader.ts'
import { migrations } from '../../src/store/migrations/index.ts'
import { watchPeriods } from '../../src/store/queries/watches/watchPeriods.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'

let database: TestDatabase
let db: Database

beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
})
afterAll(async () => {
  await db.close()
  await database.drop()
})

test('migrations go up, back to nothing, and up again, from several processes at once', async () => {
  const other = openDatabase(database.url)
  await Promise.all([migrate(db), migrate(other)])
  await other.close()
  await migrate(db, { down: migrations.length })
  expect(await db.rows(`SELECT tablename FROM pg_tables WHERE schemaname = 'public'`)).toEqual([
    { tablename: 'migrations' },
  ])
  await migrate(db)
  expect(await db.rows('SELECT count(*) AS n FROM migrations')).toEqual([{ n: migrations.length }])
})

const change = fc.oneof(
  fc.record({
    kind: fc.constant('add' as const),
    count: fc.integer({ min: 1, max: 20 }),
    seed: fc.nat(1000),
  }),
  fc.record({
    kind: fc.constant('judge' as const),
    part: fc.integer({ min: 2, max: 5 }),
    seed: fc.nat(1000),
  }),
  fc.record({ kind: fc.constant('move' as const), part: fc.integer({ min: 2, max: 5 }), seed: fc.nat(1000) }),
  fc.record({
    kind: fc.constant('mention' as const),
    part: fc.integer({ min: 2, max: 5 }),
    seed: fc.nat(1000),
  }),
  fc.record({
    kind: fc.constant('forget' as const),
    part: fc.integer({ min: 2, max: 5 }),
    seed: fc.nat(1000),
  }),
  fc.record({
    kind: fc.constant('delete' as const),
    part: fc.integer({ min: 2, max: 9 }),
    seed: fc.nat(1000),
  }),
  fc.record({ kind: fc.constant('zone' as const), seed: fc.nat(5) }),
)
type Change = typeof change extends fc.Arbitrary<infer T> ? T : never

const sentiments = `(ARRAY['positive','neutral','negative','unread'])`
async function apply(step: Change): Promise<void> {
  const { seed } = step
  if (step.kind === 'add')
    await db.rows(
      `INSERT INTO entries (brand_id, profile_id, thread_id, direction, kind, channel, text, at, sentiment)
       SELECT 1, 1, 1, CASE WHEN n % 4 = 0 THEN 'out' ELSE 'in' END, (ARRAY['review','comment'])[1 + n % 2], 'pages', 'x',
         '2026-11-01T00:30:00Z'::timestamptz + (n * $2::int % 90) * interval '17 minutes', ${sentiments}[1 + (n + $2::int) % 4] FROM generate_series(1, $1::int) n`,
      [step.count, seed],
    )
  else if (step.kind === 'zone') await db.rows('UPDATE brands SET zone = $1', [zones[seed]])
  else if (step.kind === 'judge')
    await db.rows(
      `UPDATE entries SET sentiment = ${sentiments}[1 + ((id + $2::int) % 4)::int] WHERE id % $1::int = 0`,
      [step.part, seed],
    )
  else if (step.kind === 'mention')
    await db.rows(
      `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id)
       SELECT 1 + $2::int % 2, id, at, '[]', sentiment, profile_id FROM entries WHERE id % $1::int = 0 AND direction = 'in' ON CONFLICT DO NOTHING`,
      [step.part, seed],
    )
  else if (step.kind === 'forget')
    await db.rows('DELETE FROM mentions WHERE (entry_id + $2::int) % $1::int = 0', [step.part, seed])
  else if (step.kind === 'move')
    await db.rows(
      `UPDATE entries SET at = at + ($2::int % 7) * interval '1 hour', profile_id = 1 + (id % 2) WHERE id % $1::int = 1`,
      [step.part, seed],
    )
  else await db.rows('DELETE FROM entries WHERE (id + $2::int) % $1::int = 0', [step.part, seed])
}

const zones = [
  'UTC',
  'Europe/London',
  'Asia/Kolkata',
  'America/Los_Angeles',
  'Asia/Kathmandu',
  'Australia/Lord_Howe',
]
/** Two watches and two profiles, without an entry. */
async function emptyBrand(): Promise<void> {
  await db.rows(`INSERT INTO brands (id, name, zone) VALUES (1, 'b', 'UTC')`)
  await db.rows(
    `INSERT INTO profiles (id, brand_id, channel, network, outside_id, name, status, hook_token) SELECT n, 1, 'pages', 'n', 'o' || n, 'n', 'connected', 'h' || n FROM generate_series(1, 2) n`,
  )
  await db.rows(`INSERT INTO threads (id, brand_id, profile_id, outside_id) VALUES (1, 1, 1, 't')`)
  await db.rows(
    `INSERT INTO watches (id, brand_id, name, query) SELECT n, 1, 'w', '{}' FROM generate_series(1, 2) n`,
  )
}

/** Half hours from the evening before the first entry, two to five of them: the edges of periods that touch each other. */
const edges = fc
  .uniqueArray(fc.oneof(fc.integer({ min: -12, max: 120 }), fc.constantFrom(0, 14, 37, 48, 64, 96)), {
    minLength: 2,
    maxLength: 5,
  })
  .map((list) =>
    [...list].sort((a, b) => a - b).map((n) => Date.parse('2026-11-01T00:00:00Z') + n * 1_800_000),
  )

test('periods of all watches equal a full count, for readers of everything and of one profile', async () => {
  await emptyBrand()
  for (const step of [
    { kind: 'add' as const, count: 300, seed: 7 },
    { kind: 'mention' as const, part: 2, seed: 0 },
    { kind: 'mention' as const, part: 3, seed: 1 },
  ])
    await apply(step)
  await fc.assert(
    fc.asyncProperty(
      edges,
      fc.constantFrom<number[] | null>(null, [2]),
      fc.constantFrom(...zones),
      async (list, profileIds, zone) => {
        await db.rows('UPDATE brands SET zone = $1', [zone])
        const reader: Reader = { colleagueId: 1, brandId: 1, role: 'owner', placeIds: null, profileIds }
        const [starts, end] = [list.slice(0, -1), list.at(-1)!]
        const found = await watchPeriods(db, { reader, starts, end, zone })
        const full = await db.rows<{ watch: number; period: number; n: number }>(
          `SELECT m.watch_id AS watch, width_bucket(e.at, $1::timestamptz[]) - 1 AS period, count(*)::int AS n FROM mentions m JOIN entries e ON e.id = m.entry_id
         WHERE e.at >= $2 AND e.at < $3 AND ($4::int[] IS NULL OR e.profile_id = ANY($4)) GROUP BY 1, 2 ORDER BY 1, 2`,
          [starts.map((at) => new Date(at)), new Date(starts[0]!), new Date(end), profileIds],
        )
        const sums = found
          .map(({ watch, period, positive, neutral, negative, unread }) => ({
            watch,
            period,
            n: positive + neutral + negative + unread,
          }))
          .filter(({ n }) => n > 0)
          .sort((a, b) => a.watch - b.watch || a.period - b.period)
        expect(sums).toEqual(full)
      },
    ),
    { numRuns: 60 },
  )
})

test('roll-ups equal a full count after any history of changes', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(change, { maxLength: 8 }), async (steps) => {
      for (const step of steps) await apply(step)
      const full = await db.rows(
        `SELECT e.brand_id, date_trunc('hour', e.at, b.zone) AS hour, e.profile_id, e.kind, e.sentiment, count(*) AS n
         FROM entries e JOIN brands b ON b.id = e.brand_id WHERE e.direction = 'in' GROUP BY 1, 2, 3, 4, 5 ORDER BY 1, 2, 3, 4, 5`,
      )
      const rolled = await db.rows('SELECT * FROM rollups WHERE n <> 0 ORDER BY 1, 2, 3, 4, 5')
      expect(rolled).toEqual(full)
      expect(await db.rows('SELECT * FROM mention_rollups WHERE n <> 0 ORDER BY 1, 2, 3, 4')).toEqual(
        await db.rows(
          `SELECT m.watch_id, date_trunc('hour', e.at, b.zone) AS hour, e.profile_id, e.sentiment, count(*)::int AS n
           FROM mentions m JOIN entries e ON e.id = m.entry_id JOIN brands b ON b.id = e.brand_id GROUP BY 1, 2, 3, 4 ORDER BY 1, 2, 3, 4`,
        ),
      )
      expect(
        await db.rows(
          'SELECT watch_id, day::text, positive, neutral, negative, unread FROM mention_days WHERE positive + neutral + negative + unread <> 0 ORDER BY 1, 2',
        ),
      ).toEqual(
        await db.rows(
          `SELECT m.watch_id, (e.at AT TIME ZONE b.zone)::date::text AS day, ${['positive', 'neutral', 'negative', 'unread'].map((mood) => `count(*) FILTER (WHERE e.sentiment = '${mood}')::int AS ${mood}`).join(', ')}
           FROM mentions m JOIN entries e ON e.id = m.entry_id JOIN brands b ON b.id = e.brand_id GROUP BY 1, 2 ORDER BY 1, 2`,
        ),
      )
    }),
    { numRuns: 25 },
  )
})
