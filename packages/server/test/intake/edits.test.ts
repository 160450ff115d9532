import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, ThreadAnswer } from '@murrabel/contract'
import { ingest } from '../../src/services/intake/ingest.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
const db = () => world.server.context.db
const now = () => new Date().toISOString()
const review = (id: string, text: string, rating: number) =>
  world.wherabout.state.add({
    op: 'review',
    id,
    business: 'ellery',
    author: { id: `p${id}`, name: 'Perrin Oakes' },
    rating,
    text,
    created: new Date(Date.now() - 3_600_000).toISOString(),
  })
const threadOf = async (id: string): Promise<ThreadAnswer> => {
  const row = await db().one<{ id: number }>('SELECT thread_id AS id FROM entries WHERE outside_id = $1', [
    id,
  ])
  return (await call<ThreadAnswer>('GET', `/api/threads/${row!.id}`)).body
}
const entryOf = async (id: string) => (await threadOf(id)).entries[0]!
async function collect(): Promise<void> {
  for (const { id } of await db().rows<{ id: number }>(
    `SELECT id FROM profiles WHERE outside_id <> 'search'`,
  ))
    await call('POST', `/api/profiles/${id}/collect`)
}
const atTheEnd = async () => {
  const row = await db().one<{ cursor: string | null }>(
    `SELECT cursor FROM profiles WHERE network = 'wherabout'`,
  )
  return Number(row?.cursor) === world.wherabout.state.streams.get('ellery')!.length
}
/** The whole history is read again: the stream holds what was first, then what was changed. */
async function readFromStart(): Promise<void> {
  await db().rows(`UPDATE profiles SET cursor = NULL WHERE network = 'wherabout'`)
  await seen(atTheEnd)
}
/** Waits until something that was changed outside is seen here. */
async function seen(check: () => Promise<boolean>): Promise<void> {
  await collect()
  await until(check)
  await settled(world)
}

beforeAll(async () => {
  world = await startTestWorld()
  world.wherabout.state.add({
    op: 'business',
    id: 'ellery',
    name: 'Skerrivane Ferries, Port Ellery',
    street: '1',
    town: 'Port Ellery',
    phone: '',
  })
  review('slip', 'The crew was kind and the boat was lat today', 4)
  review('turned', 'Lovely crossing, thank you all', 5)
  review('gone', 'My private number is on this ticket', 2)
  world.skimmer.state.add({
    op: 'account',
    id: 'skerrivane',
    name: 'Skerrivane Ferries',
    handle: 'skerrivane',
  })
  call = await world.signIn('wynn')
  await world.connect(call, 'wherabout')
  await world.connect(call, 'skimmer')
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

describe('what its author changes', () => {
  test('shows as changed with what stood before; a mended slip opens nothing', async () => {
    const { id } = await threadOf('slip')
    await call('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    world.wherabout.change({
      op: 'edit',
      id: 'slip',
      text: 'The crew was kind and the boat was late today',
      at: now(),
    })
    await seen(async () => (await entryOf('slip')).edits.length === 1)
    expect(await entryOf('slip')).toMatchObject({
      text: 'The crew was kind and the boat was late today',
      edits: [{ text: 'The crew was kind and the boat was lat today', rating: 4 }],
    })
    expect((await threadOf('slip')).state).toBe('done')
  })

  test('from five stars to one after our answer, it is open again', async () => {
    const { id, edition } = await threadOf('turned')
    const draft = { text: 'Thank you!', key: crypto.randomUUID(), edition, finish: true }
    expect((await call('POST', `/api/threads/${id}/replies`, draft)).status).toBe(200)
    await until(async () => (await threadOf('turned')).entries.at(-1)?.action?.state === 'sent')
    expect((await threadOf('turned')).state).toBe('done')
    await new Promise((resolve) => setTimeout(resolve, 20))
    world.wherabout.change({
      op: 'edit',
      id: 'turned',
      text: 'They never refunded us after all',
      rating: 1,
      at: new Date(Date.now() + 50).toISOString(),
    })
    await seen(async () => (await entryOf('turned')).rating === 1)
    const thread = await threadOf('turned')
    expect(thread).toMatchObject({ state: 'open', dueAt: expect.any(String) as string })
    expect(thread.entries[0]!.edits).toMatchObject([{ rating: 5, text: 'Lovely crossing, thank you all' }])
    // Finished once more, the same change does not open it again.
    await call('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    await collect()
    await db().rows(`UPDATE entries SET analysed_at = NULL WHERE outside_id = 'turned'`)
    await world.server.context.due.ask({ kind: 'analyse', subject: 1, owner: 'brand 1' })
    await settled(world)
    expect((await threadOf('turned')).state).toBe('done')
  })

  test('an older state that is told late changes nothing', async () => {
    const before = await entryOf('slip')
    const { context } = world.server
    const profile = await context.models.Profile.findOne({ where: { network: 'wherabout' } })
    const at = Date.now() - 3_600_000
    await ingest(context, profile!, [
      {
        outsideId: 'slip',
        threadId: 'slip',
        kind: 'review',
        direction: 'in',
        author: { outsideId: 'pslip', name: 'Perrin Oakes' },
        text: 'The crew was kind and the boat was lat today',
        rating: 4,
        at,
        changedAt: at,
        raw: {},
      },
    ])
    await readFromStart()
    expect(await entryOf('slip')).toMatchObject({ text: before.text, edits: before.edits })
  })
})

describe('what is taken away', () => {
  test('leaves that it was there; its text is nowhere any more, and nothing is owed', async () => {
    const { id } = await threadOf('gone')
    world.wherabout.change({ op: 'deletion', id: 'gone', at: now() })
    await seen(async () => (await entryOf('gone')).deletedAt !== null)
    const thread = await threadOf('gone')
    expect(thread).toMatchObject({ state: 'done', reply: { possible: false, reason: 'deleted' } })
    expect(thread.entries[0]).toMatchObject({ text: '', rating: null, edits: [] })
    for (const [table, column] of [
      ['entries', 'text'],
      ['entries', 'search::text'],
      ['raw_items', 'payload::text'],
      ['entry_edits', 'text'],
      ['threads', 'title'],
      ['items_apart', 'raw::text'],
    ])
      expect(
        await db().rows(`SELECT 1 FROM ${table} WHERE ${column} LIKE '%private number%'`),
        table,
      ).toEqual([])
    const { rows } = (await call<EntryPage>('GET', '/api/entries?unit=entries')).body
    expect(rows.find((row) => row.threadId === id)).toMatchObject({ deleted: true, text: '' })
    // Read once more from the beginning, it does not come back.
    await readFromStart()
    expect((await entryOf('gone')).text).toBe('')
  })

  test('in accounts as well, and when it is told before it came', async () => {
    const post = world.skimmer.publish({
      author: { id: 'odile', name: 'Odile', handle: 'odile' },
      content: '@skerrivane is this thing on?',
      published: now(),
    })
    await until(
      async () => (await db().rows(`SELECT 1 FROM entries WHERE outside_id = $1`, [post.id])).length === 1,
    )
    await settled(world)
    world.skimmer.change({ op: 'edit', id: post.id, content: '@skerrivane is this boat on time?', at: now() })
    await until(async () => (await entryOf(post.id)).edits.length === 1)
    world.skimmer.change({ op: 'deletion', id: post.id, at: now() })
    await until(async () => (await entryOf(post.id)).deletedAt !== null)
    await settled(world)
    expect((await threadOf(post.id)).state).toBe('done')
    await db().rows(
      `INSERT INTO gone_items (profile_id, outside_id, at) SELECT id, 'early', now() FROM profiles WHERE network = 'wherabout'`,
    )
    review('early', 'Told after it was gone', 3)
    await collect()
    await settled(world)
    await until(atTheEnd)
    expect(await db().rows(`SELECT 1 FROM entries WHERE outside_id = 'early'`)).toEqual([])
  })
})
