// npm run bench: figures as ratios against baselines of the same run, written to docs/benchmarks.md; names of sections
// on the command line measure only those.
import { join } from 'node:path'
import { ensureChromium, ensureNode, ensurePackages, ensurePostgres, ensureWeb, root } from './lib/setup.mjs'

ensureNode()
ensurePackages()
ensurePostgres()
const { startCluster } = await import('./lib/cluster.mjs')
const { runProgram } = await import('./lib/processes.mjs')
const wanted = process.argv.slice(2)
const asked = (section) => !wanted.length || wanted.includes(section)

const databases = [
  'Collecting',
  'HTTP',
  'Lenses',
  'Live',
  'People',
  'Rereading',
  'Together',
  'Watching',
].filter(asked)
const cluster = await startCluster(join(root, 'data/bench-postgres'))
let world = null
try {
  const env = {}
  for (const section of databases) {
    cluster.dropDatabase(section.toLowerCase())
    env[`BENCH_${section.toUpperCase()}`] = cluster.createDatabase(section.toLowerCase())
  }
  if (asked('Collecting')) {
    cluster.dropDatabase('collecting_two')
    env.BENCH_COLLECTING_TWO = cluster.createDatabase('collecting_two')
  }
  if (asked('Screen') || asked('Together')) {
    ensureChromium()
    ensureWeb()
    env.BENCH_WEB = join(root, 'packages/web/dist')
  }
  if (asked('Screen')) {
    const { startWorld } = await import('./lib/world.mjs')
    world = await startWorld(join(root, 'data/bench-world'), { say: console.log })
    env.BENCH_ADDRESS = world.address
  }
  await runProgram('bench/run.ts', { args: wanted, env, show: true })
} finally {
  await world?.stop()
  cluster.stop()
}
