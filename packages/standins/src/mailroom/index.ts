import type { Express } from 'express'
import { SMTPServer } from 'smtp-server'
import { simpleParser } from 'mailparser'
import { Journal } from '../shared/journal.ts'
import { escapeHtml, page } from '../shared/html.ts'
import { listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'

export interface Mail {
  op: 'mail'
  id: number
  messageId: string
  from: string
  to: string[]
  subject: string
  text: string
  at: string
}

export interface Mailroom extends Running {
  /** As nodemailer takes it. */
  smtpUrl: string
  mails: Mail[]
  /** Refuses the next mails with this SMTP reply code; 0 takes them again. */
  refuseWith(code: number): void
}

const mailBytes = 2_000_000

interface Taking {
  /** 0: everybody is taken. */
  refusalCode: () => number
  nextId: () => number
  take: (mail: Mail) => void
}

function smtpServer({ refusalCode, nextId, take }: Taking): SMTPServer {
  return new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    size: mailBytes,
    onRcptTo(_address, _session, done) {
      const refusal = refusalCode()
      if (!refusal) return done()
      done(Object.assign(new Error('not taken here'), { responseCode: refusal }))
    },
    onData(stream, session, done) {
      simpleParser(stream)
        .then((parsed) => {
          const mail: Mail = {
            op: 'mail',
            id: nextId(),
            messageId: parsed.messageId ?? '',
            from: parsed.from?.text ?? '',
            to: session.envelope.rcptTo.map(({ address }) => address),
            subject: parsed.subject ?? '',
            text: parsed.text ?? '',
            at: new Date().toISOString(),
          }
          take(mail)
          done()
        })
        .catch((error: unknown) => done(error instanceof Error ? error : new Error(String(error))))
    },
  })
}

/** Mails for tests, and the page on which a person sees them. */
function showMails(app: Express, mails: readonly Mail[]): void {
  app.get('/api/mails', (req, res) => {
    const to = String(req.query.to ?? '')
    res.json(to ? mails.filter((mail) => mail.to.includes(to)) : mails)
  })
  app.get('/', (_req, res) => {
    const rows = [...mails]
      .reverse()
      .slice(0, 100)
      .map(
        (mail) =>
          `<article><h2>${escapeHtml(mail.subject)}</h2><p>${escapeHtml(mail.from)} to ${escapeHtml(mail.to.join(', '))}, ${mail.at}</p><pre>${escapeHtml(mail.text)}</pre></article>`,
      )
    res.type('html').send(page('Mailroom', rows.join('') || 'No mail yet.'))
  })
}

/** An SMTP server that takes every mail and keeps it, and pages on which a person sees what came. */
export async function startMailroom({
  port = 0,
  smtpPort = 0,
  journalFile = null,
}: Pick<StandinOptions, 'port' | 'journalFile'> & { smtpPort?: number } = {}): Promise<Mailroom> {
  const mails: Mail[] = []
  const journal = new Journal<Mail>(journalFile)
  mails.push(...journal.read())
  let refusal = 0

  const smtp = smtpServer({
    refusalCode: () => refusal,
    nextId: () => mails.length + 1,
    take(mail) {
      mails.push(mail)
      journal.append(mail)
    },
  })
  smtp.on('error', () => {})
  await new Promise<void>((resolve) => smtp.listen(smtpPort, '127.0.0.1', resolve))
  const address = smtp.server.address()
  const smtpUrl = `smtp://127.0.0.1:${typeof address === 'object' && address ? address.port : smtpPort}`

  const app = networkApp()
  showMails(app, mails)
  const running = await listen(app, port)
  return {
    ...running,
    smtpUrl,
    mails,
    refuseWith: (code) => (refusal = code),
    close: async () => {
      await new Promise<void>((resolve) => smtp.close(resolve))
      await running.close()
    },
  }
}
