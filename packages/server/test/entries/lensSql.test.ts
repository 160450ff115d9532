import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { bucketStarts } from '@murrabel/core/measures'
import {
  blankLens,
  lensKinds,
  lensOrigins,
  lensPredicate,
  lensSentiments,
  lensStates,
  type LensContext,
  type LensEntry,
} from '@murrabel/core/lens'
import { placedWords } from '@murrabel/core/text'
import { openDatabase, migrate, type Database } from '@murrabel/server'
import { lensArbitrary, plainLensArbitrary } from '../../../core/test/lens/lensArbitrary.ts'
import { tsvectorText } from '../../src/services/analysis/readEntry.ts'
import type { Reader } from '../../src/access/reader.ts'
import { entryCount } from '../../src/store/queries/entries/entryCount.ts'
import { entryPage } from '../../src/store/queries/entries/entryPage.ts'
import { lensPeriods } from '../../src/store/queries/entries/lensSlices.ts'
import { rollupWhere } from '../../src/store/queries/entries/rollupWhere.ts'
import { countOfAll } from '../../src/services/watches/sentimentCounts.ts'
import { tide } from '../../src/store/queries/entries/tide.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'

const now = Date.parse('2026-11-25T12:00:00Z')
const context: LensContext = {
  now,
  zone: 'Europe/London',
  me: 2,
  watchesOf: (group) => (group === 3 ? [] : [group, group + 1]),
}
const owner: Reader = { colleagueId: 2, brandId: 1, role: 'owner', placeIds: null, profileIds: null }
const texts = [
  'The ferry was late',
  'Crew’s heron',
  'Café, heron, late',
  "O'Brien \\ 'x' & !y",
  '#DogsOnDeck #dogs',
  'fer\u200bry',
  'nothing at all',
  'LATE herons',
]

let database: TestDatabase
let db: Database
let entries: (LensEntry & { id: number; profile: number })[]

/** Entries of every kind, in threads of one or two, spread over six weeks; the same every time. */
beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
  await migrate(db)
  await db.rows(`INSERT INTO brands (id, name, zone) VALUES (1, 'b', 'Europe/London')`)
  await db.rows(`INSERT INTO places (id, brand_id, name) SELECT n, 1, 'p' || n FROM generate_series(1, 3) n`)
  await db.rows(
    `INSERT INTO colleagues (id, email, name, password_hash) SELECT n, 'c' || n, 'c', '' FROM generate_series(1, 3) n`,
  )
  await db.rows(
    `INSERT INTO watches (id, brand_id, name, query) SELECT n, 1, 'w', '{}' FROM generate_series(1, 3) n`,
  )
  await db.rows(
    `INSERT INTO accounts (id, brand_id, network, outside_id, name) SELECT n, 1, 'n', n::text, 'a' FROM generate_series(1, 4) n`,
  )
  await db.rows(`INSERT INTO aspects (id, brand_id, name) SELECT n, 1, 'x' || n FROM generate_series(1, 2) n`)
  await db.rows(
    `INSERT INTO tags (id, brand_id, name) OVERRIDING SYSTEM VALUE SELECT n, 1, 't' || n FROM generate_series(1, 3) n`,
  )
  const channels = ['pages', 'maps', 'news', 'import']
  for (let p = 1; p <= 8; p++)
    await db.rows(
      `INSERT INTO profiles (id, brand_id, place_id, channel, network, outside_id, name, status, hook_token) VALUES ($1, 1, $2, $3, 'n', $4, 'n', 'connected', $4)`,
      [p, p > 6 ? null : 1 + (p % 3), channels[p % 4], `h${p}`],
    )
  entries = []
  for (let i = 1; i <= 240; i++) {
    const profile = 1 + (i % 8)
    const thread = Math.ceil(i / 2) * 2 + (i % 3 === 0 ? 1000 : 0)
    const entry = {
      id: i,
      profile,
      lead: i % 2 === 0,
      state: lensStates[thread % 4]!,
      kind: lensKinds[i % 5]!,
      origin: lensOrigins[(i * 5) % 3]!,
      channel: channels[profile % 4]!,
      place: profile > 6 ? null : 1 + (profile % 3),
      sentiment: lensSentiments[(i * 7) % 4]!,
      givenTo: thread % 3 === 0 ? null : 1 + (thread % 3),
      watches: i % 4 ? [1 + (i % 3)] : [],
      words: placedWords(texts[i % texts.length]!),
      language: ['en', 'fr', 'und'][i % 3]!,
      voice: i % 7 ? 1 + (i % 4) : null,
      story: i % 6 ? null : 1 + (i % 4),
      aspects: i % 5 ? [] : [{ id: 1 + (i % 2), sentiment: lensSentiments[(i * 3) % 4]! }],
      tags: thread % 5 ? [] : [1 + (thread % 3)],
      kept: i % 4 === 1,
      at: now - ((i * 7919) % (42 * 24)) * 3_600_000,
    }
    entries.push(entry)
    await db.rows(
      `INSERT INTO threads (id, brand_id, profile_id, place_id, outside_id, state, given_to, pressing_at) VALUES ($1, 1, $2, $3, $4, $5, $6, $7) ON CONFLICT DO NOTHING`,
      [thread, profile, entry.place, `t${thread}`, entry.state, entry.givenTo, new Date(entry.at)],
    )
    await db.rows(
      `INSERT INTO entries (id, brand_id, profile_id, thread_id, place_id, outside_id, direction, kind, channel, text, at, lead, sentiment, search, analysed_at, language, account_id, story_id, origin)
       VALUES ($1, 1, $2, $3, $4, $5, 'in', $6, $7, $8, $9, $10, $11, $12::tsvector, now(), $13, $14, $15, $16)`,
      [
        i,
        profile,
        thread,
        entry.place,
        `e${i}`,
        entry.kind,
        entry.channel,
        texts[i % texts.length],
        new Date(entry.at),
        entry.lead,
        entry.sentiment,
        tsvectorText(entry.words),
        entry.language,
        entry.voice,
        entry.story,
        entry.origin,
      ],
    )
    if (entry.lead) await db.rows('UPDATE threads SET lead_entry_id = $2 WHERE id = $1', [thread, i])
    for (const tag of entry.tags)
      await db.rows('INSERT INTO thread_tags (thread_id, tag_id) VALUES ($1, $2) ON CONFLICT DO NOTHING', [
        thread,
        tag,
      ])
    if (entry.kept) await db.rows('INSERT INTO kept_entries (entry_id) VALUES ($1)', [i])
    for (const watch of entry.watches)
      await db.rows(
        `INSERT INTO mentions (watch_id, entry_id, at, spans, sentiment, profile_id) VALUES ($1, $2, $3, '[]', $4, $5)`,
        [watch, i, new Date(entry.at), entry.sentiment, profile],
      )
    for (const { id, sentiment } of entry.aspects)
      await db.rows('INSERT INTO aspect_readings (aspect_id, entry_id, sentiment) VALUES ($1, $2, $3)', [
        id,
        i,
        sentiment,
      ])
  }
})
afterAll(async () => {
  await db.close()
  await database.drop()
})

const readers: fc.Arbitrary<Reader> = fc
  .record({
    placeIds: fc.option(fc.subarray([1, 2, 3])),
    profileIds: fc.option(fc.subarray([1, 2, 3, 4, 5, 6, 7, 8])),
  })
  .map((part) => ({ ...owner, ...part }))

const allowed = (e: (typeof entries)[number], reader: Reader) =>
  (!reader.placeIds || (e.place !== null && reader.placeIds.includes(e.place))) &&
  (!reader.profileIds || reader.profileIds.includes(e.profile))

describe('the predicate in memory and the SQL', () => {
  test('choose the same entries, for any lens and any reader', async () => {
    await fc.assert(
      fc.asyncProperty(lensArbitrary, readers, async (lens, reader) => {
        const matches = lensPredicate(lens, context)
        const expected = entries.filter((e) => allowed(e, reader) && matches(e)).map((e) => e.id)
        const { rows } = await entryPage(db, { lens, context, reader, after: null, limit: 1000 })
        expect(rows.map((r) => r.id).sort((a, b) => a - b)).toEqual(expected)
        expect((await entryCount(db, { lens, context, reader })).count).toBe(expected.length)
      }),
      { numRuns: 120 },
    )
  }, 90_000)

  test('the tide line counts what the list shows, from roll-ups or not', async () => {
    const from = now - 60 * 86_400_000
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(lensArbitrary, plainLensArbitrary),
        readers,
        fc.constantFrom('hour', 'day', 'week', 'month'),
        async (lens, reader, unit) => {
          const starts = bucketStarts({ from, to: now + 1, unit: unit as 'day', zone: context.zone })
          const rows = await tide(db, { lens, context, reader, starts, to: now + 1 })
          const { count } = await entryCount(db, { lens: { ...lens, range: null }, context, reader })
          expect(rows.reduce((sum, r) => sum + countOfAll(r), 0)).toBe(count)
        },
      ),
      { numRuns: 120 },
    )
  }, 90_000)

  test('periods count what the list shows in each of them, from roll-ups or not', async () => {
    const starts = [50, 40, 21, 20].map((days) => now - days * 86_400_000)
    await fc.assert(
      fc.asyncProperty(fc.oneof(lensArbitrary, plainLensArbitrary), readers, async (lens, reader) => {
        const rows = await lensPeriods(db, { lens, context, reader }, { starts, end: now })
        const shown = lensPredicate({ ...lens, range: null }, context)
        const counts = starts.map((from, i) => {
          const inside = (at: number) => at >= from && at < (starts[i + 1] ?? now)
          return entries.filter((e) => inside(e.at) && allowed(e, reader) && shown(e)).length
        })
        expect(
          starts.map((_, i) => {
            const row = rows.find(({ period }) => period === i)
            return row ? row.positive + row.neutral + row.negative + row.unread : 0
          }),
        ).toEqual(counts)
      }),
      { numRuns: 120 },
    )
  }, 90_000)
})

test('where hours begin at half past, days are counted from roll-ups as well, and rightly', async () => {
  const zone = 'Asia/Kolkata'
  await db.rows('UPDATE brands SET zone = $1', [zone])
  const there = { ...context, zone }
  const [from, to] = [now - 60 * 86_400_000, now + 1]
  for (const lens of [
    { ...blankLens, unit: 'entries' as const },
    { ...blankLens, unit: 'entries' as const, watch: 1 },
  ]) {
    expect(rollupWhere(lens, there, owner, { from, to })).not.toBeNull()
    for (const unit of ['hour', 'day', 'week'] as const) {
      const starts = bucketStarts({ from, to, unit, zone })
      const rows = await tide(db, { lens, context: there, reader: owner, starts, to })
      const full = await db.rows<{ at: Date; n: number }>(
        `SELECT date_trunc($1, e.at, $2) AS at, count(*)::int AS n
         FROM entries e
         WHERE e.direction = 'in' AND ($3::int IS NULL OR EXISTS (SELECT 1 FROM mentions m WHERE m.entry_id = e.id AND m.watch_id = $3))
         GROUP BY 1
         ORDER BY 1`,
        [unit, zone, lens.watch],
      )
      expect(rows.map((row) => [starts[row.bucket], countOfAll(row)])).toEqual(
        full.map(({ at, n }) => [at.getTime(), n]),
      )
    }
  }
})
