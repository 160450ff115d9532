import { afterAll, beforeAll, expect, test } from 'vitest'
import type {
  CountAnswer,
  EntryPage,
  EntryRow,
  ManyChangeAnswer,
  Problem,
  Team,
  ThreadAnswer,
  ThreadChangeAnswer,
} from '@murrabel/contract'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { businessHoursOf, refreshThreads } from '../../src/services/inbox/index.ts'
import { lockThreadById } from '../../src/store/queries/inbox/change.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let wynn: Caller
let tamsin: Caller
let ness: Caller
let team: Team
let profile: IngestProfile
const pitch =
  'Dear owner, we can double the visitors of your ferry page within two weeks, and the first month is free of charge. Shall we talk on Tuesday?'
const pitchAgain =
  'Dear owner, we can double the visitors of your kayak page within two weeks, and the first month is free of charge. Shall we talk on Tuesday?'

let said = 0
/** Somebody writes; gives the id of their thread. */
async function say(author: string, text: string, thread = `t${++said}`): Promise<number> {
  await ingest(world.server.context, profile, [
    {
      outsideId: `e${++said}`,
      threadId: thread,
      kind: 'message',
      private: true,
      direction: 'in',
      author: { outsideId: author, name: author },
      text,
      at: Date.now() - 60_000 + said,
      raw: {},
    },
  ])
  await settled(world)
  const row = await world.server.context.db.one<{ id: number }>(
    'SELECT id FROM threads WHERE profile_id = $1 AND outside_id = $2',
    [profile.id, thread],
  )
  return row!.id
}
const thread = async (id: number): Promise<ThreadAnswer> =>
  (await wynn<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const event = (id: number, kind: string, call = wynn) =>
  call<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/events`, { kind })
const give = (id: number, body: object, call = wynn) =>
  call<ThreadChangeAnswer & Problem>('PUT', `/api/threads/${id}/given`, body)
const undo = (id: number, of: number) =>
  wynn<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/events/${of}/undo`)
const listed = async (query: string, call = wynn): Promise<EntryRow[]> =>
  (await call<EntryPage>('GET', `/api/entries?unit=threads&limit=200&${query}`)).body.rows
const idsOf = (rows: EntryRow[]) => rows.map(({ threadId }) => threadId)

beforeAll(async () => {
  world = await startTestWorld()
  ;[wynn, tamsin, ness] = (await Promise.all(
    (['wynn', 'tamsin', 'ness'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller, Caller]
  const { db } = world.server.context
  profile = (await db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token, connected_at)
     VALUES (1, 'photos', 'framelet', 'x', 'x', 'connected', 'x', now() - interval '1 day')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
  ))!
  const tamsins = (await db.one<{ id: number }>(`SELECT id FROM colleagues WHERE email LIKE 'tamsin%'`))!.id
  team = (await wynn<Team>('POST', '/api/set-up/teams', { name: 'Ticket desk', members: [tamsins] })).body
}, 150_000)
afterAll(() => world.stop())

test('a team has a thread until somebody of it takes it', async () => {
  const id = await say('sable', 'Can I change my return to the late boat?')
  const given = await give(id, { to: null, team: team.id })
  expect(given.body.thread).toMatchObject({ givenTo: null, teamId: team.id })
  expect(await thread(id)).toMatchObject({ givenTo: null, teamId: team.id })
  // It is the team's, so nobody's no more; of those in it, and not of others.
  expect(idsOf(await listed(`given=team-${team.id}`))).toEqual([id])
  expect(idsOf(await listed('given=myTeams', tamsin))).toEqual([id])
  expect(idsOf(await listed('given=mine', tamsin))).toContain(id)
  expect(idsOf(await listed('given=meOrNobody', tamsin))).toContain(id)
  expect(idsOf(await listed('given=myTeams'))).toEqual([])
  expect(idsOf(await listed('given=meOrNobody'))).not.toContain(id)
  expect(idsOf(await listed('given=nobody'))).not.toContain(id)
  // Each has a count of their own, however close together two ask, and asked again.
  const counted = async (call: Caller) =>
    (await call<CountAnswer>('GET', '/api/entries/count?unit=threads&given=myTeams')).body.count
  for (let i = 0; i < 3; i++) expect([await counted(tamsin), await counted(wynn)]).toEqual([1, 0])
  const { me } = (await tamsin<{ me: { id: number } }>('GET', '/api/brand')).body
  const taken = await give(id, { to: me.id }, tamsin)
  expect(taken.body.thread).toMatchObject({ givenTo: me.id, teamId: null })
  const back = await undo(id, taken.body.eventId!)
  expect(back.body.thread).toMatchObject({ givenTo: null, teamId: team.id })
  // Shared: whoever of the team has the fewest.
  expect((await give(id, { to: null, team: team.id, share: true })).body.thread).toMatchObject({
    givenTo: me.id,
    teamId: null,
  })
})

test('a team of which nobody may see a thread does not get it; nor one of another brand', async () => {
  const id = await say('juniper', 'Which pier do you leave from?')
  const empty = (await wynn<Team>('POST', '/api/set-up/teams', { name: 'Nobody yet', members: [] })).body
  expect((await give(id, { to: null, team: empty.id })).body.code).toBe('nobodyThere')
  expect((await give(id, { to: null, team: 99_999 })).status).toBe(404)
  expect(await thread(id)).toMatchObject({ givenTo: null, teamId: null })
})

test('when a team ends, its threads are nobody’s', async () => {
  const id = await say('corin', 'Is there a lift on board?')
  const brief = (await wynn<Team>('POST', '/api/set-up/teams', { name: 'For a day', members: team.members }))
    .body
  await give(id, { to: null, team: brief.id })
  await wynn('DELETE', `/api/set-up/teams/${brief.id}`)
  expect(await thread(id)).toMatchObject({ givenTo: null, teamId: null })
  expect(idsOf(await listed('given=nobody'))).toContain(id)
})

test('a thread is put before others, and back', async () => {
  const early = await say('maud', 'Where can I leave my car?')
  const late = await say('odo', 'Where can I leave my van?')
  const order = async () =>
    idsOf(await listed('state=open&order=pressing')).filter((id) => id === early || id === late)
  const before = await order()
  const last = before[1]!
  const raised = await wynn<ThreadChangeAnswer>('PUT', `/api/threads/${last}/priority`, { priority: 2 })
  expect(raised.body.thread.priority).toBe(2)
  expect(await order()).toEqual(before.toReversed())
  expect((await thread(last)).urgency?.parts.map(({ name }) => name)).toContain('priority')
  expect(idsOf(await listed('priority=raised'))).toEqual([last])
  expect(idsOf(await listed('priority=highest'))).toEqual([last])
  await undo(last, raised.body.eventId!)
  expect(await order()).toEqual(before)
  expect(
    (await wynn<Problem>('PUT', `/api/threads/${last}/priority`, { priority: 3 })).body.fields?.[0]?.field,
  ).toBe('priority')
  expect((await ness('PUT', `/api/threads/999999/priority`, { priority: 1 })).status).toBe(404)
})

test('what is marked as spam teaches: its sender, and who writes nearly the same', async () => {
  const first = await say('grow-fast', pitch)
  const marked = await event(first, 'spam')
  expect(marked.body.thread).toMatchObject({ state: 'done', spam: true })
  const sender = await say('grow-fast', 'Hello again')
  const alike = await say('grow-faster', pitchAgain)
  const kind = await say('perrin', 'Can we double our booking for the ferry within two weeks?')
  expect(await thread(sender)).toMatchObject({ state: 'done', spam: { why: 'sender', like: first } })
  expect(await thread(alike)).toMatchObject({ state: 'done', spam: { why: 'words', like: first } })
  expect(await thread(kind)).toMatchObject({ state: 'open', spam: null })
  expect(idsOf(await listed('spam=only')).toSorted((a, b) => a - b)).toEqual([first, sender, alike])
  expect(idsOf(await listed('spam=without'))).not.toContain(first)

  // More in the same thread stays aside, too.
  const outside = await world.server.context.db.one<{ outside: string }>(
    'SELECT outside_id AS outside FROM threads WHERE id = $1',
    [first],
  )
  await say('grow-fast', 'Did you get my offer?', outside!.outside)
  expect(await thread(first)).toMatchObject({ state: 'done', spam: { why: 'person' } })

  // Said to be none, that one opens, and teaches against it.
  const none = await event(alike, 'notSpam')
  expect(none.body.thread).toMatchObject({ state: 'open', spam: false })
  expect(await thread(await say('grow-faster', pitchAgain))).toMatchObject({ state: 'open', spam: null })
  // Taken back, it is as it was, and teaches as before.
  await undo(alike, none.body.eventId!)
  expect(await thread(alike)).toMatchObject({ state: 'done', spam: { why: 'words', like: first } })
  expect(await thread(await say('grow-fastest', pitchAgain))).toMatchObject({ spam: { why: 'words' } })
})

test('spam counts in no watch, not from its history either, and what is none counts again', async () => {
  const { db } = world.server.context
  const watched =
    'Our moonflower carpets soften the step of every passenger. Write to us for a price list today!'
  const spam = await say('carpets', watched)
  const kind = await say('hildegard', 'Do you sell moonflower seeds on board?')
  const watchFor = async (name: string) =>
    (await wynn<{ id: number }>('POST', '/api/watches', { name, query: { anyOf: [{ text: 'moonflower' }] } }))
      .body.id
  /** Threads with mentions of a watch, as one look gives them; the roll-ups count the same. */
  const counted = async (watch: number) => {
    const found = await db.one<{ threads: number[]; rolledUp: number }>(
      `SELECT ARRAY(SELECT e.thread_id FROM mentions m JOIN entries e ON e.id = m.entry_id WHERE m.watch_id = $1 ORDER BY 1) AS threads,
         (SELECT coalesce(sum(n), 0)::int FROM mention_rollups WHERE watch_id = $1) AS "rolledUp"`,
      [watch],
    )
    expect(found!.rolledUp).toBe(found!.threads.length)
    return found!.threads.map(Number)
  }
  const first = await watchFor('Moonflower')
  const reaches = (threads: number[], watch = first) =>
    until(async () => JSON.stringify(await counted(watch)) === JSON.stringify(threads))
  await reaches([spam, kind])
  const marked = await event(spam, 'spam')
  await reaches([kind])
  // What else comes of that sender, and the whole history read again.
  const more = await say('carpets', `${watched} And cushions.`)
  await settled(world)
  expect(await thread(more)).toMatchObject({ spam: { why: 'sender' } })
  await reaches([kind])
  const second = await watchFor('Moonflower, read later')
  await settled(world)
  await reaches([kind], second)
  await undo(spam, marked.body.eventId!)
  await reaches([spam, kind, more])
  await reaches([spam, kind, more], second)
})

test('those that are open already follow a mark, and come back with it; of somebody else’s hands they are left', async () => {
  const offer =
    'We print your timetable on tea towels, two hundred pieces, delivered to the pier within ten days, and you pay when they are sold'
  const [first, second, third] = [
    await say('towel-a', offer),
    await say('towel-b', offer),
    await say('towel-c', offer),
  ] as const
  const { me } = (await tamsin<{ me: { id: number } }>('GET', '/api/brand')).body
  await give(third, { to: me.id })
  const marked = await event(first, 'spam')
  expect(marked.body).toMatchObject({ also: 1 })
  expect(await thread(second)).toMatchObject({ state: 'done', spam: { why: 'words', like: first } })
  expect(await thread(third)).toMatchObject({ state: 'open', spam: null })
  await undo(first, marked.body.eventId!)
  expect(await thread(first)).toMatchObject({ state: 'open', spam: null })
  expect(await thread(second)).toMatchObject({ state: 'open', spam: null })
})

test('a mark that is taken back teaches nothing', async () => {
  const id = await say(
    'basil',
    'We sell umbrellas with your logo, by the hundred, at very good prices indeed',
  )
  const { body } = await event(id, 'spam')
  await undo(id, body.eventId!)
  expect(await thread(id)).toMatchObject({ state: 'open', spam: null })
  expect(await thread(await say('basil', 'Or mugs?'))).toMatchObject({ state: 'open', spam: null })
})

test('who opens spam again says that it is none; whoever was answered is never put aside by itself', async () => {
  const id = await say('wilmot', 'Buy our rope')
  await event(id, 'spam')
  expect((await event(id, 'reopen')).body.thread).toMatchObject({ state: 'open', spam: false })
  expect(await thread(await say('wilmot', 'Do you need rope?'))).toMatchObject({ state: 'open', spam: null })

  const known = await say('clemence', 'When does the office open?')
  await world.server.context.db.rows(
    `INSERT INTO entries (brand_id, profile_id, thread_id, outside_id, direction, kind, channel, text, at)
     SELECT 1, $1, $2, 'ours', 'out', 'message', 'photos', 'At nine.', now()`,
    [profile.id, known],
  )
  await event(known, 'spam')
  expect(await thread(await say('clemence', 'And on Sunday?'))).toMatchObject({ state: 'open', spam: null })
})

test('many are marked at once, and all of it is taken back', async () => {
  const ids = [await say('one', 'Cheap paint'), await say('two', 'Cheap nails')]
  const { body } = await wynn<ManyChangeAnswer>('POST', '/api/threads/changes', {
    threads: ids,
    kind: 'spam',
  })
  expect(body.changed.map((change) => change.thread)).toEqual(ids)
  expect(await Promise.all(ids.map(async (id) => (await thread(id)).spam?.why))).toEqual(['person', 'person'])
  await wynn('POST', '/api/threads/undo', { changes: body.changed })
  expect(await Promise.all(ids.map(async (id) => (await thread(id)).state))).toEqual(['open', 'open'])
  const high = await wynn<ManyChangeAnswer & Problem>('POST', '/api/threads/changes', {
    threads: ids,
    kind: 'prioritise',
  })
  expect(high.body.fields?.[0]?.field).toBe('priority')
})

test('what somebody does while a thread is brought up to date is not written over', async () => {
  const id = await say('rosalba', 'Is breakfast served on board?')
  const { db, now } = world.server.context
  let refreshed: Promise<void> | undefined
  await db.inTransaction(async (tx) => {
    const { brandId } = (await lockThreadById(db, id, tx))!
    await db.rows(`UPDATE threads SET state = 'done' WHERE id = $1`, [id], tx)
    refreshed = db.inTransaction(async (other) =>
      refreshThreads(db, [id], await businessHoursOf(db, brandId, other), now(), other),
    )
    await until(async () => (await db.rows('SELECT 1 FROM pg_locks WHERE NOT granted')).length > 0)
  })
  await refreshed
  expect(await thread(id)).toMatchObject({ state: 'done' })
})

test('at the end of a shift what is left goes to whom it is given, with why; and comes back', async () => {
  const [one, two, three] = [
    await say('left-a', 'Is my bag at the pier?'),
    await say('left-b', 'Is my hat at the pier?'),
    await say('left-c', 'Is my dog at the pier?'),
  ] as const
  const tamsins = (await tamsin<{ me: { id: number } }>('GET', '/api/brand')).body.me.id
  const rowan = await world.server.context.db.one<{ id: number }>(
    `SELECT id FROM colleagues WHERE email LIKE 'rowan%'`,
  )
  await world.server.context.db.rows('UPDATE memberships SET place_ids = $2 WHERE colleague_id = $1', [
    rowan!.id,
    [1],
  ])
  const handOver = (body: object) => wynn<ManyChangeAnswer & Problem>('POST', '/api/threads/hand-over', body)
  const { body } = await handOver({
    word: 'The office closes at six.',
    threads: [
      { thread: one, to: rowan!.id, why: 'first word' },
      { thread: one, to: tamsins, why: 'Waits for the harbour office' },
      { thread: two, team: team.id },
      { thread: three, to: rowan!.id },
      { thread: 999_999, to: tamsins },
    ],
  })
  expect(body.changed.map((change) => change.thread)).toEqual([one, two])
  expect(body.refused).toEqual([
    { thread: three, code: 'invalid' },
    { thread: 999_999, code: 'notFound' },
  ])
  const handed = (await thread(one)).events.find(({ kind }) => kind === 'handOver')
  expect(handed?.detail).toEqual({
    to: tamsins,
    why: 'Waits for the harbour office',
    word: 'The office closes at six.',
  })
  expect(await thread(two)).toMatchObject({ givenTo: null, teamId: team.id })
  const told = (await tamsin<{ thread: number; kind: string }[]>('GET', '/api/notices')).body
  expect(
    told
      .filter((notice) => [one, two].includes(notice.thread))
      .map(({ kind }) => kind)
      .toSorted(),
  ).toEqual(['given', 'givenTeam'])
  await wynn('POST', '/api/threads/undo', { changes: body.changed })
  expect(await thread(one)).toMatchObject({ givenTo: null })
  expect((await thread(one)).events.some(({ kind }) => kind === 'handOver')).toBe(false)
  expect(await thread(two)).toMatchObject({ teamId: null })
  expect((await tamsin<{ thread: number }[]>('GET', '/api/notices')).body.map((n) => n.thread)).not.toContain(
    two,
  )
  expect((await handOver({ threads: [] })).body.fields?.[0]?.field).toBe('threads')
  expect((await handOver({ threads: [{ thread: one, why: 'x'.repeat(501) }] })).status).toBe(422)
})
