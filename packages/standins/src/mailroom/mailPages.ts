import { urlencoded, type Express } from 'express'
import { createTransport } from 'nodemailer'
import { escapeHtml, page } from '../shared/html.ts'
import type { Mail } from './mail.ts'
import type { Mailbox } from './imapServer.ts'

interface Shown {
  mails: readonly Mail[]
  boxes: ReadonlyMap<string, Mailbox>
  smtpPort: number
}

const form = (to: string, subject: string, answered = '') =>
  `<form method="post" action="/write">
    <input type="hidden" name="answered" value="${escapeHtml(answered)}">
    <label>From <input name="from" required value="Anna Stone &lt;anna@post.example&gt;"></label>
    <label>To <input name="to" required value="${escapeHtml(to)}"></label>
    <label>Subject <input name="subject" value="${escapeHtml(subject)}"></label>
    <label>Mail <textarea name="text" rows="4"></textarea></label>
    <button>Send</button>
  </form>`

const shown = (mail: Mail) =>
  `<article><h2>${escapeHtml(mail.subject)}</h2>
    <p>${escapeHtml(mail.from)} to ${escapeHtml(mail.to.join(', '))}, ${mail.at}</p>
    <pre>${escapeHtml(mail.text)}</pre>
    ${mail.html ? `<details><summary>Laid out</summary><iframe sandbox="" title="Laid out" srcdoc="${escapeHtml(mail.html)}"></iframe></details>` : ''}
    ${mail.files.length ? `<p>With ${escapeHtml(mail.files.join('; '))}</p>` : ''}
    <details><summary>Answer</summary>${form(mail.from, `Re: ${mail.subject.replace(/^Re: /, '')}`, mail.messageId)}</details>
  </article>`

/** Mails for tests, and the pages on which a person sees what came, and writes as a customer: by real SMTP. */
export function mailPages(app: Express, { mails, boxes, smtpPort }: Shown): void {
  app.get('/api/mails', (req, res) => {
    const to = String(req.query.to ?? '')
    res.json(to ? mails.filter((mail) => mail.to.includes(to)) : mails)
  })
  app.post('/write', urlencoded({ extended: false, limit: '1mb' }), async (req, res) => {
    const { from, to, subject, text, answered } = req.body as Record<string, string>
    const before = mails.find(({ messageId }) => messageId === answered)
    const transport = createTransport({ host: '127.0.0.1', port: smtpPort, secure: false, ignoreTLS: true })
    try {
      await transport.sendMail({
        from,
        to,
        subject,
        text,
        ...(before
          ? { inReplyTo: before.messageId, references: [...before.references, before.messageId] }
          : {}),
      })
      res.redirect(303, '/')
    } catch (error) {
      res
        .status(422)
        .type('html')
        .send(page('Mailroom', escapeHtml((error as Error).message)))
    } finally {
      transport.close()
    }
  })
  app.get('/', (_req, res) => {
    const rows = [...mails].reverse().slice(0, 100).map(shown)
    const write = form([...boxes.keys()][0] ?? '', '')
    res.type('html').send(page('Mailroom', `${write}${rows.join('') || 'No mail yet.'}`))
  })
}
