import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, EntryRow, Problem, ThreadAnswer } from '@murrabel/contract'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
const thread = async (id: number): Promise<ThreadAnswer> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const rowOf = async (text: string): Promise<EntryRow> =>
  until(async () => {
    const { body } = await call<EntryPage>('GET', '/api/entries?unit=entries&limit=200')
    return body.rows.find((row) => row.text === text)
  })
const answer = async (id: number, text: string, isPrivate = true) =>
  call<Problem>('POST', `/api/threads/${id}/replies`, {
    text,
    key: crypto.randomUUID(),
    edition: (await thread(id)).edition,
    anyway: true,
    private: isPrivate,
  })
const noteOnPage = (note: object) => {
  world.lanternpage.state.add(note as never)
  return collectAll()
}
const collectAll = async () => {
  for (const { id } of (await call<{ id: number }[]>('GET', '/api/profiles')).body)
    await call('POST', `/api/profiles/${id}/collect`)
}
const said = (name: string, content: string) => ({
  author: { id: name.toLowerCase(), name, handle: name.toLowerCase() },
  content,
  published: new Date().toISOString(),
})

beforeAll(async () => {
  world = await startTestWorld()
  const { lanternpage, skimmer, talkstead } = world
  lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  for (const net of [skimmer, talkstead])
    net.state.add({ op: 'account', id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' })
  lanternpage.state.add({
    op: 'note',
    id: 'ours',
    page: 'skerrivane',
    author: { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' },
    content: 'A new timetable.',
    published: new Date().toISOString(),
  })
  call = await world.signIn('wynn')
  for (const network of ['lanternpage', 'skimmer', 'talkstead', 'wherabout'])
    await world.connect(call, network)
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

describe('a private answer to a public comment', () => {
  test('goes to its author alone, stands in the thread as private, and comes back as no second entry', async () => {
    const { lanternpage } = world
    await noteOnPage({
      op: 'note',
      id: 'comment',
      page: 'skerrivane',
      ...said('Maud', 'My booking is wrong, number SK1234.'),
      inReplyTo: 'ours',
    })
    const { threadId } = await rowOf('My booking is wrong, number SK1234.')
    expect((await thread(threadId)).reply).toMatchObject({ public: true, privately: true })
    expect((await answer(threadId, 'We have put it right.')).status).toBe(200)
    const sent = await until(() =>
      lanternpage.state.notesOf('skerrivane').find(({ content }) => content === 'We have put it right.'),
    )
    expect(sent).toMatchObject({ conversation: 'skerrivane-maud', inReplyTo: undefined })
    const page = await (await fetch(`${lanternpage.address}/pages/skerrivane`)).text()
    expect(page).not.toContain('We have put it right.')
    const { profileId } = await thread(threadId)
    await call('POST', `/api/profiles/${profileId}/collect`)
    await settled(world)
    const { entries } = await thread(threadId)
    expect(entries.map(({ text, private: isPrivate }) => [text, isPrivate])).toEqual([
      ['My booking is wrong, number SK1234.', false],
      ['We have put it right.', true],
    ])
    // In public it is still possible.
    expect((await answer(threadId, 'Written to you.', false)).status).toBe(200)
    await until(() =>
      lanternpage.state
        .notesOf('skerrivane')
        .some(({ content, inReplyTo }) => content === 'Written to you.' && inReplyTo === 'comment'),
    )
  })
  test('to somebody who named us on an open network is a message there', async () => {
    const { skimmer } = world
    skimmer.publish(said('Bram', '@skerrivane I lost my ticket'))
    const { threadId } = await rowOf('@skerrivane I lost my ticket')
    expect((await answer(threadId, 'Here is another.')).status).toBe(200)
    const sent = await until(() =>
      [...skimmer.state.byId.values()].find(({ content }) => content === 'Here is another.'),
    )
    expect(sent.conversation).toEqual({ id: 'skerrivane-bram', account: 'skerrivane' })
  })
  test('is refused where there are no private messages, and where it is private anyway', async () => {
    world.talkstead.publish({ ...said('Tove', '@skerrivane about bikes'), title: 'Bikes' })
    const forum = await rowOf('@skerrivane about bikes')
    expect((await thread(forum.threadId)).reply.privately).toBe(false)
    expect((await answer(forum.threadId, 'x')).body.code).toBe('replyNotPossible')
    await noteOnPage({
      op: 'note',
      id: 'message',
      page: 'skerrivane',
      ...said('Maud', 'Hello in private'),
      conversation: 'skerrivane-maud',
    })
    const { threadId } = await rowOf('Hello in private')
    expect((await thread(threadId)).reply).toMatchObject({ public: false, privately: false })
    expect((await answer(threadId, 'x')).body.code).toBe('replyNotPossible')
  })
})
