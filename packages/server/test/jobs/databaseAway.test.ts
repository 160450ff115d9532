import { afterAll, beforeAll, expect, test } from 'vitest'
import type { LiveEvent, Problem } from '@murrabel/contract'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let call: Caller

beforeAll(async () => {
  world = await startTestWorld({ line: true })
  world.lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  call = await world.signIn('wynn')
  await world.connect(call, 'lanternpage')
  await settled(world)
})
afterAll(() => world.stop())

const health = async () => {
  const response = await fetch(`${world.config.publicAddress}/health`)
  return {
    code: response.status,
    ...((await response.json()) as { database: boolean; listener: boolean; workers: number }),
  }
}
/** The events of a browser that stays. */
async function browser(): Promise<{ events: LiveEvent[]; close(): Promise<void> }> {
  const stream = await fetch(`${world.config.publicAddress}/api/live`, { headers: { cookie: call.cookie } })
  const reader = stream.body!.getReader()
  const events: LiveEvent[] = []
  const decoder = new TextDecoder()
  const reading = (async () => {
    let left = ''
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      const lines = (left + decoder.decode(value, { stream: true })).split('\n')
      left = lines.pop() ?? ''
      for (const line of lines)
        if (line.startsWith('data: ')) events.push(JSON.parse(line.slice(6)) as LiveEvent)
    }
  })().catch(() => {})
  return {
    events,
    async close() {
      await reader.cancel()
      await reading
    },
  }
}
const write = (content: string) =>
  fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Hester Quill', content }),
    redirect: 'manual',
  })

test.each(['cut', 'hang'] as const)(
  'after the database was away (%s) every browser loads afresh, news come again, and health told the truth',
  async (how) => {
    const open = await browser()
    expect(await health()).toMatchObject({ code: 200, database: true, listener: true, workers: 1 })
    await world.line![how]()
    await until(async () => !(await health()).database, { seconds: 60 })
    expect((await health()).code).toBe(503)
    if (how === 'cut') {
      const refused = await call<Problem>('GET', '/api/brand')
      expect([refused.status, refused.body.code]).toEqual([503, 'databaseAway'])
      // The network's delivery is refused and comes again; the next look would find it in any case.
      await write('While the database was away, a fulmar')
    }
    await world.line!.restore()
    await until(async () => (await health()).code === 200, { seconds: 60 })
    await until(() => open.events.some(({ kind }) => kind === 'afresh'), { seconds: 60 })
    open.events.length = 0
    await write(`After it came back, a fulmar (${how})`)
    await until(() => open.events.some(({ kind }) => kind === 'entries'), { seconds: 60 })
    await open.close()
  },
  90_000,
)

test('what was written meanwhile has come in', async () => {
  const profiles = await call<{ id: number }[]>('GET', '/api/profiles')
  await call('POST', `/api/profiles/${profiles.body[0]!.id}/collect`)
  await until(
    async () =>
      (await call<{ count: number }>('GET', '/api/entries/count?unit=entries&words=fulmar')).body.count === 3,
    { seconds: 60 },
  )
})
