import { afterAll, beforeAll, beforeEach, expect, test } from 'vitest'
import { storyPrint } from '@murrabel/core/stories'
import { createBrand, migrate, openDatabase, type Database } from '@murrabel/server'
import { StoryShelf } from '../../src/services/analysis/storyShelf.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { testBrand } from '../support/world.ts'

let database: TestDatabase
let db: Database
let brandId: number
/** How often prints were read from the database. */
let reads = 0

beforeAll(async () => {
  database = await freshDatabase()
  const open = openDatabase(database.url)
  await migrate(open)
  brandId = await createBrand(open, testBrand)
  db = {
    ...open,
    rows(sql, bind, tx) {
      if (sql.includes('print IS NOT NULL')) reads++
      return open.rows(sql, bind, tx)
    },
  }
}, 150_000)
afterAll(async () => {
  await db.close()
  await database.drop()
})
beforeEach(() => {
  reads = 0
})

const texts = [
  'The Storm Petrel comes back to the Dunmarrow route on Monday with new engines after a month in dry dock at Port Ellery',
  'A new winter timetable begins on the first of December, with two more crossings at weekends and none on Tuesdays at night',
]
const at = new Date('2026-11-20T10:00:00Z')
let lastId = 1000
const place = (shelf: StoryShelf, text: string) =>
  db.inTransaction(async (tx) => {
    const id = ++lastId
    const print = storyPrint(text)
    const stories = await shelf.place(db, [{ id, at, print }], tx)
    return { id, story: stories.get(id) ?? null }
  })

test('what another process has placed is followed, and nothing is read anew', async () => {
  const [one, other] = [new StoryShelf(brandId), new StoryShelf(brandId)]
  // Both have read the month before anything is placed in it that matters.
  for (const shelf of [one, other])
    await place(
      shelf,
      `${shelf === one ? 'One' : 'Other'} says hello to the whole harbour this fine morning and means it`,
    )
  const first = await place(one, texts[0]!)
  const second = await place(other, texts[1]!)
  const begun = reads
  for (let round = 0; round < 5; round++) {
    expect((await place(round % 2 ? one : other, texts[0]!)).story).toBe(first.id)
    expect((await place(round % 2 ? other : one, texts[1]!)).story).toBe(second.id)
  }
  expect([begun > 0, reads]).toEqual([true, begun])
})

test('whoever is too far behind reads the prints anew', async () => {
  const [one, other] = [new StoryShelf(brandId), new StoryShelf(brandId)]
  await place(one, texts[0]!)
  await place(other, texts[1]!)
  await db.rows('DELETE FROM story_changes')
  const begun = reads
  await place(
    one,
    'Something else that nobody has said before about the galley, the bikes and the long queue at the pier today',
  )
  expect(reads).toBeGreaterThan(begun)
})
