import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { migrate, openDatabase } from '@murrabel/server'
import { NewerDatabaseError } from '../../src/store/migrate.ts'
import { migrations } from '../../src/store/migrations/index.ts'
import { freshDatabase } from '../support/database.ts'
import { twoBrands } from '../support/twoBrands.ts'
import { startTestWorld, type TestWorld } from '../support/world.ts'

let world: TestWorld

beforeAll(async () => {
  world = await startTestWorld()
  await twoBrands(world)
  // Nobody works while the tables come and go.
  world.config.jobs = false
  await world.restart()
}, 120_000)
afterAll(() => world.stop())

/** What a person would miss. */
const kept = () =>
  world.server.context.db.rows(
    `SELECT e.outside_id, e.text, e.at, e.direction, t.state, t.edition, w.name AS watch FROM entries e JOIN threads t ON t.id = e.thread_id
     LEFT JOIN mentions m ON m.entry_id = e.id LEFT JOIN watches w ON w.id = m.watch_id ORDER BY e.id, w.id`,
  )
const actions = () =>
  world.server.context.db.rows(
    `SELECT thread_id, kind, state, payload FROM outside_actions ORDER BY thread_id`,
  )
const log = () =>
  world.server.context.db.rows(
    `SELECT subject_id, kind, edition, before FROM events WHERE subject = 'thread' AND edition IS NOT NULL ORDER BY id`,
  )

describe('on filled tables', () => {
  test('each migration can be taken back and made again, and nothing that matters is lost on the way', async () => {
    const { db } = world.server.context
    const before = [await kept(), await actions(), await log()]
    expect(before.every((rows) => rows.length > 0)).toBe(true)
    // Back to before the log, the actions and due work, then one by one to the first shape of all.
    const recent = migrations.findIndex(({ name }) => name.startsWith('0014'))
    await migrate(db, { down: migrations.length - recent })
    expect(await db.rows(`SELECT to_regclass('due_work') AS t, to_regclass('outbox') AS o`)).toEqual([
      { t: null, o: 'outbox' },
    ])
    await migrate(db)
    expect([await kept(), await actions(), await log()]).toEqual(before)
    for (let left = migrations.length; left > 2; left--) await migrate(db, { down: 1 })
    await migrate(db)
    expect(await db.rows('SELECT count(*) AS n FROM migrations')).toEqual([{ n: migrations.length }])
    const texts = (rows: object[]) => new Set(rows.map((row) => (row as { text: string }).text))
    expect(texts(await kept())).toEqual(texts(before[0]!))
  }, 150_000)
})

test('no trigger joins what rows were with what they are: such a join is planned for one row, and done in loops ever after', async () => {
  const joined = await world.server.context.db.rows(
    `SELECT proname FROM pg_proc WHERE prosrc ~* 'old_rows' AND prosrc ~* 'join\\s+(?:old|new)_rows'`,
  )
  expect(joined).toEqual([])
})

test('each is a transaction of its own: one that fails leaves those before it done, and can be tried again', async () => {
  const database = await freshDatabase()
  const db = openDatabase(database.url)
  const good = { name: '1', up: 'CREATE TABLE one (id int)', down: 'DROP TABLE one' }
  const bad = { name: '2', up: 'CREATE TABLE two (id int); SELECT 1/0', down: 'DROP TABLE two' }
  await expect(migrate(db, { migrations: [good, bad] })).rejects.toThrow('division by zero')
  expect(await db.rows('SELECT name FROM migrations')).toEqual([{ name: '1' }])
  expect(await db.rows(`SELECT to_regclass('one') AS one, to_regclass('two') AS two`)).toEqual([
    { one: 'one', two: null },
  ])
  await migrate(db, { migrations: [good, { ...bad, up: 'CREATE TABLE two (id int)' }] })
  expect(await db.rows('SELECT count(*) AS n FROM migrations')).toEqual([{ n: 2 }])
  await db.close()
  await database.drop()
})

test('a start that finds a newer database refuses, and changes nothing', async () => {
  const { db } = world.server.context
  await db.rows(`INSERT INTO migrations (name) VALUES ('9999-from-the-future')`)
  await expect(migrate(db)).rejects.toThrow(NewerDatabaseError)
  await expect(migrate(db, { down: 1 })).rejects.toThrow('9999-from-the-future')
  await db.rows(`DELETE FROM migrations WHERE name LIKE '9999%'`)
  await migrate(db)
})
