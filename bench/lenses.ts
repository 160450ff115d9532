import { writeFileSync } from 'node:fs'
import { openDesk, type Desk } from './lib/desk.ts'
import { percentile, type Figure } from './lib/measure.ts'
import { drawing, lensAddress, randomLens } from './lib/randomLens.ts'

const entries = Number(process.env.BENCH_LENS_ENTRIES ?? 1_000_000)
const threads = Math.round(entries * 0.3)
const lenses = Number(process.env.BENCH_LENS_COUNT ?? 500)
const worst = 10

interface Query {
  sql: string
  bind: unknown[]
  ms: number
}
interface Asked {
  path: string
  /** Milliseconds over HTTP, and of its queries alone. */
  ms: number
  queries: Query[]
}

/** Hears which queries an answer needs. */
function listenTo({ server }: Desk): { take(): Query[] } {
  const db = server.asked!
  const rows = db.rows.bind(db)
  let heard: Query[] = []
  const timed = async <T extends object>(
    sql: string,
    bind: unknown[] = [],
    tx?: Parameters<typeof rows>[2],
  ) => {
    const began = performance.now()
    const found = await rows<T>(sql, bind, tx)
    heard.push({ sql, bind, ms: performance.now() - began })
    return found
  }
  const one = async <T extends object>(sql: string, bind?: unknown[], tx?: Parameters<typeof rows>[2]) =>
    (await timed<T>(sql, bind, tx))[0]
  Object.assign(db, { rows: timed, one, replica: { rows: timed, one } })
  return {
    take() {
      const taken = heard
      heard = []
      return taken
    },
  }
}

async function ask({ get }: Desk, listener: { take(): Query[] }, path: string): Promise<Asked> {
  listener.take()
  const began = performance.now()
  await get(path)
  return { path, ms: performance.now() - began, queries: listener.take() }
}

/** The plan of an answer's slowest query. */
async function planOf({ server }: Desk, { queries }: Asked): Promise<string> {
  const slowest = [...queries].sort((a, b) => b.ms - a.ms)[0]!
  const lines = await server.context.db.rows<{ 'QUERY PLAN': string }>(
    `EXPLAIN (ANALYZE, BUFFERS OFF, COSTS OFF, TIMING ON) ${slowest.sql}`,
    slowest.bind,
  )
  // Where buckets begin is said once too often.
  return lines.map((line) => line['QUERY PLAN'].replace(/'\{[^']{200,}\}'/g, "'{…}'")).join('\n')
}

const kinds = {
  'a lens page': { path: (lens: string) => `/api/entries?${lens}&limit=60`, aim: 'at most 50 ms, 150 ms' },
  'the count of a lens': {
    path: (lens: string) => `/api/entries/count?${lens}`,
    aim: '95th percentile at most 200 ms',
  },
  'a tide line': { path: (lens: string) => `/api/tide?${lens}`, aim: '95th percentile at most 200 ms' },
} as const

/** What twenty lenses that somebody keeps show, and what none of them does. */
async function keptFigure(desk: Desk, draw: ReturnType<typeof drawing>, size: string): Promise<Figure> {
  const { get, post } = desk
  for (let kept = 0; kept < 20;) {
    const pairs = new URLSearchParams(lensAddress(randomLens(draw)))
    if (pairs.get('unit') !== 'threads') continue
    pairs.delete('unit')
    // Most are on what waits; every fourth on anything.
    if (kept % 4) {
      pairs.set('state', 'open')
      pairs.set('origin', 'sent,watched')
    }
    await post('/api/lenses', { name: `Lens ${++kept}`, lens: pairs.toString() })
  }
  const times: number[] = []
  const { live } = desk.server.context
  for (let i = 0; i < 40; i++) {
    // Each time after something happened in five threads.
    await live.tell(1, {
      kind: 'thread',
      threads: [1, 2, 3, 4, 5].map((k) => ((i * 5 + k) * 7919) % threads),
    })
    const began = performance.now()
    await get('/api/lenses/counts')
    times.push(performance.now() - began)
  }
  const later = times.slice(2)
  return {
    name: `${size}: what 20 kept lenses show, together`,
    value: `${percentile(later, 0.5).toFixed(0)} ms, 95th percentile ${percentile(later, 0.95).toFixed(0)} ms`,
    baseline: `the first ${times[0]!.toFixed(0)} ms, the second, which keeps them, ${times[1]!.toFixed(0)} ms`,
    aim: 'under 200 ms',
  }
}

/** What answers begin with, the day and the week, in the same world. */
async function dayFigures(desk: Desk, listener: { take(): Query[] }, size: string): Promise<Figure[]> {
  const paths = {
    'what an answer begins with: the nearest earlier ones': {
      path: (i: number) => `/api/threads/${1 + ((i * 7919) % threads)}/starts`,
      times: 60,
      aim: 'at most 150 ms, 400 ms',
    },
    'what somebody should know today': { path: () => '/api/today', times: 20, aim: 'at most 150 ms' },
    'what is unusual today': { path: () => '/api/today/unusual', times: 4, aim: 'at most 3 s' },
    'what the week ahead is simulated from': { path: () => '/api/week-ahead', times: 4, aim: 'at most 2 s' },
  }
  const figures: Figure[] = []
  for (const [name, { path, times, aim }] of Object.entries(paths)) {
    const asked: Asked[] = []
    for (let i = 0; i < times; i++) asked.push(await ask(desk, listener, path(i)))
    const ms = asked.map((each) => each.ms)
    const slowest = asked.reduce((a, b) => (b.ms > a.ms ? b : a))
    const query = Math.max(0, ...slowest.queries.map((each) => each.ms))
    figures.push({
      name: `${size}: ${name}`,
      value: `${percentile(ms, 0.5).toFixed(0)} ms, 95th percentile ${percentile(ms, 0.95).toFixed(0)} ms`,
      baseline: `the slowest query of the slowest: ${query.toFixed(0)} ms`,
      aim,
    })
  }
  return figures
}

/** Lenses that the interface can make, drawn at random, over HTTP at a million entries; the worst with their plans. */
export async function lensFigures(databaseUrl: string): Promise<{ figures: Figure[]; plans: string }> {
  const desk = await openDesk(databaseUrl, { entries, threads })
  const listener = listenTo(desk)
  const draw = drawing(17)
  const drawn = Array.from({ length: lenses }, () => lensAddress(randomLens(draw)))
  const size = `${entries.toLocaleString('en')} entries in ${threads.toLocaleString('en')} threads`
  const figures: Figure[] = []
  const all: Asked[] = []
  const told = (name: string, aim: string, asked: Asked[]) => {
    const bare = asked.map(({ queries }) => Math.max(...queries.map(({ ms }) => ms)))
    const median = percentile(
      asked.map((a) => a.ms),
      0.5,
    )
    figures.push({
      name: `${size}: ${name}, ${asked.length} at random`,
      value: `${median.toFixed(1)} ms, 95th percentile ${percentile(
        asked.map((a) => a.ms),
        0.95,
      ).toFixed(1)} ms`,
      baseline: `its slowest query alone: ${percentile(bare, 0.5).toFixed(1)} ms`,
      ratio: `${(median / percentile(bare, 0.5)).toFixed(1)} ×`,
      aim: `${aim}; three times the bare query`,
    })
  }
  for (const [name, { path, aim }] of Object.entries(kinds)) {
    const asked: Asked[] = []
    for (const lens of drawn) asked.push(await ask(desk, listener, path(lens)))
    told(name, aim, asked)
    all.push(...asked)
  }
  const opened: Asked[] = []
  for (let i = 0; i < 200; i++)
    opened.push(await ask(desk, listener, `/api/threads/${1 + ((i * 7919) % threads)}`))
  told('a thread', 'at most 50 ms, 150 ms', opened)
  figures.push(await keptFigure(desk, draw, size))
  figures.push(...(await dayFigures(desk, listener, size)))
  if (process.env.BENCH_RAW)
    writeFileSync(
      process.env.BENCH_RAW,
      JSON.stringify(all.map(({ path, ms, queries }) => ({ path, ms, queries }))),
    )
  let plans = '\nThe ten worst of them, with the plan of their slowest query:\n'
  for (const asked of [...all].sort((a, b) => b.ms - a.ms).slice(0, worst))
    plans += `\n### ${asked.path.replace(/^\/api\//, '')}\n\n${asked.ms.toFixed(0)} ms.\n\n\`\`\`\n${await planOf(desk, asked)}\n\`\`\`\n`
  await desk.stop()
  return { figures, plans }
}
