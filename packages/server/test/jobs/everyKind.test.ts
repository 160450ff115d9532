import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { BrandSetUp, ImportState, WatchAnswer } from '@murrabel/contract'
import { openDatabase, type Database } from '@murrabel/server'
import { workKinds } from '../../src/jobs/due/kinds.ts'
import { addComments } from '../support/comments.ts'
import { totalsApart } from '../support/totals.ts'
import { until } from '../support/until.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { startWorkerProcess } from '../support/workerProcess.ts'

const notes = 700
const rows = 2500
let world: TestWorld
let owner: Caller
let receiver: Server
const hooks: string[] = []
/** What another program heard, by its id. */
const heard: string[] = []

beforeAll(async () => {
  receiver = createServer((req, res) => {
    ;(req.url === '/hook' ? hooks : heard).push(String(req.headers['webhook-id']))
    req.resume().on('end', () => res.end())
  })
  await new Promise<void>((resolve) => receiver.listen(0, '127.0.0.1', resolve))
  world = await startTestWorld({ jobs: false, line: true, allowed: [hookAddress().host] })
  addComments(world, notes, (i) => `Comment ${i}, ${i % 3 ? 'lovely' : 'terrible'} crossing`)
  world.lanternpage.state.add({ op: 'page', id: 'bluefathom', name: 'Bluefathom Line', others: true })
  owner = await world.signIn('wynn')
  looking = openDatabase(world.database.url)
}, 150_000)
afterAll(async () => {
  await Promise.all(workers.map((worker) => worker.kill()))
  await looking.close()
  await world.stop()
  await new Promise<void>((resolve) => receiver.close(() => resolve()))
})

const workers: ReturnType<typeof startWorkerProcess>[] = []
function startWorker(): ReturnType<typeof startWorkerProcess> {
  const worker = startWorkerProcess(world.config)
  workers.push(worker)
  return worker
}
const hookAddress = () => new URL(`http://127.0.0.1:${(receiver.address() as AddressInfo).port}/hook`)
/** Looks by a way that is never cut. */
let looking: Database
const db = () => looking
const count = async (sql: string, bind: unknown[] = []) =>
  (await db().one<{ n: number }>(`SELECT count(*) AS n FROM ${sql}`, bind))!.n
/** Nothing is due or held, but what comes again by itself. */
const atRest = () =>
  until(
    async () =>
      (await count(
        `due_work WHERE lease IS NOT NULL OR state = 'failed' OR next_at < now() + interval '1 second'`,
      ).catch(() => 1)) === 0,
    { seconds: 100 },
  )

test('every kind of work ends as it should, whichever worker is killed, however late one starts, and while the database is away', async () => {
  // One of everything is under way before the first worker lives.
  await world.connect(owner, 'lanternpage')
  await db().rows(
    `INSERT INTO outages (profile_id, from_at) SELECT id, now() - interval '2 days' FROM profiles`,
  )
  const first = startWorker()
  await until(async () => (await count('entries WHERE analysed_at IS NOT NULL')) > 300, { seconds: 60 })
  const watches: WatchAnswer[] = []
  for (const text of ['crossing', 'lovely', 'terrible'])
    watches.push(
      (await owner<WatchAnswer>('POST', '/api/watches', { name: text, query: { anyOf: [{ text }] } })).body,
    )
  await owner('PUT', '/api/teaching/words', { words: [{ term: 'lovely', valence: -4 }] })
  const csv = `Date,Author,Stars,Text\n${Array.from({ length: rows }, (_, i) => `2026-01-${String((i % 28) + 1).padStart(2, '0')},A${i},${(i % 5) + 1},Imported text ${i}`).join('\n')}\n`
  const draft = (await owner<ImportState>('POST', '/api/imports?kind=reviews&name=old.csv', csv)).body
  await owner('POST', `/api/imports/${draft.id}/start`, {
    mapping: { at: 'Date', author: 'Author', rating: 'Stars', text: 'Text' },
  })
  await owner('POST', '/api/public-profiles', {
    address: `${world.lanternpage.address}/pages/bluefathom`,
    watchId: watches[0]!.id,
  })
  await db().rows(`UPDATE public_profiles SET looked_at = NULL`)
  await db().rows(`UPDATE due_work SET next_at = now() WHERE kind = 'look'`)
  await owner('POST', '/api/alerts', {
    name: 'Any',
    lens: `watch=${watches[2]!.id}&kind=message`,
    condition: { kind: 'any' },
    quietMinutes: 0,
    emails: ['tamsin@skerrivane.example'],
    webhook: hookAddress().href,
  })
  await owner('POST', '/api/event-hooks', {
    name: 'Board',
    target: new URL('/hear', hookAddress()).href,
    events: ['thread.answered', 'thread.setAside', 'answer.sent', 'entries.read'],
  })
  await owner('POST', '/api/set-up/invitations', {
    email: 'maren@skerrivane.example',
    role: 'reader',
    placeIds: null,
    profileIds: null,
  })
  // Somebody is away from now on, and every due time is reckoned anew.
  const tamsin = (await db().one<{ id: number }>(`SELECT id FROM colleagues WHERE email LIKE 'tamsin@%'`))!.id
  const covered = await db().rows<{ id: number }>(
    `UPDATE threads SET given_to = $1 WHERE id IN (SELECT id FROM threads WHERE state = 'open' ORDER BY id DESC LIMIT 40) RETURNING id`,
    [tamsin],
  )
  const tomorrow = new Date(Date.now() + 30 * 3_600_000).toISOString().slice(0, 10)
  expect(
    (await owner('PUT', `/api/set-up/colleagues/${tamsin}/absence`, { from: tomorrow, until: tomorrow }))
      .status,
  ).toBe(200)
  await db().rows('UPDATE absences SET from_at = now()')
  await db().rows(`UPDATE due_work SET next_at = now() WHERE kind = 'absence'`)
  const setUp = (await owner<BrandSetUp>('GET', '/api/set-up/brand')).body
  const { zone: _zone, ...brand } = setUp
  await owner('PUT', '/api/set-up/brand', { ...brand, due: { ...brand.due, commentMinutes: 600 } })
  const open = await db().rows<{ id: number; edition: number }>(
    `SELECT id, edition FROM threads WHERE state = 'open' ORDER BY id LIMIT 14`,
  )
  // How many are open already depends on how far the first worker has come.
  const aside = open.length - 8
  expect(aside).toBeGreaterThan(0)
  const entries = await db().rows<{ id: number }>(
    `SELECT id FROM entries WHERE direction = 'in' ORDER BY id LIMIT 12`,
  )
  for (const [i, { id, edition }] of open.entries())
    if (i < 8)
      expect(
        (
          await owner('POST', `/api/threads/${id}/replies`, {
            text: `Reply ${i}`,
            key: crypto.randomUUID(),
            edition,
            anyway: true,
          })
        ).status,
      ).toBe(200)
    else
      expect(
        (
          await owner('POST', `/api/threads/${id}/events`, {
            kind: 'setAside',
            until: new Date(Date.now() + 4000).toISOString(),
          })
        ).status,
      ).toBe(200)
  await owner('PUT', '/api/entries/sentiment', { ids: entries.map(({ id }) => id), sentiment: 'positive' })
  await world.server.context.due.ask({ kind: 'prune', subject: 'all', owner: 'all' })
  await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Hester Quill', content: 'A terrible crossing, and nobody answers' }),
    redirect: 'manual',
  })
  // Killed in the middle; another takes over; the database goes away and comes back; the next is killed; one starts late.
  const second = startWorker()
  await until(async () => (await count('due_work WHERE lease IS NOT NULL')) > 0, { seconds: 60 })
  await first.kill()
  await new Promise((resolve) => setTimeout(resolve, 700))
  await world.line!.cut()
  await new Promise((resolve) => setTimeout(resolve, 2000))
  await world.line!.restore()
  await until(async () => (await count('workers').catch(() => 0)) > 0, { seconds: 60 })
  await new Promise((resolve) => setTimeout(resolve, 1500))
  await second.kill()
  startWorker()
  await new Promise((resolve) => setTimeout(resolve, 2500))
  startWorker()
  await until(async () => (await count(`hook_deliveries WHERE state <> 'sent'`).catch(() => 1)) === 0, {
    seconds: 60,
  })
  await until(async () => (await count(`alert_deliveries WHERE state = 'sent'`).catch(() => 0)) === 2, {
    seconds: 60,
  })
  await atRest()

  // Collected and stored once, and read.
  expect(await count(`entries WHERE outside_id LIKE 'n%' AND direction = 'in'`)).toBe(notes - 1 + 1)
  expect(await count('entries WHERE analysed_at IS NULL')).toBe(0)
  // Whatever failed meanwhile has come in: nothing is said to be missing.
  expect(await count('outages')).toBe(0)
  // Sent once each.
  const published = world.lanternpage.state
    .notesOf('skerrivane')
    .filter(({ content }) => content.startsWith('Reply '))
  expect(published.map(({ content }) => content).sort()).toEqual(
    Array.from({ length: 8 }, (_, i) => `Reply ${i}`),
  )
  expect(await count(`outside_actions WHERE state = 'sent'`)).toBe(8)
  // Brought in once each.
  expect((await owner<ImportState>('GET', `/api/imports/${draft.id}`)).body).toMatchObject({
    state: 'done',
    refused: 0,
  })
  expect(await count(`entries e JOIN profiles p ON p.id = e.profile_id WHERE p.network = 'file'`)).toBe(rows)
  // Read by the watches to the end, and again with what was taught.
  for (const { name } of watches)
    expect(await count(`mentions m JOIN watches w ON w.id = m.watch_id WHERE w.name = $1`, [name])).toBe(
      await count(`entries WHERE direction = 'in' AND text ILIKE '%' || $1 || '%'`, [name]),
    )
  expect(await count('watches WHERE history_done < history_total')).toBe(0)
  expect(await count('teaching WHERE history_done < history_total')).toBe(0)
  expect(
    await count(
      `entries WHERE text LIKE '%lovely crossing%' AND language = 'en' AND spans::text NOT LIKE '%"contribution": -6.4%'`,
    ),
  ).toBe(0)
  expect(await count('teaching WHERE learnt_at IS NOT NULL')).toBe(1)
  // Woken, looked at, told.
  expect(await count(`threads WHERE state = 'aside'`)).toBe(0)
  expect(await count(`events WHERE kind = 'wake'`)).toBe(aside)
  expect(await count('public_profiles WHERE looked_at IS NOT NULL')).toBe(2)
  expect(await count(`alert_events WHERE kind = 'begin'`)).toBe(1)
  // A mail or a delivery may come twice when its sender is killed in between, always under one id.
  const mails = (to: string) => world.mailroom.mails.filter((mail) => mail.to.includes(to))
  expect(new Set(mails('tamsin@skerrivane.example').map(({ messageId }) => messageId)).size).toBe(1)
  // So may a letter, and a message to another program.
  expect(new Set(mails('maren@skerrivane.example').map(({ messageId }) => messageId)).size).toBe(1)
  expect(await count(`letters WHERE sent_at IS NOT NULL AND text IS NULL`)).toBe(1)
  const told = await db().rows<{ id: number }>('SELECT id FROM hook_deliveries')
  expect(told.length).toBeGreaterThan(20)
  expect([...new Set(heard)].sort()).toEqual(told.map(({ id }) => `event-${id}`).sort())
  expect(await count(`hook_deliveries WHERE event = 'thread.answered'`)).toBe(8)
  expect(await count(`hook_deliveries WHERE event = 'answer.sent'`)).toBe(8)
  // Shared out once each, however often it was begun.
  expect(await count(`threads WHERE given_to = $1 AND state <> 'done'`, [tamsin])).toBe(0)
  expect(await count(`events WHERE kind = 'cover'`)).toBe(covered.length)
  expect(await count('covers')).toBe(covered.length)
  // Everybody was looked at, and who shares nothing is with nobody.
  expect(await count('people WHERE unmet')).toBe(0)
  expect(await count('people_to_compare')).toBe(0)
  expect(await count('person_joins')).toBe(0)
  expect(new Set(hooks).size).toBe(1)
  // Sums that are kept by the way agree with a full count.
  expect(
    await db().one(
      `SELECT (SELECT sum(n) FROM rollups) AS rolled, (SELECT count(*) FROM entries WHERE direction = 'in') AS counted`,
    ),
  ).toSatisfy((sums: { rolled: number; counted: number }) => Number(sums.rolled) === Number(sums.counted))
  expect(await totalsApart(db())).toEqual([])
  const seen = await db().rows<{ kind: string }>('SELECT DISTINCT kind FROM due_work')
  expect(seen.every(({ kind }) => workKinds.includes(kind as never))).toBe(true)
}, 240_000)
