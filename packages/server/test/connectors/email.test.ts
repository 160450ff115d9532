import { describe, expect, test } from 'vitest'
import { subjectCore } from '@murrabel/core/text'
import { automaticMail, deliveryFailures } from '../../src/connectors/email/automaticMail.ts'
import { foldMail } from '../../src/connectors/email/foldMail.ts'
import { itemOfMail, messageIdOf, type AnswerToMail } from '../../src/connectors/email/mailItem.ts'
import { mailFailure } from '../../src/connectors/email/mailSettings.ts'
import { readMail } from '../../src/connectors/email/readMail.ts'
import { shortest } from '../support/shortest.ts'

describe('what is said in a mail is told from what it quotes', () => {
  test.each([
    ['The boat was late.\n\nKind regards,\nMaud', 'The boat was late.', 'Kind regards,\nMaud'],
    [
      'Thank you.\n\nOn Mon, 2 Mar 2026 at 10:11, Skerrivane <hello@skerrivane.example> wrote:\n> We are sorry.',
      'Thank you.',
      'On Mon, 2 Mar 2026 at 10:11, Skerrivane <hello@skerrivane.example> wrote:\n> We are sorry.',
    ],
    [
      'Merci.\n\nLe lun. 2 mars 2026 à 10:11, Skerrivane <hello@skerrivane.example> a écrit :\n> Oui',
      'Merci.',
      'Le lun. 2 mars 2026 à 10:11, Skerrivane <hello@skerrivane.example> a écrit :\n> Oui',
    ],
    [
      'Danke.\n\nAm 02.03.2026 um 10:11 schrieb Skerrivane <hello@skerrivane.example>:\n> Gern',
      'Danke.',
      'Am 02.03.2026 um 10:11 schrieb Skerrivane <hello@skerrivane.example>:\n> Gern',
    ],
    [
      'Gracias.\n\nEl lun, 2 mar 2026 a las 10:11, Skerrivane (<hello@skerrivane.example>) escribió:\n> Sí',
      'Gracias.',
      'El lun, 2 mar 2026 a las 10:11, Skerrivane (<hello@skerrivane.example>) escribió:\n> Sí',
    ],
    [
      'Das geht nicht.\n\n-----Ursprüngliche Nachricht-----\nVon: x\nalt',
      'Das geht nicht.',
      '-----Ursprüngliche Nachricht-----\nVon: x\nalt',
    ],
    [
      'No.\n\nFrom: Skerrivane\nSent: Monday\nTo: me\n\nold',
      'No.',
      'From: Skerrivane\nSent: Monday\nTo: me\n\nold',
    ],
    ['> all of it\n> is quoted', '> all of it\n> is quoted', ''],
    ['', '', ''],
  ])('%j', (text, said, folded) => expect(foldMail(text)).toEqual({ said, folded }))
  test('long lines are left as they are, quoted or not', () => {
    const long = (word: string) => `${word} `.repeat(200).trim()
    const mark = '\ue000'
    for (const own of [
      long('late'),
      `${mark}0${mark} ${long('late')}`,
      `> ${long('why')}\n${long('late')}`,
    ]) {
      const head = 'On Mon, 2 Mar 2026 at 10:11, Skerrivane <hello@skerrivane.example> wrote:'
      const quote = `${head}\n> ${long('sorry')}\n> ${mark}0${mark}\n> ${long('bye')}`
      expect(foldMail(`${own}\n\n${quote}`)).toEqual({ said: own, folded: quote })
    }
  })
  test('blanks at the begin of a line of any length cost nothing', () => {
    expect(foldMail(`${' '.repeat(1_000_000)}x`).said).toBe('x')
  })
  test('answers between the lines of a quote stay with them', () => {
    const { said } = foldMail('See below.\n\n> Which day?\n\nTuesday.\n\n> What time?\n\nTen.')
    for (const words of ['See below.', '> Which day?', 'Tuesday.', 'Ten.']) expect(said).toContain(words)
  })
  test.each([
    ['empty lines', '\n'],
    ['blanks', '   \n'],
    ['heads of quotes', 'On a b '],
    ['broken heads', 'From: ['],
    ['words of another language', 'Op \n'],
    ['heads without an end', ' on at'],
    ['heads without an end, a line each', ' on at\n'],
    ['years and senders', '2026 from <'],
    ['heads of another language in one line', 'Am a um schrieb '],
    ['heads with an end that is none', 'abc. a\nb skrev c\n'],
    ['senders', 'De: <'],
    ['blanks of another kind', '\u00a0\n'],
  ])('twice as many %s take at most some six times as long', async (_, piece) => {
    const timed = (size: number) => shortest(() => foldMail(`x${piece.repeat(size / piece.length)}`))
    await timed(2000)
    expect(await timed(16_000)).toBeLessThan(Math.max(300, 6 * (await timed(8000))))
  })
})

describe('what a machine wrote', () => {
  const of = (fields: Record<string, string>, from = 'leonie@customers.example', nullSender = false) =>
    automaticMail((name) => fields[name], { from, nullSender })
  test.each([
    [{}, null],
    [{ 'auto-submitted': 'no' }, null],
    [{ 'auto-submitted': 'auto-replied; owner-email=x' }, 'reply'],
    [{ 'auto-submitted': 'auto-generated' }, 'bulk'],
    [{ 'x-autoreply': 'yes' }, 'reply'],
    [{ precedence: 'auto_reply' }, 'reply'],
    [{ precedence: 'bulk' }, 'bulk'],
    [{ 'list-id': '<news.customers.example>' }, 'bulk'],
    [{ 'content-type': 'multipart/report; report-type=delivery-status; boundary=b' }, 'failure'],
    [{ 'content-type': 'multipart/report; report-type=disposition-notification' }, null],
  ])('%j is %s', (fields, kind) => expect(of(fields)).toBe(kind))
  test('the post is known by its name, and by having none', () => {
    expect(of({ 'auto-submitted': 'auto-replied' }, 'mailer-daemon@customers.example')).toBe('failure')
    expect(of({}, 'leonie@customers.example', true)).toBe('failure')
  })
  test('only those whom it did not reach are told', () => {
    const text = [
      'Reporting-MTA: dns; mx\r\n',
      'Final-Recipient: rfc822; a@b.example\r\nAction: delayed\r\nStatus: 4.4.1\r\n',
      'Final-Recipient: rfc822; c@b.example\r\nAction: Failed\r\nStatus: 5.1.1\r\nDiagnostic-Code: smtp; 550\r\n no such person\r\n',
    ].join('\r\n')
    expect(deliveryFailures(text)).toEqual([
      { recipient: 'c@b.example', status: '5.1.1', reason: '550 no such person' },
    ])
  })
})

test.each([
  ['Re: Fwd: AW: RÉP : My booking', 'My booking'],
  ['RE[2]: My booking', 'My booking'],
  ['Regarding my booking', 'Regarding my booking'],
  ['Re:', ''],
])('%j is about %j', (subject, core) => expect(subjectCore(subject)).toBe(core))

describe('a mail', () => {
  const profile = {
    id: 1,
    outsideId: 'hello@skerrivane.example',
    name: 'Skerrivane',
    address: '',
    accessToken: '',
  }
  const read = (lines: string[]) => readMail(Buffer.from(lines.join('\r\n')))
  test('is answered to where it asks, with everybody in copy but ourselves, once', async () => {
    const mail = await read([
      'From: A <a@customers.example>',
      'Reply-To: B <B@Customers.example>',
      'To: Hello@skerrivane.example, c@customers.example',
      'Cc: b@customers.example, D <d@customers.example>, c@customers.example',
      'Message-ID: <1@customers.example>',
      'References: <x@customers.example> <y@customers.example>',
      '',
      'words',
    ])
    const { to, cc, references } = itemOfMail(mail, profile).answerTo as AnswerToMail
    expect(to.map(({ address }) => address)).toEqual(['b@customers.example'])
    expect(cc.map(({ address }) => address)).toEqual(['c@customers.example', 'd@customers.example'])
    expect(references).toEqual(['<x@customers.example>', '<y@customers.example>'])
  })
  test('of ours is known by its key, and is ours only where we put it', async () => {
    const key = '0b5e8a1c-3f4d-4c2b-9a77-1f2e3d4c5b6a'
    const mail = await read([
      `From: ${profile.outsideId}`,
      `Message-ID: ${messageIdOf(key, profile.outsideId)}`,
      '',
      'x',
    ])
    expect(itemOfMail(mail, profile)).toMatchObject({
      direction: 'in',
      replyKey: key,
      mail: { doubt: 'own' },
    })
    expect(itemOfMail(mail, profile, { isOurs: true })).toMatchObject({
      direction: 'out',
      mail: { doubt: null },
    })
  })
  test('in other charsets and forms reads the same', async () => {
    const latin = Buffer.concat([
      Buffer.from('From: a@b.example\r\nContent-Type: text/plain; charset=iso-8859-15\r\n\r\n'),
      Buffer.from('caf\xe9', 'latin1'),
    ])
    expect((await readMail(latin)).said).toBe('café')
    const quoted = [
      'From: a@b.example',
      'Content-Type: text/plain; charset=utf-8',
      'Content-Transfer-Encoding: quoted-printable',
      '',
      'caf=C3=A9 =',
    ]
    expect((await read(quoted)).said).toBe('café')
    const html = [
      'From: a@b.example',
      'Content-Type: text/html',
      '',
      '<style>p{}</style><p>caf&eacute;</p><script>x</script>',
    ]
    expect((await read(html)).said).toBe('café')
  })
  test('twice as large takes about twice as long', async () => {
    const of = (size: number) => read(['From: a@b.example', '', 'some words to be read \r\n'.repeat(size)])
    const timed = (size: number) => shortest(() => of(size))
    await timed(1000)
    expect(await timed(40_000)).toBeLessThan(Math.max(500, 4 * (await timed(20_000))))
  })
})

test.each([
  [{ authenticationFailed: true }, 'keyExpired', false],
  [{ code: 'EAUTH', responseCode: 535 }, 'keyExpired', false],
  [{ responseCode: 550, command: 'RCPT TO' }, 'refused', false],
  [{ responseCode: 451, command: 'RCPT TO' }, 'transient', false],
  [{ code: 'ETIMEDOUT', command: 'DATA' }, 'transient', true],
  [{ code: 'ECONNREFUSED', command: 'CONN' }, 'transient', false],
])('a mail server’s %j is %s', (error, kind, reached) =>
  expect(mailFailure(Object.assign(new Error('x'), error))).toMatchObject({ kind, reached }),
)
