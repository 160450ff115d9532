import type { Mail } from './mail.ts'
import { buffer } from 'node:stream/consumers'
import { SMTPServer } from 'smtp-server'
import { simpleParser } from 'mailparser'
import { Journal } from '../shared/journal.ts'
import { startImap, type BoxedMail, type ImapFaults, type Mailbox } from './imapServer.ts'
import { mailPages } from './mailPages.ts'
import { listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'

export type { Mail }

/** A mail that lies in a mailbox, as it came. */
interface BoxOp {
  op: 'box'
  address: string
  folder: 'mails' | 'sent'
  uid: number
  source: string
  at: number
}

export interface Mailroom extends Running {
  /** As nodemailer takes it. */
  smtpUrl: string
  smtpPort: number
  imapPort: number
  imapFaults: ImapFaults
  /** A mailbox whose mail can be fetched (IMAP); mail that is sent to its address comes into it. */
  mailbox(address: string, password: string): Mailbox
  /** Puts a mail into a mailbox without sending it. */
  put(address: string, source: string | Buffer, at?: number, folder?: BoxOp['folder']): void
  mails: Mail[]
  /** Takes so many mails, and ends the connection before it says so. */
  loseAnswers(times: number): void
  /** Refuses the next mails with this SMTP reply code; 0 takes them again. */
  refuseWith(code: number): void
}

const mailBytes = 60_000_000

interface Taking {
  /** 0: everybody is taken. */
  refusalCode: () => number
  nextId: () => number
  /** @param user who signed in to send it */
  take: (mail: Mail, source: Buffer, user: string | undefined) => void
  /** Whether the next answer is lost. */
  loses: () => boolean
  /** Whether somebody may sign in. */
  mayIn: (user: string, password: string) => boolean
}

function smtpServer({ refusalCode, nextId, take, mayIn, loses }: Taking): SMTPServer {
  const server: SMTPServer = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    size: mailBytes,
    onAuth({ username, password }, _session, done) {
      if (mayIn(username ?? '', password ?? '')) done(null, { user: username ?? '' })
      else done(Object.assign(new Error('user name or password is wrong'), { responseCode: 535 }))
    },
    onRcptTo(_address, _session, done) {
      const refusal = refusalCode()
      if (!refusal) return done()
      done(Object.assign(new Error('not taken here'), { responseCode: refusal }))
    },
    onData(stream, session, done) {
      buffer(stream)
        .then(async (source) => {
          const parsed = await simpleParser(source)
          const mail: Mail = {
            op: 'mail',
            id: nextId(),
            messageId: parsed.messageId ?? '',
            from: parsed.from?.text ?? '',
            to: session.envelope.rcptTo.map(({ address }) => address),
            subject: parsed.subject ?? '',
            text: parsed.text ?? '',
            html: parsed.html || '',
            at: new Date().toISOString(),
            cc: [parsed.cc ?? []]
              .flat()
              .map(({ text }) => text)
              .join(', '),
            inReplyTo: parsed.inReplyTo ?? '',
            references: [parsed.references ?? []].flat(),
            files: parsed.attachments.map(({ filename, size }) => `${filename ?? ''}, ${size}`),
          }
          take(mail, source, session.user)
          if (!loses()) return done()
          server.connections.forEach((each) => each.close())
        })
        .catch((error: unknown) => done(error instanceof Error ? error : new Error(String(error))))
    },
  })
  return server
}

/** An SMTP server that takes every mail and keeps it, and pages on which a person sees what came. */
export async function startMailroom({
  port = 0,
  smtpPort = 0,
  imapPort = 0,
  journalFile = null,
}: Pick<StandinOptions, 'port' | 'journalFile'> & {
  smtpPort?: number
  imapPort?: number
} = {}): Promise<Mailroom> {
  const mails: Mail[] = []
  const boxes = new Map<string, Mailbox>()
  const journal = new Journal<Mail | BoxOp>(journalFile)
  const boxed: BoxOp[] = []
  for (const op of journal.read())
    if (op.op === 'mail') mails.push(op)
    else boxed.push(op)
  let refusal = 0
  let lost = 0
  const imapFaults: ImapFaults = { hang: false, drop: false, refuse: false }
  const imap = await startImap((address) => boxes.get(address), imapFaults, imapPort)

  const mailbox = (given: string, password: string): Mailbox => {
    const address = given.toLowerCase()
    const inFolder = (folder: BoxOp['folder']): BoxedMail[] =>
      boxed
        .filter((op) => op.address === address && op.folder === folder)
        .map(({ uid, at, source }) => ({ uid, at, source: Buffer.from(source, 'base64') }))
    const box = boxes.get(address) ?? {
      address,
      password,
      validity: 1,
      mails: inFolder('mails'),
      sent: inFolder('sent'),
    }
    boxes.set(address, Object.assign(box, { password }))
    return box
  }
  const put = (
    address: string,
    source: string | Buffer,
    at = Date.now(),
    folder: BoxOp['folder'] = 'mails',
  ): void => {
    const box = boxes.get(address.toLowerCase())
    if (!box) return
    const mail = { uid: (box[folder].at(-1)?.uid ?? 0) + 1, source: Buffer.from(source), at }
    box[folder].push(mail)
    journal.append({
      op: 'box',
      folder,
      address: box.address,
      ...mail,
      source: mail.source.toString('base64'),
    })
  }

  const smtp = smtpServer({
    refusalCode: () => refusal,
    nextId: () => mails.length + 1,
    take(mail, source, user) {
      mails.push(mail)
      journal.append(mail)
      for (const to of mail.to) put(to, source)
      // As mail services do for their users.
      if (user) put(user, source, undefined, 'sent')
    },
    loses: () => lost > 0 && lost-- > 0,
    mayIn: (user, password) => boxes.get(user.toLowerCase())?.password === password,
  })
  smtp.on('error', () => {})
  await new Promise<void>((resolve) => smtp.listen(smtpPort, '127.0.0.1', resolve))
  const address = smtp.server.address()
  const smtpAt = typeof address === 'object' && address ? address.port : smtpPort
  const smtpUrl = `smtp://127.0.0.1:${smtpAt}`

  const app = networkApp()
  mailPages(app, { mails, boxes, smtpPort: smtpAt })
  const running = await listen(app, port)
  return {
    ...running,
    smtpUrl,
    smtpPort: smtpAt,
    imapPort: imap.port,
    imapFaults,
    mailbox,
    put,
    mails,
    loseAnswers: (times) => (lost = times),
    refuseWith: (code) => (refusal = code),
    close: async () => {
      await new Promise<void>((resolve) => smtp.close(resolve))
      await imap.close()
      await running.close()
    },
  }
}
