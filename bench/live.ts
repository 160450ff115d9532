import { fork } from 'node:child_process'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'
import { openDesk, type Desk } from './lib/desk.ts'
import type { Figure } from './lib/measure.ts'

const entries = 200_000
/** Notices a second: each an entry that came in. */
const stream = 20
const seconds = 25

interface Seen {
  median: number
  high: number
  questions: number
}

/** What many open inboxes cost the server while entries come in, and how old their rows are at most. */
export async function liveFigures(databaseUrl: string): Promise<Figure[]> {
  const desk = await openDesk(databaseUrl, { entries })
  const alone = await watch(desk, 10)
  const many = await watch(desk, 50)
  await desk.stop()
  const name = (n: number) => `${n} open inboxes, ${stream} entries a second: work of the server process`
  const value = ({ busyMs }: Watched) => `${Math.round(busyMs)} ms of processor time a second`
  return [
    { name: name(10), value: value(alone) },
    {
      name: name(50),
      value: value(many),
      baseline: `5 × that of 10: ${Math.round(5 * alone.busyMs)} ms`,
      ratio: `${(many.busyMs / (5 * alone.busyMs)).toFixed(2)} ×`,
      aim: 'not more than linear: at most 1 ×',
    },
    {
      name: `50 open inboxes, ${stream} entries a second: from a notice to its row`,
      value: `${Math.round(many.seen.median)} ms, 95th percentile ${Math.round(many.seen.high)} ms`,
      baseline: `${(many.seen.questions / seconds / 50).toFixed(1)} questions a second of each`,
      aim: 'at most 2,000 ms',
    },
  ]
}

interface Watched {
  busyMs: number
  seen: Seen
}

async function watch({ server, db, address, cookie }: Desk, browsers: number): Promise<Watched> {
  const { threads } = (await db.one<{ threads: number }>('SELECT max(id) AS threads FROM threads'))!
  const child = fork(fileURLToPath(new URL('lib/browsers.ts', import.meta.url)), [
    address,
    cookie,
    String(browsers),
    String(seconds),
  ])
  const seen = once(child, 'message') as Promise<[Seen]>
  let i = 0
  const news = setInterval(() => {
    const thread = 1 + ((i++ * 7919) % threads)
    void server.context.live.tell(1, { kind: 'entries', threads: [thread], count: 1 })
  }, 1000 / stream)
  const before = process.cpuUsage()
  const began = performance.now()
  const [answer] = await seen
  const { user, system } = process.cpuUsage(before)
  clearInterval(news)
  return { busyMs: (user + system) / (performance.now() - began), seen: answer }
}
