import fc from 'fast-check'
import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest'
import { createBrand, migrate, openDatabase, type Database } from '@murrabel/server'
import { askAllToMeet, meetPeople } from '../../src/services/people/index.ts'
import {
  brandsWithUnmet,
  fewPeople,
  meetings,
  peopleToCompare,
  replaceProposals,
} from '../../src/store/queries/people/meeting.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { loosePiece } from '../support/piece.ts'
import { testBrand } from '../support/world.ts'

let database: TestDatabase
let db: Database
const brandId = 1
const most = 20

beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
  await migrate(db)
  await createBrand(db, testBrand)
})
afterAll(async () => {
  await db.close()
  await database.drop()
})
beforeEach(async () => void (await db.rows('DELETE FROM people')))

async function addPeople(names: readonly string[]): Promise<number[]> {
  const rows = await db.rows<{ id: number }>(
    `INSERT INTO people (id, brand_id, shown_as, name)
     SELECT id, $1, id, name FROM (SELECT nextval(pg_get_serial_sequence('people', 'id')) AS id, unnest($2::text[]) AS name) n
     RETURNING id`,
    [brandId, names],
  )
  return rows.map(({ id }) => id).sort((a, b) => a - b)
}
const meet = (signal = new AbortController().signal) =>
  meetPeople({ db, live: { tell: async () => {} } } as never, loosePiece(brandId, { signal }))
const count = async (of: string) => (await db.one<{ n: number }>(`SELECT count(*)::int AS n FROM ${of}`))!.n
const sorted = (met: Awaited<ReturnType<typeof meetings>>) =>
  met.map(({ one, other, bearers }) => [one, other, bearers]).sort((a, b) => a[0]! - b[0]! || a[1]! - b[1]!)

const first = ['Perrin', 'Perin', 'Odile', 'Idris', 'P.', 'Morag', 'Ómar']
const last = ['Oakes', 'Okes', 'Marchetaux', 'Bexley', 'Bexly', 'Quist']
const someName = fc.tuple(fc.constantFrom(...first), fc.constantFrom(...last)).map((parts) => parts.join(' '))

test('few are looked up one by one and many at once: the same people meet', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(someName, { minLength: 2, maxLength: 40 }), async (names) => {
      await db.rows('DELETE FROM people')
      const people = await addPeople(names)
      await meet()
      // As many numbers as need the other way, of nobody.
      const padding = Array.from({ length: fewPeople }, (_, i) => people.at(-1)! + 1000 + i)
      const one = await meetings(db, { brandId, people, most })
      const many = await meetings(db, { brandId, people: [...people, ...padding], most })
      expect(sorted(many)).toEqual(sorted(one))
    }),
    { numRuns: 15 },
  )
  // A test of nothing would pass as well.
  await db.rows('DELETE FROM people')
  const people = await addPeople(['Perrin Oakes', 'Perin Oakes'])
  await meet()
  expect(await meetings(db, { brandId, people, most })).toHaveLength(1)
})

test('two who are both to be compared meet once: with the later one', async () => {
  const [a, b] = (await addPeople(['Perrin Oakes', 'Perin Oakes'])) as [number, number]
  await meet()
  await db.rows('INSERT INTO people_to_compare (brand_id, person_id) SELECT $1, unnest($2::bigint[])', [
    brandId,
    [a, b],
  ])
  expect(await meetings(db, { brandId, people: [a], most })).toEqual([])
  expect(await meetings(db, { brandId, people: [b], most })).toHaveLength(1)
  expect(await meetings(db, { brandId, people: [a, b], most })).toHaveLength(1)
})

test('work that stops between reading and comparing is taken up where it was', async () => {
  const people = await addPeople(['Perrin Oakes', 'Perin Oakes'])
  const stopping = new AbortController()
  const { throwIfAborted } = stopping.signal
  let looks = 0
  stopping.signal.throwIfAborted = () => {
    if (++looks > 1) throw new Error('stopped')
    throwIfAborted.call(stopping.signal)
  }
  await expect(meet(stopping.signal)).rejects.toThrow('stopped')
  expect(await count('people WHERE unmet')).toBe(0)
  expect(await peopleToCompare(db, { brandId, limit: 10 })).toEqual(people)
  // Whoever starts finds it.
  expect(await brandsWithUnmet(db)).toEqual([brandId])
  const asked: unknown[] = []
  await askAllToMeet({ db, due: { ask: async (work: unknown) => void asked.push(work) } } as never)
  expect(asked).toMatchObject([{ kind: 'meet', subject: brandId }])
  await meet()
  expect(await count('people_to_compare')).toBe(0)
  expect(await brandsWithUnmet(db)).toEqual([])
})

test('work that is stopped while the database goes away ends as stopped, and leaves no failure behind', async () => {
  await addPeople(['Perrin Oakes', 'Perin Oakes'])
  await meet()
  await db.rows('INSERT INTO people_to_compare (brand_id, person_id) SELECT brand_id, id FROM people')
  const unmet: unknown[] = []
  const note = (error: unknown) => void unmet.push(error)
  process.on('unhandledRejection', note)
  // Nobody is unread, what comes next fails, and the work is told to stop.
  const away = Object.assign(Object.create(db) as Database, {
    rows: async (sql: string, ...rest: [unknown[]?]) => {
      if (sql.includes('FROM people_to_compare')) throw new Error('away')
      return db.rows(sql, ...rest)
    },
  })
  const stopping = new AbortController()
  stopping.signal.throwIfAborted = () => {
    if (stopping.signal.aborted) throw new Error('stopped')
    stopping.abort()
  }
  const work = meetPeople(
    { db: away, live: { tell: async () => {} } } as never,
    loosePiece(brandId, { signal: stopping.signal }),
  )
  await expect(work).rejects.toThrow('stopped')
  await new Promise((resolve) => setImmediate(resolve))
  process.off('unhandledRejection', note)
  expect(unmet).toEqual([])
})

test('of somebody who was erased while they were compared nothing is stored', async () => {
  const [a, b, c] = (await addPeople(['Perrin Oakes', 'Perin Oakes', 'P. Oakes'])) as [number, number, number]
  await db.rows('UPDATE people SET erased_at = now() WHERE id = $1', [b])
  const pair = (one: number, other: number) => ({ one, other, likeness: 0.95, reasons: [] })
  await db.inTransaction((tx) =>
    replaceProposals(db, { brandId, people: [a], proposals: [pair(a, b), pair(a, c)] }, tx),
  )
  expect(await db.rows('SELECT one, other FROM person_proposals')).toEqual([{ one: a, other: c }])
})

test.each(['people_to_compare', 'person_apart'])(
  'however few are believed to be in %s, it is looked into by index for each pair',
  async (table) => {
    const people = await addPeople(Array.from({ length: 4000 }, (_, i) => `Perrin Oakes ${i}`))
    await db.rows('DELETE FROM people_to_compare')
    await db.rows(`ANALYZE people_to_compare, person_apart`)
    await db.rows('INSERT INTO people_to_compare (brand_id, person_id) SELECT $1, unnest($2::bigint[])', [
      brandId,
      people,
    ])
    let asked: [sql: string, values: unknown[]] | null = null
    const noted = { rows: async (...given: [string, unknown[]]) => ((asked = given), []) }
    await meetings(noted as never, { brandId, people, most })
    const [sql, values] = asked!
    const plan = await db.rows<{ 'QUERY PLAN': string }>(`EXPLAIN ${sql}`, values)
    const lines = plan.map((each) => each['QUERY PLAN'])
    const at = lines.findIndex((line) => line.includes(` on ${table} `))
    expect(lines[at - 1]).not.toContain('Materialize')
    expect(lines.slice(0, at).findLast((line) => /SubPlan|Join|Nested/.test(line))).toContain('SubPlan')
  },
)
