import nodemailer from 'nodemailer'
import type { ConnectorProfile, NetworkHttp, ReplyAction, Sent } from '../contract.ts'
import { NetworkFailure } from '../shared/outcome.ts'
import { escapeMarkup, htmlOf, plainOf } from '@murrabel/core/markup'
import { subjectCore } from '@murrabel/core/text'
import { messageIdOf, type AnswerToMail } from './mailItem.ts'
import { mailFailure, mailTimeouts, type MailServer } from './mailSettings.ts'

async function transportTo(server: MailServer, http: NetworkHttp) {
  return nodemailer.createTransport({
    host: await http.host(server.host, server.port),
    port: server.port,
    secure: server.secure,
    auth: server.user ? { user: server.user, pass: server.password } : undefined,
    tls: { servername: server.host },
    connectionTimeout: mailTimeouts.connectMs,
    greetingTimeout: mailTimeouts.connectMs,
    socketTimeout: mailTimeouts.socketMs,
    dnsTimeout: mailTimeouts.connectMs,
    // What is attached lies in memory: nothing that a mail says is a path or an address to be read.
    disableFileAccess: true,
    disableUrlAccess: true,
  })
}

/** Signs in to a server for outgoing mail, and sends nothing. @throws NetworkFailure */
export async function checkOutgoing(server: MailServer, http: NetworkHttp): Promise<void> {
  const transport = await transportTo(server, http)
  try {
    await transport.verify()
  } catch (error) {
    throw mailFailure(error)
  } finally {
    transport.close()
  }
}

/** The answer above what it answers, marked as mail programs do. */
const withQuote = (markup: string, quoted: string | null | undefined) => ({
  text: plainOf(markup) + (quoted ? `\n\n${quoted.replace(/^/gm, '> ')}` : ''),
  html: htmlOf(markup) + (quoted ? `\n<blockquote>${htmlOf(escapeMarkup(quoted))}</blockquote>` : ''),
})

/** Sends an answer: to its writer, those in copy kept, in the same thread of their mail program. */
export async function sendMail(
  { outsideId: own, name }: ConnectorProfile,
  server: MailServer | null,
  { text, key, answerTo, files = [] }: ReplyAction,
  http: NetworkHttp,
): Promise<Sent> {
  if (!server)
    throw new NetworkFailure('refused', 'no server for outgoing mail is set', null, { reached: false })
  const to = answerTo as AnswerToMail | undefined
  if (!to?.to.length)
    throw new NetworkFailure('refused', 'the mail names nobody who can be answered', null, { reached: false })
  const messageId = messageIdOf(key, own)
  const at = Date.now()
  const transport = await transportTo(server, http)
  try {
    await transport.sendMail({
      from: { name: name ?? own, address: own },
      to: to.to,
      cc: to.cc,
      subject: `Re: ${subjectCore(to.subject)}`,
      ...withQuote(text, to.quoted),
      messageId,
      date: new Date(at),
      inReplyTo: to.messageId ?? undefined,
      references: [...to.references, ...(to.messageId ? [to.messageId] : [])],
      attachments: files.map((file) => ({
        filename: file.name,
        contentType: file.type,
        content: Buffer.from(file.bytes),
      })),
    })
    return { outsideId: messageId, at }
  } catch (error) {
    throw mailFailure(error)
  } finally {
    transport.close()
  }
}
