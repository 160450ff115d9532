import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage, ThreadAnswer, ThreadEntry } from '@murrabel/contract'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
let threadId = 0
const key = () => crypto.randomUUID()
const now = () => new Date().toISOString()
const thread = async (id = threadId): Promise<ThreadAnswer> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const ours = async (): Promise<ThreadEntry> =>
  (await thread()).entries.findLast((e) => e.direction === 'out')!
const note = (id: string, more: object = {}) =>
  world.lanternpage.state.add({
    op: 'note',
    id,
    page: 'skerrivane',
    author: { id: 'odile', name: 'Odile', handle: 'odile' },
    content: `Content of ${id}`,
    published: now(),
    ...more,
  } as never)
const collect = async () => call('POST', `/api/profiles/${(await thread()).profileId}/collect`)

beforeAll(async () => {
  world = await startTestWorld()
  world.lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  note('p1', { author: { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' } })
  note('c1', { inReplyTo: 'p1', content: 'When does the frist boat leave?' })
  call = await world.signIn('wynn')
  await world.connect(call, 'lanternpage')
  await settled(world)
  const { rows } = (await call<EntryPage>('GET', '/api/entries?unit=threads&state=open')).body
  threadId = rows.find(({ text }) => text.startsWith('When does'))!.threadId
}, 150_000)
afterAll(() => world.stop())

test('a comment that its author changes shows what stood before', async () => {
  world.lanternpage.change({ op: 'edit', id: 'c1', content: 'When does the first boat leave?', at: now() })
  await until(async () => (await thread()).entries[0]!.text === 'When does the first boat leave?')
  expect((await thread()).entries[0]!.edits).toMatchObject([{ text: 'When does the frist boat leave?' }])
})

test('an answer is changed there, once, and taken back, which opens the thread', async () => {
  const { edition } = await thread()
  await call('POST', `/api/threads/${threadId}/replies`, {
    text: 'At sevn.',
    key: key(),
    edition,
    finish: true,
    anyway: true,
  })
  await until(async () => (await ours())?.changeable)
  const { id } = await ours()
  world.lanternpage.board.faults.lostAnswers = 1
  expect((await call('PUT', `/api/entries/${id}/text`, { text: 'At seven.', key: key() })).status).toBe(204)
  await until(async () => (await ours()).text === 'At seven.' && (await ours()).change === null)
  const answer = world.lanternpage.state.notesOf('skerrivane').at(-1)!
  expect(answer.content).toBe('At seven.')
  expect((await ours()).edits).toMatchObject([{ text: 'At sevn.' }])
  expect((await call('POST', `/api/entries/${id}/take-back`, { key: key() })).status).toBeLessThan(300)
  await until(async () => (await thread()).state === 'open')
  await until(() => Promise.resolve(world.lanternpage.state.deleted.has(answer.id)))
})

test('a comment under a post that was deleted is a thread like any other, and can be deleted itself', async () => {
  world.lanternpage.change({ op: 'deletion', id: 'p1', at: now() })
  note('c2', { inReplyTo: 'p1', content: 'I saw your post too late' })
  await collect()
  const found = async () =>
    (await call<EntryPage>('GET', '/api/entries?unit=threads&state=any')).body.rows.find(
      ({ text }) => text === 'I saw your post too late',
    )
  await until(async () => (await found()) !== undefined)
  await settled(world)
  const late = (await found())!.threadId
  expect(late).not.toBe(threadId)
  expect((await thread()).entries[0]!.text).toBe('When does the first boat leave?')
  world.lanternpage.change({ op: 'deletion', id: 'c2', at: now() })
  await until(async () => (await thread(late)).entries[0]!.deletedAt !== null)
  expect(await thread(late)).toMatchObject({ entries: [{ text: '' }], reply: { possible: false } })
})

test('an id that comes again with other words is a change of the first, not another entry', async () => {
  note('c3', { inReplyTo: 'p1', content: 'One thing' })
  await collect()
  const rows = async () => (await call<EntryPage>('GET', '/api/entries?unit=entries&limit=100')).body.rows
  await until(async () => (await rows()).some(({ text }) => text === 'One thing'))
  await settled(world)
  const before = (await rows()).length
  note('c3', { inReplyTo: 'p1', content: 'Another thing altogether' })
  await collect()
  await until(async () => (await rows()).some(({ text }) => text === 'Another thing altogether'))
  expect((await rows()).length).toBe(before)
})
