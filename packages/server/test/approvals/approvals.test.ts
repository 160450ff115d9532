import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { ApprovalAnswer, NoticeAnswer, Problem, ThreadAnswer, TodayAnswer } from '@murrabel/contract'
import sharp from 'sharp'
import { key, startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { settled, type Caller } from '../support/world.ts'

let world: ConnectedWorld
let tamsin: Caller
let wynn: Caller
let n = 0

beforeAll(async () => {
  world = await startConnectedWorld()
  tamsin = world.specialist
  wynn = world.owner
}, 150_000)
afterAll(() => world.stop())

async function message(): Promise<ThreadAnswer> {
  const content = `May I bring my harp aboard? ${++n}`
  await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
    method: 'POST',
    body: new URLSearchParams({ name: `Player ${n}`, content }),
    redirect: 'manual',
  })
  const id = await until(
    async () =>
      (
        await world.server.context.db.one<{ id: number }>(
          'SELECT thread_id AS id FROM entries WHERE text = $1',
          [content],
        )
      )?.id,
  )
  await settled(world)
  return thread(id)
}
const thread = async (id: number, who = tamsin) => (await who<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const ask = (id: number, more: object = {}, who = tamsin) =>
  who<ApprovalAnswer & Problem>('POST', `/api/threads/${id}/approvals`, {
    text: `Yes, your harp is welcome. ${id}`,
    key: key(),
    ...more,
  })
const decide = (id: number, body: object, who = wynn) =>
  who<ApprovalAnswer & Problem>('POST', `/api/approvals/${id}/decision`, body)
const published = (text: string) =>
  world.lanternpage.state.notesOf('skerrivane').filter(({ content }) => content === text)
const unseen = async (who: Caller) =>
  (await who<NoticeAnswer[]>('GET', '/api/notices')).body.filter(({ seen }) => !seen)
const sent = (id: number) =>
  until(async () => (await thread(id)).entries.some(({ action }) => action?.state === 'sent'))

describe('an answer that waits for a lead’s word', () => {
  test('is told to the leads, approved as it is, and goes out once in its writer’s name', async () => {
    const { id } = await message()
    await tamsin('PUT', `/api/threads/${id}/draft`, { text: 'Yes, your', edition: 1 })
    const asked = (await ask(id, { comment: 'Is this kind enough?' })).body
    expect(asked).toMatchObject({ state: 'asked', of: null, comment: 'Is this kind enough?' })
    expect((await thread(id)).draft).toBeNull()
    expect((await thread(id)).state).toBe('open')
    expect(await unseen(wynn)).toMatchObject([{ kind: 'asked', thread: id }])
    expect((await wynn<TodayAnswer>('GET', '/api/today')).body.approvals).toMatchObject([
      { id: asked.id, thread: id },
    ])
    expect((await tamsin<TodayAnswer>('GET', '/api/today')).body.approvals).toEqual([])
    expect(published(asked.text)).toHaveLength(0)
    const two = await Promise.all([decide(asked.id, { approve: true }), decide(asked.id, { approve: true })])
    expect(two.map(({ status }) => status).sort()).toEqual([200, 409])
    await sent(id)
    expect(published(asked.text)).toHaveLength(1)
    const after = await thread(id)
    expect(after.entries.find(({ direction }) => direction === 'out')!.author).toBe('Tamsin Kerr')
    expect(after.state).toBe('done')
    expect(after.approvals).toMatchObject([{ state: 'approved', sentText: null }])
    expect(await unseen(tamsin)).toMatchObject([{ kind: 'approved', thread: id }])
    await tamsin('PUT', '/api/notices/seen', { thread: id })
  })

  test('is approved with other words, and both are kept', async () => {
    const { id } = await message()
    const asked = (await ask(id)).body
    const { body } = await decide(asked.id, {
      approve: true,
      text: `Of course it is. ${id}`,
      word: 'Shorter',
    })
    expect(body).toMatchObject({ text: asked.text, sentText: `Of course it is. ${id}`, word: 'Shorter' })
    await sent(id)
    expect(published(`Of course it is. ${id}`)).toHaveLength(1)
    expect(published(asked.text)).toHaveLength(0)
  })

  test('is returned with a word, and asked again', async () => {
    const { id } = await message()
    const asked = (await ask(id)).body
    expect((await decide(asked.id, { approve: false })).body.fields).toMatchObject([{ field: 'word' }])
    expect((await decide(asked.id, { approve: false, word: 'Say which deck' })).body.state).toBe('returned')
    expect(published(asked.text)).toHaveLength(0)
    expect((await unseen(tamsin)).map(({ kind }) => kind)).toContain('returned')
    expect((await ask(id, { text: `Yes, on the lower deck. ${id}` })).status).toBe(200)
    expect((await thread(id)).approvals.map(({ state }) => state)).toEqual(['returned', 'asked'])
  })

  test('has files that stay beside the draft, wait with it, are seen by leads, and go out with it once', async () => {
    const { id } = await message()
    const put = async (name: string): Promise<number> => {
      const png = await sharp({ create: { width: 20, height: 10, channels: 3, background: 'teal' } })
        .png()
        .toBuffer()
      const answer = await fetch(`${world.server.address}/api/attachments?name=${name}&thread=${id}`, {
        method: 'POST',
        headers: {
          cookie: tamsin.cookie,
          origin: world.server.address!,
          'content-type': 'application/octet-stream',
        },
        body: new Uint8Array(png),
      })
      return ((await answer.json()) as { id: number }).id
    }
    const look = async (file: number, who: Caller) =>
      (await who('GET', `/api/attachments/${file}/preview`)).status
    const [harp, other] = [await put('harp.png'), await put('other.png')]
    // Found again on another machine, by nobody else.
    expect((await thread(id)).draftFiles.map(({ name }) => name)).toEqual(['harp.png', 'other.png'])
    expect((await thread(id, wynn)).draftFiles).toEqual([])
    expect([await look(harp, tamsin), await look(harp, wynn)]).toEqual([200, 404])
    const first = (await ask(id, { attachments: [harp, other] })).body
    expect(first.files.map(({ name }) => name)).toEqual(['harp.png', 'other.png'])
    expect((await thread(id)).draftFiles).toEqual([])
    expect([await look(harp, wynn), await look(harp, await world.signIn('ness'))]).toEqual([200, 404])
    // Neither taken away nor sent with another answer meanwhile.
    expect((await tamsin('DELETE', `/api/attachments/${harp}`)).status).toBe(404)
    const reply = { text: 'Now', key: key(), edition: 0, anyway: true, attachments: [harp] }
    expect((await tamsin<Problem>('POST', `/api/threads/${id}/replies`, reply)).body.code).toBe(
      'attachmentLost',
    )
    await decide(first.id, { approve: false, word: 'One picture is enough' })
    expect((await thread(id)).draftFiles.map(({ name }) => name)).toEqual(['harp.png', 'other.png'])
    expect(await look(harp, wynn)).toBe(404)
    expect((await tamsin('DELETE', `/api/attachments/${other}`)).status).toBe(204)
    const again = (await ask(id, { attachments: [harp] })).body
    expect((await decide(again.id, { approve: true })).status).toBe(200)
    await sent(id)
    const out = (await thread(id)).entries.find(({ direction }) => direction === 'out')!
    expect(out.attachments.map(({ name }) => name)).toEqual(['harp.png'])
    expect(published(again.text)).toMatchObject([{ media: [expect.any(String)] }])
    expect((await ask(id, { attachments: [harp], text: 'Twice?' })).body.code).toBe('attachmentLost')
  })

  test('is taken back by its writer', async () => {
    const { id } = await message()
    const asked = (await ask(id)).body
    expect((await tamsin('DELETE', `/api/approvals/${asked.id}`)).status).toBe(204)
    expect((await decide(asked.id, { approve: true })).body.code).toBe('approvalDecided')
    expect(published(asked.text)).toHaveLength(0)
  })
})

describe('it is refused', () => {
  test('twice in one thread at once, with the same key it is the same', async () => {
    const { id } = await message()
    const once = key()
    const [one, same] = [await ask(id, { key: once }), await ask(id, { key: once })]
    expect(same.body.id).toBe(one.body.id)
    expect((await ask(id, { key: once, text: 'Other words' })).body.code).toBe('keyUsed')
    expect((await ask(id)).body.code).toBe('approvalWaits')
  })

  test('of somebody who is no lead, by whoever is none, and by its writer', async () => {
    const { id } = await message()
    const { db } = world.server.context
    const idOf = async (name: string) =>
      (await db.one<{ id: number }>('SELECT id FROM colleagues WHERE email LIKE $1', [`${name}%`]))!.id
    expect((await ask(id, { of: await idOf('ness') })).body.code).toBe('noLead')
    expect((await ask(id, { of: 999_999 })).body.code).toBe('noLead')
    const asked = (await ask(id, { of: await idOf('wynn') })).body
    expect((await decide(asked.id, { approve: true }, tamsin)).status).toBe(403)
    const rowan = await world.signIn('rowan')
    expect((await decide(asked.id, { approve: true }, rowan)).status).toBe(403)
    expect((await rowan('DELETE', `/api/approvals/${asked.id}`)).status).toBe(403)
    // The owner is the only lead: nobody can approve what they wrote.
    const own = await message()
    expect((await ask(own.id, {}, wynn)).body.code).toBe('noLead')
  })

  test('when it is empty, too long, or cannot be answered', async () => {
    const { id } = await message()
    expect((await ask(id, { text: '  ' })).body.fields).toMatchObject([{ field: 'text' }])
    expect((await ask(id, { text: 'x'.repeat(3000) })).body.code).toBe('replyTooLong')
    expect((await ask(999_999_999)).status).toBe(404)
  })
})
