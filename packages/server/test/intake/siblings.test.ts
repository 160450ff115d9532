import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { CountAnswer, Problem, ThreadAnswer, WatchAnswer } from '@murrabel/contract'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
const db = () => world.server.context.db
const account = { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' }
let minutes = 0
const post = (name: string, content: string, more: object = {}) =>
  world.skimmer.publish({
    author: { id: name.toLowerCase(), name, handle: name.toLowerCase() },
    content,
    published: new Date(Date.UTC(2026, 10, 20, 9, ++minutes)).toISOString(),
    ...more,
  })

interface Stored {
  outsideId: string
  text: string
  direction: string
  kind: string
  private: boolean
  thread: string
  threadId: number
  search: boolean
}
const stored = () =>
  db().rows<Stored>(
    `SELECT e.outside_id AS "outsideId", e.text, e.direction, e.kind, e.private, t.outside_id AS thread,
       t.id AS "threadId", p.outside_id = 'search' AS search
     FROM entries e
     JOIN threads t ON t.id = e.thread_id
     JOIN profiles p ON p.id = e.profile_id
     WHERE p.network = 'skimmer'
     ORDER BY e.at`,
  )
const byText = async (part: string) => (await stored()).filter(({ text }) => text.includes(part))
async function expectEachOnce(): Promise<void> {
  const ids = (await stored()).flatMap(({ outsideId }) => outsideId ?? [])
  expect(ids).toEqual([...new Set(ids)])
  const counted = await db().rows(
    `SELECT profile_id, kind, sentiment, sum(n)::int AS n
     FROM rollups GROUP BY 1, 2, 3 HAVING sum(n) <> 0 ORDER BY 1, 2, 3`,
  )
  const full = await db().rows(
    `SELECT profile_id, kind, sentiment, count(*)::int AS n
     FROM entries WHERE direction = 'in' GROUP BY 1, 2, 3 ORDER BY 1, 2, 3`,
  )
  expect(counted).toEqual(full)
  const mentioned = await db().rows(
    `SELECT watch_id, profile_id, sum(n)::int AS n FROM mention_rollups GROUP BY 1, 2 HAVING sum(n) <> 0 ORDER BY 1, 2`,
  )
  expect(mentioned).toEqual(
    await db().rows(
      `SELECT m.watch_id, e.profile_id, count(*)::int AS n
       FROM mentions m JOIN entries e ON e.id = m.entry_id GROUP BY 1, 2 ORDER BY 1, 2`,
    ),
  )
}
const collectAll = async () => {
  const began = (await db().one<{ at: Date }>('SELECT clock_timestamp() AS at'))!.at
  const profiles = await db().rows<{ id: number }>(`SELECT id FROM profiles WHERE network = 'skimmer'`)
  for (const { id } of profiles) await call('POST', `/api/profiles/${id}/collect`)
  await until(async () => {
    const done = await db().one<{ n: number }>(
      `SELECT count(*)::int AS n FROM profiles WHERE network = 'skimmer' AND collected_at > $1`,
      [began],
    )
    return done?.n === profiles.length
  })
  await settled(world)
}

beforeAll(async () => {
  world = await startTestWorld()
  world.skimmer.state.add({ op: 'account', ...account })
  const own = post('x', 'The winter timetable of Skerrivane is out', { author: account })
  post('Odile', 'Skerrivane, that timetable is a joke', { inReplyTo: own.id })
  post('Perrin', 'Saw the Skerrivane boat from my window')
  const asked = post('Runa', '@skerrivane where is the ramp at Dunmarrow?')
  post('Wilf', 'Next to the kiosk. Skerrivane moved it', { inReplyTo: asked.id })
  post('Moss', 'I lost my booking', { conversation: { id: 'skerrivane-moss', account: 'skerrivane' } })
  call = await world.signIn('wynn')
  await call('POST', '/api/watches', { name: 'Skerrivane', query: { anyOf: [{ text: 'skerrivane' }] } })
  expect((await call('POST', '/api/profiles/searches', { network: 'skimmer' })).status).toBe(200)
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

describe('what a search heard and an account collected is one entry', () => {
  test('before an account is connected it cannot be answered, and the reason is told', async () => {
    const [seen] = await byText('from my window')
    expect(seen).toMatchObject({ search: true, kind: 'mention' })
    const { reply } = (await call<ThreadAnswer>('GET', `/api/threads/${seen!.threadId}`)).body
    expect(reply).toMatchObject({ possible: false, reason: 'noAccount' })
  })

  test('an account that is connected later takes over what concerns it, with what was done', async () => {
    const [question] = await byText('where is the ramp')
    await call('PUT', '/api/threads/tags', { threads: [question!.threadId], add: ['ramps'], remove: [] })
    const [comment] = await byText('a joke')
    const { id } = (await db().one<{ id: number }>(`SELECT id FROM entries WHERE text LIKE '%a joke%'`))!
    await call('PUT', `/api/entries/${id}/sentiment`, { sentiment: 'negative' })
    expect(await world.connect(call, 'skimmer')).toMatch(/connected=/)
    await settled(world)
    await expectEachOnce()
    expect(await byText('timetable of Skerrivane')).toMatchObject([
      { direction: 'out', thread: expect.stringMatching(/^post\//) as string, search: false },
    ])
    expect(await byText('a joke')).toMatchObject([
      { direction: 'in', kind: 'comment', thread: `comment/${comment!.outsideId}`, search: false },
    ])
    const [asked, answer] = [await byText('where is the ramp'), await byText('Next to the kiosk')]
    expect([...asked, ...answer]).toMatchObject([
      { kind: 'mention', threadId: question!.threadId, search: false },
      { kind: 'mention', threadId: question!.threadId, search: false },
    ])
    expect(await byText('lost my booking')).toMatchObject([{ kind: 'message', private: true }])
    // Nothing in it concerns the account: it stays with the search.
    expect(await byText('from my window')).toMatchObject([{ search: true }])
    const { tags, kind } = (await call<ThreadAnswer>('GET', `/api/threads/${question!.threadId}`)).body
    expect([tags.length, kind]).toEqual([1, 'mention'])
    expect(
      await db().one(`SELECT sentiment, corrected_by IS NOT NULL AS by FROM entries WHERE id = $1`, [id]),
    ).toEqual({ sentiment: 'negative', by: true })
    // Our own words are nobody's mention.
    expect(
      await db().rows(
        `SELECT 1 FROM mentions m JOIN entries e ON e.id = m.entry_id WHERE e.direction = 'out'`,
      ),
    ).toEqual([])
  })

  test('what comes later by both ways is there once, whoever is first', async () => {
    const asked = post('Ada', '@skerrivane is the Skerrivane kiosk open?')
    for (let i = 0; i < 5; i++) post(`Late${i}`, `Skerrivane kiosk, answer ${i}`, { inReplyTo: asked.id })
    await collectAll()
    await collectAll()
    await expectEachOnce()
    const threads = new Set(
      (await byText('kiosk')).filter((e) => !e.text.startsWith('Next')).map((e) => e.threadId),
    )
    expect(threads.size).toBe(1)
    const { count } = (
      await call<CountAnswer>('GET', '/api/entries/count?unit=entries&channel=posts&watch=1')
    ).body
    const said = world.skimmer.state.posts.filter(
      (p) => /skerrivane/i.test(p.content) && p.author.id !== account.id && !p.conversation,
    )
    expect(count).toBe(said.length)
  })

  test('what a search heard is answered by the account, and goes on in the same thread', async () => {
    const [seen] = await byText('from my window')
    const path = `/api/threads/${seen!.threadId}`
    const { edition, reply } = (await call<ThreadAnswer>('GET', path)).body
    expect(reply).toMatchObject({ possible: true, as: 'Skerrivane Ferries', maxLength: 300, public: true })
    const draft = { text: 'We waved back.', key: crypto.randomUUID(), edition, finish: true }
    expect((await call('POST', `${path}/replies`, draft)).status).toBe(200)
    await until(async () => world.skimmer.state.posts.some((p) => p.content === 'We waved back.'))
    await settled(world)
    const ours = world.skimmer.state.posts.find((p) => p.content === 'We waved back.')!
    expect(ours.inReplyTo).toBe(seen!.outsideId)
    post('Perrin', 'You did! The children loved it', {
      inReplyTo: ours.id,
      published: new Date(Date.now() + 1000).toISOString(),
    })
    await collectAll()
    await expectEachOnce()
    const [first, answer, back] = await Promise.all(
      ['from my window', 'We waved back', 'The children loved it'].map(byText),
    )
    expect([first, answer, back].map((list) => list!.map((e) => e.threadId))).toEqual([
      [seen!.threadId],
      [seen!.threadId],
      [seen!.threadId],
    ])
    expect((await call<ThreadAnswer>('GET', path)).body.state).toBe('open')
  })

  test('an account that is closed to the reader answers nothing for them', async () => {
    post('Nell', 'The Skerrivane pier was quiet', { published: new Date().toISOString() })
    await collectAll()
    const [seen] = await byText('pier was quiet')
    const search = (await db().one<{ id: number }>(
      `SELECT id FROM profiles WHERE network = 'skimmer' AND outside_id = 'search'`,
    ))!
    const limit = (ids: number[] | null) =>
      db().rows(
        `UPDATE memberships SET profile_ids = $1
         WHERE colleague_id = (SELECT id FROM colleagues WHERE email = 'tamsin@skerrivane.example')`,
        [ids],
      )
    await limit([search.id])
    const tamsin = await world.signIn('tamsin')
    const path = `/api/threads/${seen!.threadId}`
    const { edition, reply } = (await tamsin<ThreadAnswer>('GET', path)).body
    expect(reply).toMatchObject({ possible: false, reason: 'noAccount' })
    const draft = { text: 'Hello', key: crypto.randomUUID(), edition, finish: false }
    expect((await tamsin<Problem>('POST', `${path}/replies`, draft)).body.code).toBe('replyNotPossible')
    expect((await call<ThreadAnswer>('GET', path)).body.reply.possible).toBe(true)
    await limit(null)
  })

  test('who names us is answered; others in the same thread do not open it again', async () => {
    const asked = post('Ida', '@skerrivane do you carry kayaks?', { published: new Date().toISOString() })
    await collectAll()
    const [row] = await byText('carry kayaks')
    const path = `/api/threads/${row!.threadId}`
    const thread = async () => (await call<ThreadAnswer>('GET', path)).body
    expect(await thread()).toMatchObject({ state: 'open', dueAt: expect.any(String) as string })
    await call('POST', `${path}/events`, { kind: 'finish' })
    post('Olm', 'Last year they did', {
      inReplyTo: asked.id,
      published: new Date(Date.now() + 500).toISOString(),
    })
    await collectAll()
    expect(await byText('Last year they did')).toMatchObject([{ threadId: row!.threadId }])
    expect((await thread()).state).toBe('done')
    post('Ida', 'And @skerrivane, paddles too?', {
      inReplyTo: asked.id,
      published: new Date(Date.now() + 1000).toISOString(),
    })
    await collectAll()
    expect((await thread()).state).toBe('open')
  })

  test('a watch that is to be answered brings its new mentions into the inbox, and no older ones', async () => {
    const inbox = async () =>
      (await call<CountAnswer>('GET', '/api/entries/count?unit=threads&state=open&origin=watched')).body.count
    expect(await inbox()).toBe(0)
    const query = { anyOf: [{ text: 'skerrivane' }] }
    const [watch] = (await call<WatchAnswer[]>('GET', '/api/watches')).body
    const changed = await call<WatchAnswer>('PUT', `/api/watches/${watch!.id}`, {
      name: 'Skerrivane',
      query,
      answered: true,
      edition: watch!.edition,
    })
    expect(changed.body.answered).toBe(true)
    post('Uma', 'Is Skerrivane any good?', { published: new Date(Date.now() + 1000).toISOString() })
    await collectAll()
    expect(await inbox()).toBe(1)
    const [row] = await byText('any good')
    expect((await call<ThreadAnswer>('GET', `/api/threads/${row!.threadId}`)).body).toMatchObject({
      state: 'open',
      reply: { possible: true },
    })
  })

  test('what is deleted is erased where the search has kept it as well', async () => {
    const heard = world.skimmer.state.posts.find((p) => p.content.includes('where is the ramp'))!
    const raw = () =>
      db().rows(`SELECT profile_id FROM raw_items WHERE payload::text LIKE '%where is the ramp%'`)
    expect((await raw()).length).toBe(2)
    world.skimmer.change({ op: 'deletion', id: heard.id, at: new Date().toISOString() })
    await until(async () => (await raw()).length === 0)
    await settled(world)
    expect(await byText('where is the ramp')).toEqual([])
    await expectEachOnce()
  })
})
