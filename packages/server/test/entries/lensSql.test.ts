import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { bucketStarts } from '@murrabel/core/measures'
import { blankLens, lensPredicate, lensTest } from '@murrabel/core/lens'
import { openDatabase, migrate, type Database } from '@murrabel/server'
import { lensArbitrary, plainLensArbitrary } from '../../../core/test/lens/lensArbitrary.ts'
import type { Reader } from '../../src/access/reader.ts'
import { entryCount } from '../../src/store/queries/entries/entryCount.ts'
import { entryPage } from '../../src/store/queries/entries/entryPage.ts'
import { lensPeriods } from '../../src/store/queries/entries/lensSlices.ts'
import { rollupWhere } from '../../src/store/queries/entries/rollupWhere.ts'
import { openWork, openWorkByThread, sumOfWork } from '../../src/store/queries/lenses/lensCounts.ts'
import { countOfAll } from '../../src/services/watches/sentimentCounts.ts'
import { tide } from '../../src/store/queries/entries/tide.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { context, now, owner, readers, seedLensEntries, type SeededEntry } from '../support/lensEntries.ts'

let database: TestDatabase
let db: Database
let entries: SeededEntry[]

beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
  await migrate(db)
  entries = await seedLensEntries(db)
})
afterAll(async () => {
  await db.close()
  await database.drop()
})

/** Lenses that somebody keeps, most of them showing something, one in three everything. */
const keptLenses = fc.array(
  fc
    .oneof(lensArbitrary, plainLensArbitrary, fc.constant(blankLens))
    .map((lens) => ({ ...lens, unit: 'threads' as const, uncaught: false })),
  { maxLength: 4 },
)

const allowed = (e: (typeof entries)[number], reader: Reader) =>
  (!reader.placeIds || (e.place !== null && reader.placeIds.includes(e.place))) &&
  (!reader.profileIds || reader.profileIds.includes(e.profile))

describe('the predicate in memory and the SQL', () => {
  test('choose the same entries, for any lens and any reader', async () => {
    await fc.assert(
      fc.asyncProperty(lensArbitrary, readers, keptLenses, async (lens, reader, kept) => {
        const looking = { ...context, keptLenses: kept.map((each) => lensTest(each, context)) }
        const matches = lensPredicate(lens, looking)
        const expected = entries.filter((e) => allowed(e, reader) && matches(e)).map((e) => e.id)
        const { rows } = await entryPage(db, { lens, context: looking, reader, after: null, limit: 1000 })
        expect(rows.map((r) => r.id).sort((a, b) => a - b)).toEqual(expected)
        expect((await entryCount(db, { lens, context: looking, reader })).count).toBe(expected.length)
      }),
      { numRuns: 150 },
    )
  }, 150_000)

  test('what lenses show of the threads of another adds up, and is what each shows by itself', async () => {
    const whole = { ...blankLens, unit: 'threads' as const }
    let overlaps = 0
    await fc.assert(
      fc.asyncProperty(keptLenses, readers, async (lenses, reader) => {
        const asked = { whole, lenses, context, reader }
        const work = await openWork(db, asked)
        expect(sumOfWork(await openWorkByThread(db, asked, null), asked)).toEqual(work)
        const threads = entries.filter((e) => allowed(e, reader) && e.lead)
        const shownBy = threads.map((e) => lenses.filter((lens) => lensPredicate(lens, context)(e)).length)
        expect(work.whole.count).toBe(threads.length)
        expect(work.none.count).toBe(shownBy.filter((n) => n === 0).length)
        expect(work.lenses.map(({ count }) => count)).toEqual(
          lenses.map((lens) => threads.filter(lensPredicate(lens, context)).length),
        )
        const sum = work.lenses.reduce((all, { count }) => all + count, 0)
        expect(sum - work.again.count + work.none.count).toBe(work.whole.count)
        overlaps += work.again.count
      }),
      { numRuns: 80 },
    )
    expect(overlaps).toBeGreaterThan(20)
  }, 150_000)

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
  }, 150_000)

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
  }, 150_000)
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
