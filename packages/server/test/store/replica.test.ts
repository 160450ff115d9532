import { join } from 'node:path'
import { afterAll, beforeAll, expect, inject, test } from 'vitest'
import { createBrand, migrate, openDatabase, type Database } from '@murrabel/server'
import { startReplica } from '../../../../scripts/lib/cluster.mjs'
import { root } from '../../../../scripts/lib/setup.mjs'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { testBrand } from '../support/world.ts'
import { until } from '../support/until.ts'

let database: TestDatabase
let replica: Awaited<ReturnType<typeof startReplica>>
let db: Database

beforeAll(async () => {
  database = await freshDatabase()
  replica = await startReplica(inject('postgres'), join(root, 'data/test-replica'))
  db = openDatabase(database.url, { replicaUrl: replica.url(new URL(database.url).pathname.slice(1)) })
  await migrate(db)
  await createBrand(db, testBrand)
}, 150_000)
afterAll(async () => {
  await db.close()
  replica.remove()
  await database.drop()
})

const standby = 'SELECT pg_is_in_recovery() AS standby'
const brands = 'SELECT name FROM brands'

test('figures come from the replica, everything else from the primary', async () => {
  await until(async () => (await db.replica.rows(brands)).length === 1)
  expect(await db.replica.one(standby)).toEqual({ standby: true })
  expect(await db.one(standby)).toEqual({ standby: false })
  expect(await db.inTransaction((tx) => db.one(standby, [], tx))).toEqual({ standby: false })
})

test('models read what was just written', async () => {
  await db.rows(`UPDATE brands SET name = 'Another'`)
  const [row] = await db.sequelize.query('SELECT name, pg_is_in_recovery() AS standby FROM brands')
  expect(row).toEqual([{ name: 'Another', standby: false }])
})

test('what is written arrives, and a replica that is away leaves its work to the primary', async () => {
  await until(async () => (await db.replica.one<{ name: string }>(brands))?.name === 'Another')
  replica.stop()
  expect(await db.replica.one(standby)).toEqual({ standby: false })
  await db.rows(`UPDATE brands SET name = 'While it was away'`)
  await replica.start()
  await until(async () => (await db.replica.one<{ standby: boolean }>(standby))?.standby === true)
  await until(async () => (await db.replica.one<{ name: string }>(brands))?.name === 'While it was away')
}, 150_000)
