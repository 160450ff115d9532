import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, Problem, ThreadAnswer, ThreadEntry } from '@murrabel/contract'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
let threadId = 0
const db = () => world.server.context.db
const key = () => crypto.randomUUID()
const thread = async (): Promise<ThreadAnswer> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${threadId}`)).body
const ours = async (): Promise<ThreadEntry> =>
  (await thread()).entries.findLast((e) => e.direction === 'out')!
const outside = () => world.skimmer.state.posts.filter((p) => p.author.id === 'skerrivane')
const lastOutside = () => world.skimmer.state.byId.get(outside().at(-1)!.id)!

async function answer(text: string): Promise<void> {
  const { edition } = await thread()
  const draft = { text, key: key(), edition, finish: true, anyway: true }
  expect((await call('POST', `/api/threads/${threadId}/replies`, draft)).status).toBe(200)
  await until(async () => (await ours()).changeable && (await ours()).text === text)
}

beforeAll(async () => {
  world = await startTestWorld()
  world.skimmer.state.add({
    op: 'account',
    id: 'skerrivane',
    name: 'Skerrivane Ferries',
    handle: 'skerrivane',
  })
  world.skimmer.publish({
    author: { id: 'thea', name: 'Thea', handle: 'thea' },
    content: '@skerrivane when does the first boat leave?',
    published: new Date().toISOString(),
  })
  call = await world.signIn('wynn')
  await world.connect(call, 'skimmer')
  await settled(world)
  const { rows } = (await call<EntryPage>('GET', '/api/entries?unit=threads&state=open')).body
  threadId = rows[0]!.threadId
  await answer('At sevn.')
}, 150_000)
afterAll(() => world.stop())

describe('an answer that has gone out', () => {
  test('gets other words outside, once however often that is asked, and shows those before', async () => {
    const { id } = await ours()
    const draft = { text: 'At seven.', key: key() }
    for (let i = 0; i < 2; i++) expect((await call('PUT', `/api/entries/${id}/text`, draft)).status).toBe(204)
    await until(async () => (await ours()).text === 'At seven.')
    await settled(world)
    expect(lastOutside().content).toBe('At seven.')
    expect(await ours()).toMatchObject({ change: null, edits: [{ text: 'At sevn.' }] })
    expect((await thread()).state).toBe('done')
    // The network's own word of it, which comes by webhook as well, adds nothing.
    await call('POST', `/api/profiles/${(await thread()).profileId}/collect`)
    await settled(world)
    expect((await ours()).edits).toHaveLength(1)
  })

  test('a change that is refused leaves it as it is, says why, and can be tried again or given up', async () => {
    world.skimmer.board.faults.refusals = 1
    const { id } = await ours()
    await call('PUT', `/api/entries/${id}/text`, { text: 'At eight.', key: key() })
    await until(async () => (await ours()).change?.state === 'failed')
    const { change, text } = await ours()
    expect([text, change]).toMatchObject(['At seven.', { kind: 'edit', text: 'At eight.' }])
    expect(change!.error).toContain('refused')
    // It is no answer that was not sent: nothing is owed.
    expect((await thread()).state).toBe('done')
    expect((await call('POST', `/api/actions/${change!.id}/retry`)).status).toBeLessThan(300)
    await until(async () => (await ours()).text === 'At eight.')
    expect((await thread()).state).toBe('done')
    world.skimmer.board.faults.refusals = 1
    await call('PUT', `/api/entries/${id}/text`, { text: 'At nine.', key: key() })
    await until(async () => (await ours()).change?.state === 'failed')
    expect((await call('POST', `/api/actions/${(await ours()).change!.id}/cancel`, {})).status).toBeLessThan(
      300,
    )
    expect(await ours()).toMatchObject({ text: 'At eight.', change: null })
    expect((await thread()).state).toBe('done')
  })

  test('what is too long, or nobody’s, is refused before anything is done', async () => {
    const { id } = await ours()
    const put = async (entry: number, text: string) =>
      (await call<Problem>('PUT', `/api/entries/${entry}/text`, { text, key: key() })).body.code
    expect(await put(id, 'x'.repeat(301))).toBe('replyTooLong')
    expect(await put(id, ' ')).toBe('invalid')
    const theirs = (await thread()).entries.find((e) => e.direction === 'in')!
    expect(await put(theirs.id, 'Hello')).toBe('notFound')
    expect(await put(2_000_000, 'Hello')).toBe('notFound')
    const reader = await world.signIn('rowan')
    expect((await reader('PUT', `/api/entries/${id}/text`, { text: 'x', key: key() })).status).toBe(403)
  })

  test('is taken back, although the network’s word is lost, and the thread is open again', async () => {
    const { id } = await ours()
    const post = lastOutside().id
    world.skimmer.board.faults.lostAnswers = 1
    expect((await call('POST', `/api/entries/${id}/take-back`, { key: key() })).status).toBe(204)
    await until(async () => (await thread()).state === 'open', { seconds: 60 })
    await settled(world)
    expect(world.skimmer.state.deleted.has(post)).toBe(true)
    expect(await ours()).toMatchObject({ text: '', changeable: false })
    expect((await call<Problem>('PUT', `/api/entries/${id}/text`, { text: 'x', key: key() })).body.code).toBe(
      'notFound',
    )
    await answer('The first one is at seven.')
    expect((await thread()).state).toBe('done')
    expect(await db().rows(`SELECT 1 FROM outside_actions WHERE state NOT IN ('sent', 'cancelled')`)).toEqual(
      [],
    )
  })
})
