import { afterAll, beforeAll, expect, test } from 'vitest'
import { simulateWeek } from '@murrabel/core/staffing'
import type { WeekAheadAnswer } from '@murrabel/contract'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let call: Caller
const hour = 3_600_000
const day = 24 * hour

beforeAll(async () => {
  world = await startTestWorld()
  call = await world.signIn('wynn')
}, 150_000)
afterAll(() => world.stop())

const weekAhead = async (who = call) => (await who<WeekAheadAnswer>('GET', '/api/week-ahead')).body

test('is nothing where nothing came in', async () => {
  const told = await weekAhead()
  expect(told.inputs.arrivals).toEqual(Array(168).fill(0))
  expect(told).toMatchObject({ measured: 0, promise: null, time: null, channels: [], leftOut: [] })
  expect(simulateWeek(told.inputs, { runs: 3 })).toMatchObject({ due: 0, lateCount: 0 })
})

test('is told from what came in, when it was answered and by whom, of what one may see', async () => {
  const { db } = world.server.context
  const profile = (await db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token)
     VALUES (1, (SELECT id FROM places WHERE name = 'Port Ellery'), 'pages', 'lanternpage', 'x', 'x', 'expired', 'x')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
  // Each day for eight weeks, two hours of the day from now: six questions, five answered an hour later, five minutes each.
  const thisHour = Math.floor(Date.now() / hour) * hour
  const items = Array.from({ length: 55 }, (_, ago) => {
    const at = thisHour - (ago + 1) * day + 2 * hour
    return Array.from({ length: 6 }, (_each, i) => {
      const thread = `t${ago}-${i}`
      const base = { threadId: thread, kind: 'message', raw: {} }
      const asked = {
        ...base,
        outsideId: `${thread}/in`,
        direction: 'in',
        author: { outsideId: `a${thread}`, name: `Author ${thread}` },
        text: 'Where is the ticket office, please?',
        at: at + i * 60_000,
      }
      const answer = {
        ...base,
        outsideId: `${thread}/out`,
        direction: 'out',
        text: 'By the gate.',
        at: at + hour + i * 300_000,
      }
      return i < 5 ? [asked, answer] : [asked]
    }).flat()
  }).flat()
  await ingest(world.server.context, profile, items as never)
  await settled(world)
  // One that goes on without an answer of ours between is the same question.
  await ingest(world.server.context, profile, [
    { ...items.at(-1)!, outsideId: 'again', text: 'Hello?', at: (items.at(-1) as { at: number }).at + 1000 },
  ] as never)
  await settled(world)
  const told = await weekAhead()
  const sum = told.inputs.arrivals.reduce((a, b) => a + b, 0)
  expect(sum).toBeGreaterThan(38)
  expect(sum).toBeLessThan(44)
  // The clocks may change within the eight weeks.
  const about = (of: readonly number[], at: number) =>
    Array.from({ length: 5 }, (_, d) => Math.max(...of.slice((d + 1) * 24 + at - 1, (d + 1) * 24 + at + 2)))
  const lag = (Date.parse(told.start) - thisHour) / hour
  expect(Math.min(...about(told.inputs.arrivals, 2 - lag))).toBeGreaterThan(2.5)
  expect(Math.max(...about(told.inputs.arrivals, 14))).toBeLessThan(0.5)
  expect(told.measured).toBe(55 * 4)
  expect(new Set(told.inputs.serviceMs)).toEqual(new Set([300_000]))
  // Nobody we know answered, in the hour after.
  expect(told.people).toEqual([{ id: null, name: null }])
  expect(Math.min(...about(told.inputs.people[0]!.presence, 3 - lag))).toBeGreaterThan(0.4)
  expect(Math.max(...about(told.inputs.people[0]!.presence, 14))).toBe(0)
  // Five of six are answered in time, and nothing of it is unusual.
  expect(told.promise!.share).toBeCloseTo(5 / 6, 1)
  expect(told.promise!.usual!.low).toBeLessThan(told.promise!.share)
  expect(told.promise!.usual!.high).toBeGreaterThan(told.promise!.share)
  expect(told.time).toMatchObject({ n: 35 })
  expect(told.time!.half).toBeGreaterThan(55)
  expect(told.nobodys.open).toBeGreaterThan(5)
  expect(told.channels).toMatchObject([{ channel: 'pages', asked: 42, answered: 35, eachMs: 300_000 }])
  const forecast = simulateWeek(told.inputs, { runs: 50 })
  expect(forecast.due).toBeGreaterThan(30)
  expect(simulateWeek({ ...told.inputs, people: [] }, { runs: 50 }).late.mean).toBe(1)
  expect(forecast.late.mean).toBeLessThan(0.9)
  // Ness sees another place alone.
  const ness = await weekAhead(await world.signIn('ness'))
  expect(ness.inputs.arrivals.every((n) => n === 0)).toBe(true)
  expect(ness.nobodys.open).toBe(0)
})

test('whoever is away answers nothing meanwhile, and a flood is left out', async () => {
  const { db } = world.server.context
  const wynn = (await db.one<{ id: number }>(`SELECT id FROM colleagues WHERE email LIKE 'wynn%'`))!.id
  await db.rows(
    `INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload, cause, colleague_id, state)
     SELECT 1, profile_id, thread_id, id, 'reply', gen_random_uuid(), '{}', '{}', 'colleague', $1, 'sent' FROM entries WHERE direction = 'out'`,
    [wynn],
  )
  const before = await weekAhead()
  expect(before.people).toEqual([{ id: wynn, name: 'Wynn Adair' }])
  expect(before.colleagues.find(({ id }) => id === wynn)).toMatchObject({ answered: 35 })
  const tomorrow = new Date(Date.now() + day).toISOString().slice(0, 10)
  const until = new Date(Date.now() + 12 * day).toISOString().slice(0, 10)
  expect(
    (await call('PUT', `/api/set-up/colleagues/${wynn}/absence`, { from: tomorrow, until, takeOver: null }))
      .status,
  ).toBeLessThan(300)
  const away = await weekAhead()
  expect(away.inputs.people[0]!.presence.slice(48).every((chance) => chance === 0)).toBe(true)
  expect(simulateWeek(away.inputs, { runs: 20 }).late.mean).toBeGreaterThan(
    simulateWeek(before.inputs, { runs: 20 }).late.mean,
  )
  const profile = (await db.one<IngestProfile>(
    `SELECT id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId" FROM profiles WHERE outside_id = 'x'`,
  ))!
  await ingest(
    world.server.context,
    profile,
    Array.from({ length: 90 }, (_, i) => ({
      outsideId: `flood${i}`,
      threadId: `flood${i}`,
      kind: 'message',
      direction: 'in',
      author: { outsideId: `f${i}`, name: `Flood ${i}` },
      text: 'Is the boat sailing?',
      at: Date.now() - 3 * day - i * 60_000,
      raw: {},
    })) as never,
  )
  await settled(world)
  const flooded = await weekAhead()
  expect(flooded.leftOut.length).toBeGreaterThan(0)
  expect(flooded.inputs.arrivals.reduce((a, b) => a + b, 0)).toBeLessThan(46)
})

test('weeks in which nothing was collected are no quiet weeks', async () => {
  const { db } = world.server.context
  const arrivals = async () => (await weekAhead()).inputs.arrivals.reduce((sum, n) => sum + n, 0)
  const before = await arrivals()
  await db.rows(
    `UPDATE entries SET at = at - interval '400 days' WHERE at BETWEEN now() - interval '22 days' AND now() - interval '1 day'`,
  )
  expect(await arrivals()).toBeLessThan(0.75 * before)
  await db.rows(
    `INSERT INTO outages (profile_id, from_at, to_at)
     SELECT id, now() - interval '22 days', now() - interval '1 day' FROM profiles WHERE outside_id = 'x'`,
  )
  expect(await arrivals()).toBeGreaterThan(0.85 * before)
})
