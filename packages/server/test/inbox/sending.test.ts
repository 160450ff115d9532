import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { BellAnswer, EntryPage, Problem, ThreadAnswer, ThreadChangeAnswer } from '@murrabel/contract'
import { key, startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { settled, type Caller } from '../support/world.ts'

let world: ConnectedWorld
let call: Caller
let n = 0

beforeAll(async () => {
  world = await startConnectedWorld()
  call = world.specialist
})
afterAll(() => world.stop())

/** A private message that has just come in, as its thread. */
async function message(): Promise<ThreadAnswer> {
  const content = `Where is my parcel, skua number ${++n}?`
  await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
    method: 'POST',
    body: new URLSearchParams({ name: `Person ${n}`, content }),
    redirect: 'manual',
  })
  const row = await until(async () =>
    (await world.list('unit=threads&state=open&words=skua')).find(({ text }) => text === content),
  )
  await settled(world)
  return thread(row.threadId)
}
const thread = async (id: number) => (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const action = async (id: number) => (await thread(id)).entries.find((entry) => entry.action)?.action ?? null
const reply = (id: number, edition: number, more: object = {}) =>
  call<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/replies`, {
    text: `An answer to ${id}`,
    key: key(),
    edition,
    finish: true,
    ...more,
  })
const bell = async () => (await call<BellAnswer>('GET', '/api/bell')).body
const onTop = async () =>
  (await call<EntryPage>('GET', '/api/entries?unit=threads&state=open&order=pressing&limit=1')).body.rows[0]
const published = (id: number) =>
  world.lanternpage.state.notesOf('skerrivane').filter(({ content }) => content === `An answer to ${id}`)
const state = (id: number, wanted: string) =>
  until(async () => (await action(id))?.state === wanted && action(id))

describe('a reply that the network refuses', () => {
  test('opens its thread again at its old due time, on top, in the bell, until somebody decides', async () => {
    const { id, edition, dueAt } = await message()
    world.lanternpage.board.faults.refusals = 1
    expect((await reply(id, edition)).body.thread.state).toBe('done')
    expect(await state(id, 'failed')).toMatchObject({
      uncertain: false,
      error: expect.stringContaining('refused'),
    })
    expect(await thread(id)).toMatchObject({ state: 'open', dueAt })
    expect(await onTop()).toMatchObject({ threadId: id, notSent: true })
    expect((await bell()).notSent[0]).toMatchObject({ threadId: id })
    expect((await thread(id)).urgency!.parts.map(({ name }) => name)).toContain('notSent')
    expect((await thread(id)).events.map(({ kind, actor }) => [kind, actor])[0]).toEqual([
      'sendFailed',
      'network',
    ])
    expect((await call('POST', `/api/actions/${(await action(id))!.id}/retry`)).status).toBe(204)
    await state(id, 'sent')
    expect((await thread(id)).state).toBe('waiting')
    expect((await bell()).notSent.filter(({ threadId }) => threadId === id)).toEqual([])
    expect(published(id)).toHaveLength(1)
  })

  test('and is called back leaves the customer without an answer: the thread stays open', async () => {
    const { id, edition, dueAt } = await message()
    world.lanternpage.board.faults.refusals = 1
    await reply(id, edition)
    const failed = (await state(id, 'failed'))!
    expect((await call('POST', `/api/actions/${failed.id}/cancel`, {})).status).toBe(204)
    expect(await thread(id)).toMatchObject({ state: 'open', dueAt })
    expect((await thread(id)).entries.filter(({ direction }) => direction === 'out')).toEqual([])
    expect((await call<Problem>('POST', `/api/actions/${failed.id}/retry`)).body.code).toBe('calledBack')
  })
})

describe('a reply of which nobody knows whether it was taken', () => {
  test('is not called back without a word; the network’s own copy says that it stands', async () => {
    const { id, edition } = await message()
    const { db, due } = world.server.context
    // Its announcement of our own reply does not come through either.
    const hook = await db.one<{ token: string }>(
      `SELECT hook_token AS token FROM profiles WHERE network = 'lanternpage'`,
    )
    await db.rows(`UPDATE profiles SET hook_token = 'elsewhere' WHERE network = 'lanternpage'`)
    world.lanternpage.board.faults.lostAnswers = 2
    await reply(id, edition)
    const open = await until(async () => {
      const now = await action(id)
      return now?.uncertain && now.state === 'waiting' ? now : null
    })
    // Held back, so that somebody can decide before the next try.
    await db.rows(
      `UPDATE due_work SET next_at = now() + interval '1 hour' WHERE kind = 'act' AND subject = $1`,
      [String(open.id)],
    )
    expect((await call<Problem>('POST', `/api/actions/${open.id}/cancel`, {})).body.code).toBe('maybeSent')
    expect((await call('POST', `/api/actions/${open.id}/cancel`, { anyway: true })).status).toBe(204)
    expect((await thread(id)).state).toBe('open')
    // It is public all the same: the next look at the network shows it.
    await db.rows(`UPDATE profiles SET hook_token = $1 WHERE network = 'lanternpage'`, [hook!.token])
    const profile = await db.one<{ id: number }>(`SELECT id FROM profiles WHERE network = 'lanternpage'`)
    await due.ask({ kind: 'collect', subject: profile!.id, owner: 'lanternpage' })
    await state(id, 'sent')
    await until(async () => (await thread(id)).state === 'waiting')
    expect(published(id)).toHaveLength(1)
  })

  test('goes out once when it is tried again', async () => {
    const { id, edition } = await message()
    world.lanternpage.board.faults.lostAnswers = 2
    await reply(id, edition)
    await state(id, 'sent')
    expect(published(id)).toHaveLength(1)
  })
})

describe('sent stays sent', () => {
  test('whatever comes too late: a retry, a call back, a failure of a worker that was given up', async () => {
    const { id, edition } = await message()
    await reply(id, edition)
    const sent = (await state(id, 'sent'))!
    expect((await call<Problem>('POST', `/api/actions/${sent.id}/retry`)).body.code).toBe('alreadySent')
    expect((await call<Problem>('POST', `/api/actions/${sent.id}/cancel`, { anyway: true })).body.code).toBe(
      'alreadySent',
    )
    const { failed } = await import('../../src/services/actions/act.ts')
    await failed(world.server.context, { id: sent.id }, { kind: 'fail', uncertain: true }, 'too late')
    await failed(world.server.context, { id: sent.id }, { kind: 'defer', uncertain: true }, 'too late')
    expect((await action(id))!.state).toBe('sent')
    expect((await thread(id)).state).toBe('done')
  })
})

describe('the key of a reply', () => {
  test('with another text, or in another thread, is refused; with the same, it is one reply', async () => {
    const [one, two] = [await message(), await message()]
    const mine = { key: key() }
    expect((await reply(one.id, one.edition, mine)).status).toBe(200)
    expect((await reply(one.id, one.edition, mine)).status).toBe(200)
    expect((await reply(one.id, one.edition, { ...mine, text: 'Edited' })).body.code).toBe('keyUsed')
    expect((await reply(two.id, two.edition, { ...mine, text: `An answer to ${one.id}` })).body.code).toBe(
      'keyUsed',
    )
    const both = { key: key() }
    const [three, four] = [await message(), await message()]
    const answers = await Promise.all([
      reply(three.id, three.edition, both),
      reply(four.id, four.edition, both),
    ])
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409])
    await state(one.id, 'sent')
    expect(published(one.id)).toHaveLength(1)
  })
})

test('what shows nothing is no reply', async () => {
  const { id, edition } = await message()
  for (const text of ['\u200b\u2060', '\u00ad', ' \n ', '\u3164'])
    expect((await reply(id, edition, { text })).body.fields?.[0]?.field).toBe('text')
})

test('an expired key uses up no tries: renewed, everything that waited goes out', async () => {
  const { id, edition } = await message()
  await fetch(`${world.lanternpage.address}/switchboard`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"expireKeys":true}',
  })
  await fetch(`${world.lanternpage.address}/switchboard`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{"expireKeys":false}',
  })
  await reply(id, edition)
  const waiting = await until(async () => {
    const now = await action(id)
    return now?.error?.startsWith('keyExpired') ? now : null
  })
  expect(waiting.state).toBe('waiting')
  const { db } = world.server.context
  expect(
    await db.one(`SELECT attempts, state FROM due_work WHERE kind = 'act' AND subject = $1`, [
      String(waiting.id),
    ]),
  ).toEqual({ attempts: 0, state: 'due' })
  await world.connect(world.owner, 'lanternpage')
  await state(id, 'sent')
})

test('a row without a thread, and a network that hangs, hold up nobody', async () => {
  const { db, due } = world.server.context
  const { id, edition } = await message()
  const broken = await db.one<{ id: number }>(
    `INSERT INTO outside_actions (brand_id, profile_id, kind, key, target, payload, cause) SELECT brand_id, id, 'hide', gen_random_uuid(), '{}', '{}', 'system' FROM profiles WHERE network = 'lanternpage' RETURNING id`,
  )
  await due.ask({ kind: 'act', subject: broken!.id, owner: 'broken' })
  const review = await world.threadOf('Waited ninety minutes')
  world.wherabout.board.faults.timeouts = 3
  await call('POST', `/api/threads/${review.id}/replies`, {
    text: 'Sorry about that',
    key: key(),
    edition: review.edition,
    anyway: true,
  })
  const began = Date.now()
  await reply(id, edition)
  await state(id, 'sent')
  expect(Date.now() - began).toBeLessThan(5000)
  expect(await db.one('SELECT state FROM outside_actions WHERE id = $1', [broken!.id])).toEqual({
    state: 'failed',
  })
})
