import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { FiguresAnswer, ProfileAnswer, SummariesAnswer, TideAnswer } from '@murrabel/contract'
import { readerOfMember } from '../../src/access/sessions.ts'
import { outagesBetween } from '../../src/store/queries/profiles/outages.ts'
import { hourSeries } from '../../src/services/alerts/alertSeries.ts'
import { blankLens } from '@murrabel/core/lens'
import { lensContext } from '../../src/services/lens/index.ts'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller } from '../support/world.ts'

const hour = 3_600_000
const day = 24 * hour
let world: ConnectedWorld
let owner: Caller
let profiles: Map<string, number>

beforeAll(async () => {
  world = await startConnectedWorld()
  owner = world.owner
  const { body } = await owner<ProfileAnswer[]>('GET', '/api/profiles')
  profiles = new Map(body.map(({ id, name }) => [name, id]))
})
afterAll(() => world.stop())

const db = () => world.server.context.db
const readerNow = async () => (await readerOfMember(db(), 1, 1))!
const idOf = (name: string) => profiles.get(name)!
const rowsOf = (name: string) =>
  db().rows<{ from: Date; to: Date | null }>(
    'SELECT from_at AS "from", to_at AS "to" FROM outages WHERE profile_id = $1 ORDER BY id',
    [idOf(name)],
  )
const collectedAt = async (name: string) =>
  (await db().one<{ at: Date }>('SELECT collected_at AS at FROM profiles WHERE id = $1', [idOf(name)]))!.at
const collect = async (name: string) => {
  const before = await collectedAt(name)
  expect((await owner('POST', `/api/profiles/${idOf(name)}/collect`)).status).toBeLessThan(300)
  await until(async () => (await collectedAt(name)) > before)
}
const lastSeen = (name: string, ago: number) =>
  db().rows('UPDATE profiles SET collected_at = $2, cursor = NULL WHERE id = $1', [
    idOf(name),
    new Date(Date.now() - ago),
  ])
const publish = (id: string, ago: number) =>
  world.press.publish({
    op: 'article',
    id,
    feed: 'gazette',
    title: `Boats ${id}`,
    text: `The pier of Orrin, part ${id}.`,
    author: 'Jago Feld',
    published: new Date(Date.now() - ago).toISOString(),
  })

describe('what was not collected is noted', () => {
  test('while an account fails, and is gone when everything has come in afterwards', async () => {
    const { board } = world.wherabout
    const name = 'Skerrivane Ferries, Port Ellery'
    const before = await collectedAt(name)
    board.faults = { ...board.faults, failures: 40 }
    await owner('POST', `/api/profiles/${idOf(name)}/collect`)
    await until(async () => (await rowsOf(name)).length > 0)
    expect(await rowsOf(name)).toEqual([{ from: before, to: null }])
    board.faults = { ...board.faults, failures: 0 }
    await collect(name)
    expect(await rowsOf(name)).toEqual([])
  })

  test('where only the newest are shown: nothing is lost when one of them was known', async () => {
    await lastSeen('Orrin Gazette', 5 * hour)
    publish('g1', hour)
    await collect('Orrin Gazette')
    expect(await rowsOf('Orrin Gazette')).toEqual([])
  })

  test('and something may be when none was', async () => {
    await lastSeen('Orrin Gazette', 5 * hour)
    world.press.feeds.set('gazette', { ...world.press.feeds.get('gazette')!, shows: 2 })
    for (const [id, ago] of [
      ['g2', 0.6],
      ['g3', 0.4],
      ['g4', 0.2],
    ] as const)
      publish(id, ago * hour)
    await collect('Orrin Gazette')
    const [lost, ...more] = await rowsOf('Orrin Gazette')
    expect(more).toEqual([])
    expect(lost!.to).not.toBeNull()
    expect(Date.now() - lost!.from.getTime()).toBeGreaterThan(4.9 * hour)
  })
})

test('an account whose turn passed long ago without anybody looking is told as well', async () => {
  const quiet = await startTestWorld({ jobs: false })
  try {
    const { db: rows } = quiet.server.context
    await rows.rows(
      `INSERT INTO profiles (id, brand_id, place_id, channel, network, outside_id, name, status, hook_token, collected_at)
       VALUES (900, 1, 1, 'pages', 'lanternpage', 'x', 'x', 'connected', 'x', now() - interval '5 hours')`,
    )
    const due = (ago: string) =>
      rows.rows(
        `INSERT INTO due_work (kind, subject, owner, next_at) VALUES ('collect', '900', 'lanternpage', now() - $1::interval)
         ON CONFLICT (kind, subject) DO UPDATE SET next_at = excluded.next_at`,
        [ago],
      )
    const reader = (await readerOfMember(rows, 1, 1))!
    const told = () => outagesBetween(rows, reader, { from: Date.now() - day, to: Date.now() })
    await due('50 minutes')
    expect(await told()).toEqual([])
    await due('70 minutes')
    const [outage, ...more] = await told()
    expect(more).toEqual([])
    expect(outage).toMatchObject({ profileId: 900, to: null })
    expect(Date.now() - outage!.from.getTime()).toBeGreaterThan(4.9 * hour)
    // One that is being looked at is not silent.
    await rows.rows(`UPDATE due_work SET lease_until = now() + interval '1 minute' WHERE subject = '900'`)
    expect(await told()).toEqual([])
    // What is noted is not told twice.
    await rows.rows(`UPDATE due_work SET lease_until = NULL WHERE subject = '900'`)
    await rows.rows(`INSERT INTO outages (profile_id, from_at) VALUES (900, now() - interval '5 hours')`)
    expect(await told()).toHaveLength(1)
  } finally {
    await quiet.stop()
  }
})

describe('what was not collected is told', () => {
  const name = 'Skerrivane Ferries, Port Ellery'
  const outage = (from: number, to: number | null) =>
    db().rows('INSERT INTO outages (profile_id, from_at, to_at) VALUES ($1, $2, $3)', [
      idOf(name),
      new Date(Date.now() - from),
      to === null ? null : new Date(Date.now() - to),
    ])
  const figures = async (call: Caller = owner, time = 'last-28') =>
    (await call<FiguresAnswer>('GET', `/api/watches/figures?unit=entries&channel=maps&time=${time}`)).body

  test('with the part it usually brings, to those who see the account', async () => {
    await db().rows('DELETE FROM outages')
    expect((await figures()).outages).toEqual([])
    await outage(10 * day, 6 * day)
    const { outages, usual } = await figures()
    expect(outages).toHaveLength(1)
    expect(outages[0]).toMatchObject({ account: name, network: 'wherabout' })
    expect(outages[0]!.share).toBeGreaterThan(0.1)
    expect(outages[0]!.share).toBeLessThan(1)
    expect(usual.verdict).not.toBe('notCollected')
    const { outages: elsewhere } = await figures(await world.signIn('ness'))
    expect(elsewhere).toEqual([])
    // Outside of the time shown nothing is said of it.
    expect((await figures(owner, 'last-5')).outages).toEqual([])
  })

  test('bars that were missed do not say what a bar usually is', async () => {
    const usual = async () =>
      (await owner<TideAnswer>('GET', '/api/tide?unit=entries&channel=maps&time=last-7')).body.usual
    await db().rows('DELETE FROM outages')
    const before = await usual()
    await outage(88 * day, 8 * day)
    expect((await usual())?.periods ?? 0).toBeLessThan(before!.periods)
  })

  test('a period that was missed says nothing, in the figures and the list', async () => {
    await db().rows('DELETE FROM outages')
    await outage(9 * day, null)
    const { usual, outages, direction } = await figures(owner, 'last-7')
    expect(usual.verdict).toBe('notCollected')
    expect(outages.map(({ to }) => to)).toEqual([null])
    expect(direction.missed.slice(-1)).toEqual([true])
    await owner('POST', '/api/watches', {
      key: crypto.randomUUID(),
      name: 'Everybody',
      query: {
        anyOf: [{ text: 'skerrivane' }, { text: 'crew' }, { text: 'boat' }],
        allOf: [],
        noneOf: [],
        near: [],
        links: [],
      },
    })
    await settled(world)
    const { watches } = (await owner<SummariesAnswer>('GET', '/api/watches/summaries?time=last-7')).body
    expect(watches.length).toBeGreaterThan(0)
  })

  test('alerts know which hours', async () => {
    const { context } = world.server
    const reader = await readerNow()
    const question = {
      lens: { ...blankLens, channels: ['maps'] },
      context: await lensContext(context, reader),
      reader,
    }
    const to = Date.now()
    const { unknown, hours } = await hourSeries(context, question, { from: to - 20 * day, to })
    expect(unknown).toHaveLength(hours.length)
    expect(unknown!.slice(-48)).toEqual(Array.from({ length: 48 }, () => true))
    await db().rows('DELETE FROM outages')
    expect((await hourSeries(context, question, { from: to - 20 * day, to })).unknown).toBeUndefined()
  })
})
