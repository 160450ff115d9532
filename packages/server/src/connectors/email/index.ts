import type { Connector } from '../contract.ts'
import { checkMailbox, collectMailbox, liesInSent } from './mailbox.ts'
import { messageIdOf, partsOfMail } from './mailItem.ts'
import { settingsOf } from './mailSettings.ts'
import { checkOutgoing, sendMail } from './outgoing.ts'

/** E-mail: an address of the brand is a profile. Its mail is fetched from a mailbox (IMAP), or brought to us (SMTP). */
export const emailConnector: Connector = {
  channel: 'email',
  capabilities: {
    reply: true,
    replyLength: 10_000,
    replyMarkup: true,
    replyIsPublic: () => false,
    repliesTo: ['message'],
    files: { most: 20, bytes: 25_000_000 },
    live: false,
    oauth: false,
    lookEverySeconds: 60,
    authorsBy: 'email',
    regroups: true,
  },
  async check(profile, http) {
    const { imap, smtp } = settingsOf(profile.accessToken)
    if (imap) await checkMailbox(imap, http)
    // One that is only fetched from is tried without the other.
    if (smtp) await checkOutgoing(smtp, http)
  },
  async collect(profile, cursor, http, tools) {
    const { imap } = settingsOf(profile.accessToken)
    if (!imap) return { items: [], unread: [], cursor: cursor ?? '', more: false }
    return collectMailbox(profile, imap, cursor, http, tools)
  },
  async send(profile, action, http) {
    const { imap, smtp } = settingsOf(profile.accessToken)
    const messageId = messageIdOf(action.key, profile.outsideId)
    // SMTP knows no keys: whether a mail went out whose confirmation never came is seen where the server keeps copies.
    if (action.maybeSent && imap && (await liesInSent(imap, messageId, http)))
      return { outsideId: messageId, at: Date.now() }
    return sendMail(profile, smtp, action, http)
  },
  async receiveMail(profile, bytes, { readMail }) {
    return partsOfMail(await readMail(bytes), profile)
  },
}
