import { connect } from 'node:net'
import { createInterface } from 'node:readline'
import { createTransport } from 'nodemailer'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  EmailDraft,
  EntryPage,
  EntryRow,
  ImportState,
  Problem,
  ProfileAnswer,
  SignOffAnswer,
  ThreadAnswer,
  ThreadEntry,
} from '@murrabel/contract'
import { hostileTexts } from '../../../core/test/support/hostile.ts'
import { emailDraft, mail, messageId, own } from '../support/mails.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let call: Caller
let profile: ProfileAnswer

const draft = (more: Partial<EmailDraft> = {}): EmailDraft => emailDraft(world, more)
const rows = async (): Promise<EntryRow[]> =>
  (await call<EntryPage>('GET', '/api/entries?unit=entries&channel=email&limit=200')).body.rows
const collect = () => call('POST', `/api/profiles/${profile.id}/collect`)
const rowOf = async (text: string): Promise<EntryRow> => {
  await until(async () => (await rows()).some((row) => row.text === text))
  return (await rows()).find((row) => row.text === text)!
}
const thread = async (id: number): Promise<ThreadAnswer> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const entryOf = async (text: string): Promise<ThreadEntry> => {
  const { threadId } = await rowOf(text)
  return (await thread(threadId)).entries.find((entry) => entry.text === text)!
}
const answer = async (id: number, text: string, attachments: number[] = []) =>
  call<Problem>('POST', `/api/threads/${id}/replies`, {
    text,
    key: crypto.randomUUID(),
    edition: (await thread(id)).edition,
    finish: true,
    anyway: true,
    attachments,
  })

const put = async (...sources: (string | Buffer)[]) => {
  for (const source of sources) world.mailroom.put(own, source)
  await collect()
}

beforeAll(async () => {
  world = await startTestWorld({ mail: true })
  world.mailroom.mailbox(own, 'ferry')
  call = await world.signIn('wynn')
  profile = (await call<ProfileAnswer>('POST', '/api/profiles/email', draft())).body
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

test('settings that are wrong are named by their field, and nothing is connected', async () => {
  const wrong = draft({ address: 'other@skerrivane.example' })
  const tried = async (body: EmailDraft) => {
    const { status, body: problem } = await call<Problem>('POST', '/api/profiles/email', body)
    return [status, problem.code, problem.fields?.[0]?.field]
  }
  expect(await tried({ ...wrong, imap: { ...wrong.imap!, password: 'no' } })).toEqual([
    422,
    'mailServer',
    'imap.password',
  ])
  expect(await tried({ ...wrong, smtp: { ...wrong.smtp, password: 'no' } })).toEqual([
    422,
    'mailServer',
    'smtp.password',
  ])
  expect(await tried({ ...wrong, smtp: { ...wrong.smtp, port: 1 } })).toEqual([
    422,
    'mailServer',
    'smtp.host',
  ])
  expect(await tried({ ...wrong, imap: { ...wrong.imap!, host: '10.1.2.3' } })).toEqual([
    422,
    'mailServer',
    'imap.host',
  ])
  expect(await tried({ ...wrong, address: 'nobody' })).toEqual([422, 'invalid', 'address'])
  const { body } = await call<ProfileAnswer[]>('GET', '/api/profiles')
  expect(body.filter(({ channel }) => channel === 'email')).toHaveLength(1)
})

describe('mail', () => {
  test('is one thread with its answers, however they come, and goes out to its writer with those in copy', async () => {
    const id = messageId()
    await put(
      mail('Where is my luggage?\n\nKind regards,\nLéonie', {
        'Message-ID': id,
        Cc: 'Bram <bram@customers.example>, Office <office@customers.example>',
      }),
    )
    const { threadId, author, private: isPrivate } = await rowOf('Where is my luggage?')
    expect([author, isPrivate]).toEqual(['Léonie Marchais', true])
    const entry = await entryOf('Where is my luggage?')
    expect(entry.mail).toMatchObject({ folded: 'Kind regards,\nLéonie', automatic: null, doubt: null })
    expect((await answer(threadId, 'It travels on the next boat.')).status).toBe(200)
    await until(() => world.mailroom.mails.some(({ inReplyTo }) => inReplyTo === id))
    const sent = world.mailroom.mails.find(({ inReplyTo }) => inReplyTo === id)!
    expect(sent.to.sort()).toEqual([
      'bram@customers.example',
      'leonie@customers.example',
      'office@customers.example',
    ])
    expect(sent.subject).toBe('Re: My booking')
    // In copy: it comes back to us, and is no second entry.
    world.mailroom.put(own, mail('It travels on the next boat.', { From: own, 'Message-ID': sent.messageId }))
    await put(
      mail(
        `Thank you!\n\nOn Mon, 2 Mar 2026 at 10:11, Skerrivane <${own}> wrote:\n> It travels on the next boat.`,
        {
          Subject: 'RE: My booking',
          'In-Reply-To': sent.messageId,
          References: `${id} ${sent.messageId}`,
        },
      ),
    )
    expect((await rowOf('Thank you!')).threadId).toBe(threadId)
    const { entries } = await thread(threadId)
    expect(entries.map(({ text }) => text)).toEqual([
      'Where is my luggage?',
      'It travels on the next boat.',
      'Thank you!',
    ])
    expect(entries[1]!.mail).toMatchObject({ to: [{ address: 'leonie@customers.example' }] })
    expect(entries[2]!.mail!.folded).toContain('> It travels')
  })
  test('is answered with what the writer laid out, as HTML and as words; nothing in it runs or leads astray', async () => {
    await put(mail('When do you open? *', { Subject: 'Opening', From: 'Ida Sorley <ida@customers.example>' }))
    const { threadId } = await rowOf('When do you open? *')
    expect((await thread(threadId)).reply.markup).toBe(true)
    const { body: signOff } = await call<SignOffAnswer>('POST', '/api/sign-offs', {
      text: '_Wynn_ <Booking>\n3. floor',
    })
    const text =
      'Dear Ida,\n\nwe **open** at\n\n- 9:00\n- 10:00 in [winter](https://isles.example/w)\n\n<b>So</b> [here](javascript:alert(1)) 2 \\* 3'
    const { body: asked } = await call<Problem>('POST', `/api/threads/${threadId}/replies`, {
      text,
      key: crypto.randomUUID(),
      edition: 0,
      finish: true,
      anyway: true,
      attachments: [],
      signOff: signOff.id,
    })
    expect(asked).not.toHaveProperty('code')
    const inWords =
      'Dear Ida,\n\nwe open at\n\n- 9:00\n- 10:00 in winter (https://isles.example/w)\n\n<b>So</b> [here](javascript:alert(1)) 2 * 3\n\n_Wynn_ <Booking>\n3. floor'
    const sentMail = () => world.mailroom.mails.find(({ subject }) => subject === 'Re: Opening')
    await until(() => sentMail() !== undefined)
    expect(sentMail()!.text.trim()).toBe(inWords)
    expect(sentMail()!.html.replaceAll('\n', '')).toBe(
      '<p>Dear Ida,</p><p>we <strong>open</strong> at</p><ul><li>9:00</li><li>10:00 in <a href="https://isles.example/w">winter</a></li></ul>' +
        '<p>&lt;b&gt;So&lt;/b&gt; [here](javascript:alert(1)) 2 * 3</p><p>_Wynn_ &lt;Booking&gt;<br>3. floor</p>',
    )
    const own = (await thread(threadId)).entries.at(-1)!
    expect(own.text).toBe(inWords)
    expect(own.action!.written).toContain('we **open** at')
  })
  test('that we answered with another program is answered', async () => {
    const id = messageId()
    await put(mail('Is there a cot on board?', { 'Message-ID': id }))
    const { threadId } = await rowOf('Is there a cot on board?')
    world.mailroom.put(
      own,
      mail('There is, at the purser.', { From: own, To: 'leonie@customers.example', 'In-Reply-To': id }),
      undefined,
      'sent',
    )
    await collect()
    await until(async () => (await thread(threadId)).entries.length === 2)
    await settled(world)
    const { entries, state } = await thread(threadId)
    expect([entries[1]!.direction, entries[1]!.author, state]).toEqual([
      'out',
      'Skerrivane Ferries',
      'waiting',
    ])
  })
  test('that came in the wrong order, and two that answer each other, are one thread each', async () => {
    const [a, b, c] = [messageId(), messageId(), messageId()]
    await put(mail('third', { 'Message-ID': c, 'In-Reply-To': b }))
    await rowOf('third')
    await put(mail('first', { 'Message-ID': a }))
    await rowOf('first')
    await put(mail('second', { 'Message-ID': b, 'In-Reply-To': a }))
    await rowOf('second')
    expect(
      new Set([
        (await rowOf('first')).threadId,
        (await rowOf('second')).threadId,
        (await rowOf('third')).threadId,
      ]).size,
    ).toBe(1)
    const [d, e] = [messageId(), messageId()]
    await put(
      mail('hen', { 'Message-ID': d, 'In-Reply-To': e }),
      mail('egg', { 'Message-ID': e, 'In-Reply-To': d }),
    )
    expect((await rowOf('hen')).threadId).toBe((await rowOf('egg')).threadId)
  })
  test('is bound by its subject only where nothing else binds it', async () => {
    await put(mail('Lost glove', { Subject: 'A glove' }))
    const { threadId } = await rowOf('Lost glove')
    await put(
      mail('It is grey', { Subject: 'AW: a glove' }),
      mail('Mine too', { Subject: 'Re: A glove', From: 'x@customers.example' }),
      mail('Another one', { Subject: 'A glove' }),
    )
    expect((await rowOf('It is grey')).threadId).toBe(threadId)
    expect((await rowOf('Mine too')).threadId).not.toBe(threadId)
    expect((await rowOf('Another one')).threadId).not.toBe(threadId)
  })
  test('with the id of another changes nothing there, and a forged sender does not speak for us', async () => {
    const id = messageId()
    await put(mail('Real', { 'Message-ID': id }))
    const { threadId } = await rowOf('Real')
    await put(mail('Forged', { 'Message-ID': id, From: 'evil@customers.example' }))
    await rowOf('Forged')
    expect((await thread(threadId)).entries.map(({ text }) => text)).toContain('Real')
    await put(
      mail('As you', {
        From: own,
        'In-Reply-To': id,
        'Message-ID': `<${crypto.randomUUID()}@skerrivane.example>`,
      }),
    )
    const forged = await entryOf('As you')
    expect([forged.direction, forged.mail?.doubt]).toEqual(['in', 'own'])
    expect((await thread(threadId)).state).toBe('open')
    await put(
      mail('Not proven', {
        'Authentication-Results': 'mx.skerrivane.example; dmarc=fail header.from=customers.example',
      }),
    )
    expect((await entryOf('Not proven')).mail?.doubt).toBe('unproven')
  })
})

describe('what a machine writes', () => {
  test('is owed nothing; an answer that did not arrive is one that was not sent', async () => {
    await put(mail('Please call me'))
    const { threadId } = await rowOf('Please call me')
    await answer(threadId, 'We will.')
    await until(() => world.mailroom.mails.some(({ text }) => text.includes('We will.')))
    const { messageId: sent } = world.mailroom.mails.find(({ text }) => text.includes('We will.'))!
    await until(async () => (await thread(threadId)).entries.at(-1)?.action?.state === 'sent')
    await put(mail('I am away', { 'In-Reply-To': sent, 'Auto-Submitted': 'auto-replied', Subject: 'Away' }))
    const away = await entryOf('I am away')
    expect(away.mail?.automatic).toBe('reply')
    await settled(world)
    expect(await thread(threadId)).toMatchObject({ state: 'done' })
    const report = [
      'Could not be delivered.',
      '--b\nContent-Type: message/delivery-status\n',
      'Reporting-MTA: dns; mx.customers.example\n',
      'Final-Recipient: rfc822; leonie@customers.example\nAction: failed\nStatus: 5.1.1\nDiagnostic-Code: smtp; 550 no such person',
      '--b\nContent-Type: text/rfc822-headers\n',
      `Subject: Re: My booking\nMessage-ID: ${sent}\n`,
      '--b--',
    ].join('\n')
    await put(
      mail(`--b\nContent-Type: text/plain\n\n${report}`, {
        From: 'mailer-daemon@customers.example',
        Subject: 'Undelivered',
        'Content-Type': 'multipart/report; report-type=delivery-status; boundary=b',
        'Auto-Submitted': 'auto-replied',
      }),
    )
    await until(async () => (await thread(threadId)).state === 'open')
    const { entries } = await thread(threadId)
    expect(entries.find(({ direction }) => direction === 'out')?.action).toMatchObject({
      state: 'failed',
      error: 'undelivered: leonie@customers.example: 550 no such person',
    })
    expect(entries.map((entry) => entry.mail?.automatic)).toContain('failure')
  })
})

describe('files', () => {
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  )
  const fetched = (path: string) =>
    fetch(`${world.server.address}${path}`, { headers: { cookie: call.cookie } })
  const withFiles = (text: string, files: [string, string, Buffer][]) =>
    mail(
      [
        `--f\nContent-Type: text/plain\n\n${text}\n`,
        ...files.map(
          ([name, type, bytes]) =>
            `--f\nContent-Type: ${type}; name="${name}"\nContent-Disposition: attachment; filename="${name}"\nContent-Transfer-Encoding: base64\n\n${bytes.toString('base64')}\n`,
        ),
        '--f--',
      ].join('\n'),
      { 'Content-Type': 'multipart/mixed; boundary=f' },
    )
  test('come in as what they are, whatever they are called, and are never opened here', async () => {
    await put(
      withFiles('See the pictures', [
        ['../../etc/pass.png', 'image/png', png],
        ['script.gif', 'image/gif', Buffer.from('<script>alert(1)</script>')],
        [
          'drawing.svg',
          'image/svg+xml',
          Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
        ],
        ['winmail.dat', 'application/ms-tnef', Buffer.from([0x78, 0x9f, 0x3e, 0x22, 1, 2])],
        ['call.ics', 'text/calendar', Buffer.from('BEGIN:VCALENDAR\nEND:VCALENDAR')],
      ]),
    )
    const { attachments } = await entryOf('See the pictures')
    expect(attachments.map(({ name, type, width }) => [name, type, width])).toEqual([
      ['pass.png', 'image/png', 1],
      ['script.gif', 'text/plain', null],
      ['drawing.svg', expect.stringMatching(/xml|text/), null],
      ['winmail.dat', 'application/octet-stream', null],
      ['call.ics', expect.stringMatching(/text/), null],
    ])
    const svg = await fetched(`/api/attachments/${attachments[2]!.id}/file`)
    expect(svg.headers.get('content-disposition')).toMatch(/^attachment/)
    expect(svg.headers.get('content-security-policy')).toContain('sandbox')
    expect(svg.headers.get('x-content-type-options')).toBe('nosniff')
    const preview = await fetched(`/api/attachments/${attachments[0]!.id}/preview`)
    expect([preview.status, preview.headers.get('content-type')]).toEqual([200, 'image/webp'])
    expect((await fetched(`/api/attachments/${attachments[1]!.id}/preview`)).status).toBe(404)
    expect(
      Buffer.from(await (await fetched(`/api/attachments/${attachments[0]!.id}/file`)).arrayBuffer()),
    ).toEqual(png)
  })
  test('go with an answer', async () => {
    await put(mail('Send me the timetable'))
    const { threadId } = await rowOf('Send me the timetable')
    const added = await fetch(
      `${world.server.address}/api/attachments?name=${encodeURIComponent('time table.txt')}`,
      {
        method: 'POST',
        headers: {
          cookie: call.cookie,
          origin: world.server.address!,
          'content-type': 'application/octet-stream',
        },
        body: 'Boats at 9 and 12',
      },
    )
    const { id, name, type } = (await added.json()) as { id: number; name: string; type: string }
    expect([name, type]).toEqual(['time table.txt', 'text/plain'])
    expect((await answer(threadId, 'Here it is.', [id])).status).toBe(200)
    await until(() => world.mailroom.mails.some(({ text }) => text.includes('Here it is.')))
    expect(world.mailroom.mails.find(({ text }) => text.includes('Here it is.'))?.files).toEqual([
      'time table.txt, 17',
    ])
    // It has gone: not a second time with another answer.
    expect((await answer(threadId, 'Again', [id])).body.code).toBe('attachmentLost')
  })
  test('in the HTML are shown in their place, pictures from elsewhere only when asked for', async () => {
    const far = `${world.press.address}/far.png`
    await put(
      mail(
        `--r\nContent-Type: text/html; charset=utf-8\n\n<p>Look <b>here</b></p><img src="cid:one"><img src="${far}">\n--r\nContent-Type: image/png\nContent-ID: <one>\nContent-Transfer-Encoding: base64\n\n${png.toString('base64')}\n--r--`,
        { 'Content-Type': 'multipart/related; boundary=r' },
      ),
    )
    const { id, mail: parts, attachments } = await entryOf('Look here')
    expect(parts?.html).toBe(true)
    const { body } = await call<{ html: string; inline: Record<string, number> }>(
      'GET',
      `/api/entries/${id}/html`,
    )
    expect(body.html).toContain('<b>here</b>')
    expect(body.inline).toEqual({ one: attachments[0]!.id })
    const other = await fetched(`/api/entries/${id}/picture?address=${encodeURIComponent(`${far}x`)}`)
    expect(other.status).toBe(404)
    const asked = await fetched(`/api/entries/${id}/picture?address=${encodeURIComponent(far)}`)
    expect(asked.status).toBe(422)
  })
})

/** Sends a mail whose size is not said beforehand; gives the server's last word. */
async function undeclared(port: number, bytes: number): Promise<string> {
  const socket = connect(port, '127.0.0.1')
  const replies = createInterface({ input: socket })[Symbol.asyncIterator]()
  const reply = async (): Promise<string> => {
    const { value } = (await replies.next()) as { value: string }
    return /^\d{3}-/.test(value) ? reply() : value
  }
  await reply()
  for (const line of ['EHLO x', 'MAIL FROM:<bram@customers.example>', `RCPT TO:<${own}>`, 'DATA']) {
    socket.write(`${line}\r\n`)
    await reply()
  }
  socket.write(`${mail('')}${'some words to be read \r\n'.repeat(bytes / 24)}.\r\n`)
  const last = await reply()
  socket.destroy()
  return last
}

describe('a bad day', () => {
  test('broken mails are read as far as they can be, and the others come in', async () => {
    const references = Array.from({ length: 500 }, (_, i) => `<r${i}@customers.example>`).join('\r\n ')
    const parts = Array.from(
      { length: 1000 },
      (_, i) =>
        `--p\nContent-Type: text/plain; name="${i}.txt"\nContent-Disposition: attachment; filename="${i}.txt"\n\n${i}\n`,
    )
    await put(
      mail('Long references', { References: references }),
      mail('No id', { 'Message-ID': '' }),
      Buffer.from(mail('caf\xe9 na\xefve', { 'Content-Type': 'text/plain; charset=no-such-set' }), 'latin1'),
      mail(`--p\nContent-Type: text/plain\n\nA thousand parts\n${parts.join('')}--p--`, {
        'Content-Type': 'multipart/mixed; boundary=p',
      }),
      'this is no mail at all',
      mail('No date', { Date: 'yesterday or so' }),
      mail('=?utf-8?q?broken', { Subject: '=?utf-8?b?w?=', From: 'not an address' }),
      mail('Last of them'),
    )
    await rowOf('Last of them')
    await rowOf('Long references')
    await rowOf('No id')
    expect((await rows()).some(({ text }) => text.startsWith('caf'))).toBe(true)
    const many = await entryOf('A thousand parts')
    expect([many.attachments.length, many.mail?.filesLeftOut]).toEqual([50, 950])
    expect((await entryOf('No date')).undated).toBe(true)
    const { body } = await call<{ reason: string }[]>('GET', `/api/profiles/${profile.id}/apart`)
    expect(body.map(({ reason }) => reason)).toEqual([expect.stringContaining('no header')])
  })
  test('hostile texts in every part of a mail come in as texts, and nothing stops', async () => {
    const texts = hostileTexts(120).map(({ text }) => text)
    const word = (text: string) => `=?utf-8?b?${Buffer.from(text).toString('base64')}?=`
    for (const text of texts)
      world.mailroom.put(
        own,
        `From: ${word(text)} <odd@customers.example>\r\nTo: ${own}\r\nSubject: ${word(text)}\r\nMessage-ID: ${messageId()}\r\nIn-Reply-To: ${text.replace(/[\r\n]/g, ' ')}\r\nContent-Type: multipart/mixed; boundary=h\r\n\r\n--h\r\nContent-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: base64\r\n\r\n${Buffer.from(text).toString('base64')}\r\n--h\r\nContent-Type: application/x; name="${word(text)}"\r\nContent-Disposition: attachment; filename="${word(text)}"\r\n\r\nbytes\r\n--h--`,
      )
    await put(mail('After all of these'))
    await until(async () => (await rows()).some(({ text }) => text === 'After all of these'), { seconds: 60 })
    await settled(world)
    const count = await world.server.context.db.one<{ n: number }>(
      `SELECT count(*) AS n FROM entries e JOIN accounts a ON a.id = e.account_id WHERE a.outside_id = 'odd@customers.example'`,
    )
    expect(count?.n).toBeGreaterThan(texts.length * 0.97)
  }, 150_000)
  test('a server that hangs, drops or refuses loses nothing', async () => {
    const { imapFaults } = world.mailroom
    imapFaults.drop = true
    await put(mail('In the storm'))
    await until(async () => {
      const { body } = await call<ProfileAnswer[]>('GET', '/api/profiles')
      return body.find(({ id }) => id === profile.id)?.error
    })
    imapFaults.drop = false
    await collect()
    await rowOf('In the storm')
    imapFaults.refuse = true
    await put(mail('With a new password'))
    const status = async () =>
      (await call<ProfileAnswer[]>('GET', '/api/profiles')).body.find(({ id }) => id === profile.id)?.status
    await until(async () => (await status()) === 'expired')
    imapFaults.refuse = false
    expect((await call('POST', '/api/profiles/email', draft())).status).toBe(200)
    await rowOf('With a new password')
    // The mailbox was made anew: everything is read again, nothing is doubled.
    const before = (await rows()).length
    world.mailroom.mailbox(own, 'ferry').validity = 2
    await put(mail('After the move'))
    await rowOf('After the move')
    await settled(world)
    expect((await rows()).length).toBe(before + 1)
  })
  test('an answer whose confirmation was lost goes out once, where the server keeps copies', async () => {
    await put(mail('Once, please'))
    const { threadId } = await rowOf('Once, please')
    world.mailroom.loseAnswers(1)
    expect((await answer(threadId, 'Only once.')).status).toBe(200)
    const ours = async () =>
      (await thread(threadId)).entries.find(({ direction }) => direction === 'out')?.action
    await until(async () => (await ours())?.uncertain)
    await until(async () => (await ours())?.state === 'sent')
    expect(world.mailroom.mails.filter(({ text }) => text.includes('Only once.'))).toHaveLength(1)
  })
  test('mail that other servers bring is taken once it is stored, and only for who is here', async () => {
    const port = world.server.mailPort!
    const transport = createTransport({ host: '127.0.0.1', port, secure: false, ignoreTLS: true })
    const date = new Date()
    const send = (to: string, text: string, id = messageId()) =>
      transport.sendMail({
        from: 'Bram <bram@customers.example>',
        to,
        subject: 'Brought',
        text,
        messageId: id,
        date,
      })
    const id = messageId()
    await send(own.toUpperCase(), 'Brought to you', id)
    await send(own, 'Brought to you', id)
    await rowOf('Brought to you')
    expect((await rows()).filter(({ text }) => text === 'Brought to you')).toHaveLength(1)
    // Thirty megabytes are taken; more than the limit is not, also where its server does not say how much it is.
    await send(own, `Thirty megabytes\n${'some words to be read \r\n'.repeat(1_300_000)}`)
    await until(async () => (await rows()).some(({ text }) => text.startsWith('Thirty megabytes')))
    expect(await undeclared(port, 42_000_000)).toMatch(/^552/)
    await expect(send('nobody@skerrivane.example', 'x')).rejects.toMatchObject({ responseCode: 550 })
    transport.close()
  })
})

describe('an archive', () => {
  const bringIn = async (source: string, profileId: number | null = profile.id) => {
    const { body: draft } = await call<ImportState>(
      'POST',
      '/api/imports?kind=mail&name=old.mbox',
      Buffer.from(source).toString('base64'),
    )
    const started = await call<ImportState & Problem>('POST', `/api/imports/${draft.id}/start`, { profileId })
    if (started.status !== 200) return { draft, result: null, problem: started.body.code }
    return {
      draft,
      problem: null,
      result: await until(async () => {
        const { body } = await call<ImportState>('GET', `/api/imports/${draft.id}`)
        return body.state === 'running' ? null : body
      }),
    }
  }
  const archive = (mails: readonly string[]) =>
    mails.map((each) => `From x Mon Mar  2 10:11:00 2020\r\n${each}`).join('\r\n')

  test('comes in as history, the broken one named, our own answers as ours, and twice changes nothing', async () => {
    const ids = Array.from({ length: 12 }, messageId)
    const Date = 'Mon, 02 Mar 2020 10:11:00 +0000'
    const mails = ids.map((id, i) =>
      i === 9
        ? 'broken beyond reading\r\n'
        : mail(`Old mail ${i}\n>From here on it was quiet`, { 'Message-ID': id, Date, Subject: `Old ${i}` }),
    )
    mails.push(
      mail('Our old answer', { From: own, 'In-Reply-To': ids[0]!, Date: 'Tue, 03 Mar 2020 10:11:00 +0000' }),
    )
    const { draft, result } = await bringIn(archive(mails))
    expect(draft.history).toMatchObject({ entries: 12, unreadable: 1, first: '2020-03-02T10:11:00.000Z' })
    expect(result).toMatchObject({ state: 'done', added: 12, known: 0, refused: 0 })
    expect(result!.problems).toMatchObject([{ line: 10, reason: 'mailUnreadable' }])
    const { threadId } = await rowOf('Old mail 0\nFrom here on it was quiet')
    const old = await thread(threadId)
    expect(old.entries.map(({ text, direction }) => [text.slice(0, 10), direction])).toEqual([
      ['Old mail 0', 'in'],
      ['Our old an', 'out'],
    ])
    await settled(world)
    expect((await thread((await rowOf('Old mail 1\nFrom here on it was quiet')).threadId)).state).toBe('done')
    expect((await bringIn(archive(mails))).result).toMatchObject({ added: 0, known: 12 })
    // Mail that goes on with a thread after years goes on in it.
    await put(mail('After six years', { 'In-Reply-To': ids[0]!, Subject: 'Re: Old 0' }))
    expect((await rowOf('After six years')).threadId).toBe(threadId)
    await until(async () => (await thread(threadId)).state === 'open')
  })
  test('needs an address that it is the history of, and a single mail is one, too', async () => {
    const { body } = await call<ProfileAnswer[]>('GET', '/api/profiles')
    expect((await bringIn(mail('One'), null)).problem).toBe('historyProfileMissing')
    const other = body.find(({ network }) => network !== 'email')
    if (other) expect((await bringIn(mail('One'), other.id)).problem).toBe('historyProfileMissing')
    expect((await bringIn(mail('Only this'))).result).toMatchObject({ added: 1, total: 1 })
  })
})
