import { afterAll, beforeAll, expect, test } from 'vitest'
import type {
  EntryPage,
  EntryRow,
  Mergeable,
  Problem,
  ProfileAnswer,
  ThreadAnswer,
  ThreadChangeAnswer,
} from '@murrabel/contract'
import { emailDraft, mail, messageId, own } from '../support/mails.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let call: Caller
let profile: ProfileAnswer

beforeAll(async () => {
  world = await startTestWorld({ mail: true })
  world.mailroom.mailbox(own, 'ferry')
  call = await world.signIn('wynn')
  profile = (await call<ProfileAnswer>('POST', '/api/profiles/email', emailDraft(world))).body
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

const rows = async (): Promise<EntryRow[]> =>
  (await call<EntryPage>('GET', '/api/entries?unit=entries&channel=email&limit=200')).body.rows
/** A mail comes in; gives the id of its thread. */
async function put(text: string, headers: Record<string, string> = {}): Promise<number> {
  world.mailroom.put(own, mail(text, headers))
  await call('POST', `/api/profiles/${profile.id}/collect`)
  await until(async () => (await rows()).some((row) => row.text === text))
  await settled(world)
  return (await rows()).find((row) => row.text === text)!.threadId
}
const thread = async (id: number): Promise<ThreadAnswer> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const textsOf = async (id: number) => (await thread(id)).entries.map(({ text }) => text)
const merge = (id: number, other: number) =>
  call<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/merge`, { thread: other })
const split = (id: number, entry: number) =>
  call<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/split`, { entry })
const undo = (id: number, event: number) =>
  call<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/events/${event}/undo`)
const finish = (id: number) => call('POST', `/api/threads/${id}/events`, { kind: 'finish' })
/** Lists of threads: what is shown, and nothing twice. */
const listed = async () => {
  const { body } = await call<EntryPage>('GET', '/api/entries?unit=threads&channel=email&limit=200')
  return body.rows.map(({ threadId }) => threadId)
}

test('two mails about one thing become one thread, with everything of both; taken back, both are as they were', async () => {
  const first = await put('Is the cabin free?', { Subject: 'Cabin' })
  const second = await put('I mean the one by the window.', { Subject: 'The other cabin' })
  await call('POST', `/api/threads/${second}/notes`, { text: 'She called, too.', mentions: [] })
  await call('PUT', '/api/threads/tags', { threads: [second], add: ['cabins'] })
  expect((await call<Mergeable[]>('GET', `/api/threads/${first}/mergeable`)).body).toMatchObject([
    { id: second, samePerson: true },
  ])
  const before = await Promise.all([thread(first), thread(second)])
  const { body } = await merge(first, second)
  const whole = await thread(first)
  expect(whole.entries.map(({ text }) => text)).toEqual([
    'Is the cabin free?',
    'I mean the one by the window.',
  ])
  expect([whole.notes.length, whole.tags.length]).toEqual([1, 1])
  expect(whole.state).toBe('open')
  expect((await listed()).filter((id) => id === first || id === second)).toEqual([first])
  // Whoever has the other one open, or its link, is led here.
  expect((await thread(second)).id).toBe(first)
  expect((await call<Problem>('POST', `/api/threads/${second}/merge`, { thread: first })).body.code).toBe(
    'cannotRegroup',
  )

  await undo(first, body.eventId!)
  const after = await Promise.all([thread(first), thread(second)])
  for (const i of [0, 1]) {
    // The points of its position go by the clock.
    const same = ({ edition: _, events: __, urgency: ___, ...is }: ThreadAnswer) => is
    expect(same(after[i]!)).toEqual(same(before[i]!))
  }
})

test('what was said of visits comes along, but not against what is said of the thread that stays; and goes back', async () => {
  const { db } = world.server.context
  const [first, second] = [
    await put('Was it the early boat?', { Subject: 'Boat' }),
    await put('The one at six.', { Subject: 'The early boat' }),
  ]
  const visits = await db.rows<{ id: number }>(
    `INSERT INTO visits (brand_id, person_id, shown_as, at, state, source, told_at)
     SELECT l.brand_id, a.person_id, a.shown_as, now() - n * interval '1 day', 'done', 'hand', now()
     FROM entries l JOIN accounts a ON a.id = l.account_id, generate_series(1, 3) n
     WHERE l.thread_id = $1
     RETURNING id`,
    [first],
  )
  const [here, there, not] = visits.map(({ id }) => id)
  await db.rows(
    `INSERT INTO thread_visits (thread_id, visit_id, belongs) VALUES ($1, $3, true), ($2, $4, true), ($2, $5, false)`,
    [first, second, here, there, not],
  )
  const said = async () =>
    (
      await db.rows<{ visit: number; belongs: boolean }>(
        'SELECT visit_id AS visit, belongs FROM thread_visits WHERE thread_id = $1 ORDER BY 1',
        [first],
      )
    ).map(({ visit, belongs }) => [visit, belongs])
  const { body } = await merge(first, second)
  expect(await said()).toEqual([
    [here, true],
    [not, false],
  ])
  await undo(first, body.eventId!)
  expect(await said()).toEqual([[here, true]])
})

test('what answers a mail of the other thread comes into the one that stayed, and undoing is too late then', async () => {
  const id = messageId()
  const first = await put('Do you take dogs?', { Subject: 'Dogs' })
  const second = await put('A small one.', { Subject: 'One dog', 'Message-ID': id })
  const { body } = await merge(first, second)
  await put('And a cat?', { Subject: 'Re: One dog', 'In-Reply-To': id })
  expect(await textsOf(first)).toEqual(['Do you take dogs?', 'A small one.', 'And a cat?'])
  expect((await undo(first, body.eventId!)).body.code).toBe('undoTooLate')
})

test('a thread is split where another thing begins; what answers that goes there; taken back, it is whole', async () => {
  const [a, b] = [messageId(), messageId()]
  const id = await put('My bag is lost.', { Subject: 'Bag', 'Message-ID': a })
  await put('And what does a bicycle cost?', { Subject: 'Re: Bag', 'In-Reply-To': a, 'Message-ID': b })
  const [bag, bicycle] = (await thread(id)).entries
  expect((await split(id, bag!.id)).body.code).toBe('cannotRegroup')
  const { body } = await split(id, bicycle!.id)
  expect(await textsOf(id)).toEqual(['My bag is lost.'])
  expect(await textsOf(body.made!)).toEqual(['And what does a bicycle cost?'])
  expect((await listed()).filter((each) => each === id || each === body.made)).toHaveLength(2)
  await undo(id, body.eventId!)
  expect(await textsOf(id)).toEqual(['My bag is lost.', 'And what does a bicycle cost?'])
  expect((await call('GET', `/api/threads/${body.made!}`)).status).toBe(404)

  const again = (await split(id, bicycle!.id)).body
  const answer = await call<ThreadChangeAnswer>('POST', `/api/threads/${again.made!}/replies`, {
    text: 'Four pounds.',
    key: crypto.randomUUID(),
    edition: (await thread(again.made!)).edition,
    finish: true,
    anyway: true,
  })
  expect(answer.status).toBe(200)
  await put('Thank you!', { Subject: 'Re: Bag', 'In-Reply-To': b })
  // A mail's date is in whole seconds: it may stand before the answer.
  expect((await textsOf(again.made!)).toSorted()).toEqual([
    'And what does a bicycle cost?',
    'Four pounds.',
    'Thank you!',
  ])
  // Somebody has built on it.
  expect((await undo(id, again.eventId!)).body.code).toBe('undoTooLate')
})

test('finished threads stay finished, and one that is taken stays taken', async () => {
  const me = (await call<{ me: { id: number } }>('GET', '/api/brand')).body.me.id
  const first = await put('Thanks for the ride.', { Subject: 'Ride' })
  const second = await put('Thanks again.', { Subject: 'Ride again' })
  await call('PUT', `/api/threads/${second}/given`, { to: me })
  await finish(first)
  await finish(second)
  expect((await merge(first, second)).body.thread).toMatchObject({ state: 'done', givenTo: me })
  await settled(world)
  expect((await thread(first)).state).toBe('done')
})

test('two who merge at the same moment, in both directions: one does, the other is refused', async () => {
  const [first, second] = [await put('One.', { Subject: 'X' }), await put('Two.', { Subject: 'Y' })]
  const codes = (await Promise.all([merge(first, second), merge(second, first)])).map(({ status }) => status)
  expect(codes.toSorted((a, b) => a - b)).toEqual([200, 409])
})

test('what the network holds together is not brought together by hand', async () => {
  const { db } = world.server.context
  const row = await db.one<{ id: number }>(
    `WITH p AS (
       INSERT INTO profiles (brand_id, channel, network, outside_id, name, status, hook_token)
       VALUES (1, 'photos', 'framelet', 'y', 'y', 'connected', 'y') RETURNING id
     )
     INSERT INTO threads (brand_id, profile_id, outside_id, state) SELECT 1, id, 't', 'open' FROM p RETURNING id`,
  )
  const mailed = await put('Hello?', { Subject: 'Hello' })
  expect((await merge(mailed, row!.id)).body.code).toBe('cannotRegroup')
  expect((await merge(row!.id, mailed)).body.code).toBe('cannotRegroup')
  expect((await merge(mailed, mailed)).body.code).toBe('cannotRegroup')
  expect((await thread(row!.id)).regroups).toBe(false)
  expect((await call('GET', `/api/threads/${row!.id}/mergeable`)).body).toEqual([])
})
