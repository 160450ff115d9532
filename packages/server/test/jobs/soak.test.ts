import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

/** So many rounds in `npm test`; for the real soak, SOAK_MINUTES says how long it goes on. */
const fewest = 120
const minutes = Number(process.env.SOAK_MINUTES ?? 0)

let world: TestWorld
let call: Caller

beforeAll(async () => {
  world = await startTestWorld()
  world.lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  call = await world.signIn('wynn')
  await world.connect(call, 'lanternpage')
  await settled(world)
})
afterAll(() => world.stop())

setFlagsFromString('--expose-gc')
const collectGarbage = runInNewContext('gc') as () => void

/** A bit of everything that comes and goes: a message, a page, a stream that is left, work that fails. */
async function round(i: number): Promise<void> {
  await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
    method: 'POST',
    body: new URLSearchParams({ name: `Person ${i % 20}`, content: `Is the boat running, round ${i}?` }),
    redirect: 'manual',
  }).then((response) => response.text())
  const stream = await fetch(`${world.config.publicAddress}/api/live`, { headers: { cookie: call.cookie } })
  const reader = stream.body!.getReader()
  await reader.read()
  await Promise.all([
    call('GET', '/api/entries?unit=threads&state=open'),
    call('GET', '/api/nothing'),
    call('POST', '/api/watches', { name: '' }),
  ])
  await reader.cancel()
  await world.server.context.due.ask({ kind: 'look', subject: 999_999, owner: `owner ${i}` })
}

async function measured() {
  await settled(world)
  const { db } = world.server.context
  await until(async () => !(await db.rows('SELECT 1 FROM due_work WHERE lease IS NOT NULL')).length)
  collectGarbage()
  await new Promise((resolve) => setTimeout(resolve, 300))
  collectGarbage()
  const [connections] = await db.rows<{ n: number }>(
    'SELECT count(*) AS n FROM pg_stat_activity WHERE datname = current_database()',
  )
  return {
    heap: process.memoryUsage().heapUsed / 1e6,
    handles: process.getActiveResourcesInfo().filter((kind) => !/Timeout|Immediate/.test(kind)).length,
    timers: process.getActiveResourcesInfo().filter((kind) => /Timeout/.test(kind)).length,
    connections: connections!.n,
  }
}

test(
  'memory, open handles and connections are the same after many rounds',
  async () => {
    for (let i = 0; i < 40; i++) await round(i)
    const before = await measured()
    const end = Date.now() + minutes * 60_000
    let rounds = 0
    while (rounds < fewest || Date.now() < end) await round(rounds++)
    const after = await measured()
    if (minutes) process.stdout.write(`${JSON.stringify({ rounds, minutes, before, after })}\n`)
    expect(after.handles - before.handles).toBeLessThanOrEqual(12)
    expect(after.timers - before.timers).toBeLessThanOrEqual(12)
    expect(after.connections).toBeLessThanOrEqual(before.connections + 4)
    // What is kept in memory on purpose (stories, words, watches) grows with the texts, by a kilobyte or two each.
    expect(after.heap - before.heap).toBeLessThan(12 + rounds * 0.002)
  },
  120_000 + minutes * 66_000,
)
