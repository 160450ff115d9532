import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Problem, ThreadChangeAnswer, ThreadAnswer } from '@murrabel/contract'
import { key, startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { type Caller } from '../support/world.ts'

let world: ConnectedWorld
let owner: Caller
let specialist: Caller
let list: ConnectedWorld['list']
let threadOf: ConnectedWorld['threadOf']

beforeAll(async () => {
  world = await startConnectedWorld()
  ;({ owner, specialist, list, threadOf } = world)
})
afterAll(() => world.stop())

describe('answering', () => {
  test('a reply goes out once, is seen on the public page, and the thread is done', async () => {
    const { id, edition } = await threadOf('ninety minutes')
    const draft = { text: 'We are sorry, the screen had failed.', key: key(), edition, finish: true }
    const first = await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/replies`, draft)
    expect(first.body.thread.state).toBe('done')
    expect((await specialist('POST', `/api/threads/${id}/replies`, draft)).status).toBe(200)
    await until(async () => (await threadOf('ninety minutes')).entries[1]?.action?.state === 'sent')
    const page = await (await fetch(`${world.wherabout.address}/businesses/dunmarrow`)).text()
    expect(page.split('We are sorry, the screen had failed.')).toHaveLength(2)
    expect((await threadOf('ninety minutes')).entries).toHaveLength(2)
  })

  test('what a colleague did meanwhile is told, and the text can still be sent', async () => {
    const { id, edition } = await threadOf('nobody told us')
    await owner('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    const refused = await specialist<Problem>('POST', `/api/threads/${id}/replies`, {
      text: 'Sorry, Perrin.',
      key: key(),
      edition,
    })
    expect([refused.status, refused.body.code]).toEqual([409, 'threadChanged'])
    const sent = await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/replies`, {
      text: 'Sorry, Perrin.',
      key: key(),
      edition,
      anyway: true,
    })
    expect(sent.status).toBe(200)
    await until(() =>
      world.lanternpage.state
        .notesOf('skerrivane')
        .some((n) => n.content === 'Sorry, Perrin.' && n.inReplyTo === 'n4'),
    )
  })

  test.each([
    [0, 422, 'invalid'],
    [2001, 422, 'replyTooLong'],
    [10_001, 422, 'invalid'],
  ])('a reply of %i characters is refused', async (length, status, code) => {
    const text = 'x'.repeat(length)
    const { id, edition } = await threadOf('lost a green rucksack')
    const answer = await specialist<Problem>('POST', `/api/threads/${id}/replies`, {
      text,
      key: key(),
      edition,
    })
    expect([answer.status, answer.body.code]).toEqual([status, code])
    expect(answer.body.fields?.[0]?.field).toBe('text')
  })

  test('an article takes no reply', async () => {
    const { id, edition, reply } = await threadOf('Visitors welcomed it')
    expect(reply).toMatchObject({ possible: false, reason: 'channel' })
    expect(
      (await specialist<Problem>('POST', `/api/threads/${id}/replies`, { text: 'x', key: key(), edition }))
        .body.code,
    ).toBe('replyNotPossible')
  })

  test('finish, set aside, give: each can be undone, and no more once something newer happened', async () => {
    const { id } = await threadOf('lost a green rucksack')
    const done = (
      await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    ).body
    expect(done.thread.state).toBe('done')
    const undone = (
      await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/events/${done.eventId}/undo`)
    ).body
    expect(undone.thread.state).toBe('open')
    const until = new Date(Date.now() + 3_600_000).toISOString()
    const aside = (
      await specialist<ThreadChangeAnswer>('POST', `/api/threads/${id}/events`, { kind: 'setAside', until })
    ).body
    expect(aside.thread).toMatchObject({ state: 'aside', setAsideUntil: until })
    await specialist('PUT', `/api/threads/${id}/given`, { to: 1 })
    expect(
      (await specialist<Problem>('POST', `/api/threads/${id}/events/${aside.eventId}/undo`)).body.code,
    ).toBe('undoTooLate')
    expect(
      (
        await specialist<Problem>('POST', `/api/threads/${id}/events`, {
          kind: 'setAside',
          until: '2020-01-01T00:00:00Z',
        })
      ).body.fields?.[0]?.code,
    ).toBe('pastTime')
    expect((await specialist<Problem>('PUT', `/api/threads/${id}/given`, { to: 999 })).status).toBe(404)
    await specialist('PUT', `/api/threads/${id}/given`, { to: null })
    await specialist('POST', `/api/threads/${id}/events`, { kind: 'reopen' })
  })

  test('a corrected sentiment stands over the machine and counts everywhere', async () => {
    const row = (await list('unit=entries')).find((r) => r.text.includes('Is there a lift'))!
    await specialist('PUT', `/api/entries/${row.id}/sentiment`, { sentiment: 'negative' })
    expect((await list('unit=entries&sentiment=negative')).some((r) => r.id === row.id)).toBe(true)
    const { db } = world.server.context
    const rolled = await db.one<{ n: number }>(
      `SELECT coalesce(sum(n), 0) AS n FROM rollups WHERE kind = 'question' AND sentiment = 'negative'`,
    )
    expect(rolled?.n).toBe(1)
    const { events } = (await specialist<ThreadAnswer>('GET', `/api/threads/${row.threadId}`)).body
    expect(events.find(({ kind }) => kind === 'correctSentiment')?.detail).toEqual({
      before: 'neutral',
      after: 'negative',
    })
    await specialist('PUT', `/api/entries/${row.id}/sentiment`, { sentiment: null })
    await until(
      async () => (await list('unit=entries')).find((r) => r.id === row.id)?.sentiment === 'neutral',
    )
  })

  test('everything that happens leaves a line in the log', async () => {
    const rows = await world.server.context.db.rows<{ kind: string }>(
      'SELECT DISTINCT kind FROM events ORDER BY 1',
    )
    expect(rows.map((r) => r.kind)).toEqual(
      expect.arrayContaining([
        'connectProfile',
        'correctSentiment',
        'finish',
        'give',
        'replyAndFinish',
        'signIn',
        'undo',
      ]),
    )
  })
})
