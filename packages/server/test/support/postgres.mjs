// A private PostgreSQL for the tests; files make databases of their own in it.
import { join } from 'node:path'
import { startCluster } from '../../../../scripts/lib/cluster.mjs'
import { root } from '../../../../scripts/lib/setup.mjs'

export default async function setup(project) {
  const cluster = await startCluster(join(root, 'data/test-postgres'), { fast: true })
  // What a run that was cut short, or an earlier one, has left.
  for (const name of ['filling', 'pattern']) cluster.dropDatabase(name)
  project.provide('postgres', cluster.url('postgres'))
  return () => cluster.stop()
}
