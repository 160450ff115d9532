import { startTextmast, demoClient, type Textmast } from '@murrabel/standins'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, EntryRow, PersonCard, Problem, ThreadAnswer, ThreadEntry } from '@murrabel/contract'
import { joinLate } from '../../src/services/intake/index.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { settleReports } from '../../src/services/actions/delivered.ts'
import { until } from '../support/until.ts'

const own = '+447700900100'
let world: TestWorld
let textmast: Textmast
let call: Caller
const key = () => crypto.randomUUID()
const rows = async (): Promise<EntryRow[]> =>
  (await call<EntryPage>('GET', '/api/entries?unit=entries&channel=texts&limit=200')).body.rows
const rowOf = async (text: string): Promise<EntryRow> => {
  await until(async () => (await rows()).some((row) => row.text === text))
  return (await rows()).find((row) => row.text === text)!
}
const thread = async (id: number): Promise<ThreadAnswer> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const ours = async (id: number): Promise<ThreadEntry> =>
  (await thread(id)).entries.findLast((e) => e.direction === 'out')!
const answer = async (id: number, text: string) =>
  call<Problem>('POST', `/api/threads/${id}/replies`, {
    text,
    key: key(),
    edition: (await thread(id)).edition,
    finish: true,
    anyway: true,
  })
const write = (from: string, text: string, parts?: number[]) =>
  textmast.text({ number: own, from, text, parts })
const atPhone = (number: string) => [...textmast.state.texts.values()].filter(({ to }) => to === number)

beforeAll(async () => {
  world = await startTestWorld()
  textmast = await startTextmast({ deliveryMs: 20 })
  textmast.state.add({ op: 'number', id: own, name: 'Sound of Orrin line' })
  world.config.networks.push({
    network: 'textmast',
    name: 'Textmast',
    channel: 'texts',
    address: textmast.address,
    ...demoClient,
  })
  write('+447700900001', 'Is the 9 boat on time?')
  call = await world.signIn('wynn')
  await world.connect(call, 'textmast')
  await settled(world)
}, 150_000)
afterAll(async () => {
  await world.stop()
  await textmast.close()
})

test('whoever is known by a name is called so, and the number stands beside it', async () => {
  const from = '+447700900031'
  const known = await call<PersonCard>('POST', '/api/people', { name: 'Amaya Mulvey', phone: from })
  expect(known.status).toBe(200)
  write(from, 'May I bring a kayak?')
  await rowOf('May I bring a kayak?')
  await settled(world)
  const { threadId, author } = await rowOf('May I bring a kayak?')
  expect(author).toBe('Amaya Mulvey')
  const { entries, person } = await thread(threadId)
  expect(entries.map((each) => each.author)).toEqual(['Amaya Mulvey'])
  expect(person).toMatchObject({ name: 'Amaya Mulvey', handle: from })
  expect((await thread((await rowOf('Is the 9 boat on time?')).threadId)).person).toMatchObject({
    name: '+447700900001',
    handle: null,
  })
})

test('a number is one thread, in private, whoever writes when; an answer goes there and arrives', async () => {
  const { threadId, private: isPrivate, author } = await rowOf('Is the 9 boat on time?')
  expect([isPrivate, author]).toEqual([true, '+447700900001'])
  expect((await thread(threadId)).reply).toMatchObject({ possible: true, public: false, maxParts: 10 })
  expect((await answer(threadId, 'It is.')).status).toBe(200)
  await until(async () => (await ours(threadId)).action?.deliveredAt != null)
  expect(atPhone('+447700900001').map(({ text }) => text)).toEqual(['It is.'])
  write('+447700900001', 'Thanks!')
  expect((await rowOf('Thanks!')).threadId).toBe(threadId)
  // What the gateway tells of our own text comes back as no other entry.
  await call('POST', `/api/profiles/${(await thread(threadId)).profileId}/collect`)
  await settled(world)
  const { entries } = await thread(threadId)
  expect(entries.map(({ text }) => text)).toEqual(['Is the 9 boat on time?', 'It is.', 'Thanks!'])
  expect((await ours(threadId)).action).toMatchObject({ state: 'sent' })
})

describe('a long text', () => {
  const long = Array.from({ length: 40 }, (_, i) => `Sentence number ${i} of a long complaint.`).join(' ')
  test('is one entry once all of its parts are there, doubled and out of order', async () => {
    textmast.board.faults.doubleDeliveries = true
    textmast.board.faults.reorderDeliveries = true
    write('+447700900002', long)
    const { threadId } = await rowOf(long)
    textmast.board.faults.doubleDeliveries = false
    textmast.board.faults.reorderDeliveries = false
    expect((await thread(threadId)).entries).toHaveLength(1)
  })
  test('of which a part is missing waits, is shown with its gap, and is whole when the part comes', async () => {
    const from = '+447700900003'
    const words = `Once more. ${long}`
    const all = Array.from({ length: Math.ceil(words.length / 153) }, (_, i) => i + 1)
    const [profile] = await world.server.context.db.rows<{ id: number }>(
      `SELECT id FROM profiles WHERE network = 'textmast'`,
    )
    const ids = write(
      from,
      words,
      all.filter((n) => n !== 7),
    )
    const count = () =>
      world.server.context.db.one<{ n: number }>(
        'SELECT count(*) AS n FROM item_pieces WHERE whole LIKE $1',
        [`${from}/%`],
      )
    await until(async () => (await count())?.n === ids.length)
    expect((await rows()).filter(({ author }) => author === from)).toEqual([])
    await joinLate(world.server.context, { id: profile!.id } as never)
    const gap = `${words.slice(0, 6 * 153)}[…]${words.slice(7 * 153)}`
    const { id, threadId } = await rowOf(gap)
    const { part } = textmast.state.texts.get(ids[0]!)!
    const late = { ...textmast.state.texts.get(ids[0]!)!, id: 'late', text: words.slice(6 * 153, 7 * 153) }
    textmast.state.add({ ...late, part: { ...part!, number: 7 } })
    await call('POST', `/api/profiles/${profile!.id}/collect`)
    expect((await rowOf(words)).id).toBe(id)
    expect((await thread(threadId)).entries).toHaveLength(1)
  })
  test('with the number of an earlier one of that phone is another text', async () => {
    const from = '+447700900004'
    write(from, `0 ${'z'.repeat(160)}`)
    await rowOf(`0 ${'z'.repeat(160)}`)
    for (let i = 0; i < 255; i++) write(from, 'x', [])
    const [first] = write(from, `256 ${'z'.repeat(160)}`)
    await rowOf(`256 ${'z'.repeat(160)}`)
    const references = [...textmast.state.texts.values()].filter((t) => t.from === from).map((t) => t.part!)
    expect(new Set(references.map(({ reference }) => reference)).size, first).toBe(1)
  })
})

describe('who wants no more texts', () => {
  test('is owed nothing, whatever was open', async () => {
    const from = '+447700900008'
    write(from, 'Is the galley open?')
    const { threadId } = await rowOf('Is the galley open?')
    expect((await thread(threadId)).state).toBe('open')
    write(from, 'Stop please')
    await rowOf('Stop please')
    await until(async () => (await thread(threadId)).state === 'done')
    expect(await thread(threadId)).toMatchObject({ reply: { possible: false, reason: 'stopped' } })
  })
  test('gets none until they say so, not even what was waiting', async () => {
    const from = '+447700900006'
    write(from, 'Does the boat stop at Orrin?')
    const { threadId } = await rowOf('Does the boat stop at Orrin?')
    expect((await thread(threadId)).reply.possible).toBe(true)
    textmast.board.faults.failures = 3
    expect(await answer(threadId, 'It does.')).toMatchObject({ status: 200 })
    write(from, 'STOP')
    await rowOf('STOP')
    await until(async () => ['failed', 'sent'].includes((await ours(threadId)).action?.state ?? ''))
    const { action } = await ours(threadId)
    if (action?.state === 'failed') expect(action.error).toContain('stopped')
    const sent = atPhone(from).length
    expect((await thread(threadId)).reply).toMatchObject({ possible: false, reason: 'stopped' })
    // An answer that did not go out waits for somebody; else nothing is owed to them.
    if (action?.state === 'sent') expect((await thread(threadId)).state).toBe('done')
    expect((await answer(threadId, 'But look')).body.code).toBe('contactStopped')
    expect(atPhone(from)).toHaveLength(sent)
    write(from, 'Start')
    await rowOf('Start')
    expect((await thread(threadId)).reply.possible).toBe(true)
    expect((await answer(threadId, 'Welcome back.')).status).toBe(200)
    await until(() => Promise.resolve(atPhone(from).some(({ text }) => text === 'Welcome back.')))
  })
})

test('what has just come can be answered before it is read', async () => {
  write('+447700900012', 'Quick?')
  const { threadId } = await rowOf('Quick?')
  // As it stands between its arrival and its first reading.
  await world.server.context.db.rows('UPDATE threads SET lead_entry_id = NULL WHERE id = $1', [threadId])
  expect(await thread(threadId)).toMatchObject({ private: true, reply: { possible: true, public: false } })
  expect(await answer(threadId, 'As a flash.')).toMatchObject({ status: 200 })
})

test('a text that does not arrive is one that was not sent: it says why, and is sent anew when tried again', async () => {
  const from = '+447700900007'
  textmast.state.add({ op: 'unreachable', number: from, reason: 'The phone is switched off' })
  write(from, 'Ring me')
  const { threadId } = await rowOf('Ring me')
  expect(await answer(threadId, 'We will.')).toMatchObject({ status: 200 })
  await until(async () => (await ours(threadId)).action?.state === 'failed')
  expect((await ours(threadId)).action?.error).toBe('undelivered: The phone is switched off')
  expect((await thread(threadId)).state).toBe('open')
  // Hearing of it again does not make it sent.
  const { profileId } = await thread(threadId)
  await call('POST', `/api/profiles/${profileId}/collect`)
  await settled(world)
  expect((await ours(threadId)).action?.state).toBe('failed')
  textmast.state.unreachable.delete(from)
  expect((await call('POST', `/api/actions/${(await ours(threadId)).action!.id}/retry`)).status).toBeLessThan(
    300,
  )
  await until(async () => (await ours(threadId)).action?.deliveredAt != null, {
    instead: async () => (await thread(threadId)).entries,
  })
  await call('POST', `/api/profiles/${profileId}/collect`)
  await settled(world)
  expect((await thread(threadId)).entries.map(({ text }) => text)).toEqual(['Ring me', 'We will.'])
  expect(atPhone(from)).toHaveLength(2)
})

test('what is told late of a text fails no other that was sent in its place', async () => {
  const from = '+447700900037'
  textmast.state.add({ op: 'unreachable', number: from, reason: 'The phone is switched off' })
  write(from, 'Ring me, too')
  const { threadId } = await rowOf('Ring me, too')
  expect(await answer(threadId, 'We shall.')).toMatchObject({ status: 200 })
  await until(async () => (await ours(threadId)).action?.state === 'failed')
  const { id } = (await ours(threadId)).action!
  const { context } = world.server
  const { db } = context
  const before = await db.one<{ outside: string; profile: number }>(
    'SELECT outside_id AS outside, profile_id AS profile FROM outside_actions WHERE id = $1',
    [id],
  )
  textmast.state.unreachable.delete(from)
  // Another process has read the text as sent, a moment before it was said to have failed; it is tried again before it goes on.
  await db.rows(`UPDATE outside_actions SET state = 'sent' WHERE id = $1`, [id])
  const slow: Pick<typeof db, 'rows' | 'one'> = Object.assign(Object.create(db) as typeof db, {
    rows: async (...given: Parameters<typeof db.rows>) => {
      const found = await db.rows(...given)
      if (!given[0].includes('FROM delivery_reports r')) return found
      expect(found).toHaveLength(1)
      await db.rows(`UPDATE outside_actions SET state = 'failed' WHERE id = $1`, [id])
      expect((await call('POST', `/api/actions/${id}/retry`)).status).toBeLessThan(300)
      await until(async () => (await ours(threadId)).action?.state === 'sent')
      return found
    },
  })
  await db.inTransaction((tx) =>
    settleReports(
      { ...context, db: slow as typeof db },
      { id: before!.profile, brandId: 1 },
      [before!.outside],
      tx,
    ),
  )
  expect((await ours(threadId)).action?.state).toBe('sent')
})

test('a text that would be more than ten parts is refused before anything is done', async () => {
  const { threadId } = await rowOf('Ring me')
  const { body } = await answer(threadId, 'ê'.repeat(671))
  expect([body.code, body.fields?.[0]?.code]).toEqual(['replyTooLong', 'replyParts'])
})

test('more than ten texts a second wait for their turn, and each goes out once', async () => {
  const numbers = Array.from({ length: 14 }, (_, i) => `+4477009002${String(i).padStart(2, '0')}`)
  for (const from of numbers) write(from, `Question of ${from}`)
  const threads: number[] = []
  for (const from of numbers) threads.push((await rowOf(`Question of ${from}`)).threadId)
  await Promise.all(threads.map((id) => answer(id, 'Yes.')))
  await until(async () => {
    const states = await Promise.all(threads.map(async (id) => (await ours(id)).action?.state))
    return states.every((state) => state === 'sent')
  })
  for (const from of numbers) expect(atPhone(from)).toHaveLength(1)
})
