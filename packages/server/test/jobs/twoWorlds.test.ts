import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage, ThreadAnswer } from '@murrabel/contract'
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
let second: Caller
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
  const as = async (name: 'wynn' | 'tamsin') =>
    steady(caller(address, (await world.signIn(name)).cookie, world.config.publicAddress))
  owner = await as('wynn')
  second = await as('tamsin')
}, 150_000)
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

/** What each of them began and did not send, by thread. */
const begun = { owner: new Map<number, string>(), second: new Map<number, string>() }
/** How often the second of two was told of the first. */
let told = 0

async function someThread(): Promise<ThreadAnswer | undefined> {
  const { body } = await owner<EntryPage>('GET', '/api/entries?unit=threads&state=open&limit=100')
  const row = body.rows[Math.floor(random() * body.rows.length)]
  if (!row) return undefined
  const { status, body: thread } = await owner<ThreadAnswer>('GET', `/api/threads/${row.threadId}`)
  return status === 200 && thread.reply.possible ? thread : undefined
}

/**
 * Answers to some open thread by one of two people, or by both at once; the same key until the server took it, whatever happens to
 * it meanwhile.
 *
 * @param leaves whether they go home in the middle of it, as somebody does now and then
 * @returns how many went out
 */
async function answerSome(i: number, leaves = random() < 0.2): Promise<number> {
  const thread = await someThread()
  if (!thread) return 0
  const { id, edition } = thread
  const people = [
    { call: owner, drafts: begun.owner },
    { call: second, drafts: begun.second },
  ]
  const writing = random() < 0.5 ? people : [people[i % 2]!]
  const answers = writing.map(({ call, drafts }, k) => ({
    call,
    drafts,
    body: {
      text: `Answer ${i}, thank you.${k ? ' So do I.' : ''}`,
      key: crypto.randomUUID(),
      edition,
      finish: true,
      anyway: false,
    },
  }))
  for (const { call, drafts, body } of answers) {
    const { status } = await call('PUT', `/api/threads/${id}/draft`, { text: body.text, edition })
    if (status < 300) drafts.set(id, body.text)
  }
  if (leaves) return 0
  const send = async ({ call, drafts, body }: (typeof answers)[number], anyway: boolean) => {
    const { status } = await call('POST', `/api/threads/${id}/replies`, { ...body, anyway })
    if (status === 200) drafts.delete(id)
    return status
  }
  const sent = await Promise.all(answers.map((answer) => send(answer, false)))
  expect(sent.filter((status) => status === 200).length).toBeLessThanOrEqual(1)
  let out = sent.filter((status) => status === 200).length
  for (const [k, answer] of answers.entries()) {
    if (sent[k] !== 409) continue
    told++
    const kept = (await answer.call<ThreadAnswer>('GET', `/api/threads/${id}`)).body.draft
    expect(kept?.text).toBe(answer.body.text)
    if ((await send(answer, true)) === 200) out++
  }
  return out
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
      if (answered < (answers * i) / entries) answered += await answerSome(i)
      await new Promise((resolve) => setTimeout(resolve, 15))
    }
    living.calm()
    let more = entries
    await until(async () => (answered += await answerSome(more++)) >= answers, { seconds: 60 })
    // What was begun before may have been sent since: something is left in any case.
    await until(async () => {
      await answerSome(more++, true)
      return begun.owner.size + begun.second.size > 0
    })
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
    // The second of two at one thread knew of the first, and nothing that anybody began is lost.
    expect(told).toBeGreaterThan(0)
    const left = [
      ...[...begun.owner].map(([id, text]) => ({ call: owner, id, text })),
      ...[...begun.second].map(([id, text]) => ({ call: second, id, text })),
    ]
    expect(left.length).toBeGreaterThan(0)
    for (const { call, id, text } of left)
      expect((await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body.draft?.text).toBe(text)
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
