import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { start } from '@murrabel/server'
import { freePort } from '../support/freePort.ts'
import { addComments } from '../support/comments.ts'
import { until } from '../support/until.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { startWorkerProcess } from '../support/workerProcess.ts'

const notes = 900
let world: TestWorld
let owner: Caller

beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
  addComments(world, notes, (i) => `Comment ${i}, lovely crossing`)
  owner = await world.signIn('wynn')
})
afterAll(() => world.stop())

/** Runs a worker until the network sees the n-th request of a kind at a moment, and kills it right there. */
async function killAt(method: string, moment: 'arrived' | 'answered', count: number): Promise<void> {
  const worker = startWorkerProcess(world.config)
  await new Promise<void>((resolve) => {
    let seen = 0
    world.lanternpage.board.observe = (request, when) => {
      if (request.method !== method || when !== moment || !request.path.endsWith('/stream') || ++seen < count)
        return
      world.lanternpage.board.observe = () => {}
      void worker.kill().then(resolve)
    }
  })
}

/** Each of these starts several processes one after the other, which takes most of its time. */
const timeout = 90_000

describe('a job worker that is killed', { timeout }, () => {
  test('in the middle of collecting, at several points, loses nothing and doubles nothing', async () => {
    await world.connect(owner, 'lanternpage')
    await killAt('GET', 'arrived', 1)
    // The third page is asked for when the first is stored, so something is kept at each of these points.
    await killAt('GET', 'answered', 3)
    await killAt('GET', 'arrived', 2)
    const { db } = world.server.context
    const stored = await db.one<{ n: number }>('SELECT count(*) AS n FROM entries')
    expect(stored!.n).toBeGreaterThan(0)
    expect(stored!.n).toBeLessThan(notes)
    const worker = startWorkerProcess(world.config)
    await until(
      async () =>
        (await db.one<{ n: number }>(`SELECT count(*) AS n FROM profiles WHERE status = 'connected'`))?.n ===
        1,
      { seconds: 60 },
    )
    await until(
      async () =>
        (await db.one<{ n: number }>('SELECT count(*) AS n FROM entries WHERE analysed_at IS NULL'))?.n === 0,
    )
    await worker.kill()
    const rows = await db.rows<{ outsideId: string }>(`SELECT outside_id AS "outsideId" FROM entries`)
    expect(new Set(rows.map((r) => r.outsideId))).toEqual(new Set(world.lanternpage.state.notes.keys()))
    expect(rows).toHaveLength(notes)
    const sums = await db.one<{ rolled: number; leads: number; threads: number }>(
      `SELECT (SELECT sum(n) FROM rollups) AS rolled, (SELECT count(*) FROM entries WHERE lead) AS leads, (SELECT count(*) FROM threads WHERE lead_entry_id IS NOT NULL) AS threads`,
    )
    expect(sums).toEqual({ rolled: notes - 1, leads: notes - 1, threads: notes - 1 })
  })

  test('in the middle of sending, before and after the network took the reply, sends it exactly once', async () => {
    const { db } = world.server.context
    const threads = await db.rows<{ id: number; edition: number }>(
      `SELECT id, edition FROM threads WHERE state = 'open' ORDER BY id LIMIT 3`,
    )
    for (const [i, { id, edition }] of threads.entries()) {
      const answer = await owner('POST', `/api/threads/${id}/replies`, {
        text: `Reply ${i}`,
        key: crypto.randomUUID(),
        edition,
        finish: true,
      })
      expect(answer.status).toBe(200)
      await killAt('POST', i === 0 ? 'arrived' : 'answered', 1)
    }
    const worker = startWorkerProcess(world.config)
    await until(
      async () =>
        (await db.one<{ n: number }>(`SELECT count(*) AS n FROM outside_actions WHERE state = 'sent'`))?.n ===
        3,
      { seconds: 60 },
    )
    await worker.kill()
    const published = world.lanternpage.state
      .notesOf('skerrivane')
      .filter((n) => n.content.startsWith('Reply '))
    expect(published.map((n) => n.content).sort()).toEqual(['Reply 0', 'Reply 1', 'Reply 2'])
    const ours = await db.rows<{ text: string; outsideId: string | null }>(
      `SELECT text, outside_id AS "outsideId" FROM entries WHERE direction = 'out' AND text LIKE 'Reply %' ORDER BY text`,
    )
    expect(ours.map((o) => o.text)).toEqual(['Reply 0', 'Reply 1', 'Reply 2'])
    expect(new Set(ours.map((o) => o.outsideId))).toEqual(new Set(published.map((n) => n.id)))
  })

  test('an answer that is lost on the way is asked for again under the same key', async () => {
    world.lanternpage.board.faults.lostAnswers = 2
    const { db } = world.server.context
    const thread = await db.one<{ id: number; edition: number }>(
      `SELECT id, edition FROM threads WHERE state = 'open' ORDER BY id DESC LIMIT 1`,
    )
    await owner('POST', `/api/threads/${thread!.id}/replies`, {
      text: 'Once only',
      key: crypto.randomUUID(),
      edition: thread!.edition,
    })
    const worker = startWorkerProcess(world.config)
    await until(
      async () =>
        (
          await db.one<{ n: number }>(
            `SELECT count(*) AS n FROM outside_actions WHERE payload->>'text' = 'Once only' AND state = 'sent'`,
          )
        )?.n === 1,
      { seconds: 60 },
    )
    await worker.kill()
    expect(
      world.lanternpage.state.notesOf('skerrivane').filter((n) => n.content === 'Once only'),
    ).toHaveLength(1)
  })
})

test('two servers on one database serve one team: what one takes in, the other tells', async () => {
  const port = await freePort()
  const second = await start({ ...world.config, port, publicAddress: `http://127.0.0.1:${port}`, jobs: true })
  const stream = await fetch(`${second.address}/api/live`, { headers: { cookie: owner.cookie } })
  const reader = stream.body!.getReader()
  await reader.read()
  const row = await world.server.context.db.one<{ id: number }>(
    `SELECT id FROM threads WHERE state = 'open' LIMIT 1`,
  )
  await owner('POST', `/api/threads/${row!.id}/events`, { kind: 'finish' })
  const { value } = await reader.read()
  expect(JSON.parse(new TextDecoder().decode(value).replace(/^data: /, ''))).toEqual({
    kind: 'thread',
    threads: [row!.id],
  })
  await reader.cancel()
  await second.stop()
})
