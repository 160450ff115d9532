import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  ChatEvent,
  ChatLine,
  ChatSiteAnswer,
  ChatStateAnswer,
  EntryPage,
  ImportState,
  LiveEvent,
  Problem,
  ProfileAnswer,
  ThreadAnswer,
} from '@murrabel/contract'
import { hostileTexts } from '../../../core/test/support/hostile.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

const origin = 'https://ferry.example'
const mailbox = 'hello@skerrivane.example'
let world: TestWorld
let call: Caller
let site: ChatSiteAnswer

const post = async <T = Problem>(
  what: string,
  body: unknown,
  { from = origin, key = site.key }: { from?: string | null; key?: string } = {},
) => {
  const response = await fetch(`${world.config.publicAddress}/chat/${key}/${what}`, {
    method: 'POST',
    headers: { 'content-type': 'text/plain', ...(from === null ? {} : { origin: from }) },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  })
  const text = await response.text()
  return {
    status: response.status,
    readable: response.headers.get('access-control-allow-origin'),
    body: (text ? JSON.parse(text) : undefined) as T,
  }
}
let last = 0
const newToken = () => `visitor-${++last}-${crypto.randomUUID()}`
const page = { url: 'https://ferry.example/fares', title: 'Fares' }
const say = (token: string, text: string, id: string = crypto.randomUUID(), more: object = {}) =>
  post<ChatLine & Problem>('lines', { token, id, text, language: 'en', page, ...more })

/** An open box: what it was told, and a way to close it. */
async function follow(token: string): Promise<{ events: ChatEvent[]; close: () => void }> {
  const ended = new AbortController()
  const events: ChatEvent[] = []
  const response = await fetch(`${world.config.publicAddress}/chat/${site.key}/events`, {
    method: 'POST',
    headers: { 'content-type': 'text/plain', origin },
    body: JSON.stringify({ token }),
    signal: ended.signal,
  })
  expect(response.status).toBe(200)
  void (async () => {
    let text = ''
    for await (const bytes of response.body!) {
      text += Buffer.from(bytes).toString()
      const parts = text.split('\n\n')
      text = parts.pop()!
      for (const part of parts)
        if (part.startsWith('data: ')) events.push(JSON.parse(part.slice(6)) as ChatEvent)
    }
  })().catch(() => {})
  await until(() => events.length > 0)
  return { events, close: () => ended.abort() }
}
const linesIn = (events: readonly ChatEvent[]) =>
  events.flatMap((event) =>
    event.kind === 'line' ? [event.line] : event.kind === 'conversation' ? event.lines : [],
  )

const threadOf = async (text: string): Promise<ThreadAnswer> => {
  await settled(world)
  const rows = await until(async () => {
    const { body } = await call<EntryPage>('GET', '/api/entries?unit=entries&channel=chat&limit=200')
    return body.rows.find((row) => row.text === text)
  })
  return (await call<ThreadAnswer>('GET', `/api/threads/${rows.threadId}`)).body
}
const answer = async (id: number, text: string) => {
  const { body } = await call<ThreadAnswer>('GET', `/api/threads/${id}`)
  return call<Problem>('POST', `/api/threads/${id}/replies`, {
    text,
    key: crypto.randomUUID(),
    edition: body.edition,
    finish: false,
    anyway: true,
  })
}
const entries = async (id: number) =>
  (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body.entries.map(({ text, direction, action }) => [
    direction,
    text,
    action?.state ?? null,
  ])

beforeAll(async () => {
  world = await startTestWorld({ line: true })
  world.mailroom.mailbox(mailbox, 'ferry')
  call = await world.signIn('wynn')
  const server = { host: '127.0.0.1', secure: false, user: mailbox, password: 'ferry' }
  const mail = await call<ProfileAnswer>('POST', '/api/profiles/email', {
    address: mailbox,
    name: 'Skerrivane Ferries',
    imap: { ...server, port: world.mailroom.imapPort },
    smtp: { ...server, port: world.mailroom.smtpPort },
  })
  const made = await call<ChatSiteAnswer>('POST', '/api/profiles/chats', {
    name: 'Chat on our site',
    origins: [`${origin}/some/page`],
    answerWithin: 3,
    mailProfileId: mail.body.id,
    greeting: 'Where to?',
  })
  expect(made.status).toBe(200)
  site = made.body
}, 150_000)
afterAll(() => world.stop())

describe('who may', () => {
  test('a page of the list may, and is told how things stand', async () => {
    expect(site.origins).toEqual([origin])
    expect(site.tag).toContain(`${world.config.publicAddress}/chat/box.js" data-site="${site.key}"`)
    const { status, readable, body } = await post<ChatStateAnswer>('state', {})
    expect([status, readable]).toEqual([200, origin])
    expect(body).toMatchObject({
      brand: 'Skerrivane Ferries',
      greeting: 'Where to?',
      open: true,
      byMail: true,
    })
  })
  test.each([
    ['a foreign page', 'https://elsewhere.example'],
    ['another port', `${origin}:8443`],
    ['a page without https', 'http://ferry.example'],
    ['a file', 'null'],
    ['nothing that names its page', null],
  ])('%s may not', async (_, from) => {
    for (const what of ['state', 'lines', 'typing', 'mail', 'events']) {
      const { status, readable, body } = await post(what, { token: newToken() }, { from })
      expect([what, status, readable, body.code]).toEqual([what, 403, null, 'chatOrigin'])
    }
  })
  test('a key that is none, and a chat that is switched off', async () => {
    expect((await post('state', {}, { key: 'no-such-key' })).status).toBe(404)
    const { body } = await call<ChatSiteAnswer>('POST', '/api/profiles/chats', {
      name: 'Old',
      origins: [origin],
    })
    expect((await post('state', {}, { key: body.key })).status).toBe(200)
    await call('POST', `/api/profiles/${body.profileId}/disconnect`)
    expect((await post('state', {}, { key: body.key })).body.code).toBe('chatUnknown')
  })
  test('settings that are wrong are refused by their field, another brand’s mail by name', async () => {
    const draft = { name: '', origins: ['javascript:alert(1)'], answerWithin: 0 }
    const { status, body } = await call<Problem>('POST', '/api/profiles/chats', draft)
    expect(status).toBe(422)
    expect(body.fields!.map(({ field }) => field).sort()).toEqual(['answerWithin', 'name', 'origins[0]'])
    const wrong = { name: 'x', origins: [origin], mailProfileId: site.profileId }
    expect((await call<Problem>('POST', '/api/profiles/chats', wrong)).body.code).toBe('chatMailProfile')
  })
})

describe('a conversation', () => {
  test('comes into the inbox with page and name, is answered there, and the box hears it at once', async () => {
    const token = newToken()
    const id = crypto.randomUUID()
    expect((await say(token, 'Is the 14:10 full?', id, { name: 'Ondine Vass' })).status).toBe(200)
    const thread = await threadOf('Is the 14:10 full?')
    expect(thread).toMatchObject({
      channel: 'chat',
      private: true,
      title: 'Fares',
      state: 'open',
      visitor: { name: 'Ondine Vass', email: null, language: 'en', page, present: true },
      reply: { possible: true, maxLength: 2000, public: false },
    })
    const box = await follow(token)
    expect(box.events[0]).toMatchObject({
      kind: 'conversation',
      lines: [{ id, from: 'visitor', text: 'Is the 14:10 full?' }],
      email: null,
    })
    await answer(thread.id, 'Not yet, forty places are left.')
    await until(() => linesIn(box.events).some(({ from }) => from === 'team'))
    const said = linesIn(box.events).at(-1)!
    expect(said).toMatchObject({ from: 'team', name: 'Wynn', text: 'Not yet, forty places are left.' })

    // Changed, it is the same line; taken back, it is gone.
    const own = (await call<ThreadAnswer>('GET', `/api/threads/${thread.id}`)).body.entries.at(-1)!
    expect(own.changeable).toBe(true)
    const changed = await call('PUT', `/api/entries/${own.id}/text`, {
      text: 'Not yet, thirty places are left.',
      key: crypto.randomUUID(),
    })
    expect(changed.status).toBeLessThan(300)
    await until(() => linesIn(box.events).some(({ text }) => text === 'Not yet, thirty places are left.'))
    expect(linesIn(box.events).at(-1)!.id).toBe(said.id)
    await call('POST', `/api/entries/${own.id}/take-back`, { key: crypto.randomUUID() })
    await until(() => box.events.some((event) => event.kind === 'gone' && event.id === said.id))
    box.close()
  })

  test('the same line sent again, and by many at once, is one', async () => {
    const token = newToken()
    const id = crypto.randomUUID()
    const all = await Promise.all(Array.from({ length: 8 }, () => say(token, 'Only once, please.', id)))
    expect(all.map(({ status }) => status)).toEqual(Array.from({ length: 8 }, () => 200))
    const thread = await threadOf('Only once, please.')
    expect(await entries(thread.id)).toEqual([['in', 'Only once, please.', null]])
  })

  test('after a lost line everything is told again under the same ids, nothing twice and nothing left out', async () => {
    const token = newToken()
    await say(token, 'Does the bus wait for the boat?')
    const { id } = await threadOf('Does the bus wait for the boat?')
    await answer(id, 'It does, up to ten minutes.')
    const first = await follow(token)
    await until(() => linesIn(first.events).length >= 2)
    first.close()
    await answer(id, 'Except on Sundays.')
    await until(async () => (await entries(id)).every(([, , state]) => state === null || state === 'sent'))
    const second = await follow(token)
    const [before, after] = [linesIn(first.events), linesIn(second.events)]
    expect(new Set(after.map((line) => line.id)).size).toBe(3)
    expect(after.map((line) => line.text)).toEqual([
      'Does the bus wait for the boat?',
      'It does, up to ten minutes.',
      'Except on Sundays.',
    ])
    expect(after.slice(0, 2).map((line) => line.id)).toEqual([...new Set(before.map((line) => line.id))])
    second.close()
  })

  test('the database is away for some seconds: a line is refused in words, sent again it is there once, and the box goes on', async () => {
    const token = newToken()
    await say(token, 'Is the lift working today?')
    const { id } = await threadOf('Is the lift working today?')
    const box = await follow(token)
    const line = crypto.randomUUID()
    await world.line!.cut()
    const refused = await say(token, 'I use a wheelchair.', line)
    expect(refused.status).toBe(503)
    await world.line!.restore()
    await until(async () => (await say(token, 'I use a wheelchair.', line)).status === 200)
    await until(async () => (await answer(id, 'It is, on both ramps.').catch(() => null))?.status === 200)
    await threadOf('I use a wheelchair.')
    // Either the old line goes on, or the box opens another: both tell it once.
    const again = await follow(token)
    await until(() => linesIn(again.events).length >= 3)
    expect(linesIn(again.events).map(({ text }) => text)).toEqual([
      'Is the lift working today?',
      'I use a wheelchair.',
      'It is, on both ramps.',
    ])
    await until(() => linesIn(box.events).some(({ text }) => text === 'It is, on both ramps.'))
    box.close()
    again.close()
  })

  test('nobody reads another’s: a secret that is unknown opens nothing', async () => {
    expect((await post('events', { token: newToken() })).body.code).toBe('chatNotBegun')
    expect((await post('typing', { token: newToken() })).body.code).toBe('chatNotBegun')
    expect((await post('mail', { token: newToken(), email: 'a@b.example' })).body.code).toBe('chatNotBegun')
    expect((await post('lines', { token: 'short', id: 'x'.repeat(10), text: 'Hello' })).status).toBe(422)
  })

  test('each side sees that the other is writing, and the team that the visitor has gone', async () => {
    const token = newToken()
    await say(token, 'Hello there')
    const { id } = await threadOf('Hello there')
    const heard: LiveEvent[] = []
    const brandId = (await world.server.context.db.one<{ id: number }>('SELECT min(id) AS id FROM brands'))!
      .id
    const stop = world.server.context.live.listen(brandId, (event) => heard.push(event))
    const box = await follow(token)
    await post('typing', { token })
    await until(() => heard.some((e) => e.kind === 'visitor' && e.typing && e.threads.includes(id)))
    await call('POST', `/api/threads/${id}/writing`)
    await until(() => box.events.some(({ kind }) => kind === 'writing'))
    box.close()
    await until(() => heard.some((e) => e.kind === 'visitor' && !e.present))
    const { body } = await call<ThreadAnswer>('GET', `/api/threads/${id}`)
    expect(body.visitor!.present).toBe(false)
    stop()
  })
})

describe('what nobody should send', () => {
  test('a flood of lines: what the pace allows is kept, the rest is refused, and others are not kept waiting', async () => {
    const token = newToken()
    const counts = new Map<number, number>()
    for (let i = 0; i < 1500; i += 100)
      for (const { status } of await Promise.all(
        Array.from({ length: 100 }, (_, k) => say(token, `Line ${i + k}`)),
      ))
        counts.set(status, (counts.get(status) ?? 0) + 1)
    expect([...counts.keys()].sort()).toEqual([200, 429])
    // The flood lasts longer than a minute on a slow machine: so many a minute, and one minute more.
    const other = await say(newToken(), 'Am I heard beside that?')
    expect(other.status).toBe(200)
    await settled(world)
    const { body } = await call<EntryPage>('GET', '/api/entries?unit=entries&channel=chat&limit=200')
    const kept = body.rows.filter(({ text }) => /^Line \d+$/.test(text))
    expect(kept.length).toBe(counts.get(200))
    expect(kept.length).toBeGreaterThanOrEqual(20)
    expect(kept.length).toBeLessThanOrEqual(100)
  }, 120_000)

  test('many lines at the same moment count each other', async () => {
    const token = newToken()
    const all = await Promise.all(Array.from({ length: 60 }, (_, k) => say(token, `At once ${k}`)))
    expect(all.filter(({ status }) => status === 200).length).toBe(20)
  })

  test('a line of a megabyte is refused, and a page of the list can read why', async () => {
    const { status, readable, body } = await say(newToken(), 'x'.repeat(1_000_000))
    expect([status, readable, body.code]).toEqual([413, origin, 'tooLarge'])
    const long = await say(newToken(), 'x'.repeat(2001))
    expect([long.status, long.body.fields?.[0]?.field]).toEqual([422, 'text'])
    for (const broken of [
      '',
      '{',
      '[]',
      'null',
      '[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[[',
    ])
      expect((await post('lines', broken)).status).toBeLessThan(423)
  })

  test('a box that opens again and again, or says without end that somebody writes, is heard a few times', async () => {
    const token = newToken()
    await say(token, 'So many pages')
    const { id } = await threadOf('So many pages')
    const heard: LiveEvent[] = []
    const stop = world.server.context.live.listen(1, (event) => heard.push(event))
    await Promise.all(Array.from({ length: 40 }, () => post('typing', { token })))
    await until(() => heard.some((event) => event.kind === 'visitor' && event.threads.includes(id)))
    expect(heard.filter((event) => event.kind === 'visitor' && event.typing).length).toBe(1)
    stop()
    const boxes = await Promise.all(Array.from({ length: 6 }, () => follow(token)))
    expect((await post('events', { token })).body.code).toBe('chatTooFast')
    boxes[0]!.close()
    await until(async () => {
      const box = await follow(token).catch(() => null)
      box?.close()
      return box
    })
    for (const box of boxes) box.close()
  })

  test('markup stays what was typed', async () => {
    const text = '<img src=x onerror=alert(1)><b>bold</b> & more'
    const token = newToken()
    await say(token, text)
    const thread = await threadOf(text)
    expect(thread.entries[0]!.text).toBe(text)
    const box = await follow(token)
    expect(linesIn(box.events)[0]!.text).toBe(text)
    box.close()
  })

  test('hostile texts in every field are taken or refused, and nothing breaks', async () => {
    let token = newToken()
    let used = 0
    for (const { text } of hostileTexts()) {
      if (++used % 15 === 0) token = newToken()
      const line = await say(token, text.slice(0, 1900) || ' ', crypto.randomUUID(), {
        name: text.slice(0, 70),
        language: text.slice(0, 30),
        page: { url: text.slice(0, 1900), title: text.slice(0, 250) },
      })
      expect([200, 422, 429]).toContain(line.status)
      for (const body of [{ token: text }, { token, email: text, name: text }])
        for (const what of ['typing', 'mail', 'state'])
          expect((await post(what, body)).status).toBeLessThan(500)
    }
    await settled(world)
    const { body } = await call<{ n: number }[]>('GET', `/api/profiles/${site.profileId}/apart`)
    expect(body).toEqual([])
  }, 150_000)
})

describe('goes on by e-mail', () => {
  const collect = async () => {
    const { body } = await call<ProfileAnswer[]>('GET', '/api/profiles')
    await call('POST', `/api/profiles/${body.find(({ network }) => network === 'email')!.id}/collect`)
  }
  const sentTo = (address: string) =>
    world.mailroom.mails.filter((mail) => mail.to.some((to: string) => to.includes(address)))

  test('in the same thread, there and back, and again in the box when the visitor is there', async () => {
    const token = newToken()
    const address = 'ondine@customers.example'
    await say(token, 'My bike got scratched on the car deck.', undefined, { name: 'Ondine Vass' })
    const { id } = await threadOf('My bike got scratched on the car deck.')
    const box = await follow(token)
    expect((await post('mail', { token, email: 'nonsense' })).status).toBe(422)
    expect((await post('mail', { token, email: address })).status).toBe(204)
    const beside = (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
    expect(beside.visitor).toMatchObject({ email: address, present: true })
    expect(beside.reply).toMatchObject({ maxLength: 2000 })

    // Still there: answered in the box.
    await answer(id, 'Oh no. Which sailing?')
    await until(() => linesIn(box.events).some(({ text }) => text === 'Oh no. Which sailing?'))
    expect(sentTo(address)).toEqual([])
    await say(token, 'The 9:30 yesterday.')
    await settled(world)
    box.close()
    await until(async () => {
      const { body } = await call<ThreadAnswer>('GET', `/api/threads/${id}`)
      return !body.visitor!.present && body.reply.maxLength === 10_000
    })

    // Gone: answered by mail, with what they had said last.
    await answer(id, 'Please send us a picture of it.')
    const [mail] = await until(() => sentTo(address).length === 1 && sentTo(address))
    expect(mail!.subject).toBe('Re: Chat on our site')
    expect(mail!.text).toContain('Please send us a picture of it.')
    expect(mail!.text).toContain('> The 9:30 yesterday.')
    expect(mail!.text).not.toContain('bike')

    // Their answer comes into the same thread; ours to it goes on with their mail.
    world.mailroom.put(
      mailbox,
      [
        `From: Ondine Vass <${address}>`,
        `To: ${mailbox}`,
        'Subject: Re: Chat on our site',
        'Message-ID: <picture@customers.example>',
        `In-Reply-To: ${mail!.messageId}`,
        `Date: ${new Date().toUTCString()}`,
        '',
        'It is attached, a long scratch.',
        '',
      ].join('\r\n'),
    )
    await collect()
    await until(async () =>
      (await entries(id)).some(([, text]) => text === 'It is attached, a long scratch.'),
    )
    await answer(id, 'Thank you, we pay for that.')
    const mails = await until(() => sentTo(address).length === 2 && sentTo(address))
    expect(mails[1]!.inReplyTo).toBe('<picture@customers.example>')
    // The copies in the mailbox's folder of sent mail are the same entries.
    await collect()
    await settled(world)

    // Back in the box: everything stands there, and the next answer goes there.
    const again = await follow(token)
    expect(linesIn(again.events).map(({ text, byMail }) => [text, byMail])).toEqual([
      ['My bike got scratched on the car deck.', false],
      ['Oh no. Which sailing?', false],
      ['The 9:30 yesterday.', false],
      ['Please send us a picture of it.', true],
      ['It is attached, a long scratch.', true],
      ['Thank you, we pay for that.', true],
    ])
    await say(token, 'That is kind.')
    await settled(world)
    await answer(id, 'You are welcome.')
    await until(() =>
      linesIn(again.events).some(({ text, byMail }) => text === 'You are welcome.' && !byMail),
    )
    expect(sentTo(address).length).toBe(2)
    again.close()
  })

  test('a chat without an address of its own says so', async () => {
    const { body } = await call<ChatSiteAnswer>('POST', '/api/profiles/chats', {
      name: 'Plain',
      origins: [origin],
    })
    const token = newToken()
    const line = { token, id: crypto.randomUUID(), text: 'Anybody?', page }
    await post('lines', line, { key: body.key })
    const mail = { token, email: 'x@customers.example' }
    expect((await post('mail', mail, { key: body.key })).body.code).toBe('chatNoMail')
  })
})

test('outside opening hours it says when somebody is there', async () => {
  const { db } = world.server.context
  const closed = Array.from({ length: 7 }, (_, day) =>
    day === (new Date().getDay() + 2) % 7 ? [[480, 1020]] : [],
  )
  await db.rows('UPDATE places SET week = $1 WHERE name = $2', [JSON.stringify(closed), 'Port Ellery'])
  const { body } = await post<ChatStateAnswer>('state', {})
  expect(body.open).toBe(false)
  expect(new Date(body.opensAt!).getTime()).toBeGreaterThan(Date.now())
  expect(new Date(body.opensAt!).getTime()).toBeLessThan(Date.now() + 8 * 86_400_000)
  await db.rows('UPDATE places SET week = NULL')
})

describe('conversations of an earlier chat', () => {
  const note = (
    id: string,
    of: string,
    type: 'Person' | 'Organization',
    content: string,
    minute: number,
  ) => ({
    type: 'Note',
    id: `https://old.example/${id}`,
    context: `https://old.example/talks/${of}`,
    attributedTo: {
      type,
      id: `https://old.example/${of}/${type}`,
      name: type === 'Person' ? 'Ona Teague' : 'Ivo',
    },
    content,
    published: new Date(Date.UTC(2025, 4, 1, 9, minute)).toISOString(),
    inReplyTo: { type: 'Page', name: 'Timetable' },
  })
  const bringIn = async (document: string, profileId: number | null) => {
    const { body: draft, status } = await call<ImportState & Problem>(
      'POST',
      '/api/imports?kind=chat&name=old.json',
      document,
    )
    if (status !== 200) return { code: draft.code, draft: null, result: null }
    const started = await call<Problem>('POST', `/api/imports/${draft.id}/start`, { profileId })
    if (started.status !== 200) return { code: started.body.code, draft, result: null }
    const result = await until(async () => {
      const { body } = await call<ImportState>('GET', `/api/imports/${draft.id}`)
      return body.state === 'running' ? null : body
    })
    return { code: null, draft, result }
  }
  const file = JSON.stringify({
    '@context': 'https://www.w3.org/ns/activitystreams',
    type: 'OrderedCollection',
    orderedItems: [
      note('1', 'a', 'Person', 'Does the first boat take horses?', 0),
      note('2', 'a', 'Organization', 'Two at most, book them by phone.', 2),
      { type: 'Note', id: 'https://old.example/3', content: 'Without a date', context: 'x' },
      note('4', 'b', 'Person', 'Thanks for the umbrella!', 30),
      'nonsense',
    ],
  })

  test('come in as history, ours as ours, the broken lines named, and twice changes nothing', async () => {
    const { draft, result } = await bringIn(file, site.profileId)
    expect(draft!.history).toMatchObject({ entries: 3, unreadable: 2, first: '2025-05-01T09:00:00.000Z' })
    expect(result).toMatchObject({ state: 'done', added: 3, known: 0 })
    expect(result!.problems.map(({ line, reason }) => [line, reason])).toEqual([
      [3, 'chatLineUnreadable'],
      [5, 'chatLineUnreadable'],
    ])
    const rows = await until(async () => {
      const { body } = await call<EntryPage>(
        'GET',
        '/api/entries?unit=entries&channel=chat&time=all&state=any&order=oldest&limit=200',
      )
      return body.rows.find(({ text }) => text === 'Does the first boat take horses?')
    })
    expect(await entries(rows.threadId)).toEqual([
      ['in', 'Does the first boat take horses?', null],
      ['out', 'Two at most, book them by phone.', null],
    ])
    expect((await bringIn(file, site.profileId)).result).toMatchObject({ added: 0, known: 3 })
  })
  test.each([
    ['no JSON', '{', 'chatFileUnreadable'],
    ['no collection', '{"type":"Note"}', 'chatFileUnreadable'],
    ['nested without end', '['.repeat(90_000), 'chatFileUnreadable'],
  ])('%s is refused', async (_, document, code) =>
    expect((await bringIn(document, site.profileId)).code).toBe(code),
  )
  test('need a chat that they are the history of', async () => {
    expect((await bringIn(file, null)).code).toBe('historyProfileMissing')
    const { body } = await call<ProfileAnswer[]>('GET', '/api/profiles')
    const mail = body.find(({ network }) => network === 'email')!
    expect((await bringIn(file, mail.id)).code).toBe('historyProfileMissing')
  })
})
