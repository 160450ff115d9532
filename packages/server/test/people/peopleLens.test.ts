import fc from 'fast-check'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { blankLens, lensPredicate, peopleOrders, peoplePredicate, type Lens } from '@murrabel/core/lens'
import { migrate, openDatabase, type Database } from '@murrabel/server'
import { peopleLensArbitrary } from '../../../core/test/lens/lensArbitrary.ts'
import type { Reader } from '../../src/access/reader.ts'
import { countPeople } from '../../src/store/queries/people/count.ts'
import { parsePeopleKey, peoplePage, printPeopleKey } from '../../src/store/queries/people/page.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import {
  context,
  now,
  readers,
  seededPeople,
  seededVisits,
  seedLensEntries,
  type SeededEntry,
} from '../support/lensEntries.ts'

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

const allowed = (e: SeededEntry, reader: Reader) =>
  (!reader.placeIds || (e.place !== null && reader.placeIds.includes(e.place))) &&
  (!reader.profileIds || reader.profileIds.includes(e.profile))

/** What the core says who is in a lens, with everybody found by the words of all they are joined with, one by one. */
function expected(lens: Lens, reader: Reader): number[] {
  const matches = peoplePredicate(lens, context)
  const groups = [...new Set(seededPeople.map(({ shownAs }) => shownAs))]
  return groups.filter((id) => {
    const members = seededPeople.filter(({ shownAs }) => shownAs === id)
    const tags = members.flatMap((member) => [...member.tags])
    const visits = seededVisits
      .filter(({ person }) => members.some(({ id: member }) => member === person))
      .map(({ place, days }) => ({ place, at: now - days * 86_400_000 }))
      .filter(({ place }) => !reader.placeIds || (place !== null && reader.placeIds.includes(place)))
    const said = entries.filter(
      (e) => e.voice !== null && members.some((member) => member.id === e.voice) && allowed(e, reader),
    )
    // Whoever sees only some profiles sees visits of those alone who wrote there.
    if (lens.visited === 'yes' && reader.profileIds && !said.length) return false
    return members.some(({ words, standing }) => matches({ words, standing, tags, visits, said }))
  })
}

/** How much somebody, with all they are joined with, said under a lens: how often, how often unhappily rather than happily, and last. */
function expectedOf(id: number, lens: Lens, reader: Reader) {
  const asks = lensPredicate(lens, context)
  const members = seededPeople.filter(({ shownAs }) => shownAs === id)
  const said = entries.filter(
    (e) => members.some((each) => each.id === e.voice) && allowed(e, reader) && asks(e),
  )
  const felt = (sentiment: string) => said.filter((e) => e.sentiment === sentiment).length
  return {
    said: said.length,
    unhappy: felt('negative') - felt('positive'),
    last: said.length ? Math.max(...said.map(({ at }) => at)) : null,
  }
}

/** All pages of a lens, one after the other. */
async function all(lens: Lens, reader: Reader, limit: number) {
  const rows = []
  for (let after = null; ;) {
    const page = await peoplePage(db, { lens, context, reader }, { limit, after })
    rows.push(...page)
    if (page.length < limit) return rows
    const key = printPeopleKey(page.at(-1)!.key)
    after = parsePeopleKey(key, lens.peopleOrder)
    expect(after).not.toBeNull()
  }
}

/** Every other one asks for nothing but who, when and where, which is answered from what is kept of each day. */
const anyPeople = fc.oneof(
  peopleLensArbitrary,
  peopleLensArbitrary.map((lens) => ({ ...lens, channels: [], words: '', sentiments: [] })),
)

test('the predicate in memory and the SQL choose the same people, page after page, for any lens and any reader', async () => {
  await fc.assert(
    fc.asyncProperty(anyPeople, readers, fc.integer({ min: 1, max: 3 }), async (lens, reader, limit) => {
      const rows = await all(lens, reader, limit)
      expect(rows.map(({ id }) => id).sort((a, b) => a - b)).toEqual(expected(lens, reader))
      expect(await countPeople(db, { lens, context, reader })).toBe(rows.length)
      const unhappiness = []
      for (const row of rows) {
        const { unhappy, ...figures } = expectedOf(row.id, lens, reader)
        expect({ said: row.said, last: row.last?.getTime() ?? null }).toEqual(figures)
        unhappiness.push(-unhappy)
      }
      const orders = {
        said: rows.map(({ said }) => -said),
        latest: rows.map(({ latest }) => -latest.getTime()),
        unhappiest: unhappiness,
        name: rows.map(({ name }) => name),
      }[lens.peopleOrder]
      expect(orders).toEqual([...orders].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0)))
    }),
    { numRuns: 300 },
  )
}, 150_000)

test.each(peopleOrders)(
  'everybody at any time is listed from what is kept of each as they are from a count, by %s',
  async (peopleOrder) => {
    const lens: Lens = { ...blankLens, unit: 'people', peopleOrder }
    const everybody: Reader = { colleagueId: 1, brandId: 1, role: 'owner', placeIds: null, profileIds: null }
    // A time that holds everything is asked of the entries.
    const wide: Lens = { ...lens, range: { last: 3700 } }
    expect(expected(wide, everybody).length).toBeGreaterThan(2)
    for (const limit of [1, 2, 50])
      expect(await all(lens, everybody, limit)).toEqual(await all(wide, everybody, limit))
  },
)

test.each([
  '',
  '!',
  'W10',
  Buffer.from('[1]').toString('base64url'),
  Buffer.from('["a",1,2]').toString('base64url'),
])('a place in the list that is none is not taken: %s', (text) =>
  expect(parsePeopleKey(text, 'said')).toBeNull(),
)
