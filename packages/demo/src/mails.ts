import { readFileSync } from 'node:fs'
import { instants } from './calendar.ts'
import { answeredBy, answerTime } from './lanternpage.ts'
import type { Writer } from './bookings.ts'
import { People, type Somebody } from './people.ts'
import { decksByLanguage, pick, seeded, type Random } from './random.ts'
import { mailManners, mailTalks, quoteLine, type MailTalk } from './sentences/mails.ts'
import { pitchSenders, pitchSubject, pitchText } from './sentences/pitches.ts'
import { slotsOf } from './talkSlots.ts'

/** As the mailroom remembers: a mail in a folder of a mailbox, as it travelled (base64). */
export interface MailLine {
  op: 'box'
  address: string
  folder: 'mails' | 'sent'
  uid: number
  at: number
  source: string
}

export const mailAddress = 'hello@skerrivane.example'
const brand = `Skerrivane Ferries <${mailAddress}>`
const minute = 60_000
const hour = 60 * minute

interface Written {
  at: number
  ours: boolean
  from: string
  to: string
  subject: string
  id: string
  /** Message-IDs before it, oldest first. */
  before: string[]
  text: string
  file?: MailTalk['file']
  ref: string
}

/** Mail over the year, each conversation about one thing from its first line to its last; and who wrote it. */
export function mails({ seed, end, scale }: { seed: number; end: number; scale: number }): {
  lines: MailLine[]
  writers: Writer[]
} {
  const random = seeded(seed + 47)
  const people = new People(random, 'mail')
  const decks = decksByLanguage(random, mailTalks)
  const all: Written[] = []
  const writers = new Map<string, Writer>()
  instants(random, { end, count: Math.round(460 * scale) }).forEach((at, i) => {
    const language = pick(random, ['en', 'en', 'en', 'en', 'en', 'fr', 'fr', 'de', 'es'] as const)
    const who = people.somebody({ again: 0.1, language })
    const written = conversation(random, { talk: decks.get(language)!.deal(), who, at, end, number: i })
    all.push(...written)
    const email = addressOf(who)
    if (!writers.has(email))
      writers.set(email, { name: who.name, email, phone: '', language, at, said: saidIn(written) })
  })
  all.push(...byMachines(random, all), ...pitches(end))
  const uids = { mails: 0, sent: 0 }
  const lines = all
    .filter(({ at }) => at <= end)
    .sort((a, b) => a.at - b.at)
    .map((mail): MailLine => {
      const folder = mail.ours ? 'sent' : 'mails'
      const source = Buffer.from(sourceOf(random, mail)).toString('base64')
      return { op: 'box', address: mailAddress, folder, uid: ++uids[folder], at: mail.at, source }
    })
  return { lines, writers: [...writers.values()] }
}

function conversation(
  random: Random,
  {
    talk,
    who,
    at: start,
    end,
    number,
  }: { talk: MailTalk; who: Somebody; at: number; end: number; number: number },
): Written[] {
  const slots = slotsOf(random)
  const fill = (text: string) => text.replace(/\{(\w+)\}/g, (_, name: string) => slots[name] ?? '')
  const customer = `${who.name} <${addressOf(who)}>`
  const written: Written[] = []
  let at = start
  for (const line of talk.lines) {
    const ours = line.startsWith('<')
    const last = written.at(-1)
    if (last) at = ours ? answerTime(random, at) : at + Math.round((1 + 20 * random() ** 2) * hour)
    if (ours && last && random() > answeredBy(end, start, 0.97)) break
    // Of late few have thanked already: nobody is owed an answer to that.
    if (!ours && last && start > end - 15 * 24 * hour && random() > 0.15) break
    const said = fill(line.slice(2)).replaceAll('|', '\n\n')
    written.push({
      at,
      ours,
      from: ours ? brand : customer,
      to: ours ? customer : brand,
      subject: `${last ? 'Re: ' : ''}${fill(talk.subject)}`,
      id: `<${number}.${written.length}.${start.toString(36)}@${ours ? 'skerrivane' : 'post'}.example>`,
      before: written.map(({ id }) => id),
      text: [
        ...(ours || last ? [said] : [greeting(random, talk.language), said].filter(Boolean)),
        ...(ours ? [] : [signature(random, talk.language, who)]),
        ...(last ? [quoted(talk.language, last)] : []),
      ].join('\n\n'),
      file: last ? undefined : talk.file,
      ref: slots.ref!,
    })
  }
  return written
}

/** What the customer said, and the booking that it is about. */
const saidIn = (written: readonly Written[]): string =>
  written
    .filter(({ ours }) => !ours)
    .map(({ subject, text }) => `${subject} ${text}`)
    .join(' ')

const addressOf = ({ handle }: Somebody) =>
  `${handle.replace(/[^a-z0-9.]/gi, '').toLowerCase() || 'guest'}@post.example`

const greeting = (random: Random, language: MailTalk['language']) => pick(random, mailManners[language].hello)
const signature = (random: Random, language: MailTalk['language'], { name }: Somebody) =>
  `${pick(random, mailManners[language].bye)}\n${name}`

function quoted(language: MailTalk['language'], { at, from, text }: Written): string {
  const date = new Date(at).toISOString().slice(0, 16).replace('T', ' ')
  return `${quoteLine[language](date, from)}\n${text
    .split('\n')
    .map((line) => `> ${line}`)
    .join('\n')}`
}

/** One pitch under three names, of these days: what nobody on the piers wants to read twice. */
function pitches(end: number): Written[] {
  return pitchSenders.map(({ name, email, opening }, i) => ({
    at: end - (5 - i) * 9 * hour - 17 * minute * i,
    ours: false,
    from: `${name} <${email}>`,
    to: brand,
    subject: pitchSubject,
    id: `<pitch.${i}.${end.toString(36)}@${email.split('@')[1]}>`,
    before: [],
    text: `${opening}\n\n${pitchText}\n\n${name}`,
    ref: '',
  }))
}

/** Now and then an answering machine answers us, or a mail of ours does not arrive. */
function byMachines(random: Random, all: readonly Written[]): Written[] {
  return all
    .filter(({ ours }) => ours)
    .flatMap((mail, i) =>
      random() < 0.03
        ? [
            {
              ...mail,
              at: mail.at + minute,
              ours: false,
              from: mail.to,
              to: brand,
              subject: `Away: ${mail.subject}`,
              id: `<away.${i}.${mail.at.toString(36)}@post.example>`,
              before: [...mail.before, mail.id],
              text: 'I am away until Monday and will read your mail then.',
              file: undefined,
              ref: 'auto',
            },
          ]
        : [],
    )
}

const photo = readFileSync(new URL('../assets/suitcase.jpg', import.meta.url))
const lines = (bytes: Buffer) => bytes.toString('base64').replace(/.{76}/g, '$&\r\n')

const word = (text: string) =>
  /^[\u0020-\u007e]*$/.test(text) ? text : `=?utf-8?b?${Buffer.from(text).toString('base64')}?=`
const person = (text: string) => text.replace(/^(.*) </, (_, name: string) => `${word(name)} <`)

/** A mail as it travels (RFC 5322, MIME): most as plain text, some with a laid out form beside it. */
function sourceOf(
  random: Random,
  { at, from, to, subject, id, before, text, file, ref, ours }: Written,
): string {
  const header = [
    `From: ${person(from)}`,
    `To: ${person(to)}`,
    `Subject: ${word(subject)}`,
    `Date: ${new Date(at).toUTCString().replace('GMT', '+0000')}`,
    `Message-ID: ${id}`,
    ...(before.length ? [`In-Reply-To: ${before.at(-1)}`, `References: ${before.join(' ')}`] : []),
    ...(ref === 'auto' ? ['Auto-Submitted: auto-replied'] : []),
    'MIME-Version: 1.0',
  ]
  const plain = part('text/plain; charset=utf-8', Buffer.from(text))
  const isLaidOut = !ours && ref !== 'auto' && random() < 0.4
  const body = isLaidOut
    ? `Content-Type: multipart/alternative; boundary=alt\r\n\r\n--alt\r\n${plain}\r\n--alt\r\n${part('text/html; charset=utf-8', Buffer.from(laidOut(text)))}\r\n--alt--`
    : plain
  const files = attached(file, ref)
  if (!files) return `${header.join('\r\n')}\r\n${body}\r\n`
  return `${header.join('\r\n')}\r\nContent-Type: multipart/mixed; boundary=mix\r\n\r\n--mix\r\n${body}\r\n--mix\r\n${files}\r\n--mix--\r\n`
}

const part = (type: string, bytes: Buffer, more: readonly string[] = []) =>
  [`Content-Type: ${type}`, ...more, 'Content-Transfer-Encoding: base64', '', lines(bytes)].join('\r\n')

function attached(file: MailTalk['file'], ref: string): string | null {
  if (file === 'photo')
    return part('image/jpeg; name="suitcase.jpg"', photo, [
      'Content-Disposition: attachment; filename="suitcase.jpg"',
    ])
  if (file === 'receipt')
    return part(
      `text/plain; name="receipt ${ref}.txt"`,
      Buffer.from(`Skerrivane Ferries\r\nBooking ${ref}\r\nTwo adults, one car\r\nPaid: 46.80\r\n`),
      [`Content-Disposition: attachment; filename="receipt ${ref}.txt"`],
    )
  return null
}

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')

const laidOut = (text: string) =>
  `<html><body style="font-family:Georgia,serif;color:#222">${text
    .split('\n\n')
    .map((paragraph) => `<p>${escaped(paragraph).replaceAll('\n', '<br>')}</p>`)
    .join(
      '',
    )}<p><img src="http://pictures.post.example/line.png" width="300" height="2" alt=""></p></body></html>`
