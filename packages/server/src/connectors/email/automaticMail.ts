/** Mail that no person wrote for us: an answering machine's, the post's about a mail that did not arrive, or a list's. */
export type AutomaticMail = 'reply' | 'failure' | 'bulk'

/**
 * Whether a machine wrote a mail, by its header fields: Auto-Submitted of RFC 3834, the null sender and multipart/report
 * of RFC 3464, lists of RFC 2369 and 2919, and Precedence, which older programs set.
 *
 * @param header value of a field by its name in lower case; undefined where there is none
 */
export function automaticMail(
  header: (name: string) => string | undefined,
  { from, nullSender }: { from: string; nullSender: boolean },
): AutomaticMail | null {
  const type = header('content-type') ?? ''
  if (/multipart\/report/i.test(type) && /report-type="?delivery-status/i.test(type)) return 'failure'
  const submitted = /^[a-z-]+/i.exec(header('auto-submitted')?.trim() ?? '')?.[0].toLowerCase()
  if (/^(?:mailer-daemon|postmaster)@/i.test(from) && (nullSender || submitted)) return 'failure'
  if (submitted === 'auto-replied') return 'reply'
  if (header('x-autoreply') || header('x-autorespond') || /auto[_-]?reply/i.test(header('precedence') ?? ''))
    return 'reply'
  if (header('list-id') || header('list-unsubscribe')) return 'bulk'
  if (submitted && submitted !== 'no') return 'bulk'
  if (/^(?:bulk|list|junk)$/i.test(header('precedence')?.trim() ?? '')) return 'bulk'
  return nullSender ? 'failure' : null
}

/** Of a delivery status (RFC 3464): whom it did not reach and why, in the post's words. */
export interface DeliveryFailure {
  recipient: string
  /** RFC 3463, as "5.1.1". */
  status: string
  reason: string
}

/** Reads the fields of a message/delivery-status part; recipients whom the mail reached, or may still reach, are left out. */
export function deliveryFailures(text: string): DeliveryFailure[] {
  return text
    .replaceAll('\r\n', '\n')
    .replace(/\n[ \t]+/g, ' ')
    .split(/\n\n+/)
    .flatMap((block) => {
      const field = (name: string) => new RegExp(`^${name}:\\s*(.*)$`, 'im').exec(block)?.[1]?.trim() ?? ''
      if (field('Action').toLowerCase() !== 'failed') return []
      const after = (value: string) => value.slice(value.indexOf(';') + 1).trim()
      return [
        {
          recipient: after(field('Final-Recipient') || field('Original-Recipient')),
          status: field('Status'),
          reason: after(field('Diagnostic-Code')) || field('Status'),
        },
      ]
    })
}
