import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  startLanternpage,
  startMailroom,
  startOpenNet,
  startPress,
  startReviewSite,
  demoClient,
  type Lanternpage,
  type Mailroom,
  type OpenNet,
  type Press,
  type ReviewSite,
} from '@murrabel/standins'
import {
  configDefaults,
  createBrand,
  migrate,
  openDatabase,
  start,
  type BrandSeed,
  type Config,
  type Server,
} from '@murrabel/server'
import { cutLine, type CutLine } from './cutLine.ts'
import { filledDatabase, type TestDatabase } from './database.ts'
import { freePort } from './freePort.ts'
import { until } from './until.ts'

export const password = 'a long enough word'

export const testBrand: BrandSeed = {
  name: 'Skerrivane Ferries',
  zone: 'Europe/London',
  languages: ['en', 'fr'],
  places: [
    { name: 'Port Ellery', address: '1 Ferry Terminal', phone: '', week: null },
    { name: 'Dunmarrow', address: 'Harbour Road 12', phone: '', week: null },
  ],
  colleagues: [
    { email: 'wynn@skerrivane.example', name: 'Wynn Adair', password, role: 'owner' },
    { email: 'tamsin@skerrivane.example', name: 'Tamsin Kerr', password, role: 'specialist' },
    {
      email: 'ness@skerrivane.example',
      name: 'Ness Pascoe',
      password,
      role: 'placeManager',
      places: ['Dunmarrow'],
    },
    { email: 'rowan@skerrivane.example', name: 'Rowan Teague', password, role: 'reader' },
  ],
}

export interface Caller {
  <T = unknown>(method: string, path: string, body?: unknown): Promise<{ status: number; body: T }>
  cookie: string
}

export interface TestWorld {
  database: TestDatabase
  /** The server's way to its database, where it can be cut. */
  line: CutLine | null
  config: Config
  server: Server
  lanternpage: Lanternpage
  wherabout: ReviewSite
  press: Press
  skimmer: OpenNet
  talkstead: OpenNet
  mailroom: Mailroom
  signIn(who: 'wynn' | 'tamsin' | 'ness' | 'rowan'): Promise<Caller>
  /** Connects a network as its owner would, with consent for everything. */
  connect(call: Caller, network: string): Promise<string>
  restart(): Promise<void>
  stop(): Promise<void>
}

/** @param origin the address its pages come from, where that is another */
export function caller(address: string, cookie: string, origin = address): Caller {
  const call = async <T>(method: string, path: string, body?: unknown) => {
    const response = await fetch(`${address}${path}`, {
      method,
      headers: {
        origin,
        cookie,
        ...(body === undefined
          ? {}
          : { 'content-type': typeof body === 'string' ? 'text/plain' : 'application/json' }),
      },
      // A text is sent as it is: a file, or a body that is none.
      body: body === undefined || typeof body === 'string' ? body : JSON.stringify(body),
    })
    const text = await response.text()
    const type = response.headers.get('content-type') ?? ''
    return { status: response.status, body: (type.includes('json') && text ? JSON.parse(text) : text) as T }
  }
  return Object.assign(call, { cookie })
}

/** Gives consent on a network's page and follows the way back; tells where the browser lands. */
export async function consent(
  redirect: string,
  cookie: string,
  answer: 'grant' | 'refuse' = 'grant',
): Promise<string> {
  const page = await (await fetch(redirect)).text()
  const fields = [...page.matchAll(/<input type="(?:hidden|checkbox)" name="([^"]+)" value="([^"]*)"/g)].map(
    ([, n, v]) => [n!, v!.replace(/&amp;/g, '&')] as [string, string],
  )
  const granted = await fetch(redirect, {
    method: 'POST',
    body: new URLSearchParams([...fields, ['answer', answer]]),
    redirect: 'manual',
  })
  const back = await fetch(granted.headers.get('location') ?? '', { headers: { cookie }, redirect: 'manual' })
  return back.headers.get('location') ?? String(back.status)
}

async function makeTestBrand(url: string): Promise<void> {
  const db = openDatabase(url)
  await migrate(db)
  await createBrand(db, testBrand)
  await db.close()
}

export async function startTestWorld({
  jobs = true,
  line = false,
  allowed = [],
  mail = false,
}: { jobs?: boolean; line?: boolean; allowed?: string[]; mail?: boolean } = {}): Promise<TestWorld> {
  const database = await filledDatabase(makeTestBrand)
  const [lanternpage, wherabout, press, skimmer, talkstead, mailroom] = await Promise.all([
    startLanternpage(),
    startReviewSite('wherabout'),
    startPress(),
    startOpenNet('skimmer'),
    startOpenNet('talkstead'),
    startMailroom(),
  ])
  const port = await freePort()
  const cut = line ? await cutLine(database.url) : null
  const config: Config = {
    ...configDefaults,
    databaseUrl: cut?.url ?? database.url,
    port,
    publicAddress: `http://127.0.0.1:${port}`,
    sealingKey: Buffer.alloc(32, 7),
    filesFolder: await mkdtemp(join(tmpdir(), 'murrabel-files-')),
    networks: [
      {
        network: 'lanternpage',
        name: 'Lanternpage',
        channel: 'pages',
        address: lanternpage.address,
        ...demoClient,
      },
      { network: 'wherabout', name: 'Wherabout', channel: 'maps', address: wherabout.address, ...demoClient },
      { network: 'skimmer', name: 'Skimmer', channel: 'posts', address: skimmer.address, ...demoClient },
      {
        network: 'talkstead',
        name: 'Talkstead',
        channel: 'forum',
        address: talkstead.address,
        ...demoClient,
      },
    ],
    allowedInnerAddresses: [
      new URL(press.address).host,
      new URL(mailroom.address).host,
      `127.0.0.1:${mailroom.smtpPort}`,
      `127.0.0.1:${mailroom.imapPort}`,
      ...allowed,
    ],
    jobs,
    web: true,
    webFolder: null,
    smtpUrl: mailroom.smtpUrl,
    mailPort: mail ? 0 : null,
    mailFrom: 'Murrabel <murrabel@skerrivane.example>',
    logLevel: process.env.TEST_LOG ?? 'silent',
    leaseSeconds: 2,
  }
  let server = await start(config)
  return {
    database,
    line: cut,
    config,
    get server() {
      return server
    },
    lanternpage,
    wherabout,
    press,
    skimmer,
    talkstead,
    mailroom,
    async signIn(who) {
      const response = await fetch(`${config.publicAddress}/api/session`, {
        method: 'POST',
        headers: { origin: config.publicAddress, 'content-type': 'application/json' },
        body: JSON.stringify({ email: `${who}@skerrivane.example`, password }),
      })
      return caller(config.publicAddress, (response.headers.get('set-cookie') ?? '').split(';')[0]!)
    },
    async connect(call, network) {
      const { body } = await call<{ redirect: string }>('POST', '/api/profiles/connect', { network })
      return consent(body.redirect, call.cookie)
    },
    async restart() {
      await server.stop()
      server = await start(config)
    },
    async stop() {
      await server.stop()
      await Promise.all(
        [lanternpage, wherabout, press, skimmer, talkstead, mailroom].map((each) => each.close()),
      )
      await cut?.close()
      await database.drop()
      await rm(config.filesFolder, { recursive: true, force: true })
    },
  }
}

/** Waits until everything collected has been read. */
export async function settled({ server }: TestWorld): Promise<void> {
  const { db } = server.context
  await until(async () => {
    const open = await db.one<{ n: number }>(
      `SELECT (SELECT count(*) FROM entries WHERE analysed_at IS NULL) + (SELECT count(*) FROM profiles WHERE status = 'collecting')
         + (SELECT count(*) FROM due_work WHERE kind IN ('analyse', 'import', 'watchHistory', 'reread', 'readAgain', 'meet') AND state = 'due') AS n`,
    )
    return open?.n === 0
  })
}
