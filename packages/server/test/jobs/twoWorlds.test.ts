import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage } from '@murrabel/contract'
import { insideOf, livingWorld, type LivingWorld, type Standing } from '../support/livingWorld.ts'
import { freePort } from '../support/freePort.ts'
import { until } from '../support/until.ts'
import { startWorkerProcess, type ServerProcess } from '../support/workerProcess.ts'
import { caller, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

/** Small in `npm test`; `npm run soak` asks for 10,000 and 1,000. */
const entries = Number(process.env.WORLDS_ENTRIES ?? 100)
const answers = Number(process.env.WORLDS_ANSWERS ?? 20)

let world: TestWorld
let living: LivingWorld
let owner: Caller
/** A server of browsers that is killed as well; the one of the world is the address that networks know. */
let web: ServerProcess
const workers: ServerProcess[] = []
let webPort: number
const startWeb = () => startWorkerProcess(world.config, { role: 'web', port: webPort })
let seed = 7
/** The same course of events every time, as far as the processes allow. */
function random(): number {
  seed = (seed + 0x6d2b79f5) | 0
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed)
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
  return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
}

beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
  webPort = await freePort()
  const address = `http://127.0.0.1:${webPort}`
  living = await livingWorld(world, random, { address })
  await world.restart()
  web = startWeb()
  owner = steady(caller(address, (await world.signIn('wynn')).cookie, world.config.publicAddress))
}, 60_000)
afterAll(async () => {
  for (const worker of workers) await worker.kill()
  await web.kill()
  await world.stop()
  await living.close()
})

/** Asks again until somebody answers. */
function steady(call: Caller): Caller {
  const asked: Caller = Object.assign(
    async <T>(method: string, path: string, body?: unknown) => {
      for (;;) {
        const answer = await call<T>(method, path, body).catch(() => null)
        if (answer && answer.status < 500) return answer
        await new Promise((resolve) => setTimeout(resolve, 100))
      }
    },
    { cookie: call.cookie },
  )
  return asked
}

const sorted = (standing: Standing): Standing =>
  Object.fromEntries(
    Object.entries(standing)
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .map(([network, { theirs, ours }]) => [network, { theirs: theirs.toSorted(), ours: ours.toSorted() }]),
  )

/** An answer to some open thread; the same key until the server took it, whatever happens to it meanwhile. */
async function answerSome(i: number): Promise<boolean> {
  const key = crypto.randomUUID()
  const { body } = await owner<EntryPage>('GET', '/api/entries?unit=threads&state=open&limit=100')
  const row = body.rows[Math.floor(random() * body.rows.length)]
  if (!row) return false
  const draft = { text: `Answer ${i}, thank you.`, key, edition: 0, finish: true, anyway: true }
  return (await owner('POST', `/api/threads/${row.threadId}/replies`, draft)).status === 200
}

test(
  'after faults and killed processes, both worlds hold the same, and each answer once',
  async () => {
    await living.connect(owner)
    workers.push(...[0, 1].map(() => startWorkerProcess(world.config)))
    const db = () => world.server.context.db
    const every = (n: number, i: number) => i % n === n - 1
    let answered = 0
    for (let i = 0; i < entries; i++) {
      await living.say()
      if (every(4, i)) living.change()
      if (every(6, i)) living.fault()
      if (every(Math.ceil(entries / 6), i)) {
        const which = Math.floor(random() * workers.length)
        await workers[which]!.kill()
        workers[which] = startWorkerProcess(world.config)
      }
      if (every(Math.ceil(entries / 2), i)) await world.restart()
      if (every(Math.ceil(entries / 5), i)) {
        await web.kill()
        web = startWeb()
      }
      if (every(Math.ceil(entries / 7), i)) await living.kill()
      if (answered < (answers * i) / entries && (await answerSome(answered))) answered++
      await new Promise((resolve) => setTimeout(resolve, 15))
    }
    living.calm()
    await until(async () => (await answerSome(answered)) && ++answered >= answers, { seconds: 60 })
    /** What waits for its next try is asked for now, as a person would. */
    async function push(): Promise<void> {
      const open = await db().rows<{ id: number }>(
        `SELECT id FROM outside_actions WHERE state = 'waiting' OR (state = 'failed' AND error NOT LIKE 'gone%')`,
      )
      for (const { id } of open) await owner('POST', `/api/actions/${id}/retry`)
      for (const { id } of await db().rows<{ id: number }>(`SELECT id FROM profiles`))
        await owner('POST', `/api/profiles/${id}/collect`)
    }
    const same = async () =>
      JSON.stringify(sorted(await insideOf(db(), living.networks))) ===
      JSON.stringify(sorted(await living.outside()))
    const end = Date.now() + 60_000 + entries * 20
    while (!(await same()) && Date.now() < end) {
      await push()
      await new Promise((resolve) => setTimeout(resolve, 1000))
    }
    const outside = sorted(await living.outside())
    expect(sorted(await insideOf(db(), living.networks))).toEqual(outside)
    const all = Object.values(outside)
    // The comparison says something of every network.
    expect(Object.entries(outside).filter(([, { theirs }]) => !theirs.length)).toEqual([])
    const ours = all.flatMap((each) => each.ours).toSorted()
    expect(new Set(ours).size).toBe(ours.length)
    // What somebody took away before we answered it has no answer outside, and its answer says so here.
    const [undone] = await db().rows<{ n: number }>(
      `SELECT count(*) AS n FROM outside_actions WHERE state = 'failed' AND error LIKE 'gone%'`,
    )
    expect(ours).toHaveLength(answered - undone!.n)
    expect(all.flatMap(({ theirs }) => theirs).length).toBeGreaterThan(entries / 2)
    // Everything that came in was read, and counted once.
    await until(
      async () =>
        (await db().one<{ n: number }>('SELECT count(*) AS n FROM entries WHERE analysed_at IS NULL'))?.n ===
        0,
    )
    const counted = await db().one<{ rolled: number; there: number }>(
      `SELECT (SELECT sum(n) FROM rollups)::int AS rolled, (SELECT count(*) FROM entries WHERE direction = 'in')::int AS there`,
    )
    expect(counted!.rolled).toBe(counted!.there)
  },
  180_000 + entries * 100,
)
