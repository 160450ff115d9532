import type { EntryPage } from '@murrabel/contract'
import { createBrand, openDatabase, start, migrate } from '@murrabel/server'
import { loadEntries } from './lib/load.ts'
import { percentile, type Figure } from './lib/measure.ts'

const count = Number(process.env.BENCH_ENTRIES ?? 200_000)
const password = 'a long enough word'
const calls = 40

/** Lens pages, tide line and thread over HTTP, on a database of 200,000 entries. */
export async function httpFigures(databaseUrl: string): Promise<Figure[]> {
  const db = openDatabase(databaseUrl)
  await migrate(db)
  await createBrand(db, {
    name: 'Bench',
    zone: 'Europe/London',
    languages: ['en'],
    places: Array.from({ length: 5 }, (_, i) => ({ name: `Place ${i}`, address: '', phone: '', week: null })),
    colleagues: [{ email: 'bench@skerrivane.example', name: 'Bench', password, role: 'owner' }],
  })
  await loadEntries(db, count)
  const port = 10_000 + Math.floor(Math.random() * 20_000)
  const publicAddress = `http://127.0.0.1:${port}`
  const server = await start({
    databaseUrl,
    port,
    publicAddress,
    sealingKey: Buffer.alloc(32, 1),
    networks: [],
    allowedInnerAddresses: [],
    jobs: false,
    web: true,
    webFolder: null,
    smtpUrl: null,
    mailFrom: '',
    logLevel: 'silent',
    leaseSeconds: 20,
  })
  const session = await fetch(`${publicAddress}/api/session`, {
    method: 'POST',
    headers: { origin: publicAddress, 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'bench@skerrivane.example', password }),
  })
  const cookie = (session.headers.get('set-cookie') ?? '').split(';')[0]!
  const get = async (path: string) => {
    const response = await fetch(`${publicAddress}${path}`, { headers: { cookie } })
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
    return response.json() as Promise<unknown>
  }
  const timed = async (path: (i: number) => string) => {
    const took: number[] = []
    await get(path(0))
    for (let i = 0; i < calls; i++) {
      const began = performance.now()
      await get(path(i))
      took.push(performance.now() - began)
    }
    return { median: percentile(took, 0.5), high: percentile(took, 0.95) }
  }
  const nothing = await timed(() => '/health')
  const figures: Figure[] = []
  const tell = async (name: string, aim: string, path: (i: number) => string) => {
    const { median, high } = await timed(path)
    figures.push({
      name,
      value: `${median.toFixed(1)} ms, 95th percentile ${high.toFixed(1)} ms`,
      baseline: `an empty answer: ${nothing.median.toFixed(1)} ms`,
      ratio: `${(median / nothing.median).toFixed(1)} ×`,
      aim,
    })
  }
  const page = 'at most 50 ms, 150 ms'
  await tell(
    'lens page, open, most pressing first',
    page,
    () => '/api/entries?unit=threads&state=open&time=last-14&order=pressing',
  )
  await tell('lens page, everything, newest first', page, () => '/api/entries?unit=entries')
  await tell(
    'lens page, negative at two places',
    page,
    (i) => `/api/entries?unit=threads&felt=negative&place=${1 + (i % 4)},${2 + (i % 4)}`,
  )
  await tell(
    'lens page, words',
    page,
    (i) => `/api/entries?unit=entries&words=${['refund', 'galley', 'porpoises', 'toilets', 'bacon'][i % 5]}`,
  )
  await tell('lens page, a watch', page, (i) => `/api/entries?unit=entries&watch=${1 + (i % 20)}`)
  const deep = (await get('/api/entries?unit=entries&time=last-365&limit=200')) as EntryPage
  await tell(
    'lens page, far down the list',
    page,
    () => `/api/entries?unit=entries&time=last-365&after=${deep.next}`,
  )
  await tell(
    'count of a lens',
    page,
    () => '/api/entries/count?unit=threads&state=open&time=last-14&order=pressing',
  )
  await tell(
    'tide line, everything, from roll-ups',
    'at most 200 ms',
    () => '/api/tide?unit=entries&time=last-14',
  )
  await tell(
    'tide line, open threads',
    'at most 200 ms',
    () => '/api/tide?unit=threads&state=open&time=last-14',
  )
  await tell(
    'chart of a watch over a year',
    'at most 200 ms',
    (i) => `/api/tide?unit=entries&watch=${1 + (i % 20)}&time=last-365&span=range`,
  )
  await tell('thread', page, (i) => `/api/threads/${1 + i * 997}`)
  await server.stop()
  await db.close()
  return figures.map((f) => ({ ...f, name: `${count.toLocaleString('en')} entries: ${f.name}` }))
}
