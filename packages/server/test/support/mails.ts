import type { EmailDraft } from '@murrabel/contract'
import type { TestWorld } from './world.ts'

/** The brand's address. */
export const own = 'hello@skerrivane.example'

/** The settings under which it is connected. */
export function emailDraft(world: TestWorld, more: Partial<EmailDraft> = {}): EmailDraft {
  const { imapPort, smtpPort } = world.mailroom
  const server = { host: '127.0.0.1', secure: false, user: own, password: 'ferry' }
  return {
    address: own,
    name: 'Skerrivane Ferries',
    imap: { ...server, port: imapPort },
    smtp: { ...server, port: smtpPort },
    ...more,
  }
}

let last = 0
export const messageId = () => `<m${++last}.${Date.now()}@customers.example>`

/** A mail as a mail program writes it. */
export function mail(text: string, headers: Record<string, string> = {}): string {
  const all = {
    From: 'Léonie Marchais <leonie@customers.example>',
    To: own,
    Subject: 'My booking',
    Date: new Date().toUTCString(),
    'Message-ID': messageId(),
    'Content-Type': 'text/plain; charset=utf-8',
    ...headers,
  }
  return `${Object.entries(all)
    .filter(([, value]) => value)
    .map(([name, value]) => `${name}: ${value}`)
    .join('\r\n')}\r\n\r\n${text.replaceAll('\n', '\r\n')}\r\n`
}
