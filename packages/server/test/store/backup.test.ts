import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { openDatabase } from '@murrabel/server'
import { root } from '../../../../scripts/lib/setup.mjs'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'

let world: ConnectedWorld
let empty: TestDatabase
const folder = mkdtempSync(join(tmpdir(), 'backup-'))
const file = join(folder, 'murrabel.dump')

beforeAll(async () => {
  world = await startConnectedWorld()
  empty = await freshDatabase()
}, 150_000)
afterAll(async () => {
  await world.stop()
  await empty.drop()
  rmSync(folder, { recursive: true })
})

const run = (script: string, url: string, given = file) =>
  spawnSync(process.execPath, [join(root, 'scripts', script), given], {
    env: { ...process.env, DATABASE_URL: url },
    encoding: 'utf8',
  })

/** How many rows each table has. */
async function sizes(url: string): Promise<Record<string, number>> {
  const db = openDatabase(url)
  const tables = await db.rows<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE'`,
  )
  const found: Record<string, number> = {}
  for (const { name } of tables)
    found[name] = (await db.one<{ n: number }>(`SELECT count(*) AS n FROM "${name}"`))!.n
  await db.close()
  return found
}

test('a backup brings everything back, into an empty database only', async () => {
  await world.server.stop()
  const url = world.database.url
  const before = await sizes(url)
  expect(before.entries).toBeGreaterThan(10)
  expect(run('backup.mjs', url).status).toBe(0)
  expect(run('backup.mjs', url)).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('is there already'),
  })
  const full = run('restore.mjs', url)
  expect([full.status, full.stderr]).toEqual([1, expect.stringContaining('not empty')])
  expect(run('restore.mjs', empty.url).stderr).toBe('')
  expect(await sizes(empty.url)).toEqual(before)
  expect(run('restore.mjs', empty.url, join(folder, 'gone')).stderr).toContain('There is no')
}, 150_000)
