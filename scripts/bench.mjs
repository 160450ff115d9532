// npm run bench: figures as ratios against baselines of the same run, written to docs/benchmarks.md; names of sections
// on the command line measure only those.
import { join } from 'node:path'
import { ensureNode, ensurePackages, ensurePostgres, root } from './lib/setup.mjs'

ensureNode()
ensurePackages()
ensurePostgres()
const { startCluster } = await import('./lib/cluster.mjs')
const { runProgram } = await import('./lib/processes.mjs')
const cluster = await startCluster(join(root, 'data/bench-postgres'))
try {
  for (const name of ['collecting', 'http', 'watching']) cluster.dropDatabase(name)
  await runProgram('bench/run.ts', {
    args: [
      cluster.createDatabase('collecting'),
      cluster.createDatabase('http'),
      cluster.createDatabase('watching'),
      ...process.argv.slice(2),
    ],
    show: true,
  })
} finally {
  cluster.stop()
}
