import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { LogPage, NoteAnswer, NoticeAnswer, Presence, Problem, ThreadAnswer } from '@murrabel/contract'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let wynn: Caller
let tamsin: Caller
let ness: Caller
/** At the first place, and at the second, which not everybody may see. */
let thread: number
let elsewhere: number
const idOf: Record<string, number> = {}

beforeAll(async () => {
  world = await startTestWorld({ jobs: false })
  ;[wynn, tamsin, ness] = (await Promise.all(
    (['wynn', 'tamsin', 'ness'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller, Caller]
  const { db } = world.server.context
  for (const { id, name } of await db.rows<{ id: number; name: string }>('SELECT id, name FROM colleagues'))
    idOf[name.split(' ')[0]!.toLowerCase()] = id
  await db.rows('UPDATE memberships SET place_ids = $2 WHERE colleague_id = $1', [idOf.ness, [1]])
  await db.rows(
    `INSERT INTO profiles (id, brand_id, place_id, channel, network, outside_id, name, status, hook_token)
     SELECT 900 + n, 1, n, 'email', 'email', 'x' || n, 'x', 'connected', 'x' || n FROM generate_series(1, 2) n`,
  )
  ;[thread, elsewhere] = (
    await db.rows<{ id: number }>(
      `INSERT INTO threads (brand_id, profile_id, place_id, outside_id, state)
       SELECT 1, 900 + n, n, 't' || n, 'open' FROM generate_series(1, 2) n RETURNING id`,
    )
  ).map(({ id }) => id) as [number, number]
}, 150_000)
afterAll(() => world.stop())

const look = async (call: Caller, id = thread) => (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const note = (call: Caller, draft: object, id = thread) =>
  call<NoteAnswer & Problem>('POST', `/api/threads/${id}/notes`, draft)
const noticesOf = async (call: Caller) => (await call<NoticeAnswer[]>('GET', '/api/notices')).body

describe('notes', () => {
  test('stand in the thread, and tell those whom they name, once', async () => {
    const { body } = await note(tamsin, {
      text: ' The gate was dark. @Ness ',
      mentions: [idOf.ness, idOf.ness],
    })
    expect(body).toMatchObject({ text: 'The gate was dark. @Ness', by: idOf.tamsin, mentions: [idOf.ness] })
    expect((await look(wynn)).notes).toEqual([body])
    expect(await noticesOf(ness)).toMatchObject([
      { kind: 'mention', thread, by: idOf.tamsin, text: body.text, seen: false },
    ])
    expect(await noticesOf(tamsin)).toEqual([])
    // Changed: whoever is named already is not told again.
    const changed = await tamsin<NoteAnswer>('PUT', `/api/notes/${body.id}`, {
      text: 'The gate screen was dark. @Ness @Wynn',
      mentions: [idOf.ness, idOf.wynn],
      edition: body.edition,
    })
    expect(changed.body.editedAt).not.toBeNull()
    expect(await noticesOf(ness)).toHaveLength(1)
    expect(await noticesOf(wynn)).toHaveLength(1)
    expect(
      (await tamsin<Problem>('PUT', `/api/notes/${body.id}`, { text: 'x', edition: body.edition })).body.code,
    ).toBe('changedMeanwhile')
    // What was seen is seen everywhere: of one notice, or with its thread.
    await ness('PUT', '/api/notices/seen', { thread })
    expect((await noticesOf(ness)).map(({ seen }) => seen)).toEqual([true])
    expect((await noticesOf(wynn)).map(({ seen }) => seen)).toEqual([false])
  })

  test('are changed and taken away by their writer alone, and come back; the notice goes and comes with them', async () => {
    const [{ id }] = (await look(tamsin)).notes as [NoteAnswer]
    for (const [method, path] of [
      ['PUT', `/api/notes/${id}`],
      ['DELETE', `/api/notes/${id}`],
    ] as const)
      expect(
        (await wynn<Problem>(method, path, method === 'PUT' ? { text: 'x' } : undefined)).body.code,
      ).toBe('noteOfAnother')
    await tamsin('DELETE', `/api/notes/${id}`)
    expect((await look(wynn)).notes).toEqual([])
    expect(await noticesOf(wynn)).toEqual([])
    await tamsin('POST', `/api/notes/${id}/restore`)
    expect((await look(wynn)).notes).toHaveLength(1)
    expect(await noticesOf(wynn)).toHaveLength(1)
  })

  test('name nobody who may not see the thread: nothing is kept, nobody is told', async () => {
    const refused = await note(tamsin, { text: '@Ness @Wynn', mentions: [idOf.ness, idOf.wynn] }, elsewhere)
    expect(refused.body.code).toBe('noteForNobody')
    expect(refused.body.fields?.map(({ value }) => value)).toEqual([String(idOf.ness)])
    expect((await look(tamsin, elsewhere)).notes).toEqual([])
    expect((await noticesOf(wynn)).filter((each) => each.thread === elsewhere)).toEqual([])
    expect((await note(ness, { text: 'x' }, elsewhere)).status).toBe(404)
    expect((await note(tamsin, { text: '   ' })).body.fields?.map(({ field }) => field)).toEqual(['text'])
  })

  test('stand in the log without their words', async () => {
    const log = (await wynn<LogPage>('GET', '/api/log')).body
    const text = JSON.stringify(log)
    expect(text).toContain('"note"')
    expect(text).not.toContain('gate')
  })
})

test('what one writes is there on another machine, and goes with the answer; others never see it', async () => {
  const other = await world.signIn('tamsin')
  const kept = await tamsin('PUT', `/api/threads/${thread}/draft`, { text: 'Dear Odile,\n', edition: 0 })
  expect(kept.status).toBe(204)
  expect((await look(other)).draft).toMatchObject({ text: 'Dear Odile,', private: false, edition: 0 })
  expect((await look(wynn)).draft).toBeNull()
  expect(
    (await ness<Problem>('PUT', `/api/threads/${elsewhere}/draft`, { text: 'x', edition: 0 })).status,
  ).toBe(404)
  await other('PUT', `/api/threads/${thread}/draft`, { text: '', edition: 0 })
  expect((await look(tamsin)).draft).toBeNull()
})

test('who is given a thread is told; who takes one is not', async () => {
  await tamsin('PUT', `/api/threads/${elsewhere}/given`, { to: idOf.tamsin })
  expect(await noticesOf(tamsin)).toEqual([])
  await tamsin('PUT', `/api/threads/${elsewhere}/given`, { to: idOf.wynn })
  expect((await noticesOf(wynn))[0]).toMatchObject({ kind: 'given', thread: elsewhere, by: idOf.tamsin })
  // Somebody else's before it was seen: nobody is told of what is not theirs.
  await tamsin('PUT', `/api/threads/${elsewhere}/given`, { to: null })
  expect((await noticesOf(wynn)).filter(({ kind }) => kind === 'given')).toEqual([])
})

describe('presence', () => {
  const be = (call: Caller, tab: string, more: object) => call('PUT', '/api/me/presence', { tab, ...more })
  const here = async (call: Caller) => (await call<Presence[]>('GET', '/api/presence')).body
  const [first, second] = [randomUUID(), randomUUID()]

  test('says where each is, once, writing before reading, as far as one may see', async () => {
    await be(tamsin, first, { thread, writing: true })
    await be(tamsin, second, { thread: elsewhere })
    expect(await here(wynn)).toEqual([{ colleague: idOf.tamsin, thread, writing: true }])
    await be(tamsin, first, { gone: true })
    expect(await here(wynn)).toEqual([{ colleague: idOf.tamsin, thread: elsewhere, writing: false }])
    expect(await here(ness)).toEqual([{ colleague: idOf.tamsin, thread: null, writing: false }])
    expect((await be(ness, randomUUID(), { thread: elsewhere })).status).toBe(404)
    expect((await be(ness, 'no uuid', {})).status).toBe(422)
  })

  test('is over when a page says nothing more; nobody moves the page of another', async () => {
    await be(wynn, second, { thread })
    expect((await here(ness)).map(({ colleague }) => colleague)).toEqual([idOf.tamsin])
    const { db } = world.server.context
    await db.rows(`UPDATE presence SET at = at - interval '1 minute'`)
    expect(await here(wynn)).toEqual([])
  })
})
