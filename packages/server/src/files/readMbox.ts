import { mailLimits, partsOfMail, readMail } from '../connectors/index.ts'
import type { CollectedItem, ConnectorProfile } from '../connectors/index.ts'
import type { HistoryPreview, RowProblem } from '@murrabel/contract'
import { shortened } from '@murrabel/core/text'

/** Bytes of a line that begins a mail in an mbox archive (RFC 4155). */
const from = Buffer.from('From ')
const newLine = 0x0a

/**
 * The mails of a file: one (.eml), or an mbox archive, in which each begins with a line "From ..." after an empty one.
 * Lines that were marked with ">" so as not to look like that are put back.
 */
export function splitMbox(bytes: Buffer): Buffer[] {
  if (!bytes.subarray(0, from.length).equals(from)) return bytes.length ? [bytes] : []
  const mails: Buffer[] = []
  for (let at = 0; at < bytes.length;) {
    const begin = bytes.indexOf(newLine, at) + 1
    if (!begin) break
    const next = nextMail(bytes, begin)
    mails.push(unmarked(bytes.subarray(begin, next)))
    at = next
  }
  return mails
}

/** Where the next "From " stands after an empty line; the end, if there is none. */
function nextMail(bytes: Buffer, begin: number): number {
  for (let at = bytes.indexOf('\nFrom ', begin - 1); at >= 0; at = bytes.indexOf('\nFrom ', at + 1)) {
    const before = bytes[at - 1] === 0x0d ? bytes[at - 2] : bytes[at - 1]
    if (before === newLine || at + 1 === begin) return at + 1
  }
  return bytes.length
}

const unmarked = (mail: Buffer): Buffer =>
  mail.includes('\n>From ') || mail.includes('\n>>')
    ? Buffer.from(mail.toString('latin1').replace(/^>(>*From )/gm, '$1'), 'latin1')
    : mail

export interface MailFile {
  /** Mails that can be read, in the order of the file. */
  mails: Buffer[]
  problems: RowProblem[]
}

/** Looks through a file; a mail that cannot be read is named by its number in the file. */
export async function checkMailFile(bytes: Buffer): Promise<MailFile & { preview: HistoryPreview }> {
  const mails: Buffer[] = []
  const problems: RowProblem[] = []
  const sample: HistoryPreview['sample'] = []
  let first = Infinity
  let last = -Infinity
  for (const [i, mail] of splitMbox(bytes).entries())
    try {
      if (mail.length > mailLimits.bytes) throw new Error(`it has ${mail.length} bytes`)
      const { subject, from: by, at } = await readMail(mail)
      mails.push(mail)
      if (!Number.isNaN(at)) [first, last] = [Math.min(first, at), Math.max(last, at)]
      if (sample.length < 5) sample.push({ title: shortened(subject, 80), from: by.name || by.address })
    } catch (error) {
      problems.push({
        line: i + 1,
        field: 'mail',
        reason: 'mailUnreadable',
        values: { said: (error as Error).message },
        value: shortened(mail.subarray(0, 200).toString('latin1').split('\n')[0] ?? '', 80),
      })
    }
  const day = (at: number) => (Number.isFinite(at) ? new Date(at).toISOString() : null)
  return {
    mails,
    problems,
    preview: {
      entries: mails.length,
      unreadable: problems.length,
      first: day(first),
      last: day(last),
      sample,
    },
  }
}

/** Of one's own archive what bears one's own address is one's own. */
export async function itemsOfMails(
  mails: readonly Buffer[],
  profile: ConnectorProfile,
): Promise<CollectedItem[]> {
  const items: CollectedItem[] = []
  for (const bytes of mails) {
    const mail = await readMail(bytes)
    items.push(...partsOfMail(mail, profile, { isOurs: mail.from.address === profile.outsideId }).items)
  }
  return items
}
