import { createServer, connect, type Server as Proxy, type Socket } from 'node:net'
import { once } from 'node:events'
import { fork, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { chromium, type Browser, type Page } from '@playwright/test'
import { generateWorld } from '@murrabel/demo'
import { demoClient, startLanternpage, type NoteRecord } from '@murrabel/standins'
import { configDefaults, createBrand, start } from '@murrabel/server'
import { seal } from '../packages/server/src/access/seal.ts'
import { chromiumProgram } from '../scripts/lib/setup.mjs'
import type { Figure } from './lib/measure.ts'

const browsers = Number(process.env.BENCH_BROWSERS ?? 50)
const processes = 2
/** What is there before, and what comes in while all look on. */
const entries = 5_000
const perSecond = 20
const seconds = 40
const key = Buffer.alloc(32, 1)
const password = 'a long enough word'
/** Tall enough for the whole first page of a list. */
const viewport = { width: 1280, height: 6_000 }

/** One address for several processes: each connection goes to the next that takes it. */
async function balance(ports: number[]): Promise<{ port: number; proxy: Proxy }> {
  let next = 0
  const proxy = createServer((client) => {
    const to = (left: number): void => {
      const backend: Socket = connect(ports[next++ % ports.length]!, '127.0.0.1')
      let taken = false
      backend.on('connect', () => {
        taken = true
        client.pipe(backend).pipe(client)
      })
      backend.on('error', () => (taken || !left ? client.destroy() : to(left - 1)))
      backend.on('close', () => taken && client.destroy())
      client.on('close', () => backend.destroy())
    }
    client.on('error', () => {})
    to(ports.length)
  })
  proxy.listen(0, '127.0.0.1')
  await once(proxy, 'listening')
  return { port: (proxy.address() as { port: number }).port, proxy }
}

function startWeb(databaseUrl: string, port: number, publicAddress: string, webFolder: string): ChildProcess {
  return fork(fileURLToPath(new URL('lib/workerProcess.ts', import.meta.url)), [], {
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      MURRABEL_KEY: key.toString('base64'),
      MURRABEL_ROLE: 'web',
      MURRABEL_WEB: webFolder,
      PORT: String(port),
      PUBLIC_ADDRESS: publicAddress,
      LOG_LEVEL: 'silent',
    },
  })
}

/** What a page shows: the figure of its lens, and each row of its list. */
const shownOn = (page: Page): Promise<string[]> =>
  page.evaluate<string[]>(
    `[...document.querySelectorAll('[data-test="count"], [data-thread]')].map((each) => (each.dataset.thread ?? '') + ' ' + each.textContent.replace(/\\s+/g, ' ').trim())`,
  )

/** How many open pages end with what a page shows that is opened then. */
async function sameAsFresh(
  browser: Browser,
  pages: Page[],
  addresses: string[],
  state: object,
): Promise<number> {
  const context = await browser.newContext({ viewport, locale: 'en-GB', storageState: state as never })
  const fresh: string[][] = []
  for (const address of addresses) {
    const page = await context.newPage()
    await page.goto(address)
    await page.locator('[data-thread]').first().waitFor()
    await page.waitForLoadState('networkidle').catch(() => {})
    fresh.push(await shownOn(page))
  }
  await context.close()
  let same = 0
  for (const [i, page] of pages.entries()) {
    const shown = await shownOn(page)
    const expected = fresh[i % addresses.length]!
    if (JSON.stringify(shown) === JSON.stringify(expected)) same++
  }
  return same
}

/** Many people at one inbox, served by two processes of which one is killed, while entries come in. */
export async function togetherFigures(databaseUrl: string, webFolder: string): Promise<Figure[]> {
  const lanternpage = await startLanternpage()
  const world = generateWorld({ end: Date.now(), entries: Math.round(entries * 1.7) })
  const lines = world.lanternpage
  const notes = lines.filter((line): line is NoteRecord => line.op === 'note')
  const later = new Set(notes.filter((note) => !note.inReplyTo).slice(-perSecond * seconds))
  for (const line of lines) if (!later.has(line as NoteRecord)) lanternpage.state.add(line)
  const token = {
    access: 'bench',
    refresh: 'bench',
    expires: Date.now() + 3_600_000,
    resources: [...lanternpage.state.pages.keys()],
  }
  lanternpage.allow(token)
  const ports = Array.from({ length: processes }, () => 10_000 + Math.floor(Math.random() * 20_000))
  const { port, proxy } = await balance(ports)
  const address = `http://localhost:${port}`
  const jobs = await start({
    ...configDefaults,
    databaseUrl,
    port: 0,
    publicAddress: address,
    sealingKey: key,
    networks: [
      {
        network: 'lanternpage',
        name: 'Lanternpage',
        channel: 'pages',
        address: lanternpage.address,
        ...demoClient,
      },
    ],
    allowedInnerAddresses: [],
    jobs: true,
    web: false,
    webFolder: null,
    smtpUrl: null,
    mailFrom: '',
    logLevel: 'silent',
  })
  const { db, due, models } = jobs.context
  const brandId = await createBrand(db, {
    name: 'Bench',
    zone: 'Europe/London',
    languages: ['en'],
    places: [],
    colleagues: [{ email: 'bench@skerrivane.example', name: 'Bench', password, role: 'owner' }],
  })
  const profiles: number[] = []
  for (const { id, name } of lanternpage.state.pages.values()) {
    const profile = await models.Profile.create({
      brandId,
      channel: 'pages',
      network: 'lanternpage',
      outsideId: id,
      name,
      status: 'collecting',
      hookToken: id,
      keySealed: seal(JSON.stringify(token), key),
    })
    profiles.push(profile.id)
  }
  const collect = () =>
    due.ask(profiles.map((subject) => ({ kind: 'collect' as const, subject, owner: 'lanternpage' })))
  const settled = async (): Promise<number> => {
    for (;;) {
      const open = await db.one<{ n: number; waits: boolean }>(
        `SELECT count(*)::int AS n, bool_or(analysed_at IS NULL) AS waits FROM entries`,
      )
      if (open && !open.waits && open.n >= lanternpage.state.notes.size * 0.9) return open.n
      await new Promise((resolve) => setTimeout(resolve, 500))
    }
  }
  await collect()
  await settled()
  const web = ports.map((each) => startWeb(databaseUrl, each, address, webFolder))
  await Promise.all(web.map((each) => once(each, 'message')))
  const browser = await chromium.launch({ executablePath: chromiumProgram })
  const signed = await browser.newContext({ viewport, locale: 'en-GB' })
  await signed.request.post(`${address}/api/session`, {
    headers: { origin: address },
    data: { email: 'bench@skerrivane.example', password },
  })
  const state = await signed.storageState()
  const addresses = ['newest', 'oldest', 'pressing'].map(
    (order) => `${address}/inbox?order=${order}&time=last-14`,
  )
  const pages: Page[] = []
  for (let i = 0; i < browsers; i++) {
    // Each has a browser of their own: tabs of one share their connections.
    const page = await (
      await browser.newContext({ viewport, locale: 'en-GB', storageState: state })
    ).newPage()
    await page.goto(addresses[i % addresses.length]!)
    await page.locator('[data-thread]').first().waitFor()
    pages.push(page)
  }
  const before = await settled()
  const waiting = [...later]
  const began = Date.now()
  let killed = false
  while (waiting.length) {
    await new Promise((resolve) => setTimeout(resolve, 1000))
    const now = Date.now()
    for (const note of waiting.splice(0, perSecond))
      lanternpage.state.add({ ...note, published: new Date(now - Math.random() * 1000).toISOString() })
    await collect()
    if (!killed && now - began > (seconds * 1000) / 2) {
      killed = true
      web[0]!.kill('SIGKILL')
    }
  }
  const after = await settled()
  const end = Date.now()
  let same = 0
  while (same < browsers && Date.now() - end < 60_000) {
    await new Promise((resolve) => setTimeout(resolve, 2_000))
    same = await sameAsFresh(browser, pages, addresses, state)
  }
  const waited = (Date.now() - end) / 1000
  await browser.close()
  for (const each of web) each.kill('SIGKILL')
  await jobs.stop()
  await lanternpage.close()
  proxy.close()
  return [
    {
      name: `${browsers} browsers on ${processes} processes of which one is killed, ${after - before} entries come in (${perSecond} a second): browsers that show what a fresh one shows`,
      value: `${same} of ${browsers}, ${waited.toFixed(0)} s after the last entry was read`,
      aim: `${browsers} of ${browsers}`,
    },
  ]
}
