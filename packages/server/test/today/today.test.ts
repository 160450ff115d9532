import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { OwnLine, Problem, ThreadAnswer, TodayAnswer, Unusual } from '@murrabel/contract'
import { findSpikes } from '@murrabel/core/measures'
import { ingest } from '../../src/services/intake/ingest.ts'
import { morningText, nextAt, placesMoving } from '../../src/services/today/index.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let call: Caller
let profile: IngestProfile
let n = 0
const hour = 3_600_000

beforeAll(async () => {
  world = await startTestWorld()
  call = await world.signIn('tamsin')
  profile = (await world.server.context.db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token)
     VALUES (1, (SELECT id FROM places WHERE name = 'Dunmarrow'), 'pages', 'lanternpage', 'x', 'Skerrivane', 'expired', 'x')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
}, 150_000)
afterAll(() => world.stop())

async function say(text: string, hoursAgo: number, kind = 'message'): Promise<number> {
  const threadId = `t${++n}`
  await ingest(world.server.context, profile, [
    {
      outsideId: threadId,
      threadId,
      kind,
      direction: 'in',
      author: { outsideId: `a${n}`, name: `Author ${n}` },
      text,
      at: Date.now() - hoursAgo * hour,
      raw: {},
    } as never,
  ])
  await settled(world)
  return (await world.server.context.db.one<{ id: number }>('SELECT id FROM threads WHERE outside_id = $1', [
    threadId,
  ]))!.id
}
const today = async (who = call) => (await who<TodayAnswer>('GET', '/api/today')).body

test('tells what came in since the last look, what is past due, and what is not set up', async () => {
  const late = await say('Where is my parcel, and when does it come?', 90)
  await say('Where is the ticket office, please?', 1)
  await say('Older than a look', 40)
  const news = await today()
  expect(news.arrived).toBe(1)
  expect(news.open.count).toBe(3)
  expect(news.open.pastDue).toBeGreaterThanOrEqual(1)
  expect(news.due[0]).toMatchObject({ threadId: late })
  expect(news.keys).toEqual([{ profileId: profile.id, name: 'Skerrivane', network: 'lanternpage' }])
  expect(news.pace).toBeNull()
  // Only those who set up hear what is missing there.
  expect(news.gaps).toEqual([])
  const { gaps } = await today(await world.signIn('wynn'))
  expect(gaps.map(({ kind }) => kind)).toEqual(
    expect.arrayContaining(['placeHours', 'noPatterns', 'noSignOffs', 'noMailProfile', 'noWatches']),
  )
})

test('of one place it tells what is there, and of no place that is not theirs', async () => {
  const { db } = world.server.context
  const places = await db.rows<{ id: number; name: string }>('SELECT id, name FROM places WHERE brand_id = 1')
  const at = (name: string) => places.find((place) => place.name === name)!.id
  const of = async (place: unknown, who = call) =>
    who<TodayAnswer & Problem>('GET', `/api/today?place=${String(place)}`)
  expect((await of(at('Dunmarrow'))).body).toMatchObject({
    arrived: 1,
    open: { count: 3 },
    keys: [{ profileId: profile.id }],
  })
  const elsewhere = places.find(({ name }) => name !== 'Dunmarrow')!.id
  expect((await of(elsewhere)).body).toMatchObject({ arrived: 0, open: { count: 0 }, due: [], keys: [] })
  expect((await call<Unusual[]>('GET', `/api/today/unusual?place=${elsewhere}`)).body).toEqual([])
  // Ness sees Dunmarrow alone.
  const ness = await world.signIn('ness')
  expect((await of(at('Dunmarrow'), ness)).status).toBe(200)
  expect((await of(elsewhere, ness)).status).toBe(404)
  expect((await of(999_999_999_999)).status).toBe(404)
  expect((await of('Dunmarrow')).body.fields?.[0]?.field).toBe('place')
})

test('reading it is no look; a look is the same for half an hour, and later tells since it ended', async () => {
  const before = (await today()).since
  expect(Math.abs(Date.parse(before) - (Date.now() - 24 * hour))).toBeLessThan(60_000)
  expect((await call('POST', '/api/today/seen')).status).toBe(204)
  const { since } = await today()
  expect(Math.abs(Date.parse(since) - Date.parse(before))).toBeLessThan(60_000)
  expect((await today()).since).toBe(since)
  await world.server.context.db.rows(
    `UPDATE memberships SET looked_at = now() - interval '3 hours' WHERE colleague_id = (SELECT id FROM colleagues WHERE email LIKE 'tamsin%')`,
  )
  const later = await today()
  expect(Math.abs(Date.parse(later.since) - (Date.now() - 3 * hour))).toBeLessThan(60_000)
  expect(later.arrived).toBe(1)
  // Nobody else has looked.
  expect((await today(await world.signIn('rowan'))).since).not.toBe(later.since)
})

test('what one may not see is in no figure', async () => {
  await world.server.context.db
    .rows(`UPDATE memberships SET place_ids = ARRAY[(SELECT id FROM places WHERE name = 'Port Ellery')]
    WHERE colleague_id = (SELECT id FROM colleagues WHERE email LIKE 'ness%')`)
  const ness = await world.signIn('ness')
  expect(await today(ness)).toMatchObject({ arrived: 0, open: { count: 0 }, due: [], keys: [], notSent: [] })
  expect((await ness<Unusual[]>('GET', '/api/today/unusual')).body).toEqual([])
})

describe('one’s own list', () => {
  test('is kept, done, taken back, and nobody else’s', async () => {
    const line = (await call<OwnLine>('POST', '/api/today/lines', { text: 'Call the harbour office' })).body
    expect((await today()).list).toEqual([line])
    expect((await today(await world.signIn('wynn'))).list).toEqual([])
    const wynn = await world.signIn('wynn')
    expect((await wynn('PUT', `/api/today/lines/${line.id}`, { done: true })).status).toBe(404)
    expect((await wynn('DELETE', `/api/today/lines/${line.id}`)).status).toBe(404)
    const done = (await call<OwnLine>('PUT', `/api/today/lines/${line.id}`, { done: true })).body
    expect(done.doneAt).not.toBeNull()
    expect((await call<OwnLine>('PUT', `/api/today/lines/${line.id}`, { text: 'Call them' })).body).toEqual({
      ...done,
      text: 'Call them',
    })
    expect(
      (await call<OwnLine>('PUT', `/api/today/lines/${line.id}`, { done: false })).body.doneAt,
    ).toBeNull()
    await call('PUT', `/api/today/lines/${line.id}`, { done: true })
    await world.server.context.db.rows(`UPDATE own_lines SET done_at = now() - interval '25 hours'`)
    expect((await today()).list).toEqual([])
    expect((await call('DELETE', `/api/today/lines/${line.id}`)).status).toBe(204)
    expect((await call<Problem>('POST', '/api/today/lines', { text: '  ' })).status).toBe(422)
  })

  test('ends at two hundred', async () => {
    await world.server.context.db.rows(
      `INSERT INTO own_lines (brand_id, colleague_id, text) SELECT 1, id, 'x' FROM colleagues, generate_series(1, 200) WHERE email LIKE 'rowan%'`,
    )
    const rowan = await world.signIn('rowan')
    expect(await rowan<Problem>('POST', '/api/today/lines', { text: 'one more' })).toMatchObject({
      status: 409,
      body: { code: 'manyLines' },
    })
  })
})

describe('by mail each morning', () => {
  test.each([
    ['07:30', 'UTC', '2026-11-27T06:00:00Z', '2026-11-27T07:30:00Z'],
    ['07:30', 'UTC', '2026-11-27T07:30:00Z', '2026-11-28T07:30:00Z'],
    ['07:30', 'Europe/Paris', '2026-11-27T07:00:00Z', '2026-11-28T06:30:00Z'],
    // The night of 29 March has no half past two in Paris.
    ['02:30', 'Europe/Paris', '2026-03-29T00:00:00Z', '2026-03-29T01:30:00Z'],
    ['02:30', 'Europe/Paris', '2026-03-29T02:00:00Z', '2026-03-30T00:30:00Z'],
    ['00:00', 'America/New_York', '2026-11-01T03:30:00Z', '2026-11-01T04:00:00Z'],
  ])('%s in %s after %s is %s', (time, zone, now, next) => {
    expect(new Date(nextAt(time, { zone, now: Date.parse(now) })).toISOString()).toBe(
      new Date(next).toISOString(),
    )
  })

  test('comes at its time, once, until it is stopped', async () => {
    const { db } = world.server.context
    expect((await call('PUT', '/api/today/mail', { at: '07:30' })).status).toBe(200)
    expect((await today()).mailAt).toBe('07:30')
    const due = () =>
      db.one<{ id: number; nextAt: Date }>(
        `SELECT id, next_at AS "nextAt" FROM due_work WHERE kind = 'morning'`,
      )
    expect((await due())!.nextAt.getTime()).toBeGreaterThan(Date.now())
    await db.rows(`UPDATE due_work SET next_at = now() WHERE kind = 'morning'`)
    const mail = await until(async () =>
      world.mailroom.mails.find(({ subject }) => subject.startsWith('Today at Skerrivane')),
    )
    expect(mail.subject).toMatch(/3 threads open, \d past due/)
    expect(mail.text).toContain('Where is my parcel')
    expect(mail.text).toContain('Skerrivane: ')
    expect(await until(async () => (await due())!.nextAt.getTime() > Date.now())).toBe(true)
    await call('PUT', '/api/today/mail', { at: null })
    expect(await due()).toBeUndefined()
    expect((await call<Problem>('PUT', '/api/today/mail', { at: '25:00' })).status).toBe(422)
    expect(world.mailroom.mails.filter(({ subject }) => subject.startsWith('Today at'))).toHaveLength(1)
  })

  test('whoever left hears no more', async () => {
    const { db } = world.server.context
    const rowan = await world.signIn('rowan')
    await rowan('PUT', '/api/today/mail', { at: '06:00' })
    await db.rows(
      `DELETE FROM memberships WHERE colleague_id = (SELECT id FROM colleagues WHERE email LIKE 'rowan%')`,
    )
    await db.rows(`UPDATE due_work SET next_at = now() WHERE kind = 'morning'`)
    await until(async () => !(await db.one(`SELECT 1 FROM due_work WHERE kind = 'morning'`)))
    expect(world.mailroom.mails.filter(({ subject }) => subject.startsWith('Today at'))).toHaveLength(1)
  })

  test('says in sentences what is unusual', () => {
    const text = morningText(
      { name: 'Tamsin Kerr', zone: 'UTC' },
      {
        since: '2026-11-26T17:40:00Z',
        arrived: 41,
        open: { count: 23, pastDue: 6, notSent: 0 },
        pace: { eachMs: 240_000, answers: 40 },
        due: [],
        notSent: [],
        keys: [],
        followUps: [],
        notices: [],
        approvals: [],
        list: [{ id: 1, text: 'Refund pattern in Spanish', doneAt: null }],
        gaps: [],
        colleagues: [],
        mailAt: '07:30',
      },
      [
        { kind: 'place', sureness: 'sure', placeId: 1, name: 'Northmoor Pier', perWeek: -2.14, weeks: 9 },
        {
          kind: 'phrase',
          sureness: 'fairly',
          text: 'dogs on deck',
          phrase: 'dogs on deck',
          good: true,
          count: 7,
        },
      ],
      'https://murrabel.example',
    )
    expect(text).toContain(
      'Since Thu 26 Nov, 17:40 41 entries came in. 23 threads are open for you, 6 past due, about 92 minutes at your pace.',
    )
    expect(text).toContain('Northmoor Pier has slid for 9 weeks, 2.1 points a week (sure)')
    expect(text).toContain('- Refund pattern in Spanish')
  })
})

describe('what is unusual', () => {
  const week = (placeId: number, ago: number, positive: number, negative: number) => ({
    placeId,
    name: `Place ${placeId}`,
    ago,
    positive,
    neutral: 2,
    negative,
  })
  test('is a place that goes down week by week, not one that wavers or of which little is said', () => {
    const weeks = [8, 7, 6, 5, 4, 3, 2, 1, 0]
    const sliding = weeks.map((ago) => week(1, ago, 4 + 2 * ago, 20 - 2 * ago))
    const wavering = weeks.map((ago) => week(2, ago, 10 + (ago % 2) * 3, 10))
    const quiet = weeks.map((ago) => ({
      ...week(3, ago, ago, 8 - ago),
      positive: ago > 4 ? 1 : 0,
      negative: 1,
      neutral: 0,
    }))
    const found = placesMoving([...sliding, ...wavering, ...quiet])
    expect(found).toMatchObject([{ kind: 'place', placeId: 1, weeks: 9, sureness: 'sure' }])
    expect((found[0] as { perWeek: number }).perWeek).toBeLessThan(-3)
  })

  test('is a watch that hears far more than usual, with where it began', async () => {
    const { db } = world.server.context
    const watch = (
      await call<{ id: number }>('POST', '/api/watches', {
        name: 'Petrel',
        query: { anyOf: [{ text: 'petrel' }] },
      })
    ).body.id
    const texts = Array.from({ length: 60 }, (_, i) => ({
      outsideId: `quiet${i}`,
      threadId: `quiet${i}`,
      kind: 'comment',
      direction: 'in',
      author: { outsideId: `q${i}`, name: `Quiet ${i}` },
      text: `Number ${i}: a day on the petrel`,
      at: Date.now() - (60 - i) * 24 * hour - 2 * hour,
      raw: {},
    }))
    // All within one hour: of two, only the one with most of them need be unusual.
    const loudHour = Math.floor(Date.now() / hour) * hour - 2 * hour
    const loud = Array.from({ length: 25 }, (_, i) => ({
      ...texts[0]!,
      outsideId: `loud${i}`,
      threadId: `loud${i}`,
      author: { outsideId: `l${i}`, name: `Loud ${i}` },
      text: `The petrel is not sailing, refund number ${i} please`,
      at: loudHour + i * 60_000,
    }))
    await ingest(world.server.context, profile, [...texts, ...loud] as never)
    await settled(world)
    expect(findSpikes([1]).length).toBe(0)
    const found = (await call<Unusual[]>('GET', '/api/today/unusual')).body
    expect(found[0]).toMatchObject({
      kind: 'spike',
      sureness: 'sure',
      watch: { id: watch, name: 'Petrel' },
      network: 'lanternpage',
    })
    expect((found[0] as { count: number }).count).toBeGreaterThanOrEqual(25)
    expect((found[0] as { words: string[] }).words.join(' ')).toMatch(/sailing|refund/)
    await db.rows('DELETE FROM watches WHERE id = $1', [watch])
    expect(
      (await call<ThreadAnswer[]>('GET', '/api/today/unusual')).body.filter((u) => 'watch' in u),
    ).toEqual([])
  })
})
