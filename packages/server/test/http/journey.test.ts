import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  EntryPage,
  EntryRow,
  Problem,
  ProfileAnswer,
  ThreadAnswer,
  ThreadChangeAnswer,
  TideAnswer,
  TrialAnswer,
  WatchAnswer,
} from '@murrabel/contract'
import { seedStandins } from '../support/seed.ts'
import { until } from '../support/until.ts'
import { consent, settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let specialist: Caller

beforeAll(async () => {
  world = await startTestWorld()
  seedStandins(world)
  owner = await world.signIn('wynn')
  specialist = await world.signIn('tamsin')
  expect(await world.connect(owner, 'lanternpage')).toMatch(/^\/set-up\/profiles\?connected=/)
  expect(await world.connect(owner, 'wherabout')).toMatch(/connected=\d+,\d+$/)
  for (const feed of ['courier', 'gazette', 'blog'])
    expect(
      (await owner('POST', '/api/profiles/feeds', { address: `${world.press.address}/${feed}/feed` })).status,
    ).toBe(200)
  await settled(world)
})
afterAll(() => world.stop())

const list = async (query: string, call = specialist) =>
  (await call<EntryPage>('GET', `/api/entries?${query}`)).body.rows
const count = async (query: string, call = specialist) =>
  (await call<{ count: number; pastDue: number }>('GET', `/api/entries/count?${query}`)).body
const threadOf = async (text: string, call = specialist): Promise<ThreadAnswer> => {
  const row = (await list('unit=entries', call)).find((r) => r.text.includes(text))
  return (await call<ThreadAnswer>('GET', `/api/threads/${row?.threadId}`)).body
}
const key = () => crypto.randomUUID()

describe('collecting', () => {
  test('everything of every profile is there once', async () => {
    const rows = await list('unit=entries&limit=100')
    expect(rows.map((r) => r.kind).sort()).toEqual([
      'comment',
      'comment',
      'comment',
      'mention',
      'mention',
      'mention',
      'message',
      'message',
      'question',
      'review',
      'review',
      'review',
    ])
    const profiles = (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body
    expect(profiles.map((p) => [p.name, p.status])).toEqual([
      ['Skerrivane Ferries, Port Ellery', 'connected'],
      ['Skerrivane Ferries, Dunmarrow', 'connected'],
      ['Sound Courier', 'connected'],
      ['Orrin Gazette', 'connected'],
      ['The Slow Boat', 'connected'],
      ['Skerrivane Ferries', 'connected'],
    ])
    expect(profiles.every((p) => p.historyDone === p.historyTotal)).toBe(true)
  })

  test('fetching again adds nothing', async () => {
    const before = (await count('unit=entries')).count
    const { db } = world.server.context
    await db.rows('UPDATE profiles SET cursor = NULL')
    for (const { id } of (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body)
      await owner('POST', `/api/profiles/${id}/collect`)
    await until(
      async () =>
        (await db.one<{ n: number }>('SELECT count(*) AS n FROM profiles WHERE cursor IS NULL'))?.n === 0,
    )
    expect((await count('unit=entries')).count).toBe(before)
  })

  test('reads language, mood and place', async () => {
    const rows = await list('unit=entries&limit=100')
    const of = (text: string) => rows.find((r) => r.text.includes(text))!
    expect(of('nobody told us').sentiment).toBe('negative')
    expect(of('Kind crew').sentiment).toBe('positive')
    expect(of('ninety minutes')).toMatchObject({ rating: 1, placeId: 2, network: 'wherabout' })
    const empty = rows.find((r) => r.kind === 'review' && r.text === '')!
    expect(empty).toMatchObject({ rating: 2, sentiment: 'negative' })
    expect(of('Tea, rain')).toMatchObject({ text: 'Tea, rain & a rainbow <3', channel: 'news' })
  })

  test('what is old or answered is not owed an answer, what is new is', async () => {
    const rows = await list('unit=threads&state=open')
    expect(rows.map((r) => r.author).sort()).toEqual([
      'Bastian Feld',
      'Iva Strand',
      'Odile Marchetaux',
      'Perrin Oakes',
      'Visitor w3',
      'Visitor w4',
    ])
    expect((await count('unit=threads&state=done&kind=review')).count).toBe(1)
  })

  test('the most pressing stands first, and each thread says why', async () => {
    const rows = await list('unit=threads&state=open&order=pressing')
    const points = await Promise.all(
      rows.map(
        async (r) =>
          (await specialist<ThreadAnswer>('GET', `/api/threads/${r.threadId}`)).body.urgency!.points,
      ),
    )
    expect(points).toEqual([...points].sort((a, b) => b - a))
    const perrin = (await threadOf('nobody told us')).urgency!
    expect(perrin.parts.map((p) => p.name)).toEqual(['pastDue', 'negative', 'reach'])
    expect(perrin.points).toBe(perrin.parts.reduce((sum, p) => sum + p.points, 0))
  })

  test('a comment stands under its post, with what the person said before', async () => {
    const thread = await threadOf('Peut-on monter')
    expect(thread.title).toBe('Calm seas at Port Ellery this morning.')
    expect(thread.person).toMatchObject({ name: 'Odile Marchetaux', count: 2 })
    expect(thread.person?.before.map((b) => b.text)).toEqual(['Wonderful crossing on the Grey Heron!'])
    expect(thread.paid).toBe(true)
  })
})

describe('the lens', () => {
  test.each([
    'unit=threads&state=open',
    'unit=entries&felt=negative',
    'unit=entries&words=skerrivane',
    'unit=entries&place=2',
    'unit=entries&time=last-7',
    'unit=threads&channel=maps&order=oldest',
  ])('count, list and tide of %s agree', async (query) => {
    const rows = await list(`${query}&limit=100`)
    expect((await count(query)).count).toBe(rows.length)
    const wide = `${query.replace(/&time=[^&]*/, '')}&time=last-300`
    const { buckets } = (await specialist<TideAnswer>('GET', `/api/tide?${wide}`)).body
    const all = await count(wide)
    expect(buckets.reduce((sum, b) => sum + b.positive + b.neutral + b.negative + b.unread, 0)).toBe(
      all.count,
    )
  })

  test('pages follow each other without gap or overlap', async () => {
    const seen: number[] = []
    let after = ''
    do {
      const { body } = await specialist<EntryPage>(
        'GET',
        `/api/entries?unit=entries&limit=2${after && `&after=${after}`}`,
      )
      seen.push(...body.rows.map((r) => r.id))
      after = body.next ?? ''
    } while (after)
    expect(seen).toEqual((await list('unit=entries&limit=100')).map((r) => r.id))
    expect(new Set(seen).size).toBe(seen.length)
  })

  test('an unknown lens is refused by field', async () => {
    const { status, body } = await specialist<Problem>(
      'GET',
      '/api/entries?unit=entries&felt=angry&order=loudest',
    )
    expect(status).toBe(422)
    expect(body.code).toBe('lensUnknown')
    expect(body.fields?.map((f) => f.field)).toEqual(['felt', 'order'])
  })
})

describe('access', () => {
  test('a place manager sees only the own place, everywhere', async () => {
    const ness = await world.signIn('ness')
    const rows = await list('unit=entries&limit=100', ness)
    expect(rows.map((r) => r.placeId)).toEqual([2, 2])
    expect((await count('unit=entries', ness)).count).toBe(2)
    const hidden = await threadOf('lost a green rucksack')
    expect((await ness('GET', `/api/threads/${hidden.id}`)).status).toBe(404)
    expect((await ness('POST', `/api/threads/${hidden.id}/events`, { kind: 'finish' })).status).toBe(404)
  })
  test('a reader changes nothing', async () => {
    const rowan = await world.signIn('rowan')
    const { id, version } = await threadOf('lost a green rucksack')
    expect(
      (await rowan<Problem>('POST', `/api/threads/${id}/replies`, { text: 'x', key: key(), version })).body
        .code,
    ).toBe('notAllowed')
    expect(
      (await rowan('POST', '/api/watches', { name: 'x', query: { anyOf: [{ text: 'boat' }] } })).status,
    ).toBe(403)
    expect((await specialist('POST', '/api/profiles/connect', { network: 'lanternpage' })).status).toBe(403)
  })
  test('nobody without a session, and no change from another site', async () => {
    const { publicAddress } = world.config
    expect((await fetch(`${publicAddress}/api/entries?unit=entries`)).status).toBe(401)
    const foreign = await fetch(`${publicAddress}/api/watches/1`, {
      method: 'DELETE',
      headers: { cookie: specialist.cookie, origin: 'https://elsewhere.example' },
    })
    expect(((await foreign.json()) as Problem).code).toBe('foreignOrigin')
    const wrong = await fetch(`${publicAddress}/api/session`, {
      method: 'POST',
      headers: { origin: publicAddress, 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'wynn@skerrivane.example', password: 'no' }),
    })
    expect(wrong.status).toBe(401)
  })
  test('headers keep scripts and frames of others out', async () => {
    const response = await fetch(`${world.config.publicAddress}/health`)
    expect(response.headers.get('content-security-policy')).toContain("script-src 'self'")
    expect(response.headers.get('x-powered-by')).toBeNull()
  })
})

describe('answering', () => {
  test('a reply goes out once, is seen on the public page, and the thread is done', async () => {
    const { id, version } = await threadOf('ninety minutes')
    const draft = { text: 'We are sorry, the screen had failed.', key: key(), version, finish: true }
    const first = await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/replies`, draft)
    expect(first.body.thread.state).toBe('done')
    expect((await specialist('POST', `/api/threads/${id}/replies`, draft)).status).toBe(200)
    await until(async () => (await threadOf('ninety minutes')).entries[1]?.outbox?.state === 'sent')
    const page = await (await fetch(`${world.wherabout.address}/businesses/dunmarrow`)).text()
    expect(page.split('We are sorry, the screen had failed.')).toHaveLength(2)
    expect((await threadOf('ninety minutes')).entries).toHaveLength(2)
  })

  test('what a colleague did meanwhile is told, and the text can still be sent', async () => {
    const { id, version } = await threadOf('nobody told us')
    await owner('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    const refused = await specialist<Problem>('POST', `/api/threads/${id}/replies`, {
      text: 'Sorry, Perrin.',
      key: key(),
      version,
    })
    expect([refused.status, refused.body.code]).toEqual([409, 'threadChanged'])
    const sent = await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/replies`, {
      text: 'Sorry, Perrin.',
      key: key(),
      version,
      anyway: true,
    })
    expect(sent.status).toBe(200)
    await until(() =>
      world.lanternpage.state.streams
        .get('skerrivane')!
        .some((n) => n.content === 'Sorry, Perrin.' && n.inReplyTo === 'n4'),
    )
  })

  test.each([
    [0, 422, 'invalid'],
    [2001, 422, 'replyTooLong'],
    [10_001, 422, 'invalid'],
  ])('a reply of %i characters is refused', async (length, status, code) => {
    const text = 'x'.repeat(length)
    const { id, version } = await threadOf('lost a green rucksack')
    const answer = await specialist<Problem>('POST', `/api/threads/${id}/replies`, {
      text,
      key: key(),
      version,
    })
    expect([answer.status, answer.body.code]).toEqual([status, code])
    expect(answer.body.fields?.[0]?.field).toBe('text')
  })

  test('an article takes no reply', async () => {
    const { id, version, reply } = await threadOf('Visitors welcomed it')
    expect(reply).toMatchObject({ possible: false, reason: 'channel' })
    expect(
      (await specialist<Problem>('POST', `/api/threads/${id}/replies`, { text: 'x', key: key(), version }))
        .body.code,
    ).toBe('replyNotPossible')
  })

  test('finish, set aside, give: each can be undone, and no more once something newer happened', async () => {
    const { id } = await threadOf('lost a green rucksack')
    const done = (
      await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    ).body
    expect(done.thread.state).toBe('done')
    const undone = (
      await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/events/${done.eventId}/undo`)
    ).body
    expect(undone.thread.state).toBe('open')
    const until = new Date(Date.now() + 3_600_000).toISOString()
    const aside = (
      await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/events`, { kind: 'setAside', until })
    ).body
    expect(aside.thread).toMatchObject({ state: 'aside', setAsideUntil: until })
    await specialist('PUT', `/api/threads/${id}/given`, { to: 1 })
    expect(
      (await specialist<Problem>('POST', `/api/threads/${id}/events/${aside.eventId}/undo`)).body.code,
    ).toBe('undoTooLate')
    expect(
      (
        await specialist<Problem>('POST', `/api/threads/${id}/events`, {
          kind: 'setAside',
          until: '2020-01-01T00:00:00Z',
        })
      ).body.fields?.[0]?.code,
    ).toBe('pastTime')
    expect((await specialist<Problem>('PUT', `/api/threads/${id}/given`, { to: 999 })).status).toBe(422)
    await specialist('PUT', `/api/threads/${id}/given`, { to: null })
    await specialist('POST', `/api/threads/${id}/events`, { kind: 'reopen' })
  })

  test('a corrected mood stands over the machine and counts everywhere', async () => {
    const row = (await list('unit=entries')).find((r) => r.text.includes('Is there a lift'))!
    await specialist('PUT', `/api/entries/${row.id}/sentiment`, { label: 'negative' })
    expect((await list('unit=entries&felt=negative')).some((r) => r.id === row.id)).toBe(true)
    const { db } = world.server.context
    const rolled = await db.one<{ n: number }>(
      `SELECT coalesce(sum(n), 0) AS n FROM rollups WHERE kind = 'question' AND sentiment = 'negative'`,
    )
    expect(rolled?.n).toBe(1)
    await specialist('PUT', `/api/entries/${row.id}/sentiment`, { label: null })
    await until(
      async () => (await list('unit=entries')).find((r) => r.id === row.id)?.sentiment === 'neutral',
    )
  })

  test('every action leaves a line in the audit', async () => {
    const rows = await world.server.context.db.rows<{ action: string }>(
      'SELECT DISTINCT action FROM audit ORDER BY 1',
    )
    expect(rows.map((r) => r.action)).toEqual(
      expect.arrayContaining([
        'connectProfile',
        'correctSentiment',
        'finish',
        'give',
        'replyAndFinish',
        'signIn',
        'undo',
      ]),
    )
  })
})

describe('live arrival', () => {
  test('a comment written on the network is on the stream within a second', async () => {
    const { publicAddress } = world.config
    const stream = await fetch(`${publicAddress}/api/live`, { headers: { cookie: specialist.cookie } })
    const reader = stream.body!.getReader()
    await reader.read()
    const began = Date.now()
    await fetch(`${world.lanternpage.address}/notes/n1/comments`, {
      method: 'POST',
      body: new URLSearchParams({ name: 'Hester Quill', content: 'Torquil is a treasure.' }),
      redirect: 'manual',
    })
    const { value } = await reader.read()
    expect(new TextDecoder().decode(value)).toContain('"kind":"entries"')
    expect(Date.now() - began).toBeLessThan(1000)
    await reader.cancel()
    expect((await list('unit=threads&state=open')).some((r) => r.author === 'Hester Quill')).toBe(true)
  })

  test('doubled and reordered deliveries change nothing but once', async () => {
    world.lanternpage.board.faults.doubleDeliveries = true
    world.lanternpage.board.faults.reorderDeliveries = true
    for (const content of ['one of two', 'two of two'])
      await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
        method: 'POST',
        body: new URLSearchParams({ name: 'Sander Strand', content }),
        redirect: 'manual',
      })
    await until(
      async () => (await list('unit=entries')).filter((r) => r.text.endsWith('of two')).length === 2,
    )
    await settled(world)
    expect((await threadOf('one of two')).entries.map((e) => e.text)).toEqual(['one of two', 'two of two'])
    Object.assign(world.lanternpage.board.faults, { doubleDeliveries: false, reorderDeliveries: false })
  })

  test('a delivery with a wrong signature, an old time or a broken body is refused', async () => {
    const { db } = world.server.context
    const hook = await db.one<{ token: string }>(
      `SELECT hook_token AS token FROM profiles WHERE network = 'lanternpage'`,
    )
    const send = (headers: Record<string, string>, body: string) =>
      fetch(`${world.config.publicAddress}/hooks/${hook!.token}`, { method: 'POST', headers, body })
    const time = String(Math.floor(Date.now() / 1000))
    const wrong = await send(
      { 'webhook-id': 'x', 'webhook-timestamp': time, 'webhook-signature': 'v1,AAAA' },
      '{}',
    )
    expect(((await wrong.json()) as Problem).code).toBe('signatureWrong')
    expect(
      (await send({ 'webhook-id': 'x', 'webhook-timestamp': '1', 'webhook-signature': 'v1,AAAA' }, '{}'))
        .status,
    ).toBe(401)
    expect((await send({}, 'not json')).status).toBe(401)
    expect(
      (await fetch(`${world.config.publicAddress}/hooks/unknown`, { method: 'POST', body: '{}' })).status,
    ).toBe(404)
  })
})

describe('watches', () => {
  const query = { anyOf: [{ text: 'skerrivane' }], noneOf: [{ text: 'folk song' }] }

  test('is tried before it is saved, and catches the same afterwards', async () => {
    const trial = (await specialist<TrialAnswer>('POST', '/api/watches/trial', { query })).body
    expect(trial.hits).toBe(1)
    expect(trial.perDay.reduce((sum, d) => sum + d.count, 0)).toBe(1)
    const [hit] = trial.sample
    expect(`${hit!.title}\n\n${hit!.text}`.slice(hit!.hits[0]!.start, hit!.hits[0]!.end)).toBe('Skerrivane')
    const saved = (await specialist<WatchAnswer>('POST', '/api/watches', { name: 'Skerrivane', query })).body
    const watches = () =>
      specialist<WatchAnswer[]>('GET', '/api/watches').then((r) => r.body.find((w) => w.id === saved.id))
    await until(async () => (await watches())?.mentions === 1)
    const rows = await list(`unit=entries&watch=${saved.id}`)
    expect(rows.map((r: EntryRow) => r.text)).toEqual([
      'Skerrivane Ferries adds a boat. Visitors welcomed it.',
    ])
    expect(rows[0]!.hits?.length).toBe(1)
    await specialist('PUT', `/api/watches/${saved.id}`, { name: 'Skerrivane', query: { anyOf: query.anyOf } })
    await until(async () => (await watches())?.mentions === 2)
    expect((await specialist('DELETE', `/api/watches/${saved.id}`)).status).toBe(204)
    expect(await watches()).toBeUndefined()
    expect((await specialist<WatchAnswer>('POST', `/api/watches/${saved.id}/restore`)).body.id).toBe(saved.id)
  })

  test('what comes in later is caught at once', async () => {
    const saved = (
      await specialist<WatchAnswer>('POST', '/api/watches', {
        name: 'Ness',
        query: { anyOf: [{ text: 'Ness', exactCase: true }] },
      })
    ).body
    await fetch(`${world.wherabout.address}/businesses/dunmarrow`, {
      method: 'POST',
      body: new URLSearchParams({ name: 'Iva Rook', rating: '5', text: 'Ness was kind to us.' }),
      redirect: 'manual',
    })
    await until(async () => (await list(`unit=entries&watch=${saved.id}`)).length === 1)
  })

  test.each([
    [{}, 'nothingAsked'],
    [{ anyOf: [{ text: '*' }] }, 'termEmpty'],
    [{ anyOf: Array.from({ length: 10_000 }, (_, i) => ({ text: `term ${i}` })) }, 'tooManyTerms'],
  ])('a watch that cannot work is refused: %#', async (bad, code) => {
    const { status, body } = await specialist<Problem>('POST', '/api/watches', { name: 'x', query: bad })
    expect([status, body.fields?.[0]?.code]).toEqual([422, code])
  })
})

describe('keys of profiles', () => {
  test('are sealed in the database', async () => {
    const rows = await world.server.context.db.rows<{ sealed: Buffer }>(
      'SELECT key_sealed AS sealed FROM profiles WHERE key_sealed IS NOT NULL',
    )
    const token = world.lanternpage.state.tokens[0]!.access
    expect(rows.length).toBe(3)
    expect(rows.every((r) => !r.sealed.includes(token))).toBe(true)
  })

  test('that expire are told; replies wait until the key is renewed', async () => {
    await fetch(`${world.lanternpage.address}/switchboard`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"expireKeys":true}',
    })
    const { id, version } = await threadOf('lost a green rucksack')
    await specialist('POST', `/api/threads/${id}/replies`, {
      text: 'Found it, Bastian.',
      key: key(),
      version,
    })
    const profile = () =>
      owner<ProfileAnswer[]>('GET', '/api/profiles').then((r) =>
        r.body.find((p) => p.network === 'lanternpage'),
      )
    await until(async () => (await profile())?.status === 'expired')
    expect((await threadOf('lost a green rucksack')).entries.at(-1)?.outbox?.state).toBe('waiting')
    expect(await world.connect(owner, 'lanternpage')).toMatch(/connected=/)
    await until(() =>
      world.lanternpage.state.streams
        .get('skerrivane')!
        .some((n) => n.content === 'Found it, Bastian.' && n.conversation),
    )
    await until(async () => (await profile())?.status === 'connected')
  })

  test('consent that is refused or belongs to somebody else connects nothing', async () => {
    const ask = async () =>
      (await owner<{ redirect: string }>('POST', '/api/profiles/connect', { network: 'wherabout' })).body
        .redirect
    expect(await consent(await ask(), owner.cookie, 'refuse')).toBe('/set-up/profiles?problem=oauthRefused')
    const other = await world.signIn('wynn')
    void other
    const redirect = await ask()
    const rowan = await world.signIn('rowan')
    expect(await consent(redirect, rowan.cookie)).toBe('403')
    expect(await consent('', owner.cookie).catch(() => 'none')).toBe('none')
  })

  test('a profile that is disconnected keeps what it collected and takes no reply', async () => {
    const profile = (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body.find((p) =>
      p.name.endsWith('Port Ellery'),
    )!
    const before = profile.entries
    const gone = (await owner<ProfileAnswer>('POST', `/api/profiles/${profile.id}/disconnect`)).body
    expect([gone.status, gone.entries]).toEqual(['disconnected', before])
    const { id, version, reply } = await threadOf('Is there a lift')
    expect(reply.reason).toBe('disconnected')
    expect(
      (await specialist<Problem>('POST', `/api/threads/${id}/replies`, { text: 'Yes.', key: key(), version }))
        .body.code,
    ).toBe('replyNotPossible')
  })
})
