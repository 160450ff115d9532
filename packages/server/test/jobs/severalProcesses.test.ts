import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage, ThreadAnswer } from '@murrabel/contract'
import { startProxy, type Proxy } from '../../../../scripts/lib/proxy.mjs'
import { addComments } from '../support/comments.ts'
import { freePort } from '../support/freePort.ts'
import { until } from '../support/until.ts'
import { startWorkerProcess, type ServerProcess } from '../support/workerProcess.ts'
import { consent, password, startTestWorld, type TestWorld } from '../support/world.ts'

const comments = 6000
let world: TestWorld
let proxy: Proxy
let address: string
let web: ServerProcess[]
let jobs: ServerProcess[]

// Two processes for browsers and two for work, behind a small proxy: one address for everybody.
beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
  addComments(world, comments, (i) => `Comment ${i}, lovely crossing`)
  const ports = [await freePort(), await freePort()]
  proxy = await startProxy(ports.map((port) => `http://127.0.0.1:${port}`))
  address = `http://127.0.0.1:${proxy.port}`
  const config = { ...world.config, publicAddress: address }
  web = ports.map((port) => startWorkerProcess(config, { role: 'web', port }))
  jobs = [startWorkerProcess(config), startWorkerProcess(config)]
  for (const port of ports)
    await until(
      () =>
        fetch(`http://127.0.0.1:${port}/alive`).then(
          ({ ok }) => ok,
          () => false,
        ),
      { seconds: 60 },
    )
}, 150_000)
afterAll(async () => {
  await Promise.all([...web, ...jobs].map((each) => each.kill()))
  await proxy.close()
  await world.stop()
})

async function signIn(): Promise<string> {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { origin: address, 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'wynn@skerrivane.example', password }),
  })
  return answer.headers.getSetCookie()[0]!.split(';')[0]!
}

/** Reads the stream of live events, and opens another when it breaks, as browsers do. */
function listen(cookie: string): { events: string[]; opened(): number; stop(): void } {
  const events: string[] = []
  const abort = new AbortController()
  let opened = 0
  void (async () => {
    while (!abort.signal.aborted)
      try {
        const { body } = await fetch(`${address}/api/live`, { headers: { cookie }, signal: abort.signal })
        opened++
        for await (const chunk of body!) events.push(Buffer.from(chunk).toString())
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 100))
      }
  })()
  return { events, opened: () => opened, stop: () => abort.abort() }
}

test('one of each is killed: nobody signs in again, nothing is lost, nothing is done twice', async () => {
  const { db } = world.server.context
  const cookie = await signIn()
  const call = async <T>(method: string, path: string, body?: unknown) => {
    const answer = await fetch(`${address}${path}`, {
      method,
      headers: { cookie, origin: address, 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    })
    return { status: answer.status, body: (await answer.json()) as T }
  }
  const live = listen(cookie)
  const { body } = await call<{ redirect: string }>('POST', '/api/profiles/connect', {
    network: 'lanternpage',
  })
  expect(await consent(body.redirect, cookie)).toMatch(/connected=\d+/)
  const stored = async () => (await db.one<{ n: number }>('SELECT count(*) AS n FROM entries'))!.n
  const rows = async () =>
    (await call<EntryPage>('GET', '/api/entries?unit=threads&state=open&limit=1')).body.rows
  await until(async () => (await rows()).length > 0)
  expect(await stored()).toBeLessThan(comments)

  // In the middle of collecting; a reply has just been asked for.
  const row = (await rows())[0]!
  const { edition } = (await call<ThreadAnswer>('GET', `/api/threads/${row.threadId}`)).body
  const reply = { text: 'Thank you!', key: crypto.randomUUID(), edition, finish: true }
  expect((await call('POST', `/api/threads/${row.threadId}/replies`, reply)).status).toBe(200)
  expect(proxy.answered.every((n) => n > 0)).toBe(true)
  const before = live.opened()
  await Promise.all([web[0]!.kill(), jobs[0]!.kill()])

  const statuses = new Set<number>()
  for (let i = 0; i < 30; i++) statuses.add((await call('GET', '/api/brand')).status)
  expect([...statuses]).toEqual([200])
  // Whoever is not sure whether a reply went through asks again under its key.
  expect((await call('POST', `/api/threads/${row.threadId}/replies`, reply)).status).toBe(200)

  await until(
    async () =>
      (await stored()) === comments + 1 &&
      (await db.one<{ n: number }>('SELECT count(*) AS n FROM entries WHERE analysed_at IS NULL'))!.n === 0 &&
      (await db.one<{ n: number }>(`SELECT count(*) AS n FROM outside_actions WHERE state = 'sent'`))!.n ===
        1,
    // Long enough for a try that failed and waits for its next, on a machine with other work.
    {
      seconds: 150,
      instead: async () => [
        await stored(),
        await db.rows('SELECT state, attempts, error FROM outside_actions'),
        await db.rows(
          'SELECT kind, state, attempts, error, next_at - now() AS due, lease_until FROM due_work',
        ),
        await db.rows('SELECT network, status, error FROM profiles'),
        [...web, ...jobs].map(({ process }) => process.exitCode ?? process.signalCode ?? 'runs'),
      ],
    },
  )
  const replies = [...world.lanternpage.state.notes.values()].filter(
    ({ content }) => content === 'Thank you!',
  )
  expect(replies).toHaveLength(1)
  // A stream of the process that was killed was opened again; events of the work come through the one that is left.
  const heard = live.events.length
  await call('POST', `/api/threads/${row.threadId}/events`, { kind: 'reopen' })
  await until(() => live.events.length > heard && live.opened() >= before)
  live.stop()
}, 240_000)
