import {
  configDefaults,
  createBrand,
  openDatabase,
  start,
  migrate,
  type Database,
  type Server,
} from '@murrabel/server'
import { loadEntries } from './load.ts'
import { percentile, type Figure } from './measure.ts'

const password = 'a long enough word'
const calls = 40

/** A server on a loaded database, with somebody signed in, and figures of what it answers. */
export interface Desk {
  server: Server
  db: Database
  address: string
  /** Of who is signed in. */
  cookie: string
  get(path: string): Promise<unknown>
  post(path: string, body: unknown): Promise<unknown>
  put(path: string, body: unknown): Promise<unknown>
  /** Times many calls and keeps the figure, held against an empty answer. */
  tell(name: string, aim: string, call: (i: number) => Promise<unknown>, times?: number): Promise<void>
  figures: Figure[]
  stop(): Promise<void>
}

async function load(
  db: Database,
  { entries, ...more }: { entries: number; threads?: number; people?: number },
): Promise<void> {
  await migrate(db)
  await createBrand(db, {
    name: 'Bench',
    zone: 'Europe/London',
    languages: ['en'],
    places: Array.from({ length: 5 }, (_, i) => ({ name: `Place ${i}`, address: '', phone: '', week: null })),
    colleagues: [{ email: 'bench@skerrivane.example', name: 'Bench', password, role: 'owner' }],
  })
  await loadEntries(db, entries, more)
}

/** A database that is loaded already is taken as it is. */
export async function openDesk(
  databaseUrl: string,
  size: { entries: number; threads?: number; people?: number },
): Promise<Desk> {
  const db = openDatabase(databaseUrl)
  const loaded = await db.one<{ there: boolean }>(`SELECT to_regclass('bench_texts') IS NOT NULL AS there`)
  if (!loaded?.there) await load(db, size)
  const port = 10_000 + Math.floor(Math.random() * 20_000)
  const address = `http://127.0.0.1:${port}`
  const server = await start({
    ...configDefaults,
    databaseUrl,
    port,
    publicAddress: address,
    sealingKey: Buffer.alloc(32, 1),
    networks: [],
    allowedInnerAddresses: [],
    jobs: false,
    web: true,
    webFolder: null,
    smtpUrl: null,
    mailFrom: '',
    logLevel: 'silent',
  })
  const send = async (method: string, path: string, body?: unknown, cookie = '') => {
    const response = await fetch(`${address}${path}`, {
      method,
      headers: { origin: address, 'content-type': 'application/json', cookie },
      body: body === undefined ? undefined : JSON.stringify(body),
    })
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`)
    return response
  }
  const session = await send('POST', '/api/session', { email: 'bench@skerrivane.example', password })
  const cookie = (session.headers.get('set-cookie') ?? '').split(';')[0]!
  const get = async (path: string) => (await send('GET', path, undefined, cookie)).json() as Promise<unknown>
  const timed = async (call: (i: number) => Promise<unknown>, times: number) => {
    const took: number[] = []
    await call(0)
    for (let i = 0; i < times; i++) {
      const began = performance.now()
      await call(i)
      took.push(performance.now() - began)
    }
    return { median: percentile(took, 0.5), high: percentile(took, 0.95) }
  }
  const nothing = await timed(() => get('/alive'), calls)
  const figures: Figure[] = []
  return {
    server,
    db,
    address,
    cookie,
    get,
    post: async (path, body) => (await send('POST', path, body, cookie)).json() as Promise<unknown>,
    put: async (path, body) => (await send('PUT', path, body, cookie)).json() as Promise<unknown>,
    async tell(name, aim, call, times = calls) {
      const { median, high } = await timed(call, times)
      figures.push({
        name: `${size.entries.toLocaleString('en')} entries: ${name}`,
        value: `${median.toFixed(1)} ms, 95th percentile ${high.toFixed(1)} ms`,
        baseline: `an empty answer: ${nothing.median.toFixed(1)} ms`,
        ratio: `${(median / nothing.median).toFixed(1)} ×`,
        aim,
      })
    },
    figures,
    async stop() {
      await server.stop()
      await db.close()
    },
  }
}
