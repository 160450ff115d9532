import { isAnswerSubject, subjectCore } from '@murrabel/core/text'
import type { CollectedItem, ConnectorProfile, DeliveryReport, ReadParts } from '../contract.ts'
import type { MailAddress, ReadMail } from './readMail.ts'

/** What an answer to a mail needs of it. */
export interface AnswerToMail {
  to: MailAddress[]
  cc: MailAddress[]
  subject: string
  messageId: string | null
  /** Oldest first. */
  references: string[]
  /** What was said before, where they have no mail of it. */
  quoted?: string | null
}

const uuid = '[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}'
const ownId = new RegExp(`^<(${uuid})@`, 'i')

/** The Message-ID of an answer of ours: the same key, the same mail. */
export const messageIdOf = (key: string, own: string): string => `<${key}@${own.split('@').at(-1)}>`

/** As in the header: those we would write to, without ourselves. */
function answerOf(mail: ReadMail, own: string): AnswerToMail {
  const to = mail.replyTo.length ? mail.replyTo : [mail.from]
  const taken = new Set([own, ...to.map(({ address }) => address)])
  const cc = [...mail.to, ...mail.cc].filter(({ address }) => !taken.has(address) && taken.add(address))
  return {
    to: to.filter(({ address }) => address !== own && address),
    cc,
    subject: mail.subject,
    messageId: mail.messageId,
    references: [...mail.ancestors].reverse().slice(-20),
  }
}

/**
 * A mail as an entry. That it bears our address proves nothing, since anybody can write that: one of ours is known by its
 * key, and whether it is ours is for the outbox to say.
 *
 * @param from.isOurs it lies among what was sent, where only we put things
 */
export function itemOfMail(
  mail: ReadMail,
  { outsideId: own, name }: ConnectorProfile,
  { isOurs = false }: { isOurs?: boolean } = {},
): CollectedItem {
  const key = mail.from.address === own || isOurs ? ownId.exec(mail.messageId ?? '')?.[1] : undefined
  const outsideId = key ? mail.messageId! : `${mail.messageId ?? '<none>'}#${mail.hash}`
  return {
    outsideId,
    threadId: `mail/${mail.root ?? mail.messageId ?? mail.hash}`,
    threadTitle: subjectCore(mail.subject) || undefined,
    kind: 'message',
    // What a machine answers by itself is owed nothing.
    origin: mail.automatic === 'reply' || mail.automatic === 'failure' ? 'heard' : 'sent',
    direction: isOurs ? 'out' : 'in',
    private: true,
    author: {
      outsideId: mail.from.address || 'unknown',
      name: mail.from.name || (isOurs && name) || mail.from.address,
      handle: mail.from.address,
    },
    title: mail.subject,
    // A mail of nothing but a subject or a picture says that.
    text: mail.said || (mail.files.length ? '' : mail.subject),
    at: mail.at,
    replyKey: key,
    mail: {
      messageId: mail.messageId,
      ancestors: mail.ancestors,
      isAnswer: isAnswerSubject(mail.subject),
      from: mail.from,
      to: mail.to,
      cc: mail.cc,
      folded: mail.folded,
      html: mail.html,
      automatic: mail.automatic,
      doubt: isOurs ? null : mail.from.address === own ? 'own' : mail.unproven ? 'unproven' : null,
      filesLeftOut: mail.filesLeftOut,
    },
    answerTo: answerOf(mail, own),
    files: mail.files,
    raw: { header: mail.header },
  }
}

/** A mail as what it tells: itself, and, of the post's, what did not arrive. */
export function partsOfMail(
  mail: ReadMail,
  profile: ConnectorProfile,
  from: { isOurs?: boolean } = {},
): ReadParts & { reports: DeliveryReport[] } {
  const item = itemOfMail(mail, profile, from)
  const at = Number.isNaN(mail.at) ? Date.now() : mail.at
  const reports: DeliveryReport[] =
    mail.failedId === null || !mail.failures.length
      ? []
      : [
          {
            outsideId: mail.failedId,
            state: 'failed',
            reason: mail.failures.map(({ recipient, reason }) => `${recipient}: ${reason}`).join('; '),
            at,
          },
        ]
  if (item.mail && mail.failedId) item.mail.ancestors = [mail.failedId, ...mail.ancestors]
  return { items: [item], unread: [], reports }
}
