import EmailReplyParser from 'email-reply-parser'

/** The words of a mail, and what is folded below them: what it quotes, and how its writer signs. */
export interface FoldedMail {
  said: string
  folded: string
}

/** Texts longer than this are not taken apart: the time for it grows with the square. Characters. */
const longest = 20_000

/** Many empty lines are as good as one, and cost the library seconds. */
const withoutGaps = (text: string) => text.replace(/[ \t]+$/gm, '').replace(/\n{3,}/g, '\n\n')

/** Lines that programs put above a mail they quote whole, which the library does not know in all our languages. */
const quoteHead = new RegExp(
  [
    // "-----Original Message-----" and its sisters.
    String.raw`^-{2,} ?(?:original message|ursprüngliche nachricht|message d['’]origine|mensaje original|messaggio originale|forwarded message|weitergeleitete nachricht|message transféré|mensaje reenviado|messaggio inoltrato) ?-{2,}$`,
    // A block of sender and date.
    String.raw`^\*?(?:from|von|de|da)\*? ?: .{1,200}\n\*?(?:sent|date|gesendet|datum|envoyé|enviado(?: el)?|fecha|inviato|data)\*? ?: `,
  ].join('|'),
  'imu',
)

/**
 * Takes a mail's text apart: what its writer says, and what follows it of quoted mails and signature. Answers between the
 * lines of a quote stay where they are, with the lines. A mail of nothing but a quote is all said.
 *
 * @param given plain text of the mail
 */
export function foldMail(given: string): FoldedMail {
  const text = withoutGaps(given)
  if (text.length > longest) return { said: text.trim(), folded: '' }
  const at = text.search(quoteHead)
  // At the very beginning it is no quote that is answered, but all there is.
  const own = at > 0 && text.slice(0, at).trim() ? text.slice(0, at) : text
  const below = text.slice(own.length)
  const fragments = new EmailReplyParser().read(own.trimEnd()).getFragments()
  const last = fragments.findLastIndex((each) => !each.isHidden() && each.getContent().trim())
  if (last < 0) return { said: text.trim(), folded: '' }
  const join = (some: typeof fragments) => some.map((each) => each.getContent()).join('\n')
  return {
    said: join(fragments.slice(0, last + 1)).trim(),
    folded: `${join(fragments.slice(last + 1))}\n${below}`.trim(),
  }
}
