// A small demo world for the browser tests: the brand is there, nothing is connected yet.
import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { root } from '../../scripts/lib/setup.mjs'
import { startWorld } from '../../scripts/lib/world.mjs'

export default async function setup() {
  const folder = join(root, 'data/e2e')
  // The cluster stays: only what is in it is made anew.
  for (const name of ['standins', 'logs', 'settings.json'])
    rmSync(join(folder, name), { recursive: true, force: true })
  const { startCluster } = await import('../../scripts/lib/cluster.mjs')
  const cluster = await startCluster(join(folder, 'postgres'), { fast: true })
  cluster.dropDatabase('murrabel')
  const world = await startWorld(folder, { entries: 1500, fast: true, fill: false, databaseUrl: undefined })
  process.env.E2E_ADDRESS = world.address
  process.env.E2E_STANDINS = String(world.standins)
  return async () => {
    await world.stop()
    cluster.stop()
  }
}
