import fc from 'fast-check'
import { afterAll, beforeAll, beforeEach, describe, expect, test, vi } from 'vitest'
import type { CountAnswer } from '@murrabel/contract'
import { blankLens, type Lens } from '@murrabel/core/lens'
import { migrate, openDatabase, type Database } from '@murrabel/server'
import { lensArbitrary } from '../../../core/test/lens/lensArbitrary.ts'
import type { Reader } from '../../src/access/reader.ts'
import { KeptCounts } from '../../src/keptCounts.ts'
import { sumOf } from '../../src/services/lens/countLens.ts'
import {
  entryCount,
  entryCountByThread,
  type ThreadCount,
} from '../../src/store/queries/entries/entryCount.ts'
import {
  openWork,
  openWorkByThread,
  sumOfWork,
  type OpenWork,
  type ThreadOfWork,
} from '../../src/store/queries/lenses/lensCounts.ts'
import { entryPage } from '../../src/store/queries/entries/entryPage.ts'
import { foldedThreads, foldPage } from '../../src/store/queries/entries/foldPage.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { context, now, owner, readers, seedLensEntries } from '../support/lensEntries.ts'

let database: TestDatabase
let db: Database
let threadIds: number[]
beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
  await migrate(db)
  await seedLensEntries(db)
  threadIds = (await db.rows<{ id: number }>('SELECT id FROM threads ORDER BY 1')).map(({ id }) => id)
})
afterAll(async () => {
  await db.close()
  await database.drop()
})

/** What happens to one thread, and to the lenses it stands in. */
const changes = {
  state: (thread: number, n: number) =>
    db.rows('UPDATE threads SET state = $2, due_at = $3 WHERE id = $1', [
      thread,
      ['open', 'done', 'aside'][n % 3],
      n % 2 ? new Date(now + (n - 5) * 3_600_000) : null,
    ]),
  judge: (thread: number, n: number) =>
    db.rows('UPDATE entries SET sentiment = $2 WHERE thread_id = $1', [
      thread,
      ['positive', 'neutral', 'negative'][n % 3],
    ]),
  tag: (thread: number, n: number) =>
    db.rows('INSERT INTO thread_tags (thread_id, tag_id) VALUES ($1, $2) ON CONFLICT DO NOTHING', [
      thread,
      1 + (n % 3),
    ]),
  story: (thread: number, n: number) =>
    db.rows('UPDATE entries SET story_id = $2 WHERE thread_id = $1', [thread, n % 3 ? 1 + (n % 4) : null]),
}
const change = fc.record({
  kind: fc.constantFrom(...(Object.keys(changes) as (keyof typeof changes)[])),
  /** Which of the threads, in any order. */
  thread: fc.nat(1000),
  n: fc.nat(10),
})
type Change = typeof change extends fc.Arbitrary<infer Each> ? Each : never

async function apply(list: readonly Change[]): Promise<number[]> {
  const threads = list.map(({ thread }) => threadIds[thread % threadIds.length]!)
  for (const [i, { kind, n }] of list.entries()) await changes[kind](threads[i]!, n)
  return [...new Set(threads)]
}

const ask = (counts: KeptCounts, lens: Lens, reader: Reader) =>
  counts.ask({
    key: JSON.stringify([lens, reader]),
    brandId: 1,
    now,
    whole: () => entryCount(db, { lens, context, reader }),
    size: ({ count }) => count,
    byThread: (threads) => entryCountByThread(db, { lens, context, reader, threads }),
    sum: (rows: Iterable<ThreadCount>) => sumOf(rows, now),
  })

/** Lenses that hold much, and lose and gain by these changes. */
const wideLens: fc.Arbitrary<Lens> = fc
  .record({
    unit: fc.constantFrom('threads' as const, 'entries' as const),
    state: fc.constantFrom('open' as const, 'done' as const, 'any' as const),
    sentiments: fc.subarray(['positive', 'negative'] as const).map((list) => [...list]),
    tags: fc.subarray([1, 2], { maxLength: 1 }),
  })
  .map((parts) => ({ ...blankLens, ...parts }))

describe('a count that is on a screen', () => {
  test('is after any changes what counting everything would say', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(wideLens, lensArbitrary),
        readers,
        fc.array(fc.array(change, { minLength: 1, maxLength: 6 }), { minLength: 2, maxLength: 4 }),
        async (lens, reader, rounds) => {
          const counts = new KeptCounts()
          await ask(counts, lens, reader)
          for (const round of rounds) {
            const threads = await apply(round)
            counts.hear(1, { kind: 'thread', threads })
            expect(await ask(counts, lens, reader)).toEqual(await entryCount(db, { lens, context, reader }))
          }
        },
      ),
      { numRuns: 30 },
    )
  }, 150_000)
})

test('what kept lenses show of the open threads is after any changes what counting everything would say', async () => {
  const asked = {
    whole: { ...blankLens, unit: 'threads' as const, state: 'open' as const },
    lenses: [
      { ...blankLens, unit: 'threads' as const, state: 'open' as const },
      { ...blankLens, unit: 'threads' as const, sentiments: ['negative' as const] },
      { ...blankLens, unit: 'threads' as const, tags: [1] },
    ],
    context,
    reader: owner,
  }
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(change, { minLength: 1, maxLength: 6 }), { minLength: 3, maxLength: 5 }),
      async (rounds) => {
        const counts = new KeptCounts()
        const work = (whole: () => Promise<OpenWork>) =>
          counts.ask<ThreadOfWork, OpenWork>({
            key: 'work',
            brandId: 1,
            now,
            whole,
            size: ({ whole: { count } }) => count,
            byThread: (threads) => openWorkByThread(db, asked, threads),
            sum: (rows) => sumOfWork(rows, asked),
          })
        await work(() => openWork(db, asked))
        for (const round of rounds) {
          counts.hear(1, { kind: 'thread', threads: await apply(round) })
          const counted = await work(() => Promise.reject(new Error('not everything again')))
          expect(counted).toEqual(await openWork(db, asked))
        }
      },
    ),
    { numRuns: 20 },
  )
}, 150_000)

test('folded rows of some threads are those that the whole folded list has for them and their stories', async () => {
  await fc.assert(
    fc.asyncProperty(
      lensArbitrary.filter(({ order, story }) => order !== 'distinctive' && story === null),
      readers,
      fc.array(change, { minLength: 1, maxLength: 8 }),
      fc.subarray([1, 2, 3, 4]),
      async (lens, reader, list, shown) => {
        const threads = await apply(list)
        const asked = { lens: { ...lens, unit: 'entries' as const }, context, reader }
        const page = await entryPage(db, { ...asked, after: null, limit: 1000 })
        const whole = await foldPage(db, page, asked)
        const stories = new Set(shown)
        const now = await db.rows<{ story: number }>(
          'SELECT story_id AS story FROM entries WHERE thread_id = ANY($1::bigint[]) AND story_id IS NOT NULL',
          [threads],
        )
        for (const { story } of now) stories.add(story)
        const wanted = whole.rows.filter(({ threadId, storyId }) =>
          storyId === null ? threads.includes(threadId) : stories.has(storyId),
        )
        const touched = await foldedThreads(db, { ...asked, threads, stories: shown, limit: 1000 })
        expect(touched.rows.map(({ id, copies }) => [id, copies])).toEqual(
          wanted.map(({ id, copies }) => [id, copies]),
        )
      },
    ),
    { numRuns: 30 },
  )
}, 150_000)

describe('counting only what notices name', () => {
  const answer: CountAnswer = { count: 2, pastDue: 0, notSent: 0 }
  const two = [1, 2].map((thread) => ({ thread, count: 1, dueAt: null, notSent: false }))
  const whole = vi.fn(() => Promise.resolve(answer))
  const byThread = vi.fn((threads: readonly number[] | null) =>
    Promise.resolve(two.filter(({ thread }) => !threads || threads.includes(thread))),
  )
  const question = {
    key: JSON.stringify(blankLens),
    brandId: owner.brandId,
    now,
    whole,
    size: ({ count }: CountAnswer) => count,
    byThread,
    sum: (rows: Iterable<ThreadCount>) => sumOf(rows, now),
  }
  beforeEach(() => {
    whole.mockClear()
    byThread.mockClear()
  })
  /** A lens that is kept by thread: it was asked for twice. */
  async function kept(): Promise<KeptCounts> {
    const counts = new KeptCounts()
    await counts.ask(question)
    await counts.ask(question)
    expect([whole.mock.calls.length, byThread.mock.calls]).toEqual([1, [[null]]])
    whole.mockClear()
    byThread.mockClear()
    return counts
  }

  test('nothing is asked of the database when nothing was named, and only what was named else', async () => {
    const counts = await kept()
    expect(await counts.ask(question)).toEqual(answer)
    expect(byThread).not.toHaveBeenCalled()
    counts.hear(1, { kind: 'entries', threads: [2, 7], count: 2 })
    counts.hear(1, { kind: 'profiles' })
    counts.hear(2, { kind: 'thread', threads: [9] })
    expect(await counts.ask(question)).toEqual(answer)
    expect(byThread.mock.calls).toEqual([[[2, 7]]])
    expect(whole).not.toHaveBeenCalled()
  })
  test('what is named while the question is under way is looked at by the next', async () => {
    const counts = await kept()
    counts.hear(1, { kind: 'thread', threads: [1] })
    const asking = counts.ask(question)
    counts.hear(1, { kind: 'thread', threads: [2] })
    await asking
    await counts.ask(question)
    expect(byThread.mock.calls).toEqual([[[1]], [[2]]])
  })
  test.each([
    ['a notice without names', { kind: 'entries', threads: [], count: 0 } as const],
    ['a change of the watches', { kind: 'watches' } as const],
    ['missed notices', { kind: 'afresh' } as const],
    ['a flood', { kind: 'thread', threads: Array.from({ length: 501 }, (_, i) => i) } as const],
  ])('after %s everything is counted', async (_name, event) => {
    const counts = await kept()
    counts.hear(1, { ...event, ...('threads' in event ? { threads: [...event.threads] } : {}) } as never)
    await counts.ask(question)
    expect([whole.mock.calls.length, byThread.mock.calls.length]).toEqual([1, 0])
  })
  test('after a minute, after a failure, and of a large lens, everything is counted', async () => {
    const counts = await kept()
    await counts.ask({ ...question, now: now + 60_000 })
    expect(whole).toHaveBeenCalledTimes(1)
    whole.mockClear()
    byThread.mockClear()
    const failing = await kept()
    failing.hear(1, { kind: 'thread', threads: [1] })
    byThread.mockRejectedValueOnce(new Error('the database is away'))
    await expect(failing.ask(question)).rejects.toThrow('away')
    await failing.ask(question)
    expect(whole).toHaveBeenCalledTimes(1)
    whole.mockClear()
    const large = { ...question, whole: vi.fn(() => Promise.resolve({ ...answer, count: 100_001 })) }
    for (let i = 0; i < 3; i++) await new KeptCounts().ask(large)
    expect(large.whole).toHaveBeenCalledTimes(3)
  })
  test('of many lenses only the ones asked for last are kept', async () => {
    const counts = await kept()
    for (let i = 0; i < 200; i++) await counts.ask({ ...question, key: String(i) })
    whole.mockClear()
    await counts.ask(question)
    expect(whole).toHaveBeenCalledTimes(1)
  })
})
