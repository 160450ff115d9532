import { fork } from 'node:child_process'
import { once } from 'node:events'
import { fileURLToPath } from 'node:url'
import { demoClient } from '@murrabel/standins'
import { configDefaults, createBrand, start } from '@murrabel/server'
import { seal } from '../packages/server/src/access/seal.ts'
import type { Figure } from './lib/measure.ts'
import { startWorker } from './lib/startWorker.ts'

const entries = 20_000

/** What a stand-in in its own process says of itself. */
interface Standin {
  address: string
  token: object
  pages: { id: string; name: string }[]
}

/**
 * From the stand-in over its interface to stored, analysed and told to browsers.
 *
 * @param twoUrl a database for the same with a second process that works on jobs
 */
export async function collectingFigures(databaseUrl: string, twoUrl: string): Promise<Figure[]> {
  return [await collectOnce(databaseUrl, { workers: 1 }), await collectOnce(twoUrl, { workers: 2 })]
}

export async function collectOnce(databaseUrl: string, { workers }: { workers: number }): Promise<Figure> {
  const standin = fork(fileURLToPath(new URL('lib/standinProcess.ts', import.meta.url)), [String(entries)])
  const [lanternpage] = (await once(standin, 'message')) as [Standin]
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
  const ids: number[] = []
  for (const { id, name } of lanternpage.pages) {
    const profile = await models.Profile.create({
      brandId,
      channel: 'pages',
      network: 'lanternpage',
      outsideId: id,
      name,
      status: 'collecting',
      hookToken: id,
      keySealed: seal(JSON.stringify(lanternpage.token), Buffer.alloc(32, 1)),
    })
    ids.push(profile.id)
  }
  const more = Array.from({ length: workers - 1 }, () => startWorker(databaseUrl, networks))
  // They are up when they look for work.
  for (const each of more) await once(each, 'message')
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
  standin.disconnect()
  for (const each of more) each.kill()
  const count = stored?.n ?? 0
  return {
    name: `collecting, storing and analysing ${count.toLocaleString('en')} entries with 10 watches, ${workers === 1 ? 'one process' : `${workers} processes`}`,
    value: `${Math.round(count / seconds).toLocaleString('en')} entries a second`,
    aim: 'at least 1,500 a second',
  }
}
