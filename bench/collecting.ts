import { generateWorld } from '@murrabel/demo'
import { startLanternpage, demoClient } from '@murrabel/standins'
import { configDefaults, createBrand, start } from '@murrabel/server'
import { seal } from '../packages/server/src/access/seal.ts'
import type { Figure } from './lib/measure.ts'

const entries = 20_000

/** From the stand-in over its interface to stored, analysed and told to browsers. */
export async function collectingFigures(databaseUrl: string): Promise<Figure[]> {
  const lanternpage = await startLanternpage()
  const world = generateWorld({ end: Date.now(), entries: Math.round(entries * 1.6) })
  for (const line of world.lanternpage.slice(0, entries)) lanternpage.state.add(line)
  const networks = [
    {
      network: 'lanternpage',
      name: 'Lanternpage',
      channel: 'pages',
      address: lanternpage.address,
      ...demoClient,
    },
  ]
  const server = await start({
    ...configDefaults,
    databaseUrl,
    port: 0,
    publicAddress: 'http://127.0.0.1:1',
    sealingKey: Buffer.alloc(32, 1),
    networks,
    allowedInnerAddresses: [],
    jobs: true,
    web: true,
    webFolder: null,
    smtpUrl: null,
    mailFrom: '',
    logLevel: 'silent',
  })
  const { db, due, models } = server.context
  const brandId = await createBrand(db, {
    name: 'Bench',
    zone: 'Europe/London',
    languages: ['en'],
    places: [],
    colleagues: [],
  })
  const watches = [
    'skerrivane',
    'storm petrel',
    'dogs',
    'timetable',
    'refund',
    'galley',
    'crew',
    'maren',
    'bikes',
    'price',
  ]
  for (const text of watches) await models.Watch.create({ brandId, name: text, query: { anyOf: [{ text }] } })
  const token = {
    access: 'bench',
    refresh: 'bench',
    expires: Date.now() + 3_600_000,
    resources: [...lanternpage.state.pages.keys()],
  }
  lanternpage.allow(token)
  const ids: number[] = []
  for (const { id, name } of lanternpage.state.pages.values()) {
    const profile = await models.Profile.create({
      brandId,
      channel: 'pages',
      network: 'lanternpage',
      outsideId: id,
      name,
      status: 'collecting',
      hookToken: id,
      keySealed: seal(JSON.stringify(token), Buffer.alloc(32, 1)),
    })
    ids.push(profile.id)
  }
  const began = performance.now()
  await due.ask(ids.map((subject) => ({ kind: 'collect' as const, subject, owner: 'lanternpage' })))
  for (;;) {
    const open = await db.one<{ some: boolean }>(
      `SELECT EXISTS (SELECT 1 FROM profiles WHERE status <> 'connected') OR EXISTS (SELECT 1 FROM entries WHERE analysed_at IS NULL) AS some`,
    )
    if (!open?.some) break
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  const seconds = (performance.now() - began) / 1000
  const stored = await db.one<{ n: number }>('SELECT count(*) AS n FROM entries')
  await server.stop()
  await lanternpage.close()
  const count = stored?.n ?? 0
  return [
    {
      name: `collecting, storing and analysing ${count.toLocaleString('en')} entries with 10 watches`,
      value: `${Math.round(count / seconds).toLocaleString('en')} entries a second`,
      aim: 'at least 1,500 a second',
    },
  ]
}
