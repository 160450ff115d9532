import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage, Problem, ProfileAnswer, ThreadAnswer } from '@murrabel/contract'
import { noFaults } from '@murrabel/standins'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

const mailbox = 'hello@skerrivane.example'
const customer = 'petra@customers.example'
let world: TestWorld
let call: Caller
let mail: ProfileAnswer

const thread = async (id: number) => (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const threadOf = (text: string) =>
  until(async () => {
    const { body } = await call<EntryPage>('GET', '/api/entries?unit=entries&state=any&limit=200')
    const row = body.rows.find((each) => each.text === text)
    return row && thread(row.threadId)
  })
const answer = async (id: number, text: string) =>
  call<Problem>('POST', `/api/threads/${id}/replies`, {
    text,
    key: crypto.randomUUID(),
    edition: (await thread(id)).edition,
    anyway: true,
  })
const comment = (content: string) =>
  fetch(`${world.lanternpage.address}/notes/n1/comments`, {
    method: 'POST',
    body: new URLSearchParams({ name: 'Petra Quill', content }),
    redirect: 'manual',
  })
const sent = () => world.mailroom.mails.filter(({ to }) => to.some((each) => each.includes(customer)))

beforeAll(async () => {
  world = await startTestWorld()
  world.mailroom.mailbox(mailbox, 'ferry')
  world.lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  world.lanternpage.state.add({
    op: 'note',
    id: 'n1',
    page: 'skerrivane',
    author: { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' },
    content: 'New timetable!',
    published: new Date(Date.now() - 3_600_000).toISOString(),
  })
  call = await world.signIn('wynn')
  await world.connect(call, 'lanternpage')
  const server = { host: '127.0.0.1', secure: false, user: mailbox, password: 'ferry' }
  mail = (
    await call<ProfileAnswer>('POST', '/api/profiles/email', {
      address: mailbox,
      name: 'Skerrivane Ferries',
      imap: { ...server, port: world.mailroom.imapPort },
      smtp: { ...server, port: world.mailroom.smtpPort },
    })
  ).body
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

test('an answer that the network refuses goes by e-mail, what comes back comes into the thread, and the way back is open', async () => {
  await comment('You still owe me a refund.')
  const { id } = await threadOf('You still owe me a refund.')
  world.lanternpage.board.faults = { ...noFaults, refusals: 1 }
  await answer(id, 'Please tell us your booking.')
  const failed = await until(async () =>
    (await thread(id)).entries.find(({ action }) => action?.state === 'failed'),
  )
  expect((await thread(id)).reply).toMatchObject({ handedOff: null, public: true })

  const hand = (body: object) => call<Problem>('PUT', `/api/threads/${id}/handoff`, body)
  expect((await hand({ profileId: mail.id, address: 'nonsense' })).status).toBe(422)
  const pages = (await call<ProfileAnswer[]>('GET', '/api/profiles')).body.find((p) => p.channel === 'pages')!
  expect((await hand({ profileId: pages.id, address: customer })).body.code).toBe('noMailProfile')
  expect((await hand({ profileId: mail.id, address: customer, name: 'Petra Quill' })).status).toBe(204)
  expect((await thread(id)).reply).toMatchObject({
    handedOff: { address: customer },
    public: false,
    maxLength: 10_000,
    possible: true,
  })
  await call('POST', `/api/actions/${failed.action!.id}/cancel`, { anyway: true })
  await answer(id, 'Please tell us your booking.')
  const [first] = await until(() => sent().length === 1 && sent())
  expect(first!.text).toContain('Please tell us your booking.')
  expect(first!.text).toContain('> You still owe me a refund.')
  // Nothing of it stands in public.
  expect(
    [...world.lanternpage.state.notes.values()].some(({ content }) => content.startsWith('Please')),
  ).toBe(false)

  world.mailroom.put(
    mailbox,
    [
      `From: Petra Quill <${customer}>`,
      `To: ${mailbox}`,
      'Subject: Re: x',
      'Message-ID: <booking@customers.example>',
      `In-Reply-To: ${first!.messageId}`,
      `Date: ${new Date().toUTCString()}`,
      '',
      'It is SK1234.',
      '',
    ].join('\r\n'),
  )
  await call('POST', `/api/profiles/${mail.id}/collect`)
  const back = await threadOf('It is SK1234.')
  expect(back.id).toBe(id)
  expect(back.entries.map(({ text, direction }) => [direction, text])).toEqual([
    ['in', 'You still owe me a refund.'],
    ['out', 'Please tell us your booking.'],
    ['in', 'It is SK1234.'],
  ])

  expect((await call('DELETE', `/api/threads/${id}/handoff`)).status).toBe(204)
  expect((await thread(id)).reply.handedOff).toBe(null)
})

test('what nobody can answer where it stands can be answered by e-mail', async () => {
  await comment('Gone in a moment')
  const { id } = await threadOf('Gone in a moment')
  const note = [...world.lanternpage.state.notes.values()].find(
    ({ content }) => content === 'Gone in a moment',
  )!
  world.lanternpage.change({ op: 'deletion', id: note.id, at: new Date().toISOString() })
  await until(async () => (await thread(id)).reply.reason === 'deleted')
  await call('PUT', `/api/threads/${id}/handoff`, { profileId: mail.id, address: customer })
  expect((await thread(id)).reply).toMatchObject({ possible: true, handedOff: { address: customer } })
  const before = sent().length
  expect((await answer(id, 'We saw what you wrote, and would like to help.')).status).toBe(200)
  await until(() => sent().length === before + 1)
  expect(sent().at(-1)!.text).not.toContain('Gone')
})

test('who may not see the address cannot answer by it, and nobody of another place', async () => {
  await comment('Just this')
  const { id } = await threadOf('Just this')
  const ness = await world.signIn('ness')
  const rowan = await world.signIn('rowan')
  const body = { profileId: mail.id, address: customer }
  expect((await ness('PUT', `/api/threads/${id}/handoff`, body)).status).toBe(404)
  expect((await rowan('PUT', `/api/threads/${id}/handoff`, body)).status).toBe(403)
})
