import { createHash } from 'node:crypto'
import { simpleParser, type AddressObject, type Attachment, type ParsedMail } from 'mailparser'
import { htmlText } from '../shared/htmlText.ts'
import { automaticMail, deliveryFailures, type AutomaticMail, type DeliveryFailure } from './automaticMail.ts'
import { foldMail } from './foldMail.ts'

export interface MailAddress {
  name: string
  /** In lower case. */
  address: string
}

export interface MailFile {
  name: string
  /** As the mail says; what it is, is looked up in its bytes. */
  type: string
  bytes: Uint8Array
  /** By which the mail's HTML shows it. */
  cid: string | null
}

/** A mail of RFC 5322, read. */
export interface ReadMail {
  /** SHA-256 of who, when, subject and words: mails that share their Message-ID are told apart by it. */
  hash: string
  /** With its angle brackets; null: it has none. */
  messageId: string | null
  /** Message-IDs that it answers, the nearest first; each once. */
  ancestors: string[]
  /** The Message-ID its thread began with, as far as it says. */
  root: string | null
  from: MailAddress
  replyTo: MailAddress[]
  to: MailAddress[]
  cc: MailAddress[]
  subject: string
  /** Epoch milliseconds; NaN: it has no date that can be read. */
  at: number
  said: string
  folded: string
  html: string | null
  automatic: AutomaticMail | null
  failures: DeliveryFailure[]
  /** Message-ID of the mail that a delivery failure is about. */
  failedId: string | null
  /** The receiving server says that it does not come from whom it names (RFC 8601). */
  unproven: boolean
  files: MailFile[]
  /** Files that were not taken because there are too many. */
  filesLeftOut: number
  /** Its header lines, as they came. */
  header: string
}

export const mailLimits = {
  /** Bytes of a mail. Larger ones are set apart. */
  bytes: 40_000_000,
  /** Parts of one mail that are looked at; one of more is set apart. */
  parts: 5000,
  files: 50,
  references: 500,
  addresses: 100,
  headerLength: 60_000,
  htmlLength: 1_000_000,
  textLength: 400_000,
} as const

const ids = (text: string | undefined): string[] => text?.match(/<[^<>\s]{1,900}>/g) ?? []

function addresses(given: AddressObject | AddressObject[] | undefined): MailAddress[] {
  const flat = [given ?? []].flat().flatMap(({ value }) => value.flatMap((each) => each.group ?? [each]))
  const seen = new Set<string>()
  return flat
    .map(({ name, address }) => ({ name: name?.trim() ?? '', address: (address ?? '').trim().toLowerCase() }))
    .filter(({ address }) => address.includes('@') && !seen.has(address) && seen.add(address))
    .slice(0, mailLimits.addresses)
}

/** Parts that are no files for a person: what the post says to machines, and the mail it is about. */
const isReportPart = ({ contentType }: Attachment) =>
  /^(?:message\/(?:delivery-status|rfc822|global)|text\/rfc822-headers)/i.test(contentType)

/**
 * Reads a mail, whatever it is: broken charsets, structures and headers give what can be read of them.
 *
 * @param bytes the mail as it came, at most `mailLimits.bytes`
 * @throws Error when it is no mail at all
 */
export async function readMail(bytes: Uint8Array): Promise<ReadMail> {
  const parsed = await simpleParser(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength), {
    skipHtmlToText: true,
    skipTextToHtml: true,
    skipImageLinks: true,
    keepDeliveryStatus: true,
    maxChildNodes: mailLimits.parts,
    maxHtmlLengthToParse: mailLimits.htmlLength,
  })
  const lines = parsed.headerLines.map(({ line }) => line)
  if (
    !lines.length ||
    !parsed.headerLines.some(({ key }) => /^(?:from|to|date|subject|message-id)$/.test(key))
  )
    throw new Error('it has no header of a mail')
  const field = (name: string) => {
    const line = parsed.headerLines.find(({ key }) => key === name)?.line
    return line
      ?.slice(line.indexOf(':') + 1)
      .replace(/\r?\n[ \t]+/g, ' ')
      .trim()
  }
  const from = addresses(parsed.from)[0] ?? { name: '', address: '' }
  const subject = (parsed.subject ?? '').trim()
  const text = textOf(parsed)
  const returned = ids(field('return-path')).length === 0 && /<\s*>/.test(field('return-path') ?? '')
  const reports = parsed.attachments.filter(isReportPart)
  const automatic = automaticMail(field, { from: from.address, nullSender: returned })
  const files = parsed.attachments.filter((each) => automatic !== 'failure' || !isReportPart(each))
  const references = ids(field('references')).slice(-mailLimits.references)
  const answered = ids(field('in-reply-to'))
  return {
    hash: createHash('sha256')
      .update(JSON.stringify([from.address, field('date') ?? '', subject, text]))
      .digest('hex')
      .slice(0, 24),
    messageId: ids(field('message-id'))[0] ?? null,
    ancestors: [...new Set([...answered, ...references.reverse()])],
    root: ids(field('references'))[0] ?? answered[0] ?? null,
    from,
    replyTo: addresses(parsed.replyTo),
    to: addresses(parsed.to),
    cc: addresses(parsed.cc),
    subject,
    // Where the date cannot be read, the library gives the present.
    at: Number.isNaN(Date.parse(field('date') ?? '')) ? NaN : (parsed.date?.getTime() ?? NaN),
    ...(automatic === 'failure' ? { said: text.trim(), folded: '' } : foldMail(text)),
    html: typeof parsed.html === 'string' && parsed.html ? parsed.html.slice(0, mailLimits.htmlLength) : null,
    automatic,
    failures: reports
      .filter(({ contentType }) => /delivery-status/i.test(contentType))
      .flatMap(({ content }) => deliveryFailures(content.toString())),
    failedId: failedMail(reports),
    unproven: /\bdmarc=fail\b/i.test(field('authentication-results') ?? ''),
    files: files.slice(0, mailLimits.files).map((each, i) => ({
      name: each.filename ?? `${i + 1}`,
      type: each.contentType,
      bytes: new Uint8Array(each.content),
      cid: each.cid ?? null,
    })),
    filesLeftOut: Math.max(0, files.length - mailLimits.files),
    header: lines.join('\n').slice(0, mailLimits.headerLength),
  }
}

function textOf({ text, html }: ParsedMail): string {
  const plain = text?.trim() ? text : html ? htmlText(html.slice(0, mailLimits.htmlLength)) : ''
  return plain.replaceAll('\r\n', '\n').slice(0, mailLimits.textLength)
}

function failedMail(reports: readonly Attachment[]): string | null {
  const returned = reports.find(({ contentType }) => !/delivery-status/i.test(contentType))
  const header = returned?.content.toString('latin1', 0, mailLimits.headerLength).split(/\r?\n\r?\n/)[0] ?? ''
  return ids(/^message-id:([^\n]*(?:\n[ \t][^\n]*)*)/im.exec(header)?.[1])[0] ?? null
}
