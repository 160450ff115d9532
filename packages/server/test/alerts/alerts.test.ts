import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { Webhook } from 'standardwebhooks'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  AlertAnswer,
  AlertEventAnswer,
  AlertTrialAnswer,
  BellAnswer,
  EntryPage,
  FeedAddresses,
  OpmlAnswer,
  Problem,
  ProfileAnswer,
  WatchAnswer,
} from '@murrabel/contract'
import { parseFeed } from '../../src/connectors/index.ts'
import { until } from '../support/until.ts'
import { firingText } from '../../src/services/alerts/alertText.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const hour = 3_600_000
const now = Date.now()
let world: TestWorld
let call: Caller
let watch: WatchAnswer
const hooks: { headers: Record<string, string>; body: string }[] = []
const receiver = createServer((req, res) => {
  let body = ''
  req.on('data', (part) => (body += String(part)))
  req.on('end', () => {
    hooks.push({ headers: req.headers as Record<string, string>, body })
    res.end()
  })
})
const post = (text: string, at = Date.now(), views = 10) =>
  world.skimmer.publish({
    author: { id: 'v', name: 'Voice', handle: 'voice' },
    content: text,
    published: new Date(at).toISOString(),
    views,
  })

/** Sixty days of one a day, and two bad hours thirty days ago. */
beforeAll(async () => {
  await new Promise<void>((resolve) => receiver.listen(0, '127.0.0.1', resolve))
  world = await startTestWorld()
  world.config.allowedInnerAddresses.push(`127.0.0.1:${(receiver.address() as AddressInfo).port}`)
  for (let d = 60; d > 0; d--) {
    post(`Skerrivane, day ${d}`, now - d * 24 * hour)
    if (d === 30)
      for (let i = 0; i < 20; i++)
        post(
          `Skerrivane is terrible today, number ${i * 7}`,
          now - d * 24 * hour + i * 5 * 60_000 + 1000,
          i === 3 ? 50_000 : 10,
        )
  }
  call = await world.signIn('wynn')
  watch = (
    await call<WatchAnswer>('POST', '/api/watches', {
      name: 'Skerrivane',
      query: { anyOf: [{ text: 'skerrivane' }] },
    })
  ).body
  await call('POST', '/api/profiles/searches', { network: 'skimmer' })
  await settled(world)
}, 150_000)
afterAll(async () => {
  await world.stop()
  receiver.close()
})

const draft = (more: object = {}) => ({
  name: 'An alert',
  lens: `watch=${watch.id}`,
  condition: { kind: 'any' },
  quietMinutes: 0,
  inApp: true,
  emails: ['tamsin@skerrivane.example'],
  webhook: null,
  active: true,
  ...more,
})
/** Brings what was posted in, as the schedule would. */
async function collect(): Promise<void> {
  const [search] = (await call<ProfileAnswer[]>('GET', '/api/profiles')).body.filter(
    (p) => p.network === 'skimmer',
  )
  await call('POST', `/api/profiles/${search!.id}/collect`)
}
/** Alerts are looked at every twenty seconds; here the next look is due at once. */
async function lookNow(): Promise<void> {
  const { db, due } = world.server.context
  const rows = await db.rows<{ subject: string }>(`SELECT subject FROM due_work WHERE kind = 'checkAlert'`)
  await due.ask(rows.map(({ subject }) => ({ kind: 'checkAlert' as const, subject, owner: 'brand 1' })))
}
/** What went out by mail goes out again. */
async function mailAgain(): Promise<void> {
  const { db, due } = world.server.context
  const rows = await db.rows<{ id: number }>(
    `UPDATE alert_deliveries SET state = 'waiting', attempts = 0 WHERE way = 'email' RETURNING id`,
  )
  await due.ask(rows.map(({ id }) => ({ kind: 'deliver' as const, subject: id, owner: 'mail' })))
}
const events = async (id: number) => (await call<AlertEventAnswer[]>('GET', `/api/alerts/${id}/events`)).body

describe('an alert tried on the past', () => {
  const tried = async (condition: object, quietMinutes = 60) =>
    (
      await call<AlertTrialAnswer>('POST', '/api/alerts/trial', {
        lens: `watch=${watch.id}`,
        condition,
        quietMinutes,
      })
    ).body
  test.each([
    [{ kind: 'spike' }, 1],
    [{ kind: 'reach', above: 50_000 }, 1],
    [{ kind: 'reach', above: 50_001 }, 0],
    [{ kind: 'more', hours: 24 }, 1],
    [{ kind: 'net', below: -0.5, days: 3 }, 1],
  ])('%j would have told %s times', async (condition, times) => {
    const trial = await tried(condition)
    expect(trial.begins).toBe(times)
    expect(trial.firings.every((t) => firingText(t.phrase).length > 10)).toBe(true)
  })
  test('every entry is told when it is asked for', async () =>
    expect((await tried({ kind: 'any' }, 0)).begins).toBe(80))
  test.each([
    [{ kind: 'more', hours: 0 }, 'condition.hours'],
    [{ kind: 'net', days: 7 }, 'condition.below'],
    [{ kind: 'loud' }, 'condition.kind'],
  ])('%j is refused', async (condition, field) => {
    const { status, body } = await call<Problem>('POST', '/api/alerts/trial', {
      lens: '',
      condition,
      quietMinutes: 0,
    })
    expect([status, body.fields?.[0]?.field]).toEqual([422, field])
  })
  test('a lens that cannot be read is named', async () => {
    const { body } = await call<Problem>('POST', '/api/alerts/trial', {
      lens: 'sentiment=angry',
      condition: { kind: 'any' },
      quietMinutes: 0,
    })
    expect(body).toMatchObject({ code: 'lensUnknown', fields: [{ field: 'sentiment' }] })
  })
})

test('an alert that would tell all day long is refused, with the figure', async () => {
  await world.server.context.db.rows(
    `INSERT INTO entries (brand_id, profile_id, thread_id, direction, kind, channel, text, at, analysed_at)
     SELECT brand_id, profile_id, thread_id, 'in', 'mention', 'posts', 'x', now() - n * interval '30 minutes', now() FROM (SELECT * FROM entries LIMIT 1) e, generate_series(1, 4000) n`,
  )
  const { status, body } = await call<Problem>('POST', '/api/alerts', draft({ lens: '' }))
  expect([status, body.code]).toEqual([422, 'alertTooOften'])
  expect(body.fields?.[0]?.message).toMatch(/would have told 40\d\d times in \d+ days, \d\d a day/)
  await world.server.context.db.rows(`DELETE FROM entries WHERE text = 'x'`)
})

test.each([
  [{ emails: ['nobody'] }, 'emails[0]'],
  [{ webhook: 'http://127.0.0.1:1/x' }, 'webhook'],
  [{ name: '' }, 'name'],
])('%j is refused', async (more, field) => {
  const { status, body } = await call<Problem>('POST', '/api/alerts', draft(more))
  expect([status, body.fields?.[0]?.field]).toEqual([422, field])
})

describe('an alert that is on', () => {
  let alert: AlertAnswer
  test('tells of a new mention once: mail, signed webhook, bell and feed', async () => {
    const webhook = `http://127.0.0.1:${(receiver.address() as AddressInfo).port}/hook`
    alert = (await call<AlertAnswer>('POST', '/api/alerts', draft({ webhook }))).body
    post('Skerrivane, what a fresh remark')
    await collect()
    await until(
      async () =>
        (await call<EntryPage>('GET', '/api/entries?unit=entries&words=fresh')).body.rows.length === 1,
    )
    await settled(world)
    await lookNow()
    await until(async () => world.mailroom.mails.length > 0 && hooks.length > 0)
    await lookNow()
    const [mail] = world.mailroom.mails
    expect(mail).toMatchObject({
      to: ['tamsin@skerrivane.example'],
      subject: 'An alert: 1 entry new. (Skerrivane Ferries)',
    })
    const link = /http\S+watch\?\S+/.exec(mail!.text)![0]
    expect(link).toContain(`watch=${watch.id}`)
    const verified = new Webhook(alert.webhookSecret!).verify(hooks[0]!.body, hooks[0]!.headers) as {
      data: { text: string }
    }
    expect(verified.data.text).toBe('1 entry new.')
    for (const [address, format] of [
      [alert.atom!, 'atom'],
      [alert.json!, 'json'],
    ] as const) {
      const feed = parseFeed(await (await fetch(address)).text())
      expect(feed).toMatchObject({ format, entries: [{ title: '1 entry new.' }] })
    }
    const { body: bell } = await call<BellAnswer>('GET', '/api/bell')
    expect([bell.unseen, bell.events.length]).toEqual([1, 1])
    await call('PUT', '/api/bell/seen', { upTo: bell.events[0]!.id })
    expect((await call<BellAnswer>('GET', '/api/bell')).body.unseen).toBe(0)
    expect(await events(alert.id)).toHaveLength(1)
    expect(world.mailroom.mails).toHaveLength(1)
  })

  test('a mail that the server refuses for good is named; one it cannot take now is tried again', async () => {
    const { db } = world.server.context
    world.mailroom.refuseWith(550)
    await mailAgain()
    await until(
      async () =>
        (await call<AlertAnswer[]>('GET', '/api/alerts')).body[0]?.lastFailure?.includes('tamsin@') ?? false,
    )
    world.mailroom.refuseWith(451)
    await mailAgain()
    await until(
      async () =>
        (
          await db.rows(
            `SELECT 1 FROM alert_deliveries WHERE way = 'email' AND state = 'waiting' AND attempts > 0`,
          )
        ).length > 0,
    )
    world.mailroom.refuseWith(0)
    await until(async () => world.mailroom.mails.length === 2)
    // The mail keeps its id when it is sent again, so that a reader shows it once.
    expect(world.mailroom.mails[1]!.messageId).toBe(world.mailroom.mails[0]!.messageId)
  })

  test('is told when it begins and when it is over, and not in between', async () => {
    const more = (
      await call<AlertAnswer>(
        'POST',
        '/api/alerts',
        draft({ name: 'More', condition: { kind: 'more', hours: 6 }, emails: [], quietMinutes: 60 }),
      )
    ).body
    await lookNow()
    for (let i = 0; i < 9; i++) post(`Skerrivane now, ${i * 31}`)
    await collect()
    await until(
      async () =>
        (await call<{ count: number }>('GET', '/api/entries/count?unit=entries&phrase=skerrivane%20now')).body
          .count === 9,
    )
    await settled(world)
    await lookNow()
    // The hour is not over yet; it is judged when it is.
    expect(await events(more.id)).toEqual([])
    await world.server.context.db.rows(
      `UPDATE entries SET at = date_trunc('hour', now()) - interval '10 minutes' WHERE text LIKE 'Skerrivane now%'`,
    )
    await lookNow()
    await until(async () => (await events(more.id)).length === 1)
    await lookNow()
    expect((await events(more.id))[0]).toMatchObject({ kind: 'begin' })
    await world.server.context.db.rows(
      `UPDATE entries SET at = at - interval '40 days' WHERE text LIKE 'Skerrivane now%'`,
    )
    await lookNow()
    await until(async () => (await events(more.id)).length === 2)
    expect((await events(more.id)).map((e) => e.kind)).toEqual(['end', 'begin'])
  })

  test('is read by nobody without its token, nor after it is deleted or its address was renewed', async () => {
    expect((await fetch(alert.atom!.replace(/feeds\/..../, 'feeds/xxxx'))).status).toBe(404)
    await call('DELETE', `/api/alerts/${alert.id}`)
    expect((await fetch(alert.atom!)).status).toBe(404)
    // A secret that was given up stays dead, also when the alert comes back; a new one is made on demand.
    const restored = await call<AlertAnswer>('POST', `/api/alerts/${alert.id}/restore`)
    expect(restored.body.atom).toBeNull()
    expect((await fetch(alert.atom!)).status).toBe(404)
    const first = (await call<FeedAddresses>('POST', `/api/alerts/${alert.id}/feed`)).body
    const second = (await call<FeedAddresses>('POST', `/api/alerts/${alert.id}/feed`)).body
    expect([(await fetch(first.atom!)).status, (await fetch(second.atom!)).status]).toEqual([404, 200])
    expect((await call<FeedAddresses>('DELETE', `/api/alerts/${alert.id}/feed`)).body).toEqual({
      atom: null,
      json: null,
    })
    expect((await fetch(second.atom!)).status).toBe(404)
  })
})

test('the feed of a watch is valid, holds no private message, and its address can be made anew', async () => {
  const { body } = await call<FeedAddresses>('POST', `/api/watches/${watch.id}/feed`)
  const feed = parseFeed(await (await fetch(body.atom!)).text())
  expect(feed.title).toBe('Skerrivane: Skerrivane Ferries')
  expect(feed.entries.length).toBeGreaterThan(40)
  expect(parseFeed(await (await fetch(body.json!)).text()).entries.map((e) => e.id)).toEqual(
    feed.entries.map((e) => e.id),
  )
  const again = (await call<FeedAddresses>('POST', `/api/watches/${watch.id}/feed`)).body
  expect((await fetch(body.atom!)).status).toBe(404)
  expect((await fetch(again.atom!)).status).toBe(200)
})

describe('lists of feeds', () => {
  const opml = (outlines: string, head = '') =>
    `<?xml version="1.0"?>${head}<opml version="2.0"><head/><body>${outlines}</body></opml>`
  test('are taken in, nested and dead ones too; what cannot be used is named', async () => {
    const list = opml(
      `<outline text="News"><outline type="rss" text="Courier &amp; Co" xmlUrl="${world.press.address}/courier/feed"/></outline>
       <outline text="Dead" xmlUrl="http://feeds.invalid/x"/><outline text="Inside" xmlUrl="http://10.0.0.1/feed"/><outline text="None" xmlUrl="not an address"/>`,
    )
    const { body } = await call<OpmlAnswer>('POST', '/api/profiles/opml', { file: list })
    expect(body).toMatchObject({ added: 2, known: 0, refused: 2 })
    expect(body.problems.map((p) => p.reason)).toEqual(['lies inside our own network', 'is no web address'])
    expect((await call<OpmlAnswer>('POST', '/api/profiles/opml', { file: list })).body).toMatchObject({
      added: 0,
      known: 2,
    })
    const exported = (await call<string>('GET', '/api/profiles/feeds.opml')).body
    expect(exported).toContain('text="Courier &amp;amp; Co"'.replace('&amp;amp;', '&amp;'))
  })
  test('of five thousand are taken, of more refused with the figure', async () => {
    const many = (n: number) =>
      opml(Array.from({ length: n }, (_, i) => `<outline xmlUrl="http://f${i}.invalid/"/>`).join(''))
    const { status, body } = await call<Problem>('POST', '/api/profiles/opml', { file: many(5001) })
    expect([status, body.code, body.fields?.[0]?.values]).toEqual([
      422,
      'opmlUnreadable',
      { n: 5001, most: 5000 },
    ])
    expect((await call<OpmlAnswer>('POST', '/api/profiles/opml', { file: many(5000) })).body.added).toBe(5000)
    await world.server.context.db.rows(`DELETE FROM profiles WHERE outside_id LIKE '%.invalid/'`)
  })
  test.each([
    [
      'entities that expand',
      opml('<outline xmlUrl="&lol9;"/>', '<!DOCTYPE opml [<!ENTITY lol "lol"><!ENTITY lol9 "&lol;&lol;">]>'),
    ],
    ['no XML', 'hello'],
    ['another XML', '<rss version="2.0"/>'],
  ])('with %s are refused', async (_, file) => {
    const { status, body } = await call<Problem>('POST', '/api/profiles/opml', { file })
    expect([status, body.code]).toEqual([422, 'opmlUnreadable'])
  })
})
